import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Season } from '../../api/client';
import { dayName } from '../../api/words';
import { plusDays } from '../../parts/days';
import { useMe } from '../../parts/Frame';
import { Loading, Notice } from '../../parts/Notice';
import { Weekdays } from '../../parts/Weekdays';
import { Waiting } from '../../parts/Waiting';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { moved } from '../../rules/moves';
import { Changes } from './Changes';
import { Compare } from './Compare';
import { Curve } from './Curve';
import { Expected } from './Expected';
import { Suggestions } from './Suggestions';
import { WeekGrid } from './WeekGrid';

/** What can be set of a season; sent whole with every look and every save. */
export type Ask = {
    goal_rung: string | null;
    goal_on: string;
    weekdays: number[];
    minutes: number | null;
    tests: boolean;
    moves: { from: string; to: string }[];
    off: string[];
    heeded: Season['heeded'];
};

const WEEKS_TO_START_WITH = 12;

const askOf = (season: Season): Ask => ({
    goal_rung: season.goal_rung ?? null,
    goal_on: season.goal_on,
    weekdays: season.weekdays,
    minutes: season.minutes ?? null,
    tests: season.tests,
    moves: Object.entries(season.moves).map(([from, to]) => ({ from, to })),
    off: season.off,
    heeded: season.heeded,
});

/** A season that is kept. */
export function SeasonScreen() {
    const { seasonId } = useParams({ from: '/frame/seasons/$seasonId' });
    const season = useQuery({
        queryKey: ['season', seasonId],
        queryFn: () => api('GET', `/api/seasons/${seasonId}`),
        refetchOnWindowFocus: false,
    });
    if (!season.data) return <Waiting query={season} what="the season" />;
    return (
        <Planner
            key={`${seasonId} ${season.data.version}`}
            kept={season.data}
            start={askOf(season.data)}
            look={(ask) => api('POST', `/api/seasons/${seasonId}/preview`, ask)}
        />
    );
}

