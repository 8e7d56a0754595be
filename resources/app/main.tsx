import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { RouterProvider } from '@tanstack/react-router';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Problem } from './api/client';
import './app.css';
import { startSending } from './offline/store';
import { watchForUpdates } from './offline/updates';
import { router } from './router';

const queries = new QueryClient({
    defaultOptions: {
        queries: {
            networkMode: 'always',
            staleTime: 5_000,
            retry: (count, error) => count < 2 && !(error instanceof Problem && error.status >= 400),
        },
    },
});

const nonce = document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content;
if (nonce) setNonce(nonce);
startSending();
// Opens the application where there is no connection. Not while developing: it would serve yesterday's build.
if (import.meta.env.PROD && 'serviceWorker' in navigator) void watchForUpdates();

const root = document.getElementById('root');
if (root) {
    createRoot(root).render(
        <StrictMode>
            <QueryClientProvider client={queries}>
                <RouterProvider router={router} />
            </QueryClientProvider>
        </StrictMode>,
    );
}
