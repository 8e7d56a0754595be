// Held to core Planning\DoseChoice (the doses and their price come with the session); tests/Device/count.test.ts.
import type { Courtside, CourtsideBlock, Dose, RepEvent, Tape as TapeData } from '../api/client';
import { tightest } from './bounds';

const same = (a: number | null | undefined, b: number | null | undefined): boolean =>
    (a ?? null) === null || (b ?? null) === null ? (a ?? null) === (b ?? null) : Math.abs(Number(a) - Number(b)) < 1e-6;

/** The dose a repetition was done at; as planned where the sheet knows no such dose any more. */
export const doseOf = (block: CourtsideBlock, of: { effort?: number | null; distance_m?: number | null }): Dose =>
    block.doses.find((dose) => same(dose.effort, of.effort) && same(dose.distance_m, of.distance_m)) ??
    (block.doses[0] as Dose);

const costOf = (dose: Dose, side: string, limitId: string): number =>
    dose.costs.find((cost) => cost.side === side && cost.limit_id === limitId)?.per_rep ?? 0;

/**
 * What is left of the bound that stops first once the taps are taken off, in its unit and in repetitions at this dose
 * and side.
 */
export function budget(
    pack: Courtside,
    reps: RepEvent[],
    dose: Dose,
    side: string,
): { tape: TapeData; repsLeft: number; full: string } | null {
    const blocks = new Map(pack.blocks.map((each) => [each.id, each]));
    const first = tightest(
        pack.bounds,
        (limitId) => costOf(dose, side, limitId),
        (limitId) =>
            reps.reduce((sum, rep) => {
                const of = blocks.get(rep.block_id);
                return sum + (of ? costOf(doseOf(of, rep), rep.side, limitId) : 0);
            }, 0),
    );
    if (first === null) return null;
    const { bound, taken, repsLeft } = first;
    return {
        repsLeft,
        full: bound.full,
        tape: {
            limit_id: bound.limit_id,
            label: bound.label,
            source: '',
            hard: true,
            kind: 'cap',
            unit: bound.unit,
            used: bound.used + taken,
            planned: 0,
            max: bound.max,
            remaining: bound.remaining - taken,
            status: repsLeft === 0 ? 'over' : 'within',
            sentence: `${repsLeft} reps left`,
        },
    };
}
