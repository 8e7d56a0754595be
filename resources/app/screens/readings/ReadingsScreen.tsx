import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type SessionReadings } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { clsx } from 'clsx';

type Reading = SessionReadings['readings'][number];
type Said = { readings: string[]; rep_id: string | null; word: 'aside' | 'counts' | null };

const clock = (atS: number): string =>
    new Date(1000 * atS).toLocaleTimeString([], {
        hour: '2-digit',
        minute: '2-digit',
        second: '2-digit',
        hour12: false,
    });

/** How long before or after it somebody tapped. */
const apart = (delayS: number): string => `${n(Math.abs(delayS))} s ${delayS < 0 ? 'before' : 'after'} it`;

/** What did the devices see, and which repetition was each? */
export function ReadingsScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/readings' });
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const key = ['readings', sessionId];
    const found = useQuery({ queryKey: key, queryFn: () => api('GET', `/api/sessions/${sessionId}/readings`) });
    if (!found.data) return <Waiting query={found} what="the readings" />;
    const say = (said: Said): void =>
        void api('POST', `/api/sessions/${sessionId}/readings`, said).then((now) => {
            queries.setQueryData(key, now);
            setProblem(null);
        }, setProblem);
    const { readings, taps } = found.data;
    const alone = readings.filter(({ tap, word }) => tap === null && word === null);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/sessions/$sessionId" params={{ sessionId }} className="hover:underline">
                        {found.data.title}
                    </Link>
                    , {dayName(found.data.held_on)}
                </p>
                <h1 className="text-2xl">What the devices saw</h1>
            </header>
            <Notice problem={problem} />
            {readings.length === 0 && (
                <p className="max-w-prose py-4 text-soft">
                    Nothing came in. A device sends to whoever it is lent to: lend it under{' '}
                    <Link to="/devices" className="underline">
                        Devices
                    </Link>{' '}
                    before the session.
                </p>
            )}
            <Asked found={found.data} onSay={say} />
            <section aria-label="Devices" className="py-3">
                {found.data.devices.map((device) => (
                    <p key={device.id}>
                        <span className="head">{device.name}</span>: {device.paired} of {device.came} are repetitions
                        that were tapped{device.paired > 0 && `, about ${apart(device.delay_s)}`}
                        {Math.abs(device.drift_s) >= 0.5 &&
                            `; its clock runs ${n(Math.abs(device.drift_s))} s an hour off`}
                        .
                    </p>
                ))}
            </section>
            <Speeds found={found.data} />
            {alone.length > 0 && (
                <section aria-label="Paired with nothing">
                    <div className="flex flex-wrap items-center gap-4">
                        <h2 className="text-lg">Paired with nothing: {alone.length}</h2>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => say({ readings: alone.map(({ id }) => id), rep_id: null, word: 'aside' })}
                        >
                            None of them was a repetition
                        </button>
                    </div>
                    <ul className="border-t border-line">
                        {alone.map((reading) => (
                            <Alone key={reading.id} reading={reading} taps={taps} onSay={say} />
                        ))}
                    </ul>
                </section>
            )}
            <All readings={readings} onSay={say} />
        </main>
    );
}

/** A counter that saw more than was tapped is asked about, and until then the larger number is the load. */
function Asked({ found, onSay }: { found: SessionReadings; onSay: (said: Said) => void }) {
    return found.asked.map((asked) => (
        <section
            key={asked.said}
            aria-label={`Counter of ${asked.athlete}`}
            className="my-3 border-l-4 border-tape pl-3"
        >
            <p className="max-w-prose">{asked.said}</p>
            <p className="flex flex-wrap gap-2 pt-2">
                <button
                    type="button"
                    className="btn"
                    onClick={() => onSay({ readings: asked.readings, rep_id: null, word: 'counts' })}
                >
                    They were repetitions
                </button>
                <button
                    type="button"
                    className="btn"
                    onClick={() => onSay({ readings: asked.readings, rep_id: null, word: 'aside' })}
                >
                    They were none
                </button>
            </p>
        </section>
    ));
}

/** How fast each threw, in order; whether it drops towards the end. */
function Speeds({ found }: { found: SessionReadings }) {
    if (found.speeds.length === 0) return null;
    const fastest = Math.max(...found.speeds.flatMap(({ speeds_ms: speeds }) => speeds));
    return (
        <section aria-label="Speeds" className="pb-4">
            <h2 className="text-lg">Speed, in order</h2>
            {found.speeds.map((of) => (
                <SpeedsOf key={`${of.athlete_id} ${of.skill}`} of={of} fastest={fastest} day={found.held_on} />
            ))}
        </section>
    );
}

type SpeedsOfOne = SessionReadings['speeds'][number];

