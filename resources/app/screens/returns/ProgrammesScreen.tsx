import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { LabelledInput } from '../../parts/Labelled';

type Stage = {
    name: string;
    text: string;
    sets: number;
    reps: number;
    effort: number;
    distance_share?: number;
    passes?: number;
    min_gap_days?: number;
    needs_clearance?: boolean;
    match_play?: boolean;
    [other: string]: unknown;
};
type Definition = {
    id: string;
    name: string;
    summary: string;
    cautions: string[];
    stages: Stage[];
    [other: string]: unknown;
};

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
            <header className="py-3">
                <p className="label">
                    <Link to="/returns" className="hover:underline">
                        Returns
                    </Link>
                </p>
                <h1 className="text-2xl">Programmes</h1>
                <p className="mt-1 max-w-prose text-soft">
                    Examples with round numbers. What the treating clinician writes wins: copy one, change it, and open
                    returns on the copy. A return already begun keeps the programme it was opened with.
                </p>
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

function StageRow({
    nth,
    stage,
    only,
    onChange,
    onRepeat,
    onRemove,
}: {
    nth: number;
    stage: Stage;
    only: boolean;
    onChange: (with_: Partial<Stage>) => void;
    onRepeat: () => void;
    onRemove: () => void;
}) {
    const figure = (key: 'sets' | 'reps' | 'passes' | 'min_gap_days', fallback: number, label: string) => (
        <input
            className="field figure w-14 px-1 text-center"
            inputMode="numeric"
            aria-label={`${label} of stage ${nth}`}
            value={String(stage[key] ?? fallback)}
            onChange={(event) => onChange({ [key]: Number(event.target.value) || 0 })}
        />
    );
    const share = (key: 'effort' | 'distance_share', label: string) => (
        <input
            className="field figure w-16 px-1 text-center"
            inputMode="numeric"
            aria-label={`${label} of stage ${nth}, percent`}
            value={stage[key] === undefined ? '' : String(Math.round(100 * (stage[key] ?? 0)))}
            placeholder="–"
            onChange={(event) =>
                onChange({ [key]: event.target.value === '' ? undefined : (Number(event.target.value) || 0) / 100 })
            }
        />
    );
    return (
        <tr className="border-b border-line">
            <td className="py-1 pr-2">
                <input
                    className="field"
                    aria-label={`Name of stage ${nth}`}
                    required
                    value={stage.name}
                    onChange={(event) => onChange({ name: event.target.value })}
                />
            </td>
            <td className="pr-2">{figure('sets', 1, 'Sets')}</td>
            <td className="pr-2">{figure('reps', 1, 'Reps')}</td>
            <td className="pr-2">{share('effort', 'Effort')}</td>
            <td className="pr-2">{share('distance_share', 'Distance')}</td>
            <td className="pr-2">{figure('passes', 1, 'Passes')}</td>
            <td className="pr-2">{figure('min_gap_days', 2, 'Days between')}</td>
            <td className="pr-2">
                <label className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        disabled={nth === 1}
                        checked={nth === 1 || stage.needs_clearance === true}
                        onChange={(event) => onChange({ needs_clearance: event.target.checked })}
                    />
                    first
                </label>
            </td>
            <td className="pr-2">
                <label className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        checked={stage.match_play === true}
                        onChange={(event) => onChange({ match_play: event.target.checked })}
                    />
                    may play
                </label>
            </td>
            <td className="whitespace-nowrap text-right">
                <button type="button" className="btn btn-quiet" onClick={onRepeat}>
                    Repeat below
                </button>
                {!only && (
                    <button type="button" className="btn btn-quiet" onClick={onRemove}>
                        Remove
                    </button>
                )}
            </td>
        </tr>
    );
}
