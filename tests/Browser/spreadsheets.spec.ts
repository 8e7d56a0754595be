import { expect, hasNoAxeFindings, signIn, test } from './support';
import type { Page } from '@playwright/test';

const MESSY = [
    'Session date;Player;Exercise;Sets;Reps;How hard;Distance;Coach says',
    '3/4/2026;Okonjo, Mira;Float serves;3;12;75 %;9 m;toss',
    '4/5/2026;Dario Nwosu;Throws;2;10;easy;30 yd;',
    '6/5/2026;Nia Unknown;Float serves;2;10;hard;;new here?',
    '7/5/2026;Pia Lindgren;Javelin throw;1;8;7;;seven of ten',
    '31/6/2026;Pia Lindgren;Javelin throw;1;8;60 %;;no such day',
].join('\r\n');

async function bringIn(page: Page, what: 'athletes' | 'work done', name: string, text: string): Promise<void> {
    await page.goto('/athletes');
    await page.getByRole('link', { name: 'Bring in a spreadsheet' }).click();
    await page
        .getByLabel(`File: ${what}`)
        .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text, 'utf-8') });
    await expect(page.getByRole('table', { name: 'Columns of the file' })).toBeVisible();
}

test('a messy spreadsheet of work is looked at, put right, taken in as a whole and taken back', async ({ page }) => {
    await signIn(page);
    await bringIn(page, 'work done', 'spring.csv', MESSY);
    await expect(page.getByLabel('Exercise is')).toHaveValue('skill');
    await expect(page.getByLabel('Coach says is')).toHaveValue('');
    await hasNoAxeFindings(page);
    await page.getByLabel('Distances are in').selectOption('m');
    await page.getByRole('button', { name: 'Look at the rows' }).click();
    await expect(page.getByText('“7” may be seven of ten or a percentage.')).toBeVisible();
    await expect(page.getByText('“31/6/2026” is no day of the calendar.')).toBeVisible();
    await hasNoAxeFindings(page);

    await page.getByLabel(/^“Throws”/).selectOption('Overhand throw');
    await page.getByLabel(/^“Nia Unknown”/).selectOption('Leave these rows out');
    await page.getByRole('button', { name: 'Look at the rows again' }).click();
    await expect(page.getByRole('button', { name: 'Left out 1' })).toBeVisible();
    await page.getByRole('button', { name: 'New 2' }).click();
    await expect(page.getByRole('cell', { name: 'Okonjo, Mira' })).toBeVisible();
    const take = page.getByRole('button', { name: 'Take in 2 rows' });
    await expect(take).toBeDisabled();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save them as a file' }).click();
    expect((await saved).suggestedFilename()).toBe('spring to put right.csv');
    await page.getByLabel('The 2 rows that cannot be used stay out').check();
    await take.click();
    await expect(page.getByText('On record: 2 rows.')).toBeVisible();

    await page.getByRole('link', { name: 'Spreadsheets', exact: true }).click();
    await page.getByRole('link', { name: 'spring.csv' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByLabel('Why').fill('The wrong spring');
    await page.getByRole('button', { name: 'Take all of it back' }).click();
    await expect(page.getByText('Taken back: The wrong spring')).toBeVisible();
    await page.goto('/people');
    await expect(page.getByText(/work brought in was taken back/i).first()).toBeVisible();
});

test('a list of athletes comes in, and goes again', async ({ page }) => {
    await signIn(page);
    await bringIn(page, 'athletes', 'autumn.csv', 'Name,Born,Throws\nLena Quist,14.3.2012,left\nMira Okonjo,,right\n');
    await page.getByLabel('They come into').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'Look at the rows' }).click();
    await expect(page.getByRole('button', { name: 'On record already 1' })).toBeVisible();
    await page.getByRole('button', { name: 'Take in 1 athlete' }).click();
    await expect(page.getByText('On record: 1 athlete.')).toBeVisible();
    await page.keyboard.press('/');
    await page.getByRole('combobox').fill('quist');
    await expect(page.getByRole('option', { name: /Lena Quist/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByLabel('Why').fill('Another club');
    await page.getByRole('button', { name: 'Take all of it back' }).click();
    await expect(page.getByText('Taken back: Another club')).toBeVisible();
});
