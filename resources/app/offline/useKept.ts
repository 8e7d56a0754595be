import { useEffect, useState } from 'react';
import { changes } from './store';

/**
 * What lies on this device, read anew whenever something was kept, sent or refused, in this tab or another one.
 *
 * @param read the same function as long as the same is asked for
 * @param first what stands until it was read
 * @param taps whether taps have to do with it
 */
export function useKept<T>(read: () => Promise<T>, first: T, taps = true): T {
    const [kept, setKept] = useState(first);
    useEffect(() => {
        const again = oneAtATime(() => read().then(setKept));
        const listen = (event: Event): void => {
            if (taps || (event as CustomEvent<string | null>).detail === null) again();
        };
        again();
        changes.addEventListener('changed', listen);
        return () => changes.removeEventListener('changed', listen);
    }, [read, taps]);
    return kept;
}

/** However often it is asked for, it is read once more at most after what is being read. */
function oneAtATime(read: () => Promise<void>): () => void {
    let reading = false;
    let anew = false;
    const go = (): void => {
        if (reading) {
            anew = true;
            return;
        }
        reading = true;
        void read().finally(() => {
            reading = false;
            if (anew) {
                anew = false;
                go();
            }
        });
    };
    return go;
}
