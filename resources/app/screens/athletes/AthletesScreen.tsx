import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { clsx } from 'clsx';
import { useState } from 'react';
import { api, type Roster } from '../../api/client';
import { dayName } from '../../api/words';
import { finds } from '../../rules/find';
import { AthleteName } from '../../parts/AthleteName';
import { useMe } from '../../parts/Frame';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { MoveAthlete } from './MoveAthlete';

export type Row = Roster['athletes'][number];

/** Everybody: found by a few letters, moved between squads, retired and brought back. */
export function AthletesScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [typed, setTyped] = useState('');
    const [squad, setSquad] = useState<number | null>(null);
    const [retired, setRetired] = useState(false);
    const [moving, setMoving] = useState<string | null>(null);
    const query = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    if (!query.data) return <Waiting query={query} what="the athletes" />;
    const { athletes, squads } = query.data;
    const names = new Map(squads.map((each) => [each.id, each.name]));
    const squadsOf = (row: Row): string => row.squads.flatMap((id) => names.get(id) ?? []).join(', ');
    const gone = athletes.filter((row) => row.retired_on !== null).length;
    const shown = athletes.filter(
        (row) =>
            (row.retired_on !== null) === retired &&
            (squad === null || row.squads.includes(squad)) &&
            finds(typed, `${row.name} ${squadsOf(row)} ${row.ladders.join(' ')}`),
    );
    const moved = athletes.find((row) => row.id === moving);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">
                    {retired ? 'Retired' : 'Athletes'} <span className="label">{shown.length}</span>
                </h1>
                <input
                    type="search"
                    aria-label="Search the athletes"
                    placeholder="Name, squad, ladder or rung"
                    className="field w-full sm:w-72"
                    value={typed}
                    onChange={(event) => setTyped(event.target.value)}
                />
                {squads.length > 1 && (
                    <select
                        aria-label="Squad"
                        className="field w-44"
                        value={squad ?? ''}
                        onChange={(event) => setSquad(event.target.value === '' ? null : Number(event.target.value))}
                    >
                        <option value="">Every squad</option>
                        {squads.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.name}
                            </option>
                        ))}
                    </select>
                )}
                <span className="hidden grow sm:block" />
                <SaveList
                    name="athletes"
                    titles={['Name', 'Age', 'Throwing side', 'Squads', 'Ladders', 'Last worked', 'Away', 'Retired']}
                    rows={() =>
                        shown.map((row) => [
                            row.name,
                            row.age,
                            row.throwing_side,
                            squadsOf(row),
                            row.ladders.join('; '),
                            row.last_worked,
                            row.away,
                            row.retired_on,
                        ])
                    }
                />
                {(gone > 0 || retired) && (
                    <button type="button" className="btn btn-quiet" onClick={() => setRetired(!retired)}>
                        {retired ? 'Back to those who train' : `${gone} retired`}
                    </button>
                )}
                {me.decides && (
                    <>
                        <Link to="/spreadsheets" className="btn btn-quiet">
                            Bring in a spreadsheet
                        </Link>
                        <Link to="/people" className="btn">
                            Add an athlete
                        </Link>
                    </>
                )}
            </header>
            {shown.length === 0 && (
                <p className="border-t-2 border-ink py-8 text-soft">
                    {athletes.length === 0
                        ? 'Nobody yet. Add an athlete to a squad.'
                        : 'Nobody fits. Take a letter away, or choose another squad.'}
                </p>
            )}
            <ul className="border-t-2 border-ink">
                {shown.map((row) => (
                    <AthleteRow
                        key={row.id}
                        row={row}
                        squads={squadsOf(row)}
                        onMove={me.decides ? () => setMoving(row.id) : null}
                    />
                ))}
            </ul>
            {moved && (
                <MoveAthlete
                    athlete={moved}
                    squads={squads}
                    onClose={() => setMoving(null)}
                    onMoved={(roster) => {
                        queries.setQueryData(['roster'], roster);
                        void queries.invalidateQueries();
                        setMoving(null);
                    }}
                />
            )}
        </main>
    );
}

function AthleteRow({ row, squads, onMove }: { row: Row; squads: string; onMove: (() => void) | null }) {
    return (
        <li
            className={clsx(
                'grid grid-cols-[1fr_auto] items-center gap-x-5 border-b border-line py-1.5',
                'md:grid-cols-[13rem_11rem_1fr_13rem_auto]',
            )}
        >
            <span className="min-w-0">
                <AthleteName athlete={row} />
            </span>
            <span className="hidden min-w-0 truncate md:block" title={squads}>
                {squads || 'in no squad'}
            </span>
            <span className="col-start-1 row-start-2 min-w-0 truncate text-sm text-soft md:col-auto md:row-auto">
                {row.ladders.join(' · ') || 'on no ladder yet'}
            </span>
            <span className="hidden min-w-0 text-sm md:block">
                <States row={row} />
            </span>
            {onMove && (
                <button
                    type="button"
                    className="btn btn-quiet col-start-2 row-start-1 md:col-auto md:row-auto"
                    aria-label={`Squads of ${row.name}`}
                    onClick={onMove}
                >
                    {row.retired_on === null ? 'Move' : 'Bring back'}
                </button>
            )}
        </li>
    );
}

/** What a coach should know before planning for somebody; else when they last worked. */
function States({ row }: { row: Row }) {
    const worked = row.last_worked === null ? 'has not worked yet' : `last worked ${dayName(row.last_worked)}`;
    if (row.retired_on !== null) return <>retired {dayName(row.retired_on)}</>;
    const states = [
        row.incidents > 0 ? 'Incident open.' : '',
        row.restricted ? 'Restricted by a clinician.' : '',
        row.away ?? '',
    ].filter((each) => each !== '');
    return states.length === 0 ? (
        <span className="text-soft">{worked}</span>
    ) : (
        <span className="font-bold">{states.join(' ')}</span>
    );
}
