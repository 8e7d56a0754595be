import type { Point } from '../../resources/app/rules/frame';
import { jointsAt } from '../../resources/app/screens/film/drawn';
import { drawnFilm, mark, RATE, TRY_S } from './drawnFilm';
import { anotherDevice, expect, hasNoAxeFindings, row, signIn, test } from './support';

const CONTACT_S = 1.1;

/** The angle at a joint as the drawn figure has it, degrees. */
function trueAngle(timeS: number, names: [string, string, string]): number {
    const joints = jointsAt(timeS, 'right');
    const [a, b, c] = names.map((name) => joints[name] ?? ([NaN, NaN] as const)) as [Point, Point, Point];
    const turn = Math.atan2(a[1] - b[1], a[0] - b[0]) - Math.atan2(c[1] - b[1], c[0] - b[0]);
    const degrees = Math.abs((turn * 180) / Math.PI) % 360;
    return Math.min(degrees, 360 - degrees);
}

test('a clip is opened once all have agreed, measured by hand, compared, and shut with the consent', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const film = await drawnFilm(browser, `${baseURL}/icon.svg`, 2 * TRY_S, RATE);
    await signIn(page);
    await row(page, 'Mira Okonjo').getByRole('link', { name: 'Mira Okonjo' }).click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await expect(page.getByText('The camera stays shut for Mira.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Film now' })).toBeDisabled();
    await hasNoAxeFindings(page);
    for (const role of ['a guardian', 'the athlete']) {
        await page.getByLabel('On paper, by').selectOption({ label: role });
        await page.getByLabel('Agrees to').selectOption('pictures');
        await page.getByLabel('Who signed').fill('J. Okonjo');
        await page.getByLabel('Who saw it signed').fill('F. Moreau');
        await page.getByRole('button', { name: 'Save' }).click();
    }
    await expect(page.getByText('Agreed to: measuring on this device.')).toBeVisible();

    // What is no clip says so, with the way on.
    const open = page.locator('input[type=file]');
    await open.setInputFiles({ name: 'broken.mp4', mimeType: 'video/mp4', buffer: Buffer.from('no clip at all') });
    await expect(page.getByText('This is no clip that can be read', { exact: false })).toBeVisible();
    await open.setInputFiles({ name: 'empty.mp4', mimeType: 'video/mp4', buffer: Buffer.alloc(0) });
    await expect(page.getByText('This file is empty.', { exact: false })).toBeVisible();

    // It is refused, or there is none: the page says so, and the way on.
    for (const [name, says] of [
        ['NotAllowedError', 'The camera was refused.'],
        ['NotFoundError', 'No camera answered.'],
    ] as const) {
        await page.evaluate((no) => {
            navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', no));
        }, name);
        await page.getByRole('button', { name: 'Film now' }).click();
        await expect(page.getByText(says, { exact: false })).toBeVisible();
        await page.getByRole('button', { name: 'Close the camera' }).click();
    }

    const serve = { name: 'serve.webm', mimeType: 'video/webm', buffer: film };
    await open.setInputFiles(serve);
    await expect(page.getByText('picture 1 of 192')).toBeVisible();
    await page.getByRole('button', { name: 'One picture on' }).click();
    await expect(page.getByText('picture 2 of 192')).toBeVisible();

    const contact = Math.round(CONTACT_S * RATE);
    expect(await mark(page, 'Contact', contact)).toBe(3);
    const told = page.getByRole('region', { name: 'Contact' });
    const truth = trueAngle(contact / RATE, ['right_shoulder', 'right_elbow', 'right_wrist']);
    const angle = Number(/(\d+)°/.exec(await told.getByText(/^Elbow:/).innerText())?.[1]);
    expect(Math.abs(angle - truth)).toBeLessThanOrEqual(1);
    await expect(told.getByText('within the band', { exact: false })).toBeVisible();
    await told.getByRole('button', { name: 'I see it right' }).click();

    // A point is put a pixel further by the keys, and undone.
    const wrist = page.getByRole('button', { name: /^right wrist: arrow keys/ });
    const before = await wrist.locator('circle').last().getAttribute('cx');
    await wrist.press('ArrowRight');
    await expect(wrist.locator('circle').last()).toHaveAttribute('cx', String(Number(before) + 1));
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(wrist.locator('circle').last()).toHaveAttribute('cx', String(before));
    await hasNoAxeFindings(page);

    // The page is gone before anything is sent: what was marked is there again with the same clip.
    await page.reload();
    await open.setInputFiles(serve);
    await page.getByRole('button', { name: /^Contact picture 67/ }).click();
    await expect(page.getByText(/^Elbow:/)).toBeVisible();
    await page.getByRole('button', { name: 'The next one' }).click();
    await mark(page, 'Contact', contact + TRY_S * RATE);
    await page.getByLabel('Filmed at how many a second?').selectOption('60');
    // Saved where there is no connection: kept here, and sent by itself once there is one.
    await context.setOffline(true);
    await page.getByLabel('With a picture of each moment', { exact: false }).check();
    await page.getByRole('button', { name: 'Save what was measured' }).click();
    await expect(page.getByText('One clip is measured and not sent yet.', { exact: false })).toBeVisible();
    await expect(page.getByText('1 measured clip not sent yet', { exact: false })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save what was measured' })).toBeDisabled();
    await context.setOffline(false);
    await expect(page.getByText('not sent yet', { exact: false })).toHaveCount(0);
    await page.getByRole('button', { name: 'Close this clip' }).click();

    const clips = page.getByRole('region', { name: 'Clips' });
    await expect(clips.getByText('looked at: right')).toBeVisible();
    const picture = clips.getByRole('img', { name: 'Repetition 1, contact' });
    await expect(picture).toBeVisible();
    await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(50);
    await expect(page.getByText('no difference that can be told', { exact: false })).toBeVisible();
    await hasNoAxeFindings(page);

    // Two points, sent as a page that opens on a phone without an account.
    const review = page.getByRole('region', { name: 'Reviews' });
    await review.getByLabel('Point 1: seen at').selectOption({ index: 1 });
    const mends = await review.getByLabel('To mend').locator('option').nth(1).innerText();
    await review.getByLabel('To mend').selectOption({ label: mends });
    await expect(review.getByText(/^Feel: “.*”\. Drill: /)).toBeVisible();
    await review.getByLabel('What to film next time').fill('From behind, at hip height');
    await review.getByLabel('For whom').fill('Mira’s phone');
    await review.getByRole('button', { name: 'Send as a page' }).click();
    const address = await page.getByLabel('Link', { exact: true }).inputValue();
    const word = await page.getByRole('dialog').locator('strong').innerText();
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await expect(review.getByText('Not opened yet.', { exact: false })).toBeVisible();
    const phone = await anotherDevice(browser, { viewport: { width: 390, height: 844 } });
    const theirs = await phone.newPage();
    await theirs.goto(address);
    // Mira is seventeen: a word opens it, which is not in the link.
    await theirs.getByLabel('The word').fill('badigo');
    await theirs.getByRole('button', { name: 'Open' }).click();
    await expect(theirs.getByText('This is not the word.', { exact: false })).toBeVisible();
    await theirs.getByLabel('The word').fill(word);
    await theirs.getByRole('button', { name: 'Open' }).click();
    await expect(theirs.getByRole('heading', { name: 'Mira, what to work on' })).toBeVisible();
    // First with her own eyes; then what the coach saw, and how far they agree.
    await hasNoAxeFindings(theirs);
    await theirs.getByRole('group', { name: 'Contact' }).getByRole('button', { name: 'Right' }).click();
    await theirs.getByRole('button', { name: 'What did the coach see?' }).click();
    await expect(theirs.getByText('You two saw the same.')).toBeVisible();
    await expect(theirs.getByText(`Seen: ${mends.toLowerCase()}.`)).toBeVisible();
    await expect(theirs.getByText('From behind, at hip height')).toBeVisible();
    await expect(theirs.getByRole('img', { name: 'Contact' })).toBeVisible();
    await hasNoAxeFindings(theirs);
    await phone.close();
    await page.reload();
    await expect(review.getByText('Opened once.', { exact: false })).toBeVisible();

    await page.getByRole('button', { name: 'Who agreed' }).click();
    await page.getByRole('button', { name: 'Withdraw' }).first().click();
    await expect(page.getByText('The camera stays shut for Mira.')).toBeVisible();
    await expect(clips.getByText('looked at: right')).toBeVisible();
    await expect(clips.getByText('Picture withdrawn on', { exact: false })).toBeVisible();
    await expect(clips.getByRole('img')).toHaveCount(0);
});

