import type { ReactNode } from 'react';
import type { Named } from '../api/client';
import { FELT } from '../api/words';
import type { Work } from '../offline/store';
import { Choice } from './Choice';
import { Labelled, Options } from './Labelled';

type Dose = { skill: string; reps: number; felt: Work['felt'] };

/** What was done or is expected, how many, and how hard; what one screen asks besides stands between. */
export function DoseFields<Of extends Dose>({
    dose,
    skills,
    most,
    label = 'What',
    thumb = false,
    onChange,
    children,
}: {
    dose: Of;
    skills: Named[];
    most: number;
    label?: string;
    /** on a phone, in the sun */
    thumb?: boolean;
    onChange: (dose: Of) => void;
    children?: ReactNode;
}) {
    return (
        <>
            <div className="grid grid-cols-[1fr_6rem] gap-2">
                <Labelled label={label}>
                    <select
                        className="field"
                        value={dose.skill}
                        onChange={(event) => onChange({ ...dose, skill: event.target.value })}
                    >
                        <Options of={skills} />
                    </select>
                </Labelled>
                <Labelled label="How many">
                    <input
                        className="field text-right"
                        type="number"
                        min={1}
                        max={most}
                        required
                        value={dose.reps || ''}
                        onChange={(event) => onChange({ ...dose, reps: Number(event.target.value) })}
                    />
                </Labelled>
            </div>
            {children}
            <Choice
                label="How hard? Left open, it counts as full."
                of={FELT}
                value={dose.felt}
                onChange={(felt) => onChange({ ...dose, felt: dose.felt === felt ? null : felt })}
                columns={3}
                thumb={thumb}
            />
        </>
    );
}
