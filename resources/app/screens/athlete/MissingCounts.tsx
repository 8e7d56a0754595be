import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

/**
 * Counts that lie on a device of somebody who has signed out: until they come, or are given up, nobody knows what was
 * done.
 */
export function MissingCounts({
    athleteId,
    name,
    count,
    decides,
}: {
    athleteId: string;
    name: string;
    count: number;
    decides: boolean;
}) {
    const queries = useQueryClient();
    const [giving, setGiving] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const giveUp = (): void => {
        api('POST', `/api/athletes/${athleteId}/missing-counts/give-up`)
            .then(() => {
                setGiving(false);
                return queries.invalidateQueries();
            })
            .catch(setProblem);
    };
    return (
        <section
            aria-label="Counts not here"
            className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-reduced bg-page px-4 py-3"
        >
            <p className="grow">
                <strong>
                    {count === 1 ? '1 tap' : `${count} taps`} of {name} not here.
                </strong>{' '}
                They lie on a device that somebody else signed in to. Until they are sent, the word is at best Not
                checked in.
            </p>
            {decides && (
                <button type="button" className="btn no-print" onClick={() => setGiving(true)}>
                    They will not come
                </button>
            )}
            <Sheetlet
                open={giving}
                onClose={() => setGiving(false)}
                title={`Go on without ${count === 1 ? 'it' : 'them'}`}
            >
                <p>
                    The limits then count as if {name} had not done them. Enter what you know of them first, as a set on
                    the page Load. That you went on without is written down with your name.
                </p>
                <Notice problem={problem} />
                <button type="button" className="btn btn-main mt-3" onClick={giveUp}>
                    Go on without {count === 1 ? 'it' : 'them'}
                </button>
            </Sheetlet>
        </section>
    );
}
