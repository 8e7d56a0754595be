import type { Page } from '@playwright/test';
import {
    anotherDevice,
    expect,
    fillSignIn,
    hasNoAxeFindings,
    row,
    shelfCounts,
    signIn,
    test,
    toJudged,
} from './support';

const good = (page: Page) => page.getByRole('button', { name: 'Good', exact: true });
const left = async (page: Page): Promise<number> => Number(await page.getByTestId('reps-left').textContent());

/** The address of courtside of somebody’s session of today. */
async function courtsideOf(page: Page, name: string): Promise<string> {
    const link = row(page, name).getByRole('link', { name: /^(Start|Go on) with/ });
    return (await link.getAttribute('href')) ?? '';
}

async function report(page: Page, place: string, kind: string, score: number): Promise<void> {
    await page.getByRole('button', { name: 'Sore', exact: true }).click();
    await page.getByRole('button', { name: place, exact: true }).first().click();
    await page.getByRole('button', { name: kind, exact: true }).click();
    await page.getByRole('button', { name: String(score), exact: true }).click();
    await page.getByRole('button', { name: /^Save this report/ }).click();
}

test.use({ serviceWorkers: 'allow' });

test('one bad item holds up nothing else: set aside with its reason, sent again or written to a file', async ({
    page,
    context,
}) => {
    await signIn(page);
    const [gone, fine] = [await courtsideOf(page, 'Ilse Varga'), await courtsideOf(page, 'Pia Lindgren')];
    const sheet = gone.split('/')[2] ?? '';
    let missing = false;
    await context.route(`**/api/sheets/${sheet}/events`, (route) =>
        missing
            ? route.fulfill({
                  status: 404,
                  contentType: 'application/problem+json',
                  body: JSON.stringify({
                      title: 'Not found',
                      status: 404,
                      detail: 'There is nothing here, or it is not yours to see.',
                      errors: {},
                  }),
              })
            : route.continue(),
    );
    await context.route('**/api/athletes/*/reports', (route) =>
        missing
            ? route.fulfill({
                  status: 500,
                  contentType: 'application/problem+json',
                  body: JSON.stringify({
                      title: 'This did not work',
                      status: 500,
                      detail: 'Something broke.',
                      errors: {},
                  }),
              })
            : route.continue(),
    );

    await page.goto(gone);
    await toJudged(page);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 20_000 });
    missing = true;
    await good(page).click();
    await page.getByRole('button', { name: 'Sore', exact: true }).click();
    await page.getByRole('button', { name: 'Nothing sore' }).click();
    await page.goto(fine);
    await toJudged(page);
    await good(page).click();
    // The other sheet’s taps arrive although the first sheet is gone and the report breaks the server.
    await expect(page.getByText(/1 not sent yet/)).toBeVisible({ timeout: 20_000 });
    await page.goto('/');
    await expect(row(page, 'Pia Lindgren').getByRole('link', { name: 'Go on with Pia' })).toBeVisible();
    await page.getByRole('button', { name: /refused, kept here/ }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByText('There is nothing here, or it is not yours to see.')).toBeVisible();
    await hasNoAxeFindings(page);
    const file = page.waitForEvent('download');
    await dialog.getByRole('button', { name: 'Write to a file' }).click();
    expect((await file).suggestedFilename()).toBe('augendo-not-taken.json');
    missing = false;
    await dialog.getByRole('button', { name: 'Send again' }).click();
    await expect(page.getByText(/not sent yet|refused, kept here/)).toHaveCount(0, { timeout: 20_000 });
    await page.goto('/');
    await expect(row(page, 'Ilse Varga').getByRole('link', { name: 'Go on with Ilse' })).toBeVisible();
});

test('sharp pain stops at once with the network hanging, after a reload, and on every device', async ({
    page,
    context,
    browser,
}) => {
    test.setTimeout(150_000);
    await signIn(page);
    const address = await courtsideOf(page, 'Ilse Varga');
    const other = await (await anotherDevice(browser, { baseURL: new URL(page.url()).origin })).newPage();
    await signIn(other, 'assistant');
    await other.goto(address);
    await toJudged(other);
    await expect(good(other)).toBeVisible();

    await page.goto(address);
    await toJudged(page);
    let hanging = true;
    await context.route('**/api/athletes/*/reports', async (route) => {
        while (hanging) await new Promise((resolve) => setTimeout(resolve, 200));
        await route.continue().catch(() => undefined);
    });
    const tapped = Date.now();
    await report(page, 'left shoulder', 'Sharp pain', 2);
    await expect(page.getByRole('alert').getByText('Stop', { exact: true })).toBeVisible({ timeout: 3000 });
    expect(Date.now() - tapped).toBeLessThan(15_000);
    await expect(good(page)).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole('alert').getByText('Stop', { exact: true })).toBeVisible();
    // What was done after it is kept, and marked.
    await page.getByRole('button', { name: 'One more was done' }).click();
    hanging = false;
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 40_000 });
    await page.reload();
    await expect(page.getByText(/tapped after the work had to stop/)).toBeVisible();
    await expect(good(page)).toHaveCount(0);
    // The other device hears of it by itself.
    await expect(good(other)).toHaveCount(0, { timeout: 30_000 });
    await other.context().close();
});

