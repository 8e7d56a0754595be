import { expect, hasNoAxeFindings, row, signIn, test } from './support';

test('a four-by-five target round in twenty-one taps, a grouping on the pad, and undo', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.getByRole('link', { name: 'Scores' }).click();
    let taps = 0;
    const tap = async (name: string): Promise<void> => {
        taps++;
        await page.getByRole('button', { name, exact: true }).click();
    };
    for (let ball = 0; ball < 20; ball++) await tap(ball % 4 === 0 ? 'Miss' : 'Hit');
    await expect(page.getByText('Done: keep it.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Hit', exact: true })).toBeDisabled();
    await tap('Save');
    expect(taps).toBeLessThanOrEqual(22);
    await expect(page.getByText('75 points').first()).toBeVisible();
    await hasNoAxeFindings(page);

    await page.getByRole('button', { name: 'Serve game' }).click();
    for (const name of ['In', 'Out', 'In', 'Out', 'Out']) await page.getByRole('button', { name, exact: true }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('second serve, point 3')).toBeVisible();
    await page.getByRole('button', { name: 'Out', exact: true }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('33 % first serves').first()).toBeVisible();

    await page.getByRole('button', { name: 'Grouping' }).click();
    const pad = page.getByRole('img', { name: /0 places on a pad/ });
    const box = await pad.boundingBox();
    if (box === null) throw new Error('no pad');
    for (let i = 0; i < 6; i++)
        await page.mouse.click(box.x + box.width * (0.7 + 0.02 * (i % 3)), box.y + box.height * (0.5 + 0.02 * (i % 2)));
    await expect(page.getByText('6 places')).toBeVisible();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/Tends right/)).toBeVisible();
    await hasNoAxeFindings(page);
});

test('gates of the squad, and the library for both hands', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Gates' }).click();
    await expect(
        page.getByRole('region', { name: 'Ready' }).getByRole('link', { name: 'Tomas Brandvik' }),
    ).toBeVisible();
    await expect(
        page
            .getByRole('region', { name: 'Watch next' })
            .getByText(/^opens \d+ %$/)
            .first(),
    ).toBeVisible();
    await page.getByRole('button', { name: /^Tomas: Ready/ }).click();
    await expect(page.getByRole('cell', { name: 'Mechanics' }).or(page.getByText('Mechanics')).first()).toBeVisible();
    await hasNoAxeFindings(page);
    await page.keyboard.press('Escape');

    await page.getByRole('link', { name: 'Library' }).click();
    await page.getByRole('searchbox').fill('edge to the fence');
    await expect(page.getByText(/^1 of \d+ ladders$/)).toBeVisible();
    await page.getByRole('searchbox').fill('no such words');
    await expect(page.getByText('No ladder says that.', { exact: false })).toBeVisible();
    await page.getByRole('searchbox').fill('');
    await page.getByRole('link', { name: /^Serve foundation/ }).click();
    await expect(page.getByText(/left arm up, right elbow back/)).toBeVisible();
    await page.getByRole('button', { name: 'left-handed' }).click();
    await expect(page.getByText(/right arm up, left elbow back/)).toBeVisible();
    await hasNoAxeFindings(page);
});

test('courtside: a hold is counted down and steps are counted at a tempo', async ({ page }) => {
    await signIn(page);
    await row(page, 'Pia Lindgren')
        .getByRole('link', { name: /Start|Go on/ })
        .click();
    await page.getByRole('button', { name: 'Timer: hold, or beat' }).click();
    await page.getByRole('group', { name: 'Hold' }).getByRole('button', { name: '10 s' }).click();
    await expect(page.getByRole('timer')).toHaveText('9');
    await page.getByRole('group', { name: 'Hold' }).getByRole('button', { name: 'Stop' }).click();
    const beat = page.getByRole('group', { name: 'Beat' });
    await beat.getByRole('button', { name: 'Start' }).click();
    await expect(beat.getByText('2', { exact: true })).toBeVisible();
    await expect(beat.getByText('1', { exact: true })).toBeVisible();
    await hasNoAxeFindings(page);
});
