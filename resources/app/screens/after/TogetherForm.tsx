import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type SquadAfter } from '../../api/client';
import { newId } from '../../offline/store';
import { Notice } from '../../parts/Notice';

/**
 * Those who stay on their rung, decided in one touch. What changes a rung or stops somebody is looked at one by one;
 * so is whoever something arrived for since this page was drawn.
 */
export function TogetherForm({ after }: { after: SquadAfter }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [said, setSaid] = useState<string | null>(null);
    const ids = useRef(new Map<string, string>());
    const those = after.rows.filter((row) => row.together && row.decided === null);
    const idOf = (athleteId: string): string => {
        const id = ids.current.get(athleteId) ?? newId();
        ids.current.set(athleteId, id);
        return id;
    };
    const decide = (): void => {
        const decisions = those.map((row) => ({
            id: idOf(row.athlete.id),
            athlete_id: row.athlete.id,
            revision: row.revision,
        }));
        api('POST', `/api/sessions/${after.session_id}/decisions`, { decisions }).then(({ kept, changed }) => {
            setProblem(null);
            setSaid(
                changed.length === 0
                    ? `${kept} repeat their rung. The evidence is frozen beside each.`
                    : `${kept} repeat their rung. Something arrived meanwhile for ${changed.join(', ')}: look again.`,
            );
            void queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <div className="mt-4 grid gap-1">
            <Notice problem={problem} />
            {said && (
                <p role="status" className="border-l-4 border-full pl-2">
                    {said}
                </p>
            )}
            {those.length > 0 && (
                <p className="flex flex-wrap items-center gap-3">
                    <button type="button" className={`btn ${after.open === 0 ? 'btn-main' : ''}`} onClick={decide}>
                        {those.length === 1 ? 'One repeats' : `${those.length} repeat`} as proposed
                    </button>
                    <span className="text-soft">{those.map((row) => row.athlete.given_name).join(', ')}</span>
                </p>
            )}
        </div>
    );
}
