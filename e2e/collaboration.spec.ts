import { expect, test, type Page } from './test';
import { watchFetches } from './fetches';
import { cell, goTo, inFull, openMat, reading, receivePump, signOffAll } from './job';
import { accounts, pageOf, signIn } from './people';

test('a second browser on the job shows an entry within a second; two judgements are both kept, the later stands', async ({
	browser
}) => {
	const ines = await pageOf(browser, 'technician');
	const odd = await pageOf(browser, 'second');
	const { job } = await openMat(ines);
	await odd.goto(`/jobs/${job}/inspect?place=wick/1`);
	await cell(ines, 'Oiling wick, cylinder 1').click();
	await expect(odd.getByText('0 of')).toBeVisible();
	await ines.keyboard.press('Space');
	await expect(cell(odd, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/clean/, { timeout: 5000 });

	await ines.keyboard.press('Enter');
	await expect(cell(odd, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/decided: Reuse/);
	const judge = odd.getByRole('region', { name: 'Judge' });
	await judge.getByRole('button', { name: 'Replace' }).click();
	await judge.getByRole('textbox').fill('Hard as wood');
	await judge.getByRole('button', { name: 'Overrule' }).click();
	await cell(ines, 'Oiling wick, cylinder 1').click();
	await expect(ines.getByRole('region', { name: 'Judge' })).toContainText('Decided: Replace, Odd Veller');
	await inFull(ines, (why) => expect(why).toContainText('Earlier: Reuse, Ines Tarn'));
});

test('off the network the work goes on; what was recorded waits, survives a reload, and goes by itself', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page);
	await page.context().route(`**/jobs/${job}/entries`, (route) => route.abort('connectionfailed'));
	await cell(page, 'Seal case .threaded., cylinder 1').click();
	await page.keyboard.press('Space');
	await expect(cell(page, 'Seal case .threaded., cylinder 1')).toHaveAccessibleName(/proposed: Reuse/);
	await page.keyboard.press('Enter');
	await expect(page.getByText('Offline: 2 entries')).toBeVisible();
	await page.reload();
	await expect(cell(page, 'Seal case .threaded., cylinder 1')).toHaveAccessibleName(/decided: Reuse/);
	await page.context().unroute(`**/jobs/${job}/entries`);
	await expect(page.getByText('All saved')).toBeVisible({ timeout: 60_000 });
	await page.context().clearCookies();
});

test('a tab after sign-out keeps what is typed, says so, and sends it once the same person is back', async ({
	browser
}) => {
	// A session of its own: signing out ends it.
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
	const page = await context.newPage();
	await signIn(page, 'technician');
	await openMat(page);
	const second = await context.newPage();
	await second.goto('/');
	await second.getByRole('button', { name: 'Sign out' }).click();
	await expect(second.getByRole('button', { name: 'Sign in' })).toBeVisible();

	await cell(page, 'Male adapter, cylinder 3').click();
	await page.keyboard.press('Space');
	await expect(page.getByText('You are signed out. 1 entry')).toBeVisible();
	await expect(cell(page, 'Male adapter, cylinder 3')).toHaveAccessibleName(/clean/);
	await second.getByLabel('E-mail').fill(accounts.technician);
	await second.getByLabel('Password').fill('harrow-sound');
	await second.getByRole('button', { name: 'Sign in' }).click();
	await expect(second.getByRole('heading', { name: 'Floor' })).toBeVisible();
	await expect(page.getByText('All saved')).toBeVisible({ timeout: 60_000 });
});

test('what was recorded off the network is sent from any page, and what is refused stays until someone has dealt with it', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const { job, serial } = await openMat(page, 'valves');
	await page.context().route(`**/jobs/${job}/entries`, (route) => route.abort());
	await cell(page, 'Inlet valve, cylinder 1').click();
	await page.keyboard.press('Space');
	await expect(page.getByText('Offline: 1 entry')).toBeVisible();

	// On another page it says for which pump it waits, and goes from there.
	await goTo(page, 'Gauges');
	await expect(page.getByText(/Waiting to be sent/)).toContainText(`1 entry for ${serial}`);
	await page.context().unroute(`**/jobs/${job}/entries`);
	await expect(page.getByText(/Waiting to be sent/)).toHaveCount(0, { timeout: 60_000 });
	const odd = await pageOf(browser, 'second');
	await odd.goto(`/jobs/${job}/inspect`);
	await expect(cell(odd, 'Inlet valve, cylinder 1')).toHaveAccessibleName(/clean/);

	// The server would not take a gauge that the shop has not: everything behind it is taken all the same.
	await page.context().route(`**/jobs/${job}/entries`, async (route) => {
		const body = route.request().postDataJSON() as { entries: { payload: { gauge?: string } }[] };
		for (const { payload } of body.entries) if (payload.gauge) payload.gauge = '0197f000-0000-7000-8000-00000000dead';
		await route.continue({ postData: JSON.stringify(body) });
	});
	await page.goto(`/jobs/${job}/inspect?place=inletValve/2`);
	const rejected = page.getByRole('alert').filter({ hasText: 'Rejected' });
	await reading(page).fill('3.95');
	// An Enter before the page has come to life is lost, and pressed again.
	await expect(async () => {
		if ((await reading(page).inputValue()) === '3.95') await reading(page).press('Enter');
		await expect(rejected).toBeVisible({ timeout: 4000 });
	}).toPass();
	await expect(rejected).toContainText('Your shop does not have this gauge');
	await cell(page, 'Inlet valve, cylinder 3').click();
	await page.keyboard.press('Space');
	await expect(cell(odd, 'Inlet valve, cylinder 3')).toHaveAccessibleName(/clean/);
	await page.reload();
	await expect(rejected).toContainText('“3.95”');
	await page.context().unroute(`**/jobs/${job}/entries`);
	await rejected.getByRole('button', { name: 'Send again' }).click();
	await expect(rejected).toHaveCount(0);
	await expect(page.getByText('All saved')).toBeVisible();
	await expect(cell(odd, 'Inlet valve, cylinder 2')).toHaveAccessibleName(/of the wear allowance used/);

	// What the server does not have does not stand on the mat either, also once its reason has been understood.
	await page.context().route(`**/jobs/${job}/entries`, async (route) => {
		await route.continue({
			postData: route
				.request()
				.postData()!
				.replace(/"pattern":"\w+"/, '"pattern":"glazed"')
		});
	});
	await cell(page, 'Discharge valve, cylinder 1').click();
	await page.keyboard.press('q');
	await expect(rejected).toContainText('is not a damage pattern');
	await rejected.getByRole('button', { name: 'Discard' }).click();
	await expect(rejected).toHaveCount(0);
	await expect(cell(page, 'Discharge valve, cylinder 1')).toHaveAccessibleName(/not inspected/);
});

