import type { Box, Court } from '../rules/round';
import { clsx } from 'clsx';

/** Shown behind the line, beside the line, and of the own side, metres. */
const BEYOND_M = 2.5;
const BESIDE_M = 1.4;
const BEFORE_NET_M = 1.4;
/** Beyond any picture of a court. */
const EDGE_M = 60;

/**
 * The far side of a court as its server sees it, to scale: touch where it landed; on the near side of the net it went
 * into the net. Places are metres to the right of the middle of the box and beyond it.
 */
export function CourtPad({
    court,
    box,
    points,
    onTouch,
    onNet,
}: {
    court: Court;
    box: Box;
    points: [number, number][];
    onTouch: (place: [number, number]) => void;
    onNet: () => void;
}) {
    const half = court.half_width_m + BESIDE_M;
    const depth = court.net_m + BEYOND_M;
    const middle = { across: -(box.left_m + box.right_m) / 2, along: (box.near_m + box.far_m) / 2 };
    const where = `${court.name}, aimed at: ${box.name}`.toLowerCase();
    const touch = (event: React.PointerEvent<SVGSVGElement>): void => {
        const matrix = event.currentTarget.getScreenCTM();
        if (matrix === null) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        if (-y < 0) return onNet();
        const round = (value: number): number => Math.round(value * 100) / 100;
        onTouch([round(x - middle.across), round(-y - middle.along)]);
    };
    return (
        <svg
            viewBox={`${-half} ${-depth} ${2 * half} ${depth + BEFORE_NET_M}`}
            className={clsx(
                'block max-h-[42dvh] min-h-40 w-full shrink cursor-crosshair touch-none',
                'border-2 border-ink bg-page',
            )}
            role="img"
            aria-label={`${points.length} places on the ${where}`}
            onPointerDown={touch}
        >
            <rect x={-EDGE_M} y={0} width={2 * EDGE_M} height={BEFORE_NET_M} className="fill-line/40" />
            <text y={BEFORE_NET_M * 0.72} textAnchor="middle" fontSize={0.9} className="fill-ink">
                net
            </text>
            <rect
                x={-court.half_width_m}
                y={-court.net_m}
                width={2 * court.half_width_m}
                height={court.net_m}
                className="fill-none stroke-line"
                strokeWidth={0.07}
            />
            <rect
                x={-box.left_m}
                y={-box.far_m}
                width={box.left_m - box.right_m}
                height={box.far_m - box.near_m}
                className="fill-tape/25 stroke-ink"
                strokeWidth={0.09}
            />
            <line x1={-EDGE_M} x2={EDGE_M} y1={0} y2={0} className="stroke-ink" strokeWidth={0.16} />
            {points.map(([across, along], i) => (
                <circle
                    key={i}
                    cx={across + middle.across}
                    cy={-(along + middle.along)}
                    r={0.24}
                    className={clsx(i === points.length - 1 ? 'fill-stop' : 'fill-ink')}
                />
            ))}
        </svg>
    );
}
