import { expect, test, type Page } from './test';
import { cell, openMat } from './job';
import { pageOf } from './people';

/** What can be pressed on this page and is smaller than a glove wants. */
async function tooSmall(page: Page): Promise<string[]> {
	return page
		.locator('main')
		.getByRole('button')
		.or(page.locator('main').getByRole('link'))
		.evaluateAll((elements) =>
			elements
				.map((element) => ({
					name: element.getAttribute('aria-label') ?? element.textContent,
					box: element.getBoundingClientRect(),
					// Cells of mat and grid may be smaller: arrows and pad reach them too.
					least: element.closest('td') && element.closest('[aria-label="Mat"], [aria-label="Measure"]') ? 31.5 : 43.5
				}))
				.filter(
					({ box, name, least }) =>
						box.width > 0 && (box.width < least || box.height < least) && !/^E2E/.test(name ?? '')
				)
				.map(({ name, box }) => `${name?.trim()} ${Math.round(box.width)}×${Math.round(box.height)}`)
		);
}

test('everything that is pressed at the bench is at least 44 pixels each way', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page, 'full');
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await page.keyboard.press('q');
	expect(await tooSmall(page)).toEqual([]);
	await page.getByRole('link', { name: 'Decide', exact: true }).click();
	await page.getByRole('button', { name: 'Decide: Ceramic plunger, 1' }).click();
	expect(await tooSmall(page)).toEqual([]);
	await page.getByRole('link', { name: 'Release', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Open points' })).toBeVisible();
	expect(await tooSmall(page)).toEqual([]);
});

test('the mat is walked by keyboard alone, and the keys are listed', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page, 'valves');
	const spring = cell(page, 'Inlet valve spring, cylinder 1');
	await spring.focus();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toContainText('move from part to part');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Inlet valve, cylinder 1');
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Inlet valve, cylinder 2');
	await page.keyboard.press('End');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Discharge valve seat, cylinder 2');
	await page.keyboard.press('w');
	await page.keyboard.press('w');
	await expect(
		page.getByRole('region', { name: 'Look' }).getByRole('button', { name: /Pitted: moderate/ })
	).toBeVisible();
	await page.keyboard.press('Backspace');
	await expect(
		page.getByRole('region', { name: 'Look' }).getByRole('button', { name: /Pitted: slight/ })
	).toBeVisible();
	await page.keyboard.type('0.9');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('option', { name: /^Contact band width: 0.900/ })).toBeAttached();
});

test('units follow the person and never change what is stored', { tag: '@alone' }, async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await page.keyboard.type('17.985');
	await page.keyboard.press('Enter');
	await expect(page.getByText('All saved')).toBeVisible();
	const setLength = async (unit: string) => {
		await page.goto('/settings');
		await page.getByLabel('Lengths').selectOption(unit);
		await page.getByRole('button', { name: 'Save', exact: true }).click();
		await expect(page.getByRole('status')).toHaveText('Saved.');
	};
	await setLength('in');
	await page.goto(`/jobs/${job}/inspect?place=plunger/1`);
	await expect(page.getByRole('button', { name: /Valve end of the seal track 0°: 0.7081 in/ })).toBeVisible();
	await setLength('mm');
	await page.goto(`/jobs/${job}/inspect?place=plunger/1`);
	await expect(page.getByRole('button', { name: /Valve end of the seal track 0°: 17.985 mm/ })).toBeVisible();
});
