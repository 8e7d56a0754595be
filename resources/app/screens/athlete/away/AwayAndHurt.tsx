import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../../api/client';
import { useMe } from '../../../parts/Frame';
import { Notice } from '../../../parts/Notice';
import { AbsenceForm } from './AbsenceForm';
import { Absences } from './Absences';
import type { Send } from './AwayForm';
import { IncidentForm } from './IncidentForm';
import { Incidents } from './Incidents';
import { RestrictionForm } from './RestrictionForm';
import { Restrictions } from './Restrictions';

type Form = 'absence' | 'restriction' | 'incident';

/** Days away, days ill, what a clinician restricts, what happened: each holds for what is planned, and ends here. */
export function AwayAndHurt({ athleteId }: { athleteId: string }) {
    const me = useMe();
    const queries = useQueryClient();
    const [form, setForm] = useState<Form | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const query = useQuery({
        queryKey: ['away-and-hurt', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/away-and-hurt`),
    });
    const send: Send = (write) =>
        write().then(
            (all) => {
                setProblem(null);
                queries.setQueryData(['away-and-hurt', athleteId], all);
                void queries.invalidateQueries();
                return true;
            },
            (failed: unknown) => {
                setProblem(failed);
                return false;
            },
        );
    const attends = me.records || me.clears;
    const forms: [name: Form, label: string, may: boolean][] = [
        ['absence', 'Away or ill', true],
        ['restriction', 'Restriction', me.clears],
        ['incident', 'Something happened', attends],
    ];
    const close = (): void => setForm(null);
    const opened = { athleteId, send, problem, onClose: close };
    return (
        <section aria-label="Away and hurt">
            <h2 className="text-base">Away and hurt</h2>
            <Notice problem={query.error ?? (form === null ? problem : null)} />
            {query.data && (
                <div className="grid gap-2 pt-1">
                    <Incidents all={query.data.incidents} athleteId={athleteId} attends={attends} send={send} />
                    <Restrictions all={query.data.restrictions} athleteId={athleteId} send={send} />
                    <Absences all={query.data.absences} athleteId={athleteId} attends={attends} send={send} />
                    {query.data.absences.length + query.data.restrictions.length + query.data.incidents.length ===
                        0 && <p className="text-soft">Nothing on record in the last three months.</p>}
                </div>
            )}
            <p className="no-print mt-2 flex flex-wrap gap-2">
                {forms.map(
                    ([name, label, may]) =>
                        may && (
                            <button key={name} type="button" className="btn" onClick={() => setForm(name)}>
                                {label}
                            </button>
                        ),
                )}
            </p>
            {form === 'absence' && <AbsenceForm opened={opened} />}
            {form === 'restriction' && <RestrictionForm opened={opened} />}
            {form === 'incident' && <IncidentForm opened={opened} />}
        </section>
    );
}
