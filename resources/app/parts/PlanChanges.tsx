import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type PlanChange } from '../api/client';
import { Notice } from './Notice';

/** What was done to the plan of late, the latest first, each with its way back. */
export function PlanChanges({ changes, shown = 3 }: { changes: PlanChange[]; shown?: number }) {
    const queries = useQueryClient();
    const [all, setAll] = useState(false);
    const [busy, setBusy] = useState<string | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const undo = (change: PlanChange): void => {
        setBusy(change.id);
        void api('POST', `/api/session-changes/${change.id}/take-back`)
            .then(() => setProblem(null), setProblem)
            .then(() => queries.invalidateQueries())
            .finally(() => setBusy(null));
    };
    if (changes.length === 0) return null;
    return (
        <section aria-label="Changed lately" className="no-print mt-3 border-l-4 border-tape pl-3">
            <Notice problem={problem} />
            <ul>
                {changes.slice(0, all ? undefined : shown).map((change) => (
                    <li key={change.id} className="flex flex-wrap items-baseline gap-x-3">
                        <span>{change.sentence}</span>
                        <span className="text-sm text-soft">{change.by}</span>
                        <button
                            type="button"
                            className="head underline decoration-dotted underline-offset-4"
                            disabled={busy !== null}
                            onClick={() => undo(change)}
                        >
                            {busy === change.id ? 'Undoing…' : 'Undo'}
                            <span className="sr-only">: {change.sentence}</span>
                        </button>
                    </li>
                ))}
            </ul>
            {changes.length > shown && (
                <button type="button" className="label underline" onClick={() => setAll(!all)}>
                    {all ? 'Fewer' : `${changes.length - shown} more`}
                </button>
            )}
        </section>
    );
}
