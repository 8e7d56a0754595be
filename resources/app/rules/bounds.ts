// Held to core Limits\LimitBoard (headroom): the room of each limit comes with the session, only taps are taken off
// here. tests/Device/count.test.ts.
import type { Courtside } from '../api/client';

type Bound = Courtside['bounds'][number];

/** The bound that stops first, and how many more repetitions it holds once what was counted here is taken off. */
export function tightest(
    bounds: Bound[],
    perRep: (limitId: string) => number,
    taken: (limitId: string) => number,
): { bound: Bound; taken: number; repsLeft: number } | null {
    let first: { bound: Bound; taken: number; repsLeft: number } | null = null;
    for (const bound of bounds) {
        const each = perRep(bound.limit_id);
        if (each <= 0) continue;
        const used = taken(bound.limit_id);
        const repsLeft = Math.max(0, Math.floor((bound.remaining - used + 1e-9) / each));
        if (first === null || repsLeft < first.repsLeft) first = { bound, taken: used, repsLeft };
    }
    return first;
}
