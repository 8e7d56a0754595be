// Whose turn it is decides no dose and no limit. How long another phone counts is core Courtside\CountedElsewhere, and
// comes with the session. tests/Device/line.test.ts.

/** How a line is counted: one after the other, two at once, or whoever is touched. */
export type Way = 'turns' | 'pairs' | 'free';

/** Whose turn it is after somebody: the next in order who is not out; the same one when nobody else is left. */
export function nextUp(order: string[], up: string, out: ReadonlySet<string>): string {
    const at = order.indexOf(up);
    const after = [...order.slice(at + 1), ...order.slice(0, Math.max(0, at))];
    return after.find((each) => !out.has(each)) ?? up;
}

/** The two who are up: whoever is up, and the next who is not out; one alone when there is nobody else. */
export function pairOf(order: string[], up: string, out: ReadonlySet<string>): string[] {
    const next = nextUp(order, up, out);
    return next === up ? [up] : [up, next];
}

/** After a pair the two who come next. */
export const afterPair = (order: string[], pair: string[], out: ReadonlySet<string>): string =>
    nextUp(order, pair.at(-1) ?? '', out);

/** Whoever is up and the one after change places; the other one is up then. */
export function swapped(order: string[], up: string, out: ReadonlySet<string>): string[] {
    const next = nextUp(order, up, out);
    return order.map((each) => (each === up ? next : each === next ? up : each));
}

/** As it was kept, with those who came since at the end, and without those who are in the session no more. */
export const lineOf = (kept: string[] | null, there: string[]): string[] => {
    const known = (kept ?? []).filter((each) => there.includes(each));
    return known.length > 0 ? known : there;
};

/** Whether another device counted somebody in the last so many minutes. */
export function countedElsewhere(
    events: readonly { kind: string; device: string; at: string }[],
    device: string,
    now: number,
    stillMin: number,
): boolean {
    return events.some(
        (event) => event.kind === 'rep' && event.device !== device && now - Date.parse(event.at) < stillMin * 60_000,
    );
}
