import { useCallback, useEffect, useState } from 'react';
import { own } from './person';
import { forget, recall, remember } from './place';

const IDLE_MS = 10 * 60_000;
const LOOK_MS = 5000;
/** How often what somebody does is written down. */
const NOTE_MS = 2000;
export const MOST_TRIES = 5;

const ACTIVE = 'augendo-active';
const TRIES = 'tries';

const lastActive = (): number => Number(recall(ACTIVE) ?? 0);
const isIdle = (): boolean => Date.now() - lastActive() > IDLE_MS;

export function noteActive(): void {
    remember(ACTIVE, String(Date.now()));
}

async function digest(code: string, salt: string): Promise<string> {
    const bytes = new TextEncoder();
    const key = await crypto.subtle.importKey('raw', bytes.encode(code), 'PBKDF2', false, ['deriveBits']);
    const bits = await crypto.subtle.deriveBits(
        { name: 'PBKDF2', hash: 'SHA-256', salt: bytes.encode(salt), iterations: 200_000 },
        key,
        256,
    );
    return Array.from(new Uint8Array(bits), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/**
 * A code keeps somebody who picks the device up out of the screens; it is no protection against who can read the
 * device itself.
 */
export const canHaveCode = (): boolean => globalThis.crypto?.subtle !== undefined;
export const hasCode = (): boolean => recall(own('code')) !== null;

/** Wrong codes since the last right one: a page that is loaded anew does not begin from none. */
export const triesMade = (): number => Number(recall(own(TRIES)) ?? 0);

export async function setCode(code: string): Promise<void> {
    const salt = crypto.randomUUID();
    remember(own('code'), JSON.stringify({ salt, digest: await digest(code, salt) }));
    forget(own(TRIES));
}

export const dropCode = (): void => forget(own('code'));

/** Each try counts before it is looked at, however fast they come: the sixth is not looked at. */
export async function isCode(code: string): Promise<boolean> {
    if (triesMade() >= MOST_TRIES) return false;
    remember(own(TRIES), String(triesMade() + 1));
    const kept = JSON.parse(recall(own('code')) ?? 'null') as { salt: string; digest: string } | null;
    return kept !== null && (await digest(code, kept.salt)) === kept.digest;
}

/** Whether nobody has touched the device for ten minutes, in this tab or another one. */
export function useLock(): { locked: boolean; unlock: () => void } {
    const [locked, setLocked] = useState(isIdle);
    useEffect(() => {
        let noted = 0;
        const act = (): void => {
            if (isIdle()) {
                setLocked(true);
            } else if (Date.now() - noted > NOTE_MS) {
                noted = Date.now();
                noteActive();
            }
        };
        const look = (): void => setLocked((already) => already || isIdle());
        const timer = window.setInterval(look, LOOK_MS);
        window.addEventListener('pointerdown', act, true);
        window.addEventListener('keydown', act, true);
        document.addEventListener('visibilitychange', look);
        return () => {
            window.clearInterval(timer);
            window.removeEventListener('pointerdown', act, true);
            window.removeEventListener('keydown', act, true);
            document.removeEventListener('visibilitychange', look);
        };
    }, []);
    const unlock = useCallback(() => {
        noteActive();
        forget(own(TRIES));
        setLocked(false);
    }, []);
    return { locked, unlock };
}
