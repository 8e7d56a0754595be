import type { Point, Points, Side } from '../../rules/frame';
import type { FilmLadder } from './marks';

type Moment = FilmLadder['moments'][number];
type Find = NonNullable<Moment['find']>;

/** Where the joints were found on a picture. */
export type Seen = { no: number; timeS: number; points: Points };
export type Proposed = { rep: number; moment: string; no: number; points: Points };
export type Found = {
    marks: Proposed[];
    reps: number;
    looked: number;
    /** pictures on which anybody was found */
    withSomebody: number;
    /** the trunk jumped from one picture to the next: it may be another person */
    jumps: number;
};

/** First this often, then every picture so near to what looks like a moment. */
const COARSE_S = 0.1;
const FINE_S = 0.15;
/** Two tries of one athlete lie at least so far apart; a try is a peak at least this share of the highest one. */
const APART_S = 1;
const PEAK_SHARE = 0.55;
/** How long before the peak of a try, and after it, its moments lie. */
const BEFORE_S = 2;
const AFTER_S = 1.5;
/** A contact overhead lies so near to where the hand is fastest. */
const NEAR_PEAK_S = 0.3;
/** A foot slower than this, in trunks a second, stands; so near to its lowest, in trunks, it is on the ground. */
const STILL_TRUNKS_S = 1.2;
const GROUND_TRUNKS = 0.08;
/** Nobody's trunk moves so far between two looks, in lengths of itself a second. */
const JUMP_TRUNKS_S = 20;

const opposite = (side: Side): Side => (side === 'left' ? 'right' : 'left');
const halfway = (a: Point | undefined, b: Point | undefined): Point | null =>
    a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : null;
const middle = (points: Points, joint: string): Point | null =>
    halfway(points[`left_${joint}`], points[`right_${joint}`]);
const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

function trunkPx(track: Seen[]): number {
    const lengths = track
        .flatMap(({ points }) => {
            const [hips, shoulders] = [middle(points, 'hip'), middle(points, 'shoulder')];
            return hips && shoulders ? [apart(hips, shoulders)] : [];
        })
        .sort((a, b) => a - b);
    return Math.max(1, lengths[Math.floor(lengths.length / 2)] ?? 1);
}

/** What is greatest at each kind of moment, by picture; null where the points for it are not there. */
type Score = (track: Seen[], at: number) => number | null;

function scoresFor(throwing: Side, target: Side, trunk: number): Record<Find, Score> {
    const forward = target === 'right' ? 1 : -1;
    const hand = `${throwing}_wrist`;
    const tossing = `${opposite(throwing)}_wrist`;
    const front = `${opposite(throwing)}_ankle`;
    const up =
        (name: string): Score =>
        (track, at) =>
            negative(track[at]?.points[name]?.[1]);
    const speed =
        (name: string, along: (from: Point, to: Point) => number): Score =>
        (track, at) => {
            const [one, other] = [track[at - 1] ?? track[at], track[at + 1] ?? track[at]];
            const [a, b] = [one?.points[name], other?.points[name]];
            const span = (other?.timeS ?? 0) - (one?.timeS ?? 0);
            return a && b && span > 0 ? along(a, b) / (trunk * span) : null;
        };
    const lowerFoot = ({ points }: Seen): number | null => {
        const both = [points.left_ankle, points.right_ankle].flatMap((foot) => (foot ? [foot[1]] : []));
        return both.length === 0 ? null : Math.max(...both);
    };
    return {
        hand_fastest: speed(hand, apart),
        hand_highest: up(hand),
        hand_lowest: (track, at) => track[at]?.points[hand]?.[1] ?? null,
        hand_back: (track, at) => {
            const wrist = track[at]?.points[hand];
            const hips = track[at] && middle(track[at].points, 'hip');
            return wrist && hips ? -forward * (wrist[0] - hips[0]) : null;
        },
        toss_hand: speed(tossing, (from, to) => from[1] - to[1]),
        hips_highest: (track, at) => negative(track[at] && middle(track[at].points, 'hip')?.[1]),
        hips_lowest: (track, at) => (track[at] && middle(track[at].points, 'hip')?.[1]) ?? null,
        // The last time it comes to stand.
        front_foot_down: (track, at) => {
            const moving = speed(front, apart)(track, at);
            const before = speed(front, apart)(track, Math.max(0, at - 1));
            return moving !== null && before !== null && moving < STILL_TRUNKS_S && before >= STILL_TRUNKS_S
                ? at
                : null;
        },
        foot_down: (track, at) => {
            const seen = track[at];
            const all = track.flatMap((each) => lowerFoot(each) ?? []);
            const [foot, ground] = [seen && lowerFoot(seen), Math.max(...all)];
            return foot !== null && foot !== undefined && foot >= ground - GROUND_TRUNKS * trunk ? -at : null;
        },
    };
}

