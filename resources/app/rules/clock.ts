// Held to nothing in the core: a clock decides no dose and no limit. tests/Device/clock.test.ts.

/** A stretch of a clock: what is done in it, and for how long. */
export type Phase = { kind: 'work' | 'rest'; what: string; seconds: number };

/** Where a clock stands after so many seconds, and the work that comes next; null when it is over. */
export function phaseAt(
    phases: readonly Phase[],
    passedS: number,
): { index: number; phase: Phase; leftS: number; next: Phase | null } | null {
    const workAfter = (index: number): Phase | null =>
        phases.slice(index + 1).find((phase) => phase.kind === 'work') ?? null;
    let before = 0;
    for (const [index, phase] of phases.entries()) {
        const leftS = before + phase.seconds - passedS;
        if (leftS > 0) return { index, phase, leftS, next: workAfter(index) };
        before += phase.seconds;
    }
    return null;
}

/** Seconds from the start at which a phase begins. */
export const beginsAt = (phases: readonly Phase[], index: number): number =>
    phases.slice(0, index).reduce((sum, phase) => sum + phase.seconds, 0);

/** Sets of work with a rest between, and none after the last. */
export function sets(count: number, workS: number, restS: number): Phase[] {
    return Array.from({ length: count }, (_, i): Phase[] => [
        { kind: 'work', what: `Set ${i + 1} of ${count}`, seconds: workS },
        ...(i + 1 < count && restS > 0 ? [{ kind: 'rest' as const, what: 'Rest', seconds: restS }] : []),
    ]).flat();
}

/** The rounds of a session, with the time to change between them. */
export function rounds(of: readonly { starts_at: string; minutes: number; what: string }[]): Phase[] {
    return of.flatMap((round, i): Phase[] => {
        const next = of[i + 1];
        const gapMin = next === undefined ? 0 : minutesBetween(round.starts_at, next.starts_at) - round.minutes;
        return [
            { kind: 'work', what: round.what, seconds: 60 * round.minutes },
            ...(gapMin > 0 ? [{ kind: 'rest' as const, what: 'Change', seconds: 60 * gapMin }] : []),
        ];
    });
}

const DAY_MIN = 24 * 60;

/** Of two hours of a clock, the later one perhaps after midnight. */
function minutesBetween(from: string, to: string): number {
    const minutes = (at: string): number => Number(at.slice(0, 2)) * 60 + Number(at.slice(3, 5));
    return (minutes(to) - minutes(from) + DAY_MIN) % DAY_MIN;
}

/** As a clock on a wall shows it. */
export function inMinutes(seconds: number): string {
    const whole = Math.ceil(seconds);
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
