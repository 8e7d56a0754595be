import AxeBuilder from '@axe-core/playwright';
import {
    test as base,
    type Browser,
    type BrowserContext,
    type BrowserContextOptions,
    expect,
    type Page,
} from '@playwright/test';
import { AHEAD_MS } from './clock';
import { serverOf } from './servers';

export { expect };

/** Pages live at the instant the run was drawn for, as the server does. */
async function setClock(context: BrowserContext): Promise<void> {
    await context.addInitScript((ahead) => {
        const Real = Date;
        const now = (): number => Real.now() + ahead;
        globalThis.Date = new Proxy(Real, {
            construct: (_, given) => (given.length === 0 ? new Real(now()) : Reflect.construct(Real, given)) as Date,
            get: (of, name): unknown => (name === 'now' ? now : Reflect.get(of, name)),
        });
    }, AHEAD_MS);
}

/** The browser at the server of its worker, on the clock of this machine: for tests that set the clock themselves. */
export const testAtOwnClock = base.extend({
    baseURL: async ({}, use, { parallelIndex }) => {
        await use(serverOf(parallelIndex).url);
    },
});

export const test = testAtOwnClock.extend({
    context: async ({ context }, use) => {
        await setClock(context);
        await use(context);
    },
});

/** Another device. */
export async function anotherDevice(browser: Browser, options: BrowserContextOptions = {}): Promise<BrowserContext> {
    const context = await browser.newContext(options);
    await setClock(context);
    return context;
}

export const row = (page: Page, name: string) =>
    page.getByRole('row').filter({ has: page.getByRole('link', { name, exact: true }) });

export async function signIn(page: Page, who: 'coach' | 'assistant' | 'clinician' = 'coach'): Promise<void> {
    await page.goto('/');
    await fillSignIn(page, who);
    await expect(page.getByRole('table', { name: 'Athletes in running order' })).toBeVisible();
}

export async function fillSignIn(page: Page, who: string, password = 'saltmarsh'): Promise<void> {
    await page.getByLabel('E-mail').fill(`${who}@saltmarsh.example`);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
}

/** On the serve window: seven in, three in the net, four long. */
export async function countFourteenServes(page: Page): Promise<void> {
    for (const [where, times] of [
        ['In', 7],
        ['Net', 3],
        ['Long', 4],
    ] as const) {
        for (let i = 0; i < times; i++) await page.getByRole('button', { name: `More ${where}`, exact: true }).click();
    }
}

/** Courtside, through whatever comes first, to the first judged block. */
export async function toJudged(page: Page): Promise<void> {
    const good = page.getByRole('button', { name: 'Good', exact: true });
    const all = page.getByRole('button', { name: /^All \d+$/ });
    for (let blocks = 0; blocks < 8; blocks++) {
        await expect(good.or(all)).toBeVisible();
        if (await good.isVisible()) return;
        await all.click();
        await page
            .getByRole('button', { name: /^(Rehearsal|Part|Whole|Target): / })
            .last()
            .click();
    }
}

/** What stands when the screen has settled is held against axe, not the moment before it was fetched. */
export async function hasNoAxeFindings(page: Page): Promise<void> {
    await expect(async () => {
        // What passed is not told of, and the page is not opened once more for frames of other origins: it has none.
        const look = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true);
        const { violations } = await look.analyze();
        expect(
            violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(' | ')}`),
        ).toEqual([]);
    }).toPass({ timeout: 40_000 });
}

/** How much lies in the stores of whoever was here last. */
export function shelfCounts(page: Page, stores: string[]): Promise<number[]> {
    return page.evaluate(async (names) => {
        const people = JSON.parse(localStorage.getItem('augendo-people') ?? '[]') as Array<{ key: string }>;
        return new Promise<number[]>((resolve) => {
            const open = indexedDB.open(`augendo-${people.at(-1)?.key}`);
            open.onsuccess = () => {
                const counts = names.map(
                    (store) =>
                        new Promise<number>((done) => {
                            const count = open.result.transaction(store).objectStore(store).count();
                            count.onsuccess = () => done(count.result);
                        }),
                );
                void Promise.all(counts).then((all) => {
                    open.result.close();
                    resolve(all);
                });
            };
        });
    }, stores);
}

interface OnTheCalendar {
    id: string;
    day: string;
    title: string;
}

/** What stands on the calendar from today on, as the server has it: the month shown may end before it. */
export const sessionsAhead = (page: Page): Promise<OnTheCalendar[]> =>
    page.evaluate(async () => {
        const answer = await fetch('/api/calendar', { headers: { Accept: 'application/json' } });
        const { date, sessions } = (await answer.json()) as { date: string; sessions: OnTheCalendar[] };
        return sessions.filter((session) => session.day >= date);
    });

/** The squad’s next evening after today’s. */
export async function openNextEvening(page: Page): Promise<void> {
    const evenings = (await sessionsAhead(page)).filter((session) => session.title === 'Evening session');
    await page.goto(`/sessions/${evenings[1]?.id}`);
}

/** Those of today’s evening who begin together, counted on one screen. */
export async function openTheLine(page: Page): Promise<void> {
    const today = (await sessionsAhead(page)).find((session) => session.title === 'Evening session');
    await page.goto(`/sessions/${today?.id}`);
    await page.getByRole('link', { name: 'Count the line' }).click();
    await expect(page.getByRole('region', { name: 'The line' })).toBeVisible();
}

/** Asks the server as the page that is signed in. */
export async function ask<T>(page: Page, method: string, path: string, body?: unknown): Promise<T> {
    return page.evaluate(
        async ([method_, path_, body_]) => {
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const answer = await fetch(path_, {
                method: method_,
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                ...(body_ === undefined ? {} : { body: JSON.stringify(body_) }),
            });
            if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`);
            return answer.status === 204 ? undefined : ((await answer.json()) as unknown);
        },
        [method, path, body] as const,
    ) as Promise<T>;
}
