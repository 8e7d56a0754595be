import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Plan, type SeasonsMade, type Token } from '../../api/client';
import { FIXTURES, dayName } from '../../api/words';
import { MatchLink } from '../../parts/MatchLink';
import { useMe } from '../../parts/Frame';
import { LinkShown } from '../../parts/LinkShown';
import { Notice } from '../../parts/Notice';
import { Opens } from '../../parts/Opens';
import { Sheetlet } from '../../parts/Sheetlet';
import { SquadChoice } from '../../parts/SquadChoice';
import { Weekdays } from '../../parts/Weekdays';
import { Waiting } from '../../parts/Waiting';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import { clsx } from 'clsx';
import { figure, typed } from '../../parts/forms';
import { everybody, FixtureForm } from './FixtureForm';

/** How often it is asked again while seasons are being worked out. */
const WORKING_OUT_MS = 3_000;

type Fixture = Plan['fixtures'][number];

/** What is the same week after week, as one. */
function series(fixtures: Fixture[]): Fixture[][] {
    const found = new Map<string, Fixture[]>();
    for (const each of fixtures) {
        const key = [each.title, each.kind, each.athlete_id, each.sentence, each.starts_at].join('|');
        found.set(key, [...(found.get(key) ?? []), each]);
    }
    return [...found.values()];
}

/** What is ahead beside the squad’s sessions: seasons, matches, training elsewhere, strength. */
export function PlanScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [squad, setSquad] = useState<number | null>(null);
    const [open, setOpen] = useState<'fixture' | 'squad' | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [link, setLink] = useState<{ token: Token; path: string; whom: string } | null>(null);
    const query = useQuery({
        queryKey: ['plan', squad],
        queryFn: () => api('GET', '/api/plan', undefined, { query: { squad } }),
        refetchInterval: (query) => ((query.state.data?.working_out ?? 0) > 0 ? WORKING_OUT_MS : false),
    });
    if (!query.data) return <Waiting query={query} what="the plan" />;
    const plan = query.data;
    const remove = (id: string): void => {
        api('POST', `/api/fixtures/${id}/remove`).then((answer) => {
            queries.setQueryData(['plan', squad], answer);
            void queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-3 py-3">
                <h1 className="text-2xl">
                    Seasons and matches, <SquadChoice squad={plan.squad} squads={plan.squads} onChange={setSquad} />
                </h1>
                <span className="grow" />
                <button
                    type="button"
                    className="btn btn-quiet"
                    onClick={() => {
                        api('POST', '/api/me/calendar-link').then(
                            (token) =>
                                setLink({
                                    token,
                                    path: '/calendar/{token}.ics',
                                    whom:
                                        'your own calendar: it says when, and names no athlete. A link ' +
                                        'made before stops working',
                                }),
                            setProblem,
                        );
                    }}
                >
                    Calendar link
                </button>
                {me.decides && (
                    <>
                        <button type="button" className="btn" onClick={() => setOpen('fixture')}>
                            Match, or work beside
                        </button>
                        <button type="button" className="btn btn-main" onClick={() => setOpen('squad')}>
                            Season for the squad
                        </button>
                    </>
                )}
            </header>
            <Notice problem={problem} />
            <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1.25fr_1fr]">
                <Seasons plan={plan} />
                <FixedDays plan={plan} onTakeBack={me.decides ? remove : null} />
            </div>
            <LinkShown made={link} onClose={() => setLink(null)} />
            <FixtureForm plan={plan} open={open === 'fixture'} onClose={() => setOpen(null)} />
            <SquadSeason plan={plan} open={open === 'squad'} onClose={() => setOpen(null)} />
        </main>
    );
}

