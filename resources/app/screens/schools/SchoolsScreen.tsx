import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Schools } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';

type Question = Schools['questions'][number];
type Choice = { ladder: string | null; question: Question['key']; answer: string | null };

/** How is the squad taught, and what would another way change? */
export function SquadSchoolsScreen() {
    const { squadId } = useParams({ from: '/frame/squads/$squadId/schools' });
    const me = useMe();
    return (
        <SchoolsOf
            key={squadId}
            of={`squad ${squadId}`}
            above="as the library"
            ask={(ladder) => api('GET', `/api/squads/${squadId}/schools?ladder=${ladder ?? ''}`)}
            choose={(choice) => api('PUT', `/api/squads/${squadId}/schools`, choice)}
            others={me.squads.filter((squad) => String(squad.id) !== squadId)}
        />
    );
}

export function AthleteSchoolsScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/schools' });
    return (
        <SchoolsOf
            key={athleteId}
            of={athleteId}
            above="as the squad"
            ask={(ladder) => api('GET', `/api/athletes/${athleteId}/schools?ladder=${ladder ?? ''}`)}
            choose={(choice) => api('PUT', `/api/athletes/${athleteId}/schools`, choice)}
            others={[]}
        />
    );
}

function SchoolsOf({
    of,
    above,
    ask,
    choose,
    others,
}: {
    of: string;
    above: string;
    ask: (ladder: string | null) => Promise<Schools>;
    choose: (choice: Choice) => Promise<Schools>;
    others: { id: number; name: string }[];
}) {
    const queries = useQueryClient();
    const [ladder, setLadder] = useState<string | null>(null);
    const key = ['schools', of, ladder];
    const found = useQuery({ queryKey: key, queryFn: () => ask(ladder), placeholderData: (before) => before });
    const choosing = useMutation({
        mutationFn: choose,
        onSuccess: (answer) => {
            queries.setQueryData(key, answer);
            void queries.invalidateQueries({ predicate: (each) => each.queryKey[0] !== 'schools' });
        },
    });
    if (!found.data) return <Waiting query={found} what="the schools" />;
    const { name, ladders, questions } = found.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 border-b-2 border-ink py-3">
                <div className="max-w-prose">
                    <p className="label">
                        <Link to="/library" className="hover:underline">
                            Library
                        </Link>
                    </p>
                    <h1 className="text-2xl">Schools of {name}</h1>
                    <p className="text-soft">
                        Where practitioners disagree, choose. What is planned is fitted to it; no limit, age or word of
                        the day gives way.
                    </p>
                </div>
                <span className="grow" />
                {others.map((squad) => (
                    <Link
                        key={squad.id}
                        to="/squads/$squadId/schools"
                        params={{ squadId: String(squad.id) }}
                        className="btn btn-quiet"
                    >
                        {squad.name}
                    </Link>
                ))}
                <label className="grid gap-1">
                    <span className="label">For</span>
                    <select
                        className="field"
                        value={ladder ?? ''}
                        onChange={(event) => setLadder(event.target.value || null)}
                    >
                        <option value="">all ladders</option>
                        <Options of={ladders} />
                    </select>
                </label>
            </header>
            <Notice problem={choosing.error ?? found.error} />
            <div className="grid gap-x-12 lg:grid-cols-2">
                {questions.map((question) => (
                    <Asked
                        key={question.key}
                        question={question}
                        above={ladder === null ? above : 'as for all ladders'}
                        sent={choosing.isPending ? choosing.variables : null}
                        onChoose={(answer) => choosing.mutate({ ladder, question: question.key, answer })}
                    />
                ))}
                <Elsewhere />
            </div>
        </main>
    );
}

function Asked({
    question,
    above,
    sent,
    onChoose,
}: {
    question: Question;
    above: string;
    /** what was chosen and is on its way */
    sent: Choice | null;
    onChoose: (answer: string | null) => void;
}) {
    const chosen = sent?.question === question.key ? sent.answer : question.chosen;
    const now = chosen ?? question.otherwise;
    return (
        <div role="radiogroup" aria-label={question.name} className="border-b border-line py-3">
            <h2 className="text-lg">{question.name}</h2>
            <p className="text-sm text-soft">Library: {question.why}</p>
            {question.answers.map((answer) => (
                <div key={answer.key} className="mt-1">
                    <label className="flex items-start gap-2">
                        <input
                            type="radio"
                            className="mt-1.5 accent-ink"
                            name={question.key}
                            disabled={sent !== null}
                            checked={answer.key === now}
                            onChange={() => onChoose(answer.key)}
                        />
                        <span className={answer.key === now ? 'font-bold' : ''}>
                            {answer.name}
                            {answer.key === now && chosen === null && (
                                <span className="label font-normal"> {above}</span>
                            )}
                        </span>
                    </label>
                    {answer.key !== now && <Changes changed={answer.changed} changes={answer.changes} />}
                </div>
            ))}
            {chosen !== null && (
                <button type="button" className="btn btn-quiet mt-1" onClick={() => onChoose(null)}>
                    Go {above} again
                </button>
            )}
        </div>
    );
}

function Changes({ changed, changes }: { changed: number; changes: string[] }) {
    if (changed === 0) return <p className="pl-6 text-sm text-soft">Changes nothing on the ladders climbed.</p>;
    return (
        <details className="pl-6 text-sm">
            <summary className="cursor-pointer text-soft">
                Changes {changed} {changed === 1 ? 'thing' : 'things'}
            </summary>
            <ul className="list-disc pl-5">
                {changes.map((each) => (
                    <li key={each}>{each}</li>
                ))}
                {changed > changes.length && (
                    <li className="list-none text-soft">and {changed - changes.length} more</li>
                )}
            </ul>
        </details>
    );
}

/** The questions that are answered where their numbers stand. */
function Elsewhere() {
    return (
        <section className="py-3" aria-label="Answered elsewhere">
            <h2 className="text-lg">Answered elsewhere</h2>
            <ul className="mt-1 grid gap-1">
                <li>
                    <strong>How load is limited:</strong> by the rule set of the squad, on{' '}
                    <Link to="/limits" className="opens">
                        Limits
                    </Link>
                    . Caps, step and rest decide; the ratio stands beside them.
                </li>
                <li>
                    <strong>How sore is too sore:</strong> strict or graded, with the squad, on{' '}
                    <Link to="/people" className="opens">
                        People
                    </Link>
                    .
                </li>
                <li>
                    <strong>What grows first on a return:</strong> distance or effort, by the programme, on{' '}
                    <Link to="/returns" className="opens">
                        Returns
                    </Link>
                    .
                </li>
            </ul>
        </section>
    );
}
