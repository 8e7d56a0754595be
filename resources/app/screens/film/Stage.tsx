import { clsx } from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import type { Point, Points, Segment } from '../../rules/frame';
import type { Box } from './finder';
import { landmark } from './marks';
import { type ClipSource, isDrawable } from './source';
import type { Looking } from './useClip';

const LIMBS: ReadonlyArray<readonly [from: string, to: string]> = ['left', 'right'].flatMap((side) =>
    (
        [
            ['shoulder', 'elbow'],
            ['elbow', 'wrist'],
            ['hip', 'knee'],
            ['knee', 'ankle'],
            ['shoulder', 'hip'],
        ] as const
    ).map(([from, to]) => [`${side}_${from}`, `${side}_${to}`] as const),
);
const STEPS: Record<string, Point> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};
const LOUPE_PX = 132;
const LOUPE_TIMES = 4;

type Drawn = { name: string; line: Segment }[];

/** The picture, what was put on it, and a loupe under the thumb. */
export function Stage({
    source,
    looking,
    points,
    lines,
    box,
    proposed,
    asked,
    view,
    onTouch,
    onMove,
}: {
    source: ClipSource;
    looking: Looking;
    points: Points;
    lines: Drawn;
    /** round the athlete */
    box: Box | null;
    /** points that no hand has touched yet */
    proposed: string[];
    /** what the next touch puts; null: nothing */
    asked: string | null;
    view: { mirrored: boolean; zoom: number };
    onTouch: (at: Point) => void;
    onMove: (name: string, at: Point | null) => void;
}) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const over = useRef<SVGSVGElement>(null);
    const px = useClipPixels(over, source.width);
    const [held, setHeld] = useState<{ name: string | null; at: Point } | null>(null);
    useEffect(() => {
        const context = canvas.current?.getContext('2d');
        if (context && isDrawable(looking.picture)) context.drawImage(looking.picture, 0, 0);
    }, [looking.picture]);
    const placeOf = (event: PointerEvent): Point => {
        const inverse = over.current?.getScreenCTM()?.inverse();
        const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(inverse);
        return [Math.round(at.x * 10) / 10, Math.round(at.y * 10) / 10];
    };
    const take = (event: PointerEvent, name: string | null): void => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld({ name, at: placeOf(event) });
    };
    const drag = (event: PointerEvent): void => {
        if (!held) return;
        const at = placeOf(event);
        setHeld({ ...held, at });
    };
    const drop = (event: PointerEvent): void => {
        if (!held) return;
        const at = placeOf(event);
        setHeld(null);
        if (held.name !== null) onMove(held.name, at);
        else if (asked !== null) onTouch(at);
    };
    const shown: Points = held?.name ? { ...points, [held.name]: held.at } : points;
    return (
        <div className="relative overflow-hidden border-2 border-ink bg-[#14201c]">
            <div
                className="relative mx-auto max-h-[66dvh] max-w-full"
                style={{
                    aspectRatio: `${source.width} / ${source.height}`,
                    transform: `scale(${view.mirrored ? -view.zoom : view.zoom}, ${view.zoom})`,
                }}
            >
                <canvas ref={canvas} width={source.width} height={source.height} className="size-full" />
                <svg
                    ref={over}
                    role="application"
                    aria-label={asked === null ? 'Picture' : `Picture: touch the ${asked}`}
                    viewBox={`0 0 ${source.width} ${source.height}`}
                    className={clsx('absolute inset-0 size-full touch-none', asked !== null && 'cursor-crosshair')}
                    onPointerDown={(event) => take(event, null)}
                    onPointerMove={drag}
                    onPointerUp={drop}
                    onPointerCancel={() => setHeld(null)}
                >
                    <Lines of={lines} px={px} />
                    {box && <BoxRound of={box} px={px} />}
                    <Limbs points={shown} px={px} />
                    {Object.entries(shown).map(([name, at]) => (
                        <Dot
                            key={name}
                            name={name}
                            at={at}
                            px={px}
                            isProposed={proposed.includes(name)}
                            onTake={(event) => take(event, name)}
                            onMove={onMove}
                        />
                    ))}
                </svg>
            </div>
            {held && <Loupe picture={looking.picture} at={held.at} right={held.at[0] < source.width / 2} />}
            {looking.problem && (
                <p role="alert" className="absolute inset-x-0 bottom-0 bg-page p-2">
                    {looking.problem.message}
                </p>
            )}
        </div>
    );
}

