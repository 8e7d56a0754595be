import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type HeadroomGrid } from '../../api/client';
import { FELT, dayName, n, percent } from '../../api/words';
import { newId, type Work } from '../../offline/store';
import { Choice } from '../../parts/Choice';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Opens } from '../../parts/Opens';
import { TakeBackEntry } from '../../parts/TakeBackEntry';
import { Sheetlet } from '../../parts/Sheetlet';
import { Stepper } from '../../parts/Stepper';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { figure, picked, typed } from '../../parts/forms';

const WANTED_REPS = 20;

/** How many are left, at every effort and distance; and work that nobody planned, which takes from it. */
export function HowMany({ athleteId, skill: first, today }: { athleteId: string; skill: string; today: string }) {
    const me = useMe();
    const [skill, setSkill] = useState(first);
    const [reps, setReps] = useState(WANTED_REPS);
    const [logging, setLogging] = useState(false);
    const grid = useQuery({
        queryKey: ['headroom', athleteId, skill, reps],
        queryFn: () =>
            api('GET', `/api/athletes/${athleteId}/headroom?skill=${encodeURIComponent(skill)}&reps=${reps}`),
        placeholderData: (before) => before,
    });
    const logs = me.role !== 'clinician';
    return (
        <section aria-label="How many left">
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <h2 className="text-base">How many are left today</h2>
                {grid.data && (
                    <select
                        aria-label="Skill"
                        className="w-40 border-b border-soft bg-transparent py-1"
                        value={skill}
                        onChange={(event) => setSkill(event.target.value)}
                    >
                        <Options of={grid.data.skills} />
                    </select>
                )}
                <span className="inline-flex items-center gap-2">
                    <span className="label">wanted</span>
                    <Stepper
                        label="wanted repetitions"
                        value={reps}
                        shown={`${reps} reps`}
                        step={5}
                        least={5}
                        most={200}
                        onChange={setReps}
                    />
                </span>
                <span className="grow" />
                {me.records && (
                    <Link to="/athletes/$athleteId/match" params={{ athleteId }} className="opens head no-print">
                        Count a match
                    </Link>
                )}
                {logs && (
                    <button type="button" className="btn no-print" onClick={() => setLogging(true)}>
                        Log other work
                    </button>
                )}
            </div>
            <Notice problem={grid.error} />
            {grid.data && <Grid rows={grid.data.rows} wanted={reps} />}
            {grid.data && grid.data.logged.length > 0 && (
                <Logged all={grid.data.logged} athleteId={athleteId} takesBack={logs} />
            )}
            {grid.data && (
                <LogWork
                    open={logging}
                    onClose={() => setLogging(false)}
                    athleteId={athleteId}
                    skills={grid.data.skills}
                    skill={skill}
                    today={today}
                />
            )}
        </section>
    );
}

function LogWork({
    open,
    onClose,
    athleteId,
    skills,
    skill,
    today,
}: {
    open: boolean;
    onClose: () => void;
    athleteId: string;
    skills: HeadroomGrid['skills'];
    skill: string;
    today: string;
}) {
    const queries = useQueryClient();
    const [felt, setFelt] = useState<Work['felt']>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    return (
        <Sheetlet open={open} onClose={onClose} title="Work that nobody planned is load, too">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    api('POST', `/api/athletes/${athleteId}/logged-work`, {
                        id: id.current,
                        day: typed(form, 'day'),
                        source: picked<Work['source']>(form, 'source'),
                        skill: picked<Work['skill']>(form, 'skill'),
                        reps: Number(typed(form, 'reps')),
                        felt,
                        distance_m: figure(form, 'distance_m'),
                        side: picked<Work['side']>(form, 'side'),
                    }).then(() => {
                        id.current = newId();
                        setFelt(null);
                        setProblem(null);
                        onClose();
                        return queries.invalidateQueries();
                    }, setProblem);
                }}
            >
                <div className="grid grid-cols-2 gap-2">
                    <Labelled label="Where">
                        <select className="field" name="source">
                            <option value="here">here, beside the plan</option>
                            <option value="home">at home</option>
                            <option value="match">in a match</option>
                            <option value="other club">at another club</option>
                        </select>
                    </Labelled>
                    <LabelledInput label="Day" type="date" name="day" required max={today} defaultValue={today} />
                </div>
                <div className="grid grid-cols-2 gap-2">
                    <Labelled label="What">
                        <select className="field" name="skill" defaultValue={skill}>
                            <Options of={skills} />
                        </select>
                    </Labelled>
                    <LabelledInput label="How many" name="reps" inputMode="numeric" required />
                </div>
                <Choice
                    label="How hard? Left open, it counts as full."
                    of={FELT}
                    value={felt}
                    onChange={(chosen) => setFelt(felt === chosen ? null : chosen)}
                    columns={3}
                    thumb
                />
                <div className="grid grid-cols-2 gap-2">
                    <LabelledInput label="Distance, m, may be left open" name="distance_m" inputMode="decimal" />
                    <Labelled label="Side">
                        <select className="field" name="side">
                            <option value="dominant">throwing side</option>
                            <option value="other">other side</option>
                        </select>
                    </Labelled>
                </div>
                <Notice problem={problem} />
                <button className="btn btn-main">Save</button>
            </form>
        </Sheetlet>
    );
}