/** The match of today, counted as it is played: one athlete’s, or whose of the squad? */
function CountLive({ plan, athleteId }: { plan: Plan; athleteId: string | null }) {
    if (athleteId !== null)
        return (
            <Link to="/athletes/$athleteId/match" params={{ athleteId }} className="opens head no-print">
                Count it live
            </Link>
        );
    return (
        <Opens
            label="Count it live: whose?"
            className="opens head no-print"
            content={
                <ul className="grid grid-cols-2 gap-1">
                    {everybody(plan).map((athlete) => (
                        <li key={athlete.id}>
                            <Link
                                to="/athletes/$athleteId/match"
                                params={{ athleteId: athlete.id }}
                                className="btn w-full justify-start"
                            >
                                {athlete.given_name}
                            </Link>
                        </li>
                    ))}
                </ul>
            }
        >
            Count it live
        </Opens>
    );
}

function SquadSeason({ plan, open, onClose }: { plan: Plan; open: boolean; onClose: () => void }) {
    const queries = useQueryClient();
    const [weekdays, setWeekdays] = useState([2, 4]);
    const [problem, setProblem] = useState<unknown>(null);
    const [made, setMade] = useState<SeasonsMade | null>(null);
    const [busy, setBusy] = useState(false);
    const close = (): void => {
        setMade(null);
        setProblem(null);
        onClose();
    };
    return (
        <Sheetlet open={open} onClose={close} title={`A season for ${plan.squad.name}`}>
            {made ? (
                <div className="grid gap-3">
                    <p className="text-lg">
                        {made.seasons} {made.seasons === 1 ? 'season is' : 'seasons are'} kept. The weeks are worked out
                        one athlete after the other, each from their own record.
                    </p>
                    {made.left_out.length > 0 && (
                        <ul className="border-l-4 border-tape pl-3">
                            {made.left_out.map((each) => (
                                <li key={each}>{each}.</li>
                            ))}
                        </ul>
                    )}
                    <button type="button" className="btn btn-main" onClick={close}>
                        Done
                    </button>
                </div>
            ) : (
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        setBusy(true);
                        api('POST', `/api/squads/${plan.squad.id}/seasons`, {
                            goal_on: typed(form, 'goal_on'),
                            weekdays,
                            minutes: figure(form, 'minutes'),
                            rungs_up: Number(typed(form, 'rungs_up')),
                        })
                            .then((answer) => {
                                setMade(answer);
                                setProblem(null);
                                void queries.invalidateQueries();
                            }, setProblem)
                            .finally(() => setBusy(false));
                    }}
                >
                    <div className="grid grid-cols-2 gap-2">
                        <LabelledInput label="Goal day" type="date" name="goal_on" required min={plan.date} />
                        <Labelled label="Up to">
                            <select className="field" name="rungs_up" defaultValue="1">
                                <option value="0">the rung they stand on</option>
                                <option value="1">one rung up</option>
                                <option value="2">two rungs up</option>
                                <option value="3">three rungs up</option>
                            </select>
                        </Labelled>
                    </div>
                    <div className="grid gap-1">
                        <span className="label">Training days</span>
                        <Weekdays value={weekdays} onChange={setWeekdays} />
                    </div>
                    <LabelledInput label="Minutes, may be left open" name="minutes" inputMode="numeric" />
                    <Notice problem={problem} />
                    <button className="btn btn-main" disabled={busy}>
                        {busy ? 'Sending…' : 'Plan it for everybody'}
                    </button>
                </form>
            )}
        </Sheetlet>
    );
}

