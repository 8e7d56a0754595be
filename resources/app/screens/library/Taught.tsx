import { Labelled } from '../../parts/Labelled';
import { leftOut } from './definition';
import type { RungDef, TeachingDef } from './definition';

const PARTS: [key: keyof TeachingDef, name: string][] = [
    ['purpose', 'Why'],
    ['set_up', 'Set-up: place, kit, people'],
    ['look_first', 'Look first at'],
    ['good', 'Good is: so that two coaches judge alike'],
    ['easier', 'Easier'],
    ['harder', 'Harder'],
    ['alone', 'Alone or in pairs'],
    ['group', 'With a group'],
    ['coach_mistake', 'The coach’s usual mistake'],
    ['go_back', 'Going back: when, and to what'],
];

const EMPTY = Object.fromEntries(PARTS.map(([key]) => [key, ''])) as TeachingDef;

/** How the rung is taught: all ten, or none of them. */
export function Taught({ rung, onChange }: { rung: RungDef; onChange: (next: RungDef) => void }) {
    const { teaching } = rung;
    if (teaching === undefined)
        return (
            <button
                type="button"
                className="btn justify-self-start"
                onClick={() => onChange({ ...rung, teaching: EMPTY })}
            >
                Say how it is taught
            </button>
        );
    return (
        <details>
            <summary className="label cursor-pointer">
                How it is taught: {Object.values(teaching).join(' ').split(/\s+/).filter(Boolean).length} words
            </summary>
            <div className="mt-1 grid gap-2 sm:grid-cols-2">
                {PARTS.map(([key, name]) => (
                    <Labelled key={key} label={name} tight>
                        <textarea
                            className="field"
                            rows={2}
                            value={teaching[key]}
                            onChange={(event) =>
                                onChange({ ...rung, teaching: { ...teaching, [key]: event.target.value } })
                            }
                        />
                    </Labelled>
                ))}
            </div>
            <button type="button" className="btn btn-quiet mt-1" onClick={() => onChange(leftOut(rung, 'teaching'))}>
                Leave it out
            </button>
        </details>
    );
}
