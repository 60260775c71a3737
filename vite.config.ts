import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [react()],
    base: '/build/',
    publicDir: false,
    build: {
        outDir: 'public/build',
        emptyOutDir: true,
        manifest: 'manifest.json',
        rollupOptions: {
            input: 'web/src/main.tsx',
            output: {
                manualChunks: (id: string) => {
                    if (/node_modules\/(react|react-dom|react-router|scheduler|@tanstack)\//.test(id))
                        return 'react';
                    if (/node_modules\/(antd|@ant-design|@rc-component|rc-[a-z-]+|dayjs)\//.test(id))
                        return 'antd';
                    return undefined;
                },
            },
        },
    },
});
