import { describe, expect, test } from 'vitest';
import { type Hit, HitEar, LESSON, own, taught } from '../../resources/app/listen/hits';
import { type Place, RATE, wallPractice } from '../sound';

const BLOCK = 128;

/** As the page does it: taught by the first hits, and then as taught. */
function listen(sound: Float32Array): Hit[] {
    const ear = new HitEar(RATE);
    let heard: Hit[] = [];
    let learns = true;
    for (let at = 0; at < sound.length; at += BLOCK)
        for (const hit of ear.push(sound.subarray(at, at + BLOCK))) {
            heard = learns ? own([...heard, hit]) : [...heard, hit];
            if (!learns || heard.length < LESSON) continue;
            learns = false;
            ear.learn(taught(heard));
        }
    return heard;
}

const CLOSE_S = 0.05;
/** Minutes of sound are made and listened to, on a machine that may be busy. */
const SLOW_MS = 60_000;

/** Of what was heard, how much was a hit; of the hits, how many were heard. Counted after the lesson. */
function judged(place: Place, seeds: number[]): { precision: number; recall: number } {
    let [heardAll, right, hitsAll, found] = [0, 0, 0, 0];
    for (const seed of seeds) {
        const { sound, times } = wallPractice(place, 40, [1.2, 2], seed);
        const heard = listen(sound);
        const from = heard[LESSON - 1]?.atS ?? 0;
        const late = heard.filter(({ atS }) => atS > from);
        const hits = times.filter((time) => time > from + CLOSE_S);
        const isHit = ({ atS }: Hit): boolean => hits.some((time) => Math.abs(time - atS) < CLOSE_S);
        heardAll += late.length;
        right += late.filter(isHit).length;
        hitsAll += hits.length;
        found += hits.filter((time) => late.some(({ atS }) => Math.abs(time - atS) < CLOSE_S)).length;
    }
    return { precision: right / heardAll, recall: found / hitsAll };
}

describe('hits on a wall are heard, and the bounce after each is none', () => {
    test.each<[Place, number, number]>([
        ['quiet', 1, 1],
        ['hall', 0.97, 0.97],
        ['neighbour', 0.97, 0.97],
        ['talking', 0.95, 0.85],
    ])(
        '%s: precision at least %d, recall at least %d',
        (place, least, found) => {
            const { precision, recall } = judged(place, [1, 2, 3]);
            console.log(`${place}: precision ${precision.toFixed(3)}, recall ${recall.toFixed(3)}`);
            expect(precision).toBeGreaterThanOrEqual(least);
            expect(recall).toBeGreaterThanOrEqual(found);
        },
        SLOW_MS,
    );
});

test(
    'where nobody hits, nothing is heard',
    () => {
        const { sound } = wallPractice('talking', 0, [1, 1], 9);
        const long = new Float32Array(20 * RATE);
        for (let i = 0; i < long.length; i++) long[i] = sound[i % sound.length] ?? 0;
        expect(listen(long)).toEqual([]);
    },
    SLOW_MS,
);

test('the lesson: the level in the middle, and less than half of the shortest time between two', () => {
    const hits = [-20, -26, -22, -21, -19].map((levelDb, i) => ({ levelDb, atS: 2 * i }));
    expect(taught(hits)).toEqual({ levelDb: -21, deadS: 0.9 });
    expect(taught(hits.map((hit) => ({ ...hit, atS: hit.atS / 10 }))).deadS).toBe(0.3);
});
