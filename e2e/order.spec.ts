import { expect, test } from './test';
import { openMat, toStage } from './job';
import { renewAll } from './log';
import { pageOf } from './people';
import { putTogether } from './together';

test('what has to be had is covered by kits at least cost; another choice says what it costs more and leaves over', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page, 'packing', { model: 'Marram' });
	await toStage(page, 'Order');
	await expect(page.getByText('Nothing to order')).toBeVisible();
	await renewAll(page, job);
	await page.reload();
	const buy = page.getByRole('table', { name: 'To buy' });
	const kit = buy.getByRole('group', { name: 'Quantity of MAR-P' });
	await expect(kit.getByText('1', { exact: true })).toBeVisible();
	await expect(page.getByText(/Not in any kit: .*manifold/)).toBeVisible();
	await kit.getByRole('button', { name: 'one more' }).click();
	await expect(page.getByText(/\(96.00 more than the cheapest\)/)).toBeVisible();
	await expect(page.getByText(/^Left over as spares: .*V-packing/)).toBeVisible();
	await kit.getByRole('button', { name: 'one fewer' }).click();
	await expect(page.getByText(/more than the cheapest/)).toHaveCount(0);
	// Without the kit its parts are bought one by one: the rest of the order is worked out again.
	await kit.getByRole('button', { name: 'one fewer' }).click();
	await page.getByText(/^Other kits and parts/).click();
	const folded = page.getByRole('table', { name: 'Other kits and parts' });
	await expect(folded.getByRole('group', { name: 'Quantity of MAR-P' }).getByText('0', { exact: true })).toBeVisible();
	await expect(page.getByText(/more than the cheapest/)).toBeVisible();
	await expect(page.getByText('Still missing:')).toHaveCount(0);
	await page.getByRole('button', { name: 'Back to the cheapest order' }).click();
	await page.getByLabel('Needed within').selectOption('3 days');
	await expect(page.getByRole('alert').filter({ hasText: /^Not enough manifold available/ })).toContainText(
		'0 can be had within 3 days'
	);
	await expect(kit.getByText('1', { exact: true })).toBeVisible();
	await page.getByLabel('Needed within').selectOption('no limit');
	await expect(page.getByText(/Expected in 21 days/)).toBeVisible();
	await expect(page.getByRole('alert')).toHaveCount(0);

	for (const [as, begins] of [
		['CSV', '"Number"'],
		['PDF', '%PDF-'],
		['XLSX', 'PK']
	]) {
		const download = page.waitForEvent('download');
		await page.getByRole('link', { name: as, exact: true }).click();
		const chunks: Buffer[] = [];
		for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
		expect(Buffer.concat(chunks).toString('latin1').startsWith(begins)).toBe(true);
	}
});

test('what comes in is noted with its lot; what another takes first from the drawer is said; both are needed no more', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/shop/stock?model=Marram');
	await page.getByRole('button', { name: 'Change: Ceramic plunger' }).click();
	await page.getByLabel('In stock').fill('some');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText(/Type a whole number/)).toBeVisible();
	await page.getByLabel('In stock').fill('3');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('status')).toContainText('Ceramic plunger: 3 in the drawer');
	await page.getByRole('button', { name: 'Change: Copper gasket' }).click();
	await page.getByLabel('In stock').fill('9');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('status')).toContainText('Copper gasket: 9 in the drawer');

	const { job } = await openMat(page, 'packing', { model: 'Marram' });
	await renewAll(page, job);
	await page.goto(`/jobs/${job}/order`);
	const needed = page.getByRole('table', { name: 'Needed' });
	await needed.getByRole('button', { name: 'Receive: Seal case (threaded)' }).click();
	const arrival = page.getByRole('group', { name: 'Receive: Seal case (threaded)' });
	await arrival.getByLabel('Pieces').fill('2');
	await arrival.getByLabel('Lot').fill('L-77');
	await arrival.getByRole('button', { name: 'Book in' }).click();
	await expect(page.getByText(/2 × seal case .threaded., bought, lot L-77/)).toBeVisible();
	await expect(needed.getByRole('row', { name: /Seal case .threaded. 1 / })).toBeVisible();

	await needed.getByRole('button', { name: 'Receive: V-packings (pair)' }).click();
	const packings = page.getByRole('group', { name: 'Receive: V-packings (pair)' });
	await packings.getByLabel('From kit').selectOption({ label: 'Packings, one pump' });
	await packings.getByRole('button', { name: 'Book in' }).click();
	await expect(page.getByText(/6 × v-packings .pair., bought, from kit MAR-P/i)).toBeVisible();

	const other = await pageOf(browser, 'second');
	await other.goto(`/jobs/${job}/order`);
	const take = (on: typeof page) => on.getByRole('button', { name: 'Take 3 from stock: Ceramic plunger' });
	await expect(take(other)).toBeVisible();
	await take(page).click();
	await expect(page.getByText(/3 × ceramic plunger, from stock/)).toBeVisible();
	await expect(take(page)).toHaveCount(0);
	// Whoever still sees them there is told that they are gone.
	await expect(take(other)).toHaveCount(0);

	// The rest comes in one box: one press books all of it in.
	await page.getByText('Book in the whole delivery').click();
	await page.getByLabel('Supplier', { exact: true }).fill('Alder Supplies');
	await page.getByRole('button', { name: /^Book in \d+ pieces$/ }).click();
	await expect(page.getByText(/1 × seal case .threaded., bought, Alder Supplies/)).toBeVisible();
	await expect(page.getByText(/3 × seal-case o-ring, bought, Alder Supplies/i)).toBeVisible();
	// What lies in the drawer is no part of it.
	await expect(page.getByText(/3 × copper gasket from stock/)).toBeVisible();
	await page.getByRole('button', { name: 'Take 3 from stock: Copper gasket' }).click();
	await expect(page.getByText('Nothing to order')).toBeVisible();
	await page.goto(`/jobs/${job}/build`);
	await expect(page.getByRole('group', { name: 'Parts to fit' })).toBeVisible();
	await expect(page.getByText(/booked in for this job/)).toHaveCount(0);
});

test('the rig says which valve may leak, how sure that is, and its result is kept', async ({ browser }) => {
	test.setTimeout(240_000);
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page, 'valves', { model: 'Fescue' });
	await renewAll(page, job);
	await putTogether(page);
	await page.getByRole('link', { name: 'Test the pump' }).click();
	const rig = page.getByRole('region', { name: 'Test rig' });
	await rig.getByRole('button', { name: 'Record from test rig' }).click();
	await expect(rig.getByRole('status')).toContainText(/^[5-9]\.\d s, \d+.bar/);
	await rig.getByRole('button', { name: 'Stop and analyse' }).click();
	const verdicts = rig.getByRole('list', { name: 'Possible explanations' });
	await expect(verdicts.getByRole('listitem').first()).toContainText('Inlet valve or packing of cylinder 2 leaks');
	await rig.getByRole('button', { name: 'Save result' }).click();
	await expect(rig.getByRole('status')).toContainText('Kept: Inlet valve or packing of cylinder 2');
	await page.reload();
	await expect(rig.getByRole('status')).toContainText('Kept: Inlet valve or packing of cylinder 2');
	await rig.getByRole('link', { name: /^Inlet valve.*cylinder 2$/ }).click();
	await expect(page.getByRole('group', { name: 'Parts to fit' })).toContainText('Inlet valve');
});
