import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { api, type Addable, type Sheet } from '../../api/client';
import { newId } from '../../offline/store';
import {
    added,
    dosesOf,
    type Draft,
    type Dose,
    edited as withDose,
    inserted,
    isChanged,
    moved,
    NOTHING,
    replaced,
    split,
    without,
} from './draft';

const PREVIEW_AFTER_MS = 120;
const LEAST_SETS_TO_SPLIT = 2;

/** The sheet as it is moved here, looked at by the core a moment later, and saved when somebody says so. */
export function useEdits(kept: Sheet) {
    const queries = useQueryClient();
    const [draft, setDraft] = useState<Draft>(NOTHING);
    const [preview, setPreview] = useState<Sheet | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    // Kept apart, so that a preview that works does not wipe away why saving did not.
    const [previewProblem, setPreviewProblem] = useState<unknown>(null);
    // Saved before the other's sheet is here, it would be refused once more.
    const [fetching, setFetching] = useState(false);
    const edited = isChanged(draft);
    const { blocks } = kept;
    const doses = useMemo(() => dosesOf(draft, blocks), [blocks, draft]);

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
        setDraft(NOTHING);
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
    const byId = new Map([...blocks, ...shown.blocks].map((block) => [block.id, block]));
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
        edit: (dose: Dose) => setDraft(withDose(draft, dose)),
        move: (from: number, by: 1 | -1) => setDraft(moved(draft, blocks, from, from + by)),
        remove: (id: string) => setDraft(without(draft, blocks, id)),
        /** After the last block that comes no later in a session. */
        add: (found: Addable) => {
            const place = doses.filter((each) => (byId.get(each.id)?.place ?? 0) <= found.place).length;
            setDraft(inserted(draft, blocks, place, [added(found, newId())]));
        },
        /** A drill before the judged block, and again in its middle: drill, whole, drill, whole. */
        weave: (found: Addable, own: Addable | undefined) => {
            const at = doses.findIndex((dose) => byId.get(dose.id)?.judged === true);
            const judged = doses[at];
            if (!judged || !own || judged.sets < LEAST_SETS_TO_SPLIT) {
                setDraft(inserted(draft, blocks, Math.max(0, at), [added(found, newId())]));
                return;
            }
            const [first, again] = split(judged, { id: newId(), key: own.key });
            const before = inserted(withDose(draft, first), blocks, at, [added(found, newId())]);
            setDraft(inserted(before, blocks, at + 2, [added(found, newId()), again]));
        },
        /** A template as a whole, in the order in which it was kept. */
        use: (found: Addable[]) =>
            setDraft(
                replaced(
                    blocks,
                    found.map((each) => added(each, newId())),
                ),
            ),
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
