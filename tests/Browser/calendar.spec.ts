import { expect, hasNoAxeFindings, sessionsAhead, signIn, test } from './support';
import type { Page } from '@playwright/test';

const TITLE = 'Harbour serves';

/** The newest change is taken back, and the page has settled. */
async function undo(page: Page, of: RegExp): Promise<void> {
    const line = page
        .getByRole('region', { name: 'Changed lately' })
        .getByRole('listitem')
        .filter({ hasText: of })
        .first();
    await line.getByRole('button', { name: /^Undo/ }).click();
    await expect(line).toHaveCount(0);
}

const openOf = async (page: Page, nth: number): Promise<void> => {
    const sessions = (await sessionsAhead(page)).filter((session) => session.title === TITLE);
    await page.goto(`/sessions/${sessions[nth]?.id}`);
};

test('six weeks are planned after a look, one is moved, one called off, one less and one more, and all undone', async ({
    page,
}) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Calendar', exact: true }).click();
    await expect(page.getByRole('table', { name: 'Sessions and matches, by week and day' })).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Plan a session', exact: true }).click();
    const form = page.getByRole('dialog');
    await form.getByLabel('Starts at').fill('20:15');
    await form.getByLabel('What it is called').fill(TITLE);
    await form.getByLabel('Where').fill('Hall A');
    await form.getByRole('button', { name: 'Every week' }).click();
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Show what it makes' }).click();
    await expect(form.getByText(/^6 sessions, /)).toBeVisible();
    await expect(form.getByRole('list', { name: 'What each would do' })).toContainText('Mira Okonjo');
    expect((await sessionsAhead(page)).some((session) => session.title === TITLE)).toBe(false);
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(form.getByText(/^Saved: 6 sessions/)).toBeVisible();
    await form.getByRole('button', { name: 'Done' }).click();
    await expect.poll(async () => (await sessionsAhead(page)).filter((each) => each.title === TITLE).length).toBe(6);

    // The second is moved by a day and half an hour; the others stay.
    await openOf(page, 1);
    await page.getByRole('button', { name: 'Move or change' }).click();
    const day = form.getByLabel('Day', { exact: true });
    const was = await day.inputValue();
    const to = new Date(Date.parse(`${was}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
    await day.fill(to);
    await form.getByLabel('Starts at').fill('20:45');
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: new RegExp(`${TITLE}.* 20:45$`) })).toBeVisible();
    await undo(page, /moved to/);
    await expect(page.getByRole('heading', { name: new RegExp(`${TITLE}.* 20:15$`) })).toBeVisible();

    // One less, and back again as the walk-in of another day.
    await page.getByRole('button', { name: 'Who is in it' }).click();
    await form.getByRole('button', { name: 'Take out Mira Okonjo' }).click();
    await expect(form.getByRole('region', { name: 'Not in it' })).toContainText('Mira Okonjo');
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Add Mira Okonjo' }).click();
    await expect(form.getByRole('button', { name: 'Take out Mira Okonjo' })).toBeVisible();
    await page.keyboard.press('Escape');
    await undo(page, /Mira added/);
    await expect(page.getByRole('listitem', { name: 'Mira Okonjo' })).toHaveCount(0);
    await undo(page, /Mira taken out/);
    await expect(page.getByRole('listitem', { name: 'Mira Okonjo' })).toHaveCount(1);

    // Called off with its reason, which the calendar says; then not called off after all.
    await page.getByRole('button', { name: 'Call it off' }).click();
    await form.getByLabel(/^Why/).fill('The hall is closed');
    await form.getByRole('button', { name: 'Call it off' }).click();
    await expect(page.getByText('Called off:')).toBeVisible();
    await hasNoAxeFindings(page);
    await undo(page, /called off/);
    await expect(page.getByText('Called off:')).toHaveCount(0);

    // Planned by mistake: gone from here on, and from the calendar, where it all comes back and goes for good.
    await openOf(page, 0);
    await page.getByRole('button', { name: 'Call it off' }).click();
    await form.getByRole('button', { name: 'This one and all after' }).click();
    await form.getByRole('button', { name: 'Delete it' }).click();
    await expect(page).toHaveURL(/\/calendar$/);
    expect((await sessionsAhead(page)).some((session) => session.title === TITLE)).toBe(false);
    await undo(page, new RegExp(`${TITLE}.*deleted`));
    await expect.poll(async () => (await sessionsAhead(page)).filter((each) => each.title === TITLE).length).toBe(6);
    await undo(page, new RegExp(`${TITLE}.*planned`));
    await expect.poll(async () => (await sessionsAhead(page)).some((each) => each.title === TITLE)).toBe(false);
});

test('a session of last week is entered late as sums, put right with a reason, and says so', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Calendar', exact: true }).click();
    // Today has a button of the same name.
    await expect(page.getByRole('table', { name: 'Sessions and matches, by week and day' })).toBeVisible();
    await page.getByRole('button', { name: 'Plan a session', exact: true }).click();
    const form = page.getByRole('dialog');
    const day = form.getByLabel('Day', { exact: true });
    const today = await day.inputValue();
    await day.fill(new Date(Date.parse(`${today}T00:00:00Z`) - 6 * 86_400_000).toISOString().slice(0, 10));
    await expect(form.getByText('the session is entered late', { exact: false })).toBeVisible();
    await form.getByLabel('What it is called').fill('Forgotten');
    await form.getByLabel('Starts at').fill('08:00');
    await form.getByRole('button', { name: 'Show what it makes' }).click();
    await form.getByRole('button', { name: 'Save' }).click();
    await form.getByRole('button', { name: 'Done' }).click();
    const late = await page.evaluate(async () => {
        const me = (await (await fetch('/api/me', { headers: { Accept: 'application/json' } })).json()) as {
            today: string;
        };
        const from = new Date(Date.parse(`${me.today}T00:00:00Z`) - 6 * 86_400_000).toISOString().slice(0, 10);
        const answer = await fetch(`/api/calendar?from=${from}&to=${from}`, {
            headers: { Accept: 'application/json' },
        });
        const { sessions } = (await answer.json()) as { sessions: { id: string; title: string }[] };
        return sessions.find((session) => session.title === 'Forgotten')?.id;
    });
    await page.goto(`/sessions/${late}`);
    await page.getByRole('link', { name: 'Dario Nwosu' }).click();
    await expect(page.getByText('entered late')).toBeVisible();
    await page.getByRole('button', { name: 'Enter what was done' }).click();
    await hasNoAxeFindings(page);
    const first = form.getByRole('textbox').first();
    const planned = Number(await first.inputValue());
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(new RegExp(`0 → ${planned}`))).toBeVisible();

    await page.getByRole('button', { name: 'Put the counts right' }).click();
    await first.fill(String(planned - 2));
    await form.getByLabel(/^Why fewer/).fill('Two of them were Ilse’s');
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(new RegExp(`${planned} → ${planned - 2}`))).toBeVisible();
    await hasNoAxeFindings(page);
    await page.goto('/');
    await expect(page.getByRole('region', { name: 'Counts lowered this week' })).toContainText(
        'Two of them were Ilse’s',
    );
    await hasNoAxeFindings(page);
});

test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

    test('practice at home is told on the personal page, and the coach sees it at once', async ({ page }) => {
        await signIn(page);
        await page.getByRole('link', { name: 'Yuna Petrovic' }).click();
        const athlete = new URL(page.url()).pathname;
        await page.goto(`${athlete}/intake`);
        await page.getByLabel(/For whom/).fill('her own phone');
        await page.getByRole('button', { name: 'Make a link' }).click();
        const address = await page.getByLabel('Link', { exact: true }).inputValue();
        await page.goto('/people');
        await page.goto(address);
        await page.getByRole('button', { name: 'I practised at home' }).click();
        await page.getByRole('button', { name: 'Float serve' }).click();
        await page.getByRole('button', { name: 'Yesterday' }).click();
        await page.getByRole('button', { name: 'Five more' }).click();
        await page.getByRole('button', { name: 'Easy' }).click();
        await hasNoAxeFindings(page);
        await page.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByText(/, at home: 25 × float serve\.$/)).toBeVisible();
        // Last week elsewhere is asked for once.
        const elsewhere = page.getByRole('region', { name: 'Last week elsewhere' });
        await elsewhere.getByRole('button', { name: 'Yes' }).click();
        await elsewhere.getByLabel('How many').fill('12');
        await elsewhere.getByRole('button', { name: 'Easy' }).click();
        await hasNoAxeFindings(page);
        await elsewhere.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByText(/^Elsewhere, .* other than usual, as entered\.$/)).toBeVisible();
        await page.goto(athlete);
        await expect(page.getByText(/At home: 25 × float serve, 40 %/)).toBeVisible();
        // On a Monday yesterday is a day of last week: the week elsewhere stands on it as well.
        await page.getByRole('button', { name: /^Take back At home: 25/ }).click();
        await page.getByRole('dialog').getByLabel('Why').fill('It was Thursday’s, told twice');
        await page.getByRole('button', { name: 'Take it back' }).click();
        await expect(page.getByText(/At home: 25 × float serve/)).toHaveCount(0);
    });
});
