import { describe, expect, test } from 'vitest';
import {
    asksAt,
    counted,
    emptyDraft,
    type FilmLadder,
    marked,
    markOf,
    needsAt,
    nextPoint,
    pointed,
    proposed,
    said,
    secondsAt,
    spreadsOf,
    toKeep,
} from '../../resources/app/screens/film/marks';

const measure = (moment: string, needs: string[]) => ({
    moment,
    figure: 'throwing_elbow',
    name: 'Elbow',
    unit: 'deg' as const,
    low: 150,
    high: null,
    needs,
    needs_runway: false,
});
const checkpoint = (id: string, of: ReturnType<typeof measure> | null) => ({
    id,
    name: id,
    good: '',
    safety: false,
    measure: of,
});
const ladder: FilmLadder = {
    id: 'serve',
    name: 'Serve',
    rung: 'line',
    rung_name: 'From the line',
    side: 'right',
    moments: ['back', 'contact'].map((id) => ({ id, name: id, text: '', find: null })),
    checkpoints: [
        checkpoint('grip', null),
        checkpoint('arm', measure('contact', ['right_shoulder', 'right_elbow'])),
        checkpoint('high', measure('contact', ['right_elbow', 'ball'])),
    ],
    faults: [],
    counted: [],
};

describe('what is asked at a moment', () => {
    test('the checkpoints with a measure there, and each point once', () => {
        expect(asksAt(ladder, 'contact').map(({ id }) => id)).toEqual(['arm', 'high']);
        expect(needsAt(ladder, 'contact')).toEqual(['right_shoulder', 'right_elbow', 'ball']);
        expect(needsAt(ladder, 'back')).toEqual([]);
        expect(nextPoint(['a', 'b'], { a: [1, 2] })).toBe('b');
        expect(nextPoint(['a'], { a: [1, 2] })).toBeNull();
    });
});

describe('marks on a clip', () => {
    const marks = marked(emptyDraft('right'), 1, 'contact', 40);
    const arm = pointed(marks, 1, 'contact', 'right_elbow', [10, 20]);

    test('points lie on the picture they were put on: on another one they say nothing', () => {
        expect(markOf(arm, 1, 'contact')?.points).toEqual({ right_elbow: [10, 20] });
        expect(marked(arm, 1, 'contact', 40)).toBe(arm);
        expect(markOf(marked(arm, 1, 'contact', 41), 1, 'contact')).toEqual({
            rep: 1,
            moment: 'contact',
            no: 41,
            points: {},
            proposed: [],
        });
    });

    test('a point is moved, taken away, and not put where no moment is marked', () => {
        expect(markOf(pointed(arm, 1, 'contact', 'right_elbow', [11, 20]), 1, 'contact')?.points).toEqual({
            right_elbow: [11, 20],
        });
        expect(markOf(pointed(arm, 1, 'contact', 'right_elbow', null), 1, 'contact')?.points).toEqual({});
        expect(pointed(arm, 2, 'contact', 'right_elbow', [1, 1])).toBe(arm);
    });

    test('what was said is taken back by saying it once more, and changed by saying the other', () => {
        const right = said(arm, 1, 'arm', 'right');
        expect(right.seen).toEqual([{ rep: 1, checkpoint: 'arm', verdict: 'right' }]);
        expect(said(right, 1, 'arm', 'right').seen).toEqual([]);
        expect(said(right, 1, 'arm', 'wrong').seen).toEqual([{ rep: 1, checkpoint: 'arm', verdict: 'wrong' }]);
        expect(said(right, 2, 'arm', 'right').seen).toHaveLength(2);
    });

    test('what is kept: points with how far off a hand puts them, seconds as filmed, the taps that were named', () => {
        const named = counted(counted(arm, 1, 'tap-1'), 2, 'tap-2');
        const about = {
            pictures: [],
            id: 'clip',
            ladder,
            filmedOn: '2027-05-20',
            times: [0, 1 / 30],
            spreads: { handPx: 1.5, modelPx: 8 },
        };
        const kept = toKeep(counted({ ...named, rate: 240 }, 2, ''), about);
        expect(kept.marks).toEqual([
            { rep: 1, moment: 'contact', picture_no: 40, time_s: 40 / 240, points: { right_elbow: [10, 20, 1.5] } },
        ]);
        expect(kept.counted).toEqual([{ rep: 1, event_id: 'tap-1' }]);
    });

    test('what the model proposes is wider, gives way to a hand, and is one’s own once it is touched', () => {
        const found = proposed(arm, 1, 'contact', { right_elbow: [99, 99], right_wrist: [50, 60] });
        expect(markOf(found, 1, 'contact')?.points).toEqual({ right_elbow: [10, 20], right_wrist: [50, 60] });
        const wide = { handPx: 1, modelPx: 8 };
        const spreads = (draft: typeof found) => {
            const mark = markOf(draft, 1, 'contact');
            return mark && spreadsOf(mark, wide);
        };
        expect(spreads(found)).toEqual({ right_elbow: 1, right_wrist: 8 });
        expect(spreads(pointed(found, 1, 'contact', 'right_wrist', [51, 60]))).toEqual({
            right_elbow: 1,
            right_wrist: 1,
        });
        const again = proposed(found, 1, 'contact', { right_shoulder: [5, 5] });
        expect(markOf(again, 1, 'contact')?.points).toEqual({ right_elbow: [10, 20], right_shoulder: [5, 5] });
        expect(proposed(found, 2, 'contact', {})).toBe(found);
    });

    test('without a known rate seconds are those of the file', () => {
        expect(secondsAt([0, 0.04, 0.08], 2, null)).toBe(0.08);
        expect(secondsAt([0, 0.04, 0.08], 2, 240)).toBe(2 / 240);
        expect(secondsAt([], 2, null)).toBe(0);
    });
});
