import type { RepEvent } from '../api/client';
import type { Body } from '../api/typed';
import { personHere } from './person';
import type { ShelfStore } from './ShelfStore';

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

/** As the server takes it; the side and the note are said even where there is none. */
export type Report = Required<Body<'POST', `/api/athletes/${string}/reports`>['reports'][number]>;

/** Work without a sheet, as it was done: a skill of a match, say. */
export type Work = Required<Body<'POST', `/api/athletes/${string}/logged-work`>> & { at: string };

export type Kept = { id: string; athlete_id: string; sending: Sending; why: string | null };
export type KeptWork = Kept & { work: Work };
export type KeptReport = Kept & { report: Report };

export type Shelf = ShelfStore;

/** The shelf of one person. What it is made of is fetched when it is first needed, after the page has been drawn. */
export const shelfOf = async (person: string): Promise<Shelf> => new (await import('./ShelfStore')).ShelfStore(person);

let open: { key: string; shelf: Promise<Shelf> } | null = null;

/** @returns the shelf of whoever is here as this is called; null when nobody is */
export function shelf(): Promise<Shelf | null> {
    const person = personHere();
    if (open && open.key !== person?.key) {
        void open.shelf.then((left) => left.close()).catch(() => undefined);
        open = null;
    }
    if (person && !open) {
        const opening = { key: person.key, shelf: shelfOf(person.key) };
        open = opening;
        // What could not be fetched is fetched again the next time.
        opening.shelf.catch(() => {
            if (open === opening) open = null;
        });
    }
    return open?.shelf ?? Promise.resolve(null);
}

/** What reading a shelf gives; nothing where the device lets nothing be stored. */
export async function reading<T>(read: (from: Shelf) => PromiseLike<T>, otherwise: T): Promise<T> {
    try {
        const from = await shelf();
        return from === null ? otherwise : await read(from);
    } catch {
        return otherwise;
    }
}
