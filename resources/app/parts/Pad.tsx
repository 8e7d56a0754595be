import { clsx } from 'clsx';
/**
 * A target pad: touch where it landed. The aim is the middle; up is beyond it. Drawn with what the grouping comes to,
 * when that is known.
 */
export function Pad({
    points,
    halfWidthM,
    mean,
    ellipses = [],
    onTap,
}: {
    points: [number, number][];
    halfWidthM: number | null;
    mean?: [number, number];
    ellipses?: number[];
    onTap?: (point: [number, number]) => void;
}) {
    const widest = Math.max(
        0.5,
        ...points.flatMap(([x, y]) => [Math.abs(x), Math.abs(y)]),
        ...ellipses.slice(0, 4).map((axis, i) => axis + Math.abs(mean?.[i % 2] ?? 0)),
    );
    const half = halfWidthM ?? Math.ceil(widest * 1.1 * 2) / 2;
    const at = (value: number): number => (100 * value) / half;
    const tap = (event: React.PointerEvent<SVGSVGElement>): void => {
        const box = event.currentTarget.getBoundingClientRect();
        const round = (value: number): number => Math.round(value * 100) / 100;
        onTap?.([
            round((((event.clientX - box.left) / box.width) * 2 - 1) * half),
            round((1 - ((event.clientY - box.top) / box.height) * 2) * half),
        ]);
    };
    return (
        <svg
            viewBox="-100 -100 200 200"
            className={clsx(
                'block aspect-square w-full border-2 border-ink bg-page',
                onTap && 'touch-none cursor-crosshair',
            )}
            role="img"
            aria-label={`${points.length} places on a pad of ${half} m each way`}
            onPointerDown={onTap && tap}
        >
            <path d="M-100 0H100M0 -100V100" stroke="var(--color-line)" />
            {[0.25, 0.5, 0.75].map((share) => (
                <circle key={share} r={100 * share} fill="none" stroke="var(--color-line)" />
            ))}
            <text x="97" y="-4" textAnchor="end" fontSize="9" className="fill-soft">
                {half} m
            </text>
            {mean &&
                ellipses.length === 5 &&
                [0, 2].map((i) => (
                    <ellipse
                        key={i}
                        rx={at(ellipses[i] ?? 0)}
                        ry={at(ellipses[i + 1] ?? 0)}
                        transform={`translate(${at(mean[0])} ${-at(mean[1])}) rotate(${-(ellipses[4] ?? 0)})`}
                        fill="none"
                        stroke="var(--color-ink)"
                        strokeWidth="1.4"
                        strokeDasharray={i === 2 ? '4 3' : undefined}
                    />
                ))}
            {points.map(([x, y], i) => (
                <circle
                    key={i}
                    cx={at(x)}
                    cy={-at(y)}
                    r="3.6"
                    fill={i === points.length - 1 && onTap ? 'var(--color-stop)' : 'var(--color-ink)'}
                />
            ))}
            {mean && (
                <path
                    d={`M${at(mean[0]) - 6} ${-at(mean[1])}h12m-6 -6v12`}
                    stroke="var(--color-stop)"
                    strokeWidth="2.4"
                />
            )}
        </svg>
    );
}
