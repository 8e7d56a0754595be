import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type Intake, type LadderChoice, type Placed, type Token } from '../../api/client';
import { dayName, KINDS, n } from '../../api/words';
import { newId } from '../../offline/store';
import { AthleteFields } from '../../parts/AthleteFields';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { LinkShown } from '../../parts/LinkShown';
import { Loading, Notice } from '../../parts/Notice';
import { Measured } from './Measured';
import { Sheetlet } from '../../parts/Sheetlet';

const SITES = [
    'shoulder',
    'upper_arm',
    'elbow',
    'forearm',
    'wrist',
    'hand',
    'finger',
    'neck',
    'chest',
    'back',
    'side',
    'hip',
    'thigh',
    'knee',
    'shin',
    'ankle',
    'foot',
];

/** What of an intake is a text that somebody writes. */
type TextOf =
    | 'sports'
    | 'past_injuries'
    | 'emergency_contact'
    | 'emergency_plan'
    | 'usual_week_signed_by'
    | 'usual_week_on'
    | 'consent_record_by'
    | 'consent_record_on'
    | 'consent_film_by'
    | 'consent_film_on';

/** Asked once: who to call, what was before, what is agreed; height every few months. */
export function IntakeScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/intake' });
    const me = useMe();
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [said, setSaid] = useState<string | null>(null);
    const [made, setMade] = useState<{ token: Token; path: string; whom: string } | null>(null);
    const [asking, setAsking] = useState<'condition' | 'erase' | null>(null);
    const id = useRef(newId());
    const query = useQuery({
        queryKey: ['intake', athleteId],
        queryFn: () => api<Intake>('GET', `/api/athletes/${athleteId}/intake`),
        refetchOnWindowFocus: false,
    });
    if (query.error && !query.data)
        return (
            <main className="p-6">
                <Notice problem={query.error} />
            </main>
        );
    if (!query.data)
        return (
            <main>
                <Loading what="the intake" />
            </main>
        );
    const kept = query.data;
    const done = (answer: Intake, words: string): void => {
        id.current = newId();
        queries.setQueryData(['intake', athleteId], answer);
        void queries.invalidateQueries({ queryKey: ['athlete', athleteId] });
        setProblem(null);
        setAsking(null);
        setSaid(words);
    };
    const field = (name: TextOf, label: string, rows = 1) => (
        <label className="grid gap-1">
            <span className="label">{label}</span>
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
        </label>
    );
    const signed = (who: TextOf, when: TextOf, label: string) => (
        <div className="grid grid-cols-[1fr_10rem] gap-2">
            <label className="grid gap-1">
                <span className="label">{label}</span>
                <input
                    className="field"
                    name={who}
                    readOnly={!me.decides}
                    placeholder="nobody has signed"
                    defaultValue={kept[who] ?? ''}
                />
            </label>
            <label className="grid gap-1">
                <span className="label">on</span>
                <input
                    className="field"
                    type="date"
                    name={when}
                    max={me.today}
                    readOnly={!me.decides}
                    defaultValue={kept[when] ?? ''}
                />
            </label>
        </div>
    );
    const save = (form: FormData): void => {
        const text = (name: string): string | null => typed(form, name) || null;
        const [arm, landings] = [text('week_arm'), text('week_landings')];
        api<Intake>('PUT', `/api/athletes/${athleteId}/intake`, {
            version: kept.version,
            usual_week:
                arm === null && landings === null ? null : { arm: Number(arm ?? 0), landings: Number(landings ?? 0) },
            ...Object.fromEntries(
                [
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
                ].map((name) => [name, text(name)]),
            ),
        }).then((answer) => done(answer, 'Kept.'), setProblem);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b border-line py-3">
                <p className="label">
                    {kept.athlete.age ?? 'age not known'} · {kept.athlete.throwing_side}-handed
                </p>
                <h1 className="text-2xl">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {kept.athlete.name}
                    </Link>
                    : intake
                </h1>
            </header>
            <Notice problem={asking === null ? problem : null} />
            {said && (
                <p role="status" className="mt-2 border-l-4 border-full pl-2">
                    {said}
                </p>
            )}
            <div className="grid gap-x-12 gap-y-8 pt-4 lg:grid-cols-[1.2fr_1fr]">
                <form
                    key={kept.version}
                    className="grid content-start gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        save(new FormData(event.currentTarget));
                    }}
                >
                    <h2 className="text-base">In an emergency</h2>
                    <p className="-mt-2 text-sm text-soft">Readable courtside without a connection.</p>
                    {field('emergency_contact', 'Whom to call, with the number')}
                    {field('emergency_plan', 'What to know and do: allergies, medicine, a condition', 2)}
                    <h2 className="mt-3 text-base">Before Augendo</h2>
                    {field('sports', 'Sports and clubs', 2)}
                    {field('past_injuries', 'Past injuries', 2)}
                    <div className="grid grid-cols-2 gap-2">
                        <label className="grid gap-1">
                            <span className="label">A usual week, arm units</span>
                            <input
                                className="field"
                                name="week_arm"
                                inputMode="decimal"
                                readOnly={!me.decides}
                                defaultValue={kept.usual_week?.arm ?? ''}
                            />
                        </label>
                        <label className="grid gap-1">
                            <span className="label">landing units</span>
                            <input
                                className="field"
                                name="week_landings"
                                inputMode="decimal"
                                readOnly={!me.decides}
                                defaultValue={kept.usual_week?.landings ?? ''}
                            />
                        </label>
                    </div>
                    <p className="-mt-2 text-sm text-soft">
                        A unit is one full-effort throw, serve or landing. It enters as four declared weeks at eight
                        tenths, before the record begins.
                    </p>
                    {kept.usual_week_doubt && (
                        <p className="flex flex-wrap items-center gap-2 border-l-4 border-tape pl-2">
                            {kept.usual_week_doubt}
                            {me.decides && (
                                <button
                                    type="button"
                                    className="btn"
                                    onClick={() =>
                                        void api<Intake>(
                                            'POST',
                                            `/api/athletes/${athleteId}/intake/usual-week/confirm`,
                                        ).then((answer) => done(answer, 'Saved: it counts.'), setProblem)
                                    }
                                >
                                    It is right
                                </button>
                            )}
                        </p>
                    )}
                    {signed('usual_week_signed_by', 'usual_week_on', 'The usual week is signed by')}
                    <h2 className="mt-3 text-base">Agreed</h2>
                    {signed('consent_record_by', 'consent_record_on', 'Keeping training and health records')}
                    {signed('consent_film_by', 'consent_film_on', 'Film and pictures, apart from that')}
                    {me.decides && <button className="btn btn-main justify-self-start">Keep the intake</button>}
                </form>
                <div className="grid content-start gap-7">
                    <Standing kept={kept} onDone={done} onProblem={setProblem} />
                    <section aria-label="Height">
                        <h2 className="text-base">Height and growth</h2>
                        <p className={kept.growing_fast ? 'border-l-4 border-tape pl-2' : 'text-soft'}>
                            {kept.growth_cm_a_month === null
                                ? 'Not measured twice, at least four weeks apart, within the last half year: counted as growing fast until it is.'
                                : `${n(kept.growth_cm_a_month)} cm a month.`}
                            {kept.growing_fast &&
                                ' Growing fast: limits count eight tenths, landings seven tenths. Ask about knees, heels and elbow.'}
                        </p>
                        <Measured
                            all={kept.heights}
                            most={4}
                            path={`/api/athletes/${athleteId}/heights`}
                            may={me.records}
                            onDone={done}
                            onProblem={setProblem}
                        />
                        {me.records && (
                            <form
                                className="mt-2 flex items-end gap-2"
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    const form = new FormData(event.currentTarget);
                                    api<Intake>('POST', `/api/athletes/${athleteId}/heights`, {
                                        id: id.current,
                                        measured_on: form.get('measured_on'),
                                        height_cm: Number(form.get('height_cm')),
                                    }).then((answer) => done(answer, 'Height kept.'), setProblem);
                                    event.currentTarget.reset();
                                }}
                            >
                                <label className="grid gap-1">
                                    <span className="label">Height, cm</span>
                                    <input className="field" name="height_cm" inputMode="decimal" required />
                                </label>
                                <label className="grid gap-1">
                                    <span className="label">on</span>
                                    <input
                                        className="field"
                                        type="date"
                                        name="measured_on"
                                        max={me.today}
                                        defaultValue={me.today}
                                        required
                                    />
                                </label>
                                <button className="btn">Add</button>
                            </form>
                        )}
                    </section>
                    <section aria-label="Known conditions">
                        <h2 className="text-base">Known conditions</h2>
                        <p className="text-sm text-soft">
                            A report within one counts as reduced, not as news. Only a clinician sets them.
                        </p>
                        <ul>
                            {kept.conditions.map((condition) => (
                                <li
                                    key={condition.id}
                                    className={`border-t border-line py-1 ${condition.ended ? 'text-soft line-through' : ''}`}
                                >
                                    {condition.sentence}
                                </li>
                            ))}
                        </ul>
                        {me.role === 'clinician' && (
                            <button type="button" className="btn mt-1" onClick={() => setAsking('condition')}>
                                Set a condition
                            </button>
                        )}
                    </section>
                    {me.decides && (
                        <section aria-label="Personal links">
                            <h2 className="text-base">Personal check-in links</h2>
                            <p className="text-sm text-soft">
                                Opens {kept.athlete.given_name}’s own page without an account.{' '}
                                {kept.links.length === 0 ? 'None works now.' : ''}
                            </p>
                            <ul>
                                {kept.links.map((link) => (
                                    <li
                                        key={link.id}
                                        className="flex items-center justify-between border-t border-line"
                                    >
                                        <span>
                                            {link.label}{' '}
                                            <span className="text-sm text-soft">until {dayName(link.expires_on)}</span>
                                        </span>
                                        <button
                                            type="button"
                                            className="btn btn-quiet"
                                            onClick={() => {
                                                api('POST', `/api/people/links/${link.id}/revoke`).then(
                                                    () =>
                                                        queries.invalidateQueries({ queryKey: ['intake', athleteId] }),
                                                    setProblem,
                                                );
                                            }}
                                        >
                                            Take back
                                        </button>
                                    </li>
                                ))}
                            </ul>
                            <form
                                className="mt-2 flex items-end gap-2"
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    const label = typed(new FormData(event.currentTarget), 'label');
                                    api<Token>('POST', `/api/athletes/${athleteId}/links`, { label }).then((token) => {
                                        setMade({ token, path: '/check-in', whom: label });
                                        void queries.invalidateQueries({ queryKey: ['intake', athleteId] });
                                    }, setProblem);
                                }}
                            >
                                <label className="grid grow gap-1">
                                    <span className="label">For whom, for example “mother’s phone”</span>
                                    <input className="field" name="label" required />
                                </label>
                                <button className="btn">Make a link</button>
                            </form>
                        </section>
                    )}
                    <section aria-label="Data">
                        <h2 className="text-base">{kept.athlete.given_name}’s data</h2>
                        <p className="text-sm text-soft">
                            Kept: name, birth date, sides, work, judged repetitions, reports of soreness, decisions,
                            clearances, what stands on this page. It leaves this machine only by a backup or an export.
                        </p>
                        <div className="mt-1 flex flex-wrap gap-2">
                            {['coach', 'athlete', 'guardian'].includes(me.role) && (
                                <a className="btn" href={`/api/athletes/${athleteId}/export`} download>
                                    Export everything
                                </a>
                            )}
                            {me.decides && (
                                <button type="button" className="btn btn-quiet" onClick={() => setAsking('erase')}>
                                    Erase for good
                                </button>
                            )}
                        </div>
                    </section>
                </div>
            </div>
            <Sheetlet open={asking === 'condition'} onClose={() => setAsking(null)} title="Set a known condition">
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = Object.fromEntries(new FormData(event.currentTarget));
                        api<Intake>('POST', `/api/athletes/${athleteId}/conditions`, {
                            id: id.current,
                            site: form.site,
                            side: form.side || null,
                            kind: form.kind,
                            up_to_score: Number(form.up_to_score),
                            until_day: form.until_day,
                            note: form.note || null,
                        }).then((answer) => done(answer, 'The condition is set.'), setProblem);
                    }}
                >
                    <div className="grid grid-cols-2 gap-2">
                        <label className="grid gap-1">
                            <span className="label">Place</span>
                            <select className="field" name="site">
                                {SITES.map((site) => (
                                    <option key={site} value={site}>
                                        {site.replace('_', ' ')}
                                    </option>
                                ))}
                            </select>
                        </label>
                        <label className="grid gap-1">
                            <span className="label">Side</span>
                            <select className="field" name="side">
                                <option value="">either</option>
                                <option value="left">left</option>
                                <option value="right">right</option>
                            </select>
                        </label>
                    </div>
                    <div className="grid grid-cols-2 gap-2">
                        <label className="grid gap-1">
                            <span className="label">Kind</span>
                            <select className="field" name="kind">
                                {KINDS.filter(([kind]) => kind !== 'head').map(([kind, label]) => (
                                    <option key={kind} value={kind}>
                                        {label}
                                    </option>
                                ))}
                            </select>
                        </label>
                        <label className="grid gap-1">
                            <span className="label">Up to a score of</span>
                            <select className="field" name="up_to_score">
                                {[1, 2, 3, 4, 5, 6, 7].map((score) => (
                                    <option key={score}>{score}</option>
                                ))}
                            </select>
                        </label>
                    </div>
                    <label className="grid gap-1">
                        <span className="label">Until</span>
                        <input className="field" type="date" name="until_day" min={me.today} required />
                    </label>
                    <label className="grid gap-1">
                        <span className="label">Note, may be left open</span>
                        <input className="field" name="note" />
                    </label>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Set it in my name</button>
                </form>
            </Sheetlet>
            <Sheetlet
                open={asking === 'erase'}
                onClose={() => setAsking(null)}
                title={`Erase ${kept.athlete.name} for good`}
            >
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        api('POST', `/api/athletes/${athleteId}/erase`, {
                            name: new FormData(event.currentTarget).get('name'),
                        }).then(() => window.location.assign('/'), setProblem);
                    }}
                >
                    <p>
                        Name, birth date, health, decisions, links and this page are gone for good. Counts and loads
                        stay under nobody’s name, so that the club’s totals stay true. Backups made before still hold
                        everything.
                    </p>
                    <label className="grid gap-1">
                        <span className="label">Write the whole name to go on</span>
                        <input className="field" name="name" required />
                    </label>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Erase</button>
                </form>
            </Sheetlet>
            <LinkShown made={made} onClose={() => setMade(null)} />
        </main>
    );
}

