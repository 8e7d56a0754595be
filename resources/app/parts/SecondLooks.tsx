import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Today } from '../api/client';
import type { Body } from '../api/typed';
import { LabelledInput } from './Labelled';
import { Notice } from './Notice';
import { typed } from './forms';

type Look = Today['second_looks'][number];
type Answer = Body<'POST', `/api/athletes/${string}/decisions/${string}/second-look`>['answer'];

/** Decisions that would not pass any more, since counts were put right: left, or taken back, never by themselves. */
export function SecondLooks({ of }: { of: Look[] }) {
    return of.map((each) => <SecondLook key={each.decision_id} of={each} />);
}

function SecondLook({ of }: { of: Look }) {
    const queries = useQueryClient();
    const [answer, setAnswer] = useState<Answer | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const send = (reason: string): void => {
        if (answer === null) return;
        api('POST', `/api/athletes/${of.athlete_id}/decisions/${of.decision_id}/second-look`, { answer, reason }).then(
            () => void queries.invalidateQueries(),
            setProblem,
        );
    };
    return (
        <section
            aria-label="A decision to look at again"
            className="mb-2 border-l-4 border-reduced bg-page px-3 py-1.5"
        >
            <p>{of.sentence}</p>
            <p className="mt-1 flex flex-wrap gap-2">
                <button type="button" className="btn" onClick={() => setAnswer('left')}>
                    It stays
                </button>
                {of.takes_back_to !== null && (
                    <button type="button" className="btn" onClick={() => setAnswer('taken back')}>
                        Back to “{of.takes_back_to}”
                    </button>
                )}
            </p>
            {answer !== null && (
                <form
                    className="mt-2 flex flex-wrap items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        send(typed(new FormData(event.currentTarget), 'reason'));
                    }}
                >
                    <LabelledInput
                        key={answer}
                        label={answer === 'left' ? 'Why it may stay' : 'Why it is taken back'}
                        name="reason"
                        required
                        minLength={3}
                        maxLength={200}
                        autoFocus
                        className="w-72"
                    />
                    <button className="btn btn-main">Save</button>
                </form>
            )}
            <Notice problem={problem} />
        </section>
    );
}
