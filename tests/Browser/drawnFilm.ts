import { fileURLToPath } from 'node:url';
import { type Browser, expect, type Page } from '@playwright/test';
import type { Point } from '../../resources/app/rules/frame';
import { jointsAt } from '../../resources/app/screens/film/drawn';
import { pageScript } from './pageScript';

/** One try of the drawn serve, and how many pictures a second it is drawn with. */
export const TRY_S = 1.6;
export const RATE = 60;

const camera = fileURLToPath(new URL('../../resources/app/screens/film/drawn.ts', import.meta.url));

/** What a page is given to draw with: the camera that ships, and what writes its pictures into a file. */
const SCRIPT = `
import { BufferTarget, CanvasSource, Output, WebMOutputFormat } from 'mediabunny';
import { jointsAt, paint } from '${camera}';
globalThis.film = async ({ seconds, rate, side }) => {
    const canvas = new OffscreenCanvas(960, 540);
    const output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
    const source = new CanvasSource(canvas, { codec: 'vp8', bitrate: 2e6, keyFrameInterval: 1 });
    output.addVideoTrack(source, { frameRate: rate });
    await output.start();
    for (let i = 0; i < seconds * rate; i++) {
        paint(canvas.getContext('2d'), jointsAt((i / rate) % ${TRY_S}, side), side);
        await source.add(i / rate, 1 / rate);
    }
    await output.finalize();
    let text = '';
    for (const byte of new Uint8Array(output.target.buffer)) text += String.fromCharCode(byte);
    return btoa(text);
};
`;

/** A clip of the drawn serve, as a phone would have made one: its joints are known. */
export async function drawnFilm(browser: Browser, at: string, seconds: number, rate = RATE): Promise<Buffer> {
    const script = await pageScript(SCRIPT);
    const context = await browser.newContext({ bypassCSP: true });
    const page = await context.newPage();
    await page.goto(at);
    await page.evaluate(script);
    const text = await page.evaluate(
        (of) => (globalThis as unknown as { film: (of: object) => Promise<string> }).film(of),
        { seconds, rate, side: 'right' },
    );
    await context.close();
    return Buffer.from(text, 'base64');
}

const stage = (page: Page) => page.getByRole('application');

/** Touches the picture at a place of the clip. */
async function touch(page: Page, [x, y]: Point): Promise<void> {
    const box = await stage(page).boundingBox();
    if (!box) throw new Error('There is no picture.');
    await page.mouse.click(box.x + (x * box.width) / 960, box.y + (y * box.height) / 540);
}

/** Marks a moment and touches every point it asks for where the joint is known to be. */
export async function mark(page: Page, moment: string, no: number): Promise<number> {
    await page.getByRole('slider', { name: 'Picture' }).fill(String(no));
    await page.getByRole('listitem').filter({ hasText: moment }).getByRole('button', { name: 'Mark here' }).click();
    const joints = jointsAt((no / RATE) % TRY_S, 'right');
    let touched = 0;
    for (;;) {
        const asked = /touch the (.*)$/.exec((await stage(page).getAttribute('aria-label')) ?? '')?.[1];
        const joint = asked && joints[asked.replace(' ', '_')];
        if (!joint) return touched;
        await touch(page, joint);
        await expect(stage(page)).not.toHaveAccessibleName(`Picture: touch the ${asked}`);
        touched++;
    }
}
