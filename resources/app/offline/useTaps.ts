import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Courtside, CourtsideBlock, RepEvent } from '../api/client';
import { nowWithOffset } from '../api/words';
import { inOrder, standing, type Verdict } from '../rules/fold';
import { deviceId } from './person';
import { changes, keepTaps, newId, type Tap, tapsOf } from './store';

/** A tap before it is named, timed and stored. */
export type NewTap = {
    kind:
        | 'rep'
        | 'fall'
        | 'withdraw'
        | 'correct'
        | 'trying'
        | 'felt'
        | 'second'
        | 'going_on'
        | 'landed'
        | 'round'
        | 'tag';
    /** Made by whoever taps, where another tap names this one. */
    id?: string;
    set_no: number;
    side: RepEvent['side'];
    verdict?: Verdict;
    fault?: string | null;
    target_id?: string;
    note?: string | null;
    seen?: RepEvent['seen'];
};

type Given = { effort: number; distance_m?: number | null };

/** Of a tap only changes whether it is sent, and whether the page alone holds it. */
const isAsShown = (kept: Tap, shown: Tap | undefined): boolean =>
    shown !== undefined && kept.sending === shown.sending && kept.loose === shown.loose;

/**
 * The taps of one sheet: those the server has and those still here. A tap is inked at once, faintly until it is
 * stored; one that can be
 * neither stored nor sent is not counted, and said.
 */
export function useTaps(pack: Courtside) {
    const [local, setLocal] = useState<Tap[]>([]);
    const [inking, setInking] = useState<ReadonlySet<string>>(new Set());
    const seq = useRef(0);

    const read = useCallback(async () => {
        const kept = await tapsOf(pack.sheet_id);
        setLocal((shown) => {
            const now = new Map(shown.map((tap) => [tap.id, tap]));
            if (kept.every((tap) => isAsShown(tap, now.get(tap.id)))) return shown;
            const byId = new Map(kept.map((tap) => [tap.id, tap]));
            // A tap inked a moment ago may not be stored yet.
            return [...kept, ...shown.filter((tap) => !byId.has(tap.id))];
        });
    }, [pack.sheet_id]);

    useEffect(() => {
        const again = (): void => void read();
        const listen = (event: Event): void => {
            const { detail } = event as CustomEvent<string | null>;
            if (detail === null || detail === pack.sheet_id) again();
        };
        again();
        changes.addEventListener('changed', listen);
        return () => changes.removeEventListener('changed', listen);
    }, [read, pack.sheet_id]);

    const events = useMemo(() => {
        const byId = new Map<string, RepEvent>();
        for (const event of pack.events) byId.set(event.id, event);
        for (const tap of local)
            if (tap.sending !== 'refused' && !(tap.loose && tap.sending === 'waiting')) byId.set(tap.id, tap);
        return inOrder([...byId.values()]);
    }, [pack.events, local]);
    useLayoutEffect(() => {
        seq.current = Math.max(seq.current, ...events.map((event) => event.seq + 1), 0);
    }, [events]);

    const addAll = useCallback(
        (given: { block: CourtsideBlock; dose: Given; tap: NewTap }[]) => {
            const made = given.map(({ block, dose, tap }): Tap => ({
                id: tap.id ?? newId(),
                sheet_id: pack.sheet_id,
                athlete_id: pack.athlete.id,
                block_id: block.id,
                set_no: tap.set_no,
                kind: tap.kind,
                target_id: tap.target_id ?? null,
                verdict: tap.verdict ?? null,
                fault: tap.fault ?? null,
                note: tap.note ?? null,
                side: tap.side,
                effort: dose.effort,
                distance_m: dose.distance_m ?? null,
                seen: tap.seen ?? null,
                at: nowWithOffset(),
                seq: seq.current++,
                device: deviceId(),
                sending: 'waiting',
                why: null,
            }));
            const ids = new Set(made.map((tap) => tap.id));
            setLocal((shown) => [...shown, ...made]);
            setInking((now) => new Set([...now, ...ids]));
            void keepTaps(made).finally(() => setInking((now) => new Set([...now].filter((id) => !ids.has(id)))));
        },
        [pack.athlete.id, pack.sheet_id],
    );
    const add = useCallback(
        (block: CourtsideBlock, dose: Given, tap: NewTap) => addAll([{ block, dose, tap }]),
        [addAll],
    );

    return {
        reps: useMemo(() => standing(events), [events]),
        /** What this device saw as a second pair of eyes. */
        seconds: useMemo(
            () =>
                standing(
                    events.filter((event) => event.kind !== 'second' || event.device === deviceId()),
                    'second',
                ),
            [events],
        ),
        /** How hard sets felt, the last word of each. */
        felt: useMemo(
            () =>
                new Map(
                    events
                        .filter((event) => event.kind === 'felt')
                        .map((event) => [`${event.block_id}|${event.set_no}`, event.effort]),
                ),
            [events],
        ),
        /** Where the repetitions of this sheet landed, by their id. */
        landed: useMemo(
            () =>
                new Map(
                    events
                        .filter((event) => event.kind === 'landed' && / /.test(event.note ?? ''))
                        .map((event) => [
                            event.target_id,
                            (event.note ?? '').split(' ').map(Number) as [number, number],
                        ]),
                ),
            [events],
        ),
        /** When the work last went on after a stop, as a time; null when it never stopped. */
        wentOn: useMemo(
            () =>
                events
                    .filter((event) => event.kind === 'going_on')
                    .reduce<number | null>((last, event) => Math.max(last ?? 0, Date.parse(event.at)), null),
            [events],
        ),
        /** What is being tried just now, in words; empty when nothing is. */
        trying: useMemo(() => events.filter((event) => event.kind === 'trying').at(-1)?.note ?? '', [events]),
        /** Everything that was tapped, in order. */
        events,
        waiting: local.filter((tap) => tap.sending === 'waiting').length,
        refused: local.filter((tap) => tap.sending === 'refused'),
        /** Held by this page alone: not stored, not sent, not counted. */
        held: local.filter((tap) => tap.loose && tap.sending === 'waiting').length,
        /** Shown, and not stored yet. */
        inking,
        add,
        /** Several at once, stored together. */
        addAll,
    };
}
