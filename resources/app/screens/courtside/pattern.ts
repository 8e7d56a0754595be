import type { Courtside, RepEvent } from '../../api/client';

type Fault = Courtside['faults'][number];

/** Counts the faults of the last observed reps by the bounds that came with the session; the core judges them again when they arrive. */
export function leadingFault(judged: RepEvent[], faults: Fault[], bounds: Courtside['pattern']): { fault: Fault; times: number; of: number } | null {
    const observed = judged.filter((rep) => rep.verdict === 'good' || rep.verdict === 'not_good').slice(-bounds.last);
    const named = observed.filter((rep) => rep.verdict === 'not_good' && rep.fault !== null);
    if (named.length < bounds.least_faults) return null;
    const times = (fault: Fault): number => named.filter((rep) => rep.fault === fault.id).length;
    const leading = faults.reduce<Fault | null>((most, fault) => (most === null || times(fault) > times(most) ? fault : most), null);
    return leading && times(leading) >= bounds.least_share * named.length ? { fault: leading, times: times(leading), of: named.length } : null;
}
