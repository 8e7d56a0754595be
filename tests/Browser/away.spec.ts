import { expect, hasNoAxeFindings, row, signIn, test } from './support';

test('somebody is found by two letters, away on a day of the week, and there again', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('/');
    const find = page.getByRole('dialog', { name: 'Find' });
    await find.getByRole('combobox').fill('rav');
    await expect(find.getByRole('option')).toHaveCount(1);
    await hasNoAxeFindings(page);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: /Ravi Castellan/ })).toBeVisible();
    const hurt = page.getByRole('region', { name: 'Away and hurt' });
    await expect(hurt.getByText(/^Travel, /)).toBeVisible();

    await page.getByRole('link', { name: 'Calendar', exact: true }).click();
    await page.getByRole('link', { name: 'The week by athlete' }).click();
    const table = page.getByRole('table', { name: 'Athletes down, the days of the week across' });
    await expect(table).toBeVisible();
    await hasNoAxeFindings(page);
    const today = page.getByRole('button', { name: /^Ravi, .*: \d+ planned$/ }).first();
    await today.click();
    await page.getByRole('button', { name: 'Away on this day' }).click();
    await expect(page.getByRole('button', { name: /^Ravi, .*: Away, / }).first()).toBeVisible();
    await page.goto('/');
    await expect(
        row(page, 'Ravi Castellan')
            .getByText(/^Away, /)
            .first(),
    ).toBeVisible();
    await row(page, 'Ravi Castellan').getByRole('link', { name: 'Ravi Castellan' }).click();
    const away = hurt.getByRole('listitem').filter({ hasText: /^Away, / });
    await away.getByRole('button', { name: 'Undo' }).click();
    await expect(away).toHaveCount(0);
});

test('what happened is written down, handed on and stays open until somebody was told', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('castellan');
    await page.keyboard.press('Enter');
    const hurt = page.getByRole('region', { name: 'Away and hurt' });
    await hurt.getByRole('button', { name: 'Something happened' }).click();
    const form = page.getByRole('dialog');
    await form.getByLabel(/^What happened/).fill('Ran into the post');
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Save' }).click();
    const incident = hurt.getByRole('listitem').filter({ hasText: 'Ran into the post' }).first();
    await expect(incident).toContainText('Write down which guardian was told');
    await expect(incident.getByRole('button', { name: 'Close it' })).toBeDisabled();
    await page.goto('/');
    await expect(row(page, 'Ravi Castellan').getByRole('link', { name: 'Incident open' })).toBeVisible();
    await row(page, 'Ravi Castellan').getByRole('link', { name: 'Incident open' }).click();
    await incident.getByRole('button', { name: 'Add what was done' }).click();
    await incident.getByLabel('Who').fill('his mother');
    await incident.getByLabel('What was done or said').fill('By phone');
    await incident.getByRole('button', { name: 'Save' }).click();
    await expect(incident).toContainText('Told his mother: By phone.');
    await hasNoAxeFindings(page);
    await incident.getByRole('button', { name: 'Close it' }).click();
    await expect(incident).toContainText('Closed.');
});

test('an athlete retires, is out of sight, and is brought back', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Athletes', exact: true }).click();
    await page.getByLabel('Search the athletes').fill('rav');
    await expect(page.getByRole('listitem')).toHaveCount(1);
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Squads of Ravi Castellan' }).click();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Retire Ravi' }).click();
    await expect(page.getByText('Nobody fits.', { exact: false })).toBeVisible();
    await page.goto('/');
    await expect(row(page, 'Mira Okonjo')).toBeVisible();
    await expect(row(page, 'Ravi Castellan')).toHaveCount(0);
    await page.goto('/athletes');
    await page.getByRole('button', { name: '1 retired' }).click();
    await page.getByRole('button', { name: 'Squads of Ravi Castellan' }).click();
    await page.getByRole('button', { name: 'Bring back' }).last().click();
    await expect(page.getByText('Nobody fits.', { exact: false })).toBeVisible();
    await page.goto('/');
    await expect(row(page, 'Ravi Castellan').getByRole('link', { name: /^Start with/ })).toBeVisible();
});
