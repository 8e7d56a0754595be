// From tap to ink, courtside, in Chromium at a quarter of the speed: node bench/tap.mjs http://localhost:8000 [line]
// With “line” the whole squad is counted in turn; tasks over 50 ms are counted as well.
// Counts display frames between a tap's event and the first frame after the mark is in the page. Needs a demo that is
// running.
import { chromium } from '@playwright/test';

const TAPS = 60;
const SLOWDOWN = 4;
const base = process.argv[2] ?? 'http://localhost:8000';
const isLine = process.argv[3] === 'line';
const LONG_TASK_MS = 50;
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
});
const page = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, timezoneId: 'Europe/Lisbon' })
).newPage();
await page.goto(base);
await page.getByLabel('E-mail').fill('coach@saltmarsh.example');
await page.getByLabel('Password').fill('saltmarsh');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('table', { name: 'Athletes in running order' }).waitFor();
if (isLine) await openTheLine();
else await page.getByRole('link', { name: /^(Start|Go on) with Ravi/ }).click();
const good = isLine
    ? page.getByRole('region', { name: 'Count' }).getByRole('button', { name: /^(Good|Count one)$/ })
    : page.getByRole('button', { name: 'Good', exact: true });
await good.waitFor();
await page.evaluate(() => {
    window.longTasks = [];
    new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((task) => task.duration))).observe(
        {
            entryTypes: ['longtask'],
        },
    );
});
await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
const taken = [];
for (let i = 0; i < TAPS; i++) {
    if (!(await good.isVisible())) break;
    taken.push(
        await good.evaluate(
            (button) =>
                new Promise((resolve) => {
                    const strip =
                        document.querySelector('[aria-label*="judged"], [aria-label*="last"]')?.closest('section') ??
                        document.body;
                    const started = performance.now();
                    let frames = 0;
                    let inked = null;
                    new MutationObserver((_, observer) => {
                        inked = performance.now();
                        observer.disconnect();
                    }).observe(strip, { childList: true, subtree: true, characterData: true, attributes: true });
                    const frame = () => {
                        frames++;
                        if (inked !== null) resolve({ frames, ms: inked - started });
                        else requestAnimationFrame(frame);
                    };
                    button.click();
                    requestAnimationFrame(frame);
                }),
        ),
    );
    await page.waitForTimeout(120);
}
const long = (await page.evaluate(() => window.longTasks)).filter((ms) => ms > LONG_TASK_MS);
await browser.close();
const sorted = (key) => taken.map((each) => each[key]).sort((a, b) => a - b);
const at = (list, share) => list[Math.min(list.length - 1, Math.floor(share * list.length))];
const [frames, ms] = [sorted('frames'), sorted('ms')];
console.log(
    `${taken.length} taps at ${SLOWDOWN}× slowdown: inked in frame ${at(frames, 0.5)} (median), ` +
        `${at(frames, 0.95)} (19 of 20), ${frames.at(-1)} (worst); ` +
        `the page changed after ${at(ms, 0.5).toFixed(1)} ms (median), ${at(ms, 0.95).toFixed(1)} ms (19 of 20)` +
        `; ${long.length} tasks over ${LONG_TASK_MS} ms, the longest ${Math.max(0, ...long).toFixed(0)} ms`,
);

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
