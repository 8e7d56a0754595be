import { useEffect, useState } from 'react';
import { changes, isOutOfReach, ofOthers, stores, unsent } from './store';

/** How much on this device has not reached the server yet, whether the server is out of reach, and whether the device stores at all. */
export function useUnsent(): { waiting: number; refused: number; held: number; away: boolean; stores: boolean } {
    const [count, setCount] = useState({ waiting: 0, refused: 0, held: 0, away: false, stores: true });
    useEffect(() => {
        const read = (): void => void unsent().then((now) => setCount({ ...now, away: isOutOfReach(), stores: stores() }));
        read();
        changes.addEventListener('changed', read);
        return () => changes.removeEventListener('changed', read);
    }, []);
    return count;
}

const LOOK_AGAIN_MS = 10_000;

/** Who else has something on this device that is not sent. */
export function useOthers(): Array<{ name: string; taps: number }> {
    const [others, setOthers] = useState<Array<{ name: string; taps: number }>>([]);
    useEffect(() => {
        const read = (): void => void ofOthers().then((found) => setOthers(found.map(({ person, taps }) => ({ name: person.name, taps }))));
        read();
        const timer = window.setInterval(read, LOOK_AGAIN_MS);
        return () => window.clearInterval(timer);
    }, []);
    return others;
}
