import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AthleteCard, SquadAfter } from '../../api/client';
import { flush, keepReports, nothingSoreAt } from '../../offline/store';
import { CheckIn } from '../../parts/CheckIn';
import { Notice } from '../../parts/Notice';

/** Asked once, of everybody who was counted: anything sore? Whoever hurts is touched first, the others say nothing. */
export function SoreAfter({ after }: { after: SquadAfter }) {
    const queries = useQueryClient();
    const [told, setTold] = useState<ReadonlySet<string>>(new Set());
    const [asking, setAsking] = useState<AthleteCard | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const left = after.rows.map((row) => row.athlete).filter((athlete) => !told.has(athlete.id));
    const tell = (ids: string[]): void => setTold(new Set([...told, ...ids]));
    const nobody = async (): Promise<void> => {
        try {
            for (const athlete of left) await keepReports(athlete.id, [nothingSoreAt('after')]);
            tell(left.map((athlete) => athlete.id));
            await flush();
            await queries.invalidateQueries();
        } catch (error) {
            setProblem(error);
        }
    };
    if (left.length === 0)
        return (
            <p role="status" className="mt-4 border-l-4 border-full pl-2">
                Everybody was asked. Ask again tomorrow morning: without that report the gate stays shut.
            </p>
        );
    return (
        <section aria-label="Anything sore?" className="mt-4">
            <h2 className="text-base">Cool down, then ask everybody: anything sore?</h2>
            <Notice problem={problem} />
            <div className="mt-1 flex flex-wrap gap-1.5">
                {left.map((athlete) => (
                    <button key={athlete.id} type="button" className="btn min-h-12" onClick={() => setAsking(athlete)}>
                        {athlete.given_name}
                    </button>
                ))}
                <button
                    type="button"
                    className={`btn min-h-12 ${after.open === 0 ? 'btn-main' : ''}`}
                    onClick={() => void nobody()}
                >
                    {told.size === 0 ? 'Nobody' : 'Nobody else'}
                </button>
            </div>
            {asking && (
                <CheckIn
                    athlete={asking}
                    moment="after"
                    onDone={() => tell([asking.id])}
                    onClose={() => setAsking(null)}
                />
            )}
        </section>
    );
}
