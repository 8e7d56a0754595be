import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useRef, useState } from 'react';
import { api, type Calendar, type Given, type SessionMade, type SessionPreview, type Today } from '../api/client';
import { dayName } from '../api/words';
import { newId } from '../offline/store';
import { useMe } from './Frame';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';
import { AtHand } from './AtHand';
import { Labelled, LabelledInput } from './Labelled';
import { Toggle } from './Toggle';
import { venueInWords } from './venues';
import { plusDays, weekdayOf } from './days';
import { figure, typed } from './forms';
import { Weekdays } from './Weekdays';

type Asked = NonNullable<Given<'POST', `/api/squads/${number}/sessions`>[0]>;
type Span = { from: string; to: string };

const WEEKS_TO_START_WITH = 6;

/** A session for the squad, once or every week: what it would make is shown before anything is kept. */
export function PlanSession({
    squad,
    day,
    open,
    onClose,
}: {
    squad: Today['squad'];
    day?: string;
    open: boolean;
    onClose: () => void;
}) {
    const queries = useQueryClient();
    const id = useRef(newId());
    const [asked, setAsked] = useState<Asked | null>(null);
    const [preview, setPreview] = useState<SessionPreview | null>(null);
    const [made, setMade] = useState<SessionMade | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const close = (): void => {
        setMade(null);
        setPreview(null);
        setAsked(null);
        setProblem(null);
        onClose();
    };
    const send = (job: Promise<void>): void => {
        setBusy(true);
        void job.catch(setProblem).finally(() => setBusy(false));
    };
    const look = (given: Asked): void => {
        setAsked(given);
        send(
            api('POST', `/api/squads/${squad.id}/sessions/preview`, given).then((answer) => {
                setPreview(answer);
                setProblem(null);
            }),
        );
    };
    const keep = (): void => {
        if (asked === null) return;
        send(
            api('POST', `/api/squads/${squad.id}/sessions`, { ...asked, id: id.current }).then((answer) => {
                id.current = newId();
                setMade(answer);
                setProblem(null);
                void queries.invalidateQueries();
            }),
        );
    };
    return (
        <Sheetlet open={open} onClose={close} title={`Plan a session for ${squad.name}`} wide={preview !== null}>
            {made !== null ? (
                <Made made={made} onDone={close} />
            ) : (
                <>
                    <div hidden={preview !== null}>
                        <PlanForm squad={squad} day={day} busy={busy} onLook={look} />
                    </div>
                    {preview && (
                        <Preview
                            preview={preview}
                            busy={busy}
                            onBack={() => {
                                setPreview(null);
                                setProblem(null);
                            }}
                            onKeep={keep}
                        />
                    )}
                    <Notice problem={problem} />
                </>
            )}
        </Sheetlet>
    );
}

type Kit = { id: string; name: string }[];

/** What the chosen ladders take, or all of the squad's where none is chosen. */
function kitOf(all: { id: string; objects: Kit }[], chosen: readonly string[]): Kit {
    const taken = all.filter(({ id }) => chosen.length === 0 || chosen.includes(id)).flatMap(({ objects }) => objects);
    return [...new Map(taken.map((each) => [each.id, each])).values()];
}

