import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { api, type LibraryFile, type Named, Problem } from '../../api/client';
import { own } from '../../offline/person';
import { forget, recall, remember } from '../../offline/place';
import { Loading, Notice } from '../../parts/Notice';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import {
    type BlockDef,
    definitionOf,
    freshId,
    type LadderDef,
    placeInWords,
    replaced,
    withoutCheckpoint,
    withoutFault,
    type RungDef,
} from './definition';
import { CheckpointRow } from './CheckpointRow';
import { FaultRow } from './FaultRow';
import { MomentsOf } from './Pictures';
import { RungEditor } from './RungEditor';
import { SeatedOf } from './SeatedOf';
import { TagsOf } from './TagsOf';

/** A ladder in a coach’s own words: a copy of one that ships, or the next version of an own one. */
export function LadderEditScreen() {
    const { ladderId } = useParams({ from: '/frame/library/$ladderId/edit' });
    const file = useQuery({
        queryKey: ['ladder-file', ladderId],
        queryFn: () => api('GET', `/api/library/${ladderId}/definition`),
        refetchOnWindowFocus: false,
        staleTime: Infinity,
    });
    const skills = useQuery({
        queryKey: ['skills'],
        queryFn: () => api('GET', '/api/skills'),
        staleTime: Infinity,
    });
    const objects = useQuery({
        queryKey: ['all-objects'],
        queryFn: () => api('GET', '/api/objects?all=1'),
        staleTime: Infinity,
    });
    if (file.error && !file.data)
        return (
            <main className="p-6">
                <Notice problem={file.error} />
            </main>
        );
    if (!file.data || !skills.data || !objects.data)
        return (
            <main>
                <Loading what="the ladder" />
            </main>
        );
    return (
        <Editor
            key={`${file.data.id} ${file.data.version}`}
            file={file.data}
            skills={skills.data}
            objects={objects.data}
        />
    );
}

/** What was typed survives a closed tab: kept on this device until the ladder is. */
const keptAt = (file: LibraryFile): string => own(`ladder ${file.id} ${file.version}`);

function Editor({ file, skills, objects }: { file: LibraryFile; skills: Named[]; objects: Named[] }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [ladder, set] = useState<LadderDef>(() => {
        const kept = recall(keptAt(file));
        const from = definitionOf(file);
        return kept ? (JSON.parse(kept) as LadderDef) : file.own ? from : { ...from, name: `${from.name}, our way` };
    });
    const [problem, setProblem] = useState<unknown>(null);
    const [open, setOpen] = useState(0);
    const setLadder = (next: LadderDef): void => {
        set(next);
        remember(keptAt(file), JSON.stringify(next));
    };
    const leave = (): void => {
        forget(keptAt(file));
        void navigate({ to: '/library/$ladderId', params: { ladderId: file.id } });
    };
    const save = (): void => {
        api('POST', '/api/library', { version: file.own ? file.version : 0, definition: ladder }).then((kept) => {
            forget(keptAt(file));
            void queries.invalidateQueries();
            void navigate({ to: '/library/$ladderId', params: { ladderId: kept.id } });
        }, setProblem);
    };
    const places =
        problem instanceof Problem ? Object.entries(problem.errors).filter(([path]) => path.startsWith('/')) : [];
    return (
        <main className="px-4 pb-10 sm:px-6">
            <form
                onSubmit={(event) => {
                    event.preventDefault();
                    save();
                }}
            >
                <header className="sticky top-0 z-10 flex flex-wrap gap-3 border-b-2 border-ink bg-chalk py-3">
                    <div className="max-w-prose">
                        <p className="label">
                            <Link to="/library/$ladderId" params={{ ladderId: file.id }} className="hover:underline">
                                {file.name}
                            </Link>{' '}
                            · {file.own ? `version ${file.version} becomes ${file.version + 1}` : 'an own copy'}
                        </p>
                        <h1 className="text-2xl">{ladder.name || 'Without a name'}</h1>
                    </div>
                    <span className="grow" />
                    <button type="button" className="btn" onClick={leave}>
                        Cancel
                    </button>
                    <button className="btn btn-main">Save this ladder</button>
                </header>
                {places.length === 0 ? (
                    <Notice problem={problem} />
                ) : (
                    <Places places={places} problem={problem} ladder={ladder} onRung={setOpen} />
                )}
                <p className="max-w-prose py-2 text-soft">
                    Write once for the throwing side: {'{throwing}'}, {'{front}'} and {'{other}'} turn into left and
                    right by themselves. What was already done keeps the version it was done by. Where a checkpoint has
                    several ways, keep the one you teach, or leave all of them: any passes.
                </p>
                <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[1.25fr_1fr]">
                    <Rungs
                        ladder={ladder}
                        open={open}
                        skills={skills}
                        objects={objects}
                        onOpen={setOpen}
                        onChange={setLadder}
                    />
                    <div className="grid min-w-0 content-start gap-6">
                        <InShort ladder={ladder} onChange={setLadder} />
                        <Checkpoints ladder={ladder} onChange={setLadder} />
                        <MomentsOf ladder={ladder} onChange={setLadder} />
                        <Faults ladder={ladder} skills={skills} objects={objects} onChange={setLadder} />
                        <TagsOf ladder={ladder} onChange={setLadder} />
                        <SeatedOf ladder={ladder} onChange={setLadder} />
                    </div>
                </div>
            </form>
        </main>
    );
}

