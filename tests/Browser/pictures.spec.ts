import { type Page } from '@playwright/test';
import { mark, RATE } from './drawnFilm';
import { countFourteenServes, openNextEvening, openTheLine, row, signIn, test, toJudged } from './support';

// Not a test: the pictures of the README, taken by bin/screenshots.
test.skip(!process.env.PICTURES, 'taken by bin/screenshots');

const keep = async (page: Page, name: string): Promise<void> => {
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

test('on a laptop', async ({ page }) => {
    await signIn(page);
    await keep(page, 'today');
    await row(page, 'Yuna Petrovic').getByRole('link', { name: /reps/ }).click();
    await page.getByRole('region', { name: 'Blocks' }).waitFor();
    await keep(page, 'sheet');
    await page.goto('/');
    await page.getByRole('link', { name: 'Tomas Brandvik' }).click();
    await page.getByRole('heading', { name: 'Ten weeks behind, one ahead' }).waitFor();
    await keep(page, 'athlete');
    await page.goto('/');
    await page.getByRole('link', { name: 'Returns' }).click();
    await page.getByRole('link', { name: 'Luca Ferreira' }).click();
    await page.getByRole('heading', { name: 'What comes next' }).waitFor();
    await keep(page, 'return');
    await page.getByRole('link', { name: 'Limits' }).click();
    await page.getByRole('heading', { name: 'What each limit says' }).waitFor();
    await keep(page, 'limits');
    await page.getByRole('navigation').getByRole('link', { name: 'Calendar' }).click();
    await page.getByRole('table', { name: 'Sessions and matches, by week and day' }).waitFor();
    await keep(page, 'calendar');
    await page.getByRole('link', { name: 'The week by athlete' }).click();
    await page.getByRole('table', { name: 'Athletes down, the days of the week across' }).waitFor();
    await keep(page, 'week');
    await openNextEvening(page);
    await page.getByRole('table', { name: 'Who is where, by round and space' }).waitFor();
    await keep(page, 'session');
    await page.goto('/plan');
    await page
        .getByRole('link', { name: /Mira Okonjo/ })
        .first()
        .click();
    await page.getByRole('heading', { name: 'Seven-day load', exact: false }).waitFor();
    await keep(page, 'season');
    await page.getByRole('link', { name: 'Mira Okonjo' }).click();
    await page.getByRole('link', { name: 'All lanes, what if, and the next match' }).click();
    await page.getByLabel('Skill').selectOption('float-serve');
    await page.getByText(/16 × float serve/).waitFor();
    await keep(page, 'load');
    await page.getByRole('link', { name: 'Gates' }).click();
    await page.getByRole('region', { name: 'Ready' }).waitFor();
    await keep(page, 'gates');
    await page.goto('/');
    await page.getByRole('link', { name: 'Dario Nwosu' }).click();
    await page.getByRole('link', { name: 'Serve window' }).click();
    await page.getByLabel('Speed, m/s', { exact: false }).fill('19');
    await page.getByLabel('Topspin, turns a minute').fill('600');
    await countFourteenServes(page);
    await page.getByText('7 of 14 in', { exact: false }).waitFor();
    await page.evaluate(() => window.scrollTo(0, 0));
    await keep(page, 'serve');
});

/** Three ladders as the pages they are, one of them on a phone, in one picture. */
test('ladders', async ({ page }) => {
    await signIn(page);
    const ladder = async (id: string, region: string): Promise<string> => {
        await page.goto(`/library/${id}`);
        await page.getByRole('region', { name: region }).evaluate((part) => part.scrollIntoView());
        if (region === 'Key positions') await page.evaluate(() => window.scrollTo(0, 0));
        await page.waitForLoadState('networkidle');
        return `data:image/png;base64,${(await page.screenshot()).toString('base64')}`;
    };
    const serve = await ladder('racket-serve', 'Key positions');
    const throwing = await ladder('overhand-throw', 'Faults');
    await page.setViewportSize({ width: 390, height: 844 });
    const landing = await ladder('jump-landing', 'Rungs');
    await page.setViewportSize({ width: 1280, height: 1096 });
    const img = (src: string, width: number): string =>
        `<img src="${src}" style="width:${width}px;border:1px solid #14201c">`;
    await page.setContent(
        `<body style="margin:16px;background:#dfe2dc;display:flex;gap:16px;align-items:flex-start">
            <div style="display:grid;gap:16px">${img(serve, 840)}${img(throwing, 840)}</div>${img(landing, 390)}
        </body>`,
    );
    await page.screenshot({ path: 'docs/screenshots/library.png' });
});

test('a serve measured', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Mira Okonjo' }).first().click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await page.getByRole('button', { name: 'Try it with a drawn figure' }).click();
    await mark(page, 'Arm back', Math.round(0.88 * RATE));
    await page.getByText('Drawn figure,', { exact: false }).evaluate((line) => line.scrollIntoView());
    await keep(page, 'film');
});

