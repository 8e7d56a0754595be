import { Link } from '@tanstack/react-router';
import { MatchLink } from '../../parts/MatchLink';
import { clsx } from 'clsx';
import { type Calendar } from '../../api/client';
import { FIXTURES, dayName } from '../../api/words';
import { numbers } from './numbers';

type Session = Calendar['sessions'][number];
type Fixture = Calendar['fixtures'][number];

/** The same month, one line after the other: what a phone shows. */
export function SessionList({
    weeks,
    calendar,
    onPlan,
}: {
    weeks: string[][];
    calendar: Calendar;
    onPlan: ((day: string) => void) | null;
}) {
    // Of the month that is under way, what is over is folded away: the next session stands on top.
    const isUnderWay = weeks.some((week) => week.includes(calendar.date));
    const over = isUnderWay ? weeks.filter((week) => (week[6] ?? '') < calendar.date) : [];
    const rest = weeks.filter((week) => !over.includes(week));
    return (
        <div className="grid gap-4 pt-3">
            {over.length > 0 && (
                <details>
                    <summary className="opens">Earlier this month</summary>
                    <div className="grid gap-4 pt-2">
                        {over.map((week) => (
                            <Week key={week[0]} week={week} calendar={calendar} onPlan={null} />
                        ))}
                    </div>
                </details>
            )}
            {rest.map((week) => (
                <Week key={week[0]} week={week} calendar={calendar} onPlan={onPlan} />
            ))}
        </div>
    );
}

function Week({
    week,
    calendar,
    onPlan,
}: {
    week: string[];
    calendar: Calendar;
    onPlan: ((day: string) => void) | null;
}) {
    const [monday = '', sunday = ''] = [week[0], week[6]];
    const isIn = (each: { day: string }): boolean => each.day >= monday && each.day <= sunday;
    const lines = [
        ...calendar.fixtures.filter(isIn).map((of) => ({ at: `${of.day} ${of.starts_at}`, fixture: of })),
        ...calendar.sessions.filter(isIn).map((of) => ({ at: `${of.day} ${of.starts_at}`, session: of })),
    ].sort((a, b) => a.at.localeCompare(b.at));
    return (
        <section aria-label={`Week of ${dayName(monday)}`}>
            <h3 className="flex items-baseline border-b border-ink pb-1 text-base">
                {dayName(monday)} to {dayName(sunday)}
                <span className="grow" />
                {onPlan && sunday >= calendar.date && (
                    <button
                        type="button"
                        className="label underline decoration-dotted underline-offset-4"
                        onClick={() => onPlan(monday > calendar.date ? monday : calendar.date)}
                    >
                        Plan here
                    </button>
                )}
            </h3>
            {lines.length === 0 && <p className="py-1.5 text-soft">Nothing planned.</p>}
            <ul>
                {lines.map((line) => (
                    <li key={line.at + ('session' in line ? line.session.id : line.fixture.id)}>
                        {'session' in line ? (
                            <SessionRow session={line.session} />
                        ) : (
                            <FixtureRow fixture={line.fixture} />
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}

const ROW = clsx(
    'grid grid-cols-[6.5rem_1fr] items-baseline gap-x-3 sm:grid-cols-[6.5rem_1fr_14rem]',
    'border-b border-line border-l-6 py-1.5 pl-2',
);

function SessionRow({ session }: { session: Session }) {
    const off = session.state === 'called_off';
    return (
        <Link
            to="/sessions/$sessionId"
            params={{ sessionId: session.id }}
            className={clsx(
                ROW,
                'hover:bg-faint',
                session.counted ? 'border-l-ink' : off ? 'border-l-line' : 'border-hatched',
            )}
        >
            <span className="label">
                {dayName(session.day)} {session.starts_at}
            </span>
            <span className="min-w-0">
                <span className={clsx('head', off && 'text-soft line-through')}>{session.title}</span>
                <span className="text-sm text-soft">
                    {session.place ? ` · ${session.place}` : ''}
                    {session.repeats ? ' · weekly' : ''}
                    {session.moved_from ? ` · was ${dayName(session.moved_from)}` : ''}
                </span>
            </span>
            <span className="label col-start-2 sm:col-start-3 sm:text-right">
                {off ? `Called off: ${session.reason ?? ''}` : numbers(session)}
            </span>
        </Link>
    );
}

function FixtureRow({ fixture }: { fixture: Fixture }) {
    return (
        <span className={clsx(ROW, 'border-l-tape')}>
            <span className="label">
                {dayName(fixture.day)} {fixture.starts_at}
            </span>
            <span className="min-w-0">
                <span className="head">
                    <MatchLink fixture={fixture} />
                </span>
                <span className="text-sm text-soft">
                    {` · ${FIXTURES[fixture.kind]}`}
                    {fixture.athlete_name ? `, ${fixture.athlete_name}` : ''}
                </span>
            </span>
            <span className="label col-start-2 sm:col-start-3 sm:text-right">{fixture.sentence}</span>
        </span>
    );
}