function Text({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
    return <LabelledInput label={<>{label}</>} value={value} onChange={(event) => onChange(event.target.value)} />;
}

/** Where the file has to be mended; a touch opens the rung. */
function Places({
    places,
    problem,
    ladder,
    onRung,
}: {
    places: [string, string[]][];
    problem: unknown;
    ladder: LadderDef;
    onRung: (at: number) => void;
}) {
    return (
        <div role="alert" className="my-3 border-l-4 border-stop bg-page px-3 py-2">
            <p className="head text-stop">{problem instanceof Problem ? problem.title : ''}</p>
            <p>Nothing is kept yet. {places.length === 1 ? 'One place' : `${places.length} places`} to mend:</p>
            <ul className="mt-1">
                {places.map(([path, messages]) => (
                    <li key={path}>
                        <button
                            type="button"
                            className="text-left hover:underline"
                            onClick={() => {
                                const rung = /^\/rungs\/(\d+)/.exec(path);
                                if (rung) onRung(Number(rung[1]));
                            }}
                        >
                            <strong>{placeInWords(path, ladder)}:</strong> {messages.join(' ')}
                        </button>
                    </li>
                ))}
            </ul>
        </div>
    );
}

function Rungs({
    ladder,
    open,
    skills,
    objects,
    onOpen,
    onChange,
}: {
    ladder: LadderDef;
    open: number;
    skills: Named[];
    objects: Named[];
    onOpen: (at: number) => void;
    onChange: (next: LadderDef) => void;
}) {
    const moved = (i: number, by: number): void => {
        const rungs = [...ladder.rungs];
        const [rung] = rungs.splice(i, 1);
        if (rung) {
            rungs.splice(i + by, 0, rung);
            onChange({ ...ladder, rungs });
            onOpen(i + by);
        }
    };
    return (
        <section aria-label="Rungs" className="min-w-0">
            <h2 className="border-b-2 border-ink pb-1 text-base">Rungs, from the foot up</h2>
            <ol>
                {ladder.rungs.map((rung, i) => (
                    <RungRow
                        key={rung.id}
                        nth={i}
                        last={i === ladder.rungs.length - 1}
                        rung={rung}
                        open={open === i}
                        onOpen={() => onOpen(open === i ? -1 : i)}
                        onMove={(by) => moved(i, by)}
                    >
                        {open === i && (
                            <RungEditor
                                rung={rung}
                                ladder={ladder}
                                skills={skills}
                                objects={objects}
                                onChange={(next) => onChange({ ...ladder, rungs: replaced(ladder.rungs, i, next) })}
                            />
                        )}
                    </RungRow>
                ))}
            </ol>
            <button
                type="button"
                className="btn mt-2"
                onClick={() => {
                    const like = ladder.rungs.at(-1);
                    if (!like) return;
                    const rung: RungDef = {
                        ...like,
                        id: freshId('rung', ladder.rungs),
                        name: 'New rung',
                        blocks: like.blocks.map((block: BlockDef) => ({ ...block })),
                    };
                    onChange({ ...ladder, rungs: [...ladder.rungs, rung] });
                    onOpen(ladder.rungs.length);
                }}
            >
                Add a rung, like the last
            </button>
        </section>
    );
}

function RungRow({
    nth,
    last,
    rung,
    open,
    onOpen,
    onMove,
    children,
}: {
    nth: number;
    last: boolean;
    rung: RungDef;
    open: boolean;
    onOpen: () => void;
    onMove: (by: number) => void;
    children: ReactNode;
}) {
    return (
        <li className="border-b border-line py-1.5">
            <div className="flex items-center gap-1">
                <span className="figure w-6 text-soft">{nth + 1}</span>
                <button
                    type="button"
                    aria-expanded={open}
                    className="head grow text-left text-lg hover:underline"
                    onClick={onOpen}
                >
                    {rung.name || 'Without a name'}
                </button>
                <button
                    type="button"
                    className="btn btn-quiet min-w-10 px-1"
                    aria-label={`${rung.name} up`}
                    disabled={nth === 0}
                    onClick={() => onMove(-1)}
                >
                    <ArrowUp size={18} aria-hidden />
                </button>
                <button
                    type="button"
                    className="btn btn-quiet min-w-10 px-1"
                    aria-label={`${rung.name} down`}
                    disabled={last}
                    onClick={() => onMove(1)}
                >
                    <ArrowDown size={18} aria-hidden />
                </button>
            </div>
            {children}
        </li>
    );
}

function InShort({ ladder, onChange }: { ladder: LadderDef; onChange: (next: LadderDef) => void }) {
    return (
        <section aria-label="In short" className="grid gap-2">
            <h2 className="border-b-2 border-ink pb-1 text-base">In short</h2>
            <Text label="Name" value={ladder.name} onChange={(name) => onChange({ ...ladder, name })} />
            <Text label="What it is" value={ladder.summary} onChange={(summary) => onChange({ ...ladder, summary })} />
            <Labelled label="Cautions, one a line">
                <textarea
                    className="field"
                    rows={4}
                    value={ladder.cautions.join('\n')}
                    onChange={(event) =>
                        onChange({
                            ...ladder,
                            cautions: event.target.value
                                .split('\n')
                                .filter((line, i, all) => line !== '' || i === all.length - 1),
                        })
                    }
                    onBlur={() =>
                        onChange({
                            ...ladder,
                            cautions: ladder.cautions.filter((line) => line.trim() !== ''),
                        })
                    }
                />
            </Labelled>
        </section>
    );
}

function Checkpoints({ ladder, onChange }: { ladder: LadderDef; onChange: (next: LadderDef) => void }) {
    return (
        <section aria-label="Checkpoints">
            <h2 className="border-b-2 border-ink pb-1 text-base">Checkpoints: what good looks like</h2>
            {ladder.checkpoints.map((each, i) => (
                <CheckpointRow
                    key={each.id}
                    each={each}
                    moments={ladder.moments ?? []}
                    onChange={(next) =>
                        onChange(
                            next === null
                                ? withoutCheckpoint(ladder, each.id)
                                : { ...ladder, checkpoints: replaced(ladder.checkpoints, i, next) },
                        )
                    }
                />
            ))}
            <button
                type="button"
                className="btn mt-2"
                onClick={() =>
                    onChange({
                        ...ladder,
                        checkpoints: [
                            ...ladder.checkpoints,
                            { id: freshId('checkpoint', ladder.checkpoints), name: '', good: '' },
                        ],
                    })
                }
            >
                Add a checkpoint
            </button>
        </section>
    );
}

function Faults({
    ladder,
    skills,
    objects,
    onChange,
}: {
    ladder: LadderDef;
    skills: Named[];
    objects: Named[];
    onChange: (next: LadderDef) => void;
}) {
    return (
        <section aria-label="Faults">
            <h2 className="border-b-2 border-ink pb-1 text-base">Faults: the thought, and the drill that mends it</h2>
            {ladder.faults.map((each, i) => (
                <FaultRow
                    key={each.id}
                    each={each}
                    ladder={ladder}
                    skills={skills}
                    objects={objects}
                    onChange={(next) =>
                        onChange(
                            next === null
                                ? withoutFault(ladder, each.id)
                                : { ...ladder, faults: replaced(ladder.faults, i, next) },
                        )
                    }
                />
            ))}
            <button
                type="button"
                className="btn mt-2"
                onClick={() =>
                    onChange({
                        ...ladder,
                        faults: [
                            ...ladder.faults,
                            {
                                id: freshId('fault', ladder.faults),
                                name: '',
                                checkpoint: ladder.checkpoints[0]?.id ?? '',
                                cue: '',
                                drill: '',
                            },
                        ],
                    })
                }
            >
                Add a fault
            </button>
        </section>
    );
}
