import type { Points, Side } from '../../rules/frame';
import type { ClipSource } from './source';

/**
 * A camera that ships with Augendo: a serve drawn from known joints, so that the whole way from a clip to an angle can
 * be tried without one, and held against what is known to be true.
 */
const WIDTH = 960;
const HEIGHT = 540;
const PICTURES_A_SECOND = 60;
const TRUNK_PX = 95;
const POST_PX = 365;
const GROUND_PX = 470;

/** A pose in lengths of the trunk, from the middle of the hips; x towards the target, y up. Right-handed. */
type Pose = Record<string, readonly [x: number, y: number]>;

const STAND: Pose = {
    left_shoulder: [0.1, 1.02],
    right_shoulder: [-0.1, 0.98],
    left_elbow: [0.3, 0.55],
    right_elbow: [-0.25, 0.5],
    left_wrist: [0.55, 0.35],
    right_wrist: [-0.05, 0.25],
    left_hip: [0.12, 0.01],
    right_hip: [-0.12, -0.01],
    left_knee: [0.28, -0.82],
    right_knee: [-0.3, -0.82],
    left_ankle: [0.34, -1.65],
    right_ankle: [-0.42, -1.65],
    ball: [0.6, 0.4],
};
const LOADED: Pose = {
    ...STAND,
    left_shoulder: [0.22, 1.04],
    right_shoulder: [-0.2, 0.86],
    left_elbow: [0.42, 1.5],
    left_wrist: [0.5, 1.95],
    right_elbow: [-0.68, 0.86],
    right_wrist: [-0.5, 1.3],
    left_knee: [0.5, -0.68],
    right_knee: [-0.06, -0.68],
    left_ankle: [0.34, -1.42],
    right_ankle: [-0.42, -1.42],
    ball: [0.62, 2.6],
};
const DROP: Pose = {
    ...LOADED,
    left_elbow: [0.5, 1.0],
    left_wrist: [0.62, 1.2],
    right_shoulder: [-0.12, 0.96],
    right_elbow: [-0.35, 1.32],
    right_wrist: [-0.7, 1.06],
    left_knee: [0.36, -0.8],
    right_knee: [-0.1, -0.8],
    left_ankle: [0.34, -1.62],
    right_ankle: [-0.42, -1.6],
    ball: [0.6, 2.75],
};
const CONTACT: Pose = {
    left_shoulder: [0.02, 0.9],
    right_shoulder: [0.2, 1.08],
    left_elbow: [0.12, 0.45],
    right_elbow: [0.34, 1.56],
    left_wrist: [-0.02, 0.2],
    right_wrist: [0.45, 2.02],
    left_hip: [0.1, 0],
    right_hip: [-0.1, 0],
    left_knee: [0.02, -0.85],
    right_knee: [-0.22, -0.84],
    left_ankle: [-0.06, -1.7],
    right_ankle: [-0.42, -1.62],
    ball: [0.62, 2.55],
};
const LANDING: Pose = {
    ...CONTACT,
    left_shoulder: [0.34, 0.93],
    right_shoulder: [0.3, 0.84],
    right_elbow: [0.66, 0.5],
    right_wrist: [0.5, 0.1],
    left_knee: [0.22, -0.76],
    left_ankle: [0.12, -1.58],
    right_knee: [-0.42, -0.72],
    right_ankle: [-0.95, -1.02],
    ball: [4.2, 1.2],
};

/**
 * Poses by when they are reached, in seconds, and how far the hips are then in front of where they began and above the
 * ground.
 */
const PLAN: ReadonlyArray<readonly [at: number, pose: Pose, forward: number, hips: number]> = [
    [0, STAND, 0, 1.65],
    [0.7, LOADED, 0.1, 1.42],
    [0.95, DROP, 0.22, 1.62],
    [1.1, CONTACT, 0.5, 1.95],
    [1.4, LANDING, 0.95, 1.58],
    [1.6, LANDING, 1, 1.58],
    // Back to where it began, for the next try.
    [2.4, STAND, 0, 1.65],
];

const smooth = (share: number): number => share * share * (3 - 2 * share);
const between = (a: number, b: number, share: number): number => a + (b - a) * share;

/** Where every joint is, in pixels of the picture: the truth that a measurement is held against. */
export function jointsAt(timeS: number, throwing: Side): Points {
    const i = Math.max(0, Math.min(PLAN.length - 2, PLAN.findIndex(([at]) => at > timeS - 1e-9) - 1));
    const [start, end] = [PLAN[i], PLAN[i + 1]];
    if (!start || !end) return {};
    const share = smooth(Math.min(1, Math.max(0, (timeS - start[0]) / (end[0] - start[0]))));
    const hipsX = between(start[2], end[2], share);
    const hipsY = between(start[3], end[3], share);
    const points: Record<string, readonly [number, number]> = {};
    for (const [name, from] of Object.entries(start[1])) {
        const to = end[1][name] ?? from;
        const x = 330 + (hipsX + between(from[0], to[0], share)) * TRUNK_PX;
        const y = GROUND_PX - (hipsY + between(from[1], to[1], share)) * TRUNK_PX;
        points[throwing === 'right' ? name : otherSide(name)] = [x, y];
    }
    return points;
}

