import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
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
        // Whatever serves them finds the small forms beside them.
        compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|svg)$/, threshold: 1000 }),
        VitePWA({
            // Kept by the server at /sw.js, so that it may serve every address of the application.
            filename: 'sw.js',
            injectRegister: null,
            // A new version waits until somebody takes it (resources/app/offline/updates.ts).
            registerType: 'prompt',
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
                skipWaiting: false,
                clientsClaim: true,
                cleanupOutdatedCaches: true,
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
        rollupOptions: {
            input: 'resources/app/main.tsx',
            output: {
                // What changes with every build of ours lies apart from what changes once a year.
                codeSplitting: {
                    groups: [{ name: 'frame', test: /node_modules\/(react|react-dom|scheduler|@tanstack)\// }],
                },
            },
        },
    },
});
