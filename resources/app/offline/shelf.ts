import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Courtside, RepEvent } from '../api/client';
import { personHere } from './person';

export type Sending = 'waiting' | 'sent' | 'refused';

/**
 * A tap as it lies on this device. A loose one could not be stored: it lives with the page alone and counts once the
 * server has it.
 */
export type Tap = RepEvent & {
    sheet_id: string;
    athlete_id: string;
    sending: Sending;
    why: string | null;
    loose?: boolean;
};

export type Report = {
    id: string;
    at: string;
    moment: string;
    site: string;
    side: string | null;
    kind: string;
    score: number;
    note: string | null;
};

/** Work without a sheet, as it was done: a skill of a match, say. */
export type Work = {
    id: string;
    day: string;
    at: string;
    source: string;
    skill: string;
    reps: number;
    felt: string | null;
    distance_m: number | null;
    side: string;
};

export type Kept = { id: string; athlete_id: string; sending: Sending; why: string | null };
export type KeptWork = Kept & { work: Work };
export type KeptReport = Kept & { report: Report };

/**
 * What one person entered lies here before anything is sent, and stays until the server has said that it has it.
 * Nobody else opens it.
 */
export class Shelf extends Dexie {
    taps!: EntityTable<Tap, 'id'>;
    reports!: Table<KeptReport, string>;
    work!: Table<KeptWork, string>;
    packs!: EntityTable<{ sheet_id: string; pack: Courtside }, 'sheet_id'>;
    answers!: EntityTable<{ key: string; answer: unknown }, 'key'>;

    constructor(person: string) {
        // Strict: a phone that dies loses nothing that was said to be stored.
        super(`augendo-${person}`, { chromeTransactionDurability: 'strict' });
        this.version(1).stores({
            taps: 'id, sheet_id, sending',
            reports: 'id, athlete_id, sending',
            work: 'id, athlete_id, sending',
            packs: 'sheet_id',
            answers: 'key',
        });
    }
}

let open: { key: string; shelf: Shelf } | null = null;

/** @returns the shelf of whoever is here; null when nobody is */
export function shelf(): Shelf | null {
    const person = personHere();
    if (open && open.key !== person?.key) {
        open.shelf.close();
        open = null;
    }
    if (person) open ??= { key: person.key, shelf: new Shelf(person.key) };
    return open?.shelf ?? null;
}

/** What reading a shelf gives; nothing where the device lets nothing be stored. */
export async function reading<T>(read: (from: Shelf) => PromiseLike<T>, otherwise: T): Promise<T> {
    const from = shelf();
    if (from === null) return otherwise;
    try {
        return await read(from);
    } catch {
        return otherwise;
    }
}
