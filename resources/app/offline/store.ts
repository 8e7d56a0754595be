import { asNow } from './asNow';
import { v7 as uuidV7 } from 'uuid';
import { api, type Courtside, type Me, Problem } from '../api/client';
import { nowWithOffset } from '../api/words';
import { deviceId, everybody, getUp, type Person, personHere, signOutIsDone, signOutIsOwed, sitDown } from './person';
import {
    type Kept,
    type KeptReport,
    type KeptWork,
    reading,
    type Report,
    type Sending,
    shelf,
    type Shelf,
    shelfOf,
    type Tap,
    type Work,
} from './shelf';

export type { KeptReport, KeptWork, Report, Tap, Work } from './shelf';

export const newId = (): string => uuidV7();

/**
 * Told whenever something was kept, sent or refused, in this tab or in another one of this browser. The detail is the
 * sheet whose taps they are; null where it may be anything.
 */
export const changes = new EventTarget();
const tabs = 'BroadcastChannel' in globalThis ? new BroadcastChannel('augendo') : null;
const told = (sheetId: string | null = null): boolean =>
    changes.dispatchEvent(new CustomEvent('changed', { detail: sheetId }));
function changed(sheetId: string | null = null): void {
    told(sheetId);
    tabs?.postMessage('changed');
}
tabs?.addEventListener('message', (message) => {
    if (message.data === 'changed') told();
    // Somebody signed in or out in another tab: what is open here speaks for somebody else.
    if (message.data === 'person') window.location.reload();
});

let outOfReach = false;
let storage: 'fine' | 'refused' = 'fine';

/**
 * Whether what is on screen may be what this device kept, because the server was out of reach when it was last asked.
 */
export const isOutOfReach = (): boolean => outOfReach;

/** Whether this device stores what is entered. Where it does not, only the server does. */
export const stores = (): boolean => storage === 'fine';

function storageIs(now: typeof storage): void {
    if (storage === now) return;
    storage = now;
    told();
}

async function askOrKept<T>(ask: () => Promise<T>, kept: () => Promise<T | undefined>): Promise<T> {
    try {
        const answer = await ask();
        if (outOfReach) {
            outOfReach = false;
            changed();
        }
        return answer;
    } catch (error) {
        const fallback = error instanceof Problem && error.isOffline ? await kept() : undefined;
        if (fallback === undefined) throw error;
        outOfReach = true;
        changed();
        return fallback;
    }
}

/** Kept for later, if the device lets it: what is on screen does not depend on it. */
async function putAside(write: (on: Shelf) => PromiseLike<unknown>): Promise<void> {
    const here = shelf();
    try {
        const on = await here;
        if (on === null) return;
        await write(on);
        storageIs('fine');
    } catch {
        storageIs('refused');
    }
}

/** An answer that was completed after it came: kept in place of the one that came. */
export const keepAnswer = (key: string, answer: unknown): void =>
    void putAside((on) => on.answers.put({ key, answer }));

/**
 * Asks the server, and falls back on what it answered last when it is out of reach.
 *
 * @param key under which the answer is put aside: the address it came from
 */
export function answerOrKept<T>(key: string, ask: () => Promise<T>): Promise<T> {
    return askOrKept(
        async () => {
            const answer = await ask();
            keepAnswer(key, answer);
            return answer;
        },
        () => reading(async (from) => (await from.answers.get(key))?.answer as T | undefined, undefined),
    );
}

/** What courtside needs of one sheet; what was taken along when the server is out of reach. */
export function takeAlong(sheetId: string): Promise<Courtside> {
    return askOrKept(
        async () => {
            const pack = await api('GET', `/api/sheets/${sheetId}/courtside`);
            await putAside((on) => on.packs.put({ sheet_id: sheetId, pack }));
            return pack;
        },
        () => reading(async (from) => asNow((await from.packs.get(sheetId))?.pack), undefined),
    );
}

/** Who is signed in. A sign-out that the server has not heard of yet comes first. */
export async function whoIsHere(): Promise<Me> {
    if (signOutIsOwed()) await tellSignOut();
    const me = await answerOrKept('/api/me', () => api('GET', '/api/me'));
    seated(me);
    return me;
}

/** Somebody is signed in here: from now on the device keeps things under their name. */
export function seated(me: Me): void {
    const before = personHere();
    sitDown({ key: me.key, name: me.name });
    signOutIsDone();
    void putAside((on) => on.answers.put({ key: '/api/me', answer: me }));
    void navigator.storage?.persist?.().catch(() => false);
    if (before !== null && before.key !== me.key) tabs?.postMessage('person');
}

