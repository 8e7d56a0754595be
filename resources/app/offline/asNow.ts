import type { Courtside } from '../api/client';

/** A session as the version before took it along: it says nothing of what that did not know. */
export function asNow(pack: Partial<Courtside> | undefined): Courtside | undefined {
    if (pack === undefined) return undefined;
    const now = { games: [], safe_misses: [], teaching: [], taught_by: [], tags: [], grips: [], ...pack } as Courtside;
    return {
        ...now,
        faults: now.faults.map((fault) => ({ ...fault, pair: (fault as Partial<typeof fault>).pair ?? [] })),
        pattern: { ...now.pattern, least_each: (now.pattern as Partial<typeof now.pattern>).least_each ?? 1 },
        blocks: now.blocks.map((block) => {
            const then = block as Partial<typeof block>;
            return { ...block, counts: then.counts ?? [], alternates: then.alternates ?? false };
        }),
    };
}
