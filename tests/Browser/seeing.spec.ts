import { type Page } from '@playwright/test';
import { anotherDevice, expect, hasNoAxeFindings, signIn, test, toJudged } from './support';

type Row = { athlete: { id: string; given_name: string }; sheet: { id: string } | null };

const rowOf = (page: Page, name: string): Promise<Row> =>
    page.evaluate(async (given) => {
        const answer = (await (await fetch('/api/today', { headers: { Accept: 'application/json' } })).json()) as {
            rows: Row[];
        };
        return answer.rows.find((row) => row.athlete.given_name === given) as Row;
    }, name);

async function courtside(page: Page, name: string): Promise<string> {
    const { sheet } = await rowOf(page, name);
    await page.goto(`/sheets/${sheet?.id}/courtside`);
    await toJudged(page);
    return sheet?.id ?? '';
}

const events = (
    page: Page,
    sheet: string,
): Promise<
    {
        kind: string;
        verdict: string;
        effort: number | null;
        distance_m: number | null;
        seen: Record<string, string> | null;
        note: string | null;
    }[]
> =>
    page.evaluate(
        async (id) =>
            (
                (await (
                    await fetch(`/api/sheets/${id}/courtside`, { headers: { Accept: 'application/json' } })
                ).json()) as { events: never[] }
            ).events,
        sheet,
    );

test('courtside: the dose moved, the effort felt, one repetition looked at checkpoint by checkpoint', async ({
    page,
}) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    const sheet = await courtside(page, 'Kaito');
    const tap = (name: string): Promise<void> => page.getByRole('button', { name, exact: true }).click();
    await tap('Good');
    await tap('Dose');
    const dialog = page.getByRole('dialog', { name: 'Change the dose' });
    await dialog.getByRole('region', { name: 'Effort asked' }).getByRole('button', { name: /^40 %/ }).click();
    await dialog
        .getByRole('region', { name: 'Distance' })
        .getByRole('button', { name: /1 nearer/ })
        .click();
    await dialog.getByRole('region', { name: 'Effort felt' }).getByRole('button', { name: '60' }).click();
    await hasNoAxeFindings(page);
    await page.keyboard.press('Escape');
    await expect(page.getByText('40 %, 3.2 m', { exact: false })).toBeVisible();
    await tap('Good');
    await tap('Correct');
    const look = page.getByRole('region', { name: 'By checkpoint' });
    await look.getByRole('group').first().getByRole('button', { name: 'Not seen' }).click();
    await expect(look.getByRole('button', { name: /^Keep/ })).toContainText('counts as load only');
    await look.getByRole('group').first().getByRole('button', { name: 'Wrong' }).click();
    await hasNoAxeFindings(page);
    await look.getByRole('button', { name: 'Keep: not good' }).click();
    await expect(page.getByText('1 of 2 good')).toBeVisible();
    await expect.poll(async () => (await events(page, sheet)).map(({ kind }) => kind)).toContain('correct');
    const kept = await events(page, sheet);
    expect(
        kept
            .filter((event) => event.kind === 'rep')
            .slice(-2)
            .map((event) => [event.effort, event.distance_m]),
    ).toEqual([
        [0.5, 4],
        [0.4, 3.2],
    ]);
    expect(kept.find((event) => event.kind === 'felt')?.effort).toBe(0.6);
    expect(
        Object.values(kept.find((event) => event.kind === 'correct')?.seen ?? {}).filter((word) => word === 'wrong'),
    ).toHaveLength(1);
    // After a reload the dose is where it was left.
    await page.reload();
    await expect(page.getByText('40 %, 3.2 m', { exact: false })).toBeVisible();
});

