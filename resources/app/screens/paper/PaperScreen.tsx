import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type PaperRow } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { type Paper, usePaper } from './usePaper';
import { clsx } from 'clsx';

/** What was ticked on paper, entered for all of a session. */
export function PaperScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/paper' });
    const rows = useQuery({
        queryKey: ['paper', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}/paper`),
        refetchOnWindowFocus: false,
    });
    if (!rows.data) return <Waiting query={rows} what="the session" />;
    return <Entering sessionId={sessionId} rows={rows.data} />;
}

function Entering({ sessionId, rows }: { sessionId: string; rows: PaperRow[] }) {
    const paper = usePaper(rows);
    const open = rows.filter((row) => !row.counted && row.blocks.length > 0);
    const counted = rows.filter((row) => row.counted);
    return (
        <main className="max-w-6xl px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-3 border-b-2 border-ink py-3">
                <div>
                    <p className="label">
                        <Link to="/sessions/$sessionId" params={{ sessionId }} className="hover:underline">
                            The session
                        </Link>
                    </p>
                    <h1 className="text-2xl">From paper</h1>
                    <p className="text-soft">
                        What was done is load at once. It is evidence for a gate only where somebody judged it: then
                        write how many were good.
                    </p>
                </div>
                <span className="grow" />
                {open.length > 0 && (
                    <button type="button" className="btn" onClick={() => paper.asPlanned(open)}>
                        All as planned
                    </button>
                )}
            </header>
            {counted.length > 0 && (
                <p className="mt-3 border-l-4 border-tape pl-2">
                    Counted already, so not entered again: {counted.map((row) => row.athlete.given_name).join(', ')}.
                </p>
            )}
            {open.length === 0 && <p className="py-4">Nothing is left to enter.</p>}
            <ul>
                {open.map((row) => (
                    <Ticked key={row.sheet_id} row={row} paper={paper} />
                ))}
            </ul>
            <Notice problem={paper.problem} />
            {open.length > 0 && (
                <p className="mt-4 flex items-center gap-3">
                    <button
                        type="button"
                        className="btn btn-main"
                        disabled={paper.busy || paper.filled.length === 0}
                        onClick={() => void paper.enter()}
                    >
                        {paper.busy ? 'Sending…' : `Enter for ${paper.filled.length}`}
                    </button>
                    <span className="text-soft">Whoever has no number is left out.</span>
                </p>
            )}
        </main>
    );
}

function Ticked({ row, paper }: { row: PaperRow; paper: Paper }) {
    const reps = paper.counts[row.sheet_id];
    return (
        <li
            aria-label={row.athlete.name}
            className="grid gap-x-4 gap-y-1 border-b border-line py-2 sm:grid-cols-[11rem_1fr]"
        >
            <div>
                <p className="head text-lg">{row.athlete.name}</p>
                <button
                    type="button"
                    className="btn btn-quiet -ml-1.5"
                    onClick={() => (reps === undefined ? paper.asPlanned([row]) : paper.clear(row.sheet_id))}
                >
                    {reps === undefined ? 'As planned' : 'Not there'}
                </button>
            </div>
            <div className="flex flex-wrap gap-x-5 gap-y-1">
                {row.blocks.map((block) => (
                    <Block key={block.id} row={row} block={block} paper={paper} />
                ))}
            </div>
        </li>
    );
}

/** How many were done; of a judged block how many of them were good, where that was ticked. */
function Block({ row, block, paper }: { row: PaperRow; block: PaperRow['blocks'][number]; paper: Paper }) {
    const ticked = paper.counts[row.sheet_id]?.[block.id];
    const field = (what: 'reps' | 'good', label: string) => (
        <input
            className="field w-14 text-right"
            inputMode="numeric"
            aria-label={`${label}, ${row.athlete.given_name}`}
            value={ticked?.[what] ?? ''}
            onChange={(event) => paper.set(row.sheet_id, block.id, what, event.target.value)}
        />
    );
    return (
        <div className={clsx('grid gap-0.5 text-sm', block.judged ? 'w-64' : 'w-40')}>
            <span className="truncate">{block.title}</span>
            <span className="flex items-center gap-2 text-soft">
                {field('reps', block.title)} of {block.planned}
                {block.judged && <>, good {field('good', `Good of ${block.title}`)}</>}
            </span>
        </div>
    );
}
