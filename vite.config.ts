import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [react()],
    base: '/build/',
    publicDir: false,
    resolve: {
        alias: {
            './useScrollLocker': fileURLToPath(new URL('web/src/app/scrollLock.ts', import.meta.url)),
        },
    },
    build: {
        outDir: 'public/build',
        emptyOutDir: true,
        manifest: 'manifest.json',
        chunkSizeWarningLimit: 900,
        rolldownOptions: {
            input: 'web/src/main.tsx',
            output: {
                codeSplitting: {
                    groups: [
                        {
                            name: 'react',
                            test: /node_modules\/(react|react-dom|react-router|scheduler|@tanstack)\//,
                        },
                        // What the library's components are made of, apart from them: neither part is too large.
                        { name: 'parts', test: /node_modules\/(@rc-component|rc-[a-z-]+|dayjs)\// },
                        { name: 'antd', test: /node_modules\/(antd|@ant-design)\// },
                    ],
                },
            },
        },
    },
});
