import { appendFileSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, row, shelfCounts, signIn, test } from './support';

test.use({ serviceWorkers: 'allow' });

test('the application opens without a connection, counts, and sends when there is one again', async ({
    page,
    context,
}) => {
    await signIn(page);
    await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
    });
    // Today takes the sessions along by itself.
    const start = row(page, 'Ravi Castellan').getByRole('link', { name: 'Start with Ravi' });
    const sheetId = (await start.getAttribute('href'))?.split('/')[2] ?? '';
    await expect
        .poll(
            () =>
                page.evaluate(
                    async (id) =>
                        new Promise<boolean>((resolve) => {
                            const { key } = JSON.parse(localStorage.getItem('augendo-person') ?? '{}') as {
                                key: string;
                            };
                            const open = indexedDB.open(`augendo-${key}`);
                            open.onsuccess = () => {
                                const pack = open.result.transaction('packs').objectStore('packs').get(id);
                                pack.onsuccess = () => {
                                    open.result.close();
                                    resolve(pack.result !== undefined);
                                };
                            };
                        }),
                    sheetId,
                ),
            { timeout: 30_000 },
        )
        .toBe(true);

    await context.setOffline(true);
    await page.goto('/');
    await expect(row(page, 'Ravi Castellan')).toBeVisible();
    await expect(page.getByText('No connection, as last seen')).toBeVisible();
    await start.click();
    await page.getByRole('button', { name: 'Good', exact: true }).click();
    await page.getByRole('button', { name: 'Good', exact: true }).click();
    await expect(page.getByText('2 not sent yet')).toBeVisible();

    // The tab is closed and opened again, still without a connection: everything is there.
    const address = page.url();
    await page.close();
    const again = await context.newPage();
    await again.goto(address);
    await expect(again.getByText('2 not sent yet')).toBeVisible();
    const left = Number(await again.getByTestId('reps-left').textContent());
    await again.getByRole('button', { name: 'Good', exact: true }).click();
    await expect(again.getByTestId('reps-left')).toHaveText(String(left - 1));

    await context.setOffline(false);
    await expect(again.getByText(/not sent yet/)).toHaveCount(0, { timeout: 20_000 });
    await again.goto('/');
    await expect(row(again, 'Ravi Castellan').getByText(/^3 of/)).toBeVisible();
    await expect(again.getByText('No connection, as last seen')).toHaveCount(0);
});

test('a picture is measured without a connection, on a page of its own', async ({ page, context }) => {
    await signIn(page);
    await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
    });
    await page.goto('/athletes');
    await page.getByRole('link', { name: 'Mira Okonjo' }).first().click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Film now' })).toBeVisible();
    await context.setOffline(true);
    const answer = await page.reload();
    expect(answer?.headers()['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
    await page.getByRole('button', { name: 'Try it with a drawn figure' }).click();
    await page.getByRole('slider', { name: 'Picture' }).fill('66');
    await page.getByRole('listitem').filter({ hasText: 'Contact' }).getByRole('button', { name: 'Mark here' }).click();
    await expect(page.getByText('Touch the right shoulder.')).toBeVisible();
});

test('signing out leaves nothing of the squad on the device', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Who is signed in' }).click();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    expect(await shelfCounts(page, ['packs', 'answers'])).toEqual([0, 0]);
});

test('a new version is offered, never in the middle of a session, and taken when somebody says so', async ({
    page,
}) => {
    const built = join(import.meta.dirname, '../../public/build/sw.js');
    const asBuilt = readFileSync(built);
    const offered = page.getByText('A new version of Augendo is ready.');
    await signIn(page);
    await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
        if (!navigator.serviceWorker.controller)
            await new Promise((done) => navigator.serviceWorker.addEventListener('controllerchange', done));
    });
    await expect(offered).toHaveCount(0);
    try {
        appendFileSync(built, '\n// the next version\n');
        await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
        await expect(offered).toBeVisible();

        await row(page, 'Ravi Castellan')
            .getByRole('link', { name: /with Ravi$/ })
            .click();
        await expect(page.getByRole('heading', { level: 1 })).toContainText('Ravi');
        await expect(offered).toHaveCount(0);

        await page.goto('/');
        await page.getByRole('button', { name: 'Use it now' }).click();
        await expect(offered).toHaveCount(0);
        await expect(row(page, 'Ravi Castellan')).toBeVisible();
        const waits = () => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null);
        await expect.poll(waits).toBe(false);
    } finally {
        writeFileSync(built, asBuilt);
    }
});
