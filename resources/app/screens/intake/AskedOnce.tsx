import type { Intake } from '../../api/client';
import type { Body } from '../../api/typed';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import type { Editing } from './useIntake';

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
    'consent_film_by',
    'consent_film_on',
] as const satisfies (keyof Intake)[];

type TextOf = (typeof TEXTS)[number];

/** What was written, as it is sent: empty fields are nothing. */
function written(version: number, form: FormData): Body<'PUT', `/api/athletes/${string}/intake`> {
    const text = (name: string): string | null => typed(form, name) || null;
    const [arm, landings] = [text('week_arm'), text('week_landings')];
    return {
        version,
        usual_week:
            arm === null && landings === null ? null : { arm: Number(arm ?? 0), landings: Number(landings ?? 0) },
        ...(Object.fromEntries(TEXTS.map((name) => [name, text(name)])) as Record<TextOf, string | null>),
    };
}

/** Whom to call, what was before, what is agreed. */
export function AskedOnce({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept, send } = intake;
    return (
        <form
            key={kept.version}
            className="grid content-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                void send('PUT', '/intake', written(kept.version, new FormData(event.currentTarget)), 'Saved.');
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
            <UsualWeek intake={intake} />
            <Signed kept={kept} who="usual_week_signed_by" when="usual_week_on" label="The usual week is signed by" />
            <h2 className="mt-3 text-base">Agreed</h2>
            <Signed
                kept={kept}
                who="consent_record_by"
                when="consent_record_on"
                label="Keeping training and health records"
            />
            <Signed
                kept={kept}
                who="consent_film_by"
                when="consent_film_on"
                label="Film and pictures, apart from that"
            />
            {me.decides && <button className="btn btn-main justify-self-start">Save the intake</button>}
        </form>
    );
}

function UsualWeek({ intake: { kept, send } }: { intake: Editing }) {
    const me = useMe();
    return (
        <>
            <div className="grid grid-cols-2 gap-2">
                <LabelledInput
                    label="A usual week, arm units"
                    name="week_arm"
                    inputMode="decimal"
                    readOnly={!me.decides}
                    defaultValue={kept.usual_week?.arm ?? ''}
                />
                <LabelledInput
                    label="landing units"
                    name="week_landings"
                    inputMode="decimal"
                    readOnly={!me.decides}
                    defaultValue={kept.usual_week?.landings ?? ''}
                />
            </div>
            <p className="-mt-2 text-sm text-soft">
                A unit is one full-effort throw, serve or landing. It enters as four declared weeks at eight tenths,
                before the record begins.
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
        </>
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
