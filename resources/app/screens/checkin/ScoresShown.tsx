import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type CheckInPage } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Toggle } from '../../parts/Toggle';

/** Scores are the athlete’s own: squad-mates see the best of them only where both sides show theirs. */
export function ScoresShown({ about, token }: { about: CheckInPage; token: string }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const show = (shown: boolean): void => {
        api('PUT', '/api/link/shows-scores', { shown }, { linkToken: token }).then((page) => {
            queries.setQueryData(['check-in', token], page);
            setProblem(null);
        }, setProblem);
    };
    return (
        <section aria-label="Scores" className="mt-4 border-t border-line pt-3">
            <h2 className="text-lg">Scores</h2>
            <Notice problem={problem} />
            <p className="pb-2">
                May squad-mates see {about.given_name}’s best scores? Only those who show their own see them. You can
                take it back at any time.
            </p>
            <Toggle on={about.shows_scores} onChange={show}>
                {about.shows_scores ? 'Shown to squad-mates who show theirs' : 'Show them'}
            </Toggle>
        </section>
    );
}
