import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { Labelled } from '../../parts/Labelled';
import {
    asKind,
    type Filter,
    KINDS,
    type Kind,
    type LimitDef,
    measuresOf,
    withBand,
    withFilter,
    withOptional,
    withoutBand,
} from './limitKinds';

type Change = (limit: LimitDef) => void;

const FAMILIES = ['throw', 'serve', 'strike', 'pass', 'jump'];
const OBJECTS = ['shadow', 'light', 'standard', 'heavy', 'body'];
const METHODS: Record<string, string> = {
    ewma: 'weighted, the latest most',
    rolling: 'rolling means',
    uncoupled: 'rolling, without the last week',
};

/** Everything else a limit can say: its kind, what it counts, of which work, at which ages. */
export function LimitDetails({ limit, onChange }: { limit: LimitDef; onChange: Change }) {
    return (
        <details className="text-sm">
            <summary className="label cursor-pointer underline decoration-dotted underline-offset-4">
                What it counts, of whom
            </summary>
            <div className="mt-2 grid gap-3 border-l-2 border-line pl-3">
                <div className="flex flex-wrap items-end gap-3">
                    <Pick
                        label="Kind"
                        of={KINDS}
                        value={limit.kind}
                        onPick={(kind) => onChange(asKind(limit, kind as Kind))}
                    />
                    <Pick
                        label="Counted in"
                        of={measuresOf(limit.kind)}
                        value={limit.measure}
                        onPick={(measure) => onChange({ ...limit, measure })}
                    />
                    {limit.kind === 'cap' && <Window limit={limit} onChange={onChange} />}
                    {limit.kind === 'ratio' && (
                        <Pick
                            label="Worked out as"
                            of={METHODS}
                            value={limit.method ?? 'ewma'}
                            onPick={(method) => onChange({ ...limit, method })}
                        />
                    )}
                    <label className="flex items-center gap-1 pb-2">
                        <input
                            type="checkbox"
                            checked={limit.per_side === true}
                            onChange={(event) => onChange({ ...limit, per_side: event.target.checked })}
                        />
                        each side apart
                    </label>
                </div>
                <Work
                    label="Of which work"
                    filter={limit.filter ?? {}}
                    perSide={limit.per_side === true}
                    onChange={(filter) => onChange(withFilter(limit, 'filter', filter))}
                />
                {limit.kind === 'rest' && <Owed limit={limit} onChange={onChange} />}
                <Ages limit={limit} onChange={onChange} />
            </div>
        </details>
    );
}

function Pick({
    label,
    of,
    value,
    onPick,
}: {
    label: string;
    of: Record<string, string>;
    value: string;
    onPick: (value: string) => void;
}) {
    return (
        <Labelled label={label}>
            <select className="field" value={value} onChange={(event) => onPick(event.target.value)}>
                {Object.entries(of).map(([id, name]) => (
                    <option key={id} value={id}>
                        {name}
                    </option>
                ))}
            </select>
        </Labelled>
    );
}

function Window({ limit, onChange }: { limit: LimitDef; onChange: Change }) {
    return (
        <>
            <Pick
                label="Within"
                of={{ days: 'some days', session: 'one session' }}
                value={limit.window?.session ? 'session' : 'days'}
                onPick={(which) =>
                    onChange({ ...limit, window: which === 'session' ? { session: true } : { days: 1 } })
                }
            />
            {!limit.window?.session && (
                <Whole
                    label="Days"
                    value={limit.window?.days ?? 1}
                    least={1}
                    onChange={(days) => onChange({ ...limit, window: { days } })}
                />
            )}
        </>
    );
}

function Whole({
    label,
    value,
    least,
    onChange,
}: {
    label: string;
    value: number;
    least: number;
    onChange: (value: number) => void;
}) {
    return (
        <Labelled label={label}>
            <input
                className="field figure w-16 text-center"
                type="number"
                min={least}
                value={value}
                onChange={(event) => onChange(Math.max(least, Math.round(Number(event.target.value)) || least))}
            />
        </Labelled>
    );
}

