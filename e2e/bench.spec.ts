import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Browser, type Page } from './test';
import { cell, openMat, reading, receivePump, signOffAll } from './job';
import { pageOf } from './people';

const look = (page: Page) => page.getByRole('region', { name: 'Look' });
const says = (page: Page) => page.getByRole('status', { name: 'Next step' });
const title = (page: Page) => page.getByRole('heading', { level: 1 });

/** The same person on a tablet or a telephone. */
async function onGlass(browser: Browser, page: Page, width: number, height: number): Promise<Page> {
	const context = await browser.newContext({
		storageState: await page.context().storageState(),
		baseURL: new URL(page.url()).origin,
		viewport: { width, height },
		hasTouch: true,
		isMobile: true
	});
	return context.newPage();
}

test('digits always begin a reading, letters mark, space is clean, and the page says what comes next', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await expect(says(page)).toHaveText('Space: no damage. Letter: damage pattern. Digit: reading.');
	await page.keyboard.type('0.02');
	await expect(reading(page)).toHaveValue('0.02');
	await expect(cell(page, 'Ceramic plunger, cylinder 1')).toHaveAccessibleName(/not inspected/);
	await expect(says(page)).toContainText('Enter: saves 0.02 as diameter, valve end of the seal track, 0°');
	await page.keyboard.press('Escape');
	await page.keyboard.press('w');
	await expect(look(page).getByRole('button', { name: /Polished or matt wear band: slight/ })).toBeVisible();
	await page.keyboard.press('Backspace');
	await page.keyboard.press('Space');
	await expect(look(page).getByRole('button', { name: 'Clean', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('what a gauge types on a part without sizes does nothing at all, its Enter included', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Oiling wick, cylinder 1').click();
	await page.keyboard.press('Space');
	await page.waitForTimeout(200);
	// As fast as a gauge: all of it within one turn of the page.
	await page.evaluate(() => {
		for (const key of [...'17.981', 'Enter', 'Enter'])
			document.activeElement!.dispatchEvent(
				new KeyboardEvent('keydown', {
					key,
					code: key.length > 1 ? key : `Digit${key}`,
					bubbles: true,
					cancelable: true
				})
			);
	});
	await expect(title(page)).toHaveText('Oiling wick, cylinder 1');
	await expect(cell(page, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/proposed: Reuse/);
	// A hand's Enter, a moment later, still accepts.
	await page.waitForTimeout(200);
	await page.keyboard.press('Enter');
	await expect(cell(page, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/decided: Reuse/);
});

test('the full explanation stands beside the verdict and goes with the part in hand', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await page.getByRole('button', { name: 'Full explanation' }).click();
	const why = page.getByRole('dialog');
	await expect(why.getByRole('heading', { name: /^Ceramic plunger, cylinder 1:/ })).toBeVisible();
	await expect(page.getByRole('region', { name: 'Judge' }).getByTestId('verdict')).toBeInViewport();
	await page.getByRole('button', { name: 'Next part' }).click();
	await expect(why.getByRole('heading', { name: new RegExp(`^${await title(page).textContent()}:`) })).toBeVisible();
	// What it covers takes no letter and no digit.
	await page.keyboard.type('q1');
	await page.keyboard.press('Escape');
	await expect(why).toHaveCount(0);
	await expect(look(page).getByRole('button', { pressed: true })).toHaveCount(0);
});

test('acts for many are one undo; a part is found by the name that others use', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page, 'valves');
	await page.keyboard.press('q');
	await page.getByRole('button', { name: 'Find' }).click();
	await page.getByRole('combobox', { name: 'Name of the part' }).fill('poppet 2');
	await page.getByRole('option', { name: /^Discharge valve, cylinder 2/ }).click();
	await expect(title(page)).toHaveText('Discharge valve, cylinder 2');
	await page.getByRole('button', { name: 'Several parts' }).click();
	await page.getByRole('button', { name: /^Clean: all other parts of cylinder 2/ }).click();
	const left = page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: /; not inspected/ });
	await expect(left).toHaveCount(11);
	await page.getByRole('button', { name: 'Undo 6 entries' }).click();
	await expect(left).toHaveCount(17);
	await page.getByRole('button', { name: 'Several parts' }).click();
	await page.getByRole('button', { name: /^Replace: every/ }).click();
	await expect(page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: /decided: Replace/ })).toHaveCount(
		6
	);
	await page.getByRole('button', { name: 'Undo 6 entries' }).click();
	await expect(page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: /decided/ })).toHaveCount(0);
});

