import type { Serve } from '../../api/client';

const WIDTH = 700;
const EDGE = 14;
const MOST_HEIGHT = 190;

/** To scale: the net, the box, and between which two ways a serve is in. */
export function FromTheSide({ serve }: { serve: Serve }) {
    const { asked } = serve;
    const court = serve.courts.find(({ id }) => id === asked.court);
    const box = court?.boxes.find(({ id }) => id === asked.box);
    if (!court || !box) return null;
    const [fromM, toM] = [Math.min(0, asked.contact_m) - 0.5, 2 * court.net_m + 0.5];
    const topM = Math.max(asked.net_height_m, asked.height_m, ...serve.arcs.map(({ apex_m: apex }) => apex)) + 0.3;
    const scale = Math.min((WIDTH - 2 * EDGE) / (toM - fromM), MOST_HEIGHT / topM);
    const height = topM * scale + 34;
    const x = (metres: number): number => EDGE + (metres - fromM) * scale;
    const y = (metres: number): number => height - 24 - metres * scale;
    const line = (points: readonly number[][]): string =>
        points.map(([along = 0, up = 0]) => `${x(along + asked.contact_m).toFixed(1)},${y(up).toFixed(1)}`).join(' ');
    const [lowest, middle, highest] = ['Lowest', 'Middle', 'Highest'].map(
        (name) => serve.arcs.find((arc) => arc.name === name)?.points ?? [],
    );
    return (
        <figure>
            <svg viewBox={`0 0 ${WIDTH} ${height.toFixed(0)}`} className="w-full" role="img" aria-label="From the side">
                {lowest && highest && lowest.length > 0 && (
                    <polygon points={`${line(lowest)} ${line([...highest].reverse())}`} className="fill-tape/35" />
                )}
                <line x1={0} x2={WIDTH} y1={y(0)} y2={y(0)} className="stroke-ink" />
                <line
                    x1={x(court.net_m + box.near_m)}
                    x2={x(court.net_m + box.far_m)}
                    y1={y(0)}
                    y2={y(0)}
                    className="stroke-ink"
                    strokeWidth={5}
                />
                <line
                    x1={x(court.net_m)}
                    x2={x(court.net_m)}
                    y1={y(0)}
                    y2={y(asked.net_height_m)}
                    className="stroke-ink"
                    strokeWidth={3}
                />
                {[lowest, highest].map((points, i) => (
                    <polyline
                        key={i}
                        points={line(points ?? [])}
                        fill="none"
                        className="stroke-ink"
                        strokeWidth={1.5}
                    />
                ))}
                <polyline
                    points={line(middle ?? [])}
                    fill="none"
                    className="stroke-ink"
                    strokeWidth={1.5}
                    strokeDasharray="5 4"
                />
                <circle cx={x(asked.contact_m)} cy={y(asked.height_m)} r={4} className="fill-ink" />
                {[0, court.net_m, court.net_m + box.far_m].map((metres) => (
                    <text
                        key={metres}
                        x={x(metres)}
                        y={height - 6}
                        textAnchor="middle"
                        className="fill-soft text-[22px] sm:text-xs"
                    >
                        {metres === 0 ? 'base line' : `${Number(metres.toFixed(1))} m`}
                    </text>
                ))}
            </svg>
            <figcaption className="text-sm text-soft">
                From the side, to scale. Between the two lines a serve is in; below the lower one it is in the net or
                short, above the upper one it is long.
            </figcaption>
        </figure>
    );
}
