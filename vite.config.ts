import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The page changes with its template and with every build. */
const page = createHash('sha1')
    .update(readFileSync('resources/views/app.blade.php'))
    .update(String(Date.now()))
    .digest('hex');

export default defineConfig({
    plugins: [
        react(),
        tailwindcss(),
        VitePWA({
            // Kept by the server at /sw.js, so that it may serve every address of the application.
            filename: 'sw.js',
            injectRegister: null,
            registerType: 'autoUpdate',
            manifest: false,
            workbox: {
                globPatterns: ['**/*.{js,css,woff2}'],
                modifyURLPrefix: { '': '/build/' },
                additionalManifestEntries: [{ url: '/', revision: page }],
                // Without a connection every screen opens with the page that was kept; what it shows comes from this
                // device.
                navigateFallback: '/',
                navigateFallbackDenylist: [/^\/api\//, /^\/sanctum\//, /^\/build\//, /\.[a-z]+$/],
                inlineWorkboxRuntime: true,
                skipWaiting: true,
                clientsClaim: true,
            },
        }),
    ],
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