function PlanForm({
    squad,
    day,
    busy,
    onLook,
}: {
    squad: Today['squad'];
    day?: string;
    busy: boolean;
    onLook: (asked: Asked) => void;
}) {
    const me = useMe();
    const [first, setFirst] = useState(day ?? me.today);
    const [weekly, setWeekly] = useState(false);
    const [weekdays, setWeekdays] = useState([weekdayOf(first)]);
    const [without, setWithout] = useState<Span[]>([]);
    const [ladders, setLadders] = useState<string[]>([]);
    /** null: everything the rungs ask for is there. */
    const [objects, setObjects] = useState<string[] | null>(null);
    const about = useQuery({
        queryKey: ['calendar', squad.id, 'about'],
        queryFn: () => api('GET', '/api/calendar', undefined, { query: { squad: squad.id } }),
    });
    const all = about.data?.ladders ?? [];
    const kit = kitOf(all, ladders);
    const choose = (next: string[]): void => {
        // What only the new choice takes is at hand until somebody says that it is not.
        const added = kitOf(all, next).filter(({ id }) => !kit.some((each) => each.id === id));
        setLadders(next);
        setObjects(objects && [...objects, ...added.map(({ id }) => id)]);
    };
    const look = (event: FormEvent<HTMLFormElement>): void => {
        event.preventDefault();
        const form = new FormData(event.currentTarget);
        onLook({
            day: first,
            starts_at: typed(form, 'starts_at'),
            title: typed(form, 'title'),
            minutes: figure(form, 'minutes'),
            place: typed(form, 'place') || null,
            ladders: ladders.length > 0 ? ladders : null,
            objects,
            ...(weekly ? { until: typed(form, 'until'), weekdays, without } : {}),
        });
    };
    return (
        <form className="grid gap-3" onSubmit={look}>
            <div className="grid grid-cols-2 gap-2">
                <LabelledInput
                    label={weekly ? 'First day' : 'Day'}
                    type="date"
                    name="day"
                    required
                    min={weekly ? me.today : about.data?.late_from}
                    value={first}
                    onChange={(event) => {
                        setFirst(event.target.value);
                        if (!weekly && event.target.value !== '') setWeekdays([weekdayOf(event.target.value)]);
                    }}
                />
                <LabelledInput label="Starts at" type="time" name="starts_at" required defaultValue="17:00" />
            </div>
            {first < me.today && (
                <p className="border-l-4 border-tape pl-3">
                    That day is over: the session is entered late. Each sheet stands as the rung asks; then enter what
                    was done, as sums or counted.
                </p>
            )}
            <div className="grid grid-cols-[1fr_7rem] gap-2">
                <LabelledInput label="What it is called" name="title" required defaultValue="Evening session" />
                <LabelledInput label="Minutes, if cut" name="minutes" inputMode="numeric" />
            </div>
            <Where before={about.data?.places ?? []} />
            {first >= me.today && (
                <Toggle on={weekly} onChange={setWeekly}>
                    Every week
                </Toggle>
            )}
            {weekly && (
                <EveryWeek
                    first={first}
                    weekdays={weekdays}
                    onWeekdays={setWeekdays}
                    without={without}
                    onWithout={setWithout}
                />
            )}
            {all.length > 0 && <Skills of={all} chosen={ladders} onChange={choose} />}
            {kit.length > 0 && <AtHand kit={kit} objects={objects} onChange={setObjects} />}
            <button className="btn btn-main" disabled={busy}>
                {busy ? 'Working it out…' : 'Show what it makes'}
            </button>
        </form>
    );
}

/** A venue of the club, a place of before, or another one: what is known of it stands below. */
function Where({ before }: { before: string[] }) {
    const [place, setPlace] = useState('');
    const venues = useQuery({ queryKey: ['venues'], queryFn: () => api('GET', '/api/venues') });
    const known = venues.data ?? [];
    const venue = known.find((each) => each.name === place.trim());
    const names = [...new Set([...known.map((each) => each.name), ...before])];
    return (
        <div>
            <Labelled label="Where">
                <input
                    className="field"
                    name="place"
                    list="places"
                    maxLength={80}
                    value={place}
                    onChange={(event) => setPlace(event.target.value)}
                />
                <datalist id="places">
                    {names.map((name) => (
                        <option key={name} value={name} />
                    ))}
                </datalist>
            </Labelled>
            {venue && <p className="mt-1 text-sm text-soft">{venueInWords(venue)}</p>}
        </div>
    );
}

/** On which days, until when, and not in the holidays. */
function EveryWeek({
    first,
    weekdays,
    onWeekdays,
    without,
    onWithout,
}: {
    first: string;
    weekdays: number[];
    onWeekdays: (days: number[]) => void;
    without: Span[];
    onWithout: (spans: Span[]) => void;
}) {
    return (
        <div className="grid gap-3 border-l-4 border-tape pl-3">
            <Weekdays value={weekdays} onChange={onWeekdays} />
            <LabelledInput
                label="Until"
                type="date"
                name="until"
                required
                min={first}
                defaultValue={plusDays(first, 7 * WEEKS_TO_START_WITH - 1)}
            />
            {without.map((span, i) => (
                <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
                    {(['from', 'to'] as const).map((end) => (
                        <LabelledInput
                            key={end}
                            label={end === 'from' ? 'No session from' : 'until'}
                            type="date"
                            required
                            value={span[end]}
                            onChange={(event) =>
                                onWithout(
                                    without.map((each, at) =>
                                        at === i ? { ...each, [end]: event.target.value } : each,
                                    ),
                                )
                            }
                        />
                    ))}
                    <button
                        type="button"
                        className="btn btn-quiet"
                        onClick={() => onWithout(without.filter((_, at) => at !== i))}
                    >
                        Leave out
                    </button>
                </div>
            ))}
            <button
                type="button"
                className="btn btn-quiet justify-self-start"
                onClick={() => onWithout([...without, { from: plusDays(first, 14), to: plusDays(first, 20) }])}
            >
                Not in the holidays
            </button>
        </div>
    );
}

