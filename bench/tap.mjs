// From tap to ink, courtside, in Chromium at a quarter of the speed, against a demo that is running:
//
//   node bench/tap.mjs http://localhost:8000                 sixty taps for one athlete
//   node bench/tap.mjs http://localhost:8000 line            sixty in turn, for the whole squad
//   node bench/tap.mjs http://localhost:8000 line 600 1000   ten minutes, a tap a second
//
// Counts display frames between a tap and the first frame after the page shows it, tasks over 50 ms, and what of the
// taps is not with the server in the end. Every third touch of a line takes the last one back: a squad has work for
// ten minutes that way. With PROFILE=file the processor's profile is written there.
import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const SLOWDOWN = 4;
const LONG_TASK_MS = 50;
const ONE_HANGS_MS = 5000;
const [base = 'http://localhost:8000', mode = 'alone', taps = '60', pauseMs = '120'] = process.argv.slice(2);
const isLine = mode === 'line';
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
});
const page = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, timezoneId: 'Europe/Lisbon' })
).newPage();
page.setDefaultTimeout(15_000);
await page.goto(base);
await page.getByLabel('E-mail').fill('coach@saltmarsh.example');
await page.getByLabel('Password').fill('saltmarsh');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('table', { name: 'Athletes in running order' }).waitFor();
if (isLine) await openTheLine();
else await page.getByRole('link', { name: /^(Start|Go on) with Ravi/ }).click();
await page
    .getByRole('button', { name: /^(Good|Count one)$/ })
    .first()
    .waitFor();
const before = await standing();
await page.evaluate(() => {
    window.longTasks = [];
    const seen = (list) => window.longTasks.push(...list.getEntries().map((task) => task.duration));
    new PerformanceObserver(seen).observe({ entryTypes: ['longtask'] });
});
const devtools = await page.context().newCDPSession(page);
await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
if (process.env.PROFILE) {
    await devtools.send('Profiler.enable');
    await devtools.send('Profiler.start');
}
const taken = [];
let net = 0;
for (let i = 0; i < Number(taps); i++) {
    const takesBack = isLine && i % 3 === 2;
    const began = Date.now();
    const one = await page.evaluate(tapped, { words: takesBack ? ['Undo'] : ['Good', 'Count one'], ONE_HANGS_MS });
    if (one === null) break;
    taken.push(one);
    net += takesBack ? -1 : 1;
    await page.waitForTimeout(Math.max(0, Number(pauseMs) - (Date.now() - began)));
}
if (process.env.PROFILE) {
    writeFileSync(process.env.PROFILE, JSON.stringify((await devtools.send('Profiler.stop')).profile));
}
const long = (await page.evaluate(() => window.longTasks)).filter((ms) => ms > LONG_TASK_MS);
await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
await page.waitForTimeout(3000);
const lost = net - ((await standing()) - before);
await browser.close();
const sorted = (key) => taken.map((each) => each[key]).sort((a, b) => a - b);
const at = (list, share) => list[Math.min(list.length - 1, Math.floor(share * list.length))];
const [frames, ms] = [sorted('frames'), sorted('ms')];
console.log(
    `${taken.length} taps at ${SLOWDOWN}× slowdown: inked in frame ${at(frames, 0.5)} (median), ` +
        `${at(frames, 0.99)} (99 of 100), ${frames.at(-1)} (worst); ` +
        `the page changed after ${at(ms, 0.5).toFixed(1)} ms (median), ${at(ms, 0.95).toFixed(1)} ms (19 of 20)` +
        `; ${long.length} tasks over ${LONG_TASK_MS} ms, the longest ${Math.max(0, ...long).toFixed(0)} ms` +
        `; ${lost} of ${net} that stand lost`,
);

/**
 * In the page: touches the first button that is called so, and tells the frame, and the time, in which the page shows
 * it; null when there is none. Looked up plainly: the search by role is slower than what is measured.
 */
function tapped({ words, ONE_HANGS_MS }) {
    const buttons = [...document.querySelectorAll('main button')];
    const button = buttons.find(
        (each) => words.includes(each.textContent.trim()) && each.checkVisibility() && !each.disabled,
    );
    if (button === undefined) return null;
    return new Promise((resolve, reject) => {
        const started = performance.now();
        let frames = 0;
        let inked = null;
        const shown = new MutationObserver(() => {
            inked = performance.now();
            shown.disconnect();
        });
        shown.observe(document.querySelector('main') ?? document.body, {
            childList: true,
            subtree: true,
            characterData: true,
            attributes: true,
        });
        const frame = () => {
            frames++;
            if (inked !== null) resolve({ frames, ms: inked - started });
            else if (performance.now() - started > ONE_HANGS_MS) reject(new Error('A tap was not inked.'));
            else requestAnimationFrame(frame);
        };
        button.click();
        requestAnimationFrame(frame);
    });
}

/** How many repetitions of today's evening stand with the server. */
function standing() {
    return page.evaluate(async () => {
        const headers = { headers: { Accept: 'application/json' } };
        const { rows } = await (await fetch('/api/today', headers)).json();
        let stand = 0;
        for (const { sheet } of rows) {
            const answer = sheet ? await fetch(`/api/sheets/${sheet.id}/courtside`, headers) : null;
            const { events = [] } = answer?.ok ? await answer.json() : {};
            const of = (kind) => events.filter((event) => event.kind === kind).length;
            stand += of('rep') - of('withdraw');
        }
        return stand;
    });
}

/** Today's evening, everybody of it in one line, nobody else counting. */
async function openTheLine() {
    const id = await page.evaluate(async () => {
        const answer = await fetch('/api/calendar', { headers: { Accept: 'application/json' } });
        const { date, sessions } = await answer.json();
        return sessions.find((session) => session.day === date && session.title === 'Evening session').id;
    });
    await page.goto(`${base}/sessions/${id}`);
    await page.getByRole('link', { name: 'Count the line' }).click();
    await page.waitForLoadState('networkidle');
    const here = page.getByRole('button', { name: 'The other one has stopped: count the line here' });
    if (await here.isVisible()) await here.click();
}
