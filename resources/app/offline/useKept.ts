import { useEffect, useState } from 'react';
import { changes } from './store';

/**
 * What lies on this device, read anew whenever something was kept, sent or refused, in this tab or another one.
 *
 * @param read the same function as long as the same is asked for
 * @param first what stands until it was read
 */
export function useKept<T>(read: () => Promise<T>, first: T): T {
    const [kept, setKept] = useState(first);
    useEffect(() => {
        const again = (): void => void read().then(setKept);
        again();
        changes.addEventListener('changed', again);
        return () => changes.removeEventListener('changed', again);
    }, [read]);
    return kept;
}
