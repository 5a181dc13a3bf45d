import { readFileSync } from 'node:fs';
import { expect, test } from './test';
import { cell, openMat, reading } from './job';
import { pageOf } from './people';

test('a reading that cannot be is answered beside its field, and stays as it was typed', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	const field = reading(page);
	const answer = page.getByRole('region', { name: 'Measure' }).getByRole('alert');
	for (const [typed, sentence] of [
		['seventeen', 'is not a number'],
		['17.9x8', 'is not a number'],
		['17.98 bar', 'is the wrong kind of unit'],
		['17.98 furlongs', 'is not a known unit'],
		['3', 'is not plausible for a part of 18.000'],
		['3000', 'Check the gauge and the unit'],
		['3 m', '3\u202f000.000'],
		['0.708', 'read in inches'],
		['179.8', 'decimal point slip']
	]) {
		await field.fill(typed);
		await field.press('Enter');
		await expect(answer).toContainText(sentence);
		await expect(field).toHaveValue(typed);
		await expect(field).toHaveAttribute('aria-invalid', 'true');
	}
	await field.fill('.7081 in');
	await field.press('Enter');
	await expect(page.getByRole('button', { name: /Valve end of the seal track 0°: 17.986/ })).toBeVisible();
});

test('hours lower than last time are asked about, not forbidden; the form keeps what was typed', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/receive');
	await page.getByRole('combobox', { name: 'Known pump' }).fill('saltholm');
	await page.getByRole('option', { name: /MAR-0165, Standby/ }).click();
	await page.getByLabel('Customer’s description').fill('Planned');
	await page.getByLabel('Hour meter (h)').fill('many');
	await page.getByRole('button', { name: 'Receive' }).click();
	await expect(page.getByText('“many” is not a number')).toBeVisible();
	await expect(page.getByLabel('Hour meter (h)')).toHaveValue('many');
	await page.getByLabel('Hour meter (h)').fill('55');
	await page.getByRole('button', { name: 'Receive' }).click();
	await expect(page.getByText('fill in the hours of the old meter below')).toBeVisible();
	await expect(page.getByLabel('Customer’s description')).toHaveValue('Planned');
	await page.getByLabel('Hours on the old meter').fill('0');
	await page.getByRole('button', { name: 'Receive' }).click();
	await expect(page).toHaveURL(/strip$/);
});

test('a sheet that breaks its schema is answered with line and path, and the text stays', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	const text = readFileSync(new URL('../demo/sheets/marram.json', import.meta.url), 'utf8');
	await page.goto('/sheets');
	const broken = text.replace('"strokeMm": 24', '"strokeMm": -24').replace('"min":17.95', '"min":18.95');
	await page.getByLabel('Or paste its text').fill(broken);
	await page.getByRole('button', { name: 'Import model sheet' }).click();
	const line = broken.split('\n').findIndex((candidate) => candidate.includes('"strokeMm"')) + 1;
	await expect(page.getByRole('row', { name: new RegExp(`^${line} strokeMm`) })).toBeVisible();
	await expect(page.locator('[name=text]')).toHaveValue(broken);
	await page.getByLabel('Or paste its text').fill(text.replace('"revision": 1', '"revision": 2'));
	await page.getByRole('button', { name: 'Import model sheet' }).click();
	await expect(page.getByRole('heading', { name: /revision 2/ })).toBeVisible();
});

test('a policy that cannot be is answered beside its field, and stays as it was typed', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.goto('/shop');
	const risk = page.getByLabel('Risk of reusing a part beyond its limit, %');
	await risk.fill('70');
	await page.getByLabel(/^Hours to the next planned service/).fill('soon');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Type a risk between 0 and 50 %')).toBeVisible();
	await expect(page.getByText('Type the hours as a number up to')).toBeVisible();
	await expect(risk).toHaveValue('70');
	await risk.fill('5');
	await page.getByLabel(/^Hours to the next planned service/).fill('2000');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('status')).toContainText('Saved');
});
