import { anotherDevice, expect, fillSignIn, hasNoAxeFindings, row, signIn, test } from './support';

test('a parent opens a link on a phone and is done in a few taps', async ({ page, browser }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Noor Haddad' }).click();
    await page.getByRole('link', { name: /Intake/ }).click();
    await page.getByLabel(/For whom/).fill('mother’s phone');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const address = await page.getByLabel('Link', { exact: true }).inputValue();
    await hasNoAxeFindings(page);

    const phone = await (
        await anotherDevice(browser, {
            viewport: { width: 390, height: 844 },
            hasTouch: true,
            baseURL: new URL(address).origin,
        })
    ).newPage();
    const asked: string[] = [];
    phone.on('request', (request) => asked.push(request.url()));
    await phone.goto(address);
    let taps = 0;
    const tap = async (name: string | RegExp): Promise<void> => {
        taps++;
        await phone.getByRole('button', { name }).first().click();
    };
    await expect(phone.getByRole('heading', { name: 'Noor' })).toBeVisible();
    await expect(phone.getByText(/You are growing fast/)).toBeVisible();
    await hasNoAxeFindings(phone);
    await tap('Nothing sore');
    await hasNoAxeFindings(phone);
    await tap('Done');
    await expect(phone.getByText('Thank you, Noor.')).toBeVisible();
    expect(taps).toBe(2);
    expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    // Only the hash of the token is kept, and no address that was asked for holds it.
    const token = address.split('#')[1] ?? '';
    expect(token.length).toBeGreaterThan(40);
    expect(asked.filter((url) => url.split('#')[0]?.includes(token))).toEqual([]);

    // A sore place: place, kind, score, keep.
    await tap('Report something else');
    taps = 0;
    for (const name of ['left knee', 'Joint pain', '2', 'Save this report']) await tap(name === '2' ? /^2$/ : name);
    expect(taps).toBe(4);
    await tap('Fever');
    await tap('Done');
    await expect(phone.getByText('What hurts rests today. Your coach knows.')).toBeVisible();

    // Taken back, it opens nothing any more.
    await page.keyboard.press('Escape');
    await page.getByRole('region', { name: 'Personal links' }).getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('None works now.')).toBeVisible();
    await phone.reload();
    await expect(phone.getByText('This link does not work any more')).toBeVisible();
});

test('roll call: one tap a name, taken back when it was the wrong one', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Roll call' }).click();
    const henrike = page.getByRole('listitem').filter({ hasText: 'Henrike Osei' });
    const names = (): Promise<string[]> => page.getByRole('listitem').locator('.head.text-lg').allTextContents();
    await expect(henrike).toBeVisible();
    const before = await names();
    await page.getByRole('button', { name: 'Henrike: nothing sore' }).click();
    await expect(henrike.getByText('Full', { exact: true })).toBeVisible();
    expect(await names()).toEqual(before);
    await hasNoAxeFindings(page);
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
    await page.getByRole('button', { name: 'Take back the answer of Henrike' }).click();
    await expect(page.getByRole('button', { name: 'Henrike: nothing sore' })).toBeVisible();
});

test('somebody invited joins with a link and sees what was chosen, nothing else', async ({ page, browser }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'People' }).click();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Invite somebody' }).click();
    await page.getByRole('radio', { name: /Guardian/ }).check();
    await page.getByLabel('Name', { exact: true }).fill('Ravi’s father');
    await page.getByRole('checkbox', { name: 'Ravi Castellan' }).check();
    await hasNoAxeFindings(page);
    await page.getByRole('button', { name: 'Make the link' }).click();
    const address = await page.getByLabel('Link', { exact: true }).inputValue();

    const home = await (await anotherDevice(browser, { baseURL: new URL(address).origin })).newPage();
    await home.goto(address);
    await expect(home.getByText('You are invited as guardian.')).toBeVisible();
    await hasNoAxeFindings(home);
    await home.getByLabel(/E-mail/).fill('father@home.example');
    await home.getByLabel(/Password/).fill('a long password');
    await home.getByRole('button', { name: 'Join' }).click();
    await expect(row(home, 'Ravi Castellan')).toBeVisible();
    await expect(home.getByRole('row')).toHaveCount(2);
    await expect(home.getByRole('link', { name: 'People' })).toHaveCount(0);
    await home.getByRole('link', { name: 'Ravi Castellan' }).click();
    await expect(home.getByRole('heading', { name: 'Ravi Castellan' })).toBeVisible();
    await expect(home.getByRole('button', { name: 'Advance', exact: true })).toHaveCount(0);
});

test('limits: who is close to what, and from whom each bound is', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Limits' }).click();
    await expect(page.getByText('Source: Augendo starter numbers, no authority.').first()).toBeVisible();
    await hasNoAxeFindings(page);
    await page
        .getByRole('link', { name: 'Tomas Brandvik' })
        .locator('xpath=following-sibling::details')
        .locator('summary')
        .click();
    await hasNoAxeFindings(page);
    await page
        .getByRole('button', { name: /Weekly rise of arm load.*the sets behind/ })
        .first()
        .click();
    await expect(page.getByRole('cell', { name: /Float serve/ }).first()).toBeVisible();
});

test('intake and returns: axe finds nothing, and the programme prints', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Returns' }).click();
    await expect(page.getByText(/needs a clinician’s clearance before anybody starts it/)).toBeVisible();
    await hasNoAxeFindings(page);
    await page.getByRole('link', { name: 'Luca Ferreira' }).click();
    await expect(page.getByRole('heading', { name: 'What comes next' })).toBeVisible();
    await hasNoAxeFindings(page);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('button', { name: 'Record a clearance' })).toBeHidden();
    await expect(page.getByText('Full motion, easy').first()).toBeVisible();
});

test('a phone in the hall: the code to scan, and what works at which address', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Who is signed in' }).click();
    await page.getByRole('link', { name: 'Open Augendo on a phone' }).click();
    await expect(page.getByText('Only this machine knows this address')).toBeVisible();
    await page.getByLabel('Address').fill('http://192.168.1.10:8000');
    await expect(page.getByText('a phone can only look and enter')).toBeVisible();
    await page.getByLabel('Address').fill('https://192.168.1.10');
    await expect(page.getByText('Everything works at this address')).toBeVisible();
    await expect(page.getByRole('img', { name: 'Code to scan: https://192.168.1.10' })).toBeVisible();
    await hasNoAxeFindings(page);
});

test('an answer that was asked for before a sign-in, and comes after it, does not end it', async ({ browser }) => {
    const context = await anotherDevice(browser, { serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.goto('/');
    await page.getByLabel('E-mail').waitFor();
    let release: () => void = () => undefined;
    const held = new Promise<void>((resolve) => {
        release = resolve;
    });
    await context.route(
        (url) => url.search === '?late',
        async (route) => {
            const response = await route.fetch();
            await held;
            await route.fulfill({ response });
        },
    );
    const late = page.evaluate(() =>
        Promise.all(['/sw.js?late', '/?late'].map((address) => fetch(address).then((answer) => answer.status))),
    );
    await page.waitForTimeout(500);
    await fillSignIn(page, 'coach');
    await expect(page.getByRole('table', { name: 'Athletes in running order' })).toBeVisible();
    release();
    expect(await late).toEqual([200, 200]);
    expect(
        await page.evaluate(() =>
            fetch('/api/me', { headers: { Accept: 'application/json' } }).then((answer) => answer.status),
        ),
    ).toBe(200);
    await context.close();
});
