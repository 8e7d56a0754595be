import { useEffect, useEffectEvent, useLayoutEffect } from 'react';
import type { Courtside, CourtsideBlock, RepEvent } from '../../../api/client';
import { deviceId } from '../../../offline/person';
import { doneIn, planned, setAt } from '../../../rules/count';
import { doseOf } from '../../../rules/doses';
import type { Verdict } from '../../../rules/fold';
import { countedElsewhere } from '../../../rules/line';
import { readSetup } from '../../../rules/round';
import { useNow } from '../../../parts/useNow';
import { type Court, useCourtside } from '../useCourtside';
import type { Acts, Line, Status } from './useLine';

const LOOK_AGAIN_MS = 15_000;

/** One athlete of the line: counted as on a screen of their own, and every verdict told to the line. */
export function useMember(pack: Courtside, line: Line) {
    const court = useCourtside(pack);
    const now = useNow(LOOK_AGAIN_MS);
    const { sheet_id: sheetId } = pack;
    const elsewhere =
        !line.mine && !court.second && countedElsewhere(court.taps.events, deviceId(), now, pack.elsewhere_min);
    const status = statusOf(court, elsewhere);
    useTold(sheetId, status, line);
    const acts = actsOf(court, elsewhere);
    const { acts: all } = line;
    useLayoutEffect(() => {
        all.set(sheetId, acts);
    });
    useEffect(() => () => void all.delete(sheetId), [all, sheetId]);
    const told = (verdict: Verdict | 'fell', fault: string | null, times = 1, outcome: string | null = null): void =>
        line.counted({
            sheetId,
            verdict,
            fault,
            times,
            outcome,
            faultName: pack.faults.find((each) => each.id === fault)?.name ?? null,
        });
    return {
        status,
        /** Another phone counts this one just now, and nobody said that this one shall. */
        elsewhere,
        countHere: line.countHere,
        court: {
            ...court,
            halted: elsewhere ? 'Another phone counts here.' : court.halted,
            count: (verdict: Verdict, fault: string | null = null, outcome: string | null = null) => {
                acts.count(verdict, fault, outcome);
                told(verdict, fault, 1, outcome);
            },
            playAll: line.playAll,
            fell: () => {
                court.fell();
                goOn(court);
                told('fell', null);
            },
            countSet: () => {
                court.countSet();
                if (isLastSet(court)) goToNext(court);
                told('unobserved', null, court.here?.set.left ?? 0);
            },
        } satisfies Court,
    };
}

/** The line is told when something about this one is otherwise than before. */
function useTold(sheetId: string, status: Status, line: Line): void {
    const known = JSON.stringify(status);
    const tell = useEffectEvent(() => line.tell(sheetId, status));
    useEffect(() => tell(), [known]);
}

function statusOf(court: Court, elsewhere: boolean): Status {
    const { pack, here, left } = court;
    const warming = pack.blocks.filter((block) => block.warm_up);
    const ends = here !== null && left !== null && left.repsLeft > 0 && left.repsLeft < here.set.left;
    return {
        name: pack.athlete.given_name,
        left: here?.set.left ?? 0,
        out: here === null ? (pack.stop ?? 'Nothing is left today.') : court.halted,
        look: court.look,
        near: ends ? `${left.repsLeft} left, then ${left.full}` : null,
        elsewhere,
        done: court.allDone,
        warmed:
            warming.length === 0
                ? null
                : warming.every((block) => doneIn(block, court.taps.reps).length >= planned(block)),
    };
}

const isLastOfBlock = ({ here }: Court): boolean =>
    here !== null && here.next !== undefined && here.reps.length + 1 >= planned(here.block);

const isLastSet = ({ here }: Court): boolean =>
    here !== null && here.next !== undefined && here.reps.length + here.set.left >= planned(here.block);

/** To the block after the one that is counted. */
function goToNext(court: Court): void {
    court.goTo(court.at + 1);
}

/** In a line nobody touches “next block”: whoever has done one goes on with the next. */
function goOn(court: Court): void {
    if (isLastOfBlock(court)) goToNext(court);
}

function actsOf(court: Court, elsewhere: boolean): Acts {
    const { pack, taps } = court;
    const warming = pack.blocks.filter((block) => block.warm_up);
    return {
        count: (verdict, fault, outcome) => {
            court.count(verdict, fault, outcome);
            goOn(court);
        },
        undo: (times) =>
            taps.addAll(
                // Of what this phone counted: another one’s repetitions are not taken back from here.
                court.reps
                    .filter((rep) => rep.device === deviceId())
                    .slice(-times)
                    .flatMap((rep) => {
                        const block = pack.blocks.find((each) => each.id === rep.block_id);
                        return block === undefined ? [] : [withdrawn(block, rep)];
                    }),
            ),
        play: (code) => {
            const game = court.here?.block.game;
            if (!elsewhere && game && (game.court?.id ?? null) === (readSetup(code).on?.[0] ?? null))
                court.playRound(code);
        },
        knows: (fault) => pack.faults.some((each) => each.id === fault),
        warmUp: () => {
            if (court.halted !== null || elsewhere) return;
            taps.addAll(
                warming.flatMap((block) => {
                    const dose = block.doses[0];
                    const done = doneIn(block, taps.reps).length;
                    const left = dose === undefined ? 0 : Math.max(0, planned(block) - done);
                    return Array.from({ length: left }, (_, i) => ({
                        block,
                        dose: dose ?? block,
                        tap: {
                            kind: 'rep' as const,
                            set_no: setAt(block, done + i).setNo,
                            side: block.side,
                            verdict: 'unobserved' as const,
                        },
                    }));
                }),
            );
            court.goTo(null);
        },
        takeBackWarmUp: () =>
            taps.addAll(warming.flatMap((block) => doneIn(block, taps.reps).map((rep) => withdrawn(block, rep)))),
    };
}

const withdrawn = (block: CourtsideBlock, rep: RepEvent) => ({
    block,
    dose: doseOf(block, rep),
    tap: { kind: 'withdraw' as const, set_no: rep.set_no, side: rep.side, target_id: rep.id },
});
