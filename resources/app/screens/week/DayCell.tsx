import { Link } from '@tanstack/react-router';
import { useRef } from 'react';
import { api, type Week } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { newId } from '../../offline/store';
import { useMe } from '../../parts/Frame';
import { Opens } from '../../parts/Opens';
import type { Row, WeekDay } from './WeekScreen';

type Act = (write: Promise<unknown>) => void;
type Sessions = Week['sessions'];

const WHOLE = 100;

/** A day of an athlete, with what can be done about it. */
type Cell = { row: Row; day: WeekDay; today: string; sessions: Sessions; act: Act | null };

/** One day of one athlete: its work, and the tape of the limit that stops first. */
export function DayCell(cell: Cell) {
    const { row, day } = cell;
    return (
        <Opens
            label={`${row.athlete.given_name}, ${dayName(day.day)}: ${inWords(day)}`}
            className="block min-h-14 w-full px-2 py-1.5 text-left hover:bg-faint"
            content={<Details {...cell} />}
        >
            {day.matches.map((each) => (
                <span key={each} className="block truncate text-sm font-bold" title={each}>
                    Match {each}
                </span>
            ))}
            {day.away !== null ? (
                <span className="block truncate text-sm text-soft" title={day.away}>
                    {day.away.split(',')[0]}
                </span>
            ) : (
                <Work day={day} />
            )}
            {day.beside.map((each) => (
                <span key={each} className="mt-1 block truncate text-sm text-soft" title={each}>
                    {each}
                </span>
            ))}
            {day.elsewhere.map((each) => (
                <span key={each} className="mt-1 block truncate text-sm text-soft" title={each}>
                    Elsewhere {each}
                </span>
            ))}
        </Opens>
    );
}

function Work({ day }: { day: WeekDay }) {
    const reps = day.done_reps + day.planned_reps;
    if (reps === 0) return <span className="text-sm text-soft">{day.sheets.length > 0 ? 'no work' : '·'}</span>;
    const width = (share: number): string => `${Math.min(WHOLE, WHOLE * share)}%`;
    return (
        <>
            <span className="figure text-lg leading-tight">{reps}</span>
            <span className="relative mt-0.5 block h-2 w-full border-r-[3px] border-ink bg-tape" aria-hidden>
                <span className="hatch absolute inset-y-0 left-0" style={{ width: width(day.share) }} />
                <span className="absolute inset-y-0 left-0 bg-[#14201c]" style={{ width: width(day.done_share) }} />
            </span>
        </>
    );
}

function inWords(day: WeekDay): string {
    if (day.away !== null) return day.away;
    const work = [
        ...day.matches.map((each) => `match ${each}`),
        day.done_reps > 0 ? `${day.done_reps} done` : '',
        day.planned_reps > 0 ? `${day.planned_reps} planned` : '',
    ].filter((each) => each !== '');
    return work.length === 0 ? 'nothing' : work.join(', ');
}

function Details({ row, day, today, sessions, act }: Cell) {
    const me = useMe();
    const inIt = new Set(day.sheets.map((sheet) => sheet.session_id));
    const open = sessions.filter((each) => each.open && !inIt.has(each.id));
    return (
        <div className="grid gap-2">
            <p>
                <strong>{inWords(day)}.</strong>{' '}
                {day.stops_first !== null && day.share > 0 && `${day.stops_first}: ${percent(day.share)} full.`}
            </p>
            {day.sheets.map((sheet) => (
                <p key={sheet.id} className="flex flex-wrap items-center gap-2">
                    <Link to="/sheets/$sheetId" params={{ sheetId: sheet.id }} className="opens grow">
                        {sheet.starts_at} {sheet.title}, {sheet.planned_reps} reps
                    </Link>
                    {act !== null && sheet.state === 'planned' && day.day >= today && (
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() =>
                                act(
                                    api('POST', `/api/sessions/${sheet.session_id}/athletes/take-out`, {
                                        athlete_id: row.athlete.id,
                                        ladders: null,
                                    }),
                                )
                            }
                        >
                            Take out
                        </button>
                    )}
                </p>
            ))}
            {act !== null &&
                open.map((each) => (
                    <button
                        key={each.id}
                        type="button"
                        className="btn"
                        onClick={() =>
                            act(
                                api('POST', `/api/sessions/${each.id}/athletes`, {
                                    athlete_id: row.athlete.id,
                                    ladders: null,
                                }),
                            )
                        }
                    >
                        Put into {each.starts_at} {each.title}
                    </button>
                ))}
            {me.records && day.away === null && day.day >= today && <AwayToday row={row} day={day} act={act} />}
        </div>
    );
}

function AwayToday({ row, day, act }: { row: Row; day: WeekDay; act: Act | null }) {
    const id = useRef(newId());
    if (act === null) return null;
    return (
        <button
            type="button"
            className="btn"
            onClick={() =>
                act(
                    api('POST', `/api/athletes/${row.athlete.id}/absences`, {
                        id: id.current,
                        kind: 'other',
                        fever: false,
                        from_day: day.day,
                        until_day: day.day,
                        note: null,
                    }),
                )
            }
        >
            Away on this day
        </button>
    );
}