const SIGN_OUT_MS = 4000;

async function tellSignOut(): Promise<void> {
    try {
        await api('POST', '/api/sign-out', undefined, { withinMs: SIGN_OUT_MS });
    } catch (error) {
        if (!(error instanceof Problem) || error.isOffline)
            throw new Problem(401, 'Signed out', 'You are signed out here. Signing in needs a connection.');
    }
    signOutIsDone();
}

/** Leaves nothing of whoever signs out on this device but what is not sent yet; with a connection or without one. */
export async function signOut(): Promise<void> {
    await putAside((on) => Promise.all([on.answers.clear(), on.packs.clear()]));
    getUp();
    tabs?.postMessage('person');
    await tellSignOut().catch(() => undefined);
}

/** Taps that could not be stored. They live as long as this page. */
const loose = new Map<string, Tap>();

/**
 * Taps of one sheet, stored together.
 *
 * @returns whether they count: stored here, or with the server. Else they are held by the page alone, and said so
 */
export async function keepTaps(taps: Tap[]): Promise<boolean> {
    const here = shelf();
    const sheetId = taps[0]?.sheet_id ?? null;
    try {
        const on = await here;
        if (on === null) throw new Error('Nobody is here.');
        await on.taps.bulkPut(taps);
        storageIs('fine');
        changed(sheetId);
        void flush();
        return true;
    } catch {
        storageIs('refused');
        for (const tap of taps) loose.set(tap.id, { ...tap, loose: true });
        told(sheetId);
        await flush();
        return taps.every((tap) => loose.get(tap.id)?.sending === 'sent');
    }
}

export async function tapsOf(sheetId: string): Promise<Tap[]> {
    const stored = await reading((from) => from.taps.where('sheet_id').equals(sheetId).toArray(), []);
    return [...stored, ...[...loose.values()].filter((tap) => tap.sheet_id === sheetId)];
}

export const reportsOf = (athleteId: string): Promise<KeptReport[]> =>
    reading((from) => from.reports.where('athlete_id').equals(athleteId).toArray(), []);
export const workOf = (athleteId: string): Promise<KeptWork[]> =>
    reading((from) => from.work.where('athlete_id').equals(athleteId).toArray(), []);

/** Asked, and nothing hurts. */
export const nothingSoreAt = (moment: Report['moment']): Report => ({
    id: newId(),
    at: nowWithOffset(),
    moment,
    site: 'none',
    side: null,
    kind: 'muscle',
    score: 0,
    note: null,
});

export async function keepReports(athleteId: string, reports: Report[]): Promise<void> {
    const kept = reports.map((report): KeptReport => ({
        id: report.id,
        athlete_id: athleteId,
        report,
        sending: 'waiting',
        why: null,
    }));
    await keepOrSend('reports', kept, (each) => sendReport(each as KeptReport));
}

export async function keepWork(athleteId: string, work: Work[]): Promise<void> {
    const kept = work.map((each): KeptWork => ({
        id: each.id,
        athlete_id: athleteId,
        work: each,
        sending: 'waiting',
        why: null,
    }));
    await keepOrSend('work', kept, (each) => sendWork(each as KeptWork));
}

/**
 * Done as soon as it is stored: the server may take its time. Where the device stores nothing, it is with the server
 * or not kept at all, and
 * then the form says so.
 */
async function keepOrSend(
    table: 'reports' | 'work',
    kept: Kept[],
    send: (kept: Kept) => Promise<unknown>,
): Promise<void> {
    const here = shelf();
    try {
        const on = await here;
        if (on === null) throw new Error('Nobody is here.');
        await on.table(table).bulkPut(kept);
        storageIs('fine');
    } catch {
        storageIs('refused');
        for (const each of kept) await send(each);
        changed();
        return;
    }
    changed();
    void flush();
}

type Tables = 'taps' | 'reports' | 'work';
const TABLES: Tables[] = ['taps', 'reports', 'work'];

const unsentIn = (from: Shelf, table: Tables): PromiseLike<Sending[]> =>
    from.table(table).where('sending').anyOf('waiting', 'refused').keys() as PromiseLike<Sending[]>;

