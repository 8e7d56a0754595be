import type { Load } from '../../api/client';
import { dayName, n } from '../../api/words';

type Day = Load['days'][number];
type Measure = 'arm' | 'hand' | 'trunk' | 'landings' | 'high_reps' | 'metres';

const WIDTH = 860;
const LEFT = 74;
const LANE = 46;
const GAP = 12;

const LANES: { key: Measure | 'internal'; name: string; planned?: keyof Day }[] = [
    { key: 'arm', name: 'Arm', planned: 'planned_arm' },
    { key: 'hand', name: 'Hand', planned: 'planned_hand' },
    { key: 'trunk', name: 'Trunk', planned: 'planned_trunk' },
    { key: 'landings', name: 'Landings', planned: 'planned_landings' },
    { key: 'high_reps', name: 'High effort', planned: 'planned_high_reps' },
    { key: 'metres', name: 'Metres', planned: 'planned_metres' },
    { key: 'internal', name: 'Exertion' },
];

/** How far down each kind of event is drawn; the others stand lowest. */
const HAPPENED_Y: Record<string, number> = { rung: 8, stage: 20 };

type Lane = (typeof LANES)[number];

/** Where a day stands on the axis, and how wide it is. */
type Frame = { step: number; x: (i: number) => number };

const value = (day: Day, lane: Lane): number => day[lane.key];
const planned = (day: Day, lane: Lane): number => (lane.planned ? Number(day[lane.planned]) : 0);

/**
 * One time axis: a lane for every measure with anything in it, the arm’s week against its step, soreness, and what
 * happened when.
 */
export function Lanes({
    load,
    chosen,
    onChoose,
}: {
    load: Load;
    chosen: string | null;
    onChoose: (day: string) => void;
}) {
    const { days } = load;
    const step = (WIDTH - LEFT) / days.length;
    const x = (i: number): number => LEFT + i * step;
    const frame = { step, x };
    const lanes = LANES.filter((lane) => days.some((day) => value(day, lane) + planned(day, lane) > 0));
    const hasWeek = days.some((day) => day.week > 0);
    const top = 44;
    const laneTop = (l: number): number => top + l * (LANE + GAP);
    const weekTop = laneTop(lanes.length);
    const ratios = load.ratio_band.length === 3 && days.some((day) => day.ratio != null);
    const ratioTop = weekTop + (hasWeek ? LANE + 20 : 0);
    const soreTop = ratioTop + (ratios ? LANE + 14 : 0);
    const height = soreTop + 44;
    const move = (by: number): void => {
        const at = Math.max(
            0,
            Math.min(
                days.length - 1,
                (chosen === null
                    ? days.findIndex((day) => day.date === load.date)
                    : days.findIndex((day) => day.date === chosen)) + by,
            ),
        );
        const day = days[at];
        if (day) onChoose(day.date);
    };
    return (
        <svg
            viewBox={`0 0 ${WIDTH} ${height}`}
            className="block w-full select-none"
            role="group"
            tabIndex={0}
            aria-label="Load by day; arrow keys choose a day"
            onKeyDown={(event) => {
                if (event.key === 'ArrowLeft') move(-1);
                else if (event.key === 'ArrowRight') move(1);
                else return;
                event.preventDefault();
            }}
        >
            <defs>
                <pattern
                    id="lane-hatch"
                    width="5"
                    height="5"
                    patternUnits="userSpaceOnUse"
                    patternTransform="rotate(-45)"
                >
                    <path d="M0 0v5" stroke="var(--color-ink)" strokeWidth="2.2" />
                </pattern>
            </defs>
            <Behind load={load} chosen={chosen} top={top} bottom={soreTop} height={height} frame={frame} />
            <Happened load={load} frame={frame} />
            {lanes.map((lane, l) => (
                <LaneOf key={lane.key} lane={lane} load={load} base={laneTop(l) + LANE} frame={frame} />
            ))}
            {hasWeek && <Week days={days} top={weekTop} frame={frame} />}
            {ratios && <Ratio load={load} top={ratioTop} frame={frame} />}
            <Sore days={days} top={soreTop} frame={frame} />
            {days.map((day, i) =>
                i % Math.ceil(days.length / 8) === 0 && i < days.length - 4 ? (
                    <text key={day.date} x={x(i)} y={height - 2} fontSize="11.5" className="fill-soft">
                        {dayName(day.date).replace(/^\w+ /, '')}
                    </text>
                ) : null,
            )}
            {days.map((day, i) => (
                <rect
                    key={day.date}
                    x={x(i)}
                    y="0"
                    width={step}
                    height={height}
                    fill="transparent"
                    className="cursor-pointer"
                    onClick={() => onChoose(day.date)}
                >
                    <title>{inWords(day)}</title>
                </rect>
            ))}
        </svg>
    );
}

