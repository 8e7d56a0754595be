import { Labelled } from '../../parts/Labelled';
import { Toggle } from '../../parts/Toggle';
import type { Definition } from './programme';

const FAMILIES = [
    ['throw', 'throws'],
    ['serve', 'serves'],
    ['strike', 'strikes'],
    ['pass', 'passes'],
    ['jump', 'jumps'],
] as const;
const CHANNELS = [
    ['arm', 'the arm'],
    ['hand', 'the hand'],
    ['trunk', 'the trunk'],
    ['landing', 'the legs, by landing'],
] as const;

/** What it is for, and the cautions that stand near every decision on it. */
export function AboutProgramme({
    definition,
    onChange,
}: {
    definition: Definition;
    onChange: (next: Definition) => void;
}) {
    return (
        <div className="grid gap-3 sm:grid-cols-[1fr_2fr]">
            <div className="grid content-start gap-3">
                <div role="group" aria-label="Comes back to">
                    <span className="label block">Comes back to</span>
                    <div className="flex flex-wrap gap-1.5">
                        {FAMILIES.map(([family, name]) => (
                            <Toggle
                                key={family}
                                on={definition.families.includes(family)}
                                onChange={(on) =>
                                    onChange({
                                        ...definition,
                                        families: on
                                            ? [...definition.families, family]
                                            : definition.families.filter((each) => each !== family),
                                    })
                                }
                            >
                                {name}
                            </Toggle>
                        ))}
                    </div>
                </div>
                <Labelled label="After something about">
                    <select
                        className="field"
                        value={definition.channel}
                        onChange={(event) => onChange({ ...definition, channel: event.target.value })}
                    >
                        {CHANNELS.map(([channel, name]) => (
                            <option key={channel} value={channel}>
                                {name}
                            </option>
                        ))}
                    </select>
                </Labelled>
            </div>
            <Labelled label="Cautions, one a line">
                <textarea
                    className="field"
                    rows={4}
                    value={definition.cautions.join('\n')}
                    onChange={(event) => onChange({ ...definition, cautions: event.target.value.split('\n') })}
                    onBlur={() =>
                        onChange({
                            ...definition,
                            cautions: definition.cautions.filter((line) => line.trim() !== ''),
                        })
                    }
                />
            </Labelled>
        </div>
    );
}
