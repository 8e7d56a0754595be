import { SURFACES } from '../../parts/dose';
import type { Criterion, Stage } from './programme';

/** One stage: its dose in a line, and below it what is done and what is asked of it. */
export function StageRow({
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
        <>
            <tr className="border-t border-line">
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
            <tr>
                <td colSpan={10} className="pb-2">
                    <WhatIsDone nth={nth} stage={stage} onChange={onChange} />
                </td>
            </tr>
        </>
    );
}

function WhatIsDone({
    nth,
    stage,
    onChange,
}: {
    nth: number;
    stage: Stage;
    onChange: (with_: Partial<Stage>) => void;
}) {
    const of = `of stage ${nth}`;
    const figure = (key: 'rest_s' | 'target_rate', label: string, times: number) => (
        <label className="flex items-center gap-1 text-sm">
            <input
                className="field figure w-14 px-1 text-center"
                inputMode="numeric"
                aria-label={`${label} ${of}`}
                placeholder="–"
                value={stage[key] === undefined ? '' : String(Math.round(times * (stage[key] ?? 0)))}
                onChange={({ target: { value } }) =>
                    onChange({ [key]: value === '' ? undefined : (Number(value) || 0) / times })
                }
            />
            <span className="text-soft">{label}</span>
        </label>
    );
    return (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <input
                className="field min-w-72 flex-1"
                aria-label={`What is done ${of}`}
                placeholder="what is done"
                value={stage.text}
                onChange={(event) => onChange({ text: event.target.value })}
            />
            <select
                className="field w-40"
                aria-label={`Object ${of}`}
                value={stage.object ?? 'own'}
                onChange={(event) => onChange({ object: event.target.value })}
            >
                <option value="own">their own object</option>
                <option value="shadow">nothing in the hand</option>
            </select>
            <select
                className="field w-28"
                aria-label={`Floor ${of}`}
                value={stage.surface ?? ''}
                onChange={(event) => onChange({ surface: event.target.value || undefined })}
            >
                <option value="">any floor</option>
                {SURFACES.map((each) => (
                    <option key={each}>{each}</option>
                ))}
            </select>
            <select
                className="field w-40"
                aria-label={`Landing ${of}`}
                value={stage.legs ?? ''}
                onChange={(event) => onChange({ legs: event.target.value ? Number(event.target.value) : undefined })}
            >
                <option value="">lands as the skill does</option>
                <option value="1">on one leg</option>
                <option value="2">on two legs</option>
            </select>
            {figure('rest_s', 's of rest', 1)}
            {figure('target_rate', '% good asked', 100)}
            <Measured nth={nth} stage={stage} onChange={onChange} />
        </div>
    );
}

/** What a clinician measures before the stage: a share of the other side, at the least. */
function Measured({ nth, stage, onChange }: { nth: number; stage: Stage; onChange: (with_: Partial<Stage>) => void }) {
    const criteria = stage.criteria ?? [];
    const set = (i: number, next: Criterion | null): void => {
        const left = criteria.flatMap((each, j) => (i === j ? (next ? [next] : []) : [each]));
        onChange({ criteria: left.length > 0 ? left : undefined });
    };
    return (
        <>
            {criteria.map((each, i) => (
                <span key={i} className="flex flex-wrap items-center gap-1.5">
                    <input
                        className="field w-48"
                        aria-label={`Measured before stage ${nth}, ${i + 1}`}
                        placeholder="what is measured"
                        value={each.label}
                        onChange={(event) => set(i, { ...each, label: event.target.value })}
                    />
                    <input
                        className="field w-16"
                        aria-label={`Unit of measure ${i + 1} before stage ${nth}`}
                        placeholder="unit"
                        value={each.unit}
                        onChange={(event) => set(i, { ...each, unit: event.target.value })}
                    />
                    <input
                        className="field figure w-14 px-1 text-center"
                        aria-label={`Least share of the other side for measure ${i + 1} before stage ${nth}, percent`}
                        inputMode="numeric"
                        value={String(Math.round(100 * each.at_least))}
                        onChange={(event) => set(i, { ...each, at_least: (Number(event.target.value) || 0) / 100 })}
                    />
                    <span className="text-sm text-soft">% of the other side</span>
                    <button type="button" className="btn btn-quiet" onClick={() => set(i, null)}>
                        Remove
                    </button>
                </span>
            ))}
            <button
                type="button"
                className="btn btn-quiet"
                onClick={() =>
                    onChange({
                        criteria: [
                            ...criteria,
                            { id: `measure-${criteria.length + 1}`, label: '', unit: 'kg', at_least: 0.9 },
                        ],
                    })
                }
            >
                Add a measure
            </button>
        </>
    );
}
