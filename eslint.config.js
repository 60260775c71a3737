import hooks from 'eslint-plugin-react-hooks';
import a11y from 'eslint-plugin-jsx-a11y';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['**/*', '!web/**', 'web/src/api/schema.d.ts'] },
    ...ts.configs.strictTypeChecked,
    hooks.configs.flat.recommended,
    a11y.flatConfigs.recommended,
    {
        files: ['web/src/**/*.{ts,tsx}'],
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        rules: {
            // A number in a sentence is what most sentences of this job are about.
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
            '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
            // A dialog or a question that opens because it was asked for takes the keyboard.
            'jsx-a11y/no-autofocus': 'off',
        },
    },
);