function Seasons({ plan }: { plan: Plan }) {
    const me = useMe();
    return (
        <section aria-label="Seasons">
            <h2 className="border-b-2 border-ink pb-1 text-base">Seasons</h2>
            {plan.working_out > 0 && (
                <p role="status" className="my-2 border-l-4 border-tape pl-2">
                    {plan.working_out} {plan.working_out === 1 ? 'season is' : 'seasons are'} still being worked out.
                    Until then {plan.working_out === 1 ? 'its sessions are' : 'their sessions are'} not on the calendar.
                </p>
            )}
            {plan.seasons.length === 0 && (
                <p className="border-b border-line py-3 text-soft">
                    Nobody has a season yet. Open one for an athlete below, or one like it for everybody.
                </p>
            )}
            {plan.seasons.map((season) => (
                <Link
                    key={season.id}
                    to="/seasons/$seasonId"
                    params={{ seasonId: season.id }}
                    className={clsx(
                        'grid grid-cols-[9.5rem_1fr_auto] items-baseline gap-3 border-b border-line py-1.5',
                        'hover:bg-faint',
                    )}
                >
                    <span className="head truncate">{season.athlete.name}</span>
                    <span className="min-w-0">
                        <span className="block truncate">
                            {season.goal ? `“${season.goal}”` : 'hold the rung'}{' '}
                            <span className="text-soft">· {season.ladder_name}</span>
                        </span>
                        {season.missed && (
                            <span className="block text-sm font-bold text-reduced">{season.missed.split('.')[0]}</span>
                        )}
                    </span>
                    <span className="label">{dayName(season.goal_on)}</span>
                </Link>
            ))}
            {me.decides && plan.without.length > 0 && (
                <p className="pt-2">
                    <span className="label">Without one, open: </span>
                    {plan.without.map((athlete, i) => (
                        <span key={athlete.id}>
                            {i > 0 && ', '}
                            <Link
                                to="/athletes/$athleteId/season"
                                params={{ athleteId: athlete.id }}
                                className="underline decoration-dotted underline-offset-4"
                            >
                                {athlete.name}
                            </Link>
                        </span>
                    ))}
                </p>
            )}
        </section>
    );
}

function FixedDays({ plan, onTakeBack }: { plan: Plan; onTakeBack: ((id: string) => void) | null }) {
    return (
        <section aria-label="Fixed days">
            <h2 className="border-b-2 border-ink pb-1 text-base">Matches, and work beside the sessions</h2>
            {plan.fixtures.length === 0 && (
                <p className="py-3 text-soft">
                    None declared. A match that is declared keeps its work free: the days before give way.
                </p>
            )}
            <ul>
                {series(plan.fixtures).map((each) => (
                    <FixedDay key={each[0]?.id} plan={plan} times={each} onTakeBack={onTakeBack} />
                ))}
            </ul>
        </section>
    );
}

/** What is the same week after week stands in one row. */
function FixedDay({
    plan,
    times,
    onTakeBack,
}: {
    plan: Plan;
    times: Fixture[];
    onTakeBack: ((id: string) => void) | null;
}) {
    const me = useMe();
    const [first, last] = [times[0], times.at(-1)];
    if (!first || !last) return null;
    const back = (one: Fixture) =>
        onTakeBack && (
            <button
                type="button"
                className="btn btn-quiet no-print"
                aria-label={`Take back ${one.title}, ${dayName(one.day)}`}
                onClick={() => onTakeBack(one.id)}
            >
                Take back
            </button>
        );
    return (
        <li className="grid grid-cols-[6.5rem_1fr_auto] items-baseline gap-3 border-b border-line py-1.5">
            <span className="label">
                {dayName(first.day)} {first.starts_at}
            </span>
            <span className="min-w-0">
                <span className="head">
                    <MatchLink fixture={first} />
                </span>{' '}
                <span className="label">
                    {FIXTURES[first.kind]}
                    {first.athlete_name ? `, ${first.athlete_name}` : ''}
                </span>
                <span className="block text-sm text-soft">{first.sentence}</span>
                {first.kind === 'match' && first.day === plan.date && me.records && (
                    <CountLive plan={plan} athleteId={first.athlete_id ?? null} />
                )}
                {times.length > 1 && (
                    <details>
                        <summary className="label">
                            {times.length} times until {dayName(last.day)}
                        </summary>
                        <ul>
                            {times.map((one) => (
                                <li key={one.id} className="flex items-center justify-between">
                                    {dayName(one.day)}
                                    {back(one)}
                                </li>
                            ))}
                        </ul>
                    </details>
                )}
            </span>
            {times.length === 1 && back(first)}
        </li>
    );
}
