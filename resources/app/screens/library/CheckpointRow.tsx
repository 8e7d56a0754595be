import { Options } from '../../parts/Labelled';
import { type CheckpointDef, leftOut, type MomentDef } from './definition';
import { MeasureOf } from './Pictures';

/** What good looks like, the ways it may be done, which school picks one, and what a picture tells of it. */
export function CheckpointRow({
    each,
    moments,
    onChange,
}: {
    each: CheckpointDef;
    moments: MomentDef[];
    onChange: (next: CheckpointDef | null) => void;
}) {
    const about = each.name || 'new checkpoint';
    return (
        <div className="grid gap-1 border-b border-line py-1.5">
            <div className="flex gap-1.5">
                <input
                    aria-label={`Name of ${about}`}
                    placeholder="name"
                    className="field head w-36"
                    value={each.name}
                    onChange={(event) => onChange({ ...each, name: event.target.value })}
                />
                <input
                    aria-label={`What good looks like: ${about}`}
                    placeholder="what good looks like"
                    className="field grow"
                    value={each.good}
                    onChange={(event) => onChange({ ...each, good: event.target.value })}
                />
                <button type="button" className="btn btn-quiet" onClick={() => onChange(null)}>
                    Take away
                </button>
            </div>
            {each.variants?.map((way, i) => (
                <div key={i} className="flex items-center gap-1.5 pl-6">
                    <span className="label">or</span>
                    <input
                        aria-label={`Way ${i + 1} of ${about}`}
                        className="field grow"
                        value={way}
                        onChange={(event) =>
                            onChange({
                                ...each,
                                variants: each.variants?.map((other, j) => (i === j ? event.target.value : other)),
                            })
                        }
                    />
                    <button
                        type="button"
                        className="btn btn-quiet"
                        onClick={() => {
                            const { variants, ...rest } = each;
                            const left = variants?.filter((_, j) => j !== i) ?? [];
                            onChange(left.length > 0 ? { ...rest, variants: left } : rest);
                        }}
                    >
                        Take away
                    </button>
                </div>
            ))}
            <PickedBy each={each} onChange={onChange} />
            <MeasureOf each={each} moments={moments} onChange={onChange} />
        </div>
    );
}

/** Questions practitioners answer differently, each answer of which picks one of two ways. */
const SCHOOLS: [question: string, name: string][] = [
    ['', 'any way passes'],
    ['motion', 'one motion or parts picks the way'],
    ['weight', 'the weight at the loaded position picks it'],
    ['front_arm', 'the lead of the front arm picks it'],
];

function PickedBy({ each, onChange }: { each: CheckpointDef; onChange: (next: CheckpointDef) => void }) {
    if ((each.variants?.length ?? 0) < 2 && each.school === undefined) return null;
    return (
        <select
            aria-label={`Which school picks the way of ${each.name}`}
            className="field ml-6 w-72"
            value={each.school ?? ''}
            onChange={({ target: { value } }) =>
                onChange(value === '' ? leftOut(each, 'school') : { ...each, school: value })
            }
        >
            <Options of={SCHOOLS} />
        </select>
    );
}
