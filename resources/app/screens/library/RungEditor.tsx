import type { Named } from '../../api/client';
import { leftOut } from './definition';
import type { BlockDef, LadderDef, RungDef } from './definition';
import { Figure } from './Figure';
import { DoneWith } from './DoneWith';
import { HowDone } from './HowDone';
import { Preview } from './Preview';
import { Taught } from './Taught';
import { ToGoOn } from './ToGoOn';
import { LOADED_PARTS, type LoadedPart, SURFACES } from '../../parts/dose';
import { Toggle } from '../../parts/Toggle';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { clsx } from 'clsx';

const KINDS: [kind: string, name: string][] = [
    ['warm_up', 'warm-up'],
    ['rehearsal', 'rehearsal'],
    ['part', 'part'],
    ['whole', 'whole'],
    ['target', 'target'],
    ['game_like', 'like the game'],
    ['other_side', 'other side'],
    ['cool_down', 'cool-down'],
];
const PERCENT = 100;

type Given = {
    rung: RungDef;
    ladder: LadderDef;
    skills: Named[];
    objects: Named[];
    onChange: (next: RungDef | null) => void;
};

/** One rung: what is looked for, what it asks before the next, and its blocks with their doses. */
export function RungEditor({ rung, ladder, skills, objects, onChange }: Given) {
    const toggled = (list: string[], id: string): string[] =>
        list.includes(id) ? list.filter((each) => each !== id) : [...list, id];
    const block = (i: number, next: BlockDef | null): void =>
        onChange({
            ...rung,
            blocks:
                next === null
                    ? rung.blocks.filter((_, j) => j !== i)
                    : rung.blocks.map((each, j) => (i === j ? next : each)),
        });
    return (
        <div className="grid gap-2.5 py-2 pl-7">
            <About rung={rung} onChange={onChange} />
            <div>
                <Preview ladder={ladder} rung={rung} nth={ladder.rungs.indexOf(rung) + 1} />
            </div>
            <Choices
                legend="Looked for"
                all={ladder.checkpoints}
                chosen={rung.checkpoints}
                onToggle={(id) => onChange({ ...rung, checkpoints: toggled(rung.checkpoints, id) })}
            />
            <Choices
                legend="Faults to tap, the likeliest first"
                all={ladder.faults}
                chosen={rung.faults}
                numbered
                onToggle={(id) => onChange({ ...rung, faults: toggled(rung.faults, id) })}
            />
            {(ladder.tags ?? []).length > 0 && (
                <Choices
                    legend="Besides good or faulty"
                    all={ladder.tags ?? []}
                    chosen={rung.tags ?? []}
                    onToggle={(id) => onChange({ ...rung, tags: toggled(rung.tags ?? [], id) })}
                />
            )}
            <Taught rung={rung} onChange={onChange} />
            <ToGoOn rung={rung} onChange={onChange} />
            <div>
                <p className="label">Blocks, in order</p>
                {rung.blocks.map((each, i) => (
                    <BlockRow
                        key={i}
                        nth={i + 1}
                        block={each}
                        skills={skills}
                        objects={objects}
                        onChange={(next) => block(i, next)}
                    />
                ))}
                <Indoors rung={rung} ladder={ladder} skills={skills} objects={objects} onChange={onChange} />
                <div className="mt-1.5 flex flex-wrap gap-2">
                    <button
                        type="button"
                        className="btn"
                        onClick={() =>
                            onChange({
                                ...rung,
                                blocks: [
                                    ...rung.blocks,
                                    {
                                        block: 'whole',
                                        title: '',
                                        text: '',
                                        skill: ladder.skill,
                                        object: rung.blocks.at(-1)?.object ?? 'nothing',
                                        sets: 2,
                                        reps: 6,
                                        effort: 0.5,
                                    },
                                ],
                            })
                        }
                    >
                        Add a block
                    </button>
                    <span className="grow" />
                    {ladder.rungs.length > 1 && (
                        <button type="button" className="btn btn-quiet" onClick={() => onChange(null)}>
                            Take this rung away
                        </button>
                    )}
                </div>
            </div>
        </div>
    );
}

