import { type Page } from '@playwright/test';
import { expect, hasNoAxeFindings, signIn, test } from './support';

type Row = { athlete: { given_name: string }; sheet: { id: string } | null };

const sheetOf = (page: Page, name: string): Promise<string> =>
    page.evaluate(async (given) => {
        const answer = (await (await fetch('/api/today', { headers: { Accept: 'application/json' } })).json()) as {
            rows: Row[];
        };
        return answer.rows.find((row) => row.athlete.given_name === given)?.sheet?.id ?? '';
    }, name);

test('a rung is read as a page, what its gate does is told, and a drill is found in a coach’s words', async ({
    page,
}) => {
    await signIn(page);
    await page.goto('/library/racket-serve');
    const grip = page.getByRole('listitem').filter({ hasText: 'Hammer grip' }).first();
    await expect(grip.getByText('A wrong grip blocks all that follows, so it comes first.')).toBeVisible();
    await expect(grip.getByText('Look first at:')).toBeVisible();
    await page.getByRole('button', { name: 'left-handed' }).click();
    await expect(page.getByText('Straight right arm, open the hand at eye height', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'What the gate of Box, large target does' }).click();
    const does = page.getByRole('dialog', { name: 'What the gate of Box, large target does' });
    await expect(does.getByRole('row')).toHaveCount(4);
    await expect(does.getByText('200 drawn athletes', { exact: false })).toBeVisible();
    const seldom = await does.getByRole('row').nth(1).getByRole('cell').nth(1).innerText();
    const often = await does.getByRole('row').nth(3).getByRole('cell').nth(1).innerText();
    expect(Number.parseInt(seldom)).toBeLessThan(Number.parseInt(often));
    await page.keyboard.press('Escape');
    await hasNoAxeFindings(page);

    await page.goto('/library/drills');
    await page.getByRole('searchbox').fill('toss, no partner');
    await expect(page.getByText('Alone.', { exact: true })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Catch the toss at full height' })).toBeVisible();
    await page.getByRole('button', { name: 'sore wrist' }).click();
    await expect(page.getByText('With a sore wrist: nothing that loads hand.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Catch the toss at full height' })).toHaveCount(0);
    await page.getByRole('searchbox').fill('sore neck');
    await expect(page.getByText('licensed clinician', { exact: false })).toBeVisible();
    await hasNoAxeFindings(page);
});

test('a school is chosen after what it changes was told, stands on the sheet and courtside, and is taken back', async ({
    page,
}) => {
    await signIn(page);
    const sheet = await sheetOf(page, 'Mira');
    await page.goto('/library');
    await page.getByRole('link', { name: 'Schools' }).click();
    const sides = page.getByRole('radiogroup', { name: 'Is the other side trained?' });
    await sides.getByText(/Changes \d+ things/).click();
    await expect(sides.getByText('is left out', { exact: false }).first()).toBeVisible();
    await hasNoAxeFindings(page);
    await sides.getByLabel('One side only').check();
    await expect(sides.getByRole('button', { name: 'Go as the library again' })).toBeVisible();

    await page.goto(`/sheets/${sheet}`);
    await expect(page.getByText('Taught: one side only', { exact: false })).toBeVisible();
    await page.goto(`/sheets/${sheet}/courtside`);
    await page.getByRole('button', { name: /^How to teach/ }).click();
    const teach = page.getByRole('dialog', { name: /^How to teach/ });
    await expect(teach.getByText('Taught: One side only.')).toBeVisible();
    await expect(teach.getByText('Look first at')).toBeVisible();
    await page.keyboard.press('Escape');

    await page.goto('/squads/1/schools');
    await sides.getByRole('button', { name: 'Go as the library again' }).click();
    await expect(sides.getByRole('button', { name: 'Go as the library again' })).toHaveCount(0);
});

test('the editor reaches how a rung is taught, how a block is done and all of a gate', async ({ page }) => {
    await signIn(page);
    await page.goto('/library/overhand-throw/edit');
    await page.getByText(/^How it is taught/).click();
    await page.getByLabel('Look first at').fill('The hand, always the hand.');
    await page.getByText('More of what the gate asks').click();
    await page.getByLabel('days evidence counts').fill('30');
    await page.getByLabel('good again on a second day').selectOption('false');
    await page.getByLabel('Tempo of block 2').selectOption('counted');
    await page.getByLabel('Beats of block 2, in words').fill('up hold down');
    await page.getByLabel('The drill for Palm faces the head, written out').fill('A window in the evening will do.');
    await page.getByRole('button', { name: 'Save this ladder' }).click();
    await expect(page.getByRole('heading', { name: 'Overhand throw, our way' })).toBeVisible();
    await expect(page.getByText('The hand, always the hand.')).toBeVisible();
    await expect(page.getByText('counted: up, hold, down', { exact: false })).toBeVisible();
    await expect(page.getByText('A window in the evening will do.', { exact: false })).toBeVisible();
});

test('the club writes its own sizes, one athlete throws another, and both are taken back', async ({ page }) => {
    await signIn(page);
    await page.goto('/library/javelin-throw');
    await page.getByRole('link', { name: 'Throwing ball 400 g up to 11 years', exact: false }).click();
    const javelin = page.getByRole('region', { name: 'Javelin' });
    const save = page.getByRole('button', { name: 'Save' });
    await expect(save).toBeDisabled();
    await javelin.getByRole('button', { name: 'Javelin: add an age' }).click();
    await javelin.getByLabel('Javelin, age 3: up to years').fill('12');
    await save.click();
    await expect(page.getByRole('alert')).toContainText(
        'At “tables, javelin, ages, row 3”: Rows go from the smallest up',
    );
    await javelin.getByLabel('Javelin, age 3: up to years').fill('17');
    await javelin.getByLabel('Javelin, age 3', { exact: true }).selectOption('Javelin 700 g');
    await javelin.getByLabel('Javelin, everybody else').selectOption('Javelin 800 g');
    await save.click();
    await expect(page.getByText('our own, version 1')).toBeVisible();
    await hasNoAxeFindings(page);

    await page.goto('/athletes');
    await page.getByRole('link', { name: 'Tomas Brandvik' }).first().click();
    await page.getByRole('link', { name: 'Intake' }).click();
    const thrown = page.getByRole('region', { name: 'What is thrown' });
    await expect(thrown.getByLabel('Javelin')).toHaveValue('');
    await expect(thrown.getByRole('option', { name: 'By age and hand: Javelin 700 g' })).toBeAttached();
    await thrown.getByLabel('Javelin').selectOption('Javelin 800 g');
    await expect(thrown.getByText('Heavier than the table has', { exact: false })).toBeVisible();
    await thrown.getByLabel('Javelin').selectOption('By age and hand: Javelin 700 g');
    await expect(thrown.getByText('Heavier than the table has', { exact: false })).toHaveCount(0);

    await page.goto('/library/sizes');
    await page.getByRole('button', { name: 'As they ship' }).click();
    await save.click();
    await expect(page.getByText('our own, version 2')).toBeVisible();
});