test('an assembly that is turned over turns its drawings and its words', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.goto('/');
	const work = page.getByRole('link', { name: 'MAR-0256' }).first();
	const job = /\/jobs\/([0-9a-f-]{36})/.exec((await work.getAttribute('href'))!)![1];
	await page.goto(`/jobs/${job}/inspect?place=packing/2`);
	const mat = page.getByRole('region', { name: 'Mat' });
	const drawing = mat.getByRole('button', { name: /^V-packings.*cylinder 2/ });
	await expect(mat.getByRole('columnheader', { name: 'Manifold, C up' })).toBeVisible();
	await expect(page.getByText('down as the manifold lies now')).toBeVisible();
	const before = await drawing.screenshot();
	const turnOver = async () => {
		await page.getByRole('button', { name: 'Several parts' }).click();
		await page.getByRole('button', { name: /^Turn over: manifold/ }).click();
		await page.getByRole('button', { name: 'Close' }).click();
	};
	await turnOver();
	await expect(mat.getByRole('columnheader', { name: 'Manifold, P up' })).toBeVisible();
	await expect(page.getByText('up as the manifold lies now')).toBeVisible();
	expect((await drawing.screenshot()).equals(before)).toBe(false);
	await turnOver();
	await expect(page.getByText('down as the manifold lies now')).toBeVisible();
	expect((await drawing.screenshot()).equals(before)).toBe(true);
});

test('with gloves: the pad types, takes and goes on, and no keyboard slides in', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page);
	const tablet = await onGlass(browser, page, 1280, 800);
	await tablet.goto(`/jobs/${job}/inspect?place=plunger/1`);
	await expect(title(tablet)).toHaveText('Ceramic plunger, cylinder 1');
	await expect(tablet.getByText('All saved', { exact: true })).toBeVisible();
	await look(tablet).getByRole('button', { name: 'Clean', exact: true }).tap();
	const pad = tablet.getByRole('group', { name: 'Pad' });
	await expect(pad).toBeVisible();
	await expect(reading(tablet)).toHaveAttribute('inputmode', 'none');
	for (const box of await pad
		.getByRole('button')
		.evaluateAll((all) => all.map((button) => button.getBoundingClientRect())))
		expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(56);
	const type = async (text: string) => {
		for (const character of text)
			await pad.getByRole('button', { name: character === '.' ? 'Decimal sign' : character, exact: true }).tap();
	};
	await type('17.99');
	await pad.getByRole('button', { name: 'Erase' }).tap();
	await type('8');
	await pad.getByRole('button', { name: 'Enter', exact: true }).tap();
	await expect(tablet.getByRole('button', { name: /Valve end of the seal track 0°: 17.980/ })).toBeVisible();
	await pad.getByRole('button', { name: 'Undo reading' }).tap();
	await expect(tablet.getByRole('button', { name: /Valve end of the seal track 0°: no reading/ })).toBeVisible();
	await pad.getByRole('button', { name: /^Unit/ }).tap();
	await type('.7081');
	await pad.getByRole('button', { name: 'Enter', exact: true }).tap();
	await expect(tablet.getByRole('button', { name: /Valve end of the seal track 0°: 17.986/ })).toBeVisible();
	for (let i = 0; i < 5; i++) {
		await type('17.999');
		await pad.getByRole('button', { name: 'Enter', exact: true }).tap();
	}
	// On a telephone what is typed stands over the pad, and both lie in the window.
	const phone = await onGlass(browser, page, 390, 844);
	await phone.goto(`/jobs/${job}/inspect?place=plunger/1&size=diameter`);
	await expect(
		phone.getByRole('group', { name: 'Pad' }).getByRole('button', { name: '1', exact: true })
	).toBeInViewport();
	await expect(reading(phone)).toBeInViewport({ ratio: 1 });
	await expect(phone.getByText('Caution: risk of damage.')).toBeInViewport();
	await phone.context().close();
	await pad.getByRole('button', { name: /, next$/ }).tap();
	await expect(cell(tablet, 'Ceramic plunger, cylinder 1')).toHaveAccessibleName(/decided/);
	await expect(title(tablet)).not.toHaveText('Ceramic plunger, cylinder 1');
	await tablet.context().close();
});