function Happened({ load, frame: { step, x } }: { load: Load; frame: Frame }) {
    const marks = load.events
        .map((event) => ({ ...event, at: load.days.findIndex((day) => day.date === event.date) }))
        .filter((event) => event.at >= 0);
    return (
        <>
            {' '}
            <text x="0" y="12" fontSize="12" className="fill-soft">
                Happened
            </text>
            {marks.map((event, i) => (
                <g key={i} transform={`translate(${x(event.at) + step / 2}, ${HAPPENED_Y[event.kind] ?? 32})`}>
                    <title>{`${dayName(event.date)}: ${event.title}`}</title>
                    {event.kind === 'rung' ? (
                        <path d="M-5 0H5M-5 -3.5H5" stroke="var(--color-ink)" strokeWidth="1.8" />
                    ) : event.kind === 'stage' ? (
                        <path d="M-5 3H0V-3H5" fill="none" stroke="var(--color-refer)" strokeWidth="1.8" />
                    ) : event.kind === 'match' ? (
                        <path d="M-4.5 -4.5H4.5V4.5H-4.5Z" fill="var(--color-ink)" />
                    ) : (
                        <circle r="3.6" fill="none" stroke="var(--color-ink)" strokeWidth="1.4" />
                    )}
                </g>
            ))}
        </>
    );
}

/** One measure by day, up from its base line: done inked, planned hatched, the day’s cap across. */
function LaneOf({ lane, load, base, frame: { step, x } }: { lane: Lane; load: Load; base: number; frame: Frame }) {
    const { days } = load;
    const cap = lane.key === 'internal' ? undefined : load.caps[lane.key];
    const tallest = Math.max(...days.map((day) => value(day, lane) + planned(day, lane)));
    // A cap far above everything would flatten the lane: it is then said in words only.
    const showCap = cap !== undefined && cap <= 4 * tallest;
    const most = Math.max(showCap ? cap : 0, tallest) * 1.05;
    const h = (units: number): number => (LANE * units) / most;
    return (
        <g>
            <text x="0" y={base - LANE + 13} fontSize="13" fontWeight="650" fill="var(--color-ink)">
                {lane.name}
            </text>
            <text x="0" y={base - LANE + 27} fontSize="11" className="fill-soft">
                top {n(tallest)}
            </text>
            {cap !== undefined && (
                <text x="0" y={base - LANE + 40} fontSize="11" className="fill-soft">
                    cap {n(cap)}
                </text>
            )}
            {showCap && <path d={`M${LEFT} ${base - h(cap)}H${WIDTH}`} stroke="var(--color-stop)" strokeWidth="1.4" />}
            <path d={`M${LEFT} ${base}H${WIDTH}`} stroke="var(--color-line)" />
            {days.map((day, i) => {
                const done = value(day, lane);
                const plan = planned(day, lane);
                return done + plan === 0 ? null : (
                    <g key={day.date}>
                        {done > 0 && (
                            <rect
                                x={x(i) + step * 0.1}
                                width={step * 0.8}
                                y={base - h(done)}
                                height={h(done)}
                                fill={cap !== undefined && done > cap + 1e-9 ? 'var(--color-stop)' : 'var(--color-ink)'}
                            />
                        )}
                        {plan > 0 && (
                            <rect
                                x={x(i) + step * 0.1}
                                width={step * 0.8}
                                y={base - h(done + plan)}
                                height={h(plan)}
                                fill="url(#lane-hatch)"
                                stroke="var(--color-ink)"
                                strokeWidth="0.5"
                            />
                        )}
                    </g>
                );
            })}
        </g>
    );
}

function Week({ days, top, frame: { step, x } }: { days: Day[]; top: number; frame: Frame }) {
    const most = Math.max(1, ...days.map((day) => Math.max(day.week, day.week_max ?? 0))) * 1.05;
    const base = top + LANE + 6;
    const wy = (units: number): number => base - (LANE * units) / most;
    const weeks = days.map((day, i) => `L${x(i) + step / 2} ${wy(day.week)}`);
    return (
        <g>
            <text x="0" y={top + 16} fontSize="13" fontWeight="650" fill="var(--color-ink)">
                Arm, 7 days
            </text>
            <text x="0" y={top + 30} fontSize="11" className="fill-soft">
                against
            </text>
            <text x="0" y={top + 42} fontSize="11" className="fill-soft">
                its step
            </text>
            <path d={`M${LEFT} ${top + LANE + 6}H${WIDTH}`} stroke="var(--color-line)" />
            <path
                d={`M${LEFT} ${base}${weeks.join('')}L${WIDTH} ${base}Z`}
                fill="var(--color-tape)"
                stroke="var(--color-ink)"
                strokeWidth="1.2"
            />
            <path
                d={days
                    .filter((day) => day.week_max !== null)
                    .map(
                        (day, i) => `${i === 0 ? 'M' : 'L'}${x(days.indexOf(day)) + step / 2} ${wy(day.week_max ?? 0)}`,
                    )
                    .join('')}
                fill="none"
                stroke="var(--color-stop)"
                strokeWidth="1.6"
            />
        </g>
    );
}

