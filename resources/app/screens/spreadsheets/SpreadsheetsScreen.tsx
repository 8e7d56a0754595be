import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from '@tanstack/react-router';
import { useRef } from 'react';
import { api } from '../../api/client';
import { dayName } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { type Kind, useUpload } from './useUpload';

const KINDS: readonly { kind: Kind; title: string; says: string; columns: string }[] = [
    {
        kind: 'athletes',
        title: 'Athletes',
        says: 'One row an athlete. Who is here already stays as they are.',
        columns: 'Name, or given and family name. If you have them: birth date, throwing side.',
    },
    {
        kind: 'work',
        title: 'Work done',
        says: 'One row for each set, or for each session: it becomes the load of its day.',
        columns: 'Day, name, what was done, repetitions. If you have them: sets, effort, distance, which arm, where.',
    },
];

/** What a club has is a spreadsheet: which to bring in, and what came of those before. */
export function SpreadsheetsScreen() {
    const navigate = useNavigate();
    const query = useQuery({ queryKey: ['imports'], queryFn: () => api('GET', '/api/imports') });
    const upload = useUpload((importId) => void navigate({ to: '/spreadsheets/$importId', params: { importId } }));
    if (!query.data) return <Waiting query={query} what="the spreadsheets" />;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <h1 className="text-2xl">Bring in a spreadsheet</h1>
                <p className="mt-1 max-w-[75ch] text-soft">
                    CSV or XLSX, the titles in the first row of the first sheet. You see what would become of each row
                    before anything is kept. All of it comes in, or nothing; and all of it can be taken back.
                </p>
            </header>
            <Notice problem={upload.problem} />
            {upload.share !== null && (
                <p role="status" className="py-2">
                    On its way: {Math.round(upload.share * 100)} %.
                </p>
            )}
            <ul className="grid border-t-2 border-ink md:grid-cols-2 md:gap-x-10">
                {KINDS.map((each) => (
                    <Choose
                        key={each.kind}
                        of={each}
                        disabled={upload.share !== null}
                        onFile={(file) => void upload.send(each.kind, file)}
                    />
                ))}
            </ul>
            {query.data.imports.length > 0 && <h2 className="mt-8 text-lg">Brought in before</h2>}
            <ul className="border-t border-line">
                {query.data.imports.map((each) => (
                    <li
                        key={each.id}
                        className="grid gap-x-5 border-b border-line py-1.5 md:grid-cols-[16rem_9rem_10rem_1fr]"
                    >
                        <Link to="/spreadsheets/$importId" params={{ importId: each.id }} className="opens truncate">
                            {each.file_name}
                        </Link>
                        <span>{dayName(each.made_at.slice(0, 10))}</span>
                        <span className="truncate text-soft">{each.by}</span>
                        <span>{each.sentence}</span>
                    </li>
                ))}
            </ul>
        </main>
    );
}

function Choose({
    of,
    disabled,
    onFile,
}: {
    of: (typeof KINDS)[number];
    disabled: boolean;
    onFile: (file: File) => void;
}) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <li className="grid content-start gap-2 border-b border-line py-4">
            <h2 className="text-lg">{of.title}</h2>
            <p>{of.says}</p>
            <p className="text-soft">{of.columns}</p>
            <p>
                <button type="button" className="btn" disabled={disabled} onClick={() => input.current?.click()}>
                    Choose a file: {of.title.toLowerCase()}
                </button>
            </p>
            <input
                ref={input}
                type="file"
                accept=".csv,.xlsx,.txt"
                className="sr-only"
                tabIndex={-1}
                aria-label={`File: ${of.title.toLowerCase()}`}
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    if (file) onFile(file);
                    event.target.value = '';
                }}
            />
        </li>
    );
}
