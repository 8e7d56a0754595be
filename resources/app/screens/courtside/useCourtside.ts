import { useCallback, useMemo, useState } from 'react';
import type { Courtside, CourtsideBlock, Dose, RepEvent } from '../../api/client';
import { newId, type Report } from '../../offline/store';
import { useReports } from '../../offline/useReports';
import { type NewTap, useTaps } from '../../offline/useTaps';
import { NOT, tagsOf, type Verdict } from '../../rules/fold';
import { blockAt, doneIn, fallOf, haltOf, judgedOf, openAfter, planned, setAt } from '../../rules/count';
import { budget, doseOf } from '../../rules/doses';
import { grown, leadingFault, nudge } from '../../rules/pattern';
import { boxOf, type Played, roundsOf } from '../../rules/round';
import { touches } from '../../rules/stops';

/** What lies over the count; a correction and a place belong to a repetition. */
export type Dialog =
    { name: 'sore' | 'finish' | 'dose' | 'keys' | 'swap' | 'round' } | { name: 'correct' | 'landed'; rep: RepEvent };

/** The block that is counted, and how far it is. */
export type Here = {
    block: CourtsideBlock;
    /** As it was moved last; after a reload, as it was last done. */
    dose: Dose;
    reps: RepEvent[];
    set: { setNo: number; left: number };
    /** The set a felt effort is told of: while resting, the one that has just been done. */
    feltSet: number;
    done: boolean;
    next: CourtsideBlock | undefined;
};

/**
 * One athlete's session as it is counted here: where it stands, what stops it, and every act of the person who
 * counts.
 */
export function useCourtside(pack: Courtside) {
    const taps = useTaps(pack);
    const { add, addAll } = taps;
    const kept = useReports(pack.athlete.id);
    // A second pair of eyes judges the same repetitions; the load is the other person’s to count.
    const [second, setSecond] = useState(false);
    const [chosen, setChosen] = useState<number | null>(null);
    const [side, setSide] = useState<RepEvent['side'] | null>(null);
    const [moved, setMoved] = useState<Record<string, Dose>>({});
    const [grew, setGrew] = useState<Report | null>(null);
    const [restUntil, setRestUntil] = useState<number | null>(null);
    const [dialog, setDialog] = useState<Dialog | null>(null);

    const reps = second ? taps.seconds : taps.reps;
    const at = blockAt(pack.blocks, reps, chosen);
    const here = useMemo(
        () => standingAt(pack, at, reps, moved, restUntil !== null),
        [pack, at, reps, moved, restUntil],
    );
    const onSide = side ?? (here === null ? 'dominant' : turnOf(here));
    const judged = useMemo(() => judgedOf(pack, reps), [pack, reps]);
    const pattern = useMemo(() => leadingFault(judged, pack.faults, pack.pattern), [judged, pack.faults, pack.pattern]);
    const asks = useMemo(() => nudge(judged, pack.faults, pack.pattern), [judged, pack.faults, pack.pattern]);
    const left = here && !second ? budget(pack, taps.reps, here.dose, onSide) : null;
    const halted = second ? null : haltOf(pack, kept, here?.block, onSide, here?.dose, left);
    const more = second ? null : grewHere(pack, grew, here, onSide);
    const falls = second ? null : fallOf(judged, asks, taps.wentOn, pack.pattern);

    const goTo = (place: number | null): void => {
        setChosen(place);
        setSide(null);
        setRestUntil(null);
    };
    const rest = (): void => {
        if (here) setRestUntil(Date.now() + here.block.rest_s * 1000);
    };
    const count = (verdict: Verdict, fault: string | null = null, outcome: string | null = null): void => {
        if (!here) return;
        addAll(tapsOfOne(here, { kind: second ? 'second' : 'rep', side: onSide, verdict, fault }, outcome));
        navigator.vibrate?.(verdict === 'good' ? 15 : 40);
        if (here.set.left === 1 && !second) rest();
        else setRestUntil(null);
        if (chosen === null) setChosen(at);
        if (here.block.alternates) setSide(null);
    };
    const fell = (): void => {
        if (!here) return;
        add(here.block, here.dose, { kind: 'fall', set_no: here.set.setNo, side: onSide });
        navigator.vibrate?.(40);
        if (here.set.left === 1) rest();
        if (chosen === null) setChosen(at);
    };
    const undo = (): void => {
        const last = reps.at(-1);
        const of = pack.blocks.find((each) => each.id === last?.block_id);
        if (!last || !of) return;
        add(of, doseOf(of, last), { kind: 'withdraw', set_no: last.set_no, side: last.side, target_id: last.id });
        setRestUntil(null);
    };
    const note = (kind: 'trying' | 'going_on', text: string): void => {
        if (here) add(here.block, here.dose, { kind, set_no: here.set.setNo, side: onSide, note: text });
    };

    const game = useRound(taps, here, onSide, second);
    const tags = useTags(taps, here);

    return {
        pack,
        taps,
        second,
        reps,
        at,
        here,
        onSide,
        judged,
        pattern,
        asks,
        left,
        halted,
        /** Where it goes on once this block has to stop. */
        openNext: () => openAfter(pack, kept, at, taps.reps),
        /** Why it is time to look; going on takes a reason. */
        look: halted === null ? (more ?? falls) : null,
        allDone: !second && pack.blocks.every((each) => doneIn(each, reps).length >= planned(each)),
        ...game,
        ...tags,
        restUntil,
        restOver: useCallback(() => setRestUntil(null), []),
        dialog,
        open: setDialog,
        close: () => setDialog(null),
        goTo,
        next: () => goTo(Math.min(at + 1, pack.blocks.length - 1)),
        count,
        fell,
        countSet: () => {
            for (let i = 0; i < (here?.set.left ?? 0); i++) count('unobserved');
            rest();
        },
        undo,
        turn: () => setSide(onSide === 'dominant' ? 'other' : 'dominant'),
        tryOut: (text: string) => note('trying', text),
        goOn: (reason: string) => {
            note('going_on', `${more !== null ? 'soreness grew' : 'quality fell'}: ${reason.toLowerCase()}`);
            if (more !== null) setGrew(null);
        },
        moveDose: (to: Dose) => {
            if (here) setMoved({ ...moved, [here.block.id]: to });
        },
        forgetDoses: () => setMoved({}),
        judgeAlong: () => {
            setSecond(!second);
            goTo(
                second
                    ? null
                    : Math.max(
                          0,
                          pack.blocks.findIndex((each) => each.judged),
                      ),
            );
        },
        heardOf: (reports: Report[]) => {
            setGrew(grown(reports, pack.reported) ?? grew);
        },
    };
}

