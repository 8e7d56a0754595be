// Shown while it is tapped; core Scoring\Score reads the same taps again, and its value is what is kept.
// tests/Device/score.test.ts.
import type { Scores } from '../api/client';

export type Kind = Scores['series'][number]['kind'];
/** What a score is set up with. */
export type Figures = {
    zones: number;
    balls: number;
    points: number;
    targets: number;
    gaps: number;
    passes: number;
};
/** What was tapped: hit or not, or a place on the pad. */
export type Tap = boolean | [number, number];

export const chunk = (taps: Tap[], size: number): Tap[][] =>
    Array.from({ length: Math.ceil(taps.length / size) }, (_, i) => taps.slice(i * size, (i + 1) * size));
const run = (taps: Tap[]): number => {
    let now = 0;
    for (const tap of taps) now = tap === true ? now + 1 : 0;
    return now;
};
const longest = (taps: Tap[]): number => {
    let best = 0;
    let now = 0;
    for (const tap of taps) {
        now = tap === true ? now + 1 : 0;
        best = Math.max(best, now);
    }
    return best;
};

/** Taps of a serve game as points: a first serve out is followed by the second. */
function servePoints(taps: Tap[]): [boolean, boolean | null][] {
    const points: [boolean, boolean | null][] = [];
    for (const tap of taps) {
        const last = points.at(-1);
        if (last && last[0] === false && last[1] === null) last[1] = tap === true;
        else points.push([tap === true, null]);
    }
    return points;
}

/** What is being scored: the kind, how it is set up, and the taps so far. */
export type Taking = { kind: Kind; round: Figures; taps: Tap[]; /** When each was tapped, ms. */ at: number[] };

const hitsOf = (taps: Tap[]): number => taps.filter((tap) => tap === true).length;

/** Points of a serve game, and whether the last one waits for its second serve. */
function game(taps: Tap[]): { points: ReturnType<typeof servePoints>; open: boolean } {
    const points = servePoints(taps);
    return { points, open: points.at(-1)?.[0] === false && points.at(-1)?.[1] === null };
}

/** Seconds of each gap, from the first ball at it to its last pass; the one that is open is not among them. */
function timesOf({ round, taps, at }: Taking): number[] {
    const times: number[] = [];
    let began: number | null = null;
    let hit = 0;
    for (const [i, tap] of taps.entries()) {
        const now = at[i] ?? 0;
        began ??= now;
        if (tap !== true) continue;
        hit++;
        if (hit % round.passes !== 0) continue;
        times.push((now - began) / 1000);
        began = null;
    }
    return times;
}

/** What was seen, as the server reads it. */
export const SEEN: Record<Kind, (of: Taking) => Record<string, unknown>> = {
    target_round: ({ round, taps }) => ({ points_each: round.points, zones: chunk(taps, round.balls) }),
    clear_targets: ({ round, taps }) => ({ throws: taps.length, targets: round.targets }),
    in_a_row: ({ taps }) => ({ attempts: taps }),
    serve_game: ({ taps }) => ({ points: game(taps).open ? game(taps).points.slice(0, -1) : game(taps).points }),
    grouping: ({ taps }) => ({ points: taps }),
    timed_gaps: (of) => ({ passes: of.round.passes, times: timesOf(of), throws: of.taps.length }),
};

/** Where the score stands, in a few words. */
export const NOW: Record<Kind, (of: Taking) => string> = {
    target_round: ({ round, taps }) => {
        const balls = round.zones * round.balls;
        if (round.zones === 1)
            return `ball ${Math.min(balls, taps.length + 1)} of ${balls}; ${hitsOf(taps) * round.points} points`;
        const zone = Math.min(round.zones, Math.floor(taps.length / round.balls) + 1);
        return `zone ${zone}, ball ${(taps.length % round.balls) + 1}; ${hitsOf(taps) * round.points} points`;
    },
    clear_targets: ({ round, taps }) => `${hitsOf(taps)} of ${round.targets} cleared, ${taps.length} throws`,
    in_a_row: ({ taps }) => `${run(taps)} in a row now, longest ${longest(taps)}`,
    serve_game: ({ taps }) => {
        const { points, open } = game(taps);
        return `${open ? 'second serve' : 'first serve'}, point ${points.length + (open ? 0 : 1)}`;
    },
    grouping: ({ taps }) => `${taps.length} places`,
    timed_gaps: (of) => {
        const hits = hitsOf(of.taps);
        const times = timesOf(of);
        const so = times.length === 0 ? '' : `; ${times.map((time) => `${time.toFixed(1)} s`).join(', ')}`;
        const gap = Math.min(of.round.gaps, Math.floor(hits / of.round.passes) + 1);
        return `gap ${gap} of ${of.round.gaps}, ${hits % of.round.passes} of ${of.round.passes} through${so}`;
    },
};

export function isFull({ kind, round, taps }: Omit<Taking, 'at'>): boolean {
    if (kind === 'timed_gaps') return hitsOf(taps) >= round.gaps * round.passes;
    if (kind === 'target_round') return taps.length >= round.zones * round.balls;
    return kind === 'clear_targets' && hitsOf(taps) >= round.targets;
}
