import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Me } from '../../resources/app/api/client';
import type { Report, Tap } from '../../resources/app/offline/store';
import { rep } from './support';

type Sent = { path: string; body: unknown };
type Answer = { status: number; body?: unknown } | 'hangs up';

let sent: Sent[] = [];
let answer: (path: string, body: never) => Answer;
let client: typeof import('../../resources/app/api/client');
let store: typeof import('../../resources/app/offline/store');
let shelves: typeof import('../../resources/app/offline/shelf');
let clubs = 0;

/** Everything the server is asked to take is taken. */
const takesAll = (path: string, body: { events?: { id: string }[] }): Answer =>
    path.endsWith('/events')
        ? { status: 200, body: { kept: (body.events ?? []).map((event) => event.id), refused: {} } }
        : { status: 204 };
const refusal = (status: number, detail: string): Answer => ({ status, body: { title: 'Refused', detail } });
const to = (part: string): Sent[] => sent.filter(({ path }) => path.includes(part));
const idsOf = ({ body }: Sent): string[] => (body as { events: { id: string }[] }).events.map((event) => event.id);

function tap(sheet: string, of: Partial<Tap> = {}): Tap {
    return { ...rep(), sheet_id: sheet, athlete_id: 'mira', sending: 'waiting', why: null, ...of };
}
const report = (id: string): Report => ({
    id,
    at: '2026-11-26T17:00:00Z',
    moment: 'before',
    site: 'shoulder',
    side: 'left',
    kind: 'muscle',
    score: 2,
    note: null,
});
/** Kept as if the connection had been away, so that nothing is sent before the test says so. */
async function lying(...taps: Tap[]): Promise<void> {
    await (await shelves.shelf())?.taps.bulkPut(taps);
}
const sendings = async (sheet: string): Promise<string[]> => (await store.tapsOf(sheet)).map(({ sending }) => sending);
const signIn = (key: string): void => store.seated({ key, name: key } as Me);

beforeEach(async () => {
    vi.resetModules();
    vi.stubGlobal('document', { cookie: '' });
    vi.stubGlobal('navigator', { onLine: true });
    vi.stubGlobal('window', { location: { reload: vi.fn() } });
    vi.stubGlobal('fetch', (path: string, { body }: { body?: string }) => {
        const given: unknown = body === undefined ? undefined : JSON.parse(body);
        sent.push({ path, body: given });
        const is = answer(path, given as never);
        if (is === 'hangs up') return Promise.reject(new TypeError('Failed to fetch'));
        const text = is.status === 204 ? null : JSON.stringify(is.body ?? {});
        return Promise.resolve(new Response(text, { status: is.status }));
    });
    sent = [];
    answer = takesAll;
    client = await import('../../resources/app/api/client');
    store = await import('../../resources/app/offline/store');
    shelves = await import('../../resources/app/offline/shelf');
    signIn(`club-${++clubs}`);
});

