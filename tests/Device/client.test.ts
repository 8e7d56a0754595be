import { beforeEach, describe, expect, test, vi } from 'vitest';

type Call = { path: string; init: { method: string; headers: Record<string, string>; body?: string } };

let calls: Call[] = [];
let answer: () => Promise<Response>;
let client: typeof import('../../resources/app/api/client');
let person: typeof import('../../resources/app/offline/person');
const reload = vi.fn();

const json = (status: number, body: unknown): (() => Promise<Response>) => {
    const text = JSON.stringify(body);
    return () => Promise.resolve(new Response(text, { status }));
};
const refused = async (asked: Promise<unknown>): Promise<InstanceType<typeof client.Problem>> => {
    const error = await asked.then(
        () => null,
        (problem: unknown) => problem,
    );
    if (!(error instanceof client.Problem)) throw new Error('It was not refused.');
    return error;
};
const last = (): Call => {
    const call = calls.at(-1);
    if (!call) throw new Error('Nothing was asked.');
    return call;
};

beforeEach(async () => {
    vi.resetModules();
    calls = [];
    reload.mockReset();
    answer = json(200, {});
    vi.stubGlobal('document', { cookie: 'other=1; XSRF-TOKEN=a%3Db; more=2' });
    vi.stubGlobal('window', { location: { reload } });
    vi.stubGlobal('fetch', (path: string, init: Call['init']) => {
        calls.push({ path, init });
        return answer();
    });
    client = await import('../../resources/app/api/client');
    person = await import('../../resources/app/offline/person');
});

describe('what is asked', () => {
    test('a look carries the token of the cookie and no body', async () => {
        await client.api('GET', '/api/plan');
        expect(last().path).toBe('/api/plan');
        expect(last().init.method).toBe('GET');
        expect(last().init.body).toBeUndefined();
        expect(last().init.headers).toEqual({ Accept: 'application/json', 'X-XSRF-TOKEN': 'a=b' });
    });

    test('what is sent is JSON, and says so', async () => {
        await client.api('POST', '/api/me/pace', { pace_m: 0.8 });
        expect(last().init.headers['Content-Type']).toBe('application/json');
        expect(JSON.parse(last().init.body ?? '')).toEqual({ pace_m: 0.8 });
    });

    test('what is not known is left out of the address, and blanks are written as they must be', async () => {
        await client.api('GET', '/api/today', undefined, { query: { squad: 7, other: null, name: 'a b&c' } });
        expect(last().path).toBe('/api/today?squad=7&name=a+b%26c');
        await client.api('GET', '/api/today', undefined, { query: { squad: null } });
        expect(last().path).toBe('/api/today');
    });

    test('without a cookie there is no token', async () => {
        vi.stubGlobal('document', { cookie: '' });
        await client.api('GET', '/api/plan');
        expect(last().init.headers['X-XSRF-TOKEN']).toBe('');
    });

    test('it says for whom it speaks, but for a link, and where nobody has to be known', async () => {
        person.sitDown({ key: '1-2', name: 'Robin' });
        await client.api('GET', '/api/plan');
        expect(last().init.headers['X-Augendo-Person']).toBe('1-2');
        await client.api('GET', '/api/link/check-in', undefined, { linkToken: 'secret' });
        expect(last().init.headers['X-Augendo-Person']).toBeUndefined();
        expect(last().init.headers['X-Link-Token']).toBe('secret');
        await client.api('GET', '/api/me');
        expect(last().init.headers['X-Augendo-Person']).toBeUndefined();
    });

    test('a token is fetched before somebody signs in', async () => {
        await client.signIn('coach@club.example', 'a long password');
        expect(calls.map(({ path }) => path)).toEqual(['/sanctum/csrf-cookie', '/api/sign-in']);
    });
});

describe('what is answered', () => {
    test('an empty answer is nothing, and what is no JSON is nothing either', async () => {
        answer = () => Promise.resolve(new Response(null, { status: 204 }));
        expect(await client.api('POST', '/api/me/pace', { pace_m: 1 })).toBeNull();
        answer = () => Promise.resolve(new Response('<html>', { status: 200 }));
        expect(await client.api('GET', '/api/plan')).toBeNull();
    });

    test('no connection is told apart from a refusal, whether asking or reading breaks off', async () => {
        answer = () => Promise.reject(new TypeError('Failed to fetch'));
        const away = await refused(client.api('GET', '/api/plan'));
        expect([away.status, away.isOffline]).toEqual([0, true]);
        const torn = new ReadableStream({
            start: (stream) => stream.error(new TypeError('broken off')),
        });
        answer = () => Promise.resolve(new Response(torn, { status: 200 }));
        expect((await refused(client.api('GET', '/api/plan'))).isOffline).toBe(true);
    });

    test('a refusal says what the server says, with the fields it is about and its kind', async () => {
        answer = json(422, {
            type: 'https://augendo.example/problems/over-a-hard-limit',
            title: 'Over a hard limit',
            detail: '12 left.',
            errors: { 'blocks.0.reps': ['At most 12.'] },
        });
        const problem = await refused(client.api('GET', '/api/plan'));
        expect(problem.isOffline).toBe(false);
        expect([problem.status, problem.title, problem.message]).toEqual([422, 'Over a hard limit', '12 left.']);
        expect(problem.errors).toEqual({ 'blocks.0.reps': ['At most 12.'] });
        expect(problem.type).toBe('https://augendo.example/problems/over-a-hard-limit');
    });

    test('a refusal without words gets some', async () => {
        answer = () => Promise.resolve(new Response('Bad Gateway', { status: 502 }));
        const problem = await refused(client.api('GET', '/api/plan'));
        expect([problem.title, problem.message]).toEqual(['This did not work', 'The server answered 502.']);
        expect(problem.errors).toEqual({});
        expect(problem.type).toBe('about:blank');
    });

    test.each([
        ['/api/plan', undefined, 1],
        ['/api/me', undefined, 0],
        ['/api/link/check-in', 'secret', 0],
    ] as const)(
        'an ended session is told to the page: %s with the link %s, %i times',
        async (path, linkToken, times) => {
            const told = vi.fn();
            client.signedOut.addEventListener('signed-out', told);
            answer = json(401, { title: 'Not signed in' });
            const ways = linkToken === undefined ? {} : { linkToken };
            await refused(client.api('GET', path as '/api/plan', undefined, ways));
            expect(told).toHaveBeenCalledTimes(times);
        },
    );

    test('what was asked before a sign-in and is answered after it ends nothing', async () => {
        const told = vi.fn();
        client.signedOut.addEventListener('signed-out', told);
        let answerLate: (response: Response) => void = () => undefined;
        answer = () => new Promise((resolve) => (answerLate = resolve));
        const asked = refused(client.api('GET', '/api/plan'));
        answer = json(200, {});
        await client.signIn('coach@saltmarsh.example', 'saltmarsh');
        answerLate(new Response('{}', { status: 401 }));
        expect((await asked).status).toBe(401);
        expect(told).not.toHaveBeenCalled();
    });

    test('when another person has signed in on this device the page begins anew', async () => {
        const told = vi.fn();
        client.signedOut.addEventListener('signed-out', told);
        answer = json(401, { code: 'other_person' });
        await refused(client.api('GET', '/api/plan'));
        expect(reload).toHaveBeenCalledOnce();
        expect(told).not.toHaveBeenCalled();
    });
});
