import { Labelled } from '../../parts/Labelled';
import { Toggle } from '../../parts/Toggle';
import { type FaultDef, type LadderDef, leftOut, type SeatedDef } from './definition';

const PARTS: [key: 'set_up' | 'warm_up' | 'rehearsal' | 'other_side' | 'cool_down', label: string][] = [
    ['set_up', 'The chair, what holds it, what has to be clear of it'],
    ['warm_up', 'Instead of a warm-up on the feet'],
    ['rehearsal', 'Rehearsal'],
    ['other_side', 'Other side'],
    ['cool_down', 'Cool-down'],
];

const NEW: SeatedDef = {
    set_up: '',
    warm_up: '',
    rehearsal: '',
    other_side: '',
    cool_down: '',
    without: [],
    drills: {},
};

/** Whether the ladder is done from a chair, and how: for the whole of it here, for each rung on the rung. */
export function SeatedOf({ ladder, onChange }: { ladder: LadderDef; onChange: (next: LadderDef) => void }) {
    const { seated } = ladder;
    const turn = (on: boolean): void =>
        onChange({
            ...(on ? { ...ladder, seated: NEW } : leftOut(ladder, 'seated')),
            rungs: ladder.rungs.map((rung) => (on ? { ...rung, seated: rung.goal } : leftOut(rung, 'seated'))),
        });
    const put = (more: Partial<SeatedDef>): void => onChange({ ...ladder, seated: { ...(seated ?? NEW), ...more } });
    return (
        <section aria-label="From a chair">
            <h2 className="border-b-2 border-ink pb-1 text-base">From a chair</h2>
            <label className="flex items-center gap-2 py-1.5">
                <input type="checkbox" checked={seated !== undefined} onChange={({ target }) => turn(target.checked)} />
                It can be done from a chair; each rung says how
            </label>
            {seated && (
                <div className="grid gap-2">
                    {PARTS.map(([key, label]) => (
                        <Labelled key={key} label={label}>
                            <textarea
                                className="field"
                                rows={2}
                                required
                                value={seated[key]}
                                onChange={({ target }) => put({ [key]: target.value })}
                            />
                        </Labelled>
                    ))}
                    <div role="group" aria-label="Not looked at from a chair">
                        <span className="label block">Takes legs: not looked at</span>
                        <div className="flex flex-wrap gap-1.5">
                            {ladder.checkpoints.map(({ id, name }) => (
                                <Toggle
                                    key={id}
                                    on={seated.without.includes(id)}
                                    onChange={(on) =>
                                        put({
                                            without: on
                                                ? [...seated.without, id]
                                                : seated.without.filter((each) => each !== id),
                                        })
                                    }
                                >
                                    {name}
                                </Toggle>
                            ))}
                        </div>
                    </div>
                    {ladder.faults.map((fault) => (
                        <FromTheChair
                            key={fault.id}
                            fault={fault}
                            drill={seated.drills[fault.id]}
                            onChange={(drill) => {
                                const rest = leftOut(seated.drills, fault.id);
                                put({ drills: drill === undefined ? rest : { ...rest, [fault.id]: drill } });
                            }}
                        />
                    ))}
                </div>
            )}
        </section>
    );
}

type Drill = SeatedDef['drills'][string];

/** What mends a fault from the chair: the same as on the feet, another drill, or the fault does not happen there. */
function FromTheChair({
    fault,
    drill,
    onChange,
}: {
    fault: FaultDef;
    drill: Drill | undefined;
    onChange: (next: Drill | undefined) => void;
}) {
    const about = fault.name || 'new fault';
    return (
        <div className="flex flex-wrap items-center gap-1.5 border-b border-line py-1.5">
            <span className="min-w-32 grow">{about}</span>
            <select
                aria-label={`From a chair, ${about}`}
                className="field w-44"
                value={drill === undefined ? 'same' : drill === null ? 'gone' : 'other'}
                onChange={({ target }) =>
                    onChange(
                        target.value === 'same'
                            ? undefined
                            : target.value === 'gone'
                              ? null
                              : { drill: fault.drill, how: fault.how ?? '' },
                    )
                }
            >
                <option value="same">mended as on the feet</option>
                <option value="other">mended like this</option>
                {fault.safety !== true && <option value="gone">does not happen</option>}
            </select>
            {drill && (
                <>
                    <input
                        aria-label={`Drill from the chair for ${about}`}
                        className="field w-full"
                        value={drill.drill}
                        onChange={({ target }) => onChange({ ...drill, drill: target.value })}
                    />
                    <textarea
                        aria-label={`The drill from the chair for ${about}, written out`}
                        className="field w-full"
                        rows={2}
                        value={drill.how}
                        onChange={({ target }) => onChange({ ...drill, how: target.value })}
                    />
                </>
            )}
        </div>
    );
}