describe('taps', () => {
    test('are stored first, then sent in the order they were tapped, without what only the device needs', async () => {
        await lying(tap('s', { id: 'second', seq: 2 }), tap('s', { id: 'first', seq: 1 }));
        await store.flush();
        const [request] = to('/events');
        expect(request && idsOf(request)).toEqual(['first', 'second']);
        expect(Object.keys((request?.body as { events: object[] }).events[0] ?? {})).not.toContain('sending');
        expect(await sendings('s')).toEqual(['sent', 'sent']);
        expect(await store.unsent()).toEqual({ waiting: 0, refused: 0, held: 0 });
    });

    test('count as kept as soon as they are stored, whatever the server does', async () => {
        answer = () => 'hangs up';
        expect(await store.keepTaps([tap('s')])).toBe(true);
        expect(await store.waitingOf('s')).toBe(1);
        answer = takesAll;
        await store.flush();
        await store.flush();
        expect(await store.waitingOf('s')).toBe(0);
    });

    test('go on one by one when some cannot be taken together: the bad one is set aside with its reason', async () => {
        answer = (path, body: { events: { id: string }[] }) =>
            path.endsWith('/events') && body.events.some(({ id }) => id === 'bad')
                ? refusal(422, 'This time has not come yet.')
                : takesAll(path, body);
        await lying(tap('s', { id: 'good' }), tap('s', { id: 'bad' }), tap('s', { id: 'better' }));
        await store.flush();
        const byId = Object.fromEntries((await store.tapsOf('s')).map((each) => [each.id, each]));
        expect([byId.good?.sending, byId.bad?.sending, byId.better?.sending]).toEqual(['sent', 'refused', 'sent']);
        expect((await store.setAside()).map(({ id, why }) => [id, why])).toEqual([
            ['bad', 'This time has not come yet.'],
        ]);
    });

    test('what the server refuses by name is set aside, the rest of the same request is sent', async () => {
        answer = (path, body: { events: { id: string }[] }) =>
            path.endsWith('/events')
                ? { status: 200, body: { kept: ['mine'], refused: { theirs: 'This id is on another sheet.' } } }
                : takesAll(path, body);
        await lying(tap('s', { id: 'mine' }), tap('s', { id: 'theirs' }));
        await store.flush();
        expect((await store.tapsOf('s')).map((each) => [each.id, each.sending, each.why])).toEqual([
            ['mine', 'sent', null],
            ['theirs', 'refused', 'This id is on another sheet.'],
        ]);
    });

    test.each([
        [404, 'refused'],
        [403, 'refused'],
        [500, 'waiting'],
    ])('a sheet that answers %i holds up no other: its taps are %s', async (status, sending) => {
        answer = (path, body) => (path.includes('/gone/') ? refusal(status, 'Not here.') : takesAll(path, body));
        await lying(tap('gone'), tap('gone'), tap('here'));
        await store.flush();
        expect(await sendings('gone')).toEqual([sending, sending]);
        expect(await sendings('here')).toEqual(['sent']);
    });

    test.each([401, 419, 429, 503])(
        'an answer of %i stops all: nothing is refused, nothing else is tried',
        async (status) => {
            answer = () => refusal(status, 'Later.');
            await lying(tap('a'), tap('b'));
            await store.flush();
            expect(to('/events')).toHaveLength(1);
            expect([await sendings('a'), await sendings('b')]).toEqual([['waiting'], ['waiting']]);
        },
    );

    test('more than a batch goes in batches, all of it', async () => {
        await lying(...Array.from({ length: 450 }, (_, i) => tap('s', { id: `tap-${i}`, seq: i })));
        await store.flush();
        expect(to('/events').map((each) => idsOf(each).length)).toEqual([200, 200, 50]);
        expect(new Set(to('/events').flatMap(idsOf)).size).toBe(450);
    });

    test('sent again after they were set aside, they may be taken', async () => {
        answer = () => refusal(404, 'This sheet is gone.');
        await lying(tap('s', { id: 'again' }));
        await store.flush();
        expect(await sendings('s')).toEqual(['refused']);
        answer = takesAll;
        await store.sendAgain();
        expect(await sendings('s')).toEqual(['sent']);
    });

    test('only what was written to a file leaves the device', async () => {
        answer = () => refusal(404, 'This sheet is gone.');
        await lying(tap('s', { id: 'written' }));
        await store.flush();
        const written = await store.setAside();
        await lying(tap('s', { id: 'refused-since', sending: 'refused' }));
        await store.dropSetAside(written);
        expect((await store.tapsOf('s')).map(({ id }) => id)).toEqual(['refused-since']);
    });
});

test('a session ends only when nothing of its sheets is left on the device', async () => {
    answer = takesAll;
    await lying(tap('a'));
    await lying(tap('b'));
    await store.sendAllOf(['a', 'b']);
    expect(await sendings('a')).toEqual(['sent']);
    answer = () => 'hangs up';
    await lying(tap('a', { id: 'late' }));
    await lying(tap('c', { id: 'another session' }));
    await expect(store.sendAllOf(['a', 'b'])).rejects.toThrow('1 taps wait on this device');
    await store.sendAllOf(['b']);
});

