import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../../api/client';
import { Labelled, Options } from '../../parts/Labelled';
import { Waiting } from '../../parts/Waiting';
import { HomeworkCard } from './HomeworkCard';

/** A card to hand out: what, how many, what to look for, when to stop, how to report back. */
export function HomeworkScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/homework' });
    const [drill, setDrill] = useState('');
    const query = useQuery({
        queryKey: ['homework', athleteId, drill],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/homework?drill=${encodeURIComponent(drill)}`),
        placeholderData: (before) => before,
    });
    if (!query.data) return <Waiting query={query} what="the card" />;
    const card = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <div className="no-print flex flex-wrap items-end gap-3 py-3">
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {card.athlete.name}
                    </Link>
                </p>
                <span className="grow" />
                {card.drills.length > 0 && (
                    <Labelled label="The drill to do">
                        <select
                            className="field max-w-80"
                            value={drill === '' ? (card.drill ?? '') : drill}
                            onChange={(event) => setDrill(event.target.value)}
                        >
                            {card.drill === null && <option value="">rehearsal alone</option>}
                            <Options of={card.drills} />
                        </select>
                    </Labelled>
                )}
                <button type="button" className="btn btn-main" onClick={() => window.print()}>
                    Print the card
                </button>
            </div>
            <HomeworkCard card={card} />
        </main>
    );
}
