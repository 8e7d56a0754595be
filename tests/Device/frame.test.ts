import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import {
    changeBetween,
    figureOf,
    judge,
    limbLengths,
    type Points,
    type Setting,
    type Side,
    spreadOf,
    turnedBy,
} from '../../resources/app/rules/frame';

type Example = {
    throwing: Side;
    setting: Setting;
    points: Record<string, [number, number, number]>;
    figures: Record<string, [number, number] | null>;
    lengths: Record<string, number>;
    longest: Record<string, number>;
    turned: Record<string, number | null>;
};
type Band = { low: number | null; high: number | null; value: number; spread: number; look: string };

type Change = { first: [number, number]; second: [number, number]; by: number; off: number; isTold: boolean };

const said = JSON.parse(readFileSync(new URL('../examples/frames.json', import.meta.url), 'utf8')) as {
    frames: Example[];
    bands: Band[];
    changes: Change[];
};
const LENGTHS = ['wrist_above_elbow', 'elbow_above_shoulder', 'ball_above_shoulder', 'ball_forward', 'landing_offset'];

describe('a picture measures on the device as in the core', () => {
    test.each(said.frames.map((frame, i) => [i, frame] as const))(
        'example %i',
        (_, { throwing, setting, ...frame }) => {
            const points = Object.fromEntries(
                Object.entries(frame.points).map(([name, [x, y]]) => [name, [x, y]]),
            ) as Points;
            const spreads = Object.fromEntries(Object.entries(frame.points).map(([name, at]) => [name, at[2]]));
            const picture = { points, throwing, setting };
            for (const [figure, expected] of Object.entries(frame.figures)) {
                const value = figureOf(figure, picture);
                const spread = spreadOf(figure, LENGTHS.includes(figure) ? 'trunk' : 'deg', picture, spreads);
                if (expected === null) {
                    expect([figure, value, spread]).toEqual([figure, null, null]);
                } else {
                    expect(value, figure).toBeCloseTo(expected[0], 9);
                    expect(spread, figure).toBeCloseTo(expected[1], 6);
                }
            }
        },
    );

    test('and how far a limb is turned out of the picture', () => {
        let told = 0;
        for (const { throwing, points: at, lengths, longest, turned } of said.frames) {
            const points = Object.fromEntries(Object.entries(at).map(([name, [x, y]]) => [name, [x, y]])) as Points;
            expect(Object.keys(limbLengths(points))).toEqual(Object.keys(lengths));
            for (const [limb, length] of Object.entries(limbLengths(points)))
                expect(length, limb).toBeCloseTo(lengths[limb] ?? NaN, 9);
            for (const [joint, joints] of Object.entries({
                elbow: ['shoulder', 'elbow', 'wrist'],
                knee: ['hip', 'knee', 'ankle'],
            })) {
                const needs = joints.map((each) => `${throwing}_${each}`);
                const expected = turned[`throwing_${joint}`] ?? null;
                const value = turnedBy(needs, points, longest);
                if (expected === null) expect(value).toBeNull();
                else expect(value).toBeCloseTo(expected, 6);
                told += expected === null ? 0 : 1;
            }
        }
        expect(told).toBeGreaterThan(10);
    });

    test('and what a band makes of a figure is the same', () => {
        for (const each of said.bands)
            expect(judge(each, each.value, each.spread), JSON.stringify(each)).toBe(each.look);
    });

    test('and so is a change from one picture to another', () => {
        for (const { first, second, by, off, isTold } of said.changes) {
            const figure = ([value, spread]: [number, number]) => ({ value, spread });
            const change = changeBetween(figure(first), figure(second));
            expect(change.by).toBeCloseTo(by, 12);
            expect(change.off).toBeCloseTo(off, 12);
            expect(change.isTold).toBe(isTold);
        }
    });
});
