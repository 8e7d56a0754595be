import { type Page } from '@playwright/test';
import { expect, hasNoAxeFindings, row, signIn, test } from './support';

/**
 * One athlete's day: a sore shoulder in the morning, the trimmed session, a set of ten tapped with the connection
 * cut, the decision.
 */
test('from the check-in to the decision, with the connection lost in the middle', async ({ page, context }) => {
    await signIn(page);
    const mira = row(page, 'Mira Okonjo');
    await expect(mira.getByText('Full', { exact: true })).toBeVisible();
    await expect(mira.getByText('46 reps')).toBeVisible();

    // Check in with a sore shoulder: place, kind, score, keep.
    await mira.getByRole('button', { name: /Full\. Why/ }).click();
    await page.getByRole('button', { name: 'Report for Mira' }).click();
    await page.getByRole('button', { name: 'right shoulder' }).click();
    await page.getByRole('button', { name: 'Muscle ache' }).click();
    await page.getByRole('button', { name: '3', exact: true }).click();
    await page.getByRole('button', { name: 'Save this report' }).click();
    await expect(mira.getByText('Reduced', { exact: true })).toBeVisible();
    await expect(mira.getByText('Right shoulder, muscle ache 3')).toBeVisible();

    // The sheet was fitted to it, and says why.
    await mira.getByRole('link', { name: /reps/ }).click();
    await expect(page.getByText('24 → 14 reps: arm reduced today.')).toBeVisible();
    await expect(page.getByText(/Trimmed from 46 to 33 reps/)).toBeVisible();
    await page.getByRole('link', { name: 'Start courtside' }).click();

    // Warm-up and rehearsal in one tap a set.
    await page.getByRole('button', { name: 'All 10' }).click();
    await page
        .getByRole('button', { name: /^Rehearsal/ })
        .last()
        .click();
    await page.getByRole('button', { name: 'All 3' }).click();
    await page
        .getByRole('button', { name: /^Whole/ })
        .last()
        .click();
    await expect(page.getByRole('status')).toHaveCount(0);

    // Ten repetitions with three faults; every tap counted.
    let taps = 0;
    const tap = async (name: string): Promise<void> => {
        taps++;
        await page.getByRole('button', { name, exact: true }).click();
    };
    const good = () => tap('Good');
    await good();
    await good();
    await tap('Toss behind the head');
    await good();
    // With the server, all of them: a tap is stored first and sent after it.
    const [, , sheetId] = new URL(page.url()).pathname.split('/');
    const heard = (): Promise<number> =>
        page.evaluate(async (id) => {
            const answer = await fetch(`/api/sheets/${id}/courtside`, { headers: { Accept: 'application/json' } });
            return ((await answer.json()) as { events: unknown[] }).events.length;
        }, sheetId);
    await expect.poll(heard).toBe(10 + 3 + 4);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0);
    await context.setOffline(true);
    await good();
    await tap('Toss behind the head');
    await good();
    await good();
    await expect(page.getByText('4 not sent yet')).toBeVisible();
    await tap('Toss behind the head');
    await good();
    expect(taps).toBeLessThanOrEqual(14);
    await expect(page.getByText('7 of 10 good')).toBeVisible();
    await expect(page.getByTestId('reps-left')).toHaveText('4');

    // A wrong tap is undone, still without a connection.
    await tap('Not good');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('7 of 10 good')).toBeVisible();
    await expect(page.getByText('8 not sent yet')).toBeVisible();

    // Finishing waits for what is not sent; nothing is lost meanwhile.
    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.getByRole('button', { name: 'Finish and review' }).click();
    await expect(page.getByText('Not everything is sent')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 15_000 });
    await page.getByRole('button', { name: '4', exact: true }).click();
    await page.getByRole('button', { name: 'Finish and review' }).click();

    // What happened, the decision, and what is missing.
    await expect(page.getByRole('heading', { name: 'Mira Okonjo: what happened' })).toBeVisible();
    await expect(page.getByText('7 of 10 judged good')).toBeVisible();
    await expect(page.getByText('done of 33 planned')).toBeVisible();
    await expect(page.getByText('The word Full (today: Reduced).')).toBeVisible();
    await expect(page.getByText(/the morning after is not in/).first()).toBeVisible();
    await expect(page.getByRole('button', { name: 'Advance', exact: true })).toBeDisabled();
    await page.getByRole('button', { name: 'Repeat' }).click();
    await expect(page.getByText('Repeats this rung. The evidence is frozen beside it.')).toBeVisible();
    await hasNoAxeFindings(page);

    // The day’s totals are there, each tap once: 10 + 3 + 10.
    await page.getByRole('link', { name: 'Back to Today' }).click();
    await expect(row(page, 'Mira Okonjo').getByText('23 done')).toBeVisible();
});

