import { useRef, useState } from 'react';
import { api, type AwayAndHurt } from '../../../api/client';
import { newId } from '../../../offline/store';
import { Choice } from '../../../parts/Choice';
import { figure, typed } from '../../../parts/forms';
import { useMe } from '../../../parts/Frame';
import { LabelledInput } from '../../../parts/Labelled';
import { AwayForm, type Opened } from './AwayForm';

export type Restriction = AwayAndHurt['restrictions'][number];

const COVERS = [
    ['overhead', 'Overhead work'],
    ['arm', 'All of the arm'],
    ['landings', 'Jumps, landings'],
    ['all', 'Everything'],
] as const;
const PERCENT = 100;

/** What a clinician allows: nothing until one day, then easier and fewer until another. */
export function RestrictionForm({ opened }: { opened: Opened }) {
    const me = useMe();
    const signs = me.role === 'clinician';
    const id = useRef(newId());
    const [covers, setCovers] = useState<(typeof COVERS)[number][0]>('overhead');
    return (
        <AwayForm
            title="What a clinician restricts"
            opened={opened}
            write={(form) => {
                const none = typed(form, 'none_until') || null;
                const effort = figure(form, 'effort_max');
                return api('POST', `/api/athletes/${opened.athleteId}/restrictions`, {
                    id: id.current,
                    covers,
                    from_day: typed(form, 'from_day'),
                    none_until: none,
                    until_day: typed(form, 'until_day') || none || '',
                    effort_max: effort === null ? null : effort / PERCENT,
                    reps_a_day: figure(form, 'reps_a_day'),
                    clinician_name: typed(form, 'clinician_name'),
                    note: typed(form, 'note') || null,
                });
            }}
        >
            <Choice label="What it is about" of={COVERS} value={covers} onChange={setCovers} columns={2} />
            <div className="grid grid-cols-2 gap-2">
                <LabelledInput label="From" type="date" name="from_day" required defaultValue={me.today} />
                <LabelledInput label="None of it until" type="date" name="none_until" min={me.today} />
            </div>
            <fieldset className="grid gap-2 border-l-4 border-tape pl-3">
                <legend className="label">Then, if anything is to follow</legend>
                <LabelledInput label="Until" type="date" name="until_day" min={me.today} />
                <div className="grid grid-cols-2 gap-2">
                    <LabelledInput label="Effort at most, %" name="effort_max" inputMode="decimal" />
                    <LabelledInput label="Repetitions a day at most" name="reps_a_day" inputMode="numeric" />
                </div>
            </fieldset>
            <LabelledInput
                label="Clinician’s name"
                name="clinician_name"
                required
                readOnly={signs}
                defaultValue={signs ? me.name : ''}
            />
            <LabelledInput label="Note, may be left open" name="note" />
            <p className="text-sm text-soft">
                Copy it as it is written. No plan goes over it, as over a hard limit. A clinician lifts it, or it ends
                by itself; “none” means without a ball as well.
            </p>
        </AwayForm>
    );
}