/** A new season of an athlete. */
export function NewSeasonScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/season' });
    const me = useMe();
    const ladders = useQuery({
        queryKey: ['ladders'],
        queryFn: () => api('GET', '/api/ladders'),
        staleTime: Infinity,
    });
    const athlete = useQuery({
        queryKey: ['athlete', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}`),
    });
    const [ladder, setLadder] = useState<string | null>(null);
    if (athlete.error && !athlete.data)
        return (
            <main className="p-6">
                <Notice problem={athlete.error} />
            </main>
        );
    if (!athlete.data || !ladders.data)
        return (
            <main>
                <Loading what="the ladders" />
            </main>
        );
    const own = athlete.data.ladders;
    const chosen = ladder ?? own[0]?.id;
    if (chosen === undefined)
        return (
            <main className="p-6">
                <p>
                    On no ladder yet.{' '}
                    <Link to="/athletes/$athleteId/intake" params={{ athleteId }} className="underline">
                        Place the athlete first, under Intake.
                    </Link>
                </p>
            </main>
        );
    const at = own.find((each) => each.id === chosen);
    const top = at?.rungs.at(-1)?.id ?? null;
    return (
        <Planner
            key={chosen}
            kept={null}
            ladders={own}
            onLadder={setLadder}
            start={{
                goal_rung: top,
                goal_on: plusDays(me.today, 7 * WEEKS_TO_START_WITH),
                weekdays: [2, 4, 6],
                minutes: null,
                tests: false,
                moves: [],
                off: [],
                heeded: { units: null, reps: null, effort_less: 0, left: [] },
            }}
            look={(ask) => api('POST', `/api/athletes/${athleteId}/seasons/draft`, { ...ask, ladder: chosen })}
            open={(ask) => api('POST', `/api/athletes/${athleteId}/seasons`, { ...ask, ladder: chosen })}
        />
    );
}

/** Sends what is asked, and hears the plan that comes of it. */
type Look = (ask: Ask) => Promise<Season>;

type LadderOf = { id: string; name: string };

function Planner({
    kept,
    start,
    look,
    open,
    ladders,
    onLadder,
}: {
    kept: Season | null;
    start: Ask;
    look: Look;
    open?: Look;
    ladders?: LadderOf[];
    onLadder?: (id: string) => void;
}) {
    const me = useMe();
    const planner = usePlanner(kept, start, look, open);
    const { season, ask, preview, problem, waiting, set } = planner;
    if (!season)
        return (
            <main className="p-6">
                {preview.error ? <Notice problem={preview.error} /> : <Loading what="the plan" />}
            </main>
        );
    return (
        <main className="one-page px-4 pb-10 sm:px-6">
            <Header kept={kept} season={season} planner={planner} ladders={ladders} onLadder={onLadder} />
            {me.decides && <AskForm season={season} planner={planner} />}
            <Notice problem={problem ?? preview.error} />
            {season.missed && <p className="my-3 border-l-4 border-tape bg-page px-3 py-2">{season.missed}</p>}
            {season.problems.map((each) => (
                <div key={each.code + each.what} className="my-3 border-l-4 border-reduced bg-page px-3 py-2">
                    <p className="head text-reduced">{each.what}</p>
                    <p>{each.way_out}</p>
                </div>
            ))}
            <Suggestions
                said={season.suggestions}
                heeded={ask.heeded}
                editable={me.decides}
                onHeed={(heeded) => set({ heeded })}
            />
            {planner.aside && (
                <Compare
                    was={planner.aside.season}
                    now={season}
                    onBack={() => {
                        if (planner.aside) set(planner.aside.ask);
                    }}
                    onPutAway={() => planner.setAside(null)}
                />
            )}
            <Changes changes={season.changes} asked={planner.changed} />
            <div className={waiting ? 'opacity-60' : ''}>
                <WeekGrid
                    season={season}
                    editable={me.decides}
                    onMove={(from, to) =>
                        set({ moves: moved(ask.moves, from, to), off: ask.off.filter((day) => day !== to) })
                    }
                    onOff={(day) =>
                        set({
                            off: ask.off.includes(day)
                                ? ask.off.filter((each) => each !== day)
                                : [...ask.off, day].sort(),
                            moves: ask.moves.filter((move) => move.to !== day),
                        })
                    }
                />
                <p className="mt-2 max-w-prose text-soft">{season.begun_from}</p>
                <Expected season={season} />
                <Curve points={season.curve} today={season.date} />
            </div>
            <section aria-label="Cautions" className="mt-6 max-w-prose text-soft">
                <p>
                    No day of this plan stands over a hard limit; it was simulated from the real record. It is a plan,
                    not a permission: the day’s word, a clearance and the gate decide when the day comes.
                </p>
                <ul className="mt-1 list-disc pl-5">
                    {season.cautions.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            </section>
        </main>
    );
}

/** What is asked of a season as it is moved here, and the plan that comes of it. */
function usePlanner(kept: Season | null, start: Ask, look: Look, open: Look | undefined) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [ask, setAsk] = useState(start);
    const [problem, setProblem] = useState<unknown>(null);
    const [past, setPast] = useState<Ask[]>([]);
    const [aside, setAside] = useState<{ season: Season; ask: Ask } | null>(null);
    const changed = JSON.stringify(ask) !== JSON.stringify(start);
    const preview = useQuery({
        queryKey: ['season-look', kept?.id ?? 'new', ask],
        queryFn: () => look(ask),
        enabled: kept === null || changed,
        placeholderData: keepPreviousData,
        retry: false,
        staleTime: 60_000,
    });
    const season = kept === null || changed ? (preview.data ?? kept) : kept;
    const set = (with_: Partial<Ask>): void => {
        setPast([...past, ask]);
        setProblem(null);
        setAsk({ ...ask, ...with_ });
    };
    const undo = (): void => {
        const last = past.at(-1);
        if (last) {
            setAsk(last);
            setPast(past.slice(0, -1));
        }
    };
    const keep = async (): Promise<void> => {
        try {
            const answer =
                kept === null
                    ? await (open ?? look)(ask)
                    : await api('PUT', `/api/seasons/${kept.id}`, { ...ask, version: kept.version });
            queries.setQueryData(['season', answer.id], answer);
            await queries.invalidateQueries({
                predicate: (query) => query.queryKey[0] !== 'season' && query.queryKey[0] !== 'season-look',
            });
            if (kept === null && answer.id)
                await navigate({ to: '/seasons/$seasonId', params: { seasonId: answer.id } });
        } catch (error) {
            setProblem(error);
        }
    };
    const close = async (): Promise<void> => {
        try {
            await api('POST', `/api/seasons/${kept?.id}/close`);
            await queries.invalidateQueries();
            await navigate({ to: '/plan' });
        } catch (error) {
            setProblem(error);
        }
    };
    const waiting = preview.isFetching && (kept === null || changed);
    return { season, ask, past, changed, preview, problem, waiting, aside, setAside, set, undo, keep, close };
}

type Planning = ReturnType<typeof usePlanner>;

function actOf(kept: Season | null, changed: boolean, season: Season): string | null {
    if (kept === null) return 'Save this season';
    if (changed) return 'Save the change';
    return season.differs ? 'Take today’s plan' : null;
}

function Header({
    kept,
    season,
    planner,
    ladders,
    onLadder,
}: {
    kept: Season | null;
    season: Season;
    planner: Planning;
    ladders: LadderOf[] | undefined;
    onLadder: ((id: string) => void) | undefined;
}) {
    const me = useMe();
    const goal = season.rungs.find((rung) => rung.id === season.goal_rung)?.name;
    const act = actOf(kept, planner.changed, season);
    return (
        <header className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink py-3">
            <div>
                <About season={season} ladders={ladders} onLadder={onLadder} />
                <h1 className="text-2xl">
                    {goal
                        ? `“${goal}” by ${dayName(season.goal_on)}`
                        : `Hold the rung until ${dayName(season.goal_on)}`}
                </h1>
                <p className="text-soft">
                    {season.return_done
                        ? `The way back is expected to end ${dayName(season.return_done)}, if every stage goes calmly. `
                        : ''}
                    By then: {season.reached ? `“${season.reached}”` : 'a stage of the return'}. Each rung needs its
                    gate on the day.
                </p>
            </div>
            <span className="grow" />
            {planner.past.length > 0 && (
                <button type="button" className="no-print btn btn-quiet" onClick={planner.undo}>
                    Undo
                </button>
            )}
            {kept !== null && me.decides && (
                <button type="button" className="no-print btn btn-quiet" onClick={() => void planner.close()}>
                    Close the season
                </button>
            )}
            {me.decides && planner.aside === null && (
                <button
                    type="button"
                    className="no-print btn btn-quiet"
                    disabled={planner.waiting}
                    onClick={() => planner.setAside({ season, ask: planner.ask })}
                >
                    Compare
                </button>
            )}
            <button type="button" className="btn no-print" onClick={() => window.print()}>
                Print
            </button>
            {me.decides && act && (
                <button
                    type="button"
                    className="no-print btn btn-main"
                    disabled={planner.waiting}
                    onClick={() => void planner.keep()}
                >
                    {act}
                </button>
            )}
        </header>
    );
}

function About({
    season,
    ladders,
    onLadder,
}: {
    season: Season;
    ladders: LadderOf[] | undefined;
    onLadder: ((id: string) => void) | undefined;
}) {
    return (
        <p className="label">
            <Link to="/plan" className="hover:underline">
                Seasons and matches
            </Link>{' '}
            ·{' '}
            <Link to="/athletes/$athleteId" params={{ athleteId: season.athlete.id }} className="hover:underline">
                {season.athlete.name}
            </Link>
            , {season.athlete.age ?? 'age not known'} ·{' '}
            {ladders && ladders.length > 1 ? (
                <select
                    aria-label="Ladder"
                    className="bg-transparent underline decoration-dotted"
                    value={season.ladder}
                    onChange={(event) => onLadder?.(event.target.value)}
                >
                    <Options of={ladders} />
                </select>
            ) : (
                season.ladder_name
            )}
            {season.others.length > 0 && (
                <>
                    , planned with{' '}
                    <Link
                        to="/athletes/$athleteId/skills"
                        params={{ athleteId: season.athlete.id }}
                        className="underline"
                    >
                        {season.others.join(', ')}
                    </Link>
                </>
            )}
        </p>
    );
}

function AskForm({ season, planner }: { season: Season; planner: Planning }) {
    const { ask, set, waiting, changed } = planner;
    return (
        <div className="no-print flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-line py-2.5">
            <Labelled label="Goal rung" tight>
                <select
                    className="field w-56"
                    value={ask.goal_rung ?? ''}
                    onChange={(event) => set({ goal_rung: event.target.value || null })}
                >
                    <option value="">hold the rung</option>
                    {season.rungs.map((rung, i) => (
                        <option
                            key={rung.id}
                            value={rung.id}
                            disabled={i < season.rungs.findIndex((each) => each.id === season.current_rung)}
                        >
                            {i + 1}. {rung.name}
                        </option>
                    ))}
                </select>
            </Labelled>
            <LabelledInput
                label="Goal day"
                tight
                className="w-40"
                type="date"
                min={season.date}
                value={ask.goal_on}
                onChange={(event) => {
                    if (event.target.value) set({ goal_on: event.target.value });
                }}
            />
            <div className="grid gap-0.5">
                <span className="label">Training days</span>
                <Weekdays value={ask.weekdays} onChange={(weekdays) => set({ weekdays })} />
            </div>
            <LabelledInput
                label="Minutes, if short"
                tight
                className="w-24"
                inputMode="numeric"
                placeholder="open"
                defaultValue={ask.minutes ?? ''}
                onBlur={(event) => {
                    const minutes = event.target.value === '' ? null : Number(event.target.value) || 0;
                    if (minutes !== ask.minutes) set({ minutes });
                }}
            />
            {season.tested && (
                <label className="inline-flex min-h-10 items-center gap-2">
                    <input
                        type="checkbox"
                        checked={ask.tests}
                        onChange={(event) => set({ tests: event.target.checked })}
                    />
                    Test days: {season.tested}
                </label>
            )}
            <p role="status" className="label pb-2">
                {waiting ? 'Simulating every day…' : changed ? 'Not kept yet.' : ''}
            </p>
        </div>
    );
}