const otherSide = (name: string): string =>
    name.startsWith('left_') ? name.replace('left_', 'right_') : name.replace('right_', 'left_');

const LIMBS: ReadonlyArray<readonly [from: string, to: string, width: number]> = [
    ['shoulder', 'elbow', 13],
    ['elbow', 'wrist', 10],
    ['hip', 'knee', 18],
    ['knee', 'ankle', 13],
];

type Canvas = OffscreenCanvasRenderingContext2D | CanvasRenderingContext2D;

export function paint(context: Canvas, joints: Points, throwing: Side): void {
    context.fillStyle = '#cfd6cc';
    context.fillRect(0, 0, WIDTH, HEIGHT);
    context.fillStyle = '#a9b5a4';
    context.fillRect(0, GROUND_PX, WIDTH, HEIGHT - GROUND_PX);
    // A post of two metres, upright: the plumb line and the scale.
    context.fillStyle = '#5a6a60';
    context.fillRect(840, GROUND_PX - POST_PX, 10, POST_PX);
    const far = throwing === 'right' ? 'left' : 'right';
    limbs(context, joints, far, '#6d7a73');
    const corners = ['left_shoulder', 'right_shoulder', 'right_hip', 'left_hip'].map((name) => joints[name]);
    context.fillStyle = '#3c4a43';
    context.strokeStyle = '#3c4a43';
    context.lineJoin = 'round';
    context.lineWidth = 21;
    context.beginPath();
    for (const corner of corners) if (corner) context.lineTo(corner[0], corner[1]);
    context.closePath();
    context.stroke();
    context.fill();
    limbs(context, joints, throwing, '#1d2a24');
    circle(context, headOf(joints), 21, '#2c3933');
    racket(context, joints, throwing);
    circle(context, joints.ball, 8, '#f2c230');
}

function headOf(joints: Points): readonly [number, number] | undefined {
    const [left, right] = [joints.left_shoulder, joints.right_shoulder];
    return left && right && [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2 - 38];
}

function circle(context: Canvas, at: readonly [number, number] | undefined, radius: number, colour: string): void {
    if (!at) return;
    context.fillStyle = colour;
    context.beginPath();
    context.arc(at[0], at[1], radius, 0, 2 * Math.PI);
    context.fill();
}

function limbs(context: Canvas, joints: Points, side: Side, colour: string): void {
    context.strokeStyle = colour;
    context.lineCap = 'round';
    for (const [from, to, width] of LIMBS) {
        const [a, b] = [joints[`${side}_${from}`], joints[`${side}_${to}`]];
        if (!a || !b) continue;
        context.lineWidth = width;
        context.beginPath();
        context.moveTo(a[0], a[1]);
        context.lineTo(b[0], b[1]);
        context.stroke();
    }
}

function racket(context: Canvas, joints: Points, side: Side): void {
    const [elbow, wrist] = [joints[`${side}_elbow`], joints[`${side}_wrist`]];
    if (!elbow || !wrist) return;
    const [x, y] = [wrist[0] + (wrist[0] - elbow[0]) * 1.1, wrist[1] + (wrist[1] - elbow[1]) * 1.1];
    context.strokeStyle = '#14201c';
    context.lineWidth = 5;
    context.beginPath();
    context.moveTo(wrist[0], wrist[1]);
    context.lineTo(x, y);
    context.stroke();
    context.beginPath();
    context.ellipse(x, y, 17, 21, Math.atan2(y - wrist[1], x - wrist[0]) + Math.PI / 2, 0, 2 * Math.PI);
    context.stroke();
}

/** The drawn serve as a clip, three tries one after the other. */
export function drawnClip(throwing: Side): ClipSource {
    const length = PLAN.at(-1)?.[0] ?? 0;
    const tries = 3;
    const times = Array.from(
        { length: Math.round(tries * length * PICTURES_A_SECOND) },
        (_, i) => i / PICTURES_A_SECOND,
    );
    return {
        name: 'Drawn figure',
        width: WIDTH,
        height: HEIGHT,
        times,
        picture: (no) => {
            const canvas = new OffscreenCanvas(WIDTH, HEIGHT);
            const context = canvas.getContext('2d');
            if (context) paint(context, jointsAt((times[no] ?? 0) % length, throwing), throwing);
            return Promise.resolve(canvas.transferToImageBitmap());
        },
        known: (no) => jointsAt((times[no] ?? 0) % length, throwing),
        close: () => undefined,
    };
}
