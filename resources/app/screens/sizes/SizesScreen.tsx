import { useQuery } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { api, type SizeNumbers } from '../../api/client';
import { ClubNumbers } from '../../parts/ClubNumbers';
import { Labelled } from '../../parts/Labelled';
import { Waiting } from '../../parts/Waiting';
import type { SizeFile, SizeTable } from './files';
import { SizeRows } from './SizeRows';

const queryKey = ['sizes'] as const;

/** What is thrown at which age and by which hand: the club's own code goes before ours. */
export function SizesScreen() {
    const query = useQuery({ queryKey, queryFn: () => api('GET', '/api/sizes'), refetchOnWindowFocus: false });
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/library" className="hover:underline">
                        Library
                    </Link>
                </p>
                <h1 className="text-2xl">Sizes by age and hand</h1>
                <p className="max-w-prose text-soft">
                    Example numbers. What your federation or school says comes first: write it here, and each sheet from
                    today on follows. Where a rung throws one size lighter, so does everybody. An age that is not known
                    counts as the youngest. For one athlete a size is chosen on their intake.
                </p>
            </header>
            {query.data ? (
                <ClubNumbers
                    key={query.data.version}
                    title="Sizes"
                    part="tables"
                    numbers={query.data}
                    queryKey={queryKey}
                    save={(body) => api('POST', '/api/sizes', body)}
                >
                    {(edited, change) => (
                        <Tables file={edited as SizeFile} kinds={query.data.tables} onChange={change} />
                    )}
                </ClubNumbers>
            ) : (
                <Waiting query={query} what="the sizes" />
            )}
        </main>
    );
}

function Tables({
    file,
    kinds,
    onChange,
}: {
    file: SizeFile;
    kinds: SizeNumbers['tables'];
    onChange: (file: SizeFile) => void;
}) {
    const change = (id: string, table: SizeTable): void =>
        onChange({ ...file, tables: { ...file.tables, [id]: table } });
    return (
        <>
            <Labelled label="Who says so">
                <input
                    className="field w-full max-w-prose"
                    maxLength={300}
                    value={file.source}
                    onChange={(event) => onChange({ ...file, source: event.target.value })}
                />
            </Labelled>
            <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-2">
                {kinds.map((kind) => {
                    const table = file.tables[kind.id];
                    return (
                        table && (
                            <SizeRows
                                key={kind.id}
                                kind={kind}
                                table={table}
                                onChange={(changed) => change(kind.id, changed)}
                            />
                        )
                    );
                })}
            </div>
        </>
    );
}