test('a clip is asked for, agreed to and sent from home, looked at, and gone when it is taken back', async ({
    page,
    browser,
    baseURL,
}) => {
    const film = await drawnFilm(browser, `${baseURL}/icon.svg`, TRY_S, RATE);
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.waitForURL('**/athletes/*');
    const athletes = page.url();
    await page.goto(`${athletes}/intake`);
    await page.getByLabel('Whose page').selectOption('athlete');
    await page.getByLabel('For whom, for example', { exact: false }).fill('Yuna’s phone');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const address = await page.getByLabel('Link', { exact: true }).inputValue();
    await page.goto(`${athletes}/film`);
    await page.getByRole('button', { name: 'Ask for a clip from home' }).click();
    await page.getByLabel('What to film', { exact: true }).fill('Two serves from the side');
    await page.getByRole('button', { name: 'Ask', exact: true }).click();
    await expect(page.getByText('A clip is asked for.')).toBeVisible();

    const phone = await anotherDevice(browser, { viewport: { width: 390, height: 844 } });
    const theirs = await phone.newPage();
    await theirs.goto(address);
    const asks = theirs.getByRole('region', { name: 'Film' });
    await expect(asks.getByText('“Two serves from the side”')).toBeVisible();
    await asks.getByLabel('Your name').first().fill('Yuna Petrovic');
    await asks.getByRole('button', { name: 'I agree that it is sent' }).click();
    await hasNoAxeFindings(theirs);
    await asks.locator('input[type=file]').setInputFiles({ name: 'home.webm', mimeType: 'video/webm', buffer: film });
    await asks.getByRole('button', { name: 'Send it' }).click();
    await expect(asks.getByText('Your clip has arrived.')).toBeVisible();

    await page.reload();
    await page.getByRole('button', { name: 'Look at it' }).click();
    await expect(page.getByText('picture 1 of 96')).toBeVisible();
    await page.getByRole('button', { name: 'Close this clip' }).click();
    // What is taken back at home is gone here.
    await theirs.getByRole('button', { name: 'Take it back and delete it' }).click();
    await expect(asks.getByText('Your clip has arrived.')).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole('button', { name: 'Ask for a clip from home' })).toBeVisible();
    await phone.close();
});

