import { describe, expect, test } from 'vitest';
import type { Film } from '../../resources/app/api/client';
import { bestOf, mirrored, shownOf } from '../../resources/app/screens/film/shown';

type Look = 'right' | 'wrong' | 'uncertain';

const clip = (id: string, ladder: string, filmed_on: string, reps: Look[][]) => ({
    id,
    ladder,
    filmed_on,
    reps: reps.map((looks, i) => ({ rep: i + 1, marks: [], times: [], figures: looks.map((look) => ({ look })) })),
});

const film = {
    clips: [
        clip('late', 'serve', '2027-05-20', [
            ['right', 'uncertain'],
            ['right', 'wrong'],
        ]),
        clip('other', 'throw', '2027-05-10', [['right', 'right', 'right']]),
        clip('early', 'serve', '2027-05-01', [
            ['wrong', 'wrong'],
            ['right', 'uncertain'],
        ]),
    ],
} as unknown as Film;

describe('what can be chosen to be shown', () => {
    test('every repetition of the ladder, the latest clip first, by whose it is', () => {
        const shown = shownOf(film, 'serve', 'Yuna, ');
        expect(shown.map(({ key }) => key)).toEqual(['late 1', 'late 2', 'early 1', 'early 2']);
        expect(shown[3]?.name).toMatch(/^Yuna, .*1 May.*, repetition 2$/);
    });

    test('the best has most within its bands; of two alike the latest; of none none', () => {
        expect(bestOf(shownOf(film, 'serve'))?.key).toBe('late 1');
        expect(bestOf([])).toBeUndefined();
    });

    test('a mirror changes left and right, and back again', () => {
        const points = { left_wrist: [10, 20], right_knee: [30, 40], ball: [5, 5] } as const;
        expect(mirrored(points)).toEqual({ right_wrist: [-10, 20], left_knee: [-30, 40], ball: [-5, 5] });
        expect(mirrored(mirrored(points))).toEqual(points);
    });
});
