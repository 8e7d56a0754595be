import { useRef, useState } from 'react';
import { api } from '../../../api/client';
import { newId } from '../../../offline/store';
import { Choice } from '../../../parts/Choice';
import { typed } from '../../../parts/forms';
import { useMe } from '../../../parts/Frame';
import { LabelledInput } from '../../../parts/Labelled';
import { AwayForm, type Opened } from './AwayForm';

const KINDS = [
    ['exams', 'Exams'],
    ['travel', 'Travel'],
    ['holiday', 'Holiday'],
    ['fever', 'Ill, fever'],
    ['ill', 'Ill, no fever'],
    ['other', 'Other'],
] as const;
type Chosen = (typeof KINDS)[number][0];

const WHAT_FOLLOWS: Partial<Record<Chosen, string>> = {
    fever: [
        'Nothing until a whole day has passed without fever; then two days at 60 % and half effort, two light ones,',
        'twice as many after a week ill. It ends when somebody says so. A doctor’s word comes first: chest pain, a',
        'racing heart or breathlessness go to a doctor before any sport.',
    ].join(' '),
    ill: 'Light work at most. Anything below the neck, and any fever: no training.',
};

export function AbsenceForm({ opened }: { opened: Opened }) {
    const me = useMe();
    const id = useRef(newId());
    const [kind, setKind] = useState<Chosen>('exams');
    const ill = kind === 'fever' || kind === 'ill';
    return (
        <AwayForm
            title="Away, or ill"
            opened={opened}
            write={(form) =>
                api('POST', `/api/athletes/${opened.athleteId}/absences`, {
                    id: id.current,
                    kind: kind === 'fever' ? 'ill' : kind,
                    fever: kind === 'fever',
                    from_day: typed(form, 'from_day'),
                    until_day: typed(form, 'until_day'),
                    note: typed(form, 'note') || null,
                })
            }
        >
            <Choice label="Why" of={KINDS} value={kind} onChange={setKind} columns={3} />
            <div className="grid grid-cols-2 gap-2">
                <LabelledInput label="From" type="date" name="from_day" required defaultValue={me.today} />
                <LabelledInput
                    label={ill ? 'Expected until' : 'Until, that day as well'}
                    type="date"
                    name="until_day"
                    required
                    defaultValue={me.today}
                />
            </div>
            <LabelledInput label="Note, may be left open" name="note" />
            <p className="text-sm text-soft">
                {WHAT_FOLLOWS[kind] ?? 'Nothing is planned on these days; the season plans around them.'}
            </p>
        </AwayForm>
    );
}
