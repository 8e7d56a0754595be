import type { Season } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { plusDays } from '../../parts/days';
import { WEEKDAYS } from '../../parts/Weekdays';

/** What is asked and what comes of it, in two plans of one athlete. */
export type Compared = {
    /** a line each: what, in the one that was set aside, and now; only where they differ, but for the totals */
    lines: { what: string; was: string; now: string }[];
    /** weeks by their Monday, with what each plan holds of them */
    weeks: { monday: string; was: WeekOf | null; now: WeekOf | null }[];
};

export type WeekOf = { units: number; reps: number; fullest: string };

const NOT_IN_HALF_A_YEAR = 'not in half a year';

const weekdaysOf = (season: Season): string => season.weekdays.map((day) => WEEKDAYS[day - 1]).join(', ');

/** Weeks that are over are the same in both. */
const weeksAhead = (season: Season) => season.weeks.filter((week) => plusDays(week.monday, 6) >= season.date);

const unitsOf = (week: Season['weeks'][number]): number => (week.arm > 0 ? week.arm : week.landings);

function asked(season: Season): [string, string][] {
    const goal = season.rungs.find((rung) => rung.id === season.goal_rung)?.name;
    return [
        ['Goal', goal ?? 'hold the rung'],
        ['Goal day', dayName(season.goal_on)],
        ['Training days', weekdaysOf(season)],
        ['Minutes', season.minutes === null ? 'open' : String(season.minutes)],
        ['Test days', season.tests ? 'yes' : 'no'],
    ];
}

function comes(season: Season): [string, string][] {
    const weeks = weeksAhead(season);
    const sum = (of: (week: Season['weeks'][number]) => number): number =>
        weeks.reduce((total, week) => total + of(week), 0);
    const sessions = weeks.flatMap((week) => week.days).filter((day) => day.kind === 'session').length;
    const fullest = [...weeks].sort((a, b) => (b.fullest_share ?? 0) - (a.fullest_share ?? 0))[0];
    return [
        ['Sessions ahead', n(sessions)],
        ['Reps of the rungs ahead', n(sum((week) => week.own_reps))],
        ['Units ahead', n(sum(unitsOf))],
        ['Fullest limit', fullest?.fullest ? `${percent(fullest.fullest_share ?? 0)} ${fullest.fullest}` : 'none'],
    ];
}

/** Rungs that either plan comes to, and when each is likely begun. */
function rungs(was: Season, now: Season): [string, string, string][] {
    const likely = (season: Season, id: string): string => {
        const rung = season.expected.find((each) => each.id === id);
        if (rung === undefined) return '–';
        return rung.likely === null ? NOT_IN_HALF_A_YEAR : dayName(rung.likely);
    };
    const all = new Map([...was.expected, ...now.expected].map((each) => [each.id, each.name]));
    return [...all].map(([id, name]) => [`“${name}” likely`, likely(was, id), likely(now, id)]);
}

export function compared(was: Season, now: Season): Compared {
    const pairs = (a: [string, string][], b: [string, string][]) =>
        a.map(([what, value], at) => ({ what, was: value, now: b[at]?.[1] ?? '' }));
    const weekOf = (season: Season, monday: string): WeekOf | null => {
        const week = season.weeks.find((each) => each.monday === monday);
        return week === undefined
            ? null
            : {
                  units: unitsOf(week),
                  reps: week.own_reps,
                  fullest: week.fullest === null ? '' : `${percent(week.fullest_share ?? 0)} ${week.fullest}`,
              };
    };
    const mondays = [...new Set([...weeksAhead(was), ...weeksAhead(now)].map((week) => week.monday))].sort();
    return {
        lines: [
            ...pairs(asked(was), asked(now)).filter((line) => line.was !== line.now),
            ...rungs(was, now).map(([what, before, after]) => ({ what, was: before, now: after })),
            ...pairs(comes(was), comes(now)),
        ],
        weeks: mondays.map((monday) => ({ monday, was: weekOf(was, monday), now: weekOf(now, monday) })),
    };
}
