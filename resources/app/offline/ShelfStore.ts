import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Courtside } from '../api/client';
import type { KeptReport, KeptWork, Tap } from './shelf';

/**
 * What one person entered lies here before anything is sent, and stays until the server has said that it has it.
 * Nobody else opens it.
 */
export class ShelfStore extends Dexie {
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
