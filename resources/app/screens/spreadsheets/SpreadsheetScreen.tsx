import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { api, type Import } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { ColumnsForm } from './ColumnsForm';
import { Judged } from './Judged';
import { TakeBack } from './TakeBack';

const LOOK_AGAIN_MS = 600;

/** What has come so far is taken back, not left. */
const ON_RECORD: Import['state'][] = ['taking', 'taken', 'taking back', 'taken back'];

/** One spreadsheet on its way in: what its columns are, what would become of each row; then all of it or nothing. */
export function SpreadsheetScreen() {
    const { importId } = useParams({ from: '/frame/spreadsheets/$importId' });
    const path = `/api/imports/${importId}` as const;
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [problem, setProblem] = useState<unknown>(null);
    const [columns, setColumns] = useState(false);
    const query = useQuery({
        queryKey: ['import', importId],
        queryFn: () => api('GET', path),
        refetchInterval: (now) => (now.state.data?.is_busy ? LOOK_AGAIN_MS : false),
    });
    const state = query.data?.state;
    // What it did is done by the worker: whoever looks elsewhere next sees it.
    useEffect(() => {
        if (state === 'taken' || state === 'taken back')
            void queries.invalidateQueries({ predicate: (each) => each.queryKey[0] !== 'import' });
    }, [queries, state]);
    if (!query.data) return <Waiting query={query} what="the spreadsheet" />;
    const file = query.data;
    const follow = (ask: Promise<Import>): void => {
        ask.then((answer) => {
            setProblem(null);
            setColumns(false);
            queries.setQueryData(['import', importId], answer);
        }, setProblem);
    };
    const drop = (): void => {
        api('POST', `${path}/drop`).then((answer) => {
            queries.setQueryData(['imports'], answer);
            void navigate({ to: '/spreadsheets' });
        }, setProblem);
    };
    const waits = file.state === 'read' || file.state === 'judged';
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <div className="min-w-0 grow">
                    <Link to="/spreadsheets" className="label opens">
                        Spreadsheets
                    </Link>
                    <h1 className="truncate text-2xl">{file.file_name}</h1>
                </div>
                {!ON_RECORD.includes(file.state) && (
                    <button type="button" className="btn btn-quiet" onClick={drop}>
                        Leave this file
                    </button>
                )}
            </header>
            <p
                role="status"
                className={file.stopped ? 'border-l-4 border-stop bg-page px-3 py-2' : 'border-t-2 border-ink py-2'}
            >
                {file.sentence}
            </p>
            {file.is_busy && <Busy file={file} />}
            <Notice problem={problem} />
            {waits && (file.state === 'read' || columns) && (
                <ColumnsForm
                    key={file.version}
                    file={file}
                    onChosen={(choices) => follow(api('PUT', `${path}/choices`, choices))}
                    onLeave={file.state === 'judged' ? () => setColumns(false) : null}
                />
            )}
            {file.state === 'judged' && !columns && (
                <Judged
                    key={file.version}
                    file={file}
                    onChoices={(choices) => follow(api('PUT', `${path}/choices`, choices))}
                    onTake={(body) => follow(api('POST', `${path}/take`, body))}
                    onColumns={() => setColumns(true)}
                />
            )}
            {file.state === 'taken' && (
                <TakeBack file={file} onBack={(body) => follow(api('POST', `${path}/take-back`, body))} />
            )}
        </main>
    );
}

function Busy({ file }: { file: Import }) {
    return (
        <div className="flex items-center gap-3 py-1">
            <progress className="h-3 w-64" aria-label="Rows done" max={Math.max(1, file.rows)} value={file.done} />
            <span className="tabular-nums">
                {file.done.toLocaleString('en')} {file.state === 'reading' ? 'rows read' : `of ${file.rows} rows`}
            </span>
        </div>
    );
}
