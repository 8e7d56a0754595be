import { useEffect, useState } from 'react';
import { changes, isOutOfReach, unsent } from './store';

/** How much on this device has not reached the server yet, and whether the server is out of reach. */
export function useUnsent(): { waiting: number; refused: number; away: boolean } {
    const [count, setCount] = useState({ waiting: 0, refused: 0, away: false });
    useEffect(() => {
        const read = (): void => void unsent().then((now) => setCount({ ...now, away: isOutOfReach() }));
        read();
        changes.addEventListener('changed', read);
        return () => changes.removeEventListener('changed', read);
    }, []);
    return count;
}
