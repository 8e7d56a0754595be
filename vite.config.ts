import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [react(), tailwindcss()],
    publicDir: false,
    base: '/build/',
    build: {
        outDir: 'public/build',
        emptyOutDir: true,
        manifest: 'manifest.json',
        assetsInlineLimit: 0,
        rollupOptions: { input: 'resources/app/main.tsx' },
    },
});
