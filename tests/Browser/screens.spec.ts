import { anotherDevice, expect, fillSignIn, hasNoAxeFindings, row, signIn, test, toJudged } from './support';

test('Today shows every state, and each opens to its reasons', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByLabel('E-mail')).toBeVisible();
    await hasNoAxeFindings(page);
    await fillSignIn(page, 'coach', 'wrong');
    await expect(page.getByText('Name and password do not go together. Check both and try again.')).toBeVisible();
    await signIn(page);
    for (const [name, word] of [
        ['Tomas Brandvik', 'Full'],
        ['Yuna Petrovic', 'Reduced'],
        ['Noor Haddad', 'None'],
        ['Sofie Marchetti', 'Refer'],
        ['Henrike Osei', 'Not checked in'],
    ] as const) {
        await expect(row(page, name).getByText(word, { exact: true })).toBeVisible();
    }
    await expect(row(page, 'Tomas Brandvik').getByText(/left at|None left|Plenty/)).toBeVisible();
    await expect(row(page, 'Tomas Brandvik').getByText('Ready for “Into the lane”')).toBeVisible();
    await expect(row(page, 'Ilse Varga').getByText('Not yet: good again on a second day')).toBeVisible();
    await hasNoAxeFindings(page);

    await row(page, 'Sofie Marchetti')
        .getByRole('button', { name: /Refer\. Why/ })
        .click();
    await expect(page.getByText('only a clinician’s clearance closes it').last()).toBeVisible();
    await hasNoAxeFindings(page);
    await page.keyboard.press('Escape');
    await row(page, 'Tomas Brandvik')
        .getByRole('button', { name: /Weekly rise of arm load/ })
        .click();
    await expect(page.getByRole('cell', { name: /Float serve, volleyball/ }).first()).toBeVisible();
});

test('sheet, athlete, courtside and check-in: axe finds nothing', async ({ page }) => {
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: /reps/ }).click();
    await expect(page.getByRole('heading', { name: 'Called third' })).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('link', { name: 'Start courtside' }).click();
    await expect(page.getByRole('button', { name: 'Count one' })).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Sore' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await hasNoAxeFindings(page);
    await page.goto('/');
    await page.getByRole('link', { name: 'Dario Nwosu' }).click();
    await expect(page.getByRole('heading', { name: 'Ten weeks behind, one ahead' })).toBeVisible();
    await hasNoAxeFindings(page);
});

test.describe('on a phone', () => {
    test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

    test('courtside fits without scrolling, targets are 64 pixels, nothing runs off the side', async ({ page }) => {
        await signIn(page);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
        await page.getByRole('link', { name: 'Start with Pia' }).click();
        await toJudged(page);
        await expect(page.getByRole('button', { name: 'Good', exact: true })).toBeInViewport({ ratio: 1 });
        await expect(page.getByRole('button', { name: 'Undo' })).toBeInViewport({ ratio: 1 });
        await expect(page.getByTestId('reps-left')).toBeInViewport({ ratio: 1 });
        expect(
            await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight),
        ).toBeLessThanOrEqual(0);
        const sizes = await page
            .getByRole('region', { name: 'Count' })
            .getByRole('button')
            .evaluateAll((buttons) =>
                buttons
                    .map((button) => button.getBoundingClientRect())
                    .map(({ width, height }) => Math.min(width, height)),
            );
        expect(Math.min(...sizes)).toBeGreaterThanOrEqual(64);
    });
});

test('keyboard alone: count, undo, fault, other side', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Start with Dario' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Count one' })).toBeVisible();
    for (let i = 0; i < 10; i++) await page.keyboard.press('g');
    await expect(page.getByText(/10 done\. Next block/)).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByTestId('reps-left')).toHaveText('1');
    await page.keyboard.press('s');
    await expect(page.getByText(/left side/).first()).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('an assistant runs sessions but decides nothing; a clinician clears, and the referral closes', async ({
    browser,
}) => {
    const assistant = await (await anotherDevice(browser)).newPage();
    await signIn(assistant, 'assistant');
    await assistant.getByRole('link', { name: 'Tomas Brandvik' }).click();
    await expect(assistant.getByText('Ready for “Into the lane”')).toBeVisible();
    await expect(assistant.getByRole('button', { name: 'Advance', exact: true })).toHaveCount(0);

    const clinician = await (await anotherDevice(browser)).newPage();
    await signIn(clinician, 'clinician');
    await clinician.getByRole('link', { name: 'Sofie Marchetti' }).click();
    await clinician.getByRole('button', { name: 'Record a clearance' }).click();
    await clinician.getByLabel(/Role/).fill('Sports physician');
    await hasNoAxeFindings(clinician);
    await clinician.getByRole('button', { name: 'Save the clearance' }).click();
    await expect(clinician.getByText('Open referral')).toHaveCount(0);
    await expect(clinician.getByText(/Cleared by Dr\. Samira Lund, Sports physician/)).toBeVisible();
});
