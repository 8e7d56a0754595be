import type { Points, Side } from '../rules/frame';

const SIZE = 220;
const TRUNK = 52;

const LIMBS = [
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