describe('where the device stores nothing', () => {
    beforeEach(async () => {
        const full = new Error('QuotaExceededError');
        vi.spyOn((await shelves.shelf())?.taps ?? never(), 'bulkPut').mockRejectedValue(full);
    });

    test('a tap counts once the server has it', async () => {
        expect(await store.keepTaps([tap('s', { id: 'loose' })])).toBe(true);
        expect(to('/events').flatMap(idsOf)).toEqual(['loose']);
        expect(store.stores()).toBe(false);
    });

    test('without a connection it does not count, is told apart, and goes when the connection is back', async () => {
        answer = () => 'hangs up';
        expect(await store.keepTaps([tap('s', { id: 'held' })])).toBe(false);
        expect((await store.unsent()).held).toBe(1);
        answer = takesAll;
        await store.flush();
        expect((await store.unsent()).held).toBe(0);
        expect((await store.tapsOf('s')).map(({ id, sending }) => [id, sending])).toEqual([['held', 'sent']]);
    });
});

test('a report refused for good is set aside, one the server fails on waits, neither holds the next up', async () => {
    answer = (path, body: { reports?: Report[] }) => {
        const id = body?.reports?.[0]?.id;
        if (id === 'bad') return refusal(422, 'No such place.');
        return id === 'unlucky' ? refusal(500, 'Something broke.') : takesAll(path, body as never);
    };
    await store.keepReports('mira', [report('bad'), report('unlucky'), report('good')]);
    await store.flush();
    const kept = Object.fromEntries((await store.reportsOf('mira')).map((each) => [each.id, each.sending]));
    expect(kept).toEqual({ bad: 'refused', unlucky: 'waiting', good: 'sent' });
});

test('a kept answer is shown while the server is out of reach, and covers no refusal', async () => {
    answer = () => ({ status: 200, body: { date: '2026-11-26' } });
    expect(await store.answerOrKept('/api/today', () => client.api('GET', '/api/today'))).toEqual({
        date: '2026-11-26',
    });
    answer = () => 'hangs up';
    expect(await store.answerOrKept('/api/today', () => client.api('GET', '/api/today'))).toEqual({
        date: '2026-11-26',
    });
    expect(store.isOutOfReach()).toBe(true);
    await expect(store.answerOrKept('/api/plan', () => client.api('GET', '/api/plan'))).rejects.toThrow('out of reach');
    answer = () => refusal(403, 'Not yours.');
    await expect(store.answerOrKept('/api/today', () => client.api('GET', '/api/today'))).rejects.toThrow('Not yours.');
});

describe('a second person on the same device', () => {
    test('sees nothing of the first, sends nothing for them; the server hears that counts are missing', async () => {
        await lying(tap('s', { id: 'anna’s' }), tap('s'));
        const anna = `club-${clubs}`;
        signIn(`${anna}-ben`);
        expect(await store.tapsOf('s')).toEqual([]);
        expect((await store.ofOthers()).find(({ person }) => person.key === anna)).toEqual({
            person: { key: anna, name: anna },
            taps: 2,
            athletes: { mira: 2 },
        });
        await store.flush();
        expect(to('/events')).toEqual([]);
        const [told] = to('/api/me/missing-counts');
        expect((told?.body as { athletes: object[] }).athletes).toContainEqual({ athlete_id: 'mira', count: 2 });

        signIn(anna);
        await store.flush();
        expect(to('/events').flatMap(idsOf)).toContain('anna’s');
        expect(await store.waitingOf('s')).toBe(0);
    });

    test('signing out without a connection leaves nothing on screen, and is made up for first', async () => {
        await store.answerOrKept('/api/today', () => client.api('GET', '/api/today'));
        answer = () => 'hangs up';
        await store.signOut();
        await expect(store.answerOrKept('/api/today', () => client.api('GET', '/api/today'))).rejects.toThrow(
            'out of reach',
        );
        await expect(store.whoIsHere()).rejects.toThrow('signed out here');
        answer = (path) => (path === '/api/me' ? refusal(401, 'Nobody is signed in.') : { status: 200 });
        sent = [];
        await expect(store.whoIsHere()).rejects.toThrow('Nobody is signed in.');
        expect(sent.map(({ path }) => path)).toEqual(['/api/sign-out', '/api/me']);
    });
});

function never(): never {
    throw new Error('Somebody is here.');
}
