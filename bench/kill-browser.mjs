// Kills the browser in mid-tap, again and again, and looks whether a tap that was shown as counted is gone, or there
// twice, when courtside is
// opened again on the same device; and whether the server has each once in the end.
// node bench/kill-browser.mjs [kills] [seed]      Starts a demo of its own on a database of its own.
import { chromium } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const kills = Number(process.argv[2] ?? 200);
const seed = Number(process.argv[3] ?? Math.floor(Math.random() * 1_000_000));
const [PORT, DEBUG_PORT] = [8796, 9796];
const LIVES_OF_AN_ATHLETE = 40;
const ATHLETES = ['Dario', 'Mira', 'Ravi', 'Pia', 'Jonah', 'Kaito'];
const folder = mkdtempSync(join(tmpdir(), 'augendo-kill-browser-'));
const database = join(folder, 'demo.sqlite');
writeFileSync(database, '');
const env = {
    ...process.env,
    DB_DATABASE: database,
    APP_ENV: 'local',
    CACHE_STORE: 'file',
    PHP_CLI_SERVER_WORKERS: '3',
};
const php = (...args) => execFileSync('php', args, { env, encoding: 'utf8' });
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
/** Numbers of a seed (mulberry32). */
let state = seed;
const random = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

php('artisan', 'migrate', '--force', '--quiet');
php('artisan', 'db:seed', '--class=Database\\Seeders\\DemoSeeder', '--force', '--quiet');
// One long set each, so that the count on the screen only ever goes one way.
const sql = (text) =>
    php(
        '-r',
        `$pdo = new PDO("sqlite:${database}"); echo json_encode($pdo->query($argv[1])->fetchAll(PDO::FETCH_NUM));`,
        text,
    );
const names = ATHLETES.map((name) => `'${name}'`).join(',');
sql(
    `update sheet_blocks set sets = 1, reps = 400 where judged = 1 and sheet_id in (select sheets.id from ` +
        `sheets join athletes on athletes.id = sheets.athlete_id where given_name in (${names}) and state = 'planned')`,
);
const onServer = () =>
    JSON.parse(sql(`select count(*), count(distinct id) from rep_events where verdict = 'good'`))[0].map(Number);
const [before] = onServer();
const server = spawn(
    'php',
    ['-d', 'opcache.enable_cli=1', '-d', 'variables_order=EGPCS', '-S', `localhost:${PORT}`, '../bin/router.php'],
    { env, cwd: 'public', stdio: 'ignore' },
);
await wait(1500);

/** The browser of one life, on the same profile each time. */
async function open() {
    const browser = spawn(
        '/usr/bin/chromium-headless-shell',
        [
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--no-first-run',
            '--disable-background-networking',
            `--remote-debugging-port=${DEBUG_PORT}`,
            `--user-data-dir=${join(folder, 'profile')}`,
            '--window-size=390,844',
            'about:blank',
        ],
        { stdio: 'ignore', detached: true },
    );
    for (let tries = 0; ; tries++) {
        try {
            const connection = await chromium.connectOverCDP(`http://127.0.0.1:${DEBUG_PORT}`);
            return { browser, page: connection.contexts()[0].pages()[0] };
        } catch (error) {
            if (tries > 60) throw error;
            await wait(100);
        }
    }
}
const kill = (life) => {
    try {
        process.kill(-life.browser.pid, 'SIGKILL');
    } catch {
        /* it was faster */
    }
};
const seen = async (page) => Number(await page.getByTestId('reps-left').textContent());

async function signIn(page) {
    await page.getByLabel('E-mail').fill('coach@saltmarsh.example');
    await page.getByLabel('Password').fill('saltmarsh');
    await page.getByRole('button', { name: 'Sign in' }).click();
}