function SpeedsOf({ of, fastest, day }: { of: SpeedsOfOne; fastest: number; day: string }) {
    const me = useMe();
    const keep = useMutation({
        mutationFn: () =>
            api('POST', `/api/athletes/${of.athlete_id}/marks`, {
                skill: of.skill,
                longest_throw_m: null,
                reference_speed_ms: of.fastest_ms,
                measured_on: day,
            }),
    });
    const isFaster = of.fastest_ms > (of.reference_ms ?? 0);
    return (
        <div className="grid items-center gap-x-4 border-t border-line py-1.5 sm:grid-cols-[12rem_1fr_24rem]">
            <span>
                <span className="head block">{of.athlete}</span>
                <span className="label">{of.skill_name}</span>
            </span>
            <span className="flex h-8 items-end gap-0.5" aria-hidden>
                {of.speeds_ms.map((speed, i) => (
                    <span
                        key={i}
                        className={clsx(
                            'w-2',
                            of.drops_after !== null && i >= of.drops_after ? 'bg-reduced' : 'bg-ink',
                        )}
                        style={{ height: `${Math.max(5, (100 * speed) / fastest)}%` }}
                    />
                ))}
            </span>
            <span className="text-sm">
                <Told of={of} />
                {me.records && isFaster && !keep.isSuccess && (
                    <button
                        type="button"
                        className="btn btn-quiet"
                        disabled={keep.isPending}
                        onClick={() => keep.mutate()}
                    >
                        Save {n(of.fastest_ms)} m/s as the fastest on record
                    </button>
                )}
                {keep.isSuccess && (
                    <span role="status"> Saved. What lies far off the rest is asked about under Intake.</span>
                )}
                <Notice problem={keep.error} />
            </span>
        </div>
    );
}

/** How fast in the middle, what came of it, and what was asked beside it. */
function Told({ of }: { of: SpeedsOfOne }) {
    const far = of.outliers_ms.map((speed) => `${n(speed)} m/s`).join(', ');
    return (
        <span className="block">
            <span className="figure">{n(of.median_ms)} m/s</span> in the middle of {of.speeds_ms.length}
            {of.fade !== null && `; the last third ${percent(Math.abs(of.fade))} ${of.fade < 0 ? 'slower' : 'faster'}`}
            {of.drops_after !== null && `; slower for good after ${of.drops_after}`}.
            {of.asked !== null &&
                of.implied !== null &&
                ` Asked ${percent(of.asked)}, by speed at least ${percent(of.implied)}.`}
            {of.outliers_ms.length > 0 && ` Far off the rest: ${far}. Another ball? Set it aside below.`}
        </span>
    );
}

function Alone({
    reading,
    taps,
    onSay,
}: {
    reading: Reading;
    taps: SessionReadings['taps'];
    onSay: (said: Said) => void;
}) {
    return (
        <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1.5">
            <span className="figure w-20">{clock(reading.at_s)}</span>
            <span className="w-52">
                {reading.device}: {reading.said}
            </span>
            <select
                className="field w-64"
                aria-label={`${reading.device}, ${clock(reading.at_s)}: which repetition`}
                value=""
                onChange={(event) => onSay({ readings: [reading.id], rep_id: event.target.value, word: null })}
            >
                <Options
                    of={[
                        ['', 'Which repetition it was'],
                        ...taps.map((tap) => [tap.id, `${clock(tap.at_s)}, ${tap.athlete}`] as const),
                    ]}
                />
            </select>
            <button
                type="button"
                className="btn btn-quiet"
                onClick={() => onSay({ readings: [reading.id], rep_id: null, word: 'aside' })}
            >
                None
            </button>
        </li>
    );
}

function All({ readings, onSay }: { readings: Reading[]; onSay: (said: Said) => void }) {
    const told = readings.filter(({ tap, word }) => tap !== null || word !== null);
    if (told.length === 0) return null;
    return (
        <section aria-label="Paired" className="pt-4">
            <h2 className="text-lg">Paired, or spoken of: {told.length}</h2>
            <table className="w-full max-w-4xl text-sm">
                <tbody>
                    {told.map((reading) => (
                        <tr key={reading.id} className="border-t border-line">
                            <td className="figure py-1 pr-4">{clock(reading.at_s)}</td>
                            <td className="pr-4">
                                {reading.device}: {reading.said}
                            </td>
                            <td className="pr-4">
                                {reading.tap !== null && `${reading.tap.athlete}, tapped ${clock(reading.tap.at_s)}`}
                                {reading.word === 'aside' && 'No repetition'}
                                {reading.word === 'counts' && 'A repetition nobody tapped'}
                            </td>
                            <td className="text-right">
                                {reading.paired !== 'time' && (
                                    <button
                                        type="button"
                                        className="btn btn-quiet min-h-9"
                                        onClick={() => onSay({ readings: [reading.id], rep_id: null, word: null })}
                                    >
                                        Undo
                                    </button>
                                )}
                                {reading.paired === 'time' && (
                                    <button
                                        type="button"
                                        className="btn btn-quiet min-h-9"
                                        onClick={() => onSay({ readings: [reading.id], rep_id: null, word: 'aside' })}
                                    >
                                        Not this one
                                    </button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}
