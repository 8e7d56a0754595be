import { useEffect, useState } from 'react';
import { changes, unsent } from './store';

/** How much on this device has not reached the server yet. */
export function useUnsent(): { waiting: number; refused: number } {
    const [count, setCount] = useState({ waiting: 0, refused: 0 });
    useEffect(() => {
        const read = (): void => void unsent().then(setCount);
        read();
        changes.addEventListener('changed', read);
        return () => changes.removeEventListener('changed', read);
    }, []);
    return count;
}
