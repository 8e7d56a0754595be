import { describe, expect, test } from 'vitest';
import type { Points, Side } from '../../resources/app/rules/frame';
import { drawnClip, jointsAt } from '../../resources/app/screens/film/drawn';
import type { FilmLadder } from '../../resources/app/screens/film/marks';
import { proposeMoments } from '../../resources/app/screens/film/proposeMoments';

type Moment = FilmLadder['moments'][number];
const moment = (id: string, find: Moment['find']): Moment => ({ id, name: id, text: '', find });
const SERVE: Moment[] = [
    moment('toss', null),
    moment('loaded', 'hips_lowest'),
    moment('drop', 'hand_back'),
    moment('contact', 'hand_highest'),
    moment('landing', 'foot_down'),
];
const TRY_S = 2.4;
/** When the drawn serve has them. */
const TRUE_S: Record<string, number> = { loaded: 0.7, drop: 0.95, contact: 1.1, landing: 1.35 };

/** A clip of so many tries, as it was filmed, and where the joints are on each picture. */
function filmed(rate: number, tries: number, side: Side, blur: (points: Points, no: number) => Points = (p) => p) {
    const times = Array.from({ length: Math.round(tries * TRY_S * rate) }, (_, no) => no / rate);
    return { times, look: (no: number) => Promise.resolve(blur(jointsAt((no / rate) % TRY_S, side), no)) };
}

/** The same for everybody: a hash of a number, from -1 to 1. */
const jitter = (n: number): number => ((Math.sin(n * 12.9898) * 43758.5453) % 1) * 2;
const about = (throwing: Side) => ({ moments: SERVE, throwing, target: 'right' as const });

describe('moments proposed from where the joints are', () => {
    for (const rate of [25, 30, 60, 240])
        test(`every moment of three tries at ${rate} pictures a second`, async () => {
            const { times, look } = filmed(rate, 3, 'right');
            const told: number[] = [];
            const found = await proposeMoments({ times }, about('right'), look, (looked) => told.push(looked));
            expect(found).toMatchObject({ reps: 3, jumps: 0, withSomebody: found.looked });
            for (const mark of found.marks) {
                const trueS = (mark.rep - 1) * TRY_S + (TRUE_S[mark.moment] ?? NaN);
                expect(Math.abs((times[mark.no] ?? NaN) - trueS), `${mark.moment} ${mark.rep}`).toBeLessThan(0.07);
            }
            expect(found.marks).toHaveLength(12);
            // Each picture once, and of many pictures few.
            expect(told).toEqual(told.map((_, i) => i + 1));
            if (rate === 240) expect(found.looked).toBeLessThan(times.length);
        });

    test('of a left-hander, with points that tremble and some that are not found', async () => {
        const { times, look } = filmed(60, 4, 'left', (points, no) =>
            Object.fromEntries(
                Object.entries(points).flatMap(([name, [x, y]], i) =>
                    (no + i) % 13 === 0
                        ? []
                        : [[name, [x + 3 * jitter(no * 31 + i), y + 3 * jitter(no + i * 17)] as const]],
                ),
            ),
        );
        const found = await proposeMoments({ times }, about('left'), look, () => undefined);
        expect(found.reps).toBe(4);
        for (const mark of found.marks.filter(({ moment: id }) => id === 'contact')) {
            const trueS = (mark.rep - 1) * TRY_S + 1.1;
            expect(Math.abs((times[mark.no] ?? NaN) - trueS)).toBeLessThan(0.1);
        }
    });

    test('nobody is found: nothing is proposed, and it is told; another person is told as a jump', async () => {
        const { times, look } = filmed(30, 1, 'right');
        const nobody = await proposeMoments(
            { times },
            about('right'),
            () => Promise.resolve({}),
            () => undefined,
        );
        expect(nobody).toMatchObject({ marks: [], reps: 0, withSomebody: 0 });
        const two = (no: number): Promise<Points> =>
            look(no).then((points) =>
                no < 20
                    ? points
                    : Object.fromEntries(Object.entries(points).map(([name, [x, y]]) => [name, [x + 500, y]])),
            );
        expect((await proposeMoments({ times }, about('right'), two, () => undefined)).jumps).toBe(1);
    });

    test('it stops where somebody says so', async () => {
        const { times, look } = filmed(30, 3, 'right');
        const stop = new Error('stopped');
        const stopped = proposeMoments({ times }, about('right'), look, (looked) => {
            if (looked === 5) throw stop;
        });
        await expect(stopped).rejects.toBe(stop);
    });

    test('the figure that ships tells where its joints are', () => {
        const clip = drawnClip('right');
        expect(clip.known?.(66).right_wrist).toEqual(jointsAt(66 / 60, 'right').right_wrist);
    });
});
