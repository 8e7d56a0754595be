import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type Calendar } from '../../api/client';
import { dayName } from '../../api/words';
import { newId } from '../../offline/store';
import { mondayOf, monthName, monthOf, plusDays, weeksOf } from '../../parts/days';
import { useMe } from '../../parts/Frame';
import { Labelled } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { PlanChanges } from '../../parts/PlanChanges';
import { PlanSession } from '../../parts/PlanSession';
import { Sheetlet } from '../../parts/Sheetlet';
import { SquadChoice } from '../../parts/SquadChoice';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { MonthGrid } from './MonthGrid';
import { SessionList } from './SessionList';

/** Narrower than this, a month is read as a list. */
const WIDE = '(min-width: 56rem)';

/** How often it is asked again while sheets are being fitted. */
const BEING_FITTED_MS = 3_000;

/** What was, what will be? Every session and match of a squad, each opens. */
export function CalendarScreen() {
    const me = useMe();
    const [squad, setSquad] = useState<number | null>(null);
    const [month, setMonth] = useState(monthOf(me.today));
    const [asList, setAsList] = useState(() => !window.matchMedia(WIDE).matches);
    const [planning, setPlanning] = useState<string | null>(null);
    const [copying, setCopying] = useState(false);
    const weeks = weeksOf(month);
    const span = { from: weeks[0]?.[0] ?? month, to: weeks[weeks.length - 1]?.[6] ?? month };
    const query = useQuery({
        queryKey: ['calendar', squad, span.from],
        queryFn: () => api('GET', '/api/calendar', undefined, { query: { squad, ...span } }),
        placeholderData: (before) => before,
        refetchInterval: ({ state }) =>
            state.data?.sessions.some((session) => session.waiting) ? BEING_FITTED_MS : false,
    });
    if (!query.data) return <Waiting query={query} what="the calendar" />;
    const calendar = query.data;
    const plan = me.decides ? setPlanning : null;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">
                    Calendar, <SquadChoice squad={calendar.squad} squads={calendar.squads} onChange={setSquad} />
                </h1>
                <Link to="/week" className="opens head">
                    The week by athlete
                </Link>
                <Link to="/plan" className="opens head">
                    Seasons and matches
                </Link>
                <Link to="/venues" className="opens head">
                    Venues
                </Link>
                {me.decides && (
                    <Link to="/devices" className="opens head">
                        Devices
                    </Link>
                )}
                <span className="hidden grow sm:block" />
                <SaveList
                    name={`calendar ${month.slice(0, 7)}`}
                    titles={['Day', 'From', 'Minutes', 'Title', 'Place', 'State', 'Athletes', 'Planned', 'Done']}
                    rows={() =>
                        calendar.sessions.map((each) => [
                            each.day,
                            each.starts_at,
                            each.minutes,
                            each.title,
                            each.place,
                            each.state,
                            each.athletes,
                            each.planned_reps,
                            each.done_reps,
                        ])
                    }
                />
                {me.decides && (
                    <>
                        <button type="button" className="btn" onClick={() => setCopying(true)}>
                            Copy last week
                        </button>
                        <button type="button" className="btn btn-main" onClick={() => setPlanning(me.today)}>
                            Plan a session
                        </button>
                    </>
                )}
            </header>
            <Months
                month={month}
                onMonth={setMonth}
                onToday={() => setMonth(monthOf(me.today))}
                asList={asList}
                onAsList={setAsList}
            />
            <PlanChanges changes={calendar.changes} shown={asList ? 1 : 3} />
            {asList ? (
                <SessionList weeks={weeks} calendar={calendar} onPlan={plan} />
            ) : (
                <MonthGrid month={month} weeks={weeks} calendar={calendar} onPlan={plan} />
            )}
            {planning !== null && (
                <PlanSession squad={calendar.squad} day={planning} open onClose={() => setPlanning(null)} />
            )}
            <CopyWeek calendar={calendar} open={copying} onClose={() => setCopying(false)} />
        </main>
    );
}

