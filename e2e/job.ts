import { expect, type Page } from '@playwright/test';

let count = 0;

/** Receives a new pump and leaves the page at the mat of its job. */
export async function openMat(
	page: Page,
	scope: 'packing' | 'valves' | 'full' = 'packing'
): Promise<{ serial: string; job: string }> {
	const serial = `E2E-${Date.now()}-${++count}`;
	await page.goto('/receive');
	await page.getByLabel('Which pump').selectOption('new');
	await page.getByLabel('Serial number').fill(serial);
	await page.getByLabel('Complaint').fill('Water leak');
	await page.getByLabel('Hours on its meter').fill('1200');
	await page.getByLabel('Work to do').selectOption(scope);
	await page.getByRole('button', { name: 'Receive and lay out the mat' }).click();
	await page.getByRole('link', { name: 'To the mat' }).click();
	await expect(page.getByRole('region', { name: 'Mat' })).toBeVisible();
	return { serial, job: /jobs\/([^/]+)/.exec(page.url())![1] };
}

/** The cell of a part on the mat. */
export const cell = (page: Page, name: string) =>
	page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: new RegExp(`^${name}[;,]`) });

export const reading = (page: Page) => page.getByRole('region', { name: 'Measure' }).getByRole('textbox').first();
