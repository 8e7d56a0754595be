import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type PickUp } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { OneLine } from '../../parts/OneLine';

/** Children are handed to somebody: with whom did each go home? Kept for thirty days. */
export function GoneHome({ sessionId }: { sessionId: string }) {
    const queries = useQueryClient();
    const key = ['pick-ups', sessionId];
    const children = useQuery({ queryKey: key, queryFn: () => api('GET', `/api/sessions/${sessionId}/pick-ups`) });
    const [problem, setProblem] = useState<unknown>(null);
    if (!children.data || children.data.length === 0) return null;
    const note = (athleteId: string, name: string | null): void => {
        api('PUT', `/api/sessions/${sessionId}/pick-ups`, { athlete_id: athleteId, name }).then((answer) => {
            queries.setQueryData(key, answer);
            setProblem(null);
        }, setProblem);
    };
    const waiting = children.data.filter((child) => child.collected_by === null).length;
    return (
        <section aria-label="Gone home" className="mt-5">
            <h2 className="border-b border-ink pb-0.5 text-base">
                Gone home with{' '}
                <span className="label">
                    {waiting === 0 ? 'all children are collected' : `${waiting} still here, under sixteen`}
                </span>
            </h2>
            <Notice problem={problem} />
            <ul className="lg:columns-2 lg:gap-x-10">
                {children.data.map((child) => (
                    <Child key={child.athlete_id} child={child} onNote={(name) => note(child.athlete_id, name)} />
                ))}
            </ul>
        </section>
    );
}

function Child({ child, onNote }: { child: PickUp; onNote: (name: string | null) => void }) {
    const [other, setOther] = useState(false);
    if (child.collected_by !== null)
        return (
            <li className="flex min-h-12 break-inside-avoid flex-wrap items-center gap-x-3 border-b border-line">
                <span className="head w-28">{child.name}</span>
                <span className="grow">{child.collected_by}</span>
                <button type="button" className="btn btn-quiet" onClick={() => onNote(null)}>
                    Take back<span className="sr-only">, {child.name}</span>
                </button>
                {!child.on_list && (
                    <span role="alert" className="head basis-full border-l-4 border-stop pl-2 text-stop">
                        Not on the guardian’s list. Call them before you let {child.name} go.
                    </span>
                )}
            </li>
        );
    return (
        <li className="flex min-h-12 break-inside-avoid flex-wrap items-center gap-1.5 border-b border-line py-1">
            <span className="head w-28">{child.name}</span>
            {child.may.map((name) => (
                <button key={name} type="button" className="btn min-h-12" onClick={() => onNote(name)}>
                    {name}
                    <span className="sr-only"> took {child.name}</span>
                </button>
            ))}
            {!other ? (
                <button type="button" className="btn btn-quiet min-h-12" onClick={() => setOther(true)}>
                    Somebody else<span className="sr-only"> took {child.name}</span>
                </button>
            ) : (
                <OneLine
                    label={`Who took ${child.name}?`}
                    onSave={(name) => {
                        onNote(name);
                        setOther(false);
                    }}
                    onCancel={() => setOther(false)}
                />
            )}
        </li>
    );
}