process.on('uncaughtException', (error) => {
    console.error(error);
    server.kill('SIGKILL');
    process.exit(2);
});
const wrong = [];
let [taps, shown] = [0, 0];
let address = null;
let expected = null;
let [athlete, livesOfAthlete] = [-1, LIVES_OF_AN_ATHLETE];
for (let life = 1; life <= kills; life++) {
    const now = await open();
    const { page } = now;
    page.setDefaultTimeout(90_000);
    const usedUp = page.getByText('This is a hard limit: no more of this today.').first();
    const good = page.getByRole('button', { name: 'Good', exact: true });
    if (++livesOfAthlete > LIVES_OF_AN_ATHLETE) {
        athlete++;
        livesOfAthlete = 1;
        await page.goto(`http://localhost:${PORT}/`);
        const link = page.getByRole('link', { name: new RegExp(`^(Start|Go on) with ${ATHLETES[athlete]}`) });
        await link.or(page.getByLabel('Password')).first().waitFor();
        if (await page.getByLabel('Password').isVisible()) await signIn(page);
        address = await link.getAttribute('href');
        await page.goto(`http://localhost:${PORT}${address}`);
        for (let blocks = 0; blocks < 8; blocks++) {
            const all = page.getByRole('button', { name: /^All \d+$/ });
            await good.or(all).waitFor();
            if (await good.isVisible()) break;
            await all.click();
            await page
                .getByRole('button', { name: /^(Rehearsal|Part|Whole|Target): / })
                .last()
                .click();
        }
        expected = null;
    } else {
        await page.goto(`http://localhost:${PORT}${address}`);
        await good.or(usedUp).or(page.getByLabel('Password')).first().waitFor();
        if (await page.getByLabel('Password').isVisible()) {
            // Killed before the browser had written the sign-in down: what is kept on the device is there all the same.
            await signIn(page);
            await page.getByLabel('Password').waitFor({ state: 'hidden' });
            await page.goto(`http://localhost:${PORT}${address}`);
            await good.or(usedUp).first().waitFor();
        }
    }
    let left = await seen(page);
    if (expected !== null) {
        if (left > expected.most) wrong.push(`life ${life}: ${left - expected.most} shown as counted and gone`);
        if (left < expected.least) wrong.push(`life ${life}: ${expected.least - left} more than were tapped`);
    }
    if (await usedUp.isVisible()) {
        // A hard limit of the day: what was counted is still there, and the next athlete's turn it is.
        livesOfAthlete = LIVES_OF_AN_ATHLETE;
        kill(now);
        await wait(150);
        life--;
        continue;
    }
    const count = 1 + Math.floor(random() * 4);
    for (let i = 0; i < count && (await good.isVisible()); i++) {
        await good.click();
        taps++;
        left = await seen(page);
        shown++;
    }
    // The last tap is under way when the browser dies; it may be kept or not, but what was shown before is.
    const lastSeen = left;
    const last = good.click({ noWaitAfter: true }).catch(() => undefined);
    taps++;
    await wait(random() * 60);
    kill(now);
    await last;
    expected = { most: lastSeen, least: lastSeen - 1 };
    await wait(150);
    if (life % 20 === 0) console.error(`${life} kills, ${taps} taps`);
}
// One last life, in which everything is sent.
const end = await open();
await end.page.goto(`http://localhost:${PORT}/`);
await end.page.getByText(/not sent yet/).waitFor({ state: 'hidden', timeout: 60_000 });
await wait(5_000);
kill(end);
const kept = onServer()[0] - before;
if (kept < shown) wrong.push(`${shown - kept} were shown as counted and never reached the server`);
if (kept > taps) wrong.push(`${kept - taps} more on the server than were tapped`);
console.log(
    `seed ${seed}: ${kills} kills of the browser, ${taps} taps of which ${shown} were looked at before a ` +
        `kill; ${kept} on the server; ${wrong.length} wrong`,
);
wrong.slice(0, 10).forEach((line) => console.log(`  ${line}`));
server.kill('SIGKILL');
await wait(300);
rmSync(folder, { recursive: true, force: true });
process.exit(wrong.length === 0 ? 0 : 1);
