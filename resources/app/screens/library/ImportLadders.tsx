import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type LadderImport } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

type Chosen = { name: string; text: string };

/** Ladders from files: first what it would do, then all of them together or none. */
export function ImportLadders() {
    const queries = useQueryClient();
    const input = useRef<HTMLInputElement>(null);
    const [files, setFiles] = useState<Chosen[]>([]);
    const [rows, setRows] = useState<LadderImport[] | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const send = (chosen: Chosen[], keep: boolean): Promise<LadderImport[]> =>
        api('POST', '/api/library/import', { keep, files: chosen });
    const look = async (list: FileList | null): Promise<void> => {
        const chosen = await Promise.all(
            [...(list ?? [])].map(async (file) => ({ name: file.name, text: await file.text() })),
        );
        if (input.current) input.current.value = '';
        if (chosen.length === 0) return;
        setFiles(chosen);
        setProblem(null);
        await send(chosen, false).then(setRows, (error: unknown) => {
            setProblem(error);
            setRows([]);
        });
    };
    const close = (): void => {
        setRows(null);
        setFiles([]);
    };
    const bad = (rows ?? []).filter((row) => row.problems.length > 0);
    const keep = (): void => {
        send(files, true).then(() => {
            void queries.invalidateQueries();
            close();
        }, setProblem);
    };
    const leaveOut = (name: string): void => {
        const left = files.filter((file) => file.name !== name);
        setFiles(left);
        setRows((rows ?? []).filter((row) => row.file !== name));
    };
    return (
        <>
            <button type="button" className="btn" onClick={() => input.current?.click()}>
                Import
            </button>
            <input
                ref={input}
                type="file"
                accept=".json,application/json"
                multiple
                className="sr-only"
                tabIndex={-1}
                aria-label="Ladder files"
                onChange={(event) => void look(event.target.files)}
            />
            <Sheetlet open={rows !== null} onClose={close} title="Import ladders" wide>
                <Notice problem={problem} />
                <ul>
                    {(rows ?? []).map((row) => (
                        <li key={row.file} className="border-b border-line py-2">
                            <p className="flex flex-wrap items-baseline gap-x-3">
                                <span className="head text-lg">{row.name ?? row.file}</span>
                                <span className="label">{row.file}</span>
                                <span className="grow" />
                                {row.problems.length > 0 ? (
                                    <>
                                        <strong className="text-stop">{row.problems.length} to mend</strong>
                                        <button
                                            type="button"
                                            className="btn btn-quiet"
                                            onClick={() => leaveOut(row.file)}
                                        >
                                            Leave it out
                                        </button>
                                    </>
                                ) : (
                                    <span>
                                        {row.rungs} rungs; becomes {row.becomes}
                                    </span>
                                )}
                            </p>
                            {row.problems.length > 0 && (
                                <ul className="mt-1 border-l-4 border-stop pl-3 text-sm">
                                    {row.problems.map((each) => (
                                        <li key={`${each.path}${each.message}`}>
                                            <code className="break-all">{each.path}</code> {each.message}
                                        </li>
                                    ))}
                                </ul>
                            )}
                        </li>
                    ))}
                </ul>
                <p className="py-2 text-soft">
                    {bad.length > 0
                        ? 'Nothing is imported as long as a file has something to mend.'
                        : 'Nobody is moved by an import: place athletes under Intake, or move a squad from ' +
                          'the ladder’s page.'}
                </p>
                <div className="flex gap-2">
                    <button type="button" className="btn" onClick={close}>
                        Cancel
                    </button>
                    <button
                        type="button"
                        className="btn btn-main"
                        disabled={bad.length > 0 || files.length === 0}
                        onClick={keep}
                    >
                        Import {files.length === 1 ? 'it' : `all ${files.length}`}
                    </button>
                </div>
            </Sheetlet>
        </>
    );
}
