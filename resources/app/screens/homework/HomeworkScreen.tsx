import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api } from '../../api/client';
import { Waiting } from '../../parts/Waiting';
import { HomeworkCard } from './HomeworkCard';

/** A card to hand out: what, how many, what to look for, when to stop, how to report back. */
export function HomeworkScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/homework' });
    const query = useQuery({
        queryKey: ['homework', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/homework`),
    });
    if (!query.data) return <Waiting query={query} what="the card" />;
    const card = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <div className="no-print flex items-center gap-3 py-3">
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {card.athlete.name}
                    </Link>
                </p>
                <span className="grow" />
                <button type="button" className="btn btn-main" onClick={() => window.print()}>
                    Print the card
                </button>
            </div>
            <HomeworkCard card={card} />
        </main>
    );
}