test('one moment, one measure: no more than twelve touches from the open page', async ({ page }) => {
    await signIn(page);
    await page.goto('/athletes');
    await page.getByRole('link', { name: 'Mira Okonjo' }).first().click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await page.getByRole('button', { name: 'Try it with a drawn figure' }).click();
    await expect(page.getByText('Only to try: a drawn figure is nobody’s record.')).toBeVisible();
    const points = await mark(page, 'Contact', Math.round(CONTACT_S * RATE));
    await expect(page.getByText(/^Elbow:/)).toBeVisible();
    // The model looks, or says why it cannot; the points that are there stay.
    await page.getByRole('button', { name: 'Find the points' }).click();
    await expect(page.getByText(/no WebGL|^Nobody is found|^Found \d+ of 16/)).toBeVisible({ timeout: 75_000 });
    await expect(page.getByText('All points are there.', { exact: false })).toBeVisible();
    // The clip, the picture, the moment, its points.
    expect(1 + 1 + 1 + points).toBeLessThanOrEqual(12);

    // The moments of three tries are proposed; what a hand marked stays.
    await page.getByRole('button', { name: 'Find the moments' }).click();
    await expect(page.getByText(/^3 tries\. Found in \d+ of \d+ pictures\./)).toBeVisible();
    await expect(page.getByRole('button', { name: /^Contact picture/ })).toBeVisible();
    await page.getByRole('group', { name: 'Repetition' }).getByRole('button', { name: '2' }).click();
    await page.getByRole('button', { name: /^Contact proposed, picture/ }).click();
    await expect(page.getByRole('region', { name: 'Contact' }).getByText(/^Elbow:/)).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /proposed, picture/ })).toHaveCount(0);
});

