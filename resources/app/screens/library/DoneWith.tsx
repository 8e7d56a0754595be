import type { Named } from '../../api/client';
import { Options } from '../../parts/Labelled';
import { leftOut } from './definition';

const LEGS: [legs: string, name: string][] = [
    ['', 'lands as its skill does'],
    ['1', 'lands on one leg'],
    ['2', 'lands on two legs'],
];

/** What sets the price of a repetition: the skill, the object, the legs it lands on. */
export function DoneWith<T extends { skill: string; object: string; legs?: number }>({
    about,
    of,
    skills,
    objects,
    onChange,
}: {
    about: string;
    of: T;
    skills: Named[];
    objects: Named[];
    onChange: (next: T) => void;
}) {
    return (
        <>
            <select
                aria-label={`Skill of ${about}`}
                className="field w-40"
                value={of.skill}
                onChange={(event) => onChange({ ...of, skill: event.target.value })}
            >
                <Options of={skills} />
            </select>
            <select
                aria-label={`Object of ${about}`}
                className="field w-40"
                value={of.object}
                onChange={(event) => onChange({ ...of, object: event.target.value })}
            >
                <Options of={objects} />
            </select>
            <select
                aria-label={`Landing of ${about}`}
                className="field w-40"
                value={of.legs ?? ''}
                onChange={(event) =>
                    onChange(
                        event.target.value === '' ? leftOut(of, 'legs') : { ...of, legs: Number(event.target.value) },
                    )
                }
            >
                <Options of={LEGS} />
            </select>
        </>
    );
}
