import { useState } from 'react';
import { api, type Sheet } from '../../api/client';
import { newId } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import type { Edits } from './useEdits';

/** What is done with the sheet as a whole: work added, its doses kept for the squad. */
export function Whole({ sheet, kept, onAdd }: { sheet: Edits; kept: Sheet; onAdd: () => void }) {
    const [naming, setNaming] = useState(false);
    const [name, setName] = useState(kept.rung.rung_name);
    const [saved, setSaved] = useState<string | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const keep = (): void => {
        api('POST', `/api/sheets/${kept.id}/template`, { id: newId(), name: name.trim() }).then(() => {
            setSaved(name.trim());
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
                    <form
                        className="flex items-end gap-2"
                        onSubmit={(event) => {
                            event.preventDefault();
                            keep();
                        }}
                    >
                        <label className="text-sm">
                            <span className="block text-soft">Name of the template</span>
                            <input
                                className="border-b-2 border-ink bg-transparent py-1"
                                value={name}
                                maxLength={80}
                                required
                                autoFocus
                                onChange={(event) => setName(event.target.value)}
                            />
                        </label>
                        <button type="submit" className="btn btn-main">
                            Save
                        </button>
                        <button type="button" className="btn btn-quiet" onClick={() => setNaming(false)}>
                            Cancel
                        </button>
                    </form>
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
