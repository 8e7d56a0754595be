import { now } from './clock';
import { type Page } from '@playwright/test';
import { v7 } from 'uuid';
import { OwnServer } from './OwnServer';
import { serverOf } from './servers';
import { anotherDevice, ask, expect, fillSignIn, test } from './support';

const PORT = 8775;
const BASE = `http://localhost:${PORT}`;
const ATHLETES = 20;
const TAPS_EACH = 30;
const CUTS = 12;

let server: OwnServer;
test.beforeAll(async ({}, { parallelIndex }) => {
    server = new OwnServer(serverOf(parallelIndex).storage, PORT);
    await server.up();
});
test.afterAll(() => server.down());

test('twenty athletes, six hundred taps, two devices, cuts, a server that goes down: every tap once, in order', async ({
    browser,
}) => {
    test.setTimeout(420_000);
    const open = async (): Promise<Page> => {
        const page = await (
            await anotherDevice(browser, {
                viewport: { width: 390, height: 844 },
                baseURL: BASE,
                serviceWorkers: 'block',
            })
        ).newPage();
        await page.goto('/');
        await fillSignIn(page, 'coach');
        // Without a worker the first look does its work as well.
        await expect(page.getByRole('table', { name: 'Athletes in running order' })).toBeVisible({ timeout: 60_000 });
        return page;
    };
    const devices = [await open(), await open()];
    const [first] = devices;
    if (!first) throw new Error('no device');
    const squad = await ask<{ id: number }>(first, 'POST', '/api/squads', { name: 'A crowd', school: 'graded' });
    for (let i = 0; i < ATHLETES; i++) {
        const id = v7();
        await ask(first, 'POST', `/api/squads/${squad.id}/athletes`, {
            id,
            given_name: `Athlete${i}`,
            family_name: 'Crowd',
            birth_date: '1998-03-04',
            throwing_side: i % 5 === 0 ? 'left' : 'right',
            turn_direction: null,
        });
        await ask(first, 'POST', `/api/athletes/${id}/placements`, { ladder: 'overhand-throw', rung: 'positions' });
        await ask(first, 'POST', `/api/athletes/${id}/reports`, {
            reports: [
                {
                    id: v7(),
                    at: new Date(now() - 60_000).toISOString().replace(/\.\d+Z$/, '+00:00'),
                    moment: 'before',
                    site: 'none',
                    side: null,
                    kind: 'muscle',
                    score: 0,
                    note: null,
                },
            ],
        });
    }
    const today = (await ask<{ date: string }>(first, 'GET', `/api/today?squad=${squad.id}`)).date;
    await ask(first, 'POST', `/api/squads/${squad.id}/sessions`, { day: today, starts_at: '17:00', title: 'Crowd' });
    const rows = (
        await ask<{ rows: { sheet: { id: string } }[] }>(first, 'GET', `/api/today?squad=${squad.id}`)
    ).rows.map((row) => row.sheet.id);
    expect(rows).toHaveLength(ATHLETES);

    const tapped = new Map<string, string[]>();
    let cuts = 0;
    let seed = 20270311;
    const chance = (): number => {
        seed = (seed * 1103515245 + 12345) % 2147483648;
        return seed / 2147483648;
    };
    // Every sheet is opened while there is a connection; the taps then come whatever happens.
    const work = async (page: Page, sheets: string[], restart: boolean): Promise<void> => {
        for (const [nth, sheet] of sheets.entries()) {
            await page.context().setOffline(false);
            const good = page.getByRole('button', { name: 'Good', exact: true });
            // The other device may just have taken the server down: whoever meets that loads the page again.
            await expect(async () => {
                await page.goto(`/sheets/${sheet}/courtside`);
                await expect(good).toBeVisible({ timeout: 10_000 });
            }).toPass({ timeout: 60_000 });
            const bad = page.getByRole('button', { name: 'Not good', exact: true });
            const more = page.getByRole('button', { name: 'One more than planned was done' });
            const verdicts: string[] = [];
            for (let i = 0; i < TAPS_EACH; i++) {
                if (chance() < 0.04 && cuts < CUTS) {
                    cuts++;
                    await page.context().setOffline(true);
                } else if (chance() < 0.1) await page.context().setOffline(false);
                if (restart && nth === Math.floor(sheets.length / 2) && i === 10) {
                    server.down();
                    void server.up();
                }
                const which = (await more.isVisible()) ? 'unobserved' : chance() < 0.7 ? 'good' : 'not_good';
                await (which === 'unobserved' ? more : which === 'good' ? good : bad).click();
                verdicts.push(which);
            }
            tapped.set(sheet, verdicts);
            await page.context().setOffline(false);
            await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 30_000 });
        }
    };
    await Promise.all(
        devices.map((page, i) =>
            work(
                page,
                rows.filter((_, j) => j % 2 === i),
                i === 0,
            ),
        ),
    );
    expect(cuts).toBe(CUTS);

    for (const sheet of rows) {
        const { events } = await ask<{
            events: { id: string; kind: string; verdict: string; at: string; seq: number }[];
        }>(first, 'GET', `/api/sheets/${sheet}/courtside`);
        const reps = events.filter((event) => event.kind === 'rep');
        expect(reps.map((event) => event.verdict)).toEqual(tapped.get(sheet));
        expect(new Set(reps.map((event) => event.id)).size).toBe(TAPS_EACH);
    }

    // Two devices at one sheet: what both counted is there, once each.
    const [sheet] = rows;
    const [one, two] = devices;
    if (!sheet || !one || !two) throw new Error('no sheet');
    for (const page of [one, two]) await page.goto(`/sheets/${sheet}/courtside`);
    for (let i = 0; i < 4; i++)
        for (const page of [one, two])
            await page.getByRole('button', { name: 'One more than planned was done' }).click();
    for (const page of [one, two]) await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 20_000 });
    const { events } = await ask<{ events: { id: string }[] }>(one, 'GET', `/api/sheets/${sheet}/courtside`);
    expect(events).toHaveLength(TAPS_EACH + 8);
    for (const page of devices) await page.context().close();
});
