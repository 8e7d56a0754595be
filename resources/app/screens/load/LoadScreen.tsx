import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Load } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { Lanes } from './Lanes';
import { WhatIf } from './WhatIf';

const SPANS = [
    [70, 'ten weeks'],
    [182, 'half a year'],
    [365, 'a year'],
] as const;

const LOAD_TITLES = [
    'Day',
    'Arm units',
    'Hand units',
    'Trunk units',
    'Landing units',
    'Hard repetitions',
    'Metres',
    'Arm units planned',
    'Landing units planned',
    'Arm units of seven days',
    'Worst soreness',
];

/** What did it cost, what is left, on which limit, and what if? */
export function LoadScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/load' });
    const [span, setSpan] = useState<number>(70);
    const [chosen, setChosen] = useState<string | null>(null);
    const query = useQuery({
        queryKey: ['load', athleteId, span],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/load?days=${span}`),
        placeholderData: (before) => before,
    });
    if (!query.data) return <Waiting query={query} what="the load" />;
    const load = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-6 gap-y-1 border-b border-line py-3">
                <div>
                    <p className="label">
                        <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                            {load.athlete.name}
                        </Link>
                        , {load.athlete.age ?? 'age not known'}
                    </p>
                    <h1 className="text-2xl">Load</h1>
                </div>
                <span className="grow" />
                <SaveList
                    name={`load of ${load.athlete.name}`}
                    titles={LOAD_TITLES}
                    rows={() =>
                        load.days.map((day) => [
                            day.date,
                            day.arm,
                            day.hand,
                            day.trunk,
                            day.landings,
                            day.high_reps,
                            day.metres,
                            day.planned_arm,
                            day.planned_landings,
                            day.week,
                            day.soreness,
                        ])
                    }
                />
                <span role="group" aria-label="How far back" className="flex gap-4">
                    {SPANS.map(([days, label]) => (
                        <button
                            key={days}
                            type="button"
                            aria-pressed={span === days}
                            className={span === days ? 'head border-b-2 border-ink' : 'head text-soft'}
                            onClick={() => setSpan(days)}
                        >
                            {label}
                        </button>
                    ))}
                </span>
            </header>
            <div className="grid gap-x-10 gap-y-6 pt-3 lg:grid-cols-[1fr_23rem]">
                <div className="min-w-0">
                    <p className="label">
                        inked: done · hatched: planned · line: the day’s cap. Choose a day for its sets.
                    </p>
                    <Lanes load={load} chosen={chosen} onChoose={setChosen} />
                    {chosen && <Day athleteId={athleteId} day={chosen} load={load} />}
                </div>
                <aside className="grid content-start gap-6">
                    <WhatIf athleteId={athleteId} load={load} />
                    {load.protect && (
                        <section aria-label="Before the match">
                            <h2 className="border-b-2 border-ink pb-1 text-base">
                                Before {load.protect.title}, {dayName(load.protect.date)}
                            </h2>
                            <p className="text-sm text-soft">
                                The most of {load.protect.dose} on each day alone, beside what is planned, when the
                                match keeps its own.
                            </p>
                            <table className="w-full">
                                <tbody>
                                    {load.protect.days.map((day) => (
                                        <tr key={day.date} className="border-b border-line">
                                            <td className="py-1">{dayName(day.date)}</td>
                                            <td className="figure text-right text-lg">
                                                {day.reps === null ? 'ample' : day.reps}
                                            </td>
                                            <td className="pl-3 text-sm text-soft">
                                                {day.binding.slice(0, 2).join(', ').toLowerCase()}
                                            </td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        </section>
                    )}
                    {load.honest.length > 0 && (
                        <section aria-label="Honest effort">
                            <h2 className="border-b-2 border-ink pb-1 text-base">Asked and done</h2>
                            {load.honest.map((each) => (
                                <p key={each.skill} className="border-b border-line py-1">
                                    <span className="head">{each.skill}.</span> {each.sentence}
                                </p>
                            ))}
                        </section>
                    )}
                    <section aria-label="The year">
                        <h2 className="border-b-2 border-ink pb-1 text-base">The year</h2>
                        {load.year.map((each) => (
                            <p key={each} className="border-b border-line py-1">
                                {each}
                            </p>
                        ))}
                    </section>
                </aside>
            </div>
        </main>
    );
}

function Day({ athleteId, day, load }: { athleteId: string; day: string; load: Load }) {
    const query = useQuery({
        queryKey: ['day', athleteId, day],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/days/${day}`),
    });
    const planned = load.days.find((each) => each.date === day);
    if (query.error) return <Notice problem={query.error} />;
    return (
        <section aria-label="The day" className="mt-3">
            <h2 className="border-b-2 border-ink pb-1 text-base">{dayName(day, true)}</h2>
            {planned && planned.planned_arm + planned.planned_landings > 0 && (
                <p>
                    Planned: arm {n(planned.planned_arm)}, landings {n(planned.planned_landings)} units.
                </p>
            )}
            {query.data && query.data.sets.length === 0 && <p className="text-soft">Nothing recorded.</p>}
            {query.data && query.data.sets.length > 0 && (
                <table className="w-full text-right">
                    <thead>
                        <tr className="label">
                            <th className="py-1 text-left">What</th>
                            <th>Reps</th>
                            <th>Dose</th>
                            <th>Arm</th>
                            <th>Hand</th>
                            <th>Trunk</th>
                            <th>Landings</th>
                        </tr>
                    </thead>
                    <tbody>
                        {query.data.sets.map((set, i) => (
                            <tr key={i} className="border-t border-line">
                                <td className="py-1 text-left">
                                    {set.what}
                                    {set.side === 'other' ? ', other side' : ''}{' '}
                                    <span className="label">
                                        {set.source}
                                        {set.estimated ? ', an estimate' : ''}
                                    </span>
                                </td>
                                <td>{set.reps}</td>
                                <td className="whitespace-nowrap">
                                    {set.effort === null ? 'not known: full' : percent(set.effort)}
                                    {set.distance_m === null ? '' : `, ${n(set.distance_m)} m`}
                                </td>
                                <td>{n(set.arm)}</td>
                                <td>{n(set.hand)}</td>
                                <td>{n(set.trunk)}</td>
                                <td>{n(set.landings)}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {query.data?.sessions.map((each) => (
                <p key={each} className="text-soft">
                    {each}
                </p>
            ))}
        </section>
    );
}
