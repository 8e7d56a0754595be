import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import config from '../../playwright.config';
import { wallPractice, wav } from '../sound';
import { anotherDevice, expect, hasNoAxeFindings, row, signIn, test } from './support';

const HITS = 40;
const FEW = 5;
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
    await expect(phone.getByText(/^Hit as you will: \d more|to go$/)).toBeVisible();
    const heard = phone.getByTestId('heard');
    // The dose was twenty: its end is told, and the counting goes on.
    await expect(phone.getByText('That was the dose.', { exact: false })).toBeVisible({ timeout: 40_000 });
    const count = async (): Promise<number> => Number(await heard.innerText());
    // A machine that is busy may swallow some of its own sound; what is heard of it is counted once.
    await expect.poll(count, { timeout: 40_000 }).toBeGreaterThanOrEqual(HITS - FEW);
    await phone.waitForTimeout(FEW * 1000);
    const all = await count();
    expect(all).toBeGreaterThanOrEqual(HITS - FEW);
    expect(all).toBeLessThanOrEqual(HITS);
    await phone.getByRole('button', { name: 'Done: use this number' }).click();
    await expect(phone.getByText(`We heard ${all}. You say?`)).toBeVisible();
    await phone.getByRole('button', { name: 'One fewer' }).click();
    await expect(phone.getByText(`The larger counts: ${all}.`, { exact: false })).toBeVisible();
    await phone.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(phone.getByText(new RegExp(`${all} × `)).first()).toBeVisible();
});
