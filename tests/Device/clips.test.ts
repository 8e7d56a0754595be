import { beforeEach, describe, expect, test, vi } from 'vitest';

type Clips = typeof import('../../resources/app/offline/clips');
type Clip = Parameters<Clips['keepClips']>[1][number];

let clips: Clips;
let place: typeof import('../../resources/app/offline/place');
let told: (string | null)[];

const clip = (id: string): Clip => ({ id }) as Clip;

/** A browser that keeps things by name, as a browser does. */
function browser(kept: Map<string, string>): void {
    vi.stubGlobal('localStorage', {
        get length() {
            return kept.size;
        },
        key: (i: number) => [...kept.keys()][i] ?? null,
        getItem: (name: string) => kept.get(name) ?? null,
        setItem: (name: string, value: string) => kept.set(name, value),
        removeItem: (name: string) => kept.delete(name),
    });
}

beforeEach(async () => {
    vi.resetModules();
    const changes = new EventTarget();
    vi.doMock('../../resources/app/offline/person', () => ({ own: (name: string) => `augendo-mine-${name}` }));
    vi.doMock('../../resources/app/offline/store', () => ({ changes }));
    browser(new Map());
    place = await import('../../resources/app/offline/place');
    clips = await import('../../resources/app/offline/clips');
    told = [];
    changes.addEventListener('changed', (event) => told.push((event as CustomEvent<string | null>).detail));
});

describe('clips that are measured and not sent', () => {
    test('are kept for each athlete apart, and those who show the number are told', () => {
        clips.keepClips('noor', [clip('a'), clip('b')]);
        clips.keepClips('yuna', [clip('c')]);
        expect(clips.clipsOf('noor')).toEqual([{ id: 'a' }, { id: 'b' }]);
        expect(clips.clipsOf('yuna')).toEqual([{ id: 'c' }]);
        expect(clips.clipsOf('mira')).toEqual([]);
        expect(told).toEqual([null, null]);
    });
    test('leave nothing behind once they are sent', () => {
        clips.keepClips('noor', [clip('a')]);
        clips.keepClips('noor', []);
        expect(clips.clipsOf('noor')).toEqual([]);
        expect(place.namesFrom('augendo-mine-film-unsent')).toEqual([]);
        expect(clips.clipsWaiting()).toBe(0);
    });
    test('are counted over all athletes, and those of another person on the device are not', () => {
        clips.keepClips('noor', [clip('a'), clip('b')]);
        clips.keepClips('yuna', [clip('c')]);
        place.remember('augendo-other-film-unsent-noor', JSON.stringify([clip('d')]));
        place.remember('augendo-mine-film-marks', '[1, 2]');
        expect(clips.clipsWaiting()).toBe(3);
    });
    test('outlive the page', async () => {
        clips.keepClips('noor', [clip('a')]);
        vi.resetModules();
        const again = await import('../../resources/app/offline/clips');
        expect(again.clipsOf('noor')).toEqual([{ id: 'a' }]);
    });
});