export async function unsent(): Promise<{ waiting: number; refused: number; held: number }> {
    // Only the keys of the index, and both states in one walk: this is asked after every tap.
    const states = await reading(
        async (from) => (await Promise.all(TABLES.map((table) => unsentIn(from, table)))).flat(),
        [],
    );
    const of = (sending: Sending): number => states.filter((each) => each === sending).length;
    const held = [...loose.values()].filter((tap) => tap.sending === 'waiting').length;
    return { waiting: of('waiting'), refused: of('refused'), held };
}

/** How many taps of one sheet the server has not got yet. */
export const waitingOf = async (sheetId: string): Promise<number> =>
    (await tapsOf(sheetId)).filter((tap) => tap.sending === 'waiting').length;

/**
 * Sends what waits, and goes on only when nothing of these sheets is left here.
 *
 * @throws Problem how many are left
 */
export async function sendAllOf(sheetIds: string[]): Promise<void> {
    await flush();
    const waiting = (await Promise.all(sheetIds.map(waitingOf))).reduce((sum, each) => sum + each, 0);
    if (waiting > 0)
        throw new Problem(
            0,
            'Not everything is sent',
            `${waiting} taps wait on this device. They are safe; finish when the connection is back.`,
        );
}

export type SetAside = { table: Tables; id: string; about: string; why: string; entry: unknown };

/** What the server refused for good, with the reason. */
export const setAside = (): Promise<SetAside[]> =>
    reading(async (from) => {
        const rows = await Promise.all(
            TABLES.map(async (table) =>
                (await from.table<Kept, string>(table).where('sending').equals('refused').toArray()).map(
                    (each): SetAside => ({
                        table,
                        id: each.id,
                        about: about(table, each),
                        why: each.why ?? '',
                        entry: each,
                    }),
                ),
            ),
        );
        return rows.flat();
    }, []);

function about(table: Tables, kept: Kept): string {
    if (table === 'taps') return `Tap of ${(kept as unknown as Tap).at.slice(0, 16).replace('T', ' ')}`;
    return table === 'reports'
        ? `Report: ${(kept as KeptReport).report.site}, ${(kept as KeptReport).report.score}`
        : `Work: ${(kept as KeptWork).work.reps} of ${(kept as KeptWork).work.day}`;
}

export async function sendAgain(): Promise<void> {
    await putAside((on) =>
        Promise.all(
            TABLES.map((table) =>
                on.table(table).where('sending').equals('refused').modify({ sending: 'waiting', why: null }),
            ),
        ),
    );
    changed();
    await flush();
}

/** Takes off this device what was written to a file, and nothing that was refused since. */
export async function dropSetAside(written: SetAside[]): Promise<void> {
    const idsOf = (table: Tables): string[] => written.filter((each) => each.table === table).map((each) => each.id);
    await putAside((on) => Promise.all(TABLES.map((table) => on.table(table).bulkDelete(idsOf(table)))));
    changed();
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
                await sendEach<KeptReport>('reports', sendReport);
                await sendTaps();
                await sendEach<KeptWork>('work', sendWork);
                await tellMissing();
            } catch (error) {
                // Out of reach or signed out: it stays here, and the next try takes it along.
                if (!(error instanceof Problem)) throw error;
            }
        } while (again);
    })().finally(() => {
        running = null;
    });
    return running;
}

/** Nothing can be sent now, whatever it is. */
const stopsAll = (problem: Problem): boolean => problem.isOffline || [401, 419, 429, 503].includes(problem.status);
/** The server has understood it and will never take it. A failure of its own is no refusal. */
const isForGood = (problem: Problem): boolean => problem.status >= 400 && problem.status < 500;

const BATCH = 200;

async function sendTaps(): Promise<void> {
    const stored = await reading((from) => from.taps.where('sending').equals('waiting').toArray(), []);
    const waiting = [...stored, ...[...loose.values()].filter((tap) => tap.sending === 'waiting')];
    for (const sheetId of new Set(waiting.map((tap) => tap.sheet_id))) {
        const ofSheet = waiting
            .filter((tap) => tap.sheet_id === sheetId)
            .sort((a, b) => a.seq - b.seq)
            .slice(0, BATCH);
        const took = await sendSome(sheetId, ofSheet);
        changed(sheetId);
        if (took && ofSheet.length === BATCH) again = true;
    }
}

/**
 * @returns whether anything came of it: what the server cannot take together is sent one by one, so that one bad tap
 * holds up no other
 */
