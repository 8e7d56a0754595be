import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { OneLine } from '../../parts/OneLine';

/** Whom a child may be handed to after a session: the guardian's list. */
export function Collectors({ athleteId, name }: { athleteId: string; name: string }) {
    const queries = useQueryClient();
    const key = ['collectors', athleteId];
    const list = useQuery({ queryKey: key, queryFn: () => api('GET', `/api/athletes/${athleteId}/collectors`) });
    const [problem, setProblem] = useState<unknown>(null);
    if (!list.data?.needed) return null;
    const { names, may_change: mayChange } = list.data;
    const keep = (next: string[]): void => {
        api('PUT', `/api/athletes/${athleteId}/collectors`, { names: next }).then((answer) => {
            queries.setQueryData(key, answer);
            setProblem(null);
        }, setProblem);
    };
    return (
        <section aria-label={`Who may collect ${name}`}>
            <h2 className="text-base">Who may collect {name}</h2>
            <Notice problem={problem} />
            {names.length === 0 && <p className="text-soft">Nobody is named yet: whoever comes is asked about.</p>}
            <ul>
                {names.map((each) => (
                    <li key={each} className="flex items-center justify-between border-b border-line">
                        <span className="py-1">{each}</span>
                        {mayChange && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                onClick={() => keep(names.filter((other) => other !== each))}
                            >
                                Take off<span className="sr-only"> {each}</span>
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            {mayChange && (
                <OneLine
                    key={names.length}
                    label="Name one more"
                    act="Add"
                    focused={false}
                    onSave={(one) => keep([...names, one])}
                />
            )}
        </section>
    );
}