/** What the squad does, most of it first. */
function Skills({
    of,
    chosen,
    onChange,
}: {
    of: Calendar['ladders'];
    chosen: string[];
    onChange: (ids: string[]) => void;
}) {
    return (
        <fieldset>
            <legend className="label mb-1">
                Skills; none chosen: the one each worked on last. Two on one arm are counted together.
            </legend>
            <div className="flex flex-wrap gap-1.5">
                {of.map((each) => (
                    <Toggle
                        key={each.id}
                        on={chosen.includes(each.id)}
                        onChange={(on) => onChange(on ? [...chosen, each.id] : chosen.filter((id) => id !== each.id))}
                    >
                        {each.name} <span className="font-normal">{each.athletes}</span>
                    </Toggle>
                ))}
            </div>
        </fieldset>
    );
}

function Preview({
    preview,
    busy,
    onBack,
    onKeep,
}: {
    preview: SessionPreview;
    busy: boolean;
    onBack: () => void;
    onKeep: () => void;
}) {
    const { days, sheets } = preview;
    const [first = '', last = ''] = [days[0], days[days.length - 1]];
    return (
        <div className="grid gap-3">
            <p className="text-lg">
                {days.length === 1
                    ? `One session, ${dayName(first, true)}.`
                    : `${days.length} sessions, ${dayName(first)} to ${dayName(last)}.`}{' '}
                {sheets.length} {sheets.length === 1 ? 'sheet' : 'sheets'}
                {days.length > 1 && ' on the first day'}.
            </p>
            {preview.left_out.length > 0 && (
                <ul className="border-l-4 border-tape pl-3">
                    {preview.left_out.map((each) => (
                        <li key={each}>{each}.</li>
                    ))}
                </ul>
            )}
            <ul
                aria-label="What each would do"
                tabIndex={0}
                className="max-h-[50dvh] overflow-auto border-y border-line"
            >
                {sheets.map((sheet) => (
                    <li
                        key={sheet.name + sheet.ladder_name}
                        className="grid gap-x-3 border-b border-line py-1.5 last:border-0 sm:grid-cols-[10rem_1fr_5rem]"
                    >
                        <span className="head">{sheet.name}</span>
                        <span>
                            {sheet.dose ?? 'Nothing of the rung’s own dose is left.'}
                            <span className="block text-sm text-soft">
                                {sheet.ladder_name}, “{sheet.rung_name}”
                            </span>
                            {sheet.notes.map((note) => (
                                <span key={note} className="block text-sm text-reduced">
                                    {note}
                                </span>
                            ))}
                        </span>
                        <span className="label sm:text-right">{sheet.reps} reps</span>
                    </li>
                ))}
            </ul>
            <p className="text-soft">
                Nothing is kept yet. On its day each sheet is fitted anew, to the word of the day.
            </p>
            <div className="flex gap-2">
                <button type="button" className="btn grow" onClick={onBack}>
                    Back
                </button>
                <button type="button" className="btn btn-main grow" disabled={busy} onClick={onKeep}>
                    {busy ? 'Saving…' : 'Save'}
                </button>
            </div>
        </div>
    );
}

function Made({ made, onDone }: { made: SessionMade; onDone: () => void }) {
    return (
        <div className="grid gap-3">
            <p className="text-lg">
                Saved: {made.sessions} {made.sessions === 1 ? 'session' : 'sessions'}, {made.sheets}{' '}
                {made.sheets === 1 ? 'sheet' : 'sheets'} fitted to the limits.
                {made.sessions > 1 && ' Later days get their sheets a fortnight ahead.'}
            </p>
            <p className="text-soft">It can be taken back on the calendar.</p>
            <button type="button" className="btn btn-main" onClick={onDone}>
                Done
            </button>
        </div>
    );
}
