import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { AskWhy } from './AskWhy';

/** An entry goes, and its load with it: that gives room, so it takes a reason and stands on Today for a week. */
export function TakeBackEntry({
    what,
    reps,
    takeBack,
}: {
    /** as it is read to somebody who cannot see where the button stands */
    what: string;
    /** of load that go */
    reps: number;
    takeBack: (body: { reason: string }) => Promise<unknown>;
}) {
    const queries = useQueryClient();
    const [open, setOpen] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    return (
        <>
            <button
                type="button"
                className="label underline decoration-dotted underline-offset-4"
                aria-label={`Take back ${what}`}
                onClick={() => setOpen(true)}
            >
                Take back
            </button>
            <AskWhy
                open={open}
                onClose={() => setOpen(false)}
                title={`Take back ${what}`}
                act="Take it back"
                problem={problem}
                onSay={(reason) =>
                    void takeBack({ reason }).then(() => {
                        setOpen(false);
                        return queries.invalidateQueries();
                    }, setProblem)
                }
            >
                {reps > 0
                    ? `${reps} of load go with it: there is more room since, and Today says so for a week.`
                    : 'No load goes with it.'}
            </AskWhy>
        </>
    );
}
