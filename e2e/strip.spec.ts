import { expect, test } from '@playwright/test';
import { receivePump, signOffAll } from './job';
import { pageOf } from './people';

test('a step asks: pieces are counted, ways are noted, and nothing is signed off unanswered', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Bulrush', scope: 'full' });
	const step = (text: RegExp) => page.getByRole('listitem').filter({ hasText: text });
	for (const text of [/^1\s*Isolate/, /^2\s*Release/]) {
		await step(text)
			.getByRole('button', { name: /^Sign off/ })
			.click();
		await expect(step(text).getByRole('button', { name: /^Done/ })).toBeVisible();
	}
	const screws = step(/Loosen all eight screws/);
	await expect(screws).toContainText('Comes out: Socket head screws (8)');
	await expect(screws).toContainText('Tools: Hex key');
	const sign = screws.getByRole('button', { name: /^Sign off/ });
	await expect(sign).toBeDisabled();
	const count = screws.getByRole('textbox', { name: 'Count: socket head screws' });
	for (const [typed, says] of [
		['', 'Type how many there are.'],
		['some', '“some” is not a number'],
		['7.5', 'Type a whole number.']
	]) {
		await count.fill(typed);
		await screws.getByRole('button', { name: 'Take' }).click();
		await expect(screws.getByRole('alert')).toContainText(says);
		await expect(count).toHaveValue(typed);
	}
	await count.fill('7');
	await count.press('Enter');
	await expect(screws).toContainText('There should be 8: look for the others.');
	await count.fill('8');
	await screws.getByRole('button', { name: 'Change' }).click();
	await expect(screws).not.toContainText('There should be 8');
	await sign.click();
	await expect(screws.getByRole('button', { name: /^Done/ })).toBeVisible();
	await page.reload();
	await expect(screws.getByRole('textbox', { name: 'Count: socket head screws' })).toHaveValue('8');
});

test('a pump is received with what it is made of, and only that lies on its mat', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/receive');
	await page.getByRole('button', { name: 'A pump we do not know yet' }).click();
	await page.getByLabel('Serial number').fill(`E2E-G-${Date.now()}`);
	await page.getByLabel('Model', { exact: true }).selectOption('Gorse');
	await page.getByLabel('Complaint').fill('Drips');
	await page.getByLabel('Hours on its meter').fill('900');
	await page.getByLabel('Work to do').selectOption('packing');
	for (const [i, style] of ['flat', 'u', 'flat'].entries())
		await page.getByLabel(`Style of the rear guide, cylinder ${i + 1}`).selectOption(style);
	await page.getByRole('button', { name: 'Receive and lay out the mat' }).click();
	await expect(page.getByRole('button', { name: /^Sign off/ }).first()).toBeVisible();
	await signOffAll(page);
	await page.getByRole('link', { name: 'Inspect', exact: true }).click();
	const mat = page.getByRole('region', { name: 'Mat' });
	const lies = (name: string, cylinder: number) =>
		mat.getByRole('button', { name: new RegExp(`^${name}, cylinder ${cylinder}[;,]`) });
	for (const [cylinder, flat] of [
		[1, true],
		[2, false],
		[3, true]
	] as const) {
		await expect(lies('Low-pressure seal with a flat base', cylinder)).toHaveCount(flat ? 1 : 0);
		await expect(lies('Low-pressure seal, curved', cylinder)).toHaveCount(flat ? 0 : 1);
	}
	await expect(lies('High-pressure seal', 2)).toBeVisible();
	// The arrows pass an empty place over.
	await lies('Backup ring in the guide', 1).click();
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Backup ring in the guide, cylinder 3');
	await lies('Outer O-ring of the rear guide', 2).click();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Low-pressure seal, curved, cylinder 2');
});
