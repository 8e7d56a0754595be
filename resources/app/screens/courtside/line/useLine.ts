import { useCallback, useMemo, useState } from 'react';
import type { Courtside } from '../../../api/client';
import { own } from '../../../offline/person';
import { recall, remember } from '../../../offline/place';
import type { Verdict } from '../../../rules/fold';
import { afterPair, lineOf, nextUp, pairOf, swapped, type Way } from '../../../rules/line';

/** How one of the line stands, as the line has to know it. */
export type Status = {
    name: string;
    /** Left of the set. */
    left: number;
    /** Why this one is out of the line; null when not. */
    out: string | null;
    /** Why somebody has to look before the next one of theirs. */
    look: string | null;
    /** The limit that ends before the set does, in words. */
    near: string | null;
    /** Another phone counts this one. */
    elsewhere: boolean;
    done: boolean;
    /** Null: no warm-up of theirs is counted. */
    warmed: boolean | null;
};

/** What the line does with one of its athletes. */
export type Acts = {
    count: (verdict: Verdict, fault: string | null, outcome: string | null) => void;
    /** So many of the last, together. */
    undo: (times: number) => void;
    warmUp: () => void;
    /** Begins a round, where the block can be scored so. */
    play: (code: string) => void;
    takeBackWarmUp: () => void;
    /** Whether a fault is one of theirs. */
    knows: (fault: string) => boolean;
};

export type Given = {
    sheetId: string;
    verdict: Verdict | 'fell';
    fault: string | null;
    faultName: string | null;
    /** How it came out, in a round. */
    outcome: string | null;
    /** A whole set counted by one touch is many. */
    times: number;
};
type Kept = { order: string[]; way: Way };

/** Who is in front of the coach, whose turn it is, and what was given last. */
export function useLine(opened: Courtside) {
    const key = own(`line-${opened.session_id}`);
    const there = useMemo(() => opened.neighbours.map((each) => each.sheet_id), [opened]);
    const beside = useMemo(() => besides(opened), [opened]);
    const [kept, setKept] = useState<Kept>(() => {
        const before = JSON.parse(recall(key) ?? 'null') as Kept | null;
        const order = before === null ? beside : lineOf(before.order, there);
        return {
            order: order.includes(opened.sheet_id) ? order : [opened.sheet_id, ...order],
            way: before?.way ?? 'turns',
        };
    });
    const [up, setUp] = useState(kept.order[0] ?? opened.sheet_id);
    const [again, setAgain] = useState(false);
    const [mine, setMine] = useState(false);
    const [last, setLast] = useState<Given | null>(null);
    const [statuses, setStatuses] = useState<Record<string, Status>>({});
    const [acts] = useState(() => new Map<string, Acts>());

    const { order, way } = kept;
    const keep = (next: Partial<Kept>): void => {
        const now = { ...kept, ...next };
        remember(key, JSON.stringify(now));
        setKept(now);
    };
    const out = useMemo(() => new Set(order.filter((id) => isOut(statuses[id]))), [order, statuses]);
    const passOn = (from: string): void => setUp(nextUp(order, from, out));

    return {
        order,
        way,
        /** Those whose turn it is: one, or in pairs two. */
        up: way === 'pairs' ? pairOf(order, up, out) : [up],
        out,
        again,
        last,
        statuses,
        acts,
        /** Somebody said that this phone counts, although another one did just now. */
        mine,
        countHere: () => setMine(true),
        tell: useCallback(
            (sheetId: string, status: Status) => setStatuses((now) => ({ ...now, [sheetId]: status })),
            [],
        ),
        choose: (sheetId: string): void => {
            setUp(sheetId);
            setAgain(false);
        },
        /** A verdict was given; in turns the next one is up. */
        counted: (given: Given): void => {
            setLast(given);
            if (way === 'turns' && !again) passOn(given.sheetId);
            setAgain(false);
        },
        /** What was given last was meant for somebody else. */
        moveLast: (to: string): void => {
            if (last === null || last.verdict === 'fell') return;
            acts.get(last.sheetId)?.undo(last.times);
            const fault = last.fault !== null && acts.get(to)?.knows(last.fault) ? last.fault : null;
            for (let i = 0; i < last.times; i++) acts.get(to)?.count(last.verdict, fault, last.outcome);
            setLast({ ...last, sheetId: to, fault });
        },
        takeBackLast: (): void => {
            if (last === null) return;
            acts.get(last.sheetId)?.undo(last.times);
            setUp(last.sheetId);
            setLast(null);
        },
        skip: (): void => (way === 'pairs' ? setUp(afterPair(order, pairOf(order, up, out), out)) : passOn(up)),
        stay: (): void => setAgain(!again),
        swap: (): void => {
            keep({ order: swapped(order, up, out) });
            setUp(nextUp(order, up, out));
        },
        by: (next: Way): void => keep({ way: next }),
        toggle: (sheetId: string): void => {
            const next = order.includes(sheetId) ? order.filter((each) => each !== sheetId) : [...order, sheetId];
            if (next.length === 0) return;
            keep({ order: next });
            if (!next.includes(up)) setUp(next[0] ?? sheetId);
        },
        playAll: (code: string): void => {
            for (const each of order) acts.get(each)?.play(code);
        },
        warmUpAll: (): void => {
            for (const each of order) acts.get(each)?.warmUp();
        },
    };
}

export type Line = ReturnType<typeof useLine>;

const isOut = (status: Status | undefined): boolean =>
    status !== undefined && (status.out !== null || status.look !== null || status.done);

/** Those who begin in the same place; without places everybody who is not finished. */
function besides(opened: Courtside): string[] {
    const place = opened.neighbours.find((each) => each.sheet_id === opened.sheet_id)?.group ?? null;
    return opened.neighbours
        .filter((each) => each.state !== 'finished' && each.group === place)
        .map((each) => each.sheet_id);
}
