import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type LadderCompare } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Labelled, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';

type Change = LadderCompare['changes'][number];

const SINCE: Record<NonNullable<Change['since']>, string> = {
    theirs: 'new there',
    ours: 'changed by us',
    both: 'changed by both',
};

/** What is different between our ladder and another file of it, and which of that do we want? */
export function CompareScreen() {
    const { ladderId } = useParams({ from: '/frame/library/$ladderId/compare' });
    const queries = useQueryClient();
    const [chosenWith, setWith] = useState<string | null>(null);
    const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
    const key = ['ladder-compare', ladderId, chosenWith];
    const query = useQuery({
        queryKey: key,
        queryFn: () =>
            api('GET', `/api/library/${ladderId}/compare`, undefined, {
                query: chosenWith === null ? {} : { with: chosenWith },
            }),
        refetchOnWindowFocus: false,
    });
    const take = useMutation({
        mutationFn: (given: { version: number; with: string; pointers: string[] }) =>
            api('POST', `/api/library/${ladderId}/take`, given),
        onSuccess: (now) => {
            setTaken(new Set());
            queries.setQueryData(key, now);
            void queries.invalidateQueries();
        },
    });
    if (!query.data) return <Waiting query={query} what="both ladders" />;
    const { name, version, against, changes, with: shownWith } = query.data;
    const turn = (pointers: string[], on: boolean): void => {
        const next = new Set(taken);
        for (const pointer of pointers) {
            if (on) next.add(pointer);
            else next.delete(pointer);
        }
        setTaken(next);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="sticky top-0 z-10 flex flex-wrap items-end gap-3 border-b-2 border-ink bg-chalk py-3">
                <div>
                    <p className="label">
                        <Link to="/library/$ladderId" params={{ ladderId }} className="hover:underline">
                            {name}
                        </Link>{' '}
                        · version {version}
                    </p>
                    <h1 className="text-2xl">Compared</h1>
                </div>
                <Labelled label="With" tight>
                    <select
                        className="field w-72"
                        value={shownWith}
                        onChange={(event) => {
                            setWith(event.target.value);
                            setTaken(new Set());
                        }}
                    >
                        <Options of={against} />
                    </select>
                </Labelled>
                <span className="grow" />
                <TakeThem
                    count={taken.size}
                    busy={take.isPending}
                    onTake={() => take.mutate({ version, with: shownWith, pointers: [...taken] })}
                />
            </header>
            <Notice problem={take.error ?? query.error} />
            {take.isSuccess && taken.size === 0 && (
                <p role="status" className="py-2">
                    Saved as version {version}. What was already done keeps the version it was done by.
                </p>
            )}
            {changes.length === 0 ? (
                <p className="py-6 text-lg">Nothing is different.</p>
            ) : (
                <Differences changes={changes} taken={taken} onTurn={turn} />
            )}
        </main>
    );
}

function TakeThem({ count, busy, onTake }: { count: number; busy: boolean; onTake: () => void }) {
    const me = useMe();
    if (!me.decides) return null;
    return (
        <button type="button" className="btn btn-main" disabled={count === 0 || busy} onClick={onTake}>
            {count === 0 ? 'Take what is ticked' : `Take ${count} into ours`}
        </button>
    );
}

function Differences({
    changes,
    taken,
    onTurn,
}: {
    changes: Change[];
    taken: ReadonlySet<string>;
    onTurn: (pointers: string[], on: boolean) => void;
}) {
    const me = useMe();
    const news = changes.filter(({ since }) => since === 'theirs').map(({ pointer }) => pointer);
    return (
        <>
            <div className="flex flex-wrap items-center gap-4 py-2">
                <p role="status" className="label">
                    {changes.length === 1 ? 'One place differs' : `${changes.length} places differ`}
                    {news.length > 0 && `, ${news.length} new there since the copy was made`}
                </p>
                {me.decides && news.length > 0 && (
                    <button type="button" className="btn btn-quiet" onClick={() => onTurn(news, true)}>
                        Tick what is new there
                    </button>
                )}
            </div>
            <table className="w-full table-fixed">
                <thead>
                    <tr className="label text-left">
                        <th scope="col" className="w-10">
                            <span className="sr-only">Take</span>
                        </th>
                        <th scope="col" className="w-1/4">
                            Where
                        </th>
                        <th scope="col">Ours</th>
                        <th scope="col">There</th>
                    </tr>
                </thead>
                <tbody>
                    {changes.map((change) => (
                        <tr key={change.pointer} className="border-t border-line align-top">
                            <td className="py-1.5">
                                {me.decides && (
                                    <input
                                        type="checkbox"
                                        aria-label={`Take: ${change.place}`}
                                        checked={taken.has(change.pointer)}
                                        onChange={(event) => onTurn([change.pointer], event.target.checked)}
                                    />
                                )}
                            </td>
                            <th scope="row" className="py-1.5 pr-4 text-left font-normal">
                                {change.place}
                                {change.since !== null && <span className="label block">{SINCE[change.since]}</span>}
                            </th>
                            <td className="py-1.5 pr-4">
                                <Said value={change.ours} />
                            </td>
                            <td className="py-1.5">
                                <Said value={change.theirs} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}

function Said({ value }: { value: string | null }) {
    return value === null ? <span className="text-soft">not there</span> : <>{value}</>;
}
