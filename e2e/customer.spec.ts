import { expect, test } from './test';
import { formatISO, subDays } from 'date-fns';
import sharp from 'sharp';
import { pageOf } from './people';

test('whose pump it is and by when goes from Receive to the Floor and into its report', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const serial = `E2E-C-${Date.now()}`;
	await page.goto('/receive');
	await page.getByRole('button', { name: 'New pump' }).click();
	await page.getByLabel('Model', { exact: true }).selectOption('Marram');
	await page.getByLabel('Serial number').fill(serial);
	await page.getByLabel('Customer', { exact: true }).fill('Harrow Sound Ferries');
	await page.getByLabel('Customer’s order number').fill('F-4711');
	await page.getByLabel('Promised date').fill('next week');
	await page.getByLabel('Customer’s description').fill('Drips');
	await page.getByLabel('Hour meter (h)').fill('1200');
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByText('Choose a day.')).toBeVisible();
	await expect(page.getByLabel('Customer', { exact: true })).toHaveValue('Harrow Sound Ferries');
	await page.getByLabel('Promised date').fill(formatISO(subDays(new Date(), 1), { representation: 'date' }));
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByRole('link', { name: serial })).toBeVisible();

	await page.getByRole('link', { name: 'Release', exact: true }).click();
	const told = page.getByRole('form', { name: 'For the customer' });
	await expect(told.getByLabel('Customer', { exact: true })).toHaveValue('Harrow Sound Ferries');
	await told.getByLabel('Cause').fill('Sand in the inlet water');
	await told.getByLabel('Advice').fill('Clean the inlet strainer every week.');
	await told.getByRole('button', { name: 'Save report text' }).click();
	await expect(told.getByRole('status')).toHaveText('Saved. The customer report shows it.');
	await page.reload();
	await expect(told.getByLabel('Cause')).toHaveValue('Sand in the inlet water');

	await page.goto('/');
	const row = page.getByRole('row').filter({ hasText: serial });
	await expect(row).toContainText(/Harrow Sound Ferries\s*F-4711/);
	await expect(row).toContainText('1 day late');
	// The next time it comes, its customer is known.
	await page.goto('/receive');
	await page.getByRole('combobox', { name: 'Known pump' }).fill(serial);
	await page.getByRole('option', { name: new RegExp(serial) }).click();
	await expect(page.getByLabel('Customer', { exact: true })).toHaveValue('Harrow Sound Ferries');
});

test('a lead sets the letterhead; what is no picture is named, and nothing typed is lost', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.goto('/shop/letterhead');
	const address = page.getByLabel('Address, telephone, registration (one per line)');
	await address.fill('Quay 4, Harrow Sound\nInvented demo shop');
	const logo = page.getByLabel(/ogo: PNG, JPEG or WebP/);
	await logo.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('This file is not a picture.')).toBeVisible();
	await expect(address).toHaveValue('Quay 4, Harrow Sound\nInvented demo shop');
	const buffer = await sharp({ create: { width: 300, height: 100, channels: 3, background: '#246' } })
		.png()
		.toBuffer();
	await logo.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer });
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved. Every customer report shows it from now on.')).toBeVisible();
	await expect(page.getByRole('img', { name: 'Logo of the shop' })).toBeVisible();
});
