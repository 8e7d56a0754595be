import { clsx } from 'clsx';
import { useInfiniteQuery } from '@tanstack/react-query';
import { api, type Import } from '../../api/client';
import { Waiting } from '../../parts/Waiting';

type Verdict = Import['counts'][number]['verdict'];

/** The rows of one verdict, as they stand in the file, with what is to be said about each. */
export function JudgedRows({
    file,
    verdict,
    also,
    onAlso,
}: {
    file: Import;
    verdict: Verdict;
    also: number[];
    onAlso: ((lines: number[]) => void) | null;
}) {
    const query = useInfiniteQuery({
        queryKey: ['import', file.id, 'rows', file.version, verdict],
        initialPageParam: 0,
        queryFn: ({ pageParam }) =>
            api('GET', `/api/imports/${file.id}/rows`, undefined, { query: { verdict, after: pageParam } }),
        getNextPageParam: (last) => last.after,
    });
    if (!query.data) return <Waiting query={query} what="the rows" />;
    const rows = query.data.pages.flatMap((page) => page.rows);
    if (rows.length === 0) return <p className="border-t border-line py-4 text-soft">No row.</p>;
    const speaks = rows.some((row) => row.sentence !== null);
    return (
        <div className="overflow-x-auto">
            <table className="w-full">
                <caption className="sr-only">Rows of the file</caption>
                <thead>
                    <tr className="label border-y border-line text-left">
                        <th className="py-1 pr-3">Row</th>
                        {onAlso && <th className="pr-3">Other work: add it</th>}
                        {speaks && <th className="min-w-72 pr-4">What about it</th>}
                        {file.columns.map((column, at) => (
                            <th key={column.title + at} className="pr-4">
                                {column.title}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.line} className="border-b border-line align-top">
                            <td className="py-1 pr-3 tabular-nums text-soft">{row.line}</td>
                            {onAlso && (
                                <td className="py-1 pr-3">
                                    <input
                                        type="checkbox"
                                        className="size-5"
                                        aria-label={`Add row ${row.line} to what is on record`}
                                        checked={also.includes(row.line)}
                                        onChange={(event) =>
                                            onAlso(
                                                event.target.checked
                                                    ? [...also, row.line]
                                                    : also.filter((line) => line !== row.line),
                                            )
                                        }
                                    />
                                </td>
                            )}
                            {speaks && <td className="max-w-96 py-1 pr-4">{row.sentence}</td>}
                            {row.cells.map((cell, at) => (
                                <td
                                    key={at}
                                    className={clsx(
                                        'whitespace-nowrap py-1 pr-4',
                                        at === row.column && 'font-bold text-stop',
                                        file.columns[at]?.column === null && 'text-soft',
                                    )}
                                >
                                    {cell}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
            {query.hasNextPage && (
                <button
                    type="button"
                    className="btn mt-2"
                    disabled={query.isFetchingNextPage}
                    onClick={() => void query.fetchNextPage()}
                >
                    More rows
                </button>
            )}
        </div>
    );
}
