import type { Points, Side } from '../../rules/frame';
import type { FilmLadder } from './marks';
import type { Shown } from './Earlier';

const SIZE = 220;
const TRUNK = 52;

const LIMBS = [
    ['shoulder', 'elbow'],
    ['elbow', 'wrist'],
    ['shoulder', 'hip'],
    ['hip', 'knee'],
    ['knee', 'ankle'],
] as const;

type Drawable = { points: Points; target: Side };

/**
 * Two repetitions at one moment, drawn from their points: as large as each other by the trunk, the target on the right.
 * Where the camera stood on different sides no difference is told, only the two pictures.
 */
export function Compared({
    one,
    other,
    moment,
    ladder,
}: {
    one: Shown;
    other: Shown;
    moment: string;
    ladder: FilmLadder;
}) {
    const [a, b] = [one, other].map((each) => drawable(each, moment));
    const sameSide = one.clip.target === other.clip.target;
    return (
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-[14rem_14rem_1fr]">
            {[
                [one, a],
                [other, b],
            ].map(([shown, drawn], i) => (
                <Drawing key={i} name={(shown as Shown).name} of={drawn as Drawable | null} side={ladder.side} />
            ))}
            <div className="col-span-2 sm:col-span-1">
                {sameSide ? (
                    <Differences one={one} other={other} moment={moment} ladder={ladder} />
                ) : (
                    <p className="text-soft">
                        Filmed from different sides: no difference is told, only the two pictures.
                    </p>
                )}
            </div>
        </div>
    );
}

function drawable({ clip, rep }: Shown, moment: string): Drawable | null {
    const mark = rep.marks.find((each) => each.moment === moment);
    if (!mark) return null;
    const points = Object.fromEntries(
        Object.entries(mark.points).map(([name, [x = 0, y = 0]]) => [name, [x, y] as const]),
    );
    return { points, target: clip.target };
}

function Differences({ one, other, moment, ladder }: { one: Shown; other: Shown; moment: string; ladder: FilmLadder }) {
    const rows = ladder.checkpoints.filter((checkpoint) => checkpoint.measure?.moment === moment);
    const figureIn = ({ rep }: Shown, id: string) => rep.figures.find((figure) => figure.checkpoint === id);
    return (
        <ul>
            {rows.map((checkpoint) => {
                const [a, b] = [figureIn(one, checkpoint.id), figureIn(other, checkpoint.id)];
                return (
                    <li key={checkpoint.id} className="border-t border-line py-1.5">
                        <strong>{checkpoint.name}</strong>{' '}
                        {a && b && checkpoint.measure
                            ? difference(checkpoint.measure.unit, a, b)
                            : 'is not measured in both.'}
                    </li>
                );
            })}
            {rows.length === 0 && <li className="text-soft">Nothing is measured at this moment.</li>}
        </ul>
    );
}

type Figure = { value: number; spread: number };

/** A difference is told with what it may be off, and as none where that is larger. */
function difference(unit: 'deg' | 'trunk', a: Figure, b: Figure): string {
    const by = b.value - a.value;
    const off = 2 * Math.hypot(a.spread, b.spread);
    const text = (value: number): string => (unit === 'deg' ? `${Math.round(value)}°` : `${value.toFixed(2)} trunk`);
    if (Math.abs(by) <= off) return `no difference that can be told (within ± ${text(off)}).`;
    return `${text(Math.abs(by))} ${by > 0 ? 'more' : 'less'} (± ${text(off)}).`;
}

function Drawing({ name, of, side }: { name: string; of: Drawable | null; side: Side }) {
    const placed = of && placedOf(of);
    return (
        <figure>
            <svg
                viewBox={`0 0 ${SIZE} ${SIZE}`}
                role="img"
                aria-label={name}
                className="w-full border border-line bg-page"
            >
                {placed &&
                    (['left', 'right'] as const).flatMap((each) =>
                        LIMBS.map(([from, to]) => {
                            const [a, b] = [placed[`${each}_${from}`], placed[`${each}_${to}`]];
                            return (
                                a &&
                                b && (
                                    <line
                                        key={`${each} ${from}`}
                                        x1={a[0]}
                                        y1={a[1]}
                                        x2={b[0]}
                                        y2={b[1]}
                                        className={each === side ? 'stroke-ink' : 'stroke-soft'}
                                        strokeWidth={each === side ? 5 : 3}
                                        strokeLinecap="round"
                                    />
                                )
                            );
                        }),
                    )}
                {placed &&
                    Object.entries(placed).map(([each, [x, y]]) => (
                        <circle key={each} cx={x} cy={y} r={each === 'ball' ? 5 : 3} className="fill-tape stroke-ink" />
                    ))}
            </svg>
            <figcaption className="text-sm text-soft">
                {placed ? name : `${name}: this moment is not marked`}
            </figcaption>
        </figure>
    );
}

/**
 * As large as each other by the trunk where it is seen, else by all there is; the middle in the middle, the target
 * right.
 */
function placedOf({ points, target }: Drawable): Points | null {
    const all = Object.values(points);
    if (all.length === 0) return null;
    const middle = (name: string) => {
        const [left, right] = [points[`left_${name}`], points[`right_${name}`]];
        return left && right && ([(left[0] + right[0]) / 2, (left[1] + right[1]) / 2] as const);
    };
    const [hips, shoulders] = [middle('hip'), middle('shoulder')];
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
    const [width, height] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
    const trunk = hips && shoulders ? Math.hypot(hips[0] - shoulders[0], hips[1] - shoulders[1]) : 0;
    const fits = (SIZE - 24) / Math.max(width, height, 1);
    const scale = trunk > 0 ? Math.min(TRUNK / trunk, fits) : Math.min(1, fits);
    const [midX, midY] = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
    const turn = target === 'right' ? 1 : -1;
    return Object.fromEntries(
        Object.entries(points).map(([name, [x, y]]) => [
            name,
            [SIZE / 2 + turn * (x - midX) * scale, SIZE / 2 + (y - midY) * scale] as const,
        ]),
    );
}