test('the camera is shown late, and a clip of it is opened at once', async ({ page }) => {
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await page.getByRole('button', { name: 'Late mirror' }).click();
    await page.getByLabel('How late').selectOption('5');
    await expect(page.getByText('5 s late')).toBeVisible();
    const late = page.getByRole('img', { name: 'The camera, 5 seconds late' });
    const isLit = (): Promise<boolean> =>
        late.evaluate((canvas: HTMLCanvasElement) => {
            const { data } = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? { data: [] };
            return [...data].some((value, i) => i % 4 !== 3 && value > 0);
        });
    await expect.poll(isLit).toBe(true);
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Close the camera' }).click();
    await page.getByRole('button', { name: 'Film now' }).click();
    await page.getByRole('button', { name: 'Start, 60 seconds at most' }).click();
    await page.waitForTimeout(1500);
    await page.getByRole('button', { name: 'Stop and look' }).click();
    await expect(page.getByText(/^picture 1 of \d+$/)).toBeVisible();
});

test('a browser without a decoder of its own plays the clip, picture by picture as exactly', async ({
    page,
    browser,
    baseURL,
}) => {
    const film = await drawnFilm(browser, `${baseURL}/icon.svg`, TRY_S, RATE);
    await page.addInitScript(() => {
        Reflect.deleteProperty(globalThis, 'VideoDecoder');
    });
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    await page.locator('input[type=file]').setInputFiles({ name: 'serve.webm', mimeType: 'video/webm', buffer: film });
    await expect(page.getByText('picture 1 of 96')).toBeVisible();
    /** Where the yellow ball is on the picture that is shown, pixels from the top. */
    const ballY = (): Promise<number> =>
        page
            .locator('canvas')
            .first()
            .evaluate((canvas: HTMLCanvasElement) => {
                const { data, width } = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? {
                    data: new Uint8ClampedArray(),
                    width: 1,
                };
                const found: number[] = [];
                for (let i = 0; i < data.length; i += 4)
                    if ((data[i] ?? 0) > 200 && (data[i + 1] ?? 0) > 150 && (data[i + 2] ?? 255) < 110)
                        found.push(Math.floor(i / 4 / width));
                return found.reduce((sum, y) => sum + y, 0) / found.length;
            });
    // The ball rises several pixels a picture: the one before or after would be told.
    for (const no of [20, 21, 22, 60, 30]) {
        await page.getByRole('slider', { name: 'Picture' }).fill(String(no));
        const trueY = jointsAt(no / RATE, 'right').ball?.[1] ?? NaN;
        await expect.poll(async () => Math.abs((await ballY()) - trueY)).toBeLessThan(1.2);
    }
});

test('of a clip that is damaged the pictures before the damage are shown, and it says so', async ({
    page,
    browser,
    baseURL,
}) => {
    const film = await drawnFilm(browser, `${baseURL}/icon.svg`, 2 * TRY_S, RATE);
    await signIn(page);
    await row(page, 'Yuna Petrovic').getByRole('link', { name: 'Yuna Petrovic' }).click();
    await page.getByRole('link', { name: 'Film', exact: true }).click();
    const damaged = (from: number, to: number) => ({
        name: 'serve.webm',
        mimeType: 'video/webm',
        buffer: Buffer.from(film).fill(0xff, Math.round(from * film.length), Math.round(to * film.length)),
    });
    const open = page.locator('input[type=file]');
    await open.setInputFiles(damaged(0.05, 0.2));
    await expect(page.getByText('This clip is damaged from its first picture on.', { exact: false })).toBeVisible();
    await open.setInputFiles(damaged(0.6, 0.75));
    await expect(page.getByText('what comes after them cannot be read', { exact: false })).toBeVisible();
    const last = Number(/picture 1 of (\d+)/.exec(await page.getByText(/^picture 1 of/).innerText())?.[1]);
    expect(last).toBeGreaterThan(40);
    expect(last).toBeLessThan(192);
    for (const no of [10, last - 25]) {
        await page.getByRole('slider', { name: 'Picture' }).fill(String(no));
        await expect(page.getByText(`picture ${no + 1} of ${last}`)).toBeVisible();
        await expect(page.getByText('This picture cannot be read', { exact: false })).toHaveCount(0);
    }
});
