import { countFourteenServes, expect, hasNoAxeFindings, row, signIn, test } from './support';

test('serves are counted, the window explained, less pace looked at, and a target put on the next sheet', async ({
    page,
}) => {
    await signIn(page);
    await row(page, 'Dario Nwosu').getByRole('link', { name: 'Dario Nwosu' }).click();
    await page.getByRole('link', { name: 'Serve window' }).click();
    await expect(page.getByText('Count ten serves at least', { exact: false })).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByLabel('Speed, m/s', { exact: false }).fill('19');
    await page.getByLabel('Topspin, turns a minute').fill('600');
    await countFourteenServes(page);
    await expect(page.getByText('7 of 14 in: 50 %', { exact: false })).toBeVisible();
    await expect(page.getByText(/^Of a hundred, \d+ too long, \d+ into the net/)).toBeVisible();
    await expect(page.getByRole('img', { name: 'From the side' })).toBeVisible();
    await expect(page.getByRole('img', { name: 'From above' })).toBeVisible();
    await hasNoAxeFindings(page);
    const advice = page.getByRole('region', { name: 'What would bring it to 60 %' });
    await expect(advice.getByText('of the pace', { exact: false }).first()).toBeVisible();
    const slower = advice.getByRole('row').filter({ hasText: 'of the pace' });
    await slower.getByRole('button', { name: 'Look at it' }).click();
    await expect(page.getByLabel('Speed, m/s', { exact: false })).not.toHaveValue('19');
    await page.getByLabel('Speed, m/s', { exact: false }).fill('19');
    await slower.getByRole('button', { name: 'Put on' }).click();
    await expect(page.getByText('On the next sheet, instead of some of its serves.')).toBeVisible();
    await page.getByRole('link', { name: 'Look at it' }).click();
    await expect(page.getByText(/^From the serve window: \d+ % of the pace/)).toBeVisible();
});

test('a distance says what it asks of a throw, with the ways there', async ({ page }) => {
    await signIn(page);
    await row(page, 'Tomas Brandvik').getByRole('link', { name: /reps/ }).first().click();
    await page
        .getByRole('button', { name: /what .* m asks/ })
        .filter({ hasText: 'at least' })
        .click();
    const check = page.getByRole('dialog');
    await expect(check.getByText(/m asks for at least \d+ % of what is on record/)).toBeVisible();
    await expect(check.getByText('This does not fly as a ball does', { exact: false })).toBeVisible();
    await hasNoAxeFindings(page);
});