function Ratio({ load, top, frame: { step, x } }: { load: Load; top: number; frame: Frame }) {
    const { days } = load;
    const [low, high, stop] = load.ratio_band;
    const ry = (ratio: number): number => top + LANE - (LANE * Math.min(2, ratio)) / 2;
    return (
        <g>
            <text x="0" y={top + 13} fontSize="13" fontWeight="650" fill="var(--color-ink)">
                Ratio
            </text>
            <text x="0" y={top + 27} fontSize="11" className="fill-soft">
                advises,
            </text>
            <text x="0" y={top + 39} fontSize="11" className="fill-soft">
                decides not
            </text>
            <rect
                x={LEFT}
                width={WIDTH - LEFT}
                y={ry(high ?? 0)}
                height={ry(low ?? 0) - ry(high ?? 0)}
                fill="var(--color-faint)"
            />
            <path
                d={`M${LEFT} ${ry(stop ?? 0)}H${WIDTH}`}
                stroke="var(--color-stop)"
                strokeWidth="1"
                strokeDasharray="5 4"
            />
            <path
                d={days
                    .filter((day) => day.ratio != null)
                    .map((day, i) => `${i === 0 ? 'M' : 'L'}${x(days.indexOf(day)) + step / 2} ${ry(day.ratio ?? 0)}`)
                    .join('')}
                fill="none"
                stroke="var(--color-ink)"
                strokeWidth="1.8"
            />
        </g>
    );
}

function Sore({ days, top, frame: { step, x } }: { days: Day[]; top: number; frame: Frame }) {
    return (
        <>
            {' '}
            <text x="0" y={top + 18} fontSize="13" fontWeight="650" fill="var(--color-ink)">
                Soreness
            </text>
            {days.map((day, i) =>
                day.soreness === null || day.soreness === undefined ? null : day.soreness === 0 ? (
                    <circle
                        key={day.date}
                        cx={x(i) + step / 2}
                        cy={top + 19}
                        r={Math.min(1.6, step / 3)}
                        fill="var(--color-soft)"
                    />
                ) : (
                    <rect
                        key={day.date}
                        x={x(i) + step * 0.1}
                        width={step * 0.8}
                        y={top + 21 - 1.7 * day.soreness}
                        height={1.7 * day.soreness}
                        fill={day.soreness >= 3 ? 'var(--color-stop)' : 'var(--color-reduced)'}
                    />
                ),
            )}
        </>
    );
}

/** Idle days shaded, today under the tape’s colour, the chosen day framed. */
function Behind({
    load,
    chosen,
    top,
    bottom,
    height,
    frame: { step, x },
}: {
    load: Load;
    chosen: string | null;
    top: number;
    bottom: number;
    height: number;
    frame: Frame;
}) {
    const { days } = load;
    return (
        <>
            {' '}
            {days.map((day, i) =>
                day.idle ? (
                    <rect
                        key={day.date}
                        x={x(i)}
                        y={top - 4}
                        width={step + 0.3}
                        height={bottom - top}
                        fill="var(--color-faint)"
                    />
                ) : null,
            )}
            {days.map((day, i) =>
                day.date === load.date ? (
                    <rect
                        key={day.date}
                        x={x(i)}
                        y={0}
                        width={Math.max(2, step)}
                        height={height - 14}
                        fill="var(--color-tape)"
                        opacity="0.45"
                    />
                ) : null,
            )}
            {days.map((day, i) =>
                day.date === chosen ? (
                    <rect
                        key={day.date}
                        x={x(i)}
                        y={0}
                        width={Math.max(2, step)}
                        height={height - 14}
                        fill="none"
                        stroke="var(--color-ink)"
                        strokeWidth="1.5"
                    />
                ) : null,
            )}
        </>
    );
}

/** A day of the axis in words. */
function inWords(day: Day): string {
    const done = [`arm ${n(day.arm)}`, `hand ${n(day.hand)}`, `trunk ${n(day.trunk)}`, `landings ${n(day.landings)}`];
    const week = `week ${n(day.week)}${day.week_max == null ? '' : ` of ${n(day.week_max)}`}`;
    const ratio = `weighted ratio ${day.ratio == null ? 'not known' : day.ratio.toFixed(2)}`;
    return `${dayName(day.date)}: ${done.join(', ')}; ${week}; ${ratio}`;
}
