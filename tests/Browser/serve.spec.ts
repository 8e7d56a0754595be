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

test('a round is taken on the court picture, one touch a serve, and the window counts on from it', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    const sheet = await page.evaluate(async () => {
        const answer = await fetch('/api/today', { headers: { Accept: 'application/json' } });
        const { rows } = (await answer.json()) as {
            rows: { athlete: { given_name: string; id: string }; sheet: { id: string } | null }[];
        };
        const row = rows.find(({ athlete }) => athlete.given_name === 'Yuna');
        return { id: row?.sheet?.id, athlete: row?.athlete.id };
    });
    await page.goto(`/sheets/${sheet.id}/courtside`);
    await page.getByRole('button', { name: 'Choose a block' }).click();
    await page.getByRole('button', { name: /^Target: / }).click();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Score', exact: true }).click();
    const form = page.getByRole('dialog', { name: 'Score this block' });
    await form.getByRole('button', { name: 'In a row' }).click();
    await form.getByLabel('Aimed at').selectOption('The last three metres');
    await form.getByLabel(/^Goal, in a row/).fill('5');
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Play' }).click();
    const court = page.getByRole('img', { name: /places on the volleyball court, aimed at: the last three metres/ });
    // Of the picture: in the middle of the box, long, into the net.
    const [IN, LONG, NET] = [
        [0.5, 0.32],
        [0.5, 0.06],
        [0.5, 0.97],
    ] as const;
    const serves = [IN, IN, LONG, NET, IN];
    for (const [across, down] of serves) {
        const box = await court.boundingBox();
        if (box === null) throw new Error('no court');
        await page.mouse.click(box.x + box.width * across, box.y + box.height * down);
    }
    await expect(page.getByText('1 in a row now, longest 2')).toBeVisible();
    await expect(page.getByText('3 in, 1 long, 1 net', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('0 in a row now, longest 2')).toBeVisible();
    await page.keyboard.press('g');
    await expect(page.getByText('1 in a row now, longest 2')).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'End the round' }).click();
    await expect(court).toHaveCount(0);

    await expect(async () => {
        await page.goto(`/athletes/${sheet.athlete}/serve?box=deep`);
        await page.getByLabel('Into').selectOption('The last three metres');
        await expect(page.getByText(/As scored courtside since/)).toBeVisible({ timeout: 5_000 });
    }).toPass({ timeout: 30_000 });
    await expect(page.getByRole('group', { name: 'In', exact: true }).getByRole('status')).toHaveText('3');
    await page.goto(`/athletes/${sheet.athlete}/scores`);
    const kept = page.getByRole('article').filter({ hasText: 'In a row, the last three metres' });
    await expect(kept.getByText('2 in a row', { exact: true }).first()).toBeVisible();
    await expect(kept.getByText('goal 5 in a row', { exact: false })).toBeVisible();

    // Taken back, so that whoever counts here next begins where the session stood.
    await page.goto(`/sheets/${sheet.id}/courtside`);
    const undo = page.getByRole('button', { name: 'Undo' });
    for (let i = 0; i < serves.length; i++) await undo.click();
    await expect
        .poll(() =>
            page.evaluate(async (athlete) => {
                const answer = await fetch(`/api/athletes/${athlete}/scores`, {
                    headers: { Accept: 'application/json' },
                });
                return ((await answer.json()) as { series: { setup: string | null }[] }).series.map(
                    ({ setup }) => setup,
                );
            }, sheet.athlete),
        )
        .not.toContain('in_a_row on=volleyball:deep');
});
