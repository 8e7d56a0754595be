// Held to core Mechanics\FaultPattern and Nudge by tests/examples/device-rules.json ("pattern"), which the core writes:
// PHPUnit (DeviceRulesTest) and vitest (tests/Device) replay it.
import type { Courtside, RepEvent } from '../api/client';
import type { Report } from '../offline/store';
import type { Verdict } from './fold';

type Fault = Courtside['faults'][number];

/**
 * Counts the faults of the last observed reps by the bounds that came with the session; the core judges them again
 * when they arrive.
 */
export function leadingFault(
    judged: RepEvent[],
    faults: Fault[],
    bounds: Courtside['pattern'],
): { fault: Fault; times: number; of: number } | null {
    const observed = judged.filter((rep) => rep.verdict === 'good' || rep.verdict === 'not_good').slice(-bounds.last);
    const named = observed.filter((rep) => rep.verdict === 'not_good' && rep.fault !== null);
    if (named.length < bounds.least_faults) return null;
    const times = (fault: Fault): number => named.filter((rep) => rep.fault === fault.id).length;
    for (const fault of faults) {
        // Two that come together, each of them often enough, are the pair they are.
        const parts = fault.pair.map((id) => named.filter((rep) => rep.fault === id).length);
        const together = parts.reduce((sum, part) => sum + part, times(fault));
        if (
            parts.length > 0 &&
            Math.min(...parts) >= bounds.least_each &&
            together >= bounds.least_share * named.length
        )
            return { fault, times: together, of: named.length };
    }
    // Of two that lead, the one that came first in time, as the core has it.
    const inTime = named.flatMap((rep) => faults.filter((fault) => fault.id === rep.fault));
    const leading = inTime.reduce<Fault | null>(
        (most, fault) => (most === null || times(fault) > times(most) ? fault : most),
        null,
    );
    return leading && times(leading) >= bounds.least_share * named.length
        ? { fault: leading, times: times(leading), of: named.length }
        : null;
}

/**
 * What the last reps ask of a coach, by the bounds that came with the session: quality that falls first, then an old
 * fault that is back.
 */
export function nudge(
    judged: RepEvent[],
    faults: Fault[],
    bounds: Courtside['pattern'],
): { falls: number } | { back: Fault } | null {
    const observed = judged.filter((rep) => rep.verdict === 'good' || rep.verdict === 'not_good');
    const good = observed.map((rep): number => (rep.verdict === 'good' ? 1 : 0));
    const sum = (of: number[]): number => of.reduce((total, each) => total + each, 0);
    if (good.length >= 2 * bounds.window) {
        const best = Math.max(...good.slice(bounds.window - 1).map((_, i) => sum(good.slice(i, i + bounds.window))));
        const falls = (best - sum(good.slice(-bounds.window))) / bounds.window;
        if (falls >= bounds.fall - 1e-9) return { falls };
    }
    const back = faults.find(
        (fault) =>
            observed.slice(-bounds.returns_of).filter((rep) => rep.verdict === 'not_good' && rep.fault === fault.id)
                .length >= bounds.returns_times,
    );
    return back ? { back } : null;
}

/** Good ones in a row: now, and at best. One nobody saw neither breaks a run nor adds to it. */
export function runs(judged: RepEvent[]): { now: number; longest: number } {
    let now = 0;
    let longest = 0;
    for (const rep of judged) {
        if (rep.verdict === 'good') longest = Math.max(longest, ++now);
        else if (rep.verdict === 'not_good') now = 0;
    }
    return { now, longest };
}

/**
 * By how much quality fell, when that stops the work: once, and again after as many more judged repetitions as are
 * compared.
 */
export function stopsForQuality(
    judged: RepEvent[],
    asks: ReturnType<typeof nudge>,
    wentOn: number | null,
    bounds: Courtside['pattern'],
): number | null {
    if (asks === null || !('falls' in asks)) return null;
    const since = judged.filter(
        (rep) => rep.verdict !== 'unobserved' && (wentOn === null || Date.parse(rep.at) > wentOn),
    ).length;
    return wentOn === null || since >= bounds.window ? asks.falls : null;
}

/** A report made while working that is more than anything said of that place before, that day. */
export function grown(reports: Report[], before: Courtside['reported']): Report | undefined {
    return reports.find(
        (report) =>
            report.score >
            Math.max(
                0,
                ...before
                    .filter(
                        (each) =>
                            each.site === report.site &&
                            each.kind === report.kind &&
                            (each.side ?? null) === report.side,
                    )
                    .map((each) => each.score),
            ),
    );
}

/**
 * What checkpoints come to: one seen wrong is not good, all seen right are good, and not seen is no pass. The core
 * judges them again.
 */
export function verdictOf(asked: string[], seen: Record<string, string>): Verdict {
    const words = asked.map((each) => seen[each] ?? '');
    return words.includes('wrong')
        ? 'not_good'
        : words.length > 0 && words.every((word) => word === 'right')
          ? 'good'
          : 'unobserved';
}