/** What is done in place of what no space can hold. */
function Indoors({ rung, ladder, skills, objects, onChange }: Given) {
    const begun: BlockDef = {
        block: 'part',
        title: '',
        text: '',
        skill: ladder.skill,
        object: 'nothing',
        sets: 2,
        reps: 6,
        effort: 0.5,
    };
    if (rung.indoor === undefined)
        return (
            <button type="button" className="btn mt-1.5" onClick={() => onChange({ ...rung, indoor: begun })}>
                Say what is done indoors
            </button>
        );
    return (
        <>
            <p className="label mt-2">Indoors, in place of what no space can hold: no evidence of the rung</p>
            <BlockRow
                nth={rung.blocks.length + 1}
                block={rung.indoor}
                skills={skills}
                objects={objects}
                onChange={(next) => onChange(next === null ? leftOut(rung, 'indoor') : { ...rung, indoor: next })}
            />
        </>
    );
}

function Choices({
    legend,
    all,
    chosen,
    numbered = false,
    onToggle,
}: {
    legend: string;
    all: { id: string; name: string }[];
    chosen: string[];
    numbered?: boolean;
    onToggle: (id: string) => void;
}) {
    return (
        <fieldset>
            <legend className="label">{legend}</legend>
            <div className="mt-1 flex flex-wrap gap-1">
                {all.map((each) => {
                    const at = chosen.indexOf(each.id);
                    return (
                        <button
                            key={each.id}
                            type="button"
                            aria-pressed={at >= 0}
                            className={clsx(
                                'min-h-9 border px-2 text-sm',
                                at >= 0 ? 'border-ink bg-ink text-chalk' : 'border-line',
                            )}
                            onClick={() => onToggle(each.id)}
                        >
                            {numbered && at >= 0 ? `${at + 1} ` : ''}
                            {each.name || 'without a name'}
                        </button>
                    );
                })}
            </div>
        </fieldset>
    );
}

function BlockRow({
    nth,
    block,
    skills,
    objects,
    onChange,
}: {
    nth: number;
    block: BlockDef;
    skills: Named[];
    objects: Named[];
    onChange: (next: BlockDef | null) => void;
}) {
    const about = `block ${nth}`;
    const without = (key: string): BlockDef => leftOut(block, key);
    return (
        <div className="grid gap-1 border-t border-line py-1.5">
            <BlockName about={about} block={block} onChange={onChange} />
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                <BlockDose about={about} block={block} onChange={onChange} />
                <WithWhat about={about} block={block} skills={skills} objects={objects} onChange={onChange} />
                <HowDone about={about} block={block} onChange={onChange} />
                <Least about={about} block={block} onChange={onChange} />
                <label className="flex items-center gap-1 text-sm">
                    <input
                        type="checkbox"
                        checked={block.side === 'other'}
                        onChange={(event) =>
                            onChange(event.target.checked ? { ...block, side: 'other' } : without('side'))
                        }
                    />{' '}
                    other side
                </label>
                <label className="flex items-center gap-1 text-sm">
                    <input
                        type="checkbox"
                        checked={block.judged ?? false}
                        onChange={(event) =>
                            onChange(event.target.checked ? { ...block, judged: true } : without('judged'))
                        }
                    />{' '}
                    judged
                </label>
                <PartsLoaded
                    about={about}
                    value={block.loads}
                    onChange={(loads) => onChange(loads === undefined ? without('loads') : { ...block, loads })}
                />
                <button type="button" className="btn btn-quiet" onClick={() => onChange(null)}>
                    Take away
                </button>
            </div>
        </div>
    );
}

/**
 * What a block loads, counted or not: that of its skill, unless it is said otherwise. A word of none for a part drops
 * the block.
 */