const negative = (value: number | undefined): number | null => (value === undefined ? null : -value);

function best(track: Seen[], score: Score): number | null {
    let found: number | null = null;
    let most = -Infinity;
    track.forEach((_, at) => {
        const value = score(track, at);
        if (value !== null && value > most) [found, most] = [at, value];
    });
    return found;
}

/** Where tries lie: the peaks of what a try is known by, the highest first, none too near to another. */
function peaks(track: Seen[], score: Score): number[] {
    const values = track.map((_, at) => score(track, at));
    const least = Math.min(...values.flatMap((value) => value ?? []));
    const most = Math.max(...values.flatMap((value) => value ?? []));
    const enough = least + PEAK_SHARE * (most - least);
    const order = values
        .flatMap((value, at) => (value !== null && value >= enough ? [{ at, value }] : []))
        .sort((a, b) => b.value - a.value);
    const kept: number[] = [];
    for (const { at } of order) {
        const timeS = track[at]?.timeS ?? 0;
        if (kept.every((other) => Math.abs((track[other]?.timeS ?? 0) - timeS) >= APART_S)) kept.push(at);
    }
    return kept.sort((a, b) => a - b);
}

/** What a try is known by: the hand where something is thrown or hit, the hips where somebody only jumps. */
const anchorOf = (moments: Moment[]): Find =>
    moments.some(({ find }) => find === 'hand_fastest' || find === 'hand_highest') ? 'hand_fastest' : 'hips_highest';

/** Whether a moment lies before the peak of its try or after it: as the ladder has them in order. */
function isAfter(moments: Moment[], at: number): boolean {
    const anchor = moments.findIndex(({ find }) =>
        ['hand_fastest', 'hand_highest', 'hips_highest'].includes(find ?? ''),
    );
    return at > anchor;
}

/** Pictures of a clip, each looked at once. */
class Looked {
    private readonly seen = new Map<number, Seen>();

    constructor(
        private readonly times: readonly number[],
        private readonly look: (no: number) => Promise<Points>,
        private readonly told: (looked: number) => void,
    ) {}

    async at(numbers: number[]): Promise<Seen[]> {
        const track: Seen[] = [];
        for (const no of numbers) {
            const before = this.seen.get(no);
            const now = before ?? { no, timeS: this.times[no] ?? 0, points: await this.look(no) };
            track.push(now);
            if (before) continue;
            this.seen.set(no, now);
            this.told(this.seen.size);
        }
        return track;
    }

    between(fromS: number, toS: number): Promise<Seen[]> {
        return this.at(numbersBetween(this.times, fromS, toS));
    }

    get count(): number {
        return this.seen.size;
    }

    get withSomebody(): number {
        return [...this.seen.values()].filter(({ points }) => Object.keys(points).length > 0).length;
    }
}

const numbersBetween = (times: readonly number[], fromS: number, toS: number): number[] =>
    times.flatMap((timeS, no) => (timeS >= fromS - 1e-9 && timeS <= toS + 1e-9 ? [no] : []));

type Try = { startS: number; peakS: number; endS: number };

