import type { Work } from '../../offline/store';
import type { Intake } from '../../api/client';
import { n } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import type { Editing } from './useIntake';
import { figure, picked, typed } from '../../parts/forms';

function growthSaid({ growth_cm_a_month: growth, growing_fast: fast }: Intake): string {
    if (growth !== null) return `${n(growth)} cm a month.`;
    return fast
        ? 'Not measured twice, four weeks apart, within half a year: counted as growing fast until it is.'
        : 'Not measured. Grown up, it changes no limit.';
}

export function Height({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept, send, nextId } = intake;
    return (
        <section aria-label="Height">
            <h2 className="text-base">Height and growth</h2>
            <p className={kept.growing_fast ? 'border-l-4 border-tape pl-2' : 'text-soft'}>
                {growthSaid(kept)}
                {kept.growing_fast &&
                    ' Growing fast: limits count eight tenths, landings seven tenths. Ask about knees, heels ' +
                        'and elbow.'}
            </p>
            <Measured intake={intake} all={kept.heights} most={4} path="/heights" may={me.records} />
            {me.records && (
                <form
                    className="mt-2 flex items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const field = event.currentTarget;
                        const form = new FormData(field);
                        void send(
                            'POST',
                            '/heights',
                            {
                                id: nextId(),
                                measured_on: typed(form, 'measured_on'),
                                height_cm: Number(typed(form, 'height_cm')),
                            },
                            'Height kept.',
                        ).then((is) => is && field.reset());
                    }}
                >
                    <LabelledInput label="Height, cm" name="height_cm" inputMode="decimal" required />
                    <LabelledInput
                        label="on"
                        type="date"
                        name="measured_on"
                        max={me.today}
                        defaultValue={me.today}
                        required
                    />
                    <button className="btn">Add</button>
                </form>
            )}
        </section>
    );
}

/** From the thumb to the little finger, spread: a ball too big for the hand is not thrown, it is pushed. */
export function HandSpan({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept, send, nextId } = intake;
    return (
        <section aria-label="Hand span">
            <h2 className="text-base">Throwing hand, spread</h2>
            <p className="text-soft">
                {kept.hand_spans.some(({ withdrawn }) => withdrawn === null)
                    ? 'From the thumb to the little finger. A smaller hand gets the smaller object of the library.'
                    : 'Not measured: the object follows the age alone.'}
            </p>
            <Measured intake={intake} all={kept.hand_spans} most={3} path="/hand-spans" may={me.records} />
            {me.records && (
                <form
                    className="mt-2 flex items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const field = event.currentTarget;
                        const span = Number(typed(new FormData(field), 'span_cm'));
                        void send(
                            'POST',
                            '/hand-spans',
                            { id: nextId(), measured_on: me.today, span_cm: span },
                            'Saved.',
                        ).then((is) => is && field.reset());
                    }}
                >
                    <LabelledInput label="Span, cm" name="span_cm" inputMode="decimal" required />
                    <button className="btn">Add</button>
                </form>
            )}
        </section>
    );
}

export function Marks({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept, send } = intake;
    return (
        <section aria-label="Longest throws">
            <h2 className="text-base">Longest throws and reference speeds</h2>
            <Measured intake={intake} all={kept.marks} most={6} path="/marks" may={me.decides} />
            {me.decides && (
                <form
                    className="mt-2 grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const field = event.currentTarget;
                        const form = new FormData(field);
                        void send(
                            'POST',
                            '/marks',
                            {
                                skill: picked<Work['skill']>(form, 'skill'),
                                longest_throw_m: figure(form, 'longest'),
                                reference_speed_ms: figure(form, 'speed'),
                                measured_on: me.today,
                            },
                            'Saved.',
                        ).then((is) => is && field.reset());
                    }}
                >
                    <Labelled label="Skill">
                        <select className="field" name="skill" key={kept.measured_skills[0]?.id}>
                            <Options of={kept.measured_skills} />
                        </select>
                    </Labelled>
                    <LabelledInput label="longest, m" name="longest" inputMode="decimal" />
                    <LabelledInput label="speed, m/s" name="speed" inputMode="decimal" />
                    <button className="btn">Add</button>
                </form>
            )}
        </section>
    );
}

/** What was measured, the latest first: one far off the others is asked about, and any can be taken back. */
function Measured({
    intake: { send },
    all,
    most,
    path,
    may,
}: {
    intake: Editing;
    all: Intake['marks'];
    most: number;
    path: '/heights' | '/marks' | '/hand-spans';
    may: boolean;
}) {
    const withdraw = (id: string): void => void send('POST', `${path}/${id}/withdraw`, undefined, 'Taken back.');
    // Only of what can be doubted somebody says that it is right.
    const confirm = (id: string): void => {
        if (path !== '/hand-spans') void send('POST', `${path}/${id}/confirm`, undefined, 'Saved: it counts.');
    };
    const doubted = all.filter((each) => each.doubt !== null);
    const shown = [...doubted, ...all.filter((each) => each.doubt === null)].slice(0, Math.max(most, doubted.length));
    return (
        <ul>
            {shown.map((each) => (
                <li key={each.id} className="border-t border-line py-1">
                    <div className="flex items-center justify-between gap-2">
                        <span className={each.withdrawn ? 'text-soft line-through' : ''}>{each.text}</span>
                        {may && each.withdrawn === null && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                aria-label={`Take back ${each.text}`}
                                onClick={() => withdraw(each.id)}
                            >
                                Take back
                            </button>
                        )}
                    </div>
                    {each.withdrawn && <p className="text-sm text-soft">{each.withdrawn}</p>}
                    {each.doubt && (
                        <p className="flex flex-wrap items-center gap-2 border-l-4 border-tape pl-2">
                            {each.doubt}
                            {may && (
                                <button type="button" className="btn" onClick={() => confirm(each.id)}>
                                    It is right
                                </button>
                            )}
                        </p>
                    )}
                </li>
            ))}
        </ul>
    );
}
