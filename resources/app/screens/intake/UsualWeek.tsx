import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import type { Body } from '../../api/typed';
import { FELT } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { Options } from '../../parts/Labelled';
import type { Editing } from './useIntake';

export type UsualWork = NonNullable<Body<'PUT', `/api/athletes/${string}/intake`>['usual_work']>[number];

const FIRST: UsualWork = { skill: 'overhand-throw', reps: 50, felt: null };

/** What is done in a usual week, in repetitions: Augendo turns it into units. */
export function UsualWeek({
    intake: { kept, send },
    said,
    onSay,
}: {
    intake: Editing;
    said: UsualWork[];
    onSay: (work: UsualWork[]) => void;
}) {
    const me = useMe();
    return (
        <fieldset className="grid gap-1" disabled={!me.decides}>
            <legend className="label mb-1">In a usual week: what, how many, how hard</legend>
            {said.map((row, at) => (
                <WorkRow
                    key={at}
                    row={row}
                    onChange={(next) => onSay(said.map((each, i) => (i === at ? next : each)))}
                    onRemove={() => onSay(said.filter((_, i) => i !== at))}
                />
            ))}
            {me.decides && (
                <p>
                    <button type="button" className="btn" onClick={() => onSay([...said, FIRST])}>
                        {said.length === 0 ? 'Say what is usual' : 'And also'}
                    </button>
                </p>
            )}
            <p className="text-sm text-soft">
                {kept.usual_week ?? 'Throws, serves and jumps of all clubs and schools together.'} It stands as four
                weeks before the record begins, at eight tenths, at most half of what the starter limits allow a week;
                with two weeks on record it counts no more than they show.
            </p>
            {kept.usual_week_doubt && (
                <p className="flex flex-wrap items-center gap-2 border-l-4 border-tape pl-2">
                    {kept.usual_week_doubt}
                    {me.decides && (
                        <button
                            type="button"
                            className="btn"
                            onClick={() =>
                                void send('POST', '/intake/usual-week/confirm', undefined, 'Saved: it counts.')
                            }
                        >
                            It is right
                        </button>
                    )}
                </p>
            )}
        </fieldset>
    );
}

function WorkRow({
    row,
    onChange,
    onRemove,
}: {
    row: UsualWork;
    onChange: (row: UsualWork) => void;
    onRemove: () => void;
}) {
    const skills = useQuery({ queryKey: ['skills'], queryFn: () => api('GET', '/api/skills') });
    return (
        <div className="grid grid-cols-[1fr_5rem_8rem_auto] items-center gap-2">
            <select
                aria-label="What"
                className="field"
                value={row.skill}
                onChange={(event) => onChange({ ...row, skill: event.target.value })}
            >
                <Options of={skills.data ?? [{ id: row.skill, name: row.skill }]} />
            </select>
            <input
                aria-label="How many a week"
                className="field"
                type="number"
                min={1}
                max={3000}
                required
                value={row.reps || ''}
                onChange={(event) => onChange({ ...row, reps: Number(event.target.value) })}
            />
            <select
                aria-label="How hard"
                className="field"
                value={row.felt ?? ''}
                onChange={(event) => onChange({ ...row, felt: (event.target.value || null) as UsualWork['felt'] })}
            >
                <option value="">not known</option>
                {FELT.map(([felt, label]) => (
                    <option key={felt} value={felt ?? ''}>
                        {label}
                    </option>
                ))}
            </select>
            <button type="button" className="btn btn-quiet" onClick={onRemove}>
                Remove
            </button>
        </div>
    );
}
