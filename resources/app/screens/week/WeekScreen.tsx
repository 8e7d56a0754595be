import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { clsx } from 'clsx';
import { useState } from 'react';
import { api, type Week } from '../../api/client';
import { dayName } from '../../api/words';
import { mondayOf, plusDays } from '../../parts/days';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { SquadChoice } from '../../parts/SquadChoice';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { DayCell } from './DayCell';

export type Row = Week['rows'][number];
export type WeekDay = Row['days'][number];

const DAYS = 7;

/** The squad's week on one page: who does what when, who is away, and what stops each first. */
export function WeekScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [squad, setSquad] = useState<number | null>(null);
    const [monday, setMonday] = useState(mondayOf(me.today));
    const [problem, setProblem] = useState<unknown>(null);
    const query = useQuery({
        queryKey: ['week', squad, monday],
        queryFn: () => api('GET', '/api/week', undefined, { query: { squad, day: monday } }),
        placeholderData: (before) => before,
    });
    if (!query.data) return <Waiting query={query} what="the week" />;
    const week = query.data;
    const act = (write: Promise<unknown>): void => {
        void write.then(() => setProblem(null), setProblem).then(() => queries.invalidateQueries());
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">
                    Week, <SquadChoice squad={week.squad} squads={week.squads} onChange={setSquad} />
                </h1>
                <Link to="/calendar" className="opens head">
                    Calendar
                </Link>
                <span className="hidden grow sm:block" />
                <SaveList
                    name={`week of ${monday}`}
                    titles={['Name', 'Day', 'Planned', 'Done', 'Matches', 'Away', 'What stops first']}
                    rows={() =>
                        week.rows.flatMap((row) =>
                            row.days.map((day) => [
                                row.athlete.name,
                                day.day,
                                day.planned_reps,
                                day.done_reps,
                                day.matches.length,
                                day.away,
                                day.stops_first,
                            ]),
                        )
                    }
                />
                <span className="flex items-center gap-2">
                    <button
                        type="button"
                        className="btn"
                        aria-label="The week before"
                        onClick={() => setMonday(plusDays(monday, -DAYS))}
                    >
                        ←
                    </button>
                    <button type="button" className="btn" onClick={() => setMonday(mondayOf(me.today))}>
                        This week
                    </button>
                    <button
                        type="button"
                        className="btn"
                        aria-label="The week after"
                        onClick={() => setMonday(plusDays(monday, DAYS))}
                    >
                        →
                    </button>
                </span>
            </header>
            <Notice problem={query.error ?? problem} />
            <Table week={week} act={act} decides={me.decides} />
            <p className="mt-2 text-sm text-soft">
                The tape is the limit that stops first: inked done, hatched planned, full at its end. A day opens to its
                sessions, and to what can be changed.
            </p>
        </main>
    );
}

/** On a phone the week is wider than the screen: today is what is looked for. */
const intoView = (column: HTMLElement | null): void => column?.scrollIntoView({ inline: 'center', block: 'nearest' });

function Table({ week, act, decides }: { week: Week; act: (write: Promise<unknown>) => void; decides: boolean }) {
    if (week.rows.length === 0) return <p className="border-t-2 border-ink py-8 text-soft">Nobody is in this squad.</p>;
    const days = Array.from({ length: DAYS }, (_, i) => plusDays(week.monday, i));
    return (
        <div className="overflow-x-auto">
            <table className="w-full min-w-[60rem] table-fixed border-collapse">
                <caption className="sr-only">Athletes down, the days of the week across</caption>
                <colgroup>
                    <col className="w-40" />
                </colgroup>
                <thead>
                    <tr className="label border-b-2 border-ink">
                        <th className="sticky left-0 z-10 bg-chalk pb-1 text-left">Athlete</th>
                        {days.map((day) => (
                            <th
                                key={day}
                                ref={day === week.date ? intoView : undefined}
                                scope="col"
                                className={clsx('pb-1 pl-2 text-left', day === week.date && 'text-ink underline')}
                            >
                                {dayName(day)}
                                <Sessions week={week} day={day} />
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {week.rows.map((row) => (
                        <tr key={row.athlete.id} className="border-b border-line align-top">
                            <th scope="row" className="sticky left-0 z-10 bg-chalk py-1.5 pr-2 text-left font-normal">
                                <Link
                                    to="/athletes/$athleteId"
                                    params={{ athleteId: row.athlete.id }}
                                    className="head block truncate hover:underline"
                                >
                                    {row.athlete.name}
                                </Link>
                                {row.on_the_way_back && <span className="label block">on the way back</span>}
                                {row.restricted && (
                                    <span className="label block truncate text-stop" title={row.restricted}>
                                        restricted
                                    </span>
                                )}
                            </th>
                            {row.days.map((day) => (
                                <td key={day.day} className="p-0">
                                    <DayCell
                                        row={row}
                                        day={day}
                                        today={week.date}
                                        sessions={week.sessions.filter((each) => each.day === day.day)}
                                        act={decides ? act : null}
                                    />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

function Sessions({ week, day }: { week: Week; day: string }) {
    return week.sessions
        .filter((each) => each.day === day)
        .map((each) => (
            <Link
                key={each.id}
                to="/sessions/$sessionId"
                params={{ sessionId: each.id }}
                className="block truncate font-normal hover:underline"
                title={`${each.starts_at} ${each.title}`}
            >
                {each.starts_at} {each.title}
            </Link>
        ));
}
