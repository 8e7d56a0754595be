import { Figure } from './Figure';
import { GateDoes } from './GateDoes';
import type { GateDef, RungDef } from './definition';

const PERCENT = 100;

type Asked = { key: keyof GateDef; label: string; share?: boolean };

const USUAL: Asked[] = [
    { key: 'min_reps', label: 'judged reps' },
    { key: 'min_sessions', label: 'different days' },
    { key: 'target_rate', label: 'good, %', share: true },
    { key: 'streak', label: 'good in a row' },
    { key: 'max_safety_faults', label: 'safety faults at most' },
];
const FURTHER: Asked[] = [
    { key: 'lower_bound', label: 'surely good, %', share: true },
    { key: 'confidence', label: 'how sure, %', share: true },
    { key: 'window_sessions', label: 'latest sessions looked at' },
    { key: 'safety_window_reps', label: 'latest reps looked at for safety' },
    { key: 'max_fade', label: 'fall within a session at most, %', share: true },
    { key: 'soreness_days', label: 'days looked at for soreness' },
    { key: 'soreness_max', label: 'soreness at most' },
    { key: 'step_back_rate', label: 'rung back below, % good', share: true },
    { key: 'max_age_days', label: 'days evidence counts' },
];
const TURNS: [key: 'needs_morning_after' | 'confirm_after_fail', name: string][] = [
    ['needs_morning_after', 'good again on a second day'],
    ['confirm_after_fail', 'two looks in a row after one that failed'],
];

/** What the gate asks; an empty field asks what the library asks of every rung. */
export function ToGoOn({ rung, onChange }: { rung: RungDef; onChange: (next: RungDef) => void }) {
    const gate = (change: GateDef): void => {
        const next = Object.fromEntries(
            Object.entries({ ...rung.gate, ...change }).filter(([, value]) => value !== undefined),
        );
        const { gate: _, ...rest } = rung;
        onChange(Object.keys(next).length > 0 ? { ...rest, gate: next } : rest);
    };
    const figure = ({ key, label, share }: Asked) => {
        const value = rung.gate?.[key];
        const shown = typeof value === 'number' ? (share ? Math.round(PERCENT * value) : value) : undefined;
        return (
            <Figure
                key={key}
                label={label}
                value={shown}
                onChange={(next) => gate({ [key]: next === undefined || !share ? next : next / PERCENT })}
            />
        );
    };
    return (
        <fieldset>
            <legend className="label">To go on; empty: as usual</legend>
            <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
                {USUAL.map(figure)}
                <GateDoes gate={rung.gate ?? {}} about={rung.name} />
            </div>
            <details className="mt-1">
                <summary className="cursor-pointer text-sm text-soft">More of what the gate asks</summary>
                <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
                    {FURTHER.map(figure)}
                    {TURNS.map(([key, name]) => (
                        <label key={key} className="flex items-center gap-1 text-sm">
                            <select
                                className="field w-28"
                                aria-label={name}
                                value={rung.gate?.[key] === undefined ? '' : String(rung.gate[key])}
                                onChange={(event) =>
                                    gate({
                                        [key]: event.target.value === '' ? undefined : event.target.value === 'true',
                                    })
                                }
                            >
                                <option value="">as usual</option>
                                <option value="true">asked</option>
                                <option value="false">not asked</option>
                            </select>
                            <span className="text-soft">{name}</span>
                        </label>
                    ))}
                </div>
            </details>
        </fieldset>
    );
}