test('courtside: falling quality stops, and going on takes a reason that is kept', async ({ page }) => {
    await signIn(page);
    const sheet = await courtside(page, 'Ravi');
    for (let i = 0; i < 10; i++) await page.keyboard.press('g');
    for (let i = 0; i < 10; i++) await page.keyboard.press('n');
    const stop = page.getByRole('alert').filter({ hasText: 'Stop and look' });
    await expect(stop).toContainText('Quality is falling');
    // Other tests may have tapped here before: what counts is what this one adds.
    const judged = async (): Promise<[number, number]> => {
        const [, good, seen] =
            /(\d+) of (\d+) good/.exec(
                await page
                    .getByText(/\d+ of \d+ good/)
                    .first()
                    .innerText(),
            ) ?? [];
        return [Number(good), Number(seen)];
    };
    const [good, seen] = await judged();
    await page.keyboard.press('g');
    expect(await judged()).toEqual([good, seen]);
    await hasNoAxeFindings(page);
    await stop.getByRole('button', { name: 'Made it easier' }).click();
    await expect(stop).toHaveCount(0);
    await page.keyboard.press('g');
    await expect.poll(judged).toEqual([good + 1, seen + 1]);
    await expect
        .poll(async () => (await events(page, sheet)).map((event) => event.note))
        .toContain('quality fell: made it easier');
    await page.goto(`/sheets/${sheet}/after`);
    await expect(page.getByText('quality fell: made it easier', { exact: false })).toBeVisible();
});

test('courtside: where it landed is touched on a pad; a capital letter goes to the next athlete', async ({ page }) => {
    await signIn(page);
    const sheet = await courtside(page, 'Yuna');
    const landed = async (): Promise<number> =>
        (await events(page, sheet)).filter((event) => event.kind === 'landed').length;
    // Another test may have played a round here before.
    const before = await landed();
    const pad = page.getByRole('dialog', { name: 'Where did the last one land?' });
    for (let i = 0; i < 3; i++) {
        await page.keyboard.press('g');
        await page.getByRole('button', { name: 'Landed' }).click();
        const box = await pad.getByRole('img').boundingBox();
        if (box === null) throw new Error('no pad');
        await page.mouse.click(box.x + box.width * (0.6 + 0.05 * i), box.y + box.height * 0.5);
        await expect(pad).toHaveCount(0);
    }
    await expect.poll(landed).toBe(before + 3);
    // Soreness that was not there before stops the work; going on takes a reason.
    await page.getByRole('button', { name: 'Sore', exact: true }).click();
    for (const name of ['left shoulder', 'Muscle ache', '1', 'Save this report'])
        await page.getByRole('button', { name, exact: true }).click();
    const stop = page.getByRole('alert').filter({ hasText: 'Stop and look' });
    await expect(stop).toContainText('Soreness grew: left shoulder, muscle 1.');
    await stop.getByRole('button', { name: 'Made it easier' }).click();
    await expect(stop).toHaveCount(0);
    await page.keyboard.press('Shift+D');
    await expect(page.getByRole('heading', { name: 'Dario' })).toBeVisible();
    await page.goto(`/sheets/${sheet}/after`);
    await expect(page.getByRole('heading', { name: 'Where they landed' })).toBeVisible();
    await expect(page.getByText(/\d points\. On average \d/)).toBeVisible();
    await hasNoAxeFindings(page);
});

test('a second pair of eyes judges along, and Gates says whether both see the same', async ({ page, browser }) => {
    await signIn(page);
    const sheet = await courtside(page, 'Dario');
    for (let i = 0; i < 12; i++) await page.keyboard.press(i % 4 === 3 ? 'n' : 'g');
    await expect(page.getByText(/not sent yet/)).toHaveCount(0);
    const other = await (await anotherDevice(browser)).newPage();
    await signIn(other, 'assistant');
    await other.goto(`/sheets/${sheet}/courtside`);
    await other.getByRole('button', { name: 'Another athlete' }).click();
    await other.getByRole('button', { name: /^Judge along/ }).click();
    await other.keyboard.press('Escape');
    await expect(other.getByText('Judging along.')).toBeVisible();
    await expect(other.getByText('none judged yet')).toBeVisible();
    for (let i = 0; i < 12; i++) await other.keyboard.press(i % 3 === 2 ? 'n' : 'g');
    await expect(other.getByText(/not sent yet/)).toHaveCount(0);
    await hasNoAxeFindings(other);
    await page.reload();
    await expect(page.getByText('9 of 12 good', { exact: false })).toBeVisible();
    await page.goto('/gates');
    await expect(
        page
            .getByRole('region', { name: 'Do we see the same?' })
            .getByText(/\d+ of \d+ alike/)
            .first(),
    ).toBeVisible();
    await other.context().close();
});

