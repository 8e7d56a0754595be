import { type Page } from '@playwright/test';
import { rmSync, writeFileSync } from 'node:fs';
import { now } from './clock';
import { serverOf } from './servers';
import { expect, signIn, testAtOwnClock as test } from './support';

const clock = (): string => serverOf(test.info().parallelIndex).clock;
const DAY_MS = 86_400_000;
const ARM_REPS_MOST = 40;

test.afterAll(() => rmSync(clock(), { force: true }));

/** What the coach does on the way back, day by day, on a clock of its own. */
async function coachOf(page: Page) {
    const started = now();
    let days = 0;
    await page.clock.install({ time: started });
    const later = async (by: number, hour: number): Promise<void> => {
        days += by;
        const at = new Date(Math.floor(started / DAY_MS) * DAY_MS + days * DAY_MS + hour * 3_600_000);
        writeFileSync(clock(), at.toISOString());
        await page.clock.setSystemTime(at);
        // Away from the page first: an answer still on its way would bring the cookie back.
        await page.goto('about:blank');
        await page.context().clearCookies();
        await signIn(page);
    };
    const open = async (): Promise<void> => {
        await page.goto('/returns');
        await page.getByRole('link', { name: 'Tomas Brandvik' }).click();
        await expect(page.getByRole('heading', { name: 'What comes next' })).toBeVisible();
    };
    const morning = async (score: number | null = null): Promise<void> => {
        await page.goto('/roll-call');
        if (score === null) {
            await page.getByRole('button', { name: 'Tomas: nothing sore' }).click();
            await expect(page.getByRole('button', { name: 'Tomas: report more' })).toBeVisible();
        } else {
            await page.getByRole('button', { name: 'Tomas: something is sore' }).click();
            await page.getByRole('button', { name: 'Morning' }).click();
            for (const name of ['right shoulder', 'Muscle ache', String(score), 'Save this report'])
                await page.getByRole('button', { name, exact: true }).click();
            await expect(page.getByRole('dialog')).toHaveCount(0);
        }
    };
    const train = async (stage: string): Promise<void> => {
        await open();
        await page.getByRole('button', { name: /^Plan the session/ }).click();
        await expect(page.getByText(`On the way back, stage`)).toBeVisible();
        await expect(page.getByRole('heading', { name: `${stage} · judged` })).toBeVisible();
        await page.getByRole('link', { name: /courtside/ }).click();
        await page.getByRole('button', { name: /^All/ }).click();
        await page
            .getByRole('button', { name: /^Whole/ })
            .last()
            .click();
        for (let i = 0; i < ARM_REPS_MOST && (await page.getByText(/done\. (Next block|That was)/).count()) === 0; i++)
            await page.keyboard.press('g');
        await expect(page.getByText(/not sent yet/)).toHaveCount(0);
        await page.getByRole('button', { name: 'Finish', exact: true }).click();
        await page.getByRole('button', { name: 'Finish and review' }).click();
        await expect(page.getByText('Waits for the morning after')).toBeVisible();
    };
    const clear = async (upTo: '3' | 'all'): Promise<void> => {
        await page.getByRole('button', { name: 'Record a clearance' }).click();
        await page.getByLabel('Clinician’s name').fill('Dr. Odile Ferrand');
        await page.getByLabel(/Role/).fill('Sports physician');
        await page.getByLabel('How far it goes').selectOption(upTo);
        await page.getByRole('button', { name: 'Save the clearance' }).click();
        await expect(page.getByRole('dialog')).toHaveCount(0);
    };
    const measure = async (): Promise<void> => {
        while ((await page.getByRole('button', { name: 'Enter a measurement' }).count()) > 0) {
            await page.getByRole('button', { name: 'Enter a measurement' }).click();
            await page.getByRole('textbox', { name: 'Injured side' }).fill('19');
            await page.getByRole('textbox', { name: 'Sound side' }).fill('20');
            await page.getByRole('button', { name: 'Save the measurement' }).click();
            await expect(page.getByRole('dialog')).toHaveCount(0);
        }
    };
    const moveOn = async (act: string, stage: string): Promise<void> => {
        await open();
        await page.getByRole('button', { name: `${act}: ${stage}` }).click();
        await expect(page.getByRole('button', { name: `${act}: ${stage}` })).toHaveCount(0);
    };

    /** The morning after, and on to the next stage. */
    const quietMorning = async (act: string, next: string): Promise<void> => {
        await later(1, 8);
        await morning();
        await moveOn(act, next);
    };

    return { days: () => days, later, open, morning, train, clear, measure, moveOn, quietMorning };
}

