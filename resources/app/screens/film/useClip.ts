import { useCallback, useEffect, useRef, useState } from 'react';
import { own } from '../../offline/person';
import { forget, recall, remember } from '../../offline/place';
import type { Side } from '../../rules/frame';
import { type Draft, emptyDraft } from './marks';
import { type ClipSource, NotShown, openClip } from './source';

/** An open clip, the picture that is looked at, and what was marked on it so far. */
export type OpenClip = {
    source: ClipSource;
    /** only to try: nothing of it belongs to an athlete */
    isDrawn: boolean;
    /** when its last picture was taken, by the clock of the device that filmed; null: not known */
    endedMs: number | null;
    /** under which the marks are kept on this device until they are sent */
    key: string;
};

/** A file of this device; its marks are found again by its name and size. */
export const openFile = async (file: File): Promise<OpenClip> => ({
    source: await openClip(file),
    isDrawn: false,
    endedMs: file.lastModified > 0 ? file.lastModified : null,
    key: `${file.name}|${file.size}`,
});

const draftName = (athleteId: string, key: string): string => own(`film-${athleteId}-${key}`);

function keptDraft(athleteId: string, key: string): Draft | null {
    const text = recall(draftName(athleteId, key));
    return text === null ? null : (JSON.parse(text) as Draft);
}

/** Opens one clip at a time and lets go of the one before. */
export function useOpening(): {
    clip: OpenClip | null;
    problem: unknown;
    busy: boolean;
    open: (make: () => Promise<OpenClip>) => void;
    close: () => void;
} {
    const [clip, setClip] = useState<OpenClip | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const held = useRef<ClipSource | null>(null);
    const close = useCallback(() => {
        held.current?.close();
        held.current = null;
        setClip(null);
    }, []);
    useEffect(() => () => held.current?.close(), []);
    const open = (make: () => Promise<OpenClip>): void => {
        setBusy(true);
        setProblem(null);
        make()
            .then((opened) => {
                close();
                held.current = opened.source;
                setClip(opened);
            }, setProblem)
            .finally(() => setBusy(false));
    };
    return { clip, problem, busy, open, close };
}

/** The marks of a clip: each change can be undone, and all of them outlive the page. */
export function useDraft(athleteId: string, key: string, target: Side) {
    const [steps, setSteps] = useState<Draft[]>(() => [keptDraft(athleteId, key) ?? emptyDraft(target)]);
    const draft = steps.at(-1) ?? emptyDraft(target);
    useEffect(() => {
        if (draft.marks.length > 0) remember(draftName(athleteId, key), JSON.stringify(draft));
    }, [athleteId, key, draft]);
    return {
        draft,
        change: (to: (draft: Draft) => Draft) =>
            setSteps((before) => {
                const last = before.at(-1) ?? emptyDraft(target);
                const next = to(last);
                return next === last ? before : [...before.slice(-50), next];
            }),
        canUndo: steps.length > 1,
        undo: () => setSteps((before) => (before.length > 1 ? before.slice(0, -1) : before)),
        sent: () => {
            forget(draftName(athleteId, key));
            setSteps([emptyDraft(draft.setting.target)]);
        },
    };
}

export type Marking = ReturnType<typeof useDraft>;

/** The picture that is looked at: by the thumb, the keys, or played. */
export function usePicture(source: ClipSource) {
    const [no, setNo] = useState(0);
    const [picture, setPicture] = useState<ImageBitmap | null>(null);
    const [problem, setProblem] = useState<NotShown | null>(null);
    const [speed, setSpeed] = useState<number | null>(null);
    const last = source.times.length - 1;
    const wanted = useRef(0);
    const go = useCallback((to: number) => setNo(Math.max(0, Math.min(last, Math.round(to)))), [last]);
    useEffect(() => {
        wanted.current = no;
        source.picture(no).then(
            (found) => {
                // A later one was asked for meanwhile: what comes late is not shown.
                if (wanted.current !== no) return;
                setPicture(found);
                setProblem(null);
            },
            (error: unknown) => {
                if (wanted.current === no && error instanceof NotShown) setProblem(error);
            },
        );
    }, [source, no]);
    useEffect(() => {
        if (speed === null) return undefined;
        const began = { at: performance.now(), timeS: source.times[wanted.current] ?? 0 };
        const length = (source.times[last] ?? 0) + 1e-6;
        let frame = requestAnimationFrame(function play(now) {
            const timeS = (began.timeS + ((now - began.at) / 1000) * speed) % length;
            const next = source.times.findIndex((time) => time > timeS);
            setNo(next === -1 ? last : Math.max(0, next - 1));
            frame = requestAnimationFrame(play);
        });
        return () => cancelAnimationFrame(frame);
    }, [source, speed, last]);
    return { no, go, picture, problem, speed, setSpeed, last };
}

export type Looking = ReturnType<typeof usePicture>;
