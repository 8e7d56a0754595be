import { type Setup } from '../rules/round';
import { n, percent } from '../api/words';
import type { Figures, Kind } from '../rules/score';

/** What may be scored, in words. */
export const GAMES: readonly (readonly [kind: Kind, name: string, about: string])[] = [
    ['target_round', 'Target round', 'Zones and balls, points a hit'],
    ['clear_targets', 'Clear the targets', 'How many throws it takes'],
    ['in_a_row', 'In a row', 'The longest run'],
    ['serve_game', 'Serve game', 'Two attempts a point'],
    ['grouping', 'Grouping', 'Touch where it landed'],
    ['timed_gaps', 'Timed gaps', 'So many passes through each gap, against the clock'],
];

export const gameName = (kind: Kind): string => GAMES.find(([each]) => each === kind)?.[1] ?? kind;

type Figure = { name: keyof Figures; label: string; most: number; of: (figure: number) => string };

const many = (one: string, more: string) => (figure: number) => `${figure} ${figure === 1 ? one : more}`;

/** The figures a kind is set up with; the most of each is held to core Scoring\Round by the server. */
export const FIGURES: Record<Kind, Figure[]> = {
    target_round: [
        { name: 'zones', label: 'Zones', most: 12, of: many('zone', 'zones') },
        { name: 'balls', label: 'Balls each', most: 20, of: many('ball each', 'balls each') },
        { name: 'points', label: 'Points a hit', most: 100, of: many('point a hit', 'points a hit') },
    ],
    clear_targets: [{ name: 'targets', label: 'Targets', most: 20, of: many('target', 'targets') }],
    in_a_row: [],
    serve_game: [],
    grouping: [],
    timed_gaps: [
        { name: 'gaps', label: 'Gaps', most: 8, of: many('gap', 'gaps') },
        { name: 'passes', label: 'Passes each', most: 50, of: many('pass each', 'passes each') },
    ],
};

/** A setup in a line: "Target round, 4 zones, 5 balls each, 5 points a hit, left service box". */
export function setupInWords(setup: Setup, boxName: string | null): string {
    // One zone, or a point a hit, is nothing to tell.
    const figures = FIGURES[setup.kind]
        .map(({ name, of }) => ({ name, of, figure: setup.figures[name] ?? 1 }))
        .filter(({ name, figure }) => figure > 1 || !['zones', 'points'].includes(name))
        .map(({ of, figure }) => of(figure));
    return [gameName(setup.kind), ...figures, ...(boxName === null ? [] : [boxName.toLowerCase()])].join(', ');
}

/** A goal as it is said; kept in the unit of its kind. */
export const GOAL: Record<Kind, { unit: string; scale: number; said: (goal: number) => string }> = {
    target_round: { unit: 'points', scale: 1, said: (goal) => `${n(goal)} points` },
    clear_targets: { unit: 'throws at most', scale: 1, said: (goal) => `${n(goal)} throws` },
    in_a_row: { unit: 'in a row', scale: 1, said: (goal) => `${n(goal)} in a row` },
    // A share is set as per cent.
    serve_game: { unit: '% of first serves', scale: 100, said: (goal) => `${percent(goal)} of first serves` },
    grouping: { unit: 'm off at most', scale: 1, said: (goal) => `${n(goal)} m off` },
    timed_gaps: { unit: 's at most', scale: 1, said: (goal) => `${n(goal)} s` },
};