test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
    test('courtside and check-in', async ({ page }) => {
        await signIn(page);
        await page.getByRole('link', { name: 'Start with Mira' }).click();
        await tapThrough(page);
        await keep(page, 'courtside-phone');
        await openTheLine(page);
        await countTheLine(page);
        await keep(page, 'line-phone');
        await page.goto('/');
        await page.getByRole('button', { name: 'Check in' }).first().click();
        await page.getByRole('button', { name: 'Nothing sore' }).waitFor();
        await keep(page, 'check-in-phone');
        await page.goto('/');
        await page.getByRole('link', { name: 'Noor Haddad' }).click();
        await page.getByRole('link', { name: /Intake/ }).click();
        await page.getByLabel(/For whom/).fill('mother’s phone');
        await page.getByRole('button', { name: 'Make a link' }).click();
        const address = await page.getByLabel('Link', { exact: true }).inputValue();
        await page.goto('/people');
        await page.goto(address);
        await page.getByRole('heading', { name: 'Noor' }).waitFor();
        await keep(page, 'personal-page-phone');
    });
});

test('a line, and what came of it', async ({ page }) => {
    await signIn(page);
    await openTheLine(page);
    await countTheLine(page);
    await page.getByRole('link', { name: 'Finish', exact: true }).click();
    await page.getByRole('button', { name: /^Finish for/ }).click();
    await page.getByRole('heading', { name: 'What came of it' }).waitFor();
    await keep(page, 'squad-after');
});

/** To the first judged block, and a few judged repetitions of it. */
async function tapThrough(page: Page): Promise<void> {
    await toJudged(page);
    for (const name of [
        'Good',
        'Toss behind the head',
        'Good',
        'Toss behind the head',
        'Toss behind the head',
        'Good',
        'Toss behind the head',
    ])
        await page.getByRole('button', { name, exact: true }).click();
    await page.getByText(/not sent yet/).waitFor({ state: 'hidden' });
}

/** A warm-up of all, the rehearsals, and a few rounds judged in turn. */
async function countTheLine(page: Page): Promise<void> {
    await page.waitForLoadState('networkidle');
    const stopped = page.getByRole('button', { name: 'The other one has stopped: count the line here' });
    if (await stopped.isVisible()) await stopped.click();
    const warmUp = page.getByRole('button', { name: 'All warmed up' });
    if (await warmUp.isVisible()) {
        await warmUp.click();
        await page.getByRole('button', { name: 'To the line' }).click();
    }
    for (let i = 0; i < 60; i++) {
        const set = page.getByRole('button', { name: /^All \d+$/ });
        const good = page.getByRole('button', { name: 'Good', exact: true });
        if ((await set.count()) > 0) await set.click();
        else if (i % 4 === 3) await page.getByRole('region', { name: 'Count' }).getByRole('button').first().click();
        else if ((await good.count()) > 0) await good.click();
        else await page.getByRole('button', { name: 'Skip' }).click();
        await page.waitForTimeout(60);
    }
    await page.getByText(/not sent yet/).waitFor({ state: 'hidden' });
}
