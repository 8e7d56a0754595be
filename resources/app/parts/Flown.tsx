import type { ThrowCheck } from '../api/client';
import { n } from '../api/words';

type Arc = ThrowCheck['arcs'][number];

const WIDTH = 640;
const LEFT = 8;
const ABOVE = 14;
const BELOW = 22;
const DASHES = ['', '7 4', '2 3'];

/** Ways through the air from the side, to scale: as high as they are, as far as they go. */
export function Flown({ arcs }: { arcs: readonly Arc[] }) {
    const farM = Math.max(1, ...arcs.flatMap((arc) => arc.points.map(([x = 0]) => x)));
    const topM = Math.max(2, ...arcs.map((arc) => arc.apex_m));
    const scale = Math.min((WIDTH - 2 * LEFT) / farM, 220 / topM);
    const height = topM * scale + ABOVE + BELOW;
    const ground = height - BELOW;
    const at = (x: number, z: number): string => `${(LEFT + x * scale).toFixed(1)},${(ground - z * scale).toFixed(1)}`;
    const step = farM > 40 ? 10 : farM > 12 ? 5 : 2;
    const marks = Array.from({ length: Math.floor(farM / step) + 1 }, (_, i) => i * step);
    return (
        <figure>
            <svg viewBox={`0 0 ${WIDTH} ${height.toFixed(0)}`} className="w-full" role="img" aria-label="From the side">
                <line
                    x1={0}
                    x2={2 * LEFT + farM * scale}
                    y1={ground}
                    y2={ground}
                    className="stroke-ink"
                    strokeWidth={1.5}
                />
                {marks.map((metre) => (
                    <g key={metre}>
                        <line
                            x1={LEFT + metre * scale}
                            x2={LEFT + metre * scale}
                            y1={ground}
                            y2={ground + 5}
                            className="stroke-ink"
                        />
                        <text x={LEFT + metre * scale} y={height - 4} textAnchor="middle" className="fill-soft text-xs">
                            {metre}
                        </text>
                    </g>
                ))}
                {arcs.map((arc, i) => (
                    <polyline
                        key={arc.name}
                        points={arc.points.map(([x = 0, z = 0]) => at(x, z)).join(' ')}
                        fill="none"
                        className="stroke-ink"
                        strokeWidth={2}
                        strokeDasharray={DASHES[i % DASHES.length]}
                    />
                ))}
            </svg>
            <figcaption className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
                {arcs.map((arc, i) => (
                    <span key={arc.name} className="flex items-center gap-2">
                        <svg width={34} height={6} aria-hidden>
                            <line
                                x1={0}
                                x2={34}
                                y1={3}
                                y2={3}
                                className="stroke-ink"
                                strokeWidth={2}
                                strokeDasharray={DASHES[i % DASHES.length]}
                            />
                        </svg>
                        {arc.name}: {n(arc.elevation_deg)}°, {n(arc.speed_ms)} m/s, {n(arc.time_s)} s in the air
                    </span>
                ))}
            </figcaption>
        </figure>
    );
}
