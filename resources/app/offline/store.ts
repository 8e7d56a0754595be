import Dexie, { type EntityTable } from 'dexie';
import { v4 as uuidV4, v7 as uuidV7 } from 'uuid';
import { api, type Courtside, Problem, type RepEvent } from '../api/client';

export type Sending = 'waiting' | 'sent' | 'refused';

/** A tap as it lies on this device. */
export type Tap = RepEvent & { sheet_id: string; sending: Sending; why: string | null };

export type Report = { id: string; at: string; moment: string; site: string; side: string | null; kind: string; score: number; note: string | null };

type KeptReport = { id: string; athlete_id: string; report: Report; sending: Sending; why: string | null };

/** What was entered lies here before anything is sent, and stays until the server has said that it has it. */
class Device extends Dexie {
    taps!: EntityTable<Tap, 'id'>;
    reports!: EntityTable<KeptReport, 'id'>;
    packs!: EntityTable<{ sheet_id: string; pack: Courtside }, 'sheet_id'>;
    answers!: EntityTable<{ key: string; answer: unknown }, 'key'>;

    constructor() {
        super('augendo');
        this.version(1).stores({ taps: 'id, sheet_id, sending', reports: 'id, athlete_id, sending', packs: 'sheet_id' });
        this.version(2).stores({ answers: 'key' });
        // What a session takes along has another shape now: it is fetched anew. Taps and reports stay.
        this.version(3).stores({}).upgrade((kept) => Promise.all([kept.table('packs').clear(), kept.table('answers').clear()]));
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

export async function unsent(): Promise<{ waiting: number; refused: number }> {
    const count = async (sending: Sending): Promise<number> =>
        (await device.taps.where('sending').equals(sending).count()) + (await device.reports.where('sending').equals(sending).count());
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

async function sendReports(): Promise<void> {
    const waiting = await device.reports.where('sending').equals('waiting').toArray();
    for (const kept of waiting) {
        try {
            await api('POST', `/api/athletes/${kept.athlete_id}/reports`, { reports: [kept.report] });
            await device.reports.update(kept.id, { sending: 'sent', why: null });
        } catch (error) {
            if (error instanceof Problem && (error.status === 422 || error.status === 403 || error.status === 404)) {
                await device.reports.update(kept.id, { sending: 'refused', why: error.message });
            } else {
                throw error;
            }
        }
        changed();
    }
}

const RETRY_MS = 3000;

/** Tries again when the connection is back, and every few seconds while something waits. */
export function startSending(): void {
    window.addEventListener('online', () => void flush());
    window.setInterval(() => {
        void device.taps.where('sending').equals('waiting').count().then((taps) =>
            device.reports.where('sending').equals('waiting').count().then((reports) => (taps + reports > 0 ? flush() : undefined)));
    }, RETRY_MS);
    void flush();
}