function PartsLoaded({
    about,
    value,
    onChange,
}: {
    about: string;
    value: LoadedPart[] | undefined;
    onChange: (value: LoadedPart[] | undefined) => void;
}) {
    return (
        <fieldset className="flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
            <legend className="sr-only">Parts loaded by {about}</legend>
            <label className="flex items-center gap-1">
                <input
                    type="checkbox"
                    checked={value === undefined}
                    onChange={(event) => onChange(event.target.checked ? undefined : [])}
                />
                loads what its skill loads
            </label>
            {value !== undefined && value.length === 0 && (
                <span className="text-soft">or, nothing marked: no part</span>
            )}
            {value !== undefined &&
                LOADED_PARTS.map(([part, name]) => (
                    <label key={part} className="flex items-center gap-1">
                        <input
                            type="checkbox"
                            checked={value.includes(part)}
                            onChange={(event) =>
                                onChange(
                                    LOADED_PARTS.map(([each]) => each).filter((each) =>
                                        each === part ? event.target.checked : value.includes(each),
                                    ),
                                )
                            }
                        />
                        {name}
                    </label>
                ))}
        </fieldset>
    );
}

function About({ rung, onChange }: { rung: RungDef; onChange: (next: RungDef) => void }) {
    return (
        <div className="grid gap-2 sm:grid-cols-[1fr_1.4fr_11rem]">
            <LabelledInput
                label="Name"
                value={rung.name}
                onChange={(event) => onChange({ ...rung, name: event.target.value })}
            />
            <LabelledInput
                label="Goal"
                value={rung.goal}
                onChange={(event) => onChange({ ...rung, goal: event.target.value })}
            />
            <Labelled label="Where it lands">
                <select
                    className="field"
                    value={rung.outcome}
                    onChange={(event) => onChange({ ...rung, outcome: event.target.value as RungDef['outcome'] })}
                >
                    <option value="ignored">is not looked at</option>
                    <option value="scored">counts</option>
                </select>
            </Labelled>
            {rung.outcome === 'scored' && <SafeMisses rung={rung} onChange={onChange} />}
            {rung.seated !== undefined && (
                <div className="sm:col-span-3">
                    <LabelledInput
                        label="From a chair"
                        value={rung.seated}
                        onChange={(event) => onChange({ ...rung, seated: event.target.value })}
                    />
                </div>
            )}
        </div>
    );
}

const MISSES = ['low', 'high', 'left', 'right', 'short', 'long', 'net'];

/** Misses that harm nothing: below the aim, for a throw to a partner. */
function SafeMisses({ rung, onChange }: { rung: RungDef; onChange: (next: RungDef) => void }) {
    const safe = rung.safe_misses ?? [];
    const turn = (miss: string, on: boolean): void => {
        const next = on ? [...safe, miss] : safe.filter((each) => each !== miss);
        onChange(next.length > 0 ? { ...rung, safe_misses: next } : leftOut(rung, 'safe_misses'));
    };
    return (
        <div role="group" aria-label="Misses that are safe">
            <span className="label block">Misses that are safe</span>
            <div className="flex flex-wrap gap-1.5">
                {MISSES.map((miss) => (
                    <Toggle key={miss} on={safe.includes(miss)} onChange={(on) => turn(miss, on)}>
                        {miss}
                    </Toggle>
                ))}
            </div>
        </div>
    );
}

/** Its kind, its title and what is done. */
function BlockName({ about, block, onChange }: { about: string; block: BlockDef; onChange: (next: BlockDef) => void }) {
    return (
        <div className="flex flex-wrap gap-1.5">
            <select
                aria-label={`Kind of ${about}`}
                className="field w-32"
                value={block.block}
                onChange={(event) => onChange({ ...block, block: event.target.value })}
            >
                <Options of={KINDS} />
            </select>
            <input
                aria-label={`Title of ${about}`}
                placeholder="title"
                className="field head w-44"
                value={block.title}
                onChange={(event) => onChange({ ...block, title: event.target.value })}
            />
            <input
                aria-label={`What to do in ${about}`}
                placeholder="what to do"
                className="field min-w-48 grow"
                value={block.text}
                onChange={(event) => onChange({ ...block, text: event.target.value })}
            />
        </div>
    );
}

