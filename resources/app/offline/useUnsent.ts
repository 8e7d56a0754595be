import { useEffect, useState } from 'react';
import { clipsWaiting } from './clips';
import { isOutOfReach, ofOthers, stores, unsent } from './store';
import { useKept } from './useKept';

const NOTHING = { waiting: 0, refused: 0, held: 0, clips: 0, away: false, stores: true };
const read = async (): Promise<typeof NOTHING> => ({
    ...(await unsent()),
    clips: clipsWaiting(),
    away: isOutOfReach(),
    stores: stores(),
});

/**
 * How much on this device has not reached the server yet, whether the server is out of reach, and whether the device
 * stores at all.
 */
export function useUnsent(): typeof NOTHING {
    return useKept(read, NOTHING);
}

const LOOK_AGAIN_MS = 10_000;

/** Who else has something on this device that is not sent. */
export function useOthers(): Array<{ name: string; taps: number }> {
    const [others, setOthers] = useState<Array<{ name: string; taps: number }>>([]);
    useEffect(() => {
        const read = (): void =>
            void ofOthers().then((found) => setOthers(found.map(({ person, taps }) => ({ name: person.name, taps }))));
        read();
        const timer = window.setInterval(read, LOOK_AGAIN_MS);
        return () => window.clearInterval(timer);
    }, []);
    return others;
}
