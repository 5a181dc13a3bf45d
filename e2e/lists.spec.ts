import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { cell, openMat } from './job';
import { pageOf } from './people';

const firsts = (page: Page) => page.getByRole('table').locator('tbody tr td:first-child').allTextContents();
const marram = readFileSync(new URL('../demo/sheets/marram.json', import.meta.url), 'utf8');

test('a list is sorted by its heads, filtered by a word, and shows the columns that are chosen', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/gauges');
	await expect(page.getByRole('button', { name: 'Columns' })).toBeVisible();
	const head = page.getByRole('columnheader', { name: 'Gauge' });
	await expect(async () => {
		await head.getByRole('button').click();
		await expect(head).toHaveAttribute('aria-sort', 'descending', { timeout: 1000 });
	}).toPass();
	const down = await firsts(page);
	await head.getByRole('button').click();
	await expect(head).toHaveAttribute('aria-sort', 'ascending');
	expect(await firsts(page)).toEqual(down.toReversed());

	await page.getByLabel('Filter: Gauges').fill('bore gauge');
	for (const name of await firsts(page)) expect(name).toContain('Bore gauge');
	await page.getByLabel('Filter: Gauges').fill('no such thing');
	await expect(page.getByText('No row contains “no such thing”.')).toBeVisible();
	await page.getByLabel('Filter: Gauges').fill('');

	await expect(page.getByRole('columnheader', { name: 'Certificate' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Columns' }).click();
	await page.getByText('Certificate', { exact: true }).click();
	await page.getByText('Resolution', { exact: true }).last().click();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('columnheader', { name: 'Certificate' })).toBeVisible();
	await expect(page.getByRole('columnheader', { name: 'Resolution' })).toHaveCount(0);
});

test('numbers are written as the person has chosen, and read either way', { tag: '@alone' }, async ({ browser }) => {
	const page = await pageOf(browser, 'second');
	const { job } = await openMat(page);
	const write = async (as: string) => {
		await page.goto('/settings');
		await page.getByLabel('Notation').selectOption({ label: as });
		await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Save notation' }).click()]);
		await expect(page.getByLabel('Notation').getByRole('option', { name: as, selected: true })).toHaveCount(1);
	};
	await write('12 345,6');
	await page.goto(`/jobs/${job}/inspect?place=plunger/1`);
	const field = page.getByRole('region', { name: 'Measure' }).getByRole('textbox').first();
	await field.fill('1 234,5');
	await field.press('Enter');
	await expect(page.getByRole('alert')).toHaveText(/1\s234,500\smm is not plausible for a part of 18,000\smm/);
	await field.fill('17,98');
	await field.press('Enter');
	await expect(page.getByRole('button', { name: /Valve end of the seal track 0°: 17,980 mm/ })).toBeVisible();
	await expect(
		page
			.getByText('“Water leak” · Packing and low-pressure seal · 1 200 h')
			.or(page.getByText(/1\s200 h/))
			.first()
	).toBeVisible();
	// Another person on the same server keeps their own signs.
	const other = await pageOf(browser, 'technician');
	await other.goto(`/jobs/${job}/inspect?place=plunger/1`);
	await expect(other.getByRole('button', { name: /Valve end of the seal track 0°: 17\.980 mm/ })).toBeVisible();
	await write('12 345.6');
});

test(
	'panels are mirrored for the left hand, and the pad comes only when asked for',
	{ tag: '@alone' },
	async ({ browser }) => {
		const page = await pageOf(browser, 'second');
		const { job } = await openMat(page);
		const keep = async (hand: RegExp, pad: RegExp) => {
			await page.goto('/settings');
			const option = async (label: string, says: RegExp) => {
				const select = page.getByLabel(label);
				const all = await select.getByRole('option').allTextContents();
				await select.selectOption({ label: all.find((text) => says.test(text))! });
			};
			await option('Working hand', hand);
			await option('Pad for readings', pad);
			await page.getByRole('button', { name: 'Save bench settings' }).click();
			await expect(page.getByRole('status')).toHaveText('Saved.');
		};
		const left = async (name: string) => (await page.getByRole('region', { name }).boundingBox())!.x;
		await keep(/^left/, /^always/);
		await page.goto(`/jobs/${job}/inspect?place=plunger/1`);
		expect(await left('Judge')).toBeLessThan(await left('Look'));
		await cell(page, 'Ceramic plunger, cylinder 1').click();
		await page.keyboard.press('Space');
		await expect(page.getByRole('group', { name: 'Pad' })).toBeVisible();
		await page.getByRole('button', { name: 'Back to Look' }).click();
		await expect(page.getByRole('region', { name: 'Look' })).toBeVisible();
		await keep(/^right/, /automatic on touch screens/);
		await page.goto(`/jobs/${job}/inspect?place=plunger/1`);
		expect(await left('Look')).toBeLessThan(await left('Judge'));
	}
);

test('where the mat has no room it stands in bands, and in a low window its assemblies fold until one is touched', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page, 'full');
	const mat = page.getByRole('region', { name: 'Mat' });
	const all = await mat.locator('[data-place]').count();
	// Upright there is height for two bands, each with its heads.
	await page.setViewportSize({ width: 800, height: 1280 });
	await expect(mat.getByRole('columnheader', { name: 'Cylinder', exact: true })).toHaveCount(2);
	await expect(mat.locator('[data-place]')).toHaveCount(all);
	await page.setViewportSize({ width: 800, height: 620 });
	const valves = mat.getByRole('button', { name: /^Valves, cylinder 2: 6 of 6 not inspected/ });
	await expect(valves).toBeVisible();
	expect(await mat.locator('[data-place]').count()).toBeLessThan(all);
	await valves.click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Inlet valve spring, cylinder 2');
	await expect(cell(page, 'Inlet valve spring, cylinder 2')).toBeInViewport();
	await page.setViewportSize({ width: 1280, height: 800 });
	await expect(mat.locator('[data-place]')).toHaveCount(all);
	await page.getByRole('button', { name: 'Names' }).click();
	await expect(mat.getByText('Keyhole washer')).toBeVisible();
});

