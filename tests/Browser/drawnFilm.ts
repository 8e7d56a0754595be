import { fileURLToPath } from 'node:url';
import type { Browser } from '@playwright/test';
import { build, type Rollup } from 'vite';

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
        paint(canvas.getContext('2d'), jointsAt((i / rate) % 1.6, side), side);
        await source.add(i / rate, 1 / rate);
    }
    await output.finalize();
    let text = '';
    for (const byte of new Uint8Array(output.target.buffer)) text += String.fromCharCode(byte);
    return btoa(text);
};
`;

/** Stands in no file: it is put together for a page. */
const here = fileURLToPath(new URL('./drawn.js', import.meta.url));

/** A clip of the drawn serve, as a phone would have made one: its joints are known. */
export async function drawnFilm(browser: Browser, at: string, seconds: number, rate = 60): Promise<Buffer> {
    const drawn = 'virtual:drawn';
    const built = (await build({
        configFile: false,
        logLevel: 'silent',
        build: { write: false, minify: false, rollupOptions: { input: drawn, output: { format: 'iife' } } },
        plugins: [
            {
                name: 'drawn',
                resolveId: (id) => (id === drawn ? here : null),
                load: (id) => (id === here ? SCRIPT : null),
            },
        ],
    })) as Rollup.RollupOutput;
    const context = await browser.newContext({ bypassCSP: true });
    const page = await context.newPage();
    await page.goto(at);
    await page.evaluate(built.output[0].code);
    const text = await page.evaluate(
        (of) => (globalThis as unknown as { film: (of: object) => Promise<string> }).film(of),
        { seconds, rate, side: 'right' },
    );
    await context.close();
    return Buffer.from(text, 'base64');
}
