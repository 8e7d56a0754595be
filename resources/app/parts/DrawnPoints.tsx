import type { Points, Side } from '../rules/frame';

const SIZE = 220;
const TRUNK = 52;

/** Joints that a limb, or the side of the trunk, lies between. */
export const LIMBS = [
    ['shoulder', 'elbow'],
    ['elbow', 'wrist'],
    ['shoulder', 'hip'],
    ['hip', 'knee'],
    ['knee', 'ankle'],
] as const;

export type Drawable = { points: Points; target: Side };

/** A moment drawn from its points alone: no picture of anybody. The throwing side is heavy. */
export function DrawnPoints({ name, of, side }: { name: string; of: Drawable | null; side: Side }) {
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
                    bones(placed).map(([key, a, b]) => (
                        <line
                            key={key}
                            x1={a[0]}
                            y1={a[1]}
                            x2={b[0]}
                            y2={b[1]}
                            className={key.startsWith(side) ? 'stroke-ink' : 'stroke-soft'}
                            strokeWidth={key.startsWith(side) ? 5 : 3}
                            strokeLinecap="round"
                        />
                    ))}
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

/** Two in one drawing, their hips on one place and their trunks as long: the throwing side wide. */
export function LaidOver({ one, other, side }: { one: Named; other: Named; side: Side }) {
    return (
        <figure>
            <svg
                viewBox={`0 0 ${SIZE} ${SIZE}`}
                role="img"
                aria-label={`${one.name}, and over it ${other.name}`}
                className="w-full max-w-md border border-line bg-page"
            >
                {[one, other].map(({ name, of }, i) => {
                    const placed = of && placedOf(of, true);
                    return (
                        placed &&
                        bones(placed).map(([key, a, b]) => (
                            <line
                                key={`${i} ${name} ${key}`}
                                x1={a[0]}
                                y1={a[1]}
                                x2={b[0]}
                                y2={b[1]}
                                className={i === 0 ? 'stroke-ink' : 'stroke-stop'}
                                strokeWidth={(i === 0 ? 3 : 2) + (key.startsWith(side) ? 1.5 : 0)}
                                strokeDasharray={i === 0 ? undefined : '5 4'}
                                strokeLinecap="round"
                            />
                        ))
                    );
                })}
            </svg>
            <figcaption className="text-sm text-soft">
                Whole line: {said(one)}. Broken line: {said(other)}.
            </figcaption>
        </figure>
    );
}

type Named = { name: string; of: Drawable | null };
const said = ({ name, of }: Named): string => (of ? name : `${name}, where this moment is not marked`);

const bones = (placed: Points) =>
    (['left', 'right'] as const).flatMap((side) =>
        LIMBS.flatMap(([from, to]) => {
            const [a, b] = [placed[`${side}_${from}`], placed[`${side}_${to}`]];
            return a && b ? [[`${side} ${from}`, a, b] as const] : [];
        }),
    );

/**
 * As large as each other by the trunk where it is seen, else by all there is; the middle in the middle, the target
 * right.
 */
function placedOf({ points, target }: Drawable, atHips = false): Points | null {
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
    const [midX, midY] =
        atHips && hips ? hips : [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
    const turn = target === 'right' ? 1 : -1;
    return Object.fromEntries(
        Object.entries(points).map(([name, [x, y]]) => [
            name,
            [SIZE / 2 + turn * (x - midX) * scale, SIZE / 2 + (y - midY) * scale] as const,
        ]),
    );
}
