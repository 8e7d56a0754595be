import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import config from '../../playwright.config';
import { wallPractice, wav } from '../sound';
import { anotherDevice, expect, hasNoAxeFindings, row, signIn, test } from './support';

const HITS = 40;
const file = join(mkdtempSync(join(tmpdir(), 'augendo-sound-')), 'wall.wav');

// A microphone that hears forty hits on a wall, once, from when it is opened.
test.use({
    launchOptions: {
        ...config.use?.launchOptions,
        args: [...(config.use?.launchOptions?.args ?? []), `--use-file-for-fake-audio-capture=${file}%noloop`],
    },
});
test.beforeAll(() => writeFileSync(file, wav(wallPractice('hall', HITS, [0.7, 0.9], 4).sound)));

test('alone at a wall the phone counts forty hits, and what is said is held against it', async ({ page, browser }) => {
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.getByRole('link', { name: /Intake/ }).click();
    await page.getByLabel(/For whom/).fill('own phone');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const address = await page.getByLabel('Link', { exact: true }).inputValue();
    const context = await anotherDevice(browser, {
        viewport: { width: 390, height: 844 },
        baseURL: new URL(address).origin,
        permissions: ['microphone'],
    });
    const phone = await context.newPage();
    await phone.goto(address);
    await phone.getByRole('button', { name: 'I practised at home' }).click();
    await phone.getByRole('button', { name: 'Let the phone count' }).click();
    await hasNoAxeFindings(phone);
    await phone.getByRole('button', { name: 'Listen', exact: true }).click();
    await expect(phone.getByText(/^Hit as you will: \d more, and it knows your hits/)).toBeVisible();
    const heard = phone.getByTestId('heard');
    // The dose was twenty: its end is told, and the counting goes on.
    await expect(phone.getByText('That was the dose.', { exact: false })).toBeVisible({ timeout: 40_000 });
    await expect(heard).toHaveText(String(HITS), { timeout: 40_000 });
    await phone.getByRole('button', { name: 'Done: use this number' }).click();
    await expect(phone.getByText(`We heard ${HITS}. You say?`)).toBeVisible();
    await phone.getByRole('button', { name: '1 fewer' }).click();
    await expect(phone.getByText(`The larger counts: ${HITS}.`, { exact: false })).toBeVisible();
    await phone.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(phone.getByText(new RegExp(`${HITS} × `)).first()).toBeVisible();
});