test('nothing sore is two taps from Today, and the word follows', async ({ page }) => {
    await signIn(page);
    const jonah = row(page, 'Jonah Adeyemi');
    await expect(jonah.getByText('Not checked in')).toBeVisible();
    await jonah.getByRole('button', { name: 'Check in' }).click();
    await page.getByRole('button', { name: 'Nothing sore' }).click();
    await expect(jonah.getByText('Full', { exact: true })).toBeVisible();
    await expect(jonah.getByText('trimmed')).toHaveCount(0);
});

test('a session that ends in the middle of a set loses no tap', async ({ page, context }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Start with Ilse' }).click();
    const arrived = page.waitForResponse(/\/events$/);
    await page.getByRole('button', { name: 'Count one' }).click();
    await (await arrived).finished();
    await context.clearCookies();
    await page.getByRole('button', { name: 'Count one' }).click();
    await expect(page.getByRole('dialog', { name: 'Sign in again' })).toBeVisible();
    await expect(page.getByText('What you entered is kept on this device')).toBeVisible();
    await page.getByLabel('E-mail').fill('coach@saltmarsh.example');
    await page.getByLabel('Password').fill('saltmarsh');
    await page.getByRole('dialog').getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 10_000 });
    await page.goto('/');
    await expect(row(page, 'Ilse Varga').getByText('2 of 52 reps')).toBeVisible();
});

test('a stale edit is told, and the doses on the screen are kept', async ({ page, context }) => {
    await signIn(page);
    await row(page, 'Kaito Brennan').getByRole('link', { name: /reps/ }).click();
    const other = await context.newPage();
    await other.goto(page.url());
    const repsOf = async (on: Page, dose: string): Promise<string> =>
        /\d+ reps/.exec(
            await on.getByRole('group', { name: `repetitions of ${dose}`, exact: true }).innerText(),
        )?.[0] ?? '';
    const half = await repsOf(other, 'Half motion, wall');
    await other.getByRole('button', { name: 'Less repetitions of Half motion, wall', exact: true }).click();
    await expect.poll(() => repsOf(other, 'Half motion, wall')).not.toBe(half);
    const less = await repsOf(other, 'Half motion, wall');
    await other.getByRole('button', { name: 'Save doses' }).click();
    await expect(other.getByRole('link', { name: 'Start courtside' })).toBeVisible();

    const easy = await repsOf(page, 'Easy serves');
    await page.getByRole('button', { name: 'Less repetitions of Easy serves' }).click();
    await expect.poll(() => repsOf(page, 'Easy serves')).not.toBe(easy);
    const easier = await repsOf(page, 'Easy serves');
    await page.getByRole('button', { name: 'Save doses' }).click();
    await expect(page.getByText('Changed meanwhile')).toBeVisible();
    expect(await repsOf(page, 'Easy serves')).toBe(easier);
    await page.getByRole('button', { name: 'Fetch the saved sheet, keep my doses on top' }).click();
    await page.getByRole('button', { name: 'Save doses' }).click();
    await expect(page.getByRole('link', { name: 'Start courtside' })).toBeVisible();
    expect(await repsOf(page, 'Easy serves')).toBe(easier);
    expect(await repsOf(page, 'Half motion, wall')).toBe(less);
});

test('editing a dose moves every limit before it is saved, and a hard limit cannot be saved over', async ({ page }) => {
    await signIn(page);
    await row(page, 'Tomas Brandvik').getByRole('link', { name: /reps/ }).click();
    const step = page
        .getByRole('region', { name: 'Load on each limit' })
        .getByText(/Weekly rise of arm load, 15 %$/)
        .locator('xpath=ancestor::div[2]');
    const before = await step.innerText();
    const more = page.getByRole('button', { name: 'More repetitions of Five-step throw' });
    await more.click();
    await expect(step).not.toHaveText(before);
    for (let i = 0; i < 14; i++) await more.click();
    await expect(page.getByText('These doses cannot be done')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save doses' })).toBeDisabled();
    await page.getByRole('button', { name: 'Undo edits' }).click();
    await expect(page.getByText('These doses cannot be done')).toHaveCount(0);
});