for (const [width, height] of [
	[800, 1280],
	[390, 844]
] as const) {
	test(`no page scrolls sideways at ${width}×${height}, and axe finds nothing serious`, async ({ browser }) => {
		test.setTimeout(240_000);
		const page = await pageOf(browser, 'lead');
		const { job } = await receivePump(page);
		const glass = await onGlass(browser, page, width, height);
		const stages = ['strip', 'inspect', 'decide', 'release'].map((stage) => `/jobs/${job}/${stage}`);
		const places = ['/', '/receive', '/pumps', '/trace', '/gauges', '/sheets', '/shop', '/shop/people', '/settings'];
		for (const path of [...places, ...stages]) {
			await glass.goto(path);
			await expect(glass.locator('main')).toBeVisible();
			const sideways = await glass.evaluate(() => document.documentElement.scrollWidth - innerWidth);
			expect.soft(sideways, `${path} scrolls sideways by`).toBeLessThanOrEqual(0);
			// Contrast does not depend on the size of the window; accessibility.spec.ts measures it.
			const axe = new AxeBuilder({ page: glass }).options({ resultTypes: ['violations'] });
			const { violations } = await axe.disableRules(['color-contrast']).analyze();
			const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
			expect
				.soft(
					serious.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${path} ${id}: ${html.slice(0, 120)}`)),
					path
				)
				.toEqual([]);
		}
		await glass.context().close();
	});
}

test('on a telephone: a part is looked up, noted, photographed, and a step is signed off', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await receivePump(page);
	const phone = await onGlass(browser, page, 390, 844);
	await phone.goto(`/jobs/${job}/strip`);
	await signOffAll(phone);
	await phone.getByRole('link', { name: 'Inspect', exact: true }).tap();
	await phone.getByRole('button', { name: 'Find' }).tap();
	await phone.getByRole('combobox', { name: 'Name of the part' }).fill('wick 3');
	await phone.getByRole('option', { name: /^Oiling wick, cylinder 3/ }).tap();
	await expect(title(phone)).toHaveText('Oiling wick, cylinder 3');
	await look(phone).getByRole('button', { name: 'Notes' }).tap();
	await phone.getByLabel('Note on this part').fill('Dry');
	await phone.getByRole('button', { name: 'Save note' }).tap();
	await expect(phone.getByText('“Dry”')).toBeVisible();
	// Off the network the photograph is seen at once, and goes by itself; what is no picture is said to be none.
	await phone.context().route('**/photos/*', (route) => route.abort('connectionfailed'));
	const camera = phone.getByLabel('Photograph of this part');
	await camera.setInputFiles({ name: 'list.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
	await expect(phone.getByRole('alert')).toContainText('“list.png” cannot be read as a picture');
	await camera.setInputFiles({ name: 'seal.png', mimeType: 'image/png', buffer: await phone.screenshot() });
	const seen = phone.getByRole('img', { name: /^Photograph by Ines Tarn/ });
	await expect(seen).toBeVisible();
	await expect(phone.getByText(/Offline: 1 entry/)).toBeVisible();
	await phone.goto(`/jobs/${job}/inspect?place=wick/3`);
	await look(phone).getByRole('button', { name: 'Notes 2' }).tap();
	await expect(seen).toBeVisible();
	await phone.context().unroute('**/photos/*');
	await expect(phone.getByText('All saved')).toBeVisible({ timeout: 40_000 });
	await phone.goto(`/jobs/${job}/inspect?place=wick/3`);
	await look(phone).getByRole('button', { name: 'Notes 2' }).tap();
	await expect.poll(() => seen.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(300);
	await phone.getByRole('button', { name: /^Photograph by/ }).tap();
	await expect(phone.getByRole('dialog').getByRole('img')).toBeInViewport();
	await phone.getByRole('button', { name: 'Close' }).tap();
	await phone.getByRole('button', { name: 'Next part' }).tap();
	await expect(title(phone)).not.toHaveText('Oiling wick, cylinder 3');
	await phone.getByRole('button', { name: 'Pages' }).tap();
	await phone.getByRole('menuitem', { name: 'Pumps' }).tap();
	await expect(phone.getByRole('heading', { name: 'Pumps' })).toBeVisible();
	await phone.context().close();
});

test('a button that is pressed before the page lives is pressed once it does', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page);
	// The page's program comes late.
	await page.route(/_app\/immutable\/.*\.js$/, async (route) => {
		await new Promise((passed) => setTimeout(passed, 1500));
		await route.continue().catch(() => undefined);
	});
	await (await page.context().newCDPSession(page)).send('Network.clearBrowserCache');
	await page.goto(`/jobs/${job}/inspect?place=plunger/1`, { waitUntil: 'commit' });
	await look(page).getByRole('button', { name: 'Clean', exact: true }).click();
	await expect(cell(page, 'Ceramic plunger, cylinder 1')).not.toHaveAccessibleName(/not inspected/);
});
