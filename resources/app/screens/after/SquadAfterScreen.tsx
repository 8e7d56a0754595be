import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type SquadAfter } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { NoteFor } from '../../parts/NoteFor';
import { OfSession } from '../../parts/OfSession';
import { RungMark } from '../../parts/RungMark';
import { Strip } from '../../parts/Strip';
import { Waiting } from '../../parts/Waiting';
import { AttendanceList } from './AttendanceList';
import { FinishAll } from './FinishAll';
import { GoneHome } from './GoneHome';
import { TogetherForm } from './TogetherForm';
import { SoreAfter } from './SoreAfter';
import { clsx } from 'clsx';

type Row = SquadAfter['rows'][number];

/** What did we all do, who moves on, what next? */
export function SquadAfterScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/after' });
    const after = useQuery({
        queryKey: ['squad-after', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}/after`),
    });
    if (!after.data) return <Waiting query={after} what="the session" />;
    return <Squad after={after.data} />;
}

function Squad({ after }: { after: SquadAfter }) {
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <OfSession session={after} />
                <h1 className="text-2xl">{after.open > 0 ? 'Finish, and what comes next' : 'What came of it'}</h1>
            </header>
            {after.rows.length === 0 && (
                <p className="py-4">Nothing was counted in this session yet. What is counted courtside stands here.</p>
            )}
            {after.open > 0 && <FinishAll after={after} />}
            {after.rows.length > 0 && (
                <>
                    <SoreAfter after={after} />
                    <Shared after={after} />
                    {after.decides && <TogetherForm after={after} />}
                    <Rows after={after} />
                    <AttendanceList attendance={after.attendance} />
                    <GoneHome sessionId={after.session_id} />
                    <section aria-label="For next time" className="mt-5">
                        <h2 className="border-b border-ink pb-0.5 text-base">For next time</h2>
                        <NoteFor sessionId={after.session_id} athleteId={null} name="the squad" notes={after.notes} />
                        {after.decides && (
                            <Link
                                to="/sessions/$sessionId/homework"
                                params={{ sessionId: after.session_id }}
                                className="btn mt-2"
                            >
                                Homework for all
                            </Link>
                        )}
                    </section>
                </>
            )}
            {after.not_counted.length > 0 && (
                <p className="mt-4 text-soft">
                    <span className="label">Nothing counted: </span>
                    {after.not_counted.map((athlete) => athlete.name).join(', ')}
                </p>
            )}
        </main>
    );
}

function Shared({ after: { shared } }: { after: SquadAfter }) {
    if (!shared) return null;
    return (
        <section aria-label="The fault most share" className="mt-4 border-l-4 border-tape pl-3">
            <p className="head text-lg">
                {shared.name}: {shared.who.join(', ')}
            </p>
            <p>
                {shared.times} times together. Begin the next session with it: “{shared.cue}.” {shared.drill}.
            </p>
        </section>
    );
}

const GROUPS: [Row['group'], string][] = [
    ['ready', 'Can move on'],
    ['watch', 'Nearly there'],
    ['stuck', 'More of the same does not open the gate'],
    ['return', 'On the way back'],
    ['rest', 'Rests what the rung loads'],
];

function Rows({ after }: { after: SquadAfter }) {
    return GROUPS.map(([group, label]) => {
        const rows = after.rows.filter((row) => row.group === group);
        return rows.length === 0 ? null : (
            <section key={group} aria-label={label} className="mt-5">
                <h2 className="border-b border-ink pb-0.5 text-base">{label}</h2>
                <ul>
                    {rows.map((row) => (
                        <Counted key={row.sheet.id} row={row} after={after} />
                    ))}
                </ul>
            </section>
        );
    });
}

const DECIDED: Record<string, string> = {
    advance: 'Advanced',
    repeat: 'Repeats this rung',
    step_back: 'Stepped back',
    pause: 'Paused',
    match_ready: 'Ready for a match',
};
const PROPOSED: Record<NonNullable<Row['proposed']>, string> = {
    advance: 'Advance',
    repeat: 'Repeat',
    hold: 'Hold',
    collect: 'Collect more',
    step_back: 'Step back',
    pause: 'Pause',
};

function Counted({ row, after }: { row: Row; after: SquadAfter }) {
    return (
        <li
            className={clsx(
                'grid gap-x-4 gap-y-1 border-b border-line py-2',
                'md:grid-cols-[13rem_11rem_1fr_13rem] md:items-center',
            )}
        >
            <div className="flex items-center gap-2">
                {row.rung && <RungMark rung={row.rung} />}
                <div className="min-w-0">
                    <Link
                        to="/sheets/$sheetId/after"
                        params={{ sheetId: row.sheet.id }}
                        className="head block truncate text-lg hover:underline"
                    >
                        {row.athlete.name}
                    </Link>
                    <span className="label block truncate">{row.rung?.rung_name ?? row.sheet.title}</span>
                </div>
            </div>
            <p className="text-sm leading-tight">
                <strong>{row.sheet.done_reps}</strong> of {row.sheet.planned_reps} planned
                <span className="block text-soft">
                    {row.observed === 0
                        ? 'none judged'
                        : `${row.good} of ${row.observed} good, ${percent(row.good / row.observed)}`}
                </span>
            </p>
            <div className="min-w-0 text-sm leading-tight">
                {row.strip !== '' && <Strip marks={row.strip.slice(-20)} length={20} height={16} />}
                {row.pattern && <p>{row.pattern}</p>}
                {row.why && <p className="text-soft">{row.proposed === null ? row.why : `Missing: ${row.why}`}</p>}
                {row.grew.map((each) => (
                    <p key={each} className="text-stop">
                        Soreness grew: {each}
                    </p>
                ))}
                <NoteFor
                    sessionId={after.session_id}
                    athleteId={row.athlete.id}
                    name={row.athlete.given_name}
                    notes={after.notes}
                />
            </div>
            <div className="flex items-center justify-between gap-2 md:justify-end">
                <p className="text-sm leading-tight md:text-right">
                    <span className={clsx('head', row.decided === null && 'text-soft')}>{standing(row)}</span>
                    <span className="label block">
                        {row.next_on ? `next ${dayName(row.next_on)}` : 'nothing planned'}
                    </span>
                </p>
                {after.decides && row.decided === null && !row.together && (
                    <Link to="/sheets/$sheetId/after" params={{ sheetId: row.sheet.id }} className="btn">
                        Decide
                    </Link>
                )}
            </div>
        </li>
    );
}

function standing(row: Row): string {
    if (row.decided !== null) return DECIDED[row.decided] ?? row.decided;
    return row.proposed === null ? '' : `Proposed: ${PROPOSED[row.proposed].toLowerCase()}`;
}
