import type { Pose } from '@mediapipe/pose';
import type { Point, Points } from '../../rules/frame';
import { NobodyFound, NotShown } from './source';

/** Our names of the points the model finds, by their place in its list. */
const NAMES: Record<number, string> = {
    11: 'left_shoulder',
    12: 'right_shoulder',
    13: 'left_elbow',
    14: 'right_elbow',
    15: 'left_wrist',
    16: 'right_wrist',
    23: 'left_hip',
    24: 'right_hip',
    25: 'left_knee',
    26: 'right_knee',
    27: 'left_ankle',
    28: 'right_ankle',
    29: 'left_heel',
    30: 'right_heel',
    31: 'left_toe',
    32: 'right_toe',
};
export const FINDABLE = Object.keys(NAMES).length;

/** Less sure than this is a gap, never a guess carried on. */
const SURE = 0.5;
const FROM = '/build/pose';
/** The model is loaded once; whoever waits longer than this is told. */
const PATIENCE_MS = 60_000;

export type Box = readonly [corner: Point, opposite: Point];

let loaded: Promise<Pose> | null = null;

/**
 * Looks for the joints of one athlete in one picture, on this device.
 *
 * @param box round the athlete: only that is looked at, for the model sees one person and cannot say there are two
 * @throws NotShown when this device cannot look, or nobody is found
 */
export async function findPoints(picture: ImageBitmap, box: Box | null): Promise<Points> {
    if (document.createElement('canvas').getContext('webgl2') === null)
        throw new NotShown('This device cannot look for points (its browser has no WebGL). Touch them by hand.');
    const model = await (loaded ??= load());
    const { canvas, left, top } = cutOut(picture, box);
    const found = await new Promise<Points>((resolve, reject) => {
        model.onResults((results) => resolve(named(results.poseLandmarks ?? [], canvas, left, top)));
        // Nothing is carried over from the picture before: they may be seconds apart, or another athlete's.
        model.reset();
        model.send({ image: canvas }).catch(reject);
        setTimeout(() => reject(new NotShown('It takes too long here. Touch the points by hand.')), PATIENCE_MS);
    });
    if (Object.keys(found).length === 0)
        throw new NobodyFound(
            'Nobody is found on this picture. Draw a box round the athlete, or touch the points by hand.',
        );
    return found;
}

type Landmarks = ReadonlyArray<{ x: number; y: number; visibility?: number }>;

function named(landmarks: Landmarks, { width, height }: HTMLCanvasElement, left: number, top: number): Points {
    const round = (px: number): number => Math.round(px * 10) / 10;
    return Object.fromEntries(
        landmarks.flatMap(({ x, y, visibility = 0 }, i) => {
            const name = NAMES[i];
            return name && visibility >= SURE
                ? [[name, [round(left + x * width), round(top + y * height)] as const]]
                : [];
        }),
    );
}

function cutOut(picture: ImageBitmap, box: Box | null): { canvas: HTMLCanvasElement; left: number; top: number } {
    const [[x1, y1], [x2, y2]] = box ?? [
        [0, 0],
        [picture.width, picture.height],
    ];
    const left = Math.max(0, Math.min(x1, x2));
    const top = Math.max(0, Math.min(y1, y2));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.min(picture.width, Math.max(x1, x2)) - left);
    canvas.height = Math.max(1, Math.min(picture.height, Math.max(y1, y2)) - top);
    canvas.getContext('2d')?.drawImage(picture, -left, -top);
    return { canvas, left, top };
}

async function load(): Promise<Pose> {
    try {
        await script(`${FROM}/pose.js`);
        const Made = (globalThis as unknown as { Pose: new (config: object) => Pose }).Pose;
        const model = new Made({ locateFile: (file: string) => `${FROM}/${file}` });
        model.setOptions({ modelComplexity: 0, smoothLandmarks: false, minDetectionConfidence: SURE });
        await model.initialize();
        return model;
    } catch {
        loaded = null;
        throw new NotShown(
            'The model could not be loaded. Load this page again (what you marked stays), or touch the points by hand.',
        );
    }
}

const script = (from: string): Promise<void> =>
    new Promise((resolve, reject) => {
        const element = document.createElement('script');
        element.src = from;
        element.onload = () => resolve();
        element.onerror = () => reject(new Error(from));
        document.head.append(element);
    });