async function sendSome(sheetId: string, taps: Tap[]): Promise<boolean> {
    try {
        const answer = await api('POST', `/api/sheets/${sheetId}/events`, {
            events: taps.map(
                ({ sheet_id: _sheet, athlete_id: _athlete, sending: _sending, why: _why, loose: _loose, ...event }) =>
                    event,
            ),
        });
        await settle(
            taps.filter((tap) => answer.kept.includes(tap.id)),
            'sent',
            () => null,
        );
        await settle(
            taps.filter((tap) => tap.id in answer.refused),
            'refused',
            (tap) => answer.refused[tap.id] ?? null,
        );
        return answer.kept.length > 0;
    } catch (error) {
        if (!(error instanceof Problem) || stopsAll(error)) throw error;
        if ([403, 404].includes(error.status) || (taps.length === 1 && isForGood(error))) {
            await settle(taps, 'refused', () => error.message);
            return true;
        }
        let took = false;
        for (const tap of taps.length > 1 ? taps : []) took = (await sendSome(sheetId, [tap])) || took;
        return took;
    }
}

async function settle(taps: Tap[], sending: Sending, why: (tap: Tap) => string | null): Promise<void> {
    for (const tap of taps.filter((each) => each.loose)) loose.set(tap.id, { ...tap, sending, why: why(tap) });
    const stored = taps.filter((each) => !each.loose);
    if (stored.length > 0)
        await putAside((on) => on.taps.bulkPut(stored.map((tap) => ({ ...tap, sending, why: why(tap) }))));
}

/**
 * One by one; what the server refuses for good is set aside with the reason, and what it fails on waits. Neither
 * holds anything else up.
 */
async function sendEach<T extends Kept>(name: Tables, send: (kept: T) => Promise<unknown>): Promise<void> {
    for (const kept of await reading(
        (from) => from.table<T, string>(name).where('sending').equals('waiting').toArray(),
        [],
    )) {
        let outcome: { sending: Sending; why: string | null } = { sending: 'sent', why: null };
        try {
            await send(kept);
        } catch (error) {
            if (!(error instanceof Problem) || stopsAll(error)) throw error;
            outcome = { sending: isForGood(error) ? 'refused' : 'waiting', why: error.message };
        }
        await putAside((on) => on.table<T, string>(name).put({ ...kept, ...outcome }));
        changed();
    }
}

const sendReport = (kept: KeptReport): Promise<unknown> =>
    api('POST', `/api/athletes/${kept.athlete_id}/reports`, { reports: [kept.report] });
const sendWork = (kept: KeptWork): Promise<unknown> =>
    api('POST', `/api/athletes/${kept.athlete_id}/logged-work`, kept.work);

/** What others who used this device have not sent, by person. They alone can send it. */
export async function ofOthers(): Promise<Array<{ person: Person; taps: number; athletes: Record<string, number> }>> {
    const found = [];
    for (const person of everybody().filter((each) => each.key !== personHere()?.key)) {
        let theirs: Shelf | null = null;
        try {
            theirs = await shelfOf(person.key);
            const athletes: Record<string, number> = {};
            for (const table of TABLES) {
                for (const each of await theirs.table<Kept, string>(table).where('sending').equals('waiting').toArray())
                    athletes[each.athlete_id] = (athletes[each.athlete_id] ?? 0) + 1;
            }
            const taps = Object.values(athletes).reduce((sum, each) => sum + each, 0);
            if (taps > 0) found.push({ person, taps, athletes });
        } catch {
            // What cannot be read here cannot be told of.
        } finally {
            theirs?.close();
        }
    }
    return found;
}

let lastTold = '';

/**
 * Tells the server whose counts lie here unsent under another name: until they come, what those athletes did is not
 * known.
 */
async function tellMissing(): Promise<void> {
    if (personHere() === null) return;
    const athletes: Record<string, number> = {};
    for (const other of await ofOthers())
        for (const [id, count] of Object.entries(other.athletes)) athletes[id] = (athletes[id] ?? 0) + count;
    const now = JSON.stringify([personHere()?.key, athletes]);
    if (now === lastTold) return;
    await api('POST', '/api/me/missing-counts', {
        device: deviceId(),
        athletes: Object.entries(athletes).map(([athlete_id, count]) => ({ athlete_id, count })),
    });
    lastTold = now;
}

const RETRY_MS = 3000;

/** Tries again when the connection is back, and every few seconds while something waits. */
export function startSending(): void {
    window.addEventListener('online', () => void flush());
    window.setInterval(() => {
        void unsent().then(({ waiting, held }) => (waiting + held > 0 ? flush() : undefined));
    }, RETRY_MS);
    void flush();
}
