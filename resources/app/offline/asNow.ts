import type { Courtside } from '../api/client';

/** A session as the version before took it along: it says nothing of what that did not know. */
export function asNow(pack: Partial<Courtside> | undefined): Courtside | undefined {
    if (pack === undefined) return undefined;
    const now = { games: [], safe_misses: [], teaching: [], taught_by: [], ...pack } as Courtside;
    return {
        ...now,
        blocks: now.blocks.map((block) => ({ ...block, counts: (block as Partial<typeof block>).counts ?? [] })),
    };
}