/**
 * How many pixels of the clip one pixel of the screen is: what is drawn over it is as large for a thumb on a phone as
 * on a desk.
 */
function useClipPixels(over: RefObject<SVGSVGElement | null>, width: number): number {
    const [px, setPx] = useState(1);
    useEffect(() => {
        const shown = over.current;
        if (!shown) return undefined;
        const observer = new ResizeObserver(([entry]) => {
            if (entry && entry.contentRect.width > 0) setPx(width / entry.contentRect.width);
        });
        observer.observe(shown);
        return () => observer.disconnect();
    }, [over, width]);
    return px;
}

function Lines({ of, px }: { of: Drawn; px: number }) {
    return of.map(({ name, line: [[x1, y1], [x2, y2]] }) => (
        <g key={name} className="pointer-events-none">
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#14201c" strokeWidth={5 * px} />
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#f8e3a0" strokeWidth={2.5 * px} strokeDasharray="9 6" />
        </g>
    ));
}

function BoxRound({ of: [[x1, y1], [x2, y2]], px }: { of: Box; px: number }) {
    return (
        <rect
            className="pointer-events-none"
            x={Math.min(x1, x2)}
            y={Math.min(y1, y2)}
            width={Math.abs(x2 - x1)}
            height={Math.abs(y2 - y1)}
            fill="none"
            stroke="#f2c230"
            strokeWidth={2 * px}
        />
    );
}

function Limbs({ points, px }: { points: Points; px: number }) {
    return LIMBS.map(([from, to]) => {
        const [a, b] = [points[from], points[to]];
        return (
            a &&
            b && (
                <g key={`${from} ${to}`} className="pointer-events-none">
                    <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="#fbfbf9" strokeWidth={4 * px} />
                    <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="#14201c" strokeWidth={1.5 * px} />
                </g>
            )
        );
    });
}

function Dot({
    name,
    at,
    px,
    isProposed,
    onTake,
    onMove,
}: {
    name: string;
    at: Point;
    px: number;
    isProposed: boolean;
    onTake: (event: PointerEvent) => void;
    onMove: (name: string, at: Point | null) => void;
}) {
    const step = (event: KeyboardEvent): void => {
        const by = STEPS[event.key];
        if (by) onMove(name, [at[0] + by[0], at[1] + by[1]]);
        else if (event.key === 'Delete' || event.key === 'Backspace') onMove(name, null);
        else return;
        event.preventDefault();
        event.stopPropagation();
    };
    const spoken = landmark(name) + (isProposed ? ', proposed' : '');
    return (
        <g
            tabIndex={0}
            role="button"
            aria-label={`${spoken}: arrow keys move it a pixel, Delete takes it away`}
            className="cursor-grab"
            onPointerDown={onTake}
            onKeyDown={step}
        >
            <circle cx={at[0]} cy={at[1]} r={18 * px} fill="transparent" />
            <circle
                cx={at[0]}
                cy={at[1]}
                r={6 * px}
                fill={isProposed ? '#fbfbf9' : '#f2c230'}
                stroke="#14201c"
                strokeWidth={2.5 * px}
            />
        </g>
    );
}

/** What lies under the thumb, four times as large. */
function Loupe({ picture, at, right }: { picture: ImageBitmap | null; at: Point; right: boolean }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    useEffect(() => {
        const context = canvas.current?.getContext('2d');
        if (!context || !isDrawable(picture)) return;
        const seen = LOUPE_PX / LOUPE_TIMES;
        context.fillStyle = '#14201c';
        context.fillRect(0, 0, LOUPE_PX, LOUPE_PX);
        const corner = [at[0] - seen / 2, at[1] - seen / 2] as const;
        context.drawImage(picture, ...corner, seen, seen, 0, 0, LOUPE_PX, LOUPE_PX);
        context.strokeStyle = '#f2c230';
        context.lineWidth = 1.5;
        context.beginPath();
        context.moveTo(LOUPE_PX / 2, 0);
        context.lineTo(LOUPE_PX / 2, LOUPE_PX);
        context.moveTo(0, LOUPE_PX / 2);
        context.lineTo(LOUPE_PX, LOUPE_PX / 2);
        context.stroke();
    }, [picture, at]);
    return (
        <canvas
            ref={canvas}
            width={LOUPE_PX}
            height={LOUPE_PX}
            aria-hidden
            className={clsx(
                'pointer-events-none absolute top-2 rounded-full border-2 border-tape',
                right ? 'right-2' : 'left-2',
            )}
        />
    );
}
