import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type LibraryLadder, type LibraryRow } from '../../api/client';
import { Figure } from '../../parts/Figure';
import { HandSwitch, type Hand } from '../../parts/HandSwitch';
import { useMe } from '../../parts/Frame';
import { saveText } from '../../parts/saveFile';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { definitionOf } from './definition';
import type { GateDef } from './definition';
import { GateDoes } from './GateDoes';
import { RungPage } from './RungPage';
import { ImportLadders } from './ImportLadders';

const FAMILIES: [family: string, name: string][] = [
    ['throw', 'Throws'],
    ['serve', 'Serves'],
    ['strike', 'Strikes'],
    ['pass', 'Passes and touch serves'],
    ['jump', 'Jumps and landings'],
];

/** Every ladder; what is typed is looked for in faults, cues, drills and rungs. */
export function LibraryScreen() {
    const me = useMe();
    const [wanted, setWanted] = useState('');
    const query = useQuery({
        queryKey: ['library'],
        queryFn: () => api('GET', '/api/library'),
        staleTime: 60_000,
    });
    if (!query.data) return <Waiting query={query} what="the library" />;
    const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
    const found = query.data.filter((row) => words.every((word) => row.words.includes(word)));
    const hit = (row: LibraryRow): string | null =>
        words.length === 0
            ? null
            : (row.words
                  .split(' | ')
                  .slice(2)
                  .find((part) => words.some((word) => part.includes(word))) ?? null);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <div className="w-full sm:w-auto sm:max-w-md">
                    <h1 className="text-2xl">Library</h1>
                    <p className="mt-1 text-soft">
                        How each skill is built, rung by rung, and mended. Open one to read it, or to edit a copy in
                        your own words.
                    </p>
                </div>
                <span className="hidden grow sm:block" />
                <Link to="/library/drills" className="btn">
                    Drills
                </Link>
                <Link to="/library/sizes" className="btn">
                    Sizes
                </Link>
                <Link to="/library/flight" className="btn">
                    Balls and courts
                </Link>
                {me.decides && me.squads[0] && (
                    <Link to="/squads/$squadId/schools" params={{ squadId: String(me.squads[0].id) }} className="btn">
                        Schools
                    </Link>
                )}
                {me.decides && me.squads[0] && (
                    <Link
                        to="/squads/$squadId/what-helped"
                        params={{ squadId: String(me.squads[0].id) }}
                        className="btn"
                    >
                        What helped
                    </Link>
                )}
                {me.decides && <ImportLadders />}
                <label className="grid w-full gap-1 sm:w-80">
                    <span className="label">Look for a fault, a cue, a drill, a rung</span>
                    <input
                        className="field"
                        type="search"
                        placeholder="elbow drops"
                        value={wanted}
                        onChange={(event) => setWanted(event.target.value)}
                    />
                </label>
            </header>
            <p role="status" className="label">
                {words.length > 0 ? `${found.length} of ${query.data.length} ladders` : `${query.data.length} ladders`}
            </p>
            <div className="grid gap-x-12 gap-y-6 pt-2 lg:grid-cols-2">
                {FAMILIES.map(([family, name]) => {
                    const rows = found.filter((row) => row.family === family);
                    return rows.length === 0 ? null : (
                        <section key={family} aria-label={name}>
                            <h2 className="border-b-2 border-ink pb-1 text-base">{name}</h2>
                            <ul>
                                {rows.map((row) => (
                                    <li key={row.id}>
                                        <Link
                                            to="/library/$ladderId"
                                            params={{ ladderId: row.id }}
                                            className="block border-b border-line py-2 hover:bg-faint"
                                        >
                                            <span className="flex items-baseline justify-between gap-3">
                                                <span className="head text-lg">{row.name}</span>
                                                <span className="label">
                                                    {row.own ? 'our own · ' : ''}
                                                    {row.rungs} rungs
                                                </span>
                                            </span>
                                            <span className="block text-sm text-soft">{row.summary}</span>
                                            {hit(row) && (
                                                <span className="mt-0.5 block border-l-4 border-tape pl-2 text-sm">
                                                    {hit(row)}
                                                </span>
                                            )}
                                        </Link>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    );
                })}
            </div>
            {found.length === 0 && (
                <p className="py-6 text-lg">No ladder says that. Try a shorter word: “elbow” or “toss”.</p>
            )}
        </main>
    );
}

/** A ladder, read like a page of a manual. */
export function LadderPage() {
    const { ladderId } = useParams({ from: '/frame/library/$ladderId' });
    const me = useMe();
    const [hand, setHand] = useState<Hand>('right');
    const [version, setVersion] = useState<number | null>(null);
    const query = useQuery({
        queryKey: ['library', ladderId, hand, version],
        queryFn: () =>
            api('GET', `/api/library/${ladderId}?hand=${hand}${version === null ? '' : `&version=${version}`}`),
        placeholderData: (before) => before,
    });
    if (!query.data) return <Waiting query={query} what="the ladder" />;
    const ladder = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <LadderHead ladder={ladder} hand={hand} onHand={setHand} onVersion={setVersion} />
            {ladder.own && ladder.copied_from && me.decides && (
                <Adopt ladderId={ladderId} from={ladder.copied_from} squads={me.squads} />
            )}
            {ladder.figures.length > 0 && (
                <section
                    aria-label="Key positions"
                    className="grid grid-cols-2 gap-4 border-b border-line py-3 md:grid-cols-4"
                >
                    {ladder.figures.map((pose) => (
                        <Figure key={pose.name} pose={pose} />
                    ))}
                </section>
            )}
            <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[1fr_25rem]">
                <Rungs ladderId={ladderId} rungs={ladder.rungs} />
                <Beside ladder={ladder} />
            </div>
        </main>
    );
}

/** The ladder as a file on this device, to share or to edit elsewhere. */
async function exportFile(ladderId: string): Promise<void> {
    const file = await api('GET', `/api/library/${ladderId}/definition`);
    saveText(`${ladderId}.json`, 'application/json', `${JSON.stringify(file.definition, null, 2)}\n`);
}

/** Moves a squad from the ladder a copy began as onto the copy, rung by rung. */
function Adopt({ ladderId, from, squads }: { ladderId: string; from: string; squads: { id: number; name: string }[] }) {
    const queries = useQueryClient();
    const [said, setSaid] = useState<string[]>([]);
    const [problem, setProblem] = useState<unknown>(null);
    const move = (squad: number): void => {
        api('POST', `/api/squads/${squad}/ladders/${ladderId}`).then((answer) => {
            setSaid(answer.sentences);
            setProblem(null);
            void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'library' });
        }, setProblem);
    };
    return (
        <section
            aria-label="Who climbs it"
            className="no-print flex flex-wrap items-center gap-2 border-b border-line py-2"
        >
            <p className="text-soft">
                Who stands on “{from}” can go on here, on the same rung; evidence is collected anew.
            </p>
            <span className="grow" />
            {squads.map((squad) => (
                <button key={squad.id} type="button" className="btn" onClick={() => move(squad.id)}>
                    Move {squad.name}
                </button>
            ))}
            <Notice problem={problem} />
            {said.length > 0 && (
                <ul role="status" className="w-full border-l-4 border-full pl-2">
                    {said.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function LadderHead({
    ladder,
    hand,
    onHand,
    onVersion,
}: {
    ladder: LibraryLadder;
    hand: Hand;
    onHand: (hand: Hand) => void;
    onVersion: (version: number) => void;
}) {
    const me = useMe();
    const exported = useMutation({ mutationFn: exportFile });
    return (
        <header className="flex flex-wrap items-end gap-4 border-b-2 border-ink py-3">
            <div className="max-w-prose">
                <p className="label">
                    <Link to="/library" className="hover:underline">
                        Library
                    </Link>{' '}
                    ·{' '}
                    {ladder.versions.length > 1 ? (
                        <label>
                            version{' '}
                            <select
                                aria-label="Version"
                                className="bg-transparent underline decoration-dotted"
                                value={ladder.version}
                                onChange={(event) => onVersion(Number(event.target.value))}
                            >
                                {ladder.versions.map((each) => (
                                    <option key={each.version} value={each.version}>
                                        {each.version}, {each.by}
                                    </option>
                                ))}
                            </select>
                        </label>
                    ) : (
                        `version ${ladder.version}`
                    )}
                    {ladder.own ? ` · our own${ladder.copied_from ? `, from ${ladder.copied_from}` : ''}` : ''}
                    {ladder.needs.length > 0 ? ` · builds on ${ladder.needs.join('; ')}` : ''}
                </p>
                <h1 className="text-2xl">{ladder.name}</h1>
                <p>{ladder.summary}</p>
                {ladder.sizes && (
                    <p className="text-soft">
                        <Link to="/library/sizes" className="hover:underline">
                            {ladder.sizes}
                        </Link>
                    </p>
                )}
                {ladder.taught.map((said) => (
                    <p key={said} className="mt-1 border-l-4 border-tape pl-2">
                        Taught another way to {said}
                    </p>
                ))}
            </div>
            <span className="grow" />
            <HandSwitch hand={hand} onHand={onHand} />
            <button type="button" className="btn btn-quiet no-print" onClick={() => window.print()}>
                Print
            </button>
            <button
                type="button"
                className="btn btn-quiet no-print"
                disabled={exported.isPending}
                onClick={() => exported.mutate(ladder.id)}
            >
                Export
            </button>
            {ladder.own && (
                <Link
                    to="/library/$ladderId/compare"
                    params={{ ladderId: ladder.id }}
                    className="btn btn-quiet no-print"
                >
                    Compare
                </Link>
            )}
            {me.decides && (
                <Link to="/library/$ladderId/edit" params={{ ladderId: ladder.id }} className="btn btn-main no-print">
                    {ladder.own ? 'Edit' : 'Edit a copy'}
                </Link>
            )}
            <Notice problem={exported.error} />
        </header>
    );
}

/** The gates of the rungs as the file has them, by rung. */
function useGates(ladderId: string): Record<string, GateDef> {
    const { data } = useQuery({
        queryKey: ['ladder-file', ladderId],
        queryFn: () => api('GET', `/api/library/${ladderId}/definition`),
    });
    return data === undefined
        ? {}
        : Object.fromEntries(definitionOf(data).rungs.map((rung) => [rung.id, rung.gate ?? {}]));
}

function Rungs({ ladderId, rungs }: { ladderId: string; rungs: LibraryLadder['rungs'] }) {
    const gates = useGates(ladderId);
    return (
        <section aria-label="Rungs">
            <h2 className="border-b-2 border-ink pb-1 text-base">Rungs, from the foot up</h2>
            <ol>
                {rungs.map((rung, i) => (
                    <li key={rung.id} className="break-inside-avoid border-b border-line py-2.5">
                        <RungPage rung={rung} nth={i + 1} />
                        <p className="text-sm text-soft">
                            To go on: {rung.gate} <GateDoes gate={gates[rung.id] ?? {}} about={rung.name} />
                        </p>
                    </li>
                ))}
            </ol>
        </section>
    );
}

function Beside({ ladder }: { ladder: LibraryLadder }) {
    return (
        <aside className="grid content-start gap-6">
            <section aria-label="Cautions" className="border-l-4 border-stop pl-3">
                <h2 className="text-base">Before anyone starts</h2>
                <ul className="list-disc pl-4">
                    {ladder.cautions.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            </section>
            {ladder.seated && (
                <section aria-label="From a chair">
                    <h2 className="border-b-2 border-ink pb-1 text-base">From a chair</h2>
                    <p className="py-1">{ladder.seated.set_up}</p>
                    {ladder.seated.without.length > 0 && (
                        <p className="text-soft">Not looked at: {ladder.seated.without.join(', ').toLowerCase()}.</p>
                    )}
                    <p className="text-sm text-soft">
                        Chosen for an athlete or a squad under Schools. Loads and limits stay as they are on the feet.
                    </p>
                </section>
            )}
            <section aria-label="Checkpoints">
                <h2 className="border-b-2 border-ink pb-1 text-base">What good looks like</h2>
                <dl>
                    {ladder.checkpoints.map((each) => (
                        <div key={each.name} className="border-b border-line py-1">
                            <dt className="head">{each.name}</dt>
                            <dd className="text-soft">
                                {each.good}
                                {each.variants.length > 0 && (
                                    <span className="block">
                                        {each.variants.join(', or: ').replace(/^/, 'Either: ')}
                                    </span>
                                )}
                            </dd>
                        </div>
                    ))}
                </dl>
            </section>
            {ladder.tags.length > 0 && (
                <section aria-label="Tags">
                    <h2 className="border-b-2 border-ink pb-1 text-base">Tagged besides, and what many tell</h2>
                    {ladder.tags.map((tag) => (
                        <p key={tag.id} className="border-b border-line py-1">
                            <span className="head">{tag.name}.</span> <span className="text-soft">{tag.means}</span>
                        </p>
                    ))}
                </section>
            )}
            <section aria-label="Faults">
                <h2 className="border-b-2 border-ink pb-1 text-base">Faults, and what mends them</h2>
                {ladder.faults.map((each) => (
                    <div key={each.name} className="flow-root border-b border-line py-1">
                        {each.picture && (
                            <div className="float-right ml-2">
                                <Figure pose={each.picture} small />
                            </div>
                        )}
                        <p>
                            <span className="head">{each.name}</span>
                            {each.safety && <span className="label ml-2 text-stop">can hurt</span>}{' '}
                            <span className="label">{each.checkpoint}</span>
                        </p>
                        <p>
                            “{each.cue}” <span className="text-soft">{each.drill}.</span>
                        </p>
                        {each.how && (
                            <p className="text-sm">
                                {each.how}
                                {each.dose && <span className="text-soft"> {each.dose}.</span>}
                                {each.stop && <strong className="font-normal text-soft"> Stop: {each.stop}</strong>}
                            </p>
                        )}
                    </div>
                ))}
            </section>
        </aside>
    );
}
