import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { api, type Addable, type Block, type Sheet } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';

/** A block as it is to be: what of it is not said stays as it is; what is new says what it is. */
export type Dose = Body<'PUT', `/api/sheets/${string}`>['blocks'][number] & { distance_m: number | null };

const PREVIEW_AFTER_MS = 120;

const doseOf = (block: Block): Dose => ({
    id: block.id,
    sets: block.sets,
    reps: block.reps,
    effort: block.effort,
    distance_m: block.distance_m,
});

const added = (found: Addable, sets = found.sets): Dose => ({
    id: newId(),
    add: found.key,
    sets,
    reps: found.sets === 0 ? 0 : Math.round((found.reps * sets) / found.sets),
    effort: found.effort,
    distance_m: found.distance_m,
});

/** The sheet as it is moved here, looked at by the core a moment later, and saved when somebody says so. */
export function useEdits(kept: Sheet) {
    const queries = useQueryClient();
    // Null: as it is kept.
    const [draft, setDraft] = useState<Dose[] | null>(null);
    const [preview, setPreview] = useState<Sheet | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    // Kept apart, so that a preview that works does not wipe away why saving did not.
    const [previewProblem, setPreviewProblem] = useState<unknown>(null);
    // Saved before the other's sheet is here, it would be refused once more.
    const [fetching, setFetching] = useState(false);
    const edited = draft !== null;
    const doses = useMemo(() => withoutGone(draft, kept) ?? kept.blocks.map(doseOf), [kept, draft]);

    useEffect(() => {
        if (!edited) return;
        const cut = new AbortController();
        const timer = window.setTimeout(() => {
            api('POST', `/api/sheets/${kept.id}/preview`, { version: kept.version, blocks: doses }).then(
                (answer) => {
                    if (!cut.signal.aborted) {
                        setPreview(answer);
                        setPreviewProblem(null);
                    }
                },
                (error: unknown) => {
                    if (!cut.signal.aborted) setPreviewProblem(error);
                },
            );
        }, PREVIEW_AFTER_MS);
        return () => {
            cut.abort();
            window.clearTimeout(timer);
        };
    }, [doses, edited, kept.id, kept.version]);

    const asKept = (): void => {
        setDraft(null);
        setPreview(null);
        setPreviewProblem(null);
    };
    const taken = (answer: Sheet): void => {
        queries.setQueryData(['sheet', kept.id], answer);
        asKept();
        setProblem(null);
        void queries.invalidateQueries({ queryKey: ['today'] });
    };
    const shown = preview ?? kept;
    const byId = new Map([...kept.blocks, ...shown.blocks].map((block) => [block.id, block]));
    return {
        // What was added a moment ago is shown as soon as the core has looked at it.
        rows: doses.flatMap((dose) => {
            const block = byId.get(dose.id);
            return block ? [{ block, dose }] : [];
        }),
        edited,
        shown,
        problem,
        previewProblem,
        edit: (dose: Dose) => setDraft(doses.map((each) => (each.id === dose.id ? dose : each))),
        move: (from: number, by: 1 | -1) => setDraft(moved(doses, from, from + by)),
        remove: (id: string) => setDraft(doses.filter((each) => each.id !== id)),
        add: (found: Addable) => setDraft(inPlace(doses, added(found), found.place, byId, kept)),
        /** A drill before the judged block, and again in its middle: drill, whole, drill, whole. */
        weave: (found: Addable, own: Addable | undefined) => setDraft(woven(doses, found, own, byId)),
        /** A template as a whole, in the order in which it was kept. */
        use: (blocks: Addable[]) => setDraft(blocks.map((each) => added(each))),
        undo: () => {
            asKept();
            setProblem(null);
        },
        save: () => {
            api('PUT', `/api/sheets/${kept.id}`, { version: kept.version, blocks: doses }).then(taken, setProblem);
        },
        fit: () => {
            api('POST', `/api/sheets/${kept.id}/fit`, { version: kept.version }).then(taken, setProblem);
        },
        fetching,
        fetchAgain: () => {
            setFetching(true);
            void queries
                .invalidateQueries({ queryKey: ['sheet', kept.id] })
                .then(() => setProblem(null))
                .finally(() => setFetching(false));
        },
    };
}

export type Edits = ReturnType<typeof useEdits>;

/** Somebody else may have saved the sheet meanwhile: what is not on it any more goes, what is new to it comes last. */
function withoutGone(draft: Dose[] | null, kept: Sheet): Dose[] | null {
    if (draft === null) return null;
    const there = new Set(kept.blocks.map((block) => block.id));
    return draft.filter((dose) => there.has(dose.id) || dose.add !== undefined);
}

function moved(doses: Dose[], from: number, to: number): Dose[] {
    const order = [...doses];
    const [taken] = order.splice(from, 1);
    if (taken) order.splice(to, 0, taken);
    return order;
}

/** After the last block that comes no later in a session. */
function inPlace(doses: Dose[], dose: Dose, place: number, byId: Map<string, Block>, kept: Sheet): Dose[] {
    const kinds = kept.kinds;
    const before = doses.filter((each) => kinds.indexOf(byId.get(each.id)?.kind ?? '') <= place).length;
    return [...doses.slice(0, before), dose, ...doses.slice(before)];
}

function woven(doses: Dose[], drill: Addable, own: Addable | undefined, byId: Map<string, Block>): Dose[] {
    const at = doses.findIndex((dose) => byId.get(dose.id)?.judged === true);
    const judged = doses[at];
    if (!judged) return [...doses, added(drill)];
    if (!own || judged.sets < 2) return [...doses.slice(0, at), added(drill), ...doses.slice(at)];
    const first = Math.ceil(judged.sets / 2);
    const reps = Math.round((judged.reps * first) / judged.sets);
    const again = { ...judged, id: newId(), add: own.key, sets: judged.sets - first, reps: judged.reps - reps };
    return [
        ...doses.slice(0, at),
        added(drill),
        { ...judged, sets: first, reps },
        added(drill),
        again,
        ...doses.slice(at + 1),
    ];
}
