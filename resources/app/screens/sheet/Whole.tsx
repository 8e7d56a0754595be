import { useState } from 'react';
import { api, type Sheet } from '../../api/client';
import { newId } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import { OneLine } from '../../parts/OneLine';
import type { Edits } from './useEdits';

/** What is done with the sheet as a whole: work added, its doses kept for the squad. */
export function Whole({ sheet, kept, onAdd }: { sheet: Edits; kept: Sheet; onAdd: () => void }) {
    const [naming, setNaming] = useState(false);
    const [saved, setSaved] = useState<string | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const keep = (name: string): void => {
        api('POST', `/api/sheets/${kept.id}/template`, { id: newId(), name }).then(() => {
            setSaved(name);
            setNaming(false);
            setProblem(null);
        }, setProblem);
    };
    return (
        <div className="no-print border-t border-line py-3">
            <Notice problem={problem} />
            <div className="flex flex-wrap items-end gap-2">
                <button type="button" className="btn" onClick={onAdd}>
                    Add work
                </button>
                {!sheet.edited && !naming && (
                    <button type="button" className="btn btn-quiet" onClick={() => setNaming(true)}>
                        Save as a template of the squad
                    </button>
                )}
                {naming && (
                    <OneLine
                        label="Name of the template"
                        begun={kept.rung.rung_name}
                        onSave={keep}
                        onCancel={() => setNaming(false)}
                    />
                )}
                {saved !== null && (
                    <p role="status" className="text-soft">
                        Saved as “{saved}”. It is under “Add work” on every sheet of the squad.
                    </p>
                )}
            </div>
        </div>
    );
}
