import { useEffect } from 'react';

/** Keeps the screen on while somebody counts, where the device allows it; a page that comes back asks again. */
export function useAwake(): void {
    useEffect(() => {
        let lock: WakeLockSentinel | null = null;
        let gone = false;
        const ask = (): void => {
            if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
            // Refused on a low battery: counting works all the same.
            navigator.wakeLock.request('screen').then(
                (got) => {
                    if (gone) void got.release();
                    else lock = got;
                },
                () => undefined,
            );
        };
        ask();
        document.addEventListener('visibilitychange', ask);
        return () => {
            gone = true;
            document.removeEventListener('visibilitychange', ask);
            void lock?.release();
        };
    }, []);
}
