import Dexie, { type EntityTable, type Table } from 'dexie';
import { v4 as uuidV4, v7 as uuidV7 } from 'uuid';
import { api, type Courtside, Problem, type RepEvent } from '../api/client';

export type Sending = 'waiting' | 'sent' | 'refused';

/** A tap as it lies on this device. */
export type Tap = RepEvent & { sheet_id: string; sending: Sending; why: string | null };

export type Report = { id: string; at: string; moment: string; site: string; side: string | null; kind: string; score: number; note: string | null };

/** Work without a sheet, as it was done: a skill of a match, say. */
export type Work = { id: string; day: string; source: string; skill: string; reps: number; felt: string | null; distance_m: number | null; side: string };

export type KeptWork = { id: string; athlete_id: string; work: Work; sending: Sending; why: string | null };

type KeptReport = { id: string; athlete_id: string; report: Report; sending: Sending; why: string | null };

/** What was entered lies here before anything is sent, and stays until the server has said that it has it. */
class Device extends Dexie {
    taps!: EntityTable<Tap, 'id'>;
    reports!: Table<KeptReport, string>;
    work!: Table<KeptWork, string>;
    packs!: EntityTable<{ sheet_id: string; pack: Courtside }, 'sheet_id'>;
    answers!: EntityTable<{ key: string; answer: unknown }, 'key'>;

    constructor() {
        super('augendo');
        this.version(1).stores({ taps: 'id, sheet_id, sending', reports: 'id, athlete_id, sending', packs: 'sheet_id' });
        this.version(2).stores({ answers: 'key' });
        // What a session takes along has another shape now: it is fetched anew. Taps and reports stay.
        this.version(3).stores({ work: 'id, athlete_id, sending' }).upgrade((kept) => Promise.all([kept.table('packs').clear(), kept.table('answers').clear()]));
    }
}

export const device = new Device();

export const newId = (): string => uuidV7();

export function deviceId(): string {
    const kept = localStorage.getItem('augendo-device');
    if (kept) return kept;
    const made = uuidV4();
    localStorage.setItem('augendo-device', made);
    return made;
}

let outOfReach = false;

/** Whether what is on screen may be what this device kept, because the server was out of reach when it was last asked. */
export const isOutOfReach = (): boolean => outOfReach;

async function askOrKept<T>(ask: () => Promise<T>, kept: () => Promise<T | undefined>): Promise<T> {
    try {
        const answer = await ask();
        if (outOfReach) { outOfReach = false; changed(); }
        return answer;
    } catch (error) {
        const fallback = error instanceof Problem && error.isOffline ? await kept() : undefined;
        if (fallback === undefined) throw error;
        outOfReach = true;
        changed();
        return fallback;
    }
}

/** Asks the server, and falls back on what it answered last when it is out of reach. */
export function answerOrKept<T>(path: string): Promise<T> {
    return askOrKept(async () => {
        const answer = await api<T>('GET', path);
        await device.answers.put({ key: path, answer });
        return answer;
    }, async () => (await device.answers.get(path))?.answer as T | undefined);
}

/** What courtside needs of one sheet; what was taken along when the server is out of reach. */
export function takeAlong(sheetId: string): Promise<Courtside> {
    return askOrKept(async () => {
        const pack = await api<Courtside>('GET', `/api/sheets/${sheetId}/courtside`);
        await device.packs.put({ sheet_id: sheetId, pack });
        return pack;
    }, async () => (await device.packs.get(sheetId))?.pack);
}

/** Leaves nothing of whoever signs out on this device but what is not sent yet. */
export async function forgetAnswers(): Promise<void> {
    await device.answers.clear();
    await device.packs.clear();
}

/** Told whenever something was kept, sent or refused. */
export const changes = new EventTarget();
const changed = (): boolean => changes.dispatchEvent(new Event('changed'));

export async function keepTap(tap: Tap): Promise<void> {
    await device.taps.put(tap);
    changed();
    void flush();
}