// Runs last: it moves the clock, and what the other tests look at.
/**
 * The demo's Tomas, javelin, fifteen years old: six weeks back to the game, effort first, with all that comes
 * between.
 */
test('a whole way back: clearance, stages, a bad morning, ten idle days, full effort, the weeks after', async ({
    page,
}) => {
    test.setTimeout(400_000);
    const { days, later, open, morning, train, clear, measure, moveOn, quietMorning } = await coachOf(page);

    await later(0, 9);
    await page.getByRole('link', { name: 'Tomas Brandvik' }).click();
    await page.getByRole('button', { name: 'Open a return' }).click();
    await page.getByRole('radio', { name: /Throws, effort first/ }).check();
    await page.getByRole('button', { name: 'Open the return' }).click();

    // Refused without a clearance.
    await expect(
        page.getByText('“Short and easy” needs a clinician’s clearance before anybody starts it.'),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: /^Plan the session/ })).toHaveCount(0);
    await clear('3');
    await expect(page.getByText('Start “Short and easy”.')).toBeVisible();

    // Stage one, once the full week behind him has passed; the morning after decides.
    await later(8, 16);
    await morning();
    await train('Short and easy');
    await quietMorning('Move on', 'Short, firmer');
    await later(1, 16);
    await morning();
    await train('Short, firmer');

    // A bad morning: back one stage, a day more of rest, and nobody is stepped back twice for it.
    await later(1, 8);
    await morning(4);
    await open();
    await expect(page.getByText(/Step back to “Short and easy”, not before/)).toBeVisible();
    await moveOn('Step back', 'Short and easy');
    await expect(page.getByText(/Start “Short and easy”/)).toBeVisible();
    await later(3, 16);
    await morning();
    await train('Short and easy');
    await quietMorning('Move on', 'Short, firmer');
    await later(1, 16);
    await morning();
    await train('Short, firmer');
    await quietMorning('Move on', 'Short at three quarters');

    // Ten idle days: one stage back, nothing made up.
    await later(10, 16);
    await morning();
    await open();
    await expect(page.getByText(/^Step back to “Short and easy”/).first()).toBeVisible();
    await moveOn('Step back', 'Short and easy');
    await train('Short and easy');
    for (const [stage, next] of [
        ['Short and easy', 'Short, firmer'],
        ['Short, firmer', 'Short at three quarters'],
    ] as const) {
        if (stage !== 'Short and easy') {
            await later(1, 16);
            await morning();
            await train(stage);
        }
        await quietMorning('Move on', next);
    }

    // Two clean passes each, measurements before nine tenths are left, a clearance before full effort.
    for (const [stage, next, gap] of [
        ['Short at three quarters', 'Short at nine tenths', 4],
        ['Short at nine tenths', 'Short at full effort', 4],
        ['Short at full effort', 'Longer at full effort', 4],
    ] as const) {
        for (const pass of [1, 2]) {
            // Every fourth day: on the way back the arm's week starts from a low floor, and return work counts like
            // any other.
            await later(gap - 1, 16);
            await morning();
            if (stage === 'Short at full effort' && pass === 1) {
                await open();
                await expect(
                    page.getByText(/^“Short at full effort” needs a clinician’s clearance before/),
                ).toBeVisible();
                await clear('all');
            }
            await train(stage);
            await later(1, 8);
            await morning();
        }
        await open();
        if (stage !== 'Short at three quarters') {
            if (stage === 'Short at nine tenths') await expect(page.getByText(/^First measure:/)).toBeVisible();
            await measure();
        }
        await moveOn('Move on', next);
    }
    for (const [stage, act, next, gap] of [
        ['Longer at full effort', 'Move on', 'Like the game', 4],
        ['Like the game', 'Finish the return', 'Like the game', 7],
    ] as const) {
        await later(gap - 1, 16);
        await morning();
        await train(stage);
        await quietMorning(act, next);
    }

    // Done, and the weeks after stay lighter, as a hard limit among the others.
    expect(days()).toBeGreaterThanOrEqual(42);
    await expect(page.getByText(/^Done on/)).toBeVisible();
    await expect(page.getByText(/Week 1 after the return:/)).toBeVisible();
    await page.getByRole('link', { name: 'Tomas Brandvik' }).click();
    await expect(page.getByText('Week 1 after the return').first()).toBeVisible();
    await expect(page.getByText(/advice · .*Week 1/)).toHaveCount(0);
});
