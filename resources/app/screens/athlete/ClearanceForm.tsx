import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api } from '../../api/client';
import { newId, type Report } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Labelled } from '../../parts/Labelled';
import { ClinicianDocument, documentOf } from '../../parts/ClinicianDocument';

/** A clinician’s entry, or the coach’s record of a document with the clinician’s name, role and date. */
export function ClearanceForm({ athleteId, sites }: { athleteId: string; sites: Report['site'][] }) {
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
                            ...documentOf(form),
                        }).then(() => {
                            id.current = newId();
                            setOpen(false);
                            void queries.invalidateQueries();
                        }, setProblem);
                    }}
                >
                    <ClinicianDocument>
                        <Labelled label="What it covers">
                            <select className="field" name="covers">
                                <option value="sites">{sites.join(', ')} only</option>
                                <option value="all">The whole body</option>
                            </select>
                        </Labelled>
                    </ClinicianDocument>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Save the clearance</button>
                    <p className="text-sm text-soft">It closes what was reported before now. The day stays light.</p>
                </form>
            </Sheetlet>
        </>
    );
}
