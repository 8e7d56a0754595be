// A new version is fetched in the background and waits. It is offered, and taken when somebody says so: never in the
// middle of a session.

const LOOK_EVERY_MS = 60 * 60 * 1000;

/** Told when a new version waits, or when what this page still needs of the old one is gone. */
export const updates = new EventTarget();
let waits: ServiceWorker | null = null;
let outdated = false;

export const updateIsOffered = (): boolean => waits !== null || outdated;

function offer(): void {
    updates.dispatchEvent(new Event('offered'));
}

export async function watchForUpdates(): Promise<void> {
    // A screen of the version before, when another tab has taken the new one.
    window.addEventListener('vite:preloadError', () => {
        outdated = true;
        offer();
    });
    const registration = await navigator.serviceWorker.register('/sw.js', { scope: '/' });
    const look = (): void => {
        // Without one in charge this is the first visit: what waits is what the page came with.
        if (registration.waiting === null || navigator.serviceWorker.controller === null) return;
        waits = registration.waiting;
        offer();
    };
    look();
    registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', look));
    let looked = Date.now();
    document.addEventListener('visibilitychange', () => {
        if (document.visibilityState !== 'visible' || Date.now() - looked < LOOK_EVERY_MS) return;
        looked = Date.now();
        void registration.update().catch(() => undefined);
    });
}

/** Goes over to the new version. What was entered lies on the device and stays. */
export function takeUpdate(): void {
    if (waits === null) return window.location.reload();
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
    waits.postMessage({ type: 'SKIP_WAITING' });
}