export async function keepReports(athleteId: string, reports: Report[]): Promise<void> {
    await device.reports.bulkPut(reports.map((report) => ({ id: report.id, athlete_id: athleteId, report, sending: 'waiting' as const, why: null })));
    changed();
    await flush();
}

export async function keepWork(athleteId: string, work: Work[]): Promise<void> {
    await device.work.bulkPut(work.map((each) => ({ id: each.id, athlete_id: athleteId, work: each, sending: 'waiting' as const, why: null })));
    changed();
    await flush();
}

export async function unsent(): Promise<{ waiting: number; refused: number }> {
    const count = async (sending: Sending): Promise<number> =>
        (await Promise.all([device.taps, device.reports, device.work].map((table) => table.where('sending').equals(sending).count()))).reduce((sum, count) => sum + count, 0);
    return { waiting: await count('waiting'), refused: await count('refused') };
}

let running: Promise<void> | null = null;
let again = false;

/** Sends what waits. Sending twice changes nothing, so a lost answer is simply sent again. */
export function flush(): Promise<void> {
    if (running) {
        again = true;
        return running;
    }
    running = (async () => {
        do {
            again = false;
            try {
                await sendReports();
                await sendTaps();
                await sendWork();
            } catch (error) {
                // Out of reach or signed out: it stays here, and the next try takes it along.
                if (!(error instanceof Problem)) throw error;
            }
        } while (again);
    })().finally(() => {
        running = null;
        changed();
    });
    return running;
}

const BATCH = 200;

async function sendTaps(): Promise<void> {
    const waiting = await device.taps.where('sending').equals('waiting').toArray();
    for (const sheetId of new Set(waiting.map((tap) => tap.sheet_id))) {
        const ofSheet = waiting.filter((tap) => tap.sheet_id === sheetId).sort((a, b) => a.seq - b.seq).slice(0, BATCH);
        const answer = await api<{ kept: string[]; refused: Record<string, string> }>('POST', `/api/sheets/${sheetId}/events`, {
            events: ofSheet.map(({ sheet_id: _sheet, sending: _sending, why: _why, ...event }) => event),
        });
        await device.transaction('rw', device.taps, async () => {
            for (const id of answer.kept) await device.taps.update(id, { sending: 'sent', why: null });
            for (const [id, why] of Object.entries(answer.refused)) await device.taps.update(id, { sending: 'refused', why });
        });
        changed();
        if (ofSheet.length === BATCH) again = true;
    }
}

/** One by one; what the server refuses for good stays here with the reason, and holds nothing else up. */
async function sendEach<T extends { id: string; sending: Sending; why: string | null }>(table: Table<T, string>, send: (kept: T) => Promise<unknown>): Promise<void> {
    for (const kept of await table.where('sending').equals('waiting').toArray()) {
        let outcome: { sending: Sending; why: string | null } = { sending: 'sent', why: null };
        try {
            await send(kept);
        } catch (error) {
            if (!(error instanceof Problem) || ![403, 404, 422].includes(error.status)) throw error;
            outcome = { sending: 'refused', why: error.message };
        }
        await table.put({ ...kept, ...outcome });
        changed();
    }
}

const sendReports = (): Promise<void> => sendEach<KeptReport>(device.reports, (kept) => api('POST', `/api/athletes/${kept.athlete_id}/reports`, { reports: [kept.report] }));
const sendWork = (): Promise<void> => sendEach<KeptWork>(device.work, (kept) => api('POST', `/api/athletes/${kept.athlete_id}/logged-work`, kept.work));

const RETRY_MS = 3000;

/** Tries again when the connection is back, and every few seconds while something waits. */
export function startSending(): void {
    window.addEventListener('online', () => void flush());
    window.setInterval(() => {
        void unsent().then(({ waiting }) => (waiting > 0 ? flush() : undefined));
    }, RETRY_MS);
    void flush();
}
