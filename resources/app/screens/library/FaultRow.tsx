import type { Named } from '../../api/client';
import { DRILL_WITH } from '../../parts/dose';
import { Options } from '../../parts/Labelled';
import { PictureChoice } from '../../parts/PictureChoice';
import { type FaultDef, type LadderDef, leftOut } from './definition';
import { DrillDose } from './DrillDose';

/** A fault: the thought, the drill written out and its dose, and whether two of them make it up. */
export function FaultRow({
    each,
    ladder,
    skills,
    objects,
    onChange,
}: {
    each: FaultDef;
    ladder: LadderDef;
    skills: Named[];
    objects: Named[];
    onChange: (next: FaultDef | null) => void;
}) {
    const about = each.name || 'new fault';
    return (
        <div className="grid gap-1 border-b border-line py-1.5">
            <div className="flex gap-1.5">
                <input
                    aria-label={`Name of ${about}`}
                    placeholder="fault"
                    className="field head min-w-0 grow"
                    value={each.name}
                    onChange={(event) => onChange({ ...each, name: event.target.value })}
                />
                <select
                    aria-label={`Checkpoint of ${about}`}
                    className="field w-32"
                    value={each.checkpoint}
                    onChange={(event) => onChange({ ...each, checkpoint: event.target.value })}
                >
                    <Options of={ladder.checkpoints} />
                </select>
                <button type="button" className="btn btn-quiet" onClick={() => onChange(null)}>
                    Take away
                </button>
            </div>
            <div className="flex flex-wrap items-center gap-1.5">
                <input
                    aria-label={`Cue for ${about}`}
                    placeholder="a short thought"
                    className="field w-40"
                    value={each.cue}
                    onChange={(event) => onChange({ ...each, cue: event.target.value })}
                />
                <input
                    aria-label={`Drill for ${about}`}
                    placeholder="the drill that mends it"
                    className="field min-w-0 grow"
                    value={each.drill}
                    onChange={(event) => onChange({ ...each, drill: event.target.value })}
                />
                <label className="flex items-center gap-1 whitespace-nowrap text-sm">
                    <input
                        type="checkbox"
                        checked={each.safety ?? false}
                        onChange={(event) => onChange({ ...each, safety: event.target.checked })}
                    />{' '}
                    can hurt
                </label>
            </div>
            <PictureChoice
                label={`What the drill for ${about} looks like`}
                value={each.picture}
                onChange={(picture) =>
                    onChange(picture === undefined ? leftOut(each, 'picture') : { ...each, picture })
                }
            />
            <Pair each={each} ladder={ladder} onChange={onChange} />
            <div className="flex flex-wrap gap-1.5">
                <textarea
                    aria-label={`The drill for ${about}, written out`}
                    placeholder="set-up, and what is done"
                    className="field min-w-0 grow"
                    rows={2}
                    value={each.how ?? ''}
                    onChange={(event) => onChange(said(each, 'how', event.target.value))}
                />
                <textarea
                    aria-label={`When to stop the drill for ${about}`}
                    placeholder="when to stop"
                    className="field w-56"
                    rows={2}
                    value={each.stop ?? ''}
                    onChange={(event) => onChange(said(each, 'stop', event.target.value))}
                />
                <select
                    aria-label={`Whom the drill for ${about} takes`}
                    className="field w-36 self-start"
                    value={each.with ?? 'alone'}
                    onChange={(event) =>
                        onChange(
                            event.target.value === 'alone'
                                ? leftOut(each, 'with')
                                : { ...each, with: event.target.value },
                        )
                    }
                >
                    <Options of={DRILL_WITH} />
                </select>
            </div>
            <DrillDose
                about={`the drill for ${about}`}
                dose={each.dose}
                skill={ladder.skill}
                skills={skills}
                objects={objects}
                onChange={(dose) => onChange(dose === undefined ? leftOut(each, 'dose') : { ...each, dose })}
            />
        </div>
    );
}

/** A text that is left out when it is empty. */
const said = (fault: FaultDef, key: 'how' | 'stop', text: string): FaultDef =>
    text === '' ? leftOut(fault, key) : { ...fault, [key]: text };

/** Two faults that come together, and are this one then; only those that stand above it. */
function Pair({ each, ladder, onChange }: { each: FaultDef; ladder: LadderDef; onChange: (next: FaultDef) => void }) {
    const above = ladder.faults.slice(
        0,
        ladder.faults.findIndex(({ id }) => id === each.id),
    );
    if (above.length < 2) return null;
    const [one = above[0]?.id ?? '', other = above[1]?.id ?? ''] = each.pair ?? [];
    const part = (label: string, value: string, pairOf: (id: string) => string[]) => (
        <select
            aria-label={`${label} of the pair ${each.name}`}
            className="field w-44"
            value={value}
            onChange={(event) => onChange({ ...each, pair: pairOf(event.target.value) })}
        >
            <Options of={above} />
        </select>
    );
    return (
        <div className="flex flex-wrap items-center gap-1.5 text-sm">
            <label className="flex items-center gap-1">
                <input
                    type="checkbox"
                    checked={each.pair !== undefined}
                    onChange={(event) =>
                        onChange(event.target.checked ? { ...each, pair: [one, other] } : leftOut(each, 'pair'))
                    }
                />{' '}
                two that come together
            </label>
            {each.pair !== undefined && (
                <>
                    {part('First', one, (id) => [id, other])} and {part('Second', other, (id) => [one, id])}
                </>
            )}
        </div>
    );
}
