/**
 * A picture measured on the device, without a connection. The core's `FrameMeasures`, `FrameFigure`, `MeasureBand` and
 * `FigureChange` say what it means; tests/examples/frames.json, written by the core, binds this file to them.
 */
export type Side = 'left' | 'right';
export type Point = readonly [x: number, y: number];
export type Segment = readonly [from: Point, to: Point];
export type Points = Readonly<Record<string, Point>>;

export type Setting = {
    /** side of the picture the target lies on */
    target: Side;
    /** top and bottom of something upright; null: the picture's own vertical */
    plumb: Segment | null;
    /** in the direction of the run-up */
    runway: Segment | null;
    scale: { line: Segment; metres: number } | null;
};

export type Picture = { points: Points; throwing: Side; setting: Setting };

export type Look = 'right' | 'wrong' | 'uncertain';

const ANGLES: Record<string, readonly [string, string, string]> = {
    elbow: ['shoulder', 'elbow', 'wrist'],
    knee: ['hip', 'knee', 'ankle'],
    shoulder: ['hip', 'shoulder', 'elbow'],
    hip: ['shoulder', 'hip', 'knee'],
};

/** A figure nearer to a bound than so many standard deviations does not say on which side it lies. */
export const SURE_SD = 1.96;
/** Half a step of the difference that says how a figure hangs on a point, in pixels. */
const NUDGE_PX = 0.5;
const DEGREES = 180 / Math.PI;

const from = ([x, y]: Point, [fromX, fromY]: Point): Point => [x - fromX, y - fromY];
const dot = ([ax, ay]: Point, [bx, by]: Point): number => ax * bx + ay * by;
const length = ([x, y]: Point): number => Math.hypot(x, y);
const turnedRight = ([x, y]: Point): Point => [-y, x];
const halfway = (a: Point | undefined, b: Point | undefined): Point | null =>
    a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : null;
const opposite = (side: Side): Side => (side === 'left' ? 'right' : 'left');

function unit(way: Point): Point | null {
    const px = length(way);
    return px > 0 ? [way[0] / px, way[1] / px] : null;
}

function angleAt(middle: Point, one: Point, other: Point): number | null {
    const [a, b] = [from(one, middle), from(other, middle)];
    if (length(a) === 0 || length(b) === 0) return null;
    return Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], dot(a, b))) * DEGREES;
}

function axes({ target, plumb }: Setting): { up: Point; forward: Point } {
    const up = (plumb && unit(from(plumb[0], plumb[1]))) ?? ([0, -1] as const);
    const right = turnedRight(up);
    return { up, forward: target === 'right' ? right : [-right[0], -right[1]] };
}

const middleOf = (points: Points, joint: string): Point | null =>
    halfway(points[`left_${joint}`], points[`right_${joint}`]);

function trunkOf(points: Points): Point | null {
    const [hips, shoulders] = [middleOf(points, 'hip'), middleOf(points, 'shoulder')];
    return hips && shoulders ? from(shoulders, hips) : null;
}

/** A length in trunks: null where shoulders or hips are not seen. */
function inTrunks(points: Points, px: number | null): number | null {
    const trunk = trunkOf(points);
    return px === null || trunk === null || length(trunk) === 0 ? null : px / length(trunk);
}

const along = (way: Point, point: Point | undefined, over: Point | undefined): number | null =>
    point && over ? dot(from(point, over), way) : null;

function bodyAngle(points: Points, side: Side, joint: string): number | null {
    const [one, middle, other] = (ANGLES[joint] ?? []).map((name) => points[`${side}_${name}`]);
    return one && middle && other ? angleAt(middle, one, other) : null;
}

function shoulderLine({ points, throwing, setting }: Picture): number | null {
    const [own, other] = [points[`${throwing}_shoulder`], points[`${opposite(throwing)}_shoulder`]];
    const line = own && other ? from(other, own) : null;
    if (!line || length(line) === 0) return null;
    const { up, forward } = axes(setting);
    return Math.atan2(dot(line, up), Math.abs(dot(line, forward))) * DEGREES;
}

function trunkTilt({ points, setting }: Picture): number | null {
    const trunk = trunkOf(points);
    if (!trunk || length(trunk) === 0) return null;
    const { up, forward } = axes(setting);
    return Math.atan2(dot(trunk, forward), dot(trunk, up)) * DEGREES;
}

function landingOffset({ points, setting }: Picture): number | null {
    const feet = middleOf(points, 'ankle');
    if (!feet || !setting.runway) return null;
    const way = from(setting.runway[1], setting.runway[0]);
    return dot(from(feet, setting.runway[0]), turnedRight(way)) / length(way);
}

