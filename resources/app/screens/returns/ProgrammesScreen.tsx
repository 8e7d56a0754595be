import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { LabelledInput } from '../../parts/Labelled';
import { saveText } from '../../parts/saveFile';
import { AboutProgramme } from './AboutProgramme';
import { ImportProgramme } from './ImportProgramme';
import { StageRow } from './StageRow';
import { type Definition, readDefinition, type Stage } from './programme';

/** Programmes of the way back: those that ship, and copies of one’s own. */
export function ProgrammesScreen() {
    const me = useMe();
    const [editing, setEditing] = useState<{ definition: Definition; version: number } | null>(null);
    const query = useQuery({
        queryKey: ['programme-files'],
        queryFn: () => api('GET', '/api/programmes'),
        refetchOnWindowFocus: false,
    });
    if (!query.data) return <Waiting query={query} what="the programmes" />;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 py-3">
                <div>
                    <p className="label">
                        <Link to="/returns" className="hover:underline">
                            Returns
                        </Link>
                    </p>
                    <h1 className="text-2xl">Programmes</h1>
                    <p className="mt-1 max-w-prose text-soft">
                        Examples with round numbers. What the treating clinician writes wins: copy one, change it, and
                        open returns on the copy. A return already begun keeps the programme it was opened with.
                    </p>
                </div>
                <span className="grow" />
                {me.decides && editing === null && (
                    <ImportProgramme
                        onRead={(text) => {
                            const definition = readDefinition(text);
                            if (definition === null) return false;
                            const own = query.data.find((file) => file.own && file.id === definition.id);
                            setEditing({ definition, version: own?.version ?? 0 });
                            return true;
                        }}
                    />
                )}
            </header>
            {editing === null ? (
                <ul className="border-t-2 border-ink">
                    {query.data.map((file) => {
                        const definition = file.definition as unknown as Definition;
                        return (
                            <li key={file.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
                                <div className="grow">
                                    <span className="head text-lg">{file.name}</span>{' '}
                                    <span className="label">
                                        {file.own ? `our own, version ${file.version}` : 'ships with Augendo'}
                                    </span>
                                    <span className="block text-soft">
                                        {definition.summary} {definition.stages.length} stages.
                                    </span>
                                </div>
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    onClick={() =>
                                        saveText(
                                            `${file.id}.json`,
                                            'application/json',
                                            `${JSON.stringify(definition, null, 2)}\n`,
                                        )
                                    }
                                >
                                    Export
                                </button>
                                {me.decides && (
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
                                )}
                            </li>
                        );
                    })}
                </ul>
            ) : (
                <Editor start={editing.definition} version={editing.version} onClose={() => setEditing(null)} />
            )}
        </main>
    );
}

function Editor({ start, version, onClose }: { start: Definition; version: number; onClose: () => void }) {
    const queries = useQueryClient();
    const [definition, setDefinition] = useState(start);
    const [problem, setProblem] = useState<unknown>(null);
    const change = (i: number, with_: Partial<Stage>): void =>
        setDefinition({
            ...definition,
            stages: definition.stages.map((stage, j) => (i === j ? { ...stage, ...with_ } : stage)),
        });
    const save = (): void => {
        api('POST', '/api/programmes', { version, definition }).then((answer) => {
            queries.setQueryData(['programme-files'], answer);
            onClose();
        }, setProblem);
    };
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                save();
            }}
        >
            <div className="grid gap-2 sm:grid-cols-[1fr_2fr]">
                <LabelledInput
                    label="Name"
                    required
                    value={definition.name}
                    onChange={(event) => setDefinition({ ...definition, name: event.target.value })}
                />
                <LabelledInput
                    label="In a sentence"
                    value={definition.summary}
                    onChange={(event) => setDefinition({ ...definition, summary: event.target.value })}
                />
            </div>
            <AboutProgramme definition={definition} onChange={setDefinition} />
            <div className="overflow-x-auto">
                <table className="w-full min-w-[56rem] border-t-2 border-ink">
                    <caption className="sr-only">Stages</caption>
                    <thead>
                        <tr className="label border-b border-line text-left">
                            <th className="py-1 pr-2">Stage</th>
                            <th className="pr-2">Sets</th>
                            <th className="pr-2">Reps</th>
                            <th className="pr-2">Effort, %</th>
                            <th className="pr-2">Distance, % of the longest</th>
                            <th className="pr-2">Passes</th>
                            <th className="pr-2">Days between</th>
                            <th className="pr-2">Clearance</th>
                            <th className="pr-2">Matches</th>
                            <th>
                                <span className="sr-only">Acts</span>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {definition.stages.map((stage, i) => (
                            <StageRow
                                key={i}
                                nth={i + 1}
                                stage={stage}
                                only={definition.stages.length === 1}
                                onChange={(with_) => change(i, with_)}
                                onRepeat={() =>
                                    setDefinition({
                                        ...definition,
                                        stages: definition.stages.toSpliced(i + 1, 0, {
                                            ...stage,
                                            name: `${stage.name}, again`,
                                            needs_clearance: false,
                                            match_play: false,
                                        }),
                                    })
                                }
                                onRemove={() =>
                                    setDefinition({ ...definition, stages: definition.stages.toSpliced(i, 1) })
                                }
                            />
                        ))}
                    </tbody>
                </table>
            </div>
            <p className="text-sm text-soft">
                The first stage always needs a clearance. A stage at full effort stays under 40 repetitions.
            </p>
            <Notice problem={problem} />
            <div className="flex gap-2">
                <button className="btn btn-main">
                    {version === 0 ? 'Save as our copy' : `Save as version ${version + 1}`}
                </button>
                <button type="button" className="btn" onClick={onClose}>
                    Cancel
                </button>
            </div>
        </form>
    );
}
