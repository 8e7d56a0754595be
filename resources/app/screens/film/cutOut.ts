import { LIMBS } from '../../parts/DrawnPoints';
import type { Point, Points } from '../../rules/frame';
import { isDrawable } from './source';

/** A saved picture is no larger than this. */
const LONGEST_PX = 640;
/** Tried in turn until it is small enough: all pictures of a clip go in one request. */
const QUALITIES = [0.82, 0.6, 0.35];
const MOST_BYTES = 70_000;
/** What lies outside the athlete is drawn from so few pixels that nobody is known by it. */
const BLUR_TO_PX = 14;
/** How wide a limb is beside its line, and the head above the shoulders, in lengths of the trunk. */
const LIMB_TRUNKS = 0.42;
const HEAD_TRUNKS = 0.5;
/** Where no trunk is seen: a share of what is seen. */
const LIMB_SHARE = 0.14;
/** Round what is marked, so much of it more. */
const ROOM = 0.25;

const BODY = [...LIMBS, ['heel', 'toe'], ['ankle', 'toe']] as const;

export type Cut = { left: number; top: number; width: number; height: number };

/** What of a picture is saved: round the marked points, never the whole picture where they do not fill it. */
export function cutRound(points: Points, within: { width: number; height: number }): Cut | null {
    const all = Object.values(points);
    if (all.length < 2) return null;
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
    const reach = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 40);
    const room = ROOM * reach;
    const left = Math.max(0, Math.floor(Math.min(...xs) - room));
    const top = Math.max(0, Math.floor(Math.min(...ys) - room));
    return {
        left,
        top,
        width: Math.min(within.width, Math.ceil(Math.max(...xs) + room)) - left,
        height: Math.min(within.height, Math.ceil(Math.max(...ys) + room)) - top,
    };
}

/** The athlete as lines of some width: whatever lies outside them is blurred. */
export function bodyOf(points: Points): { lines: Array<readonly [Point, Point]>; head: Point | null; widthPx: number } {
    const at = (name: string): Point | undefined => points[name];
    const middle = (joint: string): Point | null => {
        const [a, b] = [at(`left_${joint}`), at(`right_${joint}`)];
        return a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : null;
    };
    const [hips, shoulders] = [middle('hip'), middle('shoulder')];
    const trunkPx = hips && shoulders ? Math.hypot(hips[0] - shoulders[0], hips[1] - shoulders[1]) : 0;
    const all = Object.values(points);
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
    const reach = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 40);
    const lines = (['left', 'right'] as const).flatMap((side) =>
        BODY.flatMap(([from, to]) => {
            const [a, b] = [at(`${side}_${from}`), at(`${side}_${to}`)];
            return a && b ? [[a, b] as const] : [];
        }),
    );
    for (const joint of ['shoulder', 'hip']) {
        const [a, b] = [at(`left_${joint}`), at(`right_${joint}`)];
        if (a && b) lines.push([a, b]);
    }
    const ball = at('ball');
    if (ball) lines.push([ball, ball]);
    if (hips && shoulders) lines.push([hips, shoulders]);
    return {
        lines,
        head:
            hips && shoulders && trunkPx > 0
                ? [
                      shoulders[0] + HEAD_TRUNKS * (shoulders[0] - hips[0]),
                      shoulders[1] + HEAD_TRUNKS * (shoulders[1] - hips[1]),
                  ]
                : null,
        widthPx: trunkPx > 0 ? 2 * LIMB_TRUNKS * trunkPx : 2 * LIMB_SHARE * reach,
    };
}

/**
 * A picture of one moment as it is saved: cut to the athlete, everything beside the marked body blurred, drawn anew so
 * that nothing of the device is in it.
 *
 * @returns a JPEG as base64; null where too little is marked to know where the athlete is, or it cannot be made small
 */
export async function savedPicture(picture: ImageBitmap, points: Points): Promise<string | null> {
    const cut = cutRound(points, picture);
    if (cut === null || !isDrawable(picture)) return null;
    const scale = Math.min(1, LONGEST_PX / Math.max(cut.width, cut.height));
    const [width, height] = [Math.max(1, Math.round(cut.width * scale)), Math.max(1, Math.round(cut.height * scale))];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    if (!context) return null;
    blurred(context, picture, cut);
    const { lines, head, widthPx } = bodyOf(points);
    const body = new OffscreenCanvas(width, height);
    const inside = body.getContext('2d');
    if (!inside) return null;
    inside.scale(scale, scale);
    inside.translate(-cut.left, -cut.top);
    inside.lineCap = inside.lineJoin = 'round';
    inside.lineWidth = widthPx;
    for (const [[x1, y1], [x2, y2]] of lines) {
        inside.beginPath();
        inside.moveTo(x1, y1);
        inside.lineTo(x2 + 0.01, y2);
        inside.stroke();
    }
    if (head) {
        inside.beginPath();
        inside.arc(head[0], head[1], 0.6 * widthPx, 0, 2 * Math.PI);
        inside.fill();
    }
    inside.globalCompositeOperation = 'source-in';
    inside.drawImage(picture, 0, 0);
    context.drawImage(body, 0, 0);
    for (const quality of QUALITIES) {
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
        if (blob.size <= MOST_BYTES) return base64Of(await blob.arrayBuffer());
    }
    return null;
}

function blurred(context: OffscreenCanvasRenderingContext2D, picture: ImageBitmap, cut: Cut): void {
    const { width, height } = context.canvas;
    const share = BLUR_TO_PX / Math.max(width, height);
    const small = new OffscreenCanvas(Math.max(1, Math.round(width * share)), Math.max(1, Math.round(height * share)));
    const few = small.getContext('2d');
    if (!few) return;
    few.imageSmoothingQuality = 'high';
    few.drawImage(picture, cut.left, cut.top, cut.width, cut.height, 0, 0, small.width, small.height);
    context.imageSmoothingEnabled = true;
    context.drawImage(small, 0, 0, width, height);
}

/** Bytes as text that can be sent. */
export function base64Of(bytes: ArrayBuffer): string {
    let text = '';
    const all = new Uint8Array(bytes);
    for (let i = 0; i < all.length; i += 32_768) text += String.fromCharCode(...all.subarray(i, i + 32_768));
    return btoa(text);
}
