import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { api, type Limits, type RuleCompare } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Loading, Notice } from '../../parts/Notice';
import { LabelledInput } from '../../parts/Labelled';
import { LimitEditor } from './LimitEditor';
import { type LimitDef, newLimit } from './limitKinds';
import { clsx } from 'clsx';

export type Definition = {
    id: string;
    name: string;
    notice: string;
    source: string;
    limits: LimitDef[];
    [other: string]: unknown;
};

const COMPARE_AFTER_MS = 400;

/** Rule sets: those that ship, and a club’s own; each can be tried on the real record before it holds. */
export function RuleSetsScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [editing, setEditing] = useState<{ definition: Definition; version: number } | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const files = useQuery({
        queryKey: ['rule-sets'],
        queryFn: () => api('GET', '/api/rule-sets'),
        refetchOnWindowFocus: false,
    });
    const limits = useQuery({ queryKey: ['limits', null], queryFn: () => api('GET', '/api/limits') });
    if (files.error && !files.data)
        return (
            <main className="p-6">
                <Notice problem={files.error} />
            </main>
        );
    if (!files.data || !limits.data)
        return (
            <main>
                <Loading what="the rule sets" />
            </main>
        );
    const squad = limits.data.squad;
    const inForce = limits.data.rule_set_id;
    const assign = (id: string): void => {
        api('PUT', `/api/squads/${squad.id}/rule-set`, { rule_set: id }).then(() => {
            setProblem(null);
            void queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <p className="label">
                    <Link to="/limits" className="hover:underline">
                        Limits
                    </Link>
                </p>
                <h1 className="text-2xl">Rule sets</h1>
                <p className="mt-1 max-w-prose text-soft">
                    The starter set is an example with round numbers. Copy it, write your local code into the copy with
                    its source, look what it would have said to the last weeks, then put it in force. Where the local
                    code is stricter, it wins.
                </p>
            </header>
            <Notice problem={problem} />
            {editing === null ? (
                <ul className="border-t-2 border-ink">
                    {files.data.map((file) => {
                        const definition = file.definition as unknown as Definition;
                        return (
                            <li
                                key={file.id}
                                className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2"
                            >
                                <div className="grow">
                                    <span className="head text-lg">{file.name}</span>{' '}
                                    <span className="label">
                                        {file.own ? `our own, version ${file.version}` : 'ships with Augendo'}
                                        {inForce === file.id ? `, in force for ${squad.name}` : ''}
                                    </span>
                                    <span className="block text-soft">
                                        {definition.notice} {definition.limits.length} limits. Source:{' '}
                                        {definition.source}.
                                    </span>
                                </div>
                                {me.decides && (
                                    <>
                                        <button
                                            type="button"
                                            className="btn"
                                            onClick={() =>
                                                setEditing({
                                                    definition: file.own
                                                        ? definition
                                                        : { ...definition, name: `${definition.name}, our copy` },
                                                    version: file.own ? file.version : 0,
                                                })
                                            }
                                        >
                                            {file.own ? 'Edit' : 'Edit a copy'}
                                        </button>
                                        {inForce !== file.id && (
                                            <button
                                                type="button"
                                                className="btn btn-main"
                                                onClick={() => assign(file.id)}
                                            >
                                                Put in force for {squad.name}
                                            </button>
                                        )}
                                    </>
                                )}
                            </li>
                        );
                    })}
                </ul>
            ) : (
                <Editor
                    start={editing.definition}
                    version={editing.version}
                    squad={squad}
                    onClose={() => setEditing(null)}
                />
            )}
        </main>
    );
}

function Editor({
    start,
    version,
    squad,
    onClose,
}: {
    start: Definition;
    version: number;
    squad: Limits['squad'];
    onClose: () => void;
}) {
    const queries = useQueryClient();
    const [definition, setDefinition] = useState(start);
    const { days, setDays, compared, problem } = useComparison(definition, squad.id);
    const [refused, setRefused] = useState<unknown>(null);
    const save = (): void => {
        api('POST', '/api/rule-sets', { version, definition }).then((answer) => {
            queries.setQueryData(['rule-sets'], answer);
            void queries.invalidateQueries();
            onClose();
        }, setRefused);
    };
    const change = (i: number, limit: LimitDef | null): void =>
        setDefinition({
            ...definition,
            limits:
                limit === null
                    ? definition.limits.filter((_, j) => j !== i)
                    : definition.limits.map((each, j) => (i === j ? limit : each)),
        });
    return (
        <form
            className="grid gap-x-10 gap-y-4 lg:grid-cols-[1fr_24rem]"
            onSubmit={(event) => {
                event.preventDefault();
                save();
            }}
        >
            <div className="grid content-start gap-3">
                <div className="grid gap-2 sm:grid-cols-2">
                    <LabelledInput
                        label="Name"
                        required
                        value={definition.name}
                        onChange={(event) => setDefinition({ ...definition, name: event.target.value })}
                    />
                    <LabelledInput
                        label="Who says so"
                        required
                        value={definition.source}
                        onChange={(event) => setDefinition({ ...definition, source: event.target.value })}
                    />
                </div>
                <LabelledInput
                    label="What to know about it"
                    required
                    value={definition.notice}
                    onChange={(event) => setDefinition({ ...definition, notice: event.target.value })}
                />
                <div>
                    {definition.limits.map((limit, i) => (
                        <LimitEditor key={limit.id} limit={limit} onChange={(next) => change(i, next)} />
                    ))}
                </div>
                <button
                    type="button"
                    className="btn justify-self-start"
                    onClick={() =>
                        setDefinition({
                            ...definition,
                            limits: [
                                ...definition.limits,
                                newLimit(`limit-${definition.limits.length + 1}-${Date.now() % 10000}`),
                            ],
                        })
                    }
                >
                    Add a limit
                </button>
            </div>
            <aside className="grid content-start gap-3 self-start lg:sticky lg:top-3">
                <OnTheRecord days={days} onDays={setDays} compared={compared} problem={problem} />
                <Notice problem={refused} />
                <div className="flex gap-2">
                    <button type="button" className="btn" onClick={onClose}>
                        Cancel
                    </button>
                    <button className="btn btn-main grow" disabled={problem !== null}>
                        Save this rule set
                    </button>
                </div>
            </aside>
        </form>
    );
}

/** The rule set as it stands here, held against the one in force over the real record, a moment after each change. */
function useComparison(definition: Definition, squadId: number) {
    const [days, setDays] = useState(28);
    const [compared, setCompared] = useState<RuleCompare | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    useEffect(() => {
        let stopped = false;
        const timer = window.setTimeout(() => {
            api('POST', `/api/squads/${squadId}/rule-set/compare`, { days, definition }).then(
                (answer) => {
                    if (!stopped) {
                        setCompared(answer);
                        setProblem(null);
                    }
                },
                (error: unknown) => {
                    if (!stopped) setProblem(error);
                },
            );
        }, COMPARE_AFTER_MS);
        return () => {
            stopped = true;
            window.clearTimeout(timer);
        };
    }, [definition, days, squadId]);
    return { days, setDays, compared, problem };
}

function OnTheRecord({
    days,
    onDays,
    compared,
    problem,
}: {
    days: number;
    onDays: (days: number) => void;
    compared: RuleCompare | null;
    problem: unknown;
}) {
    return (
        <>
            {' '}
            <h2 className="border-b-2 border-ink pb-1 text-base">
                On the real record of{' '}
                <label>
                    <span className="sr-only">How far back</span>
                    <select
                        className="bg-transparent underline decoration-dotted"
                        value={days}
                        onChange={(event) => onDays(Number(event.target.value))}
                    >
                        <option value={7}>the last week</option>
                        <option value={28}>the last four weeks</option>
                        <option value={84}>the last twelve weeks</option>
                    </select>
                </label>
            </h2>
            <Notice problem={problem} />
            {compared && (
                <>
                    <p className="head">{compared.sentence}</p>
                    <p>{compared.ahead}</p>
                    <table className="w-full text-sm">
                        <thead>
                            <tr className="label border-b border-line text-left">
                                <th className="py-1">Athlete</th>
                                <th className="text-right">in force</th>
                                <th className="text-right">with this</th>
                            </tr>
                        </thead>
                        <tbody>
                            {compared.rows
                                .filter((row) => row.now_days + row.then_days + row.coming.length > 0)
                                .map((row) => (
                                    <tr key={row.athlete.id} className="border-b border-line align-top">
                                        <td className="py-1">
                                            {row.athlete.name}
                                            {row.then.length > 0 && (
                                                <span className="block text-soft">{row.then.join('; ')}</span>
                                            )}
                                            {row.coming.length > 0 && (
                                                <span className="block text-reduced">
                                                    ahead: {row.coming.join('; ')}
                                                </span>
                                            )}
                                        </td>
                                        <td className="figure text-right text-lg">{row.now_days}</td>
                                        <td
                                            className={clsx(
                                                'figure text-right text-lg',
                                                row.then_days > row.now_days && 'text-reduced',
                                            )}
                                        >
                                            {row.then_days}
                                        </td>
                                    </tr>
                                ))}
                        </tbody>
                    </table>
                    <p className="label">
                        Days over a hard limit. Limits on single sets and sessions are not replayed: old days are kept
                        as totals.
                    </p>
                </>
            )}
        </>
    );
}
