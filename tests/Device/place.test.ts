import { beforeEach, describe, expect, test, vi } from 'vitest';

let place: typeof import('../../resources/app/offline/place');
let person: typeof import('../../resources/app/offline/person');
let kept: Map<string, string>;

/** A browser that keeps things by name, as long as it may. */
function browser(mayKeep: boolean): void {
    const refuse = (): never => {
        throw new DOMException('denied', 'SecurityError');
    };
    vi.stubGlobal('localStorage', {
        getItem: (name: string) => (mayKeep ? (kept.get(name) ?? null) : refuse()),
        setItem: (name: string, value: string) => (mayKeep ? kept.set(name, value) : refuse()),
        removeItem: (name: string) => (mayKeep ? kept.delete(name) : refuse()),
    });
}
const load = async (): Promise<void> => {
    vi.resetModules();
    place = await import('../../resources/app/offline/place');
    person = await import('../../resources/app/offline/person');
};

beforeEach(async () => {
    kept = new Map();
    browser(true);
    await load();
});

describe('what a browser keeps by name', () => {
    test('outlives the page where it may be kept, and is gone when it is forgotten', async () => {
        expect(place.recall('unit')).toBeNull();
        expect(place.remember('unit', 'metres')).toBe(true);
        await load();
        expect(place.recall('unit')).toBe('metres');
        place.forget('unit');
        expect(place.recall('unit')).toBeNull();
    });

    test('is kept as long as the page is open where nothing may be kept, and says so', async () => {
        browser(false);
        await load();
        expect(place.remember('unit', 'metres')).toBe(false);
        expect(place.recall('unit')).toBe('metres');
        place.forget('unit');
        expect(place.recall('unit')).toBeNull();
        place.remember('unit', 'feet');
        await load();
        expect(place.recall('unit')).toBeNull();
    });
});

describe('who is here', () => {
    test('nobody, until somebody sits down; then it is them, also on the next page', async () => {
        expect(person.personHere()).toBeNull();
        expect(person.own('lock')).toBe('augendo-nobody-lock');
        person.sitDown({ key: '1-2', name: 'Robin' });
        expect(person.own('lock')).toBe('augendo-1-2-lock');
        await load();
        expect(person.personHere()).toEqual({ key: '1-2', name: 'Robin' });
    });

    test('everybody who ever sat down is known once, the last one last', () => {
        person.sitDown({ key: 'a', name: 'Robin' });
        person.sitDown({ key: 'b', name: 'Kim' });
        person.sitDown({ key: 'a', name: 'Robin Sand' });
        expect(person.everybody()).toEqual([
            { key: 'b', name: 'Kim' },
            { key: 'a', name: 'Robin Sand' },
        ]);
    });

    test('who gets up leaves a sign-out that is owed until it is done', async () => {
        person.sitDown({ key: 'a', name: 'Robin' });
        expect(person.signOutIsOwed()).toBe(false);
        person.getUp();
        expect(person.personHere()).toBeNull();
        await load();
        expect([person.personHere(), person.signOutIsOwed()]).toEqual([null, true]);
        person.signOutIsDone();
        expect(person.signOutIsOwed()).toBe(false);
        expect(person.everybody()).toHaveLength(1);
    });

    test('a device has one name, and keeps it', async () => {
        const name = person.deviceId();
        expect(name).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
        expect(person.deviceId()).toBe(name);
        await load();
        expect(person.deviceId()).toBe(name);
    });
});
