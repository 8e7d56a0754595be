import { v4 as uuidV4 } from 'uuid';
import { forget, recall, remember } from './place';

/** Whose the things on this device are: nobody else of any club has the same key. */
export type Person = { key: string; name: string };

const HERE = 'augendo-person';
const EVERYBODY = 'augendo-people';
const SIGN_OUT = 'augendo-sign-out';
const DEVICE = 'augendo-device';

let here: Person | null = JSON.parse(recall(HERE) ?? 'null') as Person | null;

/** Who is signed in on this page, as far as the device knows. */
export const personHere = (): Person | null => here;

/** Everybody who has signed in on this device. */
export const everybody = (): Person[] => JSON.parse(recall(EVERYBODY) ?? '[]') as Person[];

export function sitDown(person: Person): void {
    here = person;
    remember(HERE, JSON.stringify(person));
    remember(EVERYBODY, JSON.stringify([...everybody().filter((each) => each.key !== person.key), person]));
}

/** Nobody is here any more. Whether the server knows is another matter: without a connection it is told later. */
export function getUp(): void {
    here = null;
    forget(HERE);
    remember(SIGN_OUT, 'yes');
}

export const signOutIsOwed = (): boolean => recall(SIGN_OUT) !== null;
export const signOutIsDone = (): void => forget(SIGN_OUT);

/** A name under which something of whoever is here is kept. */
export const own = (name: string): string => `augendo-${here?.key ?? 'nobody'}-${name}`;

export function deviceId(): string {
    const kept = recall(DEVICE);
    if (kept) return kept;
    const made = uuidV4();
    remember(DEVICE, made);
    return made;
}