/** From when to when each try goes: no further than to its neighbours. */
function triesIn(track: Seen[], score: Score): Try[] {
    const at = peaks(track, score).map((peak) => track[peak]?.timeS ?? 0);
    return at.map((peakS, i) => ({
        startS: Math.max(0, peakS - BEFORE_S, (at[i - 1] ?? -Infinity) + NEAR_PEAK_S),
        peakS,
        endS: Math.min(peakS + AFTER_S, (at[i + 1] ?? Infinity) - NEAR_PEAK_S),
    }));
}

/**
 * Proposes the moments of every try of a clip from where the joints are: ten pictures a second first, then every one
 * near what looks like a moment.
 *
 * @param look finds the joints on a picture; whoever is not found is nowhere
 * @param told how many were looked at, of about how many; throwing there stops it
 */
export async function proposeMoments(
    { times }: { times: readonly number[] },
    { moments, throwing, target }: { moments: Moment[]; throwing: Side; target: Side },
    look: (no: number) => Promise<Points>,
    told: (looked: number, of: number) => void,
): Promise<Found> {
    const coarse = everyTenth(times);
    let expected = coarse.length;
    const looked = new Looked(times, look, (count) => told(count, Math.max(expected, count)));
    const track = await looked.at(coarse);
    const scores = scoresFor(throwing, target, trunkPx(track));
    const tries = triesIn(track, scores[anchorOf(moments)]);
    expected += tries.length * moments.length * numbersBetween(times, 0, 2 * FINE_S).length;
    const marks: Proposed[] = [];
    for (const [i, one] of tries.entries()) {
        let { startS } = one;
        for (const [at, { id, find }] of moments.entries()) {
            const found = find && (await momentOf(one, find, isAfter(moments, at), startS));
            if (!found) continue;
            startS = found.timeS;
            marks.push({ rep: i + 1, moment: id, no: found.no, points: found.points });
        }
    }
    return {
        marks,
        reps: tries.length,
        looked: looked.count,
        withSomebody: looked.withSomebody,
        jumps: jumpsIn(track),
    };

    /** Roughly first, then picture by picture; moments come in the order the ladder has them. */
    async function momentOf(of: Try, find: Find, after: boolean, earliestS: number): Promise<Seen | undefined> {
        const [fromS, toS] = spanOf(find, after, of);
        const rough = track.filter(({ timeS }) => timeS >= Math.max(fromS, earliestS) - 1e-9 && timeS <= toS + 1e-9);
        const near = rough[best(rough, scores[find]) ?? -1];
        if (!near) return undefined;
        const fine = await looked.between(Math.max(near.timeS - FINE_S, earliestS), Math.min(near.timeS + FINE_S, toS));
        return fine[best(fine, scores[find]) ?? -1];
    }
}

/** Between which times of a try a moment is looked for. */
function spanOf(find: Find, after: boolean, { startS, peakS, endS }: Try): readonly [fromS: number, toS: number] {
    if (find === 'hand_fastest' || find === 'hand_highest' || find === 'hips_highest')
        return [Math.max(startS, peakS - NEAR_PEAK_S), Math.min(endS, peakS + NEAR_PEAK_S)];
    return after ? [peakS, endS] : [startS, peakS];
}

function everyTenth(times: readonly number[]): number[] {
    const numbers: number[] = [];
    let dueS = 0;
    times.forEach((timeS, no) => {
        if (timeS < dueS - 1e-9) return;
        numbers.push(no);
        dueS = timeS + COARSE_S;
    });
    return numbers;
}

function jumpsIn(track: Seen[]): number {
    const trunk = trunkPx(track);
    let jumps = 0;
    let before: { at: Point; timeS: number } | null = null;
    for (const { points, timeS } of track) {
        const at = middle(points, 'hip');
        if (!at) continue;
        if (before && apart(at, before.at) / trunk > JUMP_TRUNKS_S * (timeS - before.timeS)) jumps++;
        before = { at, timeS };
    }
    return jumps;
}
