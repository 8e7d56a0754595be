import type { Serve } from '../../api/client';
import { percent } from '../../api/words';

const WIDTH = 700;
const EDGE = 14;

/** To scale: the court, the box, and where two of three and nineteen of twenty come down. */
export function FromAbove({ serve }: { serve: Serve }) {
    const { asked, misses } = serve;
    const court = serve.courts.find(({ id }) => id === asked.court);
    const box = court?.boxes.find(({ id }) => id === asked.box);
    if (!court || !box) return null;
    const longest = 2 * court.net_m + 2;
    const scale = (WIDTH - 2 * EDGE) / (longest + 1);
    const half = court.half_width_m + 1.2;
    const height = 2 * half * scale;
    const x = (along: number): number => EDGE + (along + 0.5) * scale;
    // To the left of the server is up, as they look towards the net.
    const y = (left: number): number => (half - left) * scale;
    return (
        <figure>
            <svg viewBox={`0 0 ${WIDTH} ${height.toFixed(0)}`} className="w-full" role="img" aria-label="From above">
                <rect
                    x={x(0)}
                    y={y(court.half_width_m)}
                    width={2 * court.net_m * scale}
                    height={2 * court.half_width_m * scale}
                    className="fill-none stroke-line"
                    strokeWidth={1.5}
                />
                <rect
                    x={x(court.net_m + box.near_m)}
                    y={y(box.left_m)}
                    width={(box.far_m - box.near_m) * scale}
                    height={(box.left_m - box.right_m) * scale}
                    className="fill-tape/25 stroke-ink"
                    strokeWidth={2}
                />
                <line
                    x1={x(court.net_m)}
                    x2={x(court.net_m)}
                    y1={0}
                    y2={height}
                    className="stroke-ink"
                    strokeWidth={3}
                />
                {serve.outlines.map((points, i) => (
                    <polygon
                        key={i}
                        points={points.map(([along = 0, left = 0]) => `${x(along)},${y(left)}`).join(' ')}
                        className="fill-none stroke-ink"
                        strokeWidth={1.5}
                        strokeDasharray={i === 0 ? undefined : '4 4'}
                    />
                ))}
                <circle cx={x(asked.contact_m)} cy={y(asked.across_m)} r={5} className="fill-ink" />
                {misses && (
                    <g className="fill-ink text-[24px] sm:text-sm">
                        <text x={x(court.net_m) - 6} y={22} textAnchor="end">
                            net {percent(misses.net)}
                        </text>
                        <text x={WIDTH - 4} y={height - 5} textAnchor="end">
                            long {percent(misses.long)}
                        </text>
                        {misses.left !== null && (
                            <text x={x(court.net_m + box.far_m / 2)} y={22} textAnchor="middle">
                                left {percent(misses.left)}
                            </text>
                        )}
                        {misses.right !== null && (
                            <text x={x(court.net_m + box.far_m / 2)} y={height - 5} textAnchor="middle">
                                right {percent(misses.right)}
                            </text>
                        )}
                    </g>
                )}
            </svg>
            <figcaption className="text-sm text-soft">
                From above, to scale.{' '}
                {misses !== null && misses.left === null && 'Without spin it drifts: where across is not told.'}
                {misses === null && 'Count ten serves, and the scatter is drawn in.'}
                {serve.outlines.length > 0 &&
                    'Inside the full outline come down four of ten, inside the broken one nine of ten.'}
            </figcaption>
        </figure>
    );
}
