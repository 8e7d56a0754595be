import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Ladder } from '../api/client';
import { newId } from '../offline/store';
import { GateTable } from './GateTable';
import { Notice } from './Notice';

/** The gate to a match: shown under varied practice, on two days a week apart. Nobody passes over any of it. */
export function MatchReady({
    of,
    athleteId,
    ladder,
    decides,
}: {
    of: NonNullable<Ladder['match_ready']>;
    athleteId: string;
    ladder: Ladder;
    decides: boolean;
}) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    const say = (): void => {
        api('POST', `/api/athletes/${athleteId}/decisions`, {
            id: id.current,
            ladder: ladder.id,
            rung: ladder.current,
            action: 'match_ready',
            reason: null,
        }).then(() => {
            id.current = newId();
            setProblem(null);
            void queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <section aria-label="Match ready" className="mt-3 grid gap-2">
            <details open={of.open && of.since === null}>
                <summary className="opens head">
                    {of.since !== null
                        ? `Match ready since ${of.since}`
                        : of.open
                          ? 'Match ready: everything asked for is there'
                          : `Match ready: ${of.criteria.filter((each) => each.verdict === 'pass').length} of ` +
                            `${of.criteria.length} there`}
                </summary>
                <div className="mt-1 text-sm">
                    <GateTable criteria={of.criteria} />
                </div>
            </details>
            {decides && of.since === null && of.open && (
                <button type="button" className="btn btn-main justify-self-start" onClick={say}>
                    Say match ready
                </button>
            )}
            <Notice problem={problem} />
        </section>
    );
}