type Row = HeadroomGrid['rows'][number];
type Cell = Row['cells'][number];

const same = (one: Cell, other: Cell): boolean =>
    one.reps === other.reps && one.fits_on === other.fits_on && one.binding.join() === other.binding.join();

/** Rows one below the other that say the same are one row, from the least effort to the most. */
function told(rows: Row[]): { efforts: string; row: Row }[] {
    const groups: [from: Row, to: Row][] = [];
    for (const row of rows) {
        const last = groups.at(-1);
        if (last?.[1].cells.every((cell, i) => same(cell, row.cells[i] ?? cell)) ?? false) {
            groups.splice(-1, 1, [last?.[0] ?? row, row]);
        } else groups.push([row, row]);
    }
    return groups.map(([from, to]) => ({
        efforts:
            groups.length === 1
                ? 'any effort'
                : from === to
                  ? percent(from.effort)
                  : `${percent(from.effort)} to ${percent(to.effort)}`,
        row: to,
    }));
}

function Grid({ rows, wanted }: { rows: Row[]; wanted: number }) {
    const groups = told(rows);
    const distances = rows[0]?.cells ?? [];
    // Without distances there is one figure an effort: they stand side by side instead of down an empty page.
    if (distances.length === 1)
        return (
            <dl className="flex flex-wrap gap-x-8 gap-y-2 border-t border-ink pt-1" aria-label="Repetitions left">
                {groups.map(({ efforts, row }) => (
                    <div key={efforts}>
                        <dt className="label">{efforts}</dt>
                        <dd>
                            {row.cells.map((cell) => (
                                <Left key="any" efforts={efforts} cell={cell} wanted={wanted} />
                            ))}
                        </dd>
                    </div>
                ))}
            </dl>
        );
    return (
        <div className="overflow-x-auto">
            <table className="w-full border-t border-ink text-right">
                <caption className="sr-only">Repetitions left by effort and distance</caption>
                <thead>
                    <tr className="label">
                        <th className="py-1 text-left">Effort</th>
                        {distances.map((cell) => (
                            <th key={cell.distance_m} className="pl-2">
                                {n(cell.distance_m ?? 0)} m
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {groups.map(({ efforts, row }) => (
                        <tr key={efforts} className="border-t border-line">
                            <th scope="row" className="figure py-1 text-left">
                                {efforts}
                            </th>
                            {row.cells.map((cell) => (
                                <td key={cell.distance_m} className="pl-2">
                                    <Left efforts={efforts} cell={cell} wanted={wanted} />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

/** How many are left at one effort and distance, and which limit says so. */
function Left({ efforts, cell, wanted }: { efforts: string; cell: Cell; wanted: number }) {
    const short = cell.reps !== null && cell.reps < wanted;
    const are = cell.binding.length === 1 ? 'is' : 'are';
    const shown = cell.reps === null ? 'no limit' : cell.plenty ? 'plenty' : `${cell.reps}`;
    const distance = cell.distance_m === null ? '' : `, ${n(cell.distance_m)} m`;
    return (
        <>
            <Opens
                label={`${efforts}${distance}: ${shown}. Which limit?`}
                className="figure px-1 py-1 text-lg underline decoration-dotted underline-offset-4"
                content={
                    <p>
                        {cell.reps === null ? (
                            'No limit is set for this work.'
                        ) : (
                            <>
                                <strong>{cell.plenty ? 'Plenty.' : `${cell.reps} left.`}</strong> Then{' '}
                                {cell.binding.join(' and ').toLowerCase()} {are} full.{' '}
                                {short
                                    ? cell.fits_on === null
                                        ? `${wanted} fit on none of the next five weeks’ days.`
                                        : `${wanted} fit first on ${dayName(cell.fits_on, true)}.`
                                    : `${wanted} fit today.`}
                            </>
                        )}
                    </p>
                }
            >
                <span className={cell.reps === 0 ? 'text-stop' : short ? 'text-reduced' : ''}>{shown}</span>
            </Opens>
            {short && cell.fits_on !== null && <span className="block text-sm text-soft">{dayName(cell.fits_on)}</span>}
        </>
    );
}

function Logged({ all, athleteId, takesBack }: { all: HeadroomGrid['logged']; athleteId: string; takesBack: boolean }) {
    return (
        <ul className="mt-2">
            {all.map((each) => (
                <li key={each.id} className="flex items-center gap-3 border-t border-line">
                    <span className="label w-20 shrink-0">{dayName(each.day)}</span>
                    <span className="grow">
                        {each.sentence}{' '}
                        <span className="text-soft">
                            arm {n(each.arm)}, landings {n(each.landings)}
                        </span>
                    </span>
                    {takesBack && (
                        <TakeBackEntry
                            what={`${each.sentence}, ${dayName(each.day)}`}
                            reps={each.reps}
                            takeBack={(body) =>
                                api('POST', `/api/athletes/${athleteId}/logged-work/${each.id}/take-back`, body)
                            }
                        />
                    )}
                </li>
            ))}
        </ul>
    );
}
