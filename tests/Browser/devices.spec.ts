import { expect, hasNoAxeFindings, row, signIn, test } from './support';

test('a gun is added and lent, what it saw is paired with what was tapped, and the rest is named by hand', async ({
    page,
    request,
}) => {
    await signIn(page);
    const link = row(page, 'Kaito Brennan').getByRole('link', { name: /reps/ }).first();
    const sheetId = (await link.getAttribute('href'))?.split('/').pop();
    await page.goto('/devices');
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Add a device' }).click();
    await page.getByLabel('What it is called').fill('Gun by the line');
    await page.getByRole('button', { name: 'Save' }).click();
    const token = await page.getByRole('textbox', { name: 'Token' }).inputValue();
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByLabel('Gun by the line: lent to').selectOption({ index: 1 });
    await expect(page.getByLabel('Gun by the line: lent to')).not.toHaveValue('');

    // Two are thrown: the gun sees both and a bird, and both are tapped.
    await page.goto(`/sheets/${sheetId}/courtside`);
    const all = page.getByRole('button', { name: /^(All \d+|Good|\+1)$/ }).first();
    await expect(all).toBeVisible();
    await all.click();
    await page.goto(`/sheets/${sheetId}`);
    const now = await page.evaluate(() => Date.now());
    const uuid = (i: number): string => `0195f0c0-0000-7000-8000-00000000000${i}`;
    const send = (bearer: string) =>
        request.post('/api/readings', {
            headers: { Authorization: `Bearer ${bearer}`, Accept: 'application/json' },
            data: {
                device_clock: new Date(now).toISOString(),
                battery: 0.15,
                readings: [16.2, 16.4, 3.1].map((speed, i) => ({
                    id: uuid(i),
                    seq: i + 1,
                    at: new Date(now - 1000 * (9 - 3 * i)).toISOString(),
                    speed_ms: speed,
                })),
            },
        });
    expect((await send('nobody')).status()).toBe(401);
    const first = await send(token);
    expect(await first.json()).toMatchObject({ taken: 3, known: 0 });
    expect(await (await send(token)).json()).toMatchObject({ taken: 0, known: 3 });

    await page.goto('/devices');
    await expect(page.getByText('Battery 15 %', { exact: false })).toBeVisible();
    const sessionId = await page.evaluate(
        async (id) => ((await (await fetch(`/api/sheets/${id}`)).json()) as { session_id: string }).session_id,
        sheetId,
    );
    await page.goto(`/sessions/${sessionId}/readings`);
    await expect(page.getByRole('heading', { name: 'What the devices saw' })).toBeVisible();
    await expect(page.getByText('Gun by the line: 3.1 m/s').first()).toBeVisible();
    await hasNoAxeFindings(page);
    const none = page.getByRole('button', { name: 'None of them was a repetition' });
    if (await none.isVisible()) {
        await none.click();
        await expect(none).toHaveCount(0);
        await expect(page.getByText('No repetition').first()).toBeVisible();
    }

    await page.goto('/devices');
    await page.getByRole('button', { name: 'Take out of use' }).click();
    await expect(page.getByRole('button', { name: 'Take out of use' })).toHaveCount(0);
    await expect(page.getByText('Out of use')).toBeVisible();
    expect((await send(token)).status()).toBe(401);
});