/** The round that is played on a block, and the ways to begin and to end one. */
function useRound(taps: ReturnType<typeof useTaps>, here: Here | null, side: RepEvent['side'], second: boolean) {
    const { events, add } = taps;
    const block = second ? undefined : here?.block;
    return {
        /** In a line: the same round for everybody whose block can be scored so. */
        playAll: null as ((code: string) => void) | null,
        /** Null when none is played. */
        round: useMemo(() => (block === undefined ? null : roundOn(events, block)), [events, block]),
        /** From the next repetition on: the code of a round, or that there is none any more. */
        playRound: (code: string): void => {
            if (here) add(here.block, here.dose, { kind: 'round', set_no: here.set.setNo, side, note: code });
        },
    };
}

/** What the last repetition is besides good or faulty; a tag touched again is taken off. */
function useTags({ events, add }: ReturnType<typeof useTaps>, here: Here | null) {
    const last = here?.reps.at(-1);
    const tagged = useMemo(() => (last ? tagsOf(events, last.id) : []), [events, last]);
    const tag = (id: string): void => {
        if (!here || !last) return;
        const said = { kind: 'tag', set_no: last.set_no, side: last.side, target_id: last.id } as const;
        add(here.block, doseOf(here.block, last), { ...said, note: tagged.includes(id) ? `${NOT}${id}` : id });
    };
    return { tag, tagged };
}

/** The last one that was begun on a block, unless it was ended since. */
function roundOn(events: RepEvent[], { id, game }: CourtsideBlock): Played | null {
    const last = events.findLast((event) => event.kind === 'round' && event.block_id === id);
    if (!game || last === undefined) return null;
    return roundsOf(events, (setup) => boxOf(game.court ?? null, setup)).find((each) => each.id === last.id) ?? null;
}

export type Court = ReturnType<typeof useCourtside>;

/** One repetition, and how it came out where that was said with the same touch. */
function tapsOfOne(here: Here, tap: Omit<NewTap, 'set_no' | 'id'>, outcome: string | null) {
    const { block, dose } = here;
    const id = newId();
    const of = { set_no: here.set.setNo, side: tap.side };
    const landed: NewTap = { kind: 'landed', ...of, target_id: id, note: outcome };
    return [{ block, dose, tap: { ...tap, ...of, id } }, ...(outcome === null ? [] : [{ block, dose, tap: landed }])];
}

function standingAt(
    pack: Courtside,
    at: number,
    all: RepEvent[],
    moved: Record<string, Dose>,
    resting: boolean,
): Here | null {
    const block = pack.blocks[at];
    if (!block) return null;
    const reps = doneIn(block, all);
    const set = setAt(block, reps.length);
    const last = reps.at(-1);
    return {
        block,
        dose: moved[block.id] ?? doseOf(block, last ?? block),
        reps,
        set,
        feltSet: resting ? (last?.set_no ?? set.setNo) : set.setNo,
        done: set.left === 0,
        next: pack.blocks[at + 1],
    };
}

/** The side the next repetition is done on, unless somebody says otherwise. */
function turnOf({ block, reps }: Here): RepEvent['side'] {
    const before = reps.at(-1)?.side;
    if (!block.alternates || before === undefined) return block.side;
    return before === 'dominant' ? 'other' : 'dominant';
}

/** Soreness that grew, in words, where the work here loads the place that is sore: other work goes on. */
function grewHere(pack: Courtside, grew: Report | null, here: Here | null, side: string): string | null {
    return grew !== null && here !== null && touches(pack, grew, here.block, side) ? grewInWords(grew) : null;
}

function grewInWords(report: Report): string {
    const where = `${report.side ? `${report.side} ` : ''}${report.site.replace('_', ' ')}`;
    return `Soreness grew: ${where}, ${report.kind} ${report.score}. Today so far it was less, or not reported.`;
}
