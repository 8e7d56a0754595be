import { useQueries, useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api } from '../../api/client';
import { Waiting } from '../../parts/Waiting';
import { HomeworkCard } from './HomeworkCard';

/** Who gets something to do alone until the next session? All cards, to hand out at once. */
export function SquadHomeworkScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/homework' });
    const after = useQuery({
        queryKey: ['squad-after', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}/after`),
    });
    const athletes = [...(after.data?.rows.map((row) => row.athlete) ?? []), ...(after.data?.not_counted ?? [])];
    const ids = [...new Set(athletes.map((athlete) => athlete.id))];
    const cards = useQueries({
        queries: ids.map((id) => ({
            queryKey: ['homework', id],
            queryFn: () => api('GET', `/api/athletes/${id}/homework`),
        })),
    });
    const waiting = cards.find((card) => !card.data);
    if (!after.data) return <Waiting query={after} what="the session" />;
    if (waiting) return <Waiting query={waiting} what="the cards" />;
    const all = cards.flatMap((card) => (card.data ? [card.data] : []));
    const given = all.filter((card) => card.none === null);
    const without = all.filter((card) => card.none !== null);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="no-print flex flex-wrap items-end gap-3 border-b-2 border-ink py-3">
                <div>
                    <p className="label">
                        <Link to="/sessions/$sessionId/after" params={{ sessionId }} className="hover:underline">
                            {after.data.title}
                        </Link>
                    </p>
                    <h1 className="text-2xl">Homework for {given.length === 1 ? 'one' : given.length}</h1>
                </div>
                <span className="grow" />
                {given.length > 0 && (
                    <button type="button" className="btn btn-main" onClick={() => window.print()}>
                        Print {given.length === 1 ? 'the card' : `all ${given.length} cards`}
                    </button>
                )}
            </header>
            {without.length > 0 && (
                <ul className="no-print my-3 text-soft" aria-label="Nothing to do alone">
                    {without.map((card) => (
                        <li key={card.athlete.id}>
                            {card.athlete.name}: {card.none}
                        </li>
                    ))}
                </ul>
            )}
            <div className="grid gap-6 py-4">
                {given.map((card) => (
                    <div key={card.athlete.id} className="break-after-page">
                        <HomeworkCard card={card} />
                    </div>
                ))}
            </div>
        </main>
    );
}
