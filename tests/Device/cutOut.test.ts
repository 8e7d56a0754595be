import { describe, expect, test } from 'vitest';
import { base64Of, bodyOf, cutRound } from '../../resources/app/screens/film/cutOut';
import { jointsAt } from '../../resources/app/screens/film/drawn';

const PICTURE = { width: 960, height: 540 };

describe('what of a picture is saved', () => {
    test('the athlete with some room, and no more of the picture', () => {
        const joints = jointsAt(0.95, 'right');
        const cut = cutRound(joints, PICTURE);
        if (cut === null) throw new Error('nothing is cut');
        for (const [x, y] of Object.values(joints)) {
            expect(x).toBeGreaterThan(cut.left);
            expect(x).toBeLessThan(cut.left + cut.width);
            expect(y).toBeGreaterThanOrEqual(cut.top);
            expect(y).toBeLessThanOrEqual(cut.top + cut.height);
        }
        expect(cut.width).toBeLessThan(PICTURE.width * 0.6);
    });

    test('never beyond the edge of the picture', () => {
        const cut = cutRound({ left_wrist: [3, 2], right_wrist: [958, 539] }, PICTURE);
        expect(cut).toEqual({ left: 0, top: 0, width: 960, height: 540 });
    });

    test('nothing where too little is marked to know where the athlete is', () => {
        expect(cutRound({}, PICTURE)).toBeNull();
        expect(cutRound({ ball: [10, 10] }, PICTURE)).toBeNull();
        expect(cutRound({ left_wrist: [500, 300], left_elbow: [500, 300] }, PICTURE)?.width).toBeGreaterThan(0);
    });
});

describe('what of it is not blurred', () => {
    test('limbs and trunk as wide as the trunk says, and the head above the shoulders', () => {
        const joints = jointsAt(0, 'right');
        const { lines, head, widthPx } = bodyOf(joints);
        const trunkPx = 95;
        expect(widthPx / trunkPx).toBeGreaterThan(0.7);
        expect(widthPx / trunkPx).toBeLessThan(1);
        const shoulderY = ((joints.left_shoulder?.[1] ?? 0) + (joints.right_shoulder?.[1] ?? 0)) / 2;
        expect(head?.[1]).toBeLessThan(shoulderY - 0.3 * trunkPx);
        // Both arms and legs, the sides of the trunk, shoulders, hips, its middle, and the ball.
        expect(lines).toHaveLength(2 * 5 + 2 + 1 + 1);
    });

    test('where only an arm is marked, only the arm: nobody’s head is guessed', () => {
        const { right_shoulder, right_elbow, right_wrist } = jointsAt(1.1, 'right');
        if (!right_shoulder || !right_elbow || !right_wrist) throw new Error('no arm');
        const { lines, head } = bodyOf({ right_shoulder, right_elbow, right_wrist });
        expect(lines).toEqual([
            [right_shoulder, right_elbow],
            [right_elbow, right_wrist],
        ]);
        expect(head).toBeNull();
    });
});

test('bytes are sent as text, however many', () => {
    const bytes = new Uint8Array(100_000).map((_, i) => i % 251);
    expect(Buffer.from(base64Of(bytes.buffer), 'base64').equals(Buffer.from(bytes))).toBe(true);
    expect(base64Of(new ArrayBuffer(0))).toBe('');
});