/** Nothing chosen is all of it. */
function Work({
    label,
    filter,
    perSide = false,
    onChange,
}: {
    label: string;
    filter: Filter;
    perSide?: boolean;
    onChange: (filter: Filter) => void;
}) {
    const skills = useQuery({ queryKey: ['skills'], queryFn: () => api('GET', '/api/skills') });
    const side = Array.isArray(filter.side) ? (filter.side.length === 1 ? filter.side[0] : '') : filter.side;
    return (
        <fieldset className="grid gap-1.5">
            <legend className="label">{label}: nothing ticked is all of it</legend>
            <Ticks of={FAMILIES} ticked={filter.families} onTick={(families) => onChange({ ...filter, families })} />
            <Ticks of={OBJECTS} ticked={filter.objects} onTick={(objects) => onChange({ ...filter, objects })} />
            <div className="flex flex-wrap items-center gap-3">
                {!perSide && (
                    <Pick
                        label="Side"
                        of={{ '': 'both', dominant: 'throwing side', other: 'other side' }}
                        value={side ?? ''}
                        onPick={(chosen) => onChange({ ...filter, side: chosen })}
                    />
                )}
                <details className="grow">
                    <summary className="cursor-pointer underline decoration-dotted">
                        {filter.skills?.length ? `Single skills: ${filter.skills.length}` : 'Single skills'}
                    </summary>
                    <Ticks
                        of={(skills.data ?? []).map((skill) => skill.id)}
                        names={Object.fromEntries((skills.data ?? []).map((skill) => [skill.id, skill.name]))}
                        ticked={filter.skills}
                        onTick={(chosen) => onChange({ ...filter, skills: chosen })}
                    />
                </details>
            </div>
        </fieldset>
    );
}

function Ticks({
    of,
    names = {},
    ticked = [],
    onTick,
}: {
    of: string[];
    names?: Record<string, string>;
    ticked?: string[] | undefined;
    onTick: (ticked: string[]) => void;
}) {
    return (
        <div className="flex flex-wrap gap-x-4 gap-y-1">
            {of.map((each) => (
                <label key={each} className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        checked={ticked.includes(each)}
                        onChange={(event) =>
                            onTick(event.target.checked ? [...ticked, each] : ticked.filter((one) => one !== each))
                        }
                    />
                    {names[each] ?? each}
                </label>
            ))}
        </div>
    );
}

/** Rest may be owed by other work than that which waits for it. */
function Owed({ limit, onChange }: { limit: LimitDef; onChange: Change }) {
    return (
        <>
            <div className="max-w-60">
                <Pick
                    label="What waits on a rest day"
                    of={{ '': 'the same measure', ...measuresOf('rest') }}
                    value={limit.waits ?? ''}
                    onPick={(waits) => onChange(withOptional(limit, 'waits', waits))}
                />
            </div>
            <Work
                label="Rest is owed by"
                filter={limit.owed_by ?? {}}
                perSide={limit.per_side === true}
                onChange={(filter) => onChange(withFilter(limit, 'owed_by', filter))}
            />
        </>
    );
}

function Ages({ limit, onChange }: { limit: LimitDef; onChange: Change }) {
    const bands = limit.by_age ?? [];
    const set = (at: number, ages: [number, number]): void =>
        onChange({ ...limit, by_age: bands.map((band, i) => (i === at ? { ...band, ages } : band)) });
    return (
        <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
            {bands.map((band, at) => (
                <div key={at} className="flex items-end gap-1">
                    <Whole
                        label="Age from"
                        least={0}
                        value={band.ages[0]}
                        onChange={(from) => set(at, [from, Math.max(from, band.ages[1])])}
                    />
                    <Whole
                        label="to"
                        least={band.ages[0]}
                        value={band.ages[1]}
                        onChange={(to) => set(at, [band.ages[0], to])}
                    />
                    <button
                        type="button"
                        className="btn btn-quiet"
                        aria-label={`Take away the ages from ${band.ages[0]}`}
                        onClick={() => onChange(withoutBand(limit, at))}
                    >
                        ×
                    </button>
                </div>
            ))}
            <button type="button" className="btn" onClick={() => onChange(withBand(limit))}>
                {bands.length === 0 ? 'Tell ages apart' : 'One age band more'}
            </button>
        </div>
    );
}