function Months({
    month,
    onMonth,
    onToday,
    asList,
    onAsList,
}: {
    month: string;
    onMonth: (month: string) => void;
    onToday: () => void;
    asList: boolean;
    onAsList: (asList: boolean) => void;
}) {
    return (
        <div className="flex flex-wrap items-center gap-2 border-b-2 border-ink pb-2">
            <button type="button" className="btn" onClick={() => onMonth(monthOf(month, -1))}>
                <span aria-hidden>←</span>
                <span className="sr-only sm:not-sr-only">{monthName(monthOf(month, -1)).split(' ')[0]}</span>
            </button>
            <h2 aria-live="polite" className="text-center text-xl sm:min-w-40">
                {monthName(month)}
            </h2>
            <button type="button" className="btn" onClick={() => onMonth(monthOf(month, 1))}>
                <span className="sr-only sm:not-sr-only">{monthName(monthOf(month, 1)).split(' ')[0]}</span>
                <span aria-hidden>→</span>
            </button>
            <button type="button" className="btn btn-quiet hidden sm:inline-flex" onClick={onToday}>
                This month
            </button>
            <span className="grow" />
            <div role="group" aria-label="Shown as" className="inline-flex border border-ink">
                {(['Month', 'List'] as const).map((name) => {
                    const on = asList === (name === 'List');
                    return (
                        <button
                            key={name}
                            type="button"
                            aria-pressed={on}
                            className={`head min-h-10 px-3 ${on ? 'bg-ink text-chalk' : ''}`}
                            onClick={() => onAsList(name === 'List')}
                        >
                            {name}
                        </button>
                    );
                })}
            </div>
        </div>
    );
}

/** The week before, once more: into which week? */
function CopyWeek({ calendar, open, onClose }: { calendar: Calendar; open: boolean; onClose: () => void }) {
    const queries = useQueryClient();
    const id = useRef(newId());
    const next = plusDays(mondayOf(calendar.date), 7);
    const [week, setWeek] = useState(next);
    const [left, setLeft] = useState<string[] | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const close = (): void => {
        setLeft(null);
        setProblem(null);
        onClose();
    };
    const copy = (): void => {
        void api('POST', `/api/squads/${calendar.squad.id}/sessions/copy-week`, { id: id.current, week }).then(
            (answer) => {
                id.current = newId();
                setProblem(null);
                void queries.invalidateQueries();
                if (answer.left_out.length > 0) setLeft(answer.left_out);
                else close();
            },
            setProblem,
        );
    };
    return (
        <Sheetlet open={open} onClose={close} title="Copy last week">
            {left ? (
                <div className="grid gap-3">
                    <p>Copied. Left as it was:</p>
                    <ul className="border-l-4 border-tape pl-3">
                        {left.map((each) => (
                            <li key={each}>{each}.</li>
                        ))}
                    </ul>
                    <button type="button" className="btn btn-main" onClick={close}>
                        Done
                    </button>
                </div>
            ) : (
                <div className="grid gap-3">
                    <p>
                        The sessions of the week before, a week later: same hour, place and skills. Doses are fitted to
                        the new days.
                    </p>
                    <Labelled label="Into the week of">
                        <select className="field" value={week} onChange={(event) => setWeek(event.target.value)}>
                            {Array.from({ length: 9 }, (_, i) => plusDays(next, 7 * (i - 1))).map((monday) => (
                                <option key={monday} value={monday}>
                                    {dayName(monday)} to {dayName(plusDays(monday, 6))}
                                </option>
                            ))}
                        </select>
                    </Labelled>
                    <Notice problem={problem} />
                    <button type="button" className="btn btn-main" onClick={copy}>
                        Copy
                    </button>
                </div>
            )}
        </Sheetlet>
    );
}
