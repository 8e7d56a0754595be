import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export const row = (page: Page, name: string) => page.getByRole('row').filter({ has: page.getByRole('link', { name, exact: true }) });

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

/** Courtside, through whatever comes first, to the first judged block. */
export async function toJudged(page: Page): Promise<void> {
    const good = page.getByRole('button', { name: 'Good', exact: true });
    const all = page.getByRole('button', { name: /^All \d+$/ });
    for (let blocks = 0; blocks < 8; blocks++) {
        await expect(good.or(all)).toBeVisible();
        if (await good.isVisible()) return;
        await all.click();
        await page.getByRole('button', { name: /^(Rehearsal|Part|Whole|Target): / }).last().click();
    }
}

export async function hasNoAxeFindings(page: Page): Promise<void> {
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(' | ')}`)).toEqual([]);
}
