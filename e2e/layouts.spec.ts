import { expect, test, type Page } from './test';
import { cell, inFull, openMat } from './job';
import { pageOf } from './people';

const measure = (page: Page) => page.getByRole('region', { name: 'Measure' });
const judge = (page: Page) => page.getByRole('region', { name: 'Judge' });

const receive = (page: Page, model: string) =>
	openMat(page, 'full', { model, complaint: 'Pressure low', hours: '3000' });

async function choose(page: Page, size: string): Promise<void> {
	const button = measure(page)
		.getByRole('button', { name: new RegExp(`^${size}`) })
		.first();
	if (await button.isVisible()) await button.click();
	else await measure(page).getByLabel('Measure another size').selectOption({ label: size });
}

async function take(page: Page, ...values: string[]): Promise<void> {
	const field = measure(page).getByRole('textbox').first();
	for (const value of values) {
		await field.fill(value);
		await field.press('Enter');
	}
}

test('a cup-piston pump: the cup in its cylinder as measured, shims to the gap, the cotter pin never again', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receive(page, 'Thrift');
	await cell(page, 'Cylinder no. 1').click();
	await page.keyboard.press('Space');
	await take(page, '25.03', '25.04', '25.06', '25.05', '25.04', '25.03');
	await expect(judge(page)).toContainText('Bore 25.060 mm');
	await choose(page, 'End gap when built');
	await take(page, '0.15');
	await inFull(page, (why) => expect(why.getByRole('row', { name: /Shims to add/ })).toContainText('3'));
	await cell(page, 'Piston cup, cylinder 1').click();
	await page.keyboard.press('Space');
	await take(page, '25.5');
	await inFull(page, (why) =>
		expect(why.getByRole('row', { name: /Interference with the mating part/ })).toContainText('0.440 mm')
	);
	await cell(page, 'Cotter pin, cylinder 1').click();
	await page.keyboard.press('Space');
	await expect(judge(page)).toContainText('Single use');
	await expect(judge(page).getByTestId('verdict')).toContainText('Replace');
});

test('a diaphragm head: the plate by dial over its face, the valves alone or as a set', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receive(page, 'Comfrey');
	await cell(page, 'Valve plate').click();
	await page.keyboard.press('Space');
	// A face that lies tilted under the dial by 0.05 a column, one corner 0.2 high: 0.15 by an independent linear programme.
	await take(page, '0', '0.05', '0.1', '0', '0.05', '0.1', '0', '0.05');
	await expect(judge(page)).toContainText('Flatness by dial heights not measured yet.');
	await take(page, '0.3');
	await expect(judge(page)).toContainText('Flatness by dial heights 0.150 mm');
	await expect(judge(page)).toContainText('is beyond the discard limit 0.080 mm');
	await cell(page, 'Diaphragm, cylinder 2').click();
	await page.keyboard.press('w');
	await expect(judge(page)).toContainText('Hole, slight (in service): replace');

	// A cracked outlet seat goes alone, or takes every valve part with it, as the shop has it.
	await cell(page, 'Outlet valve seat, cylinder 1').click();
	await page.keyboard.press('a');
	await cell(page, 'Outlet valve seat, cylinder 2').click();
	await page.keyboard.press('Space');
	await take(page, '0.75');
	await cell(page, 'Outlet poppet, cylinder 2').click();
	await page.keyboard.press('Space');
	await take(page, '2.98');
	await page.getByRole('link', { name: 'Decide', exact: true }).click();
	const sound = page.getByRole('row', { name: /^Outlet valve seat, 2/ });
	await expect(sound).toContainText('Reuse');
	await page.getByRole('radiogroup', { name: 'Valves' }).getByText('as a set').click();
	await expect(sound).toContainText('Replaced with its set: outlet valve seat, cylinder 1 is replaced.');
	await page.getByRole('radiogroup', { name: 'Valves' }).getByText('by cylinder').click();
	await expect(sound).toContainText('Reuse');
});

test('a regulator: rounded edges in figures, and the oil seal never again', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receive(page, 'Sedge');
	await cell(page, 'Regulator seat').click();
	await page.keyboard.press('q');
	await take(page, '0.5');
	await expect(judge(page)).toContainText('Edge radius 0.500 mm');
	await inFull(page, (why) =>
		expect(why.getByRole('row', { name: /Metal lost from the edge/ })).toContainText('0.84 mm³')
	);
	await expect(judge(page).getByTestId('verdict')).toContainText('Replace');
	await cell(page, 'Oil seal, cylinder 2').click();
	await page.keyboard.press('d');
	await page.getByRole('link', { name: 'Decide', exact: true }).click();
	await expect(page.getByRole('region', { name: 'Repair or replace the unit' })).toContainText('oil seal, cylinder 2');
});

test('a rope-packed pump: the sheet’s prior speaks while too few are on record', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/');
	const path = await page.getByRole('link', { name: 'BRA-0009' }).first().getAttribute('href');
	await page.goto(`${path!.replace(/^(\/jobs\/[^/]+).*/, '$1')}/inspect?place=ropes/1`);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rope rings (three), cylinder 1');
	await expect(measure(page)).toContainText('Runs against');
	await inFull(page, (why) => expect(why).toContainText(/the prior of the model sheet \(weight/));
});

test('the gauge that was chosen stays in hand; an overdue one is said at the part and on the report', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receive(page, 'Marram');
	const gauge = measure(page).getByLabel('Gauge', { exact: true });
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await gauge.selectOption({ label: 'With Micrometer 0–25 no. 2 (calibration overdue, uncertainty doubled)' });
	await take(page, '17.98');
	await expect(judge(page)).toContainText('calibration overdue');
	await cell(page, 'Ceramic plunger, cylinder 2').click();
	await expect(gauge.getByRole('option', { name: /no. 2/, selected: true })).toHaveCount(1);
	await page.getByRole('link', { name: 'Release', exact: true }).click();
	await expect(page.getByText('Measured with an overdue gauge')).toBeVisible();
	await expect(page.getByText('Ceramic plunger, cylinder 1: Diameter, Micrometer 0–25 no. 2')).toBeVisible();
});

test('a group of bolts: their order, passes and torque; what is not to be touched; by feel where no one has said', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receive(page, 'Thrift');
	await cell(page, 'Manifold nuts with lock washers').click();
	await expect(measure(page).getByRole('img', { name: /crosswise, place 1, place 4, place 2, place 3/ })).toBeVisible();
	await expect(measure(page).getByRole('listitem')).toHaveText([/^23.*N·m.*crosswise/, /^46.*N·m/]);
	await cell(page, 'Cylinder bolts').click();
	await expect(measure(page)).toContainText('By feel');
	await cell(page, 'Slotted nut, cylinder 1').click();
	await expect(measure(page)).toContainText('tighten to the next slot. Never turn back');
});

test('figures and forms follow the reader’s inches', { tag: '@alone' }, async ({ browser }) => {
	const page = await pageOf(browser, 'second');
	await page.goto('/settings');
	await page.getByLabel('Lengths').selectOption('in');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('status')).toContainText('Saved');
	await receive(page, 'Thrift');
	await cell(page, 'Cylinder no. 1').click();
	await page.keyboard.press('Space');
	await take(page, '0.9862', '25.06 mm');
	await expect(judge(page)).toContainText('0.9866 in');
	await cell(page, 'Piston cup, cylinder 1').click();
	await take(page, '1.004');
	await inFull(page, (why) => expect(why.getByRole('row', { name: /Interference/ })).toContainText('in'));
	await page.goto('/settings');
	await page.getByLabel('Lengths').selectOption('mm');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
});