test('a click on nothing signed off records nothing: the mat says what comes first', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await receivePump(page);
	await page.goto(`/jobs/${job}/inspect`);
	await expect(page.getByRole('alert')).toContainText('Not safe to work on yet');
	await cell(page, 'Oiling wick, cylinder 1').click();
	await page.keyboard.press('Space');
	await expect(cell(page, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/not inspected/);
	await page.getByRole('link', { name: 'Open the steps' }).click();
	await signOffAll(page);
	// Each caution stays where its step is, also once it is signed off.
	await expect(page.getByText('Stored pressure injects fluid')).toBeVisible();
	await page.getByRole('link', { name: 'Open the mat' }).click();
	await expect(page.getByText('Not safe to work on yet')).toHaveCount(0);
});

test('twelve tabs of one browser share one stream: a save goes through, and its other tab hears of it', async ({
	browser
}) => {
	test.setTimeout(180_000);
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	const mat = page.url();
	await page.goto('/');
	const jobs = await page
		.getByRole('link')
		.evaluateAll((links) => [
			...new Set(links.flatMap((link) => /^\/jobs\/[0-9a-f-]{36}/.exec(link.getAttribute('href') ?? '')?.[0] ?? []))
		]);
	expect(jobs.length).toBeGreaterThanOrEqual(10);
	const tabs: Page[] = [];
	for (const path of jobs.slice(0, 10)) {
		const tab = await page.context().newPage();
		tabs.push(tab);
		await tab.goto(`${path}/inspect`);
		await expect(tab.getByText('All saved')).toBeVisible();
	}
	await page.goto(mat);
	const twin = await page.context().newPage();
	await twin.goto(mat);
	for (const other of [page, twin]) await cell(other, 'Ceramic plunger, cylinder 2').click();
	await page
		.getByRole('region', { name: 'Look' })
		.getByRole('button', { name: /Scale or residue/ })
		.click();
	await expect(page.getByText('All saved')).toBeVisible();
	const seen = twin.getByRole('region', { name: 'Look' }).getByRole('button', { name: /Scale or residue/ });
	await expect(seen).toContainText('slight');
	// The first tab held the stream: another takes it over.
	await page.close();
	await twin
		.getByRole('region', { name: 'Look' })
		.getByRole('button', { name: /Scale or residue/ })
		.click();
	await expect(seen).toContainText('moderate');
	await expect(twin.getByText('All saved')).toBeVisible();
	await Promise.all(tabs.map((tab) => tab.close()));
});

test('a drawing that the lost network kept away comes when the network is back', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.addInitScript(() => (window.requestIdleCallback = () => 0)); // nothing is fetched ahead
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 2').click();
	await page.context().setOffline(true);
	await reading(page).fill('17.98');
	await page.keyboard.press('Enter');
	const drawing = page.getByRole('img', { name: /^Diameter along the part/ });
	await expect(page.getByText('Offline: 1 entry')).toBeVisible();
	await expect(drawing).toHaveCount(0);
	await page.context().setOffline(false);
	await expect(drawing).toBeVisible();
});

test('what was never opened before opens without the network: notes, dialogs, the pages of the job', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const allIsFetched = watchFetches(page);
	await openMat(page);
	await allIsFetched();
	await page.context().setOffline(true);
	await cell(page, 'Ceramic plunger, cylinder 2').click();
	const look = page.getByRole('region', { name: 'Look' });
	await look.getByRole('button', { name: /^Notes/ }).click();
	await look.getByRole('textbox', { name: 'Note on this part' }).fill('Dry');
	await look.getByRole('button', { name: 'Save note' }).click();
	await expect(look.getByLabel('Photograph of this part')).toBeAttached();
	await page.getByRole('button', { name: 'Full explanation' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
	await page.getByRole('button', { name: 'Find' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
	await page.getByRole('link', { name: 'Prove' }).click();
	await expect(page.getByRole('region', { name: 'Test sheet' })).toBeVisible();
	await page.getByRole('link', { name: 'Strip' }).click();
	await expect(page.getByText(/steps signed off/).first()).toBeVisible();
	await page.getByRole('link', { name: 'Build' }).click();
	await expect(page.getByText(/pieces fitted/).first()).toBeVisible();
	await page.context().setOffline(false);
	await expect(page.getByText('All saved')).toBeVisible({ timeout: 60_000 });
});
