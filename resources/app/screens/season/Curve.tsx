import type { Season } from '../../api/client';
import { dayName, n } from '../../api/words';

const WIDTH = 1160;
const HEIGHT = 110;
/** Room above the highest point, for the words that say how high it is. */
const HEADROOM = 1.16;

/** Seven-day sums: what was agreed to as a line, what was done inked, what is planned from today hatched. */
export function Curve({ points, today }: { points: Season['curve']; today: string }) {
    if (points.length < 2) return null;
    const week = (of: (point: Season['curve'][number]) => number | null | undefined, i: number): number =>
        points.slice(Math.max(0, i - 6), i + 1).reduce((sum, point) => sum + (of(point) ?? 0), 0);
    const real = points.map((_, i) =>
        week(
            (point) =>
                point.date <= today && (point.done ?? 0) > 0 ? point.done : point.date >= today ? point.planned : 0,
            i,
        ),
    );
    const agreed = points.map((_, i) => week((point) => point.agreed, i));
    const top = Math.max(1, ...real, ...agreed);
    const x = (i: number): number => (WIDTH * i) / (points.length - 1);
    const y = (value: number): number => HEIGHT - (HEIGHT * value) / (top * HEADROOM);
    const now = Math.max(
        0,
        points.findIndex((point) => point.date >= today),
    );
    const area = (from: number, to: number): string =>
        `M${x(from)} ${HEIGHT}${real
            .slice(from, to + 1)
            .map((value, i) => `L${x(from + i)} ${y(value)}`)
            .join('')}L${x(to)} ${HEIGHT}Z`;
    const [from, to] = [points[0], points.at(-1)].map((point) => dayName(point?.date ?? today));
    const hasAgreed = points.some((point) => point.agreed != null);
    return (
        <section aria-label="Predicted and real" className="no-print mt-5">
            <h2 className="text-base">
                Seven-day load here, without training elsewhere:{' '}
                {hasAgreed ? (
                    <>
                        agreed <span className="text-stop">as a line</span>, done inked, planned hatched
                    </>
                ) : (
                    'planned'
                )}
            </h2>
            <svg
                viewBox={`-2 0 ${WIDTH + 4} ${HEIGHT + 18}`}
                className="mt-1 block w-full"
                role="img"
                aria-label={`Seven-day load from ${from} to ${to}, at most ${n(Math.max(...real))} units`}
            >
                <defs>
                    <pattern
                        id="curve-hatch"
                        width="6"
                        height="6"
                        patternUnits="userSpaceOnUse"
                        patternTransform="rotate(-45)"
                    >
                        <path d="M0 0v6" stroke="var(--color-ink)" strokeWidth="2" />
                    </pattern>
                </defs>
                {now > 0 && <path d={area(0, now)} fill="var(--color-ink)" />}
                <path
                    d={area(now, points.length - 1)}
                    fill="url(#curve-hatch)"
                    stroke="var(--color-ink)"
                    strokeWidth="1"
                />
                {hasAgreed && (
                    <path
                        d={agreed.map((value, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${y(value)}`).join('')}
                        fill="none"
                        stroke="var(--color-stop)"
                        strokeWidth="2"
                    />
                )}
                <path d={`M0 ${HEIGHT}H${WIDTH}`} stroke="var(--color-ink)" />
                {points.map((point, i) =>
                    i % 14 === 0 && i < points.length - 3 ? (
                        <text key={point.date} x={x(i)} y={HEIGHT + 14} fontSize="12" className="fill-soft">
                            {dayName(point.date).replace(/^\w+ /, '')}
                        </text>
                    ) : null,
                )}
                <text x={WIDTH} y="11" fontSize="12" textAnchor="end" className="fill-soft">
                    top {n(top)} units in seven days
                </text>
            </svg>
        </section>
    );
}