test('a sheet’s faults are underlined where they are; of two leads who edit one, one is told', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	const model = `Marram ${Date.now()}`;
	const revision = (n: number) =>
		marram.replace('"model": "Marram"', `"model": "${model}"`).replace('"revision": 1', `"revision": ${n}`);
	await page.goto('/sheets');
	const editor = page.getByRole('textbox', { name: 'Or paste its text' });
	await expect(page.locator('textarea[name=text]')).toBeHidden();
	await editor.fill(revision(1).replace('"strokeMm": 24', '"strokeMm": -24'));
	await editor.press('Control+Home');
	await expect(page.locator('.cm-lintRange-error').first()).toContainText('strokeMm');
	await editor.fill(revision(1));
	await editor.press('Control+Home');
	await expect(page.locator('.cm-lintRange-error')).toHaveCount(0);
	await page.getByRole('button', { name: 'Import model sheet' }).click();
	await page.getByRole('link', { name: 'Edit as text' }).click();
	await expect(editor).toContainText('"demo": true'); // its first line: the rest is drawn when it is scrolled to
	const address = page.url();

	const both = await Promise.all(
		[page, await page.context().newPage()].map(async (other) => {
			await other.goto(address);
			await expect(other.locator('textarea[name=text]')).toBeHidden();
			return other;
		})
	);
	await Promise.all(both.map((other) => other.getByRole('button', { name: 'Import model sheet' }).click()));
	const taken = both.map((other) => other.getByRole('heading', { name: /revision 2/ }));
	const told = both.map((other) => other.getByText('has a revision 2 already'));
	await expect
		.poll(async () => (await Promise.all(taken.map((locator) => locator.count()))).filter(Boolean).length)
		.toBe(1);
	await expect
		.poll(async () => (await Promise.all(told.map((locator) => locator.count()))).filter(Boolean).length)
		.toBe(1);
});

test('Decide stands before any program of the page runs', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/');
	const path = (await page.getByRole('link', { name: 'MAR-0256' }).first().getAttribute('href'))!;
	const still = await browser.newContext({
		storageState: await page.context().storageState(),
		javaScriptEnabled: false,
		baseURL: new URL(page.url()).origin
	});
	const bare = await still.newPage();
	await bare.goto(`${/^\/jobs\/[^/]+/.exec(path)![0]}/decide`);
	await expect(bare.getByText(/chance of an unplanned stop within/)).toBeVisible();
	await expect(bare.getByRole('row', { name: /^Ceramic plunger, 1/ })).toContainText('%');
	await still.close();
});

test('the bench, the decision and the pump are printed without what is pressed', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/');
	const path = /^\/jobs\/[^/]+/.exec(
		(await page.getByRole('link', { name: 'MAR-0256' }).first().getAttribute('href'))!
	)![0];
	await page.emulateMedia({ media: 'print' });
	const sheet = (await page.request.get('/sheets').then((answer) => answer.text())).match(
		/\/sheets\/[0-9a-f-]{36}/
	)![0];
	for (const [address, ...stays] of [
		['/', 'Next step', 'Recurring problems'],
		[`${path}/inspect?place=plunger/1`, 'Ceramic plunger, cylinder 1', 'Risk of damage.'],
		[`${path}/decide`, 'V-packings (pair), 1', 'Cost, replace'],
		[`${path}/release`, 'MAR-0256', /parts not inspected$/],
		['/trace/lives', 'B10 life'],
		[sheet, 'Lock out.', 'Orientation']
	]) {
		await page.goto(address as string);
		for (const text of stays) await expect(page.getByText(text).first(), `${String(text)} on ${address}`).toBeVisible();
		await expect(page.getByRole('button', { name: /^(Undo|Accept|Release)/ })).toHaveCount(0);
		await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
	}
});

test('every list fits an upright window, its last column too', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.setViewportSize({ width: 800, height: 1280 });
	await page.goto('/');
	const job = (await page.getByRole('link', { name: 'MAR-0256' }).first().getAttribute('href'))!;
	const decide = job.replace(/^(\/jobs\/[^/]+).*/, '$1/decide');
	for (const path of [
		'/',
		decide,
		'/pumps',
		'/trace',
		'/trace/compare',
		'/trace/cases',
		'/gauges',
		'/sheets',
		'/shop/people',
		'/shop/stock'
	]) {
		await page.goto(path);
		const list = page.getByRole('table').first();
		await expect(list).toBeVisible();
		// Causes come one pump after the other.
		await expect(list.getByText('…', { exact: true }), path).toHaveCount(0);
		const end = await list.evaluate((table) => table.getBoundingClientRect().right);
		expect(end, `${path} ends at`).toBeLessThanOrEqual(800);
	}
	// A row that is opened leaves the columns as wide as they were.
	await page.goto(decide);
	const why = page.getByRole('columnheader', { name: 'Why' });
	const wide = (await why.boundingBox())!.width;
	await page
		.getByRole('button', { name: /^Decide: / })
		.first()
		.click();
	await expect(page.getByRole('group', { name: 'Decide' })).toBeVisible();
	expect((await why.boundingBox())!.width).toBe(wide);
});
