import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { Notice } from '../../parts/Notice';

/** Whom a child may be handed to after a session: the guardian's list. */
export function Collectors({ athleteId, name }: { athleteId: string; name: string }) {
    const queries = useQueryClient();
    const key = ['collectors', athleteId];
    const list = useQuery({ queryKey: key, queryFn: () => api('GET', `/api/athletes/${athleteId}/collectors`) });
    const [adding, setAdding] = useState('');
    const [problem, setProblem] = useState<unknown>(null);
    if (!list.data?.needed) return null;
    const { names, may_change: mayChange } = list.data;
    const keep = (next: string[]): void => {
        api('PUT', `/api/athletes/${athleteId}/collectors`, { names: next }).then((answer) => {
            queries.setQueryData(key, answer);
            setAdding('');
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
                <form
                    className="mt-1 flex items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        keep([...names, adding.trim()]);
                    }}
                >
                    <label className="grow text-sm">
                        <span className="block text-soft">Name one more</span>
                        <input
                            className="w-full border-b-2 border-ink bg-transparent py-1 text-base"
                            value={adding}
                            maxLength={80}
                            onChange={(event) => setAdding(event.target.value)}
                        />
                    </label>
                    <button type="submit" className="btn" disabled={adding.trim() === ''}>
                        Add
                    </button>
                </form>
            )}
        </section>
    );
}
