import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { copyFileSync, mkdirSync, readFileSync } from 'node:fs';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** The page changes with its template and with every build. */
const page = createHash('sha1')
    .update(readFileSync('resources/views/app.blade.php'))
    .update(String(Date.now()))
    .digest('hex');

/** What looks for joints in a picture: the smallest model, from our own address, fetched when it is first asked for. */
const MODEL = [
    'pose.js',
    'pose_landmark_lite.tflite',
    'pose_solution_packed_assets.data',
    'pose_solution_packed_assets_loader.js',
    'pose_solution_simd_wasm_bin.js',
    'pose_solution_simd_wasm_bin.wasm',
    'pose_solution_wasm_bin.js',
    'pose_solution_wasm_bin.wasm',
    'pose_web.binarypb',
];
const model = {
    name: 'model',
    closeBundle: (): void => {
        mkdirSync('public/build/pose', { recursive: true });
        for (const file of MODEL) copyFileSync(`node_modules/@mediapipe/pose/${file}`, `public/build/pose/${file}`);
    },
};

/** The film page has a policy of its own, and so a document of its own. */
const FILM_PAGE = '/athletes/-/film';

export default defineConfig({
    plugins: [
        react(),
        tailwindcss(),
        // Whatever serves them finds the small forms beside them.
        compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|svg)$/, threshold: 1000 }),
        model,
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
                globIgnores: ['pose/**'],
                additionalManifestEntries: [
                    { url: '/', revision: page },
                    { url: FILM_PAGE, revision: page },
                ],
                // Without a connection every screen opens with the page that was kept; what it shows comes from this
                // device.
                navigateFallback: '/',
                navigateFallbackDenylist: [/^\/api\//, /^\/sanctum\//, /^\/build\//, /\.[a-z]+$/, /\/film$/],
                runtimeCaching: [
                    {
                        urlPattern: ({ request, url }) => request.mode === 'navigate' && url.pathname.endsWith('/film'),
                        // Named as text: what stands here is written into the worker, and knows nothing of this file.
                        handler: async ({ request }) =>
                            (await caches.match('/athletes/-/film', { ignoreSearch: true })) ?? fetch(request),
                    },
                    {
                        urlPattern: ({ url }) => url.pathname.startsWith('/build/pose/'),
                        handler: 'CacheFirst',
                        options: { cacheName: 'pose', expiration: { maxEntries: 20 } },
                    },
                ],
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
