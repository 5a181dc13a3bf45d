// How many touches and keys a whole rebuild takes, stage by stage.
import { expect, test, type Page } from './test';
import { receivePump, signOffAll, toStage } from './job';
import { pageOf } from './people';
import { prove, putTogether } from './together';

/** At most so many in each stage: one that asks for more needs a reason. */
const MOST = { strip: 16, inspect: 133, order: 18, build: 70, prove: 8, release: 1 };
type Stage = keyof typeof MOST;

/** Counts the presses and keys of this page; the answer gives those since it was asked last. */
async function countTouches(page: Page): Promise<() => Promise<number>> {
	let count = 0;
	await page.exposeFunction('touched', () => count++);
	await page.addInitScript(() => {
		const { touched } = window as unknown as { touched: () => void };
		addEventListener('click', ({ detail }) => detail > 0 && touched(), { capture: true });
		addEventListener('keydown', () => touched(), { capture: true });
	});
	await page.reload();
	return async () => {
		await page.evaluate(() => new Promise((told) => setTimeout(told, 100)));
		const now = count;
		count = 0;
		return now;
	};
}

/** Inspects all parts as clean, cylinder by cylinder, and accepts by eye what need not be measured. */
async function inspectAsClean(page: Page): Promise<void> {
	const open = page.getByRole('button', { name: /; not inspected/ });
	for (let left = await open.count(); left > 0; left = await open.count()) {
		await open.first().click();
		await page.keyboard.press('Space');
		await expect(open).toHaveCount(left - 1);
		await page.getByRole('button', { name: 'Several parts' }).click();
		const others = page.getByRole('dialog').getByRole('button', { name: /^Clean: all other (parts of|single parts)/ });
		if (await others.isEnabled()) await others.click();
		else await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
		await expect(page.getByRole('dialog')).toHaveCount(0);
	}
	await page.getByRole('button', { name: /^Accept \d+ clear/ }).click();
	const undecided = page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: /; (?!.*decided)/ });
	for (let left = await undecided.count(); left > 0; left = await undecided.count()) {
		await undecided.first().click();
		await page.getByRole('region', { name: 'Judge' }).getByRole('button', { name: 'Accept by eye' }).click();
		await expect(undecided).toHaveCount(left - 1);
	}
}

/** Books in what is to be bought, and takes from stock what lies there, until nothing is missing. */
async function bookIn(page: Page): Promise<void> {
	await toStage(page, 'Order');
	await expect(page.getByRole('table', { name: 'Needed' })).toBeVisible();
	const fromStock = page.getByRole('button', { name: /^Take \d+ from stock/ });
	for (let left = await fromStock.count(); left > 0; left = await fromStock.count()) {
		await fromStock.first().click();
		await expect(fromStock).toHaveCount(left - 1);
	}
	const delivery = page.getByText('Book in the whole delivery');
	if ((await delivery.count()) > 0) {
		await delivery.click();
		await page.getByRole('button', { name: /^Book in \d+ piece/ }).click();
	}
	await expect(page.getByText('Nothing to order')).toBeVisible();
}

test('a whole rebuild of Thrift takes no more touches than its stages may', async ({ browser }) => {
	test.setTimeout(300_000);
	const page = await pageOf(browser, 'lead');
	await receivePump(page, { model: 'Thrift', scope: 'full' });
	const touches = await countTouches(page);
	const counted: Partial<Record<Stage, number>> = {};
	await signOffAll(page);
	counted.strip = await touches();
	await page.getByRole('link', { name: 'Open the mat' }).click();
	await expect(page.getByRole('region', { name: 'Mat' })).toBeVisible();
	await inspectAsClean(page);
	counted.inspect = await touches();
	await bookIn(page);
	counted.order = await touches();
	await putTogether(page);
	counted.build = await touches();
	await prove(page, ['4.5 MPa', '4.49 MPa']);
	counted.prove = await touches();
	await toStage(page, 'Release');
	await touches();
	await page.getByRole('button', { name: 'Release pump' }).click();
	await expect(page.getByRole('heading', { name: 'Released' })).toBeVisible();
	counted.release = await touches();
	for (const [stage, most] of Object.entries(MOST)) expect(counted[stage as Stage], stage).toBeLessThanOrEqual(most);
});