function BlockDose({ about, block, onChange }: { about: string; block: BlockDef; onChange: (next: BlockDef) => void }) {
    const figure = (key: 'distance_m' | 'hold_s' | 'rest_s', value: number | undefined): void =>
        onChange(value === undefined ? leftOut(block, key) : { ...block, [key]: value });
    return (
        <>
            {' '}
            <Figure
                label="sets"
                about={about}
                value={block.sets}
                onChange={(sets) => onChange({ ...block, sets: sets ?? 1 })}
            />
            <Figure
                label="reps"
                about={about}
                value={block.reps}
                onChange={(reps) => onChange({ ...block, reps: reps ?? 0 })}
            />
            <Figure
                label="effort, %"
                about={about}
                value={Math.round(PERCENT * block.effort)}
                onChange={(effort) => {
                    const next = (effort ?? 0) / PERCENT;
                    onChange({
                        ...block,
                        effort: next,
                        ...(typeof block.effort_min === 'number' && block.effort_min > next
                            ? { effort_min: next }
                            : {}),
                    });
                }}
            />
            <Figure
                label="m"
                about={about}
                value={block.distance_m}
                onChange={(value) =>
                    value === undefined
                        ? onChange(leftOut(leftOut(block, 'distance_share'), 'distance_m'))
                        : figure('distance_m', value)
                }
            />
            {block.distance_m !== undefined && (
                <Figure
                    label="or % of the longest throw"
                    about={about}
                    value={block.distance_share === undefined ? undefined : Math.round(PERCENT * block.distance_share)}
                    onChange={(value) =>
                        onChange(
                            value === undefined || value <= 0
                                ? leftOut(block, 'distance_share')
                                : { ...block, distance_share: Math.min(1, value / PERCENT) },
                        )
                    }
                />
            )}
            <Figure label="hold, s" about={about} value={block.hold_s} onChange={(value) => figure('hold_s', value)} />
            <Figure label="rest, s" about={about} value={block.rest_s} onChange={(value) => figure('rest_s', value)} />
        </>
    );
}

/** How far a trim may go, and from how high it is landed. */
function Least({ about, block, onChange }: { about: string; block: BlockDef; onChange: (next: BlockDef) => void }) {
    const figure = (
        key: 'reps_min' | 'effort_min' | 'distance_min_m' | 'drop_cm',
        label: string,
        of: number | undefined,
        times = 1,
    ) => (
        <Figure
            label={label}
            about={about}
            value={of === undefined ? undefined : Math.round(of * times * 10) / 10}
            onChange={(value) =>
                onChange(value === undefined ? leftOut(block, key) : { ...block, [key]: value / times })
            }
        />
    );
    return (
        <>
            {figure('reps_min', 'reps at the least', block.reps_min)}
            {figure('effort_min', 'effort at the least, %', block.effort_min, PERCENT)}
            {block.distance_m !== undefined && figure('distance_min_m', 'm at the least', block.distance_min_m)}
            {figure('drop_cm', 'from a box of, cm', block.drop_cm)}
        </>
    );
}

/** The skill, the object and the floor of a block. */
function WithWhat({
    about,
    block,
    skills,
    objects,
    onChange,
}: {
    about: string;
    block: BlockDef;
    onChange: (next: BlockDef) => void;
    skills: Named[];
    objects: Named[];
}) {
    return (
        <>
            {' '}
            <DoneWith about={about} of={block} skills={skills} objects={objects} onChange={onChange} />
            <select
                aria-label={`Floor of ${about}`}
                className="field w-28"
                value={block.surface ?? ''}
                onChange={(event) =>
                    onChange(
                        event.target.value === ''
                            ? leftOut(block, 'surface')
                            : { ...block, surface: event.target.value },
                    )
                }
            >
                <option value="">any floor</option>
                {SURFACES.map((each) => (
                    <option key={each} value={each}>
                        {each}
                    </option>
                ))}
            </select>
        </>
    );
}
