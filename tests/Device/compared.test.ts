import { describe, expect, it } from 'vitest';
import type { Season } from '../../resources/app/api/client';
import { compared } from '../../resources/app/screens/season/compared';

const week = (monday: string, arm: number, own_reps: number, share = 0.5) => ({
    monday,
    arm,
    landings: 200,
    own_reps,
    fullest: 'arm load of a week',
    fullest_share: share,
    days: [{ kind: 'session' }, { kind: 'rest' }],
});

const season = (with_: Partial<Season>): Season =>
    ({
        rungs: [
            { id: 'a', name: 'First' },
            { id: 'b', name: 'Second' },
        ],
        goal_rung: 'b',
        goal_on: '2027-03-01',
        date: '2027-01-05',
        weekdays: [1, 3],
        minutes: null,
        tests: false,
        expected: [{ id: 'b', name: 'Second', early: null, likely: '2027-02-01', late: null }],
        weeks: [week('2026-12-28', 60, 30), week('2027-01-04', 40, 20), week('2027-01-11', 50, 24, 0.9)],
        ...with_,
    }) as Season;

describe('two plans side by side', () => {
    it('name only what is asked differently, and what comes of both', () => {
        const other = season({
            weekdays: [1, 3, 5],
            expected: [{ id: 'b', name: 'Second', early: null, likely: null, late: null }],
            weeks: [week('2027-01-11', 30, 10)] as Season['weeks'],
        });
        const { lines } = compared(season({}), other);
        const line = (what: string) => lines.find((each) => each.what === what);
        expect(line('Training days')).toEqual({ what: 'Training days', was: 'Mon, Wed', now: 'Mon, Wed, Fri' });
        expect(line('Goal day')).toBeUndefined();
        expect(line('“Second” likely')?.now).toBe('not in half a year');
        expect([line('Reps of the rungs ahead')?.was, line('Reps of the rungs ahead')?.now]).toEqual(['44', '10']);
        expect([line('Units ahead')?.was, line('Sessions ahead')?.was]).toEqual(['90', '2']);
        expect(line('Fullest limit')?.was).toBe('90 % arm load of a week');
    });

    it('stand on one calendar, where one has no such week as well', () => {
        const { weeks } = compared(season({}), season({ weeks: [week('2027-01-18', 30, 10)] as Season['weeks'] }));
        expect(weeks.map((each) => [each.monday, each.was?.units ?? null, each.now?.units ?? null])).toEqual([
            ['2027-01-04', 40, null],
            ['2027-01-11', 50, null],
            ['2027-01-18', null, 30],
        ]);
    });
});
