import { Link } from '@tanstack/react-router';
import { MatchLink } from '../../parts/MatchLink';
import { clsx } from 'clsx';
import { type Calendar } from '../../api/client';
import { FIXTURES, dayName } from '../../api/words';
import { WEEKDAYS } from '../../parts/Weekdays';
import { numbers } from './numbers';

type Session = Calendar['sessions'][number];
type Fixture = Calendar['fixtures'][number];
type Planned = ((day: string) => void) | null;

/** A month at a glance: what was done is inked, what is planned hatched, a match has its notch of tape. */
export function MonthGrid({
    month,
    weeks,
    calendar,
    onPlan,
}: {
    month: string;
    weeks: string[][];
    calendar: Calendar;
    onPlan: Planned;
}) {
    return (
        <table className="mt-3 w-full table-fixed border-collapse">
            <caption className="sr-only">Sessions and matches, by week and day</caption>
            <thead>
                <tr>
                    {WEEKDAYS.map((name) => (
                        <th key={name} scope="col" className="label border-b border-ink px-1.5 pb-1 text-left">
                            {name}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {weeks.map((week) => (
                    <tr key={week[0]}>
                        {week.map((day) => (
                            <DayCell key={day} day={day} month={month} calendar={calendar} onPlan={onPlan} />
                        ))}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function DayCell({
    day,
    month,
    calendar,
    onPlan,
}: {
    day: string;
    month: string;
    calendar: Calendar;
    onPlan: Planned;
}) {
    const isToday = day === calendar.date;
    const outside = day.slice(0, 7) !== month.slice(0, 7);
    const number = Number(day.slice(8));
    return (
        <td
            className={clsx(
                'h-26 border border-line px-1 pb-1 align-top',
                isToday && 'outline-2 -outline-offset-2 outline-ink',
                outside && 'bg-faint',
            )}
        >
            {onPlan ? (
                <button
                    type="button"
                    aria-label={
                        day < calendar.date
                            ? `Enter a session of ${dayName(day, true)} late`
                            : `Plan a session on ${dayName(day, true)}`
                    }
                    className="figure min-h-7 w-full px-0.5 text-left text-base hover:bg-faint"
                    onClick={() => onPlan(day)}
                >
                    {number}
                    {isToday && <span className="label"> today</span>}
                </button>
            ) : (
                <span className="figure block min-h-7 px-0.5 pt-1.5 text-base">
                    {number}
                    {isToday && <span className="label"> today</span>}
                </span>
            )}
            <ul className="grid gap-1">
                {calendar.fixtures
                    .filter((fixture) => fixture.day === day)
                    .map((fixture) => (
                        <FixtureLine key={fixture.id} fixture={fixture} />
                    ))}
                {calendar.sessions
                    .filter((session) => session.day === day)
                    .map((session) => (
                        <SessionLine key={session.id} session={session} />
                    ))}
            </ul>
        </td>
    );
}

function SessionLine({ session }: { session: Session }) {
    const off = session.state === 'called_off';
    return (
        <li>
            <Link
                to="/sessions/$sessionId"
                params={{ sessionId: session.id }}
                className={clsx(
                    'block border-l-6 pl-1.5 leading-tight hover:bg-faint',
                    session.counted ? 'border-ink' : off ? 'border-line' : 'border-hatched',
                )}
            >
                <span className="label">{session.starts_at}</span>{' '}
                <span className={clsx('head text-sm', off && 'text-soft line-through')}>{session.title}</span>
                <span className="block truncate text-xs text-soft">{off ? session.reason : numbers(session)}</span>
            </Link>
        </li>
    );
}

function FixtureLine({ fixture }: { fixture: Fixture }) {
    return (
        <li className="min-w-0 border-l-6 border-tape pl-1.5 leading-tight">
            <span className="label">{fixture.starts_at}</span>{' '}
            <span className="head text-sm">
                <MatchLink fixture={fixture} />
            </span>
            <span className="block truncate text-xs text-soft">
                {FIXTURES[fixture.kind]}
                {fixture.players !== null ? `, ${fixture.players} play` : ''}
                {fixture.athlete_name ? `, ${fixture.athlete_name}` : ''}
            </span>
        </li>
    );
}