test('where the device stores nothing, Augendo works online, says so, and counts no tap that is nowhere', async ({
    page,
    context,
}) => {
    await context.addInitScript(() => {
        const refuse = (): never => {
            throw new DOMException('The user denied storage.', 'SecurityError');
        };
        Object.defineProperty(globalThis, 'indexedDB', { get: refuse });
        Object.defineProperty(globalThis, 'localStorage', { get: refuse });
    });
    await signIn(page);
    await expect(page.getByText('This device stores nothing', { exact: false })).toBeVisible();
    await page.goto(await courtsideOf(page, 'Kaito Brennan'));
    await toJudged(page);
    const before = await left(page);
    await good(page).click();
    await expect(page.getByTestId('reps-left')).toHaveText(String(before - 1));
    await context.setOffline(true);
    await good(page).click();
    await expect(page.getByText('1 tap is neither stored nor sent, and not counted.', { exact: false })).toBeVisible();
    await expect(page.getByTestId('reps-left')).toHaveText(String(before - 1));
    await context.setOffline(false);
    await expect(page.getByTestId('reps-left')).toHaveText(String(before - 2), { timeout: 20_000 });
    await expect(page.getByText('neither stored nor sent', { exact: false })).toHaveCount(0);
});

test('two tabs of one session follow each other', async ({ page, context }) => {
    await signIn(page);
    const address = await courtsideOf(page, 'Yuna Petrovic');
    await page.goto(address);
    await toJudged(page);
    const second = await context.newPage();
    await second.goto(address);
    await expect(good(second)).toBeVisible();
    const before = await left(page);
    await context.setOffline(true);
    await good(page).click();
    await expect(second.getByTestId('reps-left')).toHaveText(String(before - 1));
    await good(second).click();
    await expect(page.getByTestId('reps-left')).toHaveText(String(before - 2));
    await context.setOffline(false);
});

test('a second person on the device sees nothing of the first, sends nothing for them, and can hand it back', async ({
    page,
    context,
}) => {
    test.setTimeout(150_000);
    await signIn(page);
    const address = await courtsideOf(page, 'Dario Nwosu');
    await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
    });
    await page.goto(address);
    await toJudged(page);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 20_000 });
    const before = await left(page);
    await context.setOffline(true);
    for (let i = 0; i < 3; i++) await good(page).click();
    await expect(page.getByText('3 not sent yet')).toBeVisible();
    await page.goto('/');
    await page.getByRole('button', { name: 'Who is signed in' }).click();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    // Signed out with no connection: nothing that was kept is left but the taps.
    await expect(page.getByLabel('Password')).toBeVisible();
    expect(await shelfCounts(page, ['packs', 'answers'])).toEqual([0, 0]);
    await page.reload();
    await expect(page.getByLabel('Password')).toBeVisible();

    await context.setOffline(false);
    const sent: string[] = [];
    page.on('request', (request) => {
        if (request.url().endsWith('/events')) sent.push(request.url());
    });
    await page.reload();
    await fillSignIn(page, 'assistant');
    await expect(page.getByText('Anneke Duarte has 3 taps not sent')).toBeVisible();
    await expect(row(page, 'Dario Nwosu').getByText('Not checked in').first()).toBeVisible({ timeout: 20_000 });
    expect(sent).toEqual([]);
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Hand the device back to Anneke Duarte' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await fillSignIn(page, 'coach');
    await expect.poll(() => sent.length, { timeout: 30_000 }).toBe(1);
    await expect(page.getByText(/not sent/)).toHaveCount(0);
    await page.goto(address);
    await expect(page.getByTestId('reps-left')).toHaveText(String(before - 3));
    await page.goto('/');
    await expect(row(page, 'Dario Nwosu').getByText('Not checked in')).toHaveCount(0, { timeout: 20_000 });
});

test('after ten idle minutes a code is asked, on everything but counting', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Who is signed in' }).click();
    await page.getByRole('button', { name: 'Choose a code for this device' }).click();
    for (const digit of ['2', '7', '1', '8', '2', '7', '1', '8'])
        await page.getByRole('button', { name: digit, exact: true }).click();
    await expect(page.getByText('Saved. The code holds on this device.')).toBeVisible();
    await page.keyboard.press('Escape');
    const idle = (): Promise<void> =>
        page.evaluate(() => {
            localStorage.setItem('augendo-active', String(Date.now() - 11 * 60_000));
            document.dispatchEvent(new Event('visibilitychange'));
        });
    await idle();
    await expect(page.getByRole('heading', { name: 'Anneke Duarte, are you still here?' })).toBeVisible();
    await expect(page.getByRole('table')).toHaveCount(0);
    await hasNoAxeFindings(page);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Anneke Duarte, are you still here?' })).toBeVisible();
    await page.getByLabel('Code of four digits').fill('1111');
    await expect(page.getByText('Not this code. 4 more tries')).toBeVisible();
    await page.getByLabel('Code of four digits').fill('2718');
    await expect(page.getByRole('table', { name: 'Athletes in running order' })).toBeVisible();
    // Counting goes on without a code; the way out of it does not.
    await page.goto(await courtsideOf(page, 'Tomas Brandvik'));
    await toJudged(page);
    await idle();
    await good(page).click();
    await expect(page.getByRole('heading', { name: 'Anneke Duarte, are you still here?' })).toHaveCount(0);
    await page.getByRole('link', { name: 'Back to the sheet' }).click();
    await expect(page.getByRole('heading', { name: 'Anneke Duarte, are you still here?' })).toBeVisible();
    for (let i = 0; i < 5; i++) await page.getByLabel('Code of four digits').fill(`300${i}`);
    await expect(page.getByLabel('Password')).toBeVisible();
    // Loading the page anew gives no new tries; signing in does.
    await page.reload();
    await expect(page.getByLabel('Password')).toBeVisible();
    await expect(page.getByLabel('Code of four digits')).toHaveCount(0);
    await fillSignIn(page, 'coach');
    await expect(page.getByRole('heading', { name: 'Anneke Duarte, are you still here?' })).toHaveCount(0);
});
