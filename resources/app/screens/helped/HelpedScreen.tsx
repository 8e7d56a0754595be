import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../../api/client';
import { dayName } from '../../api/words';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

const WIDTH = 220;
const points = (share: number): number => Math.round(100 * share);

/** Which thought, grip, stance or feed went with the better repetitions? */
export function HelpedScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/what-helped' });
    const [wanted, setWanted] = useState('');
    const query = useQuery({
        queryKey: ['helped', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/what-helped`),
    });
    if (!query.data) return <Waiting query={query} what="what was tried" />;
    const { athlete, warnings } = query.data;
    const rows = query.data.rows.filter((row) =>
        `${row.tried} ${row.ladder_name} ${row.rung_name}`.toLowerCase().includes(wanted.toLowerCase()),
    );
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 py-3">
                <div>
                    <p className="label">
                        <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                            {athlete.name}
                        </Link>
                    </p>
                    <h1 className="text-2xl">What helped</h1>
                    <p className="text-soft">
                        Repetitions with something tried against those without, on the same rung. Said only where the
                        interval leaves no doubt.
                    </p>
                </div>
                <span className="grow" />
                <label className="grid w-full gap-1 sm:w-72">
                    <span className="label">Look for a cue, a grip, a rung</span>
                    <input
                        className="field"
                        type="search"
                        value={wanted}
                        onChange={(event) => setWanted(event.target.value)}
                    />
                </label>
            </header>
            {warnings.length > 0 && (
                <ul className="mb-3 border-l-4 border-reduced bg-page px-3 py-2">
                    {warnings.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            )}
            {query.data.rows.length === 0 && (
                <p className="py-4 text-lg">
                    Nothing was tried on purpose yet. Courtside, “Try” says what is different from now on: a cue, a
                    grip, a stance, a feed. One thing at a time.
                </p>
            )}
            {rows.map((row) => (
                <Tried
                    key={row.tried + row.rung_name}
                    name={row.tried}
                    about={`${row.rung_name}, ${row.ladder_name} · ${
                        row.first_day === row.last_day
                            ? dayName(row.first_day)
                            : `${dayName(row.first_day)} to ${dayName(row.last_day)}`
                    }`}
                    sentence={row.sentence}
                    says={row.says}
                    found={
                        row.difference == null || row.low == null || row.high == null
                            ? null
                            : { difference: row.difference, low: row.low, high: row.high }
                    }
                />
            ))}
        </main>
    );
}

type Found = { difference: number; low: number; high: number };

const TOLD = { better: 'font-bold text-full', worse: 'font-bold text-stop', 'too few to tell': 'text-soft' };

/** One thing that was tried; in bold where its interval leaves no doubt. */
function Tried({
    name,
    about,
    sentence,
    says,
    found,
}: {
    name: string;
    about: string;
    sentence: string;
    says: 'better' | 'worse' | 'too few to tell' | null;
    found: Found | null;
}) {
    return (
        <article
            className={clsx(
                'grid items-center gap-x-6 gap-y-1 border-b border-line py-2',
                'md:grid-cols-[1.2fr_2fr_15rem]',
            )}
        >
            <div>
                <h2 className="text-base">{name}</h2>
                <p className="label">{about}</p>
            </div>
            <p className={TOLD[says ?? 'too few to tell']}>{sentence}</p>
            {found && <Interval difference={found.difference} low={found.low} high={found.high} />}
        </article>
    );
}

function Interval({ difference, low, high }: Found) {
    return (
        <svg
            viewBox={`0 0 ${WIDTH} 26`}
            className="block w-full"
            role="img"
            aria-label={`Difference in points: ${points(low)} to ${points(high)}`}
        >
            <path d={`M0 13H${WIDTH}`} stroke="var(--color-line)" />
            <path d={`M${WIDTH / 2} 2V24`} stroke="var(--color-ink)" />
            <path
                d={`M${(WIDTH / 2) * (1 + low)} 13H${(WIDTH / 2) * (1 + high)}`}
                stroke="var(--color-ink)"
                strokeWidth="5"
            />
            <circle
                cx={(WIDTH / 2) * (1 + difference)}
                cy="13"
                r="5.5"
                fill="var(--color-tape)"
                stroke="var(--color-ink)"
                strokeWidth="1.5"
            />
        </svg>
    );
}

/** What several athletes of the squad tried, taken together. */
export function SquadHelpedScreen() {
    const { squadId } = useParams({ from: '/frame/squads/$squadId/what-helped' });
    const query = useQuery({
        queryKey: ['helped', 'squad', squadId],
        queryFn: () => api('GET', `/api/squads/${squadId}/what-helped`),
    });
    if (!query.data) return <Waiting query={query} what="what was tried" />;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="max-w-prose py-3">
                <p className="label">
                    <Link to="/library" className="hover:underline">
                        Library
                    </Link>
                </p>
                <h1 className="text-2xl">What helped, over the squad</h1>
                <p className="text-soft">
                    One difference for each athlete who tried it, all taken together. Each may answer to it differently;
                    where few tried it, it says so.
                </p>
            </header>
            {query.data.length === 0 && (
                <p className="py-4 text-lg">
                    Nothing was tried on purpose yet. Courtside, “Try” says what is different from now on.
                </p>
            )}
            {query.data.map((row) => (
                <Tried
                    key={row.tried + row.ladder_name}
                    name={row.tried}
                    about={`${row.ladder_name} · ${row.athletes.join(', ')}`}
                    sentence={row.sentence}
                    says={row.says}
                    found={row}
                />
            ))}
        </main>
    );
}