test('the rung of a newcomer with skill is found from Intake, ten judged repetitions at a time', async ({ page }) => {
    await signIn(page);
    const { athlete } = await rowOf(page, 'Ravi');
    await page.goto(`/athletes/${athlete.id}/intake`);
    await page.getByLabel('Place on').selectOption('overhand-throw');
    await page.getByRole('button', { name: 'Find the rung' }).click();
    await page.getByRole('link', { name: /courtside/i }).click();
    await toJudged(page);
    for (let i = 0; i < 10; i++) await page.keyboard.press('g');
    await expect(page.getByText('10 of 10 good', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.getByRole('button', { name: 'Finish and review' }).click();
    const note = page.getByRole('group', { name: 'Finding the rung' });
    await expect(note).toContainText('10 of 10 judged good');
    await hasNoAxeFindings(page);
    await note.getByRole('button', { name: /^Look at “.+” now$/ }).click();
    await page.getByRole('link', { name: /courtside/i }).click();
    await toJudged(page);
    for (let i = 0; i < 3; i++) await page.keyboard.press('n');
    const sheet = /sheets\/([^/]+)/.exec(page.url())?.[1] ?? '';
    const missed = async () => (await events(page, sheet)).filter(({ verdict }) => verdict === 'not_good').length;
    await expect.poll(missed).toBe(3);
    await page.goto(`/athletes/${athlete.id}`);
    await page
        .getByRole('group', { name: 'Finding the rung' })
        .getByRole('button', { name: /^Start at/ })
        .click();
    await expect(page.getByRole('group', { name: 'Finding the rung' })).toHaveCount(0);
});

test('a match is counted live, without a connection too, and kept once', async ({ page, context }) => {
    await signIn(page);
    const { athlete } = await rowOf(page, 'Pia');
    // Declared for the squad, today: Plan asks whose is counted.
    await page.goto('/plan');
    await page.getByRole('button', { name: 'Match, or work beside' }).click();
    await page.getByLabel('Day', { exact: true }).fill(
        await page.evaluate(
            async () =>
                (
                    (await (await fetch('/api/me', { headers: { Accept: 'application/json' } })).json()) as {
                        today: string;
                    }
                ).today,
        ),
    );
    await page.getByLabel('What it is called').fill('Harbour cup');
    await page.getByLabel('How many', { exact: true }).fill('2');
    await page.getByRole('button', { name: 'Save' }).click();
    await page
        .getByRole('listitem')
        .filter({ hasText: 'Harbour cup' })
        .getByRole('button', { name: 'Count it live: whose?' })
        .click();
    await page.getByRole('link', { name: 'Pia', exact: true }).click();
    await expect(page).toHaveURL(new RegExp(`/athletes/${athlete.id}/match$`));
    await expect(page.getByRole('heading', { name: 'Pia: Harbour cup' })).toBeVisible();
    const left = async (): Promise<number> =>
        Number.parseInt(
            await page
                .getByText(/^\d+ left\.$/)
                .first()
                .innerText(),
            10,
        );
    const before = await left();
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Count one' }).first().click();
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await left()).toBe(before - 3);
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Match over: keep it' }).click();
    await expect(page.getByText('3 repetitions lie on this device', { exact: false })).toBeVisible();
    expect(await left()).toBe(before - 3);
    await context.setOffline(false);
    await expect(page.getByText('Saved as load of today.', { exact: false })).toBeVisible();
    expect(await left()).toBe(before - 3);
    await hasNoAxeFindings(page);
    // Taken back, so that the day of the others is as it was.
    await page.goto('/plan');
    await page.getByRole('button', { name: /^Take back Harbour cup/ }).click();
    await expect(page.getByText('Harbour cup')).toHaveCount(0);
});

test('a ladder is copied, edited, exported and imported; a file with a mistake says where', async ({ page }) => {
    await signIn(page);
    await page.goto('/library/table-serve');
    await page.getByRole('link', { name: 'Edit a copy' }).click();
    await page.getByLabel('Name', { exact: true }).first().fill('');
    await page.getByRole('button', { name: 'Save this ladder' }).click();
    await expect(page.getByText('rung 1, name: This is empty; a text is asked for.')).toBeVisible();
    await hasNoAxeFindings(page);
    const names = page.getByRole('region', { name: 'In short' }).getByLabel('Name');
    await names.fill('Table serve, our way');
    await page
        .getByRole('region', { name: 'Rungs' })
        .getByLabel('Name', { exact: true })
        .first()
        .fill('Only the touch');
    // What a block loads is that of its skill unless it is said otherwise.
    const loads = page.getByRole('group', { name: 'Parts loaded by block 1' });
    await loads.getByLabel('loads what its skill loads').uncheck();
    await loads.getByLabel('trunk').check();
    // What a picture is asked, and how its moments are proposed.
    await page.getByLabel('Contact is proposed where').selectOption('hand_highest');
    await page
        .getByRole('button', { name: /^Ask a picture for/ })
        .first()
        .click();
    await page.getByLabel('from', { exact: true }).first().fill('95.5');
    await page.getByLabel('from', { exact: true }).first().blur();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Save this ladder' }).click();
    await expect(page.getByRole('heading', { name: 'Table serve, our way' })).toBeVisible();
    await expect(page.getByText('Only the touch').first()).toBeVisible();
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page
            .getByRole('button', { name: 'Export' })
            .or(page.getByRole('link', { name: 'Export' }))
            .click(),
    ]);
    const text = (await (await download.createReadStream()).toArray()).map(String).join('');
    const good = JSON.parse(text) as {
        id: string;
        name: string;
        moments: { id: string; find?: string }[];
        checkpoints: { measure?: { low?: number } }[];
        rungs: { faults: string[]; blocks: { loads?: string[] }[] }[];
    };
    expect(good.moments.find(({ id }) => id === 'contact')?.find).toBe('hand_highest');
    expect(good.checkpoints.map(({ measure }) => measure?.low)).toContain(95.5);
    expect(good.rungs[0]?.blocks[0]?.loads).toEqual(['trunk']);
    const bad = {
        ...good,
        id: 'spoilt',
        name: 'Spoilt',
        rungs: good.rungs.map((rung, i) => (i === 0 ? { ...rung, faults: ['no-such'] } : rung)),
    };
    await page.goto('/library');
    const file = (name: string, of: unknown) => ({
        name,
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(of)),
    });
    await page
        .getByLabel('Ladder files')
        .setInputFiles([file('again.json', { ...good, id: 'again', name: 'Again' }), file('spoilt.json', bad)]);
    const dialog = page.getByRole('dialog', { name: 'Import ladders' });
    await expect(dialog.getByText('/rungs/0/faults/0')).toBeVisible();
    await expect(dialog.getByText('spoilt.json').first()).toBeVisible();
    await expect(dialog.getByRole('button', { name: /^Import/ })).toBeDisabled();
    await hasNoAxeFindings(page);
    await dialog.getByRole('button', { name: 'Leave it out' }).click();
    await dialog.getByRole('button', { name: 'Import it' }).click();
    await expect(page.getByRole('link', { name: /^Again/ })).toBeVisible();
});
