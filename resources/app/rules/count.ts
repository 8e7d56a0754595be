// Held to core Planning\BlockPlan: sets and repetitions come with the session; tests/Device/count.test.ts.
import type { Courtside, CourtsideBlock, Dose, RepEvent, Tape } from '../api/client';
import type { KeptReport } from '../offline/store';
import { budget, doseOf } from './doses';
import { nudge, stopsForQuality } from './pattern';
import { stopFrom } from './stops';

/** Repetitions a block asks for in all. */
export const planned = (block: CourtsideBlock): number => block.reps_by_set.reduce((sum, reps) => sum + reps, 0);

/** Repetitions that were counted in a block. */
export const doneIn = (block: CourtsideBlock, reps: RepEvent[]): RepEvent[] =>
    reps.filter((rep) => rep.block_id === block.id);

/** The set a repetition belongs to, and how many of that set are left, once so many of the block are done. */
export function setAt(block: CourtsideBlock, done: number): { setNo: number; left: number } {
    let before = 0;
    for (const [i, reps] of block.reps_by_set.entries()) {
        if (done < before + reps) return { setNo: i + 1, left: before + reps - done };
        before += reps;
    }
    return { setNo: Math.max(1, block.reps_by_set.length), left: 0 };
}

/** The place of the block that is counted: the one that was chosen, else the first that is not done, else the last. */
export function blockAt(blocks: CourtsideBlock[], reps: RepEvent[], chosen: number | null): number {
    const open = blocks.findIndex((block) => doneIn(block, reps).length < planned(block));
    const at = chosen ?? (open === -1 ? blocks.length - 1 : open);
    return Math.min(Math.max(0, at), Math.max(0, blocks.length - 1));
}

/**
 * As the core has it: repetitions of judged blocks, on the side each asks for; those entered as a sum have no verdict.
 */
export const judgedOf = (pack: Courtside, reps: RepEvent[]): RepEvent[] =>
    reps.filter(
        (rep) =>
            rep.verdict !== null &&
            pack.blocks.some(
                (each) => each.id === rep.block_id && each.judged && (each.alternates || each.side === rep.side),
            ),
    );

/** The hand or foot a side of the athlete is, in a word. */
function handOf(pack: Courtside, side: string): string {
    if (side === 'dominant') return pack.athlete.throwing_side;
    return pack.athlete.throwing_side === 'right' ? 'left' : 'right';
}

/** The side a repetition of a block is done with, in words; null where both do it. */
export function sideInWords(pack: Courtside, block: CourtsideBlock, side: string): string | null {
    return block.one_sided ? `${handOf(pack, side)} side` : null;
}

const SORE = {
    refer: 'Stop here. What was reported goes to a licensed clinician before this athlete goes on.',
    none: 'Stop this work for today: what was reported rules out the part that hurts.',
};

/**
 * Why nothing more is counted of this block: what was reported here, what the server says, or a hard limit that is
 * used up.
 */
export function haltOf(
    pack: Courtside,
    kept: KeptReport[],
    block: CourtsideBlock | undefined,
    side: string,
    dose: Dose | undefined,
    left: { tape: Tape; repsLeft: number } | null,
): string | null {
    // What was reported here stops at once, from the table; the server's next answer takes its place.
    const sore = block ? stopFrom(pack, kept, block, side) : null;
    if (sore) return SORE[sore.word];
    if (pack.stop !== null || dose?.blocked) return pack.stop ?? dose?.blocked ?? null;
    return left?.repsLeft === 0 ? `${left.tape.label} is used up. This is a hard limit: no more of this today.` : null;
}

/** The blocks behind this one that are still to be done, and that nothing stops. */
export function openAfter(pack: Courtside, kept: KeptReport[], at: number, reps: RepEvent[]): CourtsideBlock[] {
    return pack.blocks.slice(at + 1).filter((block) => {
        if (doneIn(block, reps).length >= planned(block)) return false;
        const dose = doseOf(block, block);
        return haltOf(pack, kept, block, block.side, dose, budget(pack, reps, dose, block.side)) === null;
    });
}

/** Why it is time to look, when quality falls; null when it does not, or when it was gone on from. */
export function fallOf(
    judged: RepEvent[],
    asks: ReturnType<typeof nudge>,
    wentOn: number | null,
    bounds: Courtside['pattern'],
): string | null {
    const falling = stopsForQuality(judged, asks, wentOn, bounds);
    if (falling === null) return null;
    const points = Math.round(100 * falling);
    const fall = `the last ${bounds.window} lie ${points} points below the best ${bounds.window} of today`;
    return `Quality is falling: ${fall}. Rest, make it easier, or stop here.`;
}

/** Good ones among those that were judged, and a mark for each: a capital is a safety fault. */
export function tally(pack: Courtside, judged: RepEvent[]): { good: number; seen: number; marks: string } {
    const safety = new Set(pack.faults.filter((fault) => fault.safety).map((fault) => fault.id));
    const letters: Record<string, string> = { good: 'g', not_good: 'b' };
    const marks = judged.map((rep) => {
        const mark = letters[rep.verdict ?? ''] ?? 'u';
        return rep.fault && safety.has(rep.fault) ? mark.toUpperCase() : mark;
    });
    const of = (verdict: string): number => judged.filter((rep) => rep.verdict === verdict).length;
    return { good: of('good'), seen: of('good') + of('not_good'), marks: marks.join('') };
}
