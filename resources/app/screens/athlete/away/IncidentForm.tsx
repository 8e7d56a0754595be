import { useRef, useState } from 'react';
import { api, type AwayAndHurt } from '../../../api/client';
import { nowWithOffset } from '../../../api/words';
import { newId } from '../../../offline/store';
import { Choice } from '../../../parts/Choice';
import { typed } from '../../../parts/forms';
import { Labelled } from '../../../parts/Labelled';
import { AwayForm, type Opened } from './AwayForm';

export type Incident = AwayAndHurt['incidents'][number];

const KINDS = [
    ['head', 'Head knock'],
    ['fall', 'Fall'],
    ['hit', 'Hit by a ball'],
    ['strain', 'Strain, twist'],
    ['other', 'Other'],
] as const;

export function IncidentForm({ opened }: { opened: Opened }) {
    const id = useRef(newId());
    const at = useRef(nowWithOffset());
    const [kind, setKind] = useState<(typeof KINDS)[number][0]>('fall');
    return (
        <AwayForm
            title="Something happened"
            opened={opened}
            write={(form) =>
                api('POST', `/api/athletes/${opened.athleteId}/incidents`, {
                    id: id.current,
                    kind,
                    at: at.current,
                    what: typed(form, 'what'),
                })
            }
        >
            {kind === 'head' && (
                <p className="border-l-4 border-refer pl-3">
                    Off the court now, and stay with the athlete. Headache that grows worse, vomiting, confusion,
                    drowsiness, a fit: emergency services. Saved, it stops all work until a clinician clears it.
                </p>
            )}
            <Choice label="What it was" of={KINDS} value={kind} onChange={setKind} columns={3} />
            <Labelled label="What happened, as it was seen">
                <textarea className="field" name="what" rows={3} required />
            </Labelled>
            <p className="text-sm text-soft">
                Then write down what was done and who was told. It stays open, here and on Today, until that is there.
            </p>
        </AwayForm>
    );
}
