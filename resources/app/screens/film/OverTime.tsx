import type { Film } from '../../api/client';
import { dayName } from '../../api/words';
import { SURE_SD } from '../../rules/frame';
import type { FilmCheckpoint } from './marks';

const WIDTH = 420;
const HEIGHT = 110;
const EDGE = 14;

/** One measure from clip to clip, with its band: every repetition a point, with what it may be off. */
export function OverTime({ checkpoint, clips }: { checkpoint: FilmCheckpoint; clips: Film['clips'] }) {
    const { measure } = checkpoint;
    const days = [...clips].reverse();
    const points = days.flatMap((clip, day) =>
        clip.reps.flatMap((rep) =>
            rep.figures
                .filter((figure) => figure.checkpoint === checkpoint.id)
                .map((figure) => ({ key: `${clip.id} ${rep.rep}`, day, figure })),
        ),
    );
    if (!measure || points.length === 0) return null;
    const values = points.flatMap(({ figure }) => [
        figure.value - SURE_SD * figure.spread,
        figure.value + SURE_SD * figure.spread,
    ]);
    const bounds = [measure.low, measure.high].filter((bound) => bound !== null);
    const [least, most] = [Math.min(...values, ...bounds), Math.max(...values, ...bounds)];
    const pad = Math.max((most - least) * 0.12, measure.unit === 'deg' ? 3 : 0.03);
    const y = (value: number): number => HEIGHT - ((value - least + pad) / (most - least + 2 * pad)) * HEIGHT;
    const x = (day: number): number =>
        days.length === 1 ? WIDTH / 2 : EDGE + (day / (days.length - 1)) * (WIDTH - 2 * EDGE);
    const [top, bottom] = [measure.high === null ? 0 : y(measure.high), measure.low === null ? HEIGHT : y(measure.low)];
    return (
        <figure className="pt-3">
            <figcaption>
                <span className="head">{checkpoint.name}</span>{' '}
                <span className="text-sm text-soft">{measure.name}</span>
            </figcaption>
            <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                role="img"
                aria-label={`${checkpoint.name}: ${points.map(({ figure }) => figure.text).join(', ')}`}
                className="mt-1 w-full border-y border-ink/60 bg-faint"
            >
                <rect x={0} width={WIDTH} y={top} height={Math.max(1, bottom - top)} className="fill-tape-dim" />
                {bounds.map((bound) => (
                    <text key={bound} x={WIDTH - 4} y={y(bound) - 3} textAnchor="end" className="fill-soft text-[10px]">
                        {measure.unit === 'deg' ? `${bound}°` : bound}
                    </text>
                ))}
                {points.map(({ key, day, figure }) => (
                    <g key={key}>
                        <line
                            x1={x(day)}
                            x2={x(day)}
                            y1={y(figure.value - SURE_SD * figure.spread)}
                            y2={y(figure.value + SURE_SD * figure.spread)}
                            className="stroke-soft"
                            strokeWidth={1.5}
                        />
                        <circle cx={x(day)} cy={y(figure.value)} r={4} className="fill-ink" />
                    </g>
                ))}
            </svg>
            <p className="flex justify-between text-xs text-soft">
                <span>{dayName(days[0]?.filmed_on ?? '')}</span>
                {days.length > 1 && <span>{dayName(days.at(-1)?.filmed_on ?? '')}</span>}
            </p>
        </figure>
    );
}
