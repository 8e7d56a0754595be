import type { Named } from '../../api/client';
import { leftOut } from './definition';
import type { DrillDoseDef } from './definition';
import { DoneWith } from './DoneWith';
import { Figure } from './Figure';

const PERCENT = 100;

/** What the drill of a fault is done with, how often, how hard. Not said, it counts as the block it mends. */
export function DrillDose({
    about,
    dose,
    skill,
    skills,
    objects,
    onChange,
}: {
    about: string;
    dose: DrillDoseDef | undefined;
    skill: string;
    skills: Named[];
    objects: Named[];
    onChange: (next: DrillDoseDef | undefined) => void;
}) {
    if (dose === undefined)
        return (
            <p className="flex flex-wrap items-center gap-2 text-sm text-soft">
                The drill counts as the block it mends.
                <button
                    type="button"
                    className="btn btn-quiet"
                    onClick={() => onChange({ skill, object: 'nothing', reps: 6, effort: 0.3 })}
                >
                    Say what it is done with
                </button>
            </p>
        );
    const figure = (key: 'distance_m' | 'hold_s', value: number | undefined): void =>
        onChange(value === undefined ? leftOut(dose, key) : { ...dose, [key]: value });
    return (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span className="label">A set of it</span>
            <Figure
                label="reps"
                about={about}
                value={dose.reps}
                onChange={(reps) => onChange({ ...dose, reps: reps ?? 1 })}
            />
            <Figure
                label="effort, %"
                about={about}
                value={Math.round(PERCENT * dose.effort)}
                onChange={(effort) => onChange({ ...dose, effort: (effort ?? 0) / PERCENT })}
            />
            <Figure label="m" about={about} value={dose.distance_m} onChange={(value) => figure('distance_m', value)} />
            <Figure label="hold, s" about={about} value={dose.hold_s} onChange={(value) => figure('hold_s', value)} />
            <DoneWith about={about} of={dose} skills={skills} objects={objects} onChange={onChange} />
            <button type="button" className="btn btn-quiet" onClick={() => onChange(undefined)}>
                Count it as the block
            </button>
        </div>
    );
}
