import { useState } from 'react';
import type { Intake } from '../../api/client';
import type { Body } from '../../api/typed';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import { UsualWeek, type UsualWork } from './UsualWeek';
import type { Editing } from './useIntake';

type IntakePath = `/api/athletes/${string}/intake`;

/** What of an intake is a text that somebody writes. */
const TEXTS = [
    'sports',
    'past_injuries',
    'emergency_contact',
    'emergency_plan',
    'usual_week_signed_by',
    'usual_week_on',
    'consent_record_by',
    'consent_record_on',
] as const satisfies (keyof Intake)[];

type TextOf = (typeof TEXTS)[number];

/** What was written, as it is sent: empty fields are nothing. */
function written(version: number, form: FormData, usualWork: UsualWork[] | null): Body<'PUT', IntakePath> {
    const text = (name: string): string | null => typed(form, name) || null;
    return {
        version,
        usual_work: usualWork,
        ...(Object.fromEntries(TEXTS.map((name) => [name, text(name)])) as Record<TextOf, string | null>),
    };
}

/** Whom to call, what was before, what is agreed. */
export function AskedOnce({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept, send } = intake;
    const [work, setWork] = useState<UsualWork[] | null>(null);
    return (
        <form
            key={kept.version}
            className="grid content-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                const form = new FormData(event.currentTarget);
                void send('PUT', '/intake', written(kept.version, form, work), 'Saved.').then((isKept) => {
                    if (isKept) setWork(null);
                });
            }}
        >
            <h2 className="text-base">In an emergency</h2>
            <p className="-mt-2 text-sm text-soft">Readable courtside without a connection.</p>
            <Field kept={kept} name="emergency_contact" label="Whom to call, with the number" />
            <Field
                kept={kept}
                name="emergency_plan"
                label="What to know and do: allergies, medicine, a condition"
                rows={2}
            />
            <h2 className="mt-3 text-base">Before Augendo</h2>
            <Field kept={kept} name="sports" label="Sports and clubs" rows={2} />
            <Field kept={kept} name="past_injuries" label="Past injuries" rows={2} />
            <UsualWeek intake={intake} said={work ?? kept.usual_work} onSay={setWork} />
            <Signed kept={kept} who="usual_week_signed_by" when="usual_week_on" label="The usual week is signed by" />
            <h2 className="mt-3 text-base">Agreed</h2>
            <Signed
                kept={kept}
                who="consent_record_by"
                when="consent_record_on"
                label="Keeping training and health records"
            />
            <p className="text-sm text-soft">
                Film and pictures are agreed to apart from that, on the page{' '}
                <a href={`/athletes/${kept.athlete.id}/film`} className="underline">
                    Film
                </a>
                .
            </p>
            {me.decides && <button className="btn btn-main justify-self-start">Save the intake</button>}
        </form>
    );
}

function Field({ kept, name, label, rows = 1 }: { kept: Intake; name: TextOf; label: string; rows?: number }) {
    const me = useMe();
    return (
        <Labelled label={<>{label}</>}>
            {rows > 1 ? (
                <textarea
                    className="field"
                    name={name}
                    rows={rows}
                    readOnly={!me.decides}
                    defaultValue={kept[name] ?? ''}
                />
            ) : (
                <input className="field" name={name} readOnly={!me.decides} defaultValue={kept[name] ?? ''} />
            )}
        </Labelled>
    );
}

function Signed({ kept, who, when, label }: { kept: Intake; who: TextOf; when: TextOf; label: string }) {
    const me = useMe();
    return (
        <div className="grid grid-cols-[1fr_10rem] gap-2">
            <LabelledInput
                label={<>{label}</>}
                name={who}
                readOnly={!me.decides}
                placeholder="nobody has signed"
                defaultValue={kept[who] ?? ''}
            />
            <LabelledInput
                label="on"
                type="date"
                name={when}
                max={me.today}
                readOnly={!me.decides}
                defaultValue={kept[when] ?? ''}
            />
        </div>
    );
}