const OTHERWISE: Record<string, (picture: Picture) => number | null> = {
    trunk_tilt: trunkTilt,
    shoulder_line: shoulderLine,
    wrist_above_elbow: ({ points, throwing, setting }) =>
        inTrunks(points, along(axes(setting).up, points[`${throwing}_wrist`], points[`${throwing}_elbow`])),
    elbow_above_shoulder: ({ points, throwing, setting }) =>
        inTrunks(points, along(axes(setting).up, points[`${throwing}_elbow`], points[`${throwing}_shoulder`])),
    ball_above_shoulder: ({ points, throwing, setting }) =>
        inTrunks(points, along(axes(setting).up, points.ball, points[`${throwing}_shoulder`])),
    ball_forward: ({ points, throwing, setting }) =>
        inTrunks(points, along(axes(setting).forward, points.ball, points[`${opposite(throwing)}_ankle`])),
    landing_offset: (picture) => inTrunks(picture.points, landingOffset(picture)),
};

/** One figure of a picture: degrees, or lengths of the trunk; null where a point it needs is not there. */
export function figureOf(figure: string, picture: Picture): number | null {
    const named = OTHERWISE[figure];
    if (named) return named(picture);
    const [whose, joint = ''] = figure.split('_');
    return bodyAngle(picture.points, whose === 'throwing' ? picture.throwing : opposite(picture.throwing), joint);
}

/**
 * How far it may be off because of where the points were put, to first order.
 *
 * @param spreadPx standard deviation of each point, along either axis
 */
export function spreadOf(
    figure: string,
    unitOf: 'deg' | 'trunk',
    picture: Picture,
    spreadPx: Record<string, number>,
): number | null {
    if (figureOf(figure, picture) === null) return null;
    let variance = 0;
    for (const [name, [x, y]] of Object.entries(picture.points)) {
        for (const [dx, dy] of [
            [NUDGE_PX, 0],
            [0, NUDGE_PX],
        ] as const) {
            const at = (point: Point): number | null =>
                figureOf(figure, { ...picture, points: { ...picture.points, [name]: point } });
            const [more, less] = [at([x + dx, y + dy]), at([x - dx, y - dy])];
            if (more === null || less === null) continue;
            const change = unitOf === 'deg' ? ((more - less + 540) % 360) - 180 : more - less;
            variance += ((change / (2 * NUDGE_PX)) * (spreadPx[name] ?? 0)) ** 2;
        }
    }
    return Math.sqrt(variance);
}

const LIMB_JOINTS: Record<string, readonly [string, string]> = {
    upper_arm: ['shoulder', 'elbow'],
    forearm: ['elbow', 'wrist'],
    thigh: ['hip', 'knee'],
    shank: ['knee', 'ankle'],
};
const SIDES = ['left', 'right'] as const;

function limbOf(points: Points, side: Side, [one, other]: readonly [string, string]): number | null {
    const [a, b] = [points[`${side}_${one}`], points[`${side}_${other}`]];
    return a && b ? inTrunks(points, length(from(b, a))) : null;
}

/** How long each limb looks, in lengths of the trunk; of left and right the longer one, for they are as long. */
export const limbLengths = (points: Points): Record<string, number> =>
    Object.fromEntries(
        Object.entries(LIMB_JOINTS).flatMap(([limb, joints]) => {
            const seen = SIDES.flatMap((side) => limbOf(points, side, joints) ?? []);
            return seen.length === 0 ? [] : [[limb, Math.max(...seen)]];
        }),
    );

/**
 * By about how many degrees a limb that a figure is made of is turned out of the picture; the core's `Foreshortening`.
 *
 * @param needs landmarks the figure is made of
 * @param longest how long each limb ever looked, in trunks
 */
export function turnedBy(needs: readonly string[], points: Points, longest: Record<string, number>): number | null {
    const turned = Object.entries(LIMB_JOINTS).flatMap(([limb, joints]) =>
        SIDES.flatMap((side) => {
            const isOfIt = joints.every((joint) => needs.includes(`${side}_${joint}`));
            const seen = isOfIt ? limbOf(points, side, joints) : null;
            const most = longest[limb];
            return seen === null || most === undefined ? [] : [Math.acos(Math.min(1, seen / most)) * DEGREES];
        }),
    );
    return turned.length === 0 ? null : Math.max(...turned);
}

/** What a measure says of a checkpoint. */
export function judge(band: { low: number | null; high: number | null }, value: number, spread: number): Look {
    const within = Math.min(value - (band.low ?? -Infinity), (band.high ?? Infinity) - value);
    if (Math.abs(within) < SURE_SD * spread) return 'uncertain';
    return within >= 0 ? 'right' : 'wrong';
}

type Figure = { value: number; spread: number };

/** How one figure differs from another, and whether that can be told. */
export function changeBetween(first: Figure, second: Figure): { by: number; off: number; isTold: boolean } {
    const by = second.value - first.value;
    const off = SURE_SD * Math.hypot(first.spread, second.spread);
    return { by, off, isTold: Math.abs(by) > off };
}
