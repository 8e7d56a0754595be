/** A try is tapped a little after it, and no later than this. */
const USUALLY_AFTER_S = 3;
const AT_MOST_APART_S = 20;

type At = { id: string; atMs: number };

/**
 * Which tap each repetition of a clip was, by the clock: as many pairs as there can be, in the order both came, and of
 * those the nearest. Somebody looks at each.
 *
 * @param reps of the clip, in order of time
 * @param taps counted on court
 * @returns the tap by repetition
 */
export function pairsByTime(
    reps: ReadonlyArray<{ rep: number; atMs: number }>,
    taps: readonly At[],
): Record<number, string> {
    const inOrder = [...taps].sort((a, b) => a.atMs - b.atMs);
    type Best = { pairs: number; apartS: number; with: Record<number, string> };
    const isBetter = (one: Best, other: Best): boolean =>
        one.pairs > other.pairs || (one.pairs === other.pairs && one.apartS < other.apartS);
    // Of the first so many taps, the best there is for the repetitions so far.
    let best: Best[] = inOrder.map(() => ({ pairs: 0, apartS: 0, with: {} }));
    best.push({ pairs: 0, apartS: 0, with: {} });
    for (const { rep, atMs } of reps) {
        const next: Best[] = [best[0] ?? { pairs: 0, apartS: 0, with: {} }];
        inOrder.forEach((tap, i) => {
            const without = [next[i], best[i + 1]].flatMap((each) => each ?? []);
            const before = best[i];
            const afterS = (tap.atMs - atMs) / 1000;
            const paired: Best[] =
                before && Math.abs(afterS) <= AT_MOST_APART_S
                    ? [
                          {
                              pairs: before.pairs + 1,
                              apartS: before.apartS + Math.abs(afterS - USUALLY_AFTER_S),
                              with: { ...before.with, [rep]: tap.id },
                          },
                      ]
                    : [];
            next.push([...without, ...paired].reduce((one, other) => (isBetter(other, one) ? other : one)));
        });
        best = next;
    }
    return best.at(-1)?.with ?? {};
}
