import { readFile } from 'node:fs/promises';
import { OwnServer } from './OwnServer';
import { serverOf } from './servers';
import { expect, hasNoAxeFindings, row, signIn, test, toJudged } from './support';

// What is edited and counted here would be in the way of the others.
const PORT = 8779;
test.use({ baseURL: `http://localhost:${PORT}` });

let server: OwnServer;
test.beforeAll(async ({}, { parallelIndex }) => {
    server = new OwnServer(serverOf(parallelIndex).storage, PORT);
    await server.up();
});
test.afterAll(() => server.down());

test('a ladder of our own is seen before it is saved, compared, and one change is taken back', async ({ page }) => {
    await signIn(page);
    await page.goto('/library/shot/edit');
    await page.getByRole('region', { name: 'In short' }).getByLabel('Name').fill('Shot, our way');
    const rungs = page.getByRole('region', { name: 'Rungs' });
    await rungs.getByLabel('Goal').first().fill('Both hands, fingers last');
    // As a page, on a sheet and courtside, for a child.
    await page.getByRole('button', { name: 'See it as page, sheet and courtside' }).click();
    const seen = page.getByRole('dialog');
    await expect(seen.getByRole('region', { name: 'As a page' })).toContainText('Both hands, fingers last');
    const reps = async (): Promise<string> => seen.getByRole('region', { name: 'On a sheet' }).innerText();
    const grown = await reps();
    await seen.getByLabel('For somebody').selectOption('8');
    await expect.poll(reps).not.toBe(grown);
    await hasNoAxeFindings(page);
    await page.keyboard.press('Escape');
    // A tag of our own, and two faults that come together.
    const tags = page.getByRole('region', { name: 'Tags' });
    await tags.getByRole('button', { name: 'Add a tag' }).click();
    await tags.getByLabel('Name of tag 4').fill('Spun');
    await tags.getByLabel('What many of tag 4 tell').fill('The fingers left it on one side.');
    await page.getByRole('button', { name: 'Save this ladder' }).click();
    await expect(page.getByRole('heading', { name: 'Shot, our way' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Tags' })).toContainText('Spun.');

    await page.getByRole('link', { name: 'Compare' }).click();
    await expect(page.getByText('changed by us')).toHaveCount(3);
    await hasNoAxeFindings(page);
    await page.getByLabel(/^Take: Rung “.*”, goal$/).check();
    await page.getByRole('button', { name: 'Take 1 into ours' }).click();
    await expect(page.getByText('Saved as version 2.')).toBeVisible();
    await expect(page.getByText('changed by us')).toHaveCount(2);
    await page.getByLabel('With').selectOption('1');
    await expect(page.getByText('One place differs')).toBeVisible();
});

test('a drill of our own, a return programme as a file, and a ball put right', async ({ page }) => {
    await signIn(page);
    await page.goto('/library/drills');
    await page.getByRole('button', { name: 'Our own drills' }).click();
    await page.getByRole('button', { name: 'Add a drill' }).click();
    const form = page.getByRole('dialog');
    await form.getByLabel('What it is called').fill('Whip a towel at the rail');
    await form.getByLabel('Set-up, and what is done').fill('A towel in the hand, whip it at a rail.');
    await form.getByLabel('The short thought').fill('Make it crack');
    await hasNoAxeFindings(page);
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(form.getByText('Whip a towel at the rail')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('searchbox').fill('make it crack');
    await expect(page.getByRole('heading', { name: 'Whip a towel at the rail' })).toBeVisible();
    await page.getByRole('button', { name: 'Our own drills' }).click();
    await page.getByRole('button', { name: 'Take away' }).click();
    await expect(form.getByText('not offered any more')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('No drill says that.')).toBeVisible();

    await page.goto('/programmes');
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Export' }).first().click(),
    ]);
    const programme = JSON.parse(await readFile(await download.path(), 'utf8')) as { name: string; stages: object[] };
    const file = (text: string) => ({ name: 'ours.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await page.getByLabel('Programme file').setInputFiles(file('{"name": 7}'));
    await expect(page.getByText('“ours.json” is no return programme')).toBeVisible();
    const ours = { ...programme, id: 'ours', name: 'Ours, from a file' };
    await page.getByLabel('Programme file').setInputFiles(file(JSON.stringify(ours)));
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Ours, from a file');
    await hasNoAxeFindings(page);
    await page.getByLabel('What is done of stage 1').fill('Slowly, and stop when it hurts.');
    await page.getByRole('button', { name: 'Save as our copy' }).click();
    await expect(page.getByText('Ours, from a file')).toBeVisible();

    await page.goto('/library/flight');
    const balls = page.getByRole('region', { name: 'Balls' });
    await balls.getByLabel('Match ball for one hand, drag coefficient').fill('9');
    await balls.getByRole('button', { name: 'Save' }).click();
    await expect(balls.getByRole('alert')).toContainText(
        'At “balls, match ball, drag coefficient”: 9 is outside 0 to 2.',
    );
    await balls.getByLabel('Match ball for one hand, drag coefficient').fill('0.4');
    await balls.getByRole('button', { name: 'Save' }).click();
    await expect(balls.getByText('our own, version 1')).toBeVisible();
    await hasNoAxeFindings(page);
    await balls.getByRole('button', { name: 'As they ship' }).click();
    await balls.getByRole('button', { name: 'Save' }).click();
    await expect(balls.getByLabel('Match ball for one hand, drag coefficient')).toHaveValue('0.35');
});

test('a throw is tagged in one touch, and a grip is written down and can be tried', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Tomas Brandvik' }).click();
    await page.getByRole('link', { name: 'Grips' }).click();
    const line = page.getByRole('form', { name: 'Add a line' });
    const save = async (fields: Record<string, string>): Promise<void> => {
        for (const [label, text] of Object.entries(fields)) await line.getByLabel(label, { exact: true }).fill(text);
        await line.getByLabel('What the ball did').fill('Flew level');
        await line.getByRole('button', { name: 'Save' }).click();
    };
    await save({ 'Name of the grip': 'Fork', Fingers: 'first and middle', Pressure: 'even', Thumb: 'along' });
    await expect(page.getByRole('region', { name: 'Fork' }).getByRole('listitem')).toHaveCount(1);
    await save({ Pressure: 'middle', Thumb: 'under' });
    await expect(page.getByText('Several things were changed at once')).toBeVisible();
    await hasNoAxeFindings(page);

    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto('/');
    await row(page, 'Tomas Brandvik')
        .getByRole('link', { name: /Start|Go on/ })
        .click();
    await toJudged(page);
    await page.getByRole('button', { name: 'Good', exact: true }).click();
    const steep = page.getByRole('button', { name: 'Steep' });
    await steep.click();
    await expect(steep).toHaveAttribute('aria-pressed', 'true');
    await steep.click();
    await expect(steep).toHaveAttribute('aria-pressed', 'false');
    await page.getByRole('button', { name: 'What is being tried' }).click();
    await expect(page.getByRole('button', { name: 'grip: Fork' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
});
