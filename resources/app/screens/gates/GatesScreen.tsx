import { useQuery } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Gates } from '../../api/client';
import { percent } from '../../api/words';
import { GateHeadline, GateTable } from '../../parts/GateTable';
import { LibraryProblems } from '../../parts/LibraryProblems';
import { Opens } from '../../parts/Opens';
import { RungMark } from '../../parts/RungMark';
import { SquadChoice } from '../../parts/SquadChoice';
import { Strip } from '../../parts/Strip';
import { WordMark } from '../../parts/WordMark';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

type Row = Gates['rows'][number];
const GROUPS: [group: Row['group'], title: string, about: string][] = [
    ['ready', 'Ready', 'Mechanics and load pass; the decision is yours.'],
    ['watch', 'Watch next', 'Where six judged repetitions decide most, first.'],
    ['stuck', 'Stuck', 'What each waits for, or where a step back may help.'],
    ['rest', 'Too sore for this today', 'Nothing of what the rung loads is for today.'],
    ['return', 'On the way back', 'The stages decide, not the ladder.'],
];

const CHANCE = 'Chance that six more judged repetitions open the mechanics, or ask for a step back';

/** Who is ready, who is stuck and why, whom to watch next? */
export function GatesScreen() {
    const [squad, setSquad] = useState<number | null>(null);
    const query = useQuery({
        queryKey: ['gates', squad],
        queryFn: () => api('GET', '/api/gates', undefined, { query: { squad } }),
    });
    if (!query.data) return <Waiting query={query} what="the gates" />;
    const { rows } = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 py-3">
                <h1 className="text-2xl">
                    Gates, <SquadChoice squad={query.data.squad} squads={query.data.squads} onChange={setSquad} />
                </h1>
                <span className="grow" />
                <SaveList
                    name="gates"
                    titles={['Name', 'Word', 'Ladder', 'Rung', 'Days on it', 'Gate', 'Why']}
                    rows={() =>
                        rows.map((row) => [
                            row.athlete.name,
                            row.word,
                            row.rung.ladder_name,
                            row.rung.rung_name,
                            row.days,
                            row.gate.headline,
                            row.why,
                        ])
                    }
                />
            </header>
            <LibraryProblems problems={query.data.problems} />
            {rows.length === 0 && (
                <p className="text-lg">Nobody stands on a ladder yet. Place an athlete under Intake.</p>
            )}
            {GROUPS.map(([group, title, about]) => {
                const of = rows.filter((row) => row.group === group);
                return of.length === 0 ? null : (
                    <section key={group} aria-label={title} className="mb-6">
                        <h2 className="border-b-2 border-ink pb-1 text-base">
                            {title}{' '}
                            <span className="label">
                                {of.length} · {about}
                            </span>
                        </h2>
                        {of.map((row) => (
                            <div
                                key={`${row.athlete.id} ${row.rung.ladder}`}
                                className={clsx(
                                    'grid grid-cols-1 items-center gap-x-5 gap-y-1 border-b border-line py-1.5',
                                    'md:grid-cols-[10rem_8rem_1.3fr_1.6fr_10rem]',
                                )}
                            >
                                <Link
                                    to="/athletes/$athleteId"
                                    params={{ athleteId: row.athlete.id }}
                                    className="head truncate hover:underline"
                                >
                                    {row.athlete.name}
                                </Link>
                                <WordMark word={row.word} size={14} />
                                <span className="flex min-w-0 items-center gap-2">
                                    <RungMark rung={row.rung} />
                                    <span className="min-w-0">
                                        <span className="block truncate">{row.rung.rung_name}</span>
                                        <span className="label block truncate">
                                            {row.rung.ladder_name}, {row.days} {row.days === 1 ? 'day' : 'days'}
                                        </span>
                                    </span>
                                </span>
                                <span className="min-w-0">
                                    <Opens
                                        label={`${row.athlete.given_name}: ${row.gate.headline}. The evidence`}
                                        className="opens block max-w-full truncate"
                                        content={
                                            <>
                                                <GateHeadline gate={row.gate} className="mb-2" />
                                                <GateTable criteria={row.gate.criteria} />
                                            </>
                                        }
                                    >
                                        {row.gate.headline}
                                    </Opens>
                                    {row.match_ready && (
                                        <span className="block truncate text-sm">
                                            Match ready since {row.match_ready}
                                        </span>
                                    )}
                                    {row.agreement && (
                                        <span className="block truncate text-sm text-reduced">{row.agreement}</span>
                                    )}
                                    {row.why && (
                                        <span className="block truncate text-sm text-soft" title={row.why}>
                                            {row.why}
                                        </span>
                                    )}
                                </span>
                                <span className="flex items-center gap-2">
                                    <Strip marks={row.gate.strip} height={15} />
                                    {group === 'watch' && (
                                        <span className="label" title={CHANCE}>
                                            {row.steps_back > row.opens
                                                ? `back ${percent(row.steps_back)}`
                                                : `opens ${percent(row.opens)}`}
                                        </span>
                                    )}
                                </span>
                            </div>
                        ))}
                    </section>
                );
            })}
            <SameEyes rows={query.data.agreements} />
            <p className="label max-w-prose">
                “Opens” is the chance that six more repetitions like those seen pass the mechanics: whom to look at,
                never whom to advance.
            </p>
        </main>
    );
}

/** Do we see the same? Who judged the same repetitions, and how far they agree. */
function SameEyes({ rows }: { rows: Gates['agreements'] }) {
    return (
        <section aria-label="Do we see the same?" className="mb-6">
            <h2 className="border-b-2 border-ink pb-1 text-base">
                Do we see the same? <span className="label">two who judged the same repetitions, the last 60 days</span>
            </h2>
            {rows.length === 0 ? (
                <p className="py-1.5 text-soft">
                    Nobody has judged along yet. Courtside, under the athlete’s name: one counts, one judges along on
                    another device.
                </p>
            ) : (
                rows.map((row) => (
                    <div
                        key={row.who}
                        className="grid grid-cols-1 gap-x-5 border-b border-line py-1.5 md:grid-cols-[18rem_1fr_1.2fr]"
                    >
                        <span className="head">{row.who}</span>
                        <span>
                            {row.same} of {row.both} alike
                            {row.kappa !== null && (
                                <Opens
                                    label={`How sure, of ${row.who}`}
                                    className="ml-2 underline decoration-dotted underline-offset-4"
                                    content={
                                        <p>
                                            {row.kappa.toFixed(2)} above what chance would give, between{' '}
                                            {row.low?.toFixed(2)} and {row.high?.toFixed(2)}. 1 is always alike, 0 is
                                            chance.
                                        </p>
                                    }
                                >
                                    how sure?
                                </Opens>
                            )}
                        </span>
                        <span className={row.weak ? 'text-reduced' : 'text-soft'}>
                            {!row.enough
                                ? 'Too few to tell.'
                                : row.weak
                                  ? 'Weak: look together before you decide.'
                                  : 'You agree well.'}
                            {row.splits_on ? ` They split on ${row.splits_on}.` : ''}
                        </span>
                    </div>
                ))
            )}
        </section>
    );
}