/** Who somebody is, where they stand on their ladders, and what they have thrown and served. */
function Standing({
    kept,
    onDone,
    onProblem,
}: {
    kept: Intake;
    onDone: (answer: Intake, words: string) => void;
    onProblem: (problem: unknown) => void;
}) {
    const me = useMe();
    const path = `/api/athletes/${kept.athlete.id}`;
    const navigate = useNavigate();
    const [ladder, setLadder] = useState<string | null>(null);
    const ladders = useQuery({
        queryKey: ['ladders'],
        queryFn: () => api<LadderChoice[]>('GET', '/api/ladders'),
        enabled: me.decides,
    });
    const free = (ladders.data ?? []).filter((each) => !kept.ladders.some((standing) => standing.id === each.id));
    const chosen = free.find((each) => each.id === ladder) ?? free[0];
    const sent =
        (words: string) =>
        (answer: Intake): void =>
            onDone(answer, words);
    return (
        <>
            {me.decides && (
                <section aria-label="Person">
                    <h2 className="text-base">Person</h2>
                    <form
                        key={`${kept.given_name}${kept.birth_date}`}
                        className="grid gap-2"
                        onSubmit={(event) => {
                            event.preventDefault();
                            const form = Object.fromEntries(new FormData(event.currentTarget));
                            api<Intake>('PUT', path, {
                                ...form,
                                birth_date: form.birth_date || null,
                                turn_direction: form.turn_direction || null,
                            }).then(sent('Kept.'), onProblem);
                        }}
                    >
                        <AthleteFields
                            given={kept.given_name}
                            family={kept.family_name}
                            birthDate={kept.birth_date}
                            throwing={kept.athlete.throwing_side}
                            turn={kept.turn_direction}
                        />
                        <button className="btn justify-self-start">Keep</button>
                    </form>
                </section>
            )}
            <section aria-label="Ladders">
                <h2 className="text-base">Ladders</h2>
                {kept.ladders.length === 0 && (
                    <p className="border-l-4 border-tape pl-2">
                        On no ladder yet. Placed on one, sessions can be planned.
                    </p>
                )}
                <ul>
                    {kept.ladders.map((each) => (
                        <li key={each.id} className="flex items-center justify-between gap-2 border-t border-line py-1">
                            {each.name}
                            {me.decides && (
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    onClick={() =>
                                        void api<Intake>('POST', `${path}/placements/${each.id}/leave`).then(
                                            sent('Off this ladder. What was climbed stays held.'),
                                            onProblem,
                                        )
                                    }
                                >
                                    Leave it
                                </button>
                            )}
                        </li>
                    ))}
                </ul>
                {me.decides && chosen && (
                    <form
                        className="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
                        onSubmit={(event) => {
                            event.preventDefault();
                            api<Intake>('POST', `${path}/placements`, {
                                ladder: chosen.id,
                                rung: new FormData(event.currentTarget).get('rung'),
                            }).then(sent('Placed. Sessions planned from now on start there.'), onProblem);
                        }}
                    >
                        <label className="grid gap-1">
                            <span className="label">Place on</span>
                            <select
                                className="field"
                                value={chosen.id}
                                onChange={(event) => setLadder(event.target.value)}
                            >
                                {free.map((each) => (
                                    <option key={each.id} value={each.id}>
                                        {each.name}
                                    </option>
                                ))}
                            </select>
                        </label>
                        <label className="grid gap-1">
                            <span className="label">at the rung</span>
                            <select className="field" name="rung" key={chosen.id}>
                                {chosen.rungs.map((rung) => (
                                    <option key={rung.id} value={rung.id}>
                                        {rung.name}
                                    </option>
                                ))}
                            </select>
                        </label>
                        <button className="btn">Place</button>
                    </form>
                )}
                {me.decides && chosen && (
                    <p className="mt-2 flex flex-wrap items-center gap-2">
                        <button
                            type="button"
                            className="btn"
                            onClick={() =>
                                void api<Placed>('POST', `${path}/placing/${chosen.id}/start`).then((placed) => {
                                    if (placed.sheet_id)
                                        void navigate({ to: '/sheets/$sheetId', params: { sheetId: placed.sheet_id } });
                                }, onProblem)
                            }
                        >
                            Find the rung
                        </button>
                        <span className="text-sm text-soft">
                            Ten judged repetitions a rung, upwards: somebody with skill need not start at the foot.
                        </span>
                    </p>
                )}
            </section>
            <section aria-label="Longest throws">
                <h2 className="text-base">Longest throws and reference speeds</h2>
                <Measured
                    all={kept.marks}
                    most={6}
                    path={`${path}/marks`}
                    may={me.decides}
                    onDone={onDone}
                    onProblem={onProblem}
                />
                {me.decides && ladders.data && (
                    <form
                        className="mt-2 grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-2"
                        onSubmit={(event) => {
                            event.preventDefault();
                            const form = new FormData(event.currentTarget);
                            const number = (name: string): number | null =>
                                form.get(name) ? Number(form.get(name)) : null;
                            api<Intake>('POST', `${path}/marks`, {
                                skill: form.get('skill'),
                                longest_throw_m: number('longest'),
                                reference_speed_ms: number('speed'),
                                measured_on: me.today,
                            }).then(sent('Kept.'), onProblem);
                            event.currentTarget.reset();
                        }}
                    >
                        <label className="grid gap-1">
                            <span className="label">Skill</span>
                            <select className="field" name="skill">
                                {ladders.data.map((each) => (
                                    <option key={each.id} value={each.skill}>
                                        {each.name}
                                    </option>
                                ))}
                            </select>
                        </label>
                        <label className="grid gap-1">
                            <span className="label">longest, m</span>
                            <input className="field" name="longest" inputMode="decimal" />
                        </label>
                        <label className="grid gap-1">
                            <span className="label">speed, m/s</span>
                            <input className="field" name="speed" inputMode="decimal" />
                        </label>
                        <button className="btn">Add</button>
                    </form>
                )}
            </section>
        </>
    );
}
