import { useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Placing } from '../api/client';
import { Notice } from './Notice';

const wayOn = ({ next, rung_name: rung }: Placing): string =>
    next === 'look' ? `Look at “${rung}” now` : `Start at “${rung}”`;

/**
 * A newcomer’s place being looked for: ten judged repetitions a rung, upwards. The rule says where it goes on, the
 * coach presses.
 */
export function PlacingNote({
    placing,
    athleteId,
    decides,
}: {
    placing: Placing;
    athleteId: string;
    decides: boolean;
}) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [problem, setProblem] = useState<unknown>(null);
    const goOn = (): void => {
        api('POST', `/api/athletes/${athleteId}/placing/${placing.ladder}/on`).then((placed) => {
            void queries.invalidateQueries();
            if (placed.sheet_id) void navigate({ to: '/sheets/$sheetId', params: { sheetId: placed.sheet_id } });
        }, setProblem);
    };
    return (
        <div role="group" aria-label="Finding the rung" className="grid gap-2 border-l-4 border-tape pl-3">
            <p>
                <strong>Finding the rung.</strong> {placing.sentence}
            </p>
            {decides && placing.next !== 'more' && (
                <button type="button" className="btn btn-main justify-self-start" onClick={goOn}>
                    {wayOn(placing)}
                </button>
            )}
            {placing.next === 'more' && placing.sheet_id && (
                <Link to="/sheets/$sheetId" params={{ sheetId: placing.sheet_id }} className="btn justify-self-start">
                    Open the sheet of this look
                </Link>
            )}
            <Notice problem={problem} />
        </div>
    );
}
