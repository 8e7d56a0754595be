import { useState } from 'react';
import type { LoadDay, Soreness, Tape } from '../../api/client';
import { dayName, n } from '../../api/words';

const WIDTH = 760;
const LANE = 64;
const GAP = 20;
const LEFT = 4;

/** The day’s cap of a measure, where a limit gives one. */
const dayCap = (tapes: Tape[], prefix: string): number | null =>
    tapes.find((tape) => tape.limit_id.startsWith(prefix) && !tape.limit_id.endsWith(':other'))?.max ?? null;

/**
 * One time axis with lanes: arm stress and landings by day against the day’s cap, high-effort reps, and soreness
 * beneath.
 */
export function TimeAxis({
    days,
    soreness,
    today,
    tapes,
}: {
    days: LoadDay[];
    soreness: Soreness[];
    today: string;
    tapes: Tape[];
}) {
    const [shown, setShown] = useState<LoadDay | null>(null);
    const [first, last] = [days[0], days.at(-1)].map((day) => dayName(day?.date ?? today));
    const step = (WIDTH - LEFT) / days.length;
    const lanes = [
        {
            name: 'Arm stress, units a day',
            of: (day: LoadDay) => day.arm,
            planned: (day: LoadDay) => day.planned_arm,
            cap: dayCap(tapes, 'arm-day:'),
        },
        {
            name: 'Landing units a day',
            of: (day: LoadDay) => day.landings,
            planned: (day: LoadDay) => day.planned_landings,
            cap: dayCap(tapes, 'landings-day'),
        },
        {
            name: 'High-effort reps a day',
            of: (day: LoadDay) => day.high_reps,
            planned: () => 0,
            cap: dayCap(tapes, 'arm-high-day'),
        },
    ].filter((lane) => days.some((day) => lane.of(day) + lane.planned(day) > 0));
    const worst = new Map<string, number>();
    for (const report of soreness) worst.set(report.day, Math.max(worst.get(report.day) ?? 0, report.score));
    const height = lanes.length * (LANE + GAP) + 44;
    return (
        <div>
            <svg
                viewBox={`0 0 ${WIDTH} ${height}`}
                className="block w-full"
                role="img"
                aria-label={`Load by day from ${first} to ${last}`}
            >
                <defs>
                    <pattern
                        id="axis-hatch"
                        width="5"
                        height="5"
                        patternUnits="userSpaceOnUse"
                        patternTransform="rotate(-45)"
                    >
                        <path d="M0 0v5" stroke="var(--color-ink)" strokeWidth="2.4" />
                    </pattern>
                </defs>
                {days.map(
                    (day, i) =>
                        day.date === today && (
                            <rect
                                key={day.date}
                                x={LEFT + i * step}
                                y="0"
                                width={step}
                                height={height - 16}
                                fill="var(--color-tape-dim)"
                            />
                        ),
                )}
                {lanes.map((lane, l) => (
                    <Lane key={lane.name} lane={lane} days={days} top={l * (LANE + GAP) + 14} step={step} />
                ))}
                <text x={LEFT} y={height - 32} fontSize="11.5" className="fill-soft">
                    Soreness: dot none, bar 1 to 10, gap not asked
                </text>
                {days.map((day, i) => {
                    const score = worst.get(day.date);
                    const x = LEFT + (i + 0.5) * step;
                    if (score === undefined) return null;
                    return score === 0 ? (
                        <circle key={day.date} cx={x} cy={height - 20} r="1.6" fill="var(--color-soft)" />
                    ) : (
                        <rect
                            key={day.date}
                            x={x - step / 2 + 1}
                            y={height - 18 - Math.min(12, score * 1.6 + 1)}
                            width={step - 2}
                            height={Math.min(12, score * 1.6 + 1)}
                            fill={score >= 3 ? 'var(--color-stop)' : 'var(--color-reduced)'}
                        />
                    );
                })}
                {days.map((day, i) =>
                    new Date(`${day.date}T00:00:00Z`).getUTCDay() === 1 && i % 2 === 0 && i < days.length - 4 ? (
                        <text key={day.date} x={LEFT + i * step} y={height - 3} fontSize="11" className="fill-soft">
                            {dayName(day.date).replace(/^\w+ /, '')}
                        </text>
                    ) : null,
                )}
                {days.map((day, i) => (
                    <rect
                        key={day.date}
                        x={LEFT + i * step}
                        y="0"
                        width={step}
                        height={height}
                        fill="transparent"
                        onPointerEnter={() => setShown(day)}
                    />
                ))}
            </svg>
            <p className="label min-h-5" aria-hidden="true">
                {shown && inWords(shown)}
            </p>
        </div>
    );
}

type LaneOf = { name: string; of: (day: LoadDay) => number; planned: (day: LoadDay) => number; cap: number | null };

/** One measure by day: what was done inked, what is planned hatched, the day’s cap across. */
function Lane({ lane, days, top, step }: { lane: LaneOf; days: LoadDay[]; top: number; step: number }) {
    const most = Math.max(lane.cap ?? 0, ...days.map((day) => lane.of(day) + lane.planned(day))) * 1.04;
    const y = (value: number): number => (LANE * value) / most;
    return (
        <g>
            <text x={LEFT} y={top - 4} fontSize="11.5" className="fill-soft">
                {lane.name}
                {lane.cap === null ? '' : `; cap ${n(lane.cap)}`}
            </text>
            {lane.cap !== null && (
                <path
                    d={`M${LEFT} ${top + LANE - y(lane.cap)}H${WIDTH}`}
                    stroke="var(--color-stop)"
                    strokeWidth="1.6"
                />
            )}
            <path d={`M${LEFT} ${top + LANE}H${WIDTH}`} stroke="var(--color-line)" />
            {days.map((day, i) => {
                const x = LEFT + i * step + 1;
                const over = lane.cap !== null && lane.of(day) > lane.cap + 1e-9;
                return (
                    <g key={day.date}>
                        {lane.of(day) > 0 && (
                            <rect
                                x={x}
                                width={step - 2}
                                y={top + LANE - y(lane.of(day))}
                                height={y(lane.of(day))}
                                fill={over ? 'var(--color-stop)' : 'var(--color-ink)'}
                            />
                        )}
                        {lane.planned(day) > 0 && (
                            <rect
                                x={x}
                                width={step - 2}
                                y={top + LANE - y(lane.of(day) + lane.planned(day))}
                                height={y(lane.planned(day))}
                                fill="url(#axis-hatch)"
                                stroke="var(--color-ink)"
                                strokeWidth="0.6"
                            />
                        )}
                    </g>
                );
            })}
        </g>
    );
}

/** A day of the axis in words. */
function inWords(day: LoadDay): string {
    const done = [
        `arm ${n(day.arm)}`,
        `hand ${n(day.hand)}`,
        `trunk ${n(day.trunk)}`,
        `landings ${n(day.landings)}`,
        `${n(day.reps)} reps`,
        `${n(day.high_reps)} at high effort`,
    ];
    const planned =
        day.planned_arm + day.planned_landings > 0
            ? `; planned arm ${n(day.planned_arm)}, landings ${n(day.planned_landings)}`
            : '';
    return `${dayName(day.date)}: ${done.join(', ')}${planned}`;
}
