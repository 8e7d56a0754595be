import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api } from '../../api/client';
import { newId } from '../../offline/store';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

/** A clinician’s entry, or the coach’s record of a document with the clinician’s name, role and date. */
export function ClearanceForm({ athleteId, sites }: { athleteId: string; sites: string[] }) {
    const me = useMe();
    const queries = useQueryClient();
    const [open, setOpen] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    return (
        <>
            <button type="button" className="btn self-center" onClick={() => setOpen(true)}>
                Record a clearance
            </button>
            <Sheetlet open={open} onClose={() => setOpen(false)} title="Record a clearance">
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        api('POST', `/api/athletes/${athleteId}/clearances`, {
                            id: id.current,
                            sites: form.get('covers') === 'all' ? null : sites,
                            clinician_name: form.get('clinician_name'),
                            clinician_role: form.get('clinician_role'),
                            document_date: form.get('document_date'),
                            note: form.get('note') || null,
                        }).then(() => {
                            id.current = newId();
                            setOpen(false);
                            void queries.invalidateQueries();
                        }, setProblem);
                    }}
                >
                    <p>
                        {me.role === 'clinician'
                            ? 'You sign this with your own name.'
                            : 'Copy these from the clinician’s document. Without one there is no clearance.'}
                    </p>
                    <label className="grid gap-1">
                        <span className="label">Clinician’s name</span>
                        <input
                            className="field"
                            name="clinician_name"
                            required
                            readOnly={me.role === 'clinician'}
                            defaultValue={me.role === 'clinician' ? me.name : ''}
                        />
                    </label>
                    <label className="grid gap-1">
                        <span className="label">Role, for example sports physician</span>
                        <input className="field" name="clinician_role" required />
                    </label>
                    <label className="grid gap-1">
                        <span className="label">Date of the document</span>
                        <input
                            className="field"
                            name="document_date"
                            type="date"
                            required
                            max={me.today}
                            defaultValue={me.today}
                        />
                    </label>
                    <label className="grid gap-1">
                        <span className="label">What it covers</span>
                        <select className="field" name="covers">
                            <option value="sites">{sites.join(', ')} only</option>
                            <option value="all">The whole body</option>
                        </select>
                    </label>
                    <label className="grid gap-1">
                        <span className="label">Note, may be left open</span>
                        <input className="field" name="note" />
                    </label>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Keep the clearance</button>
                    <p className="text-sm text-soft">It closes what was reported before now. The day stays light.</p>
                </form>
            </Sheetlet>
        </>
    );
}
