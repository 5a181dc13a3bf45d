import { expect, test } from './test';
import { receivePump, stepInHand } from './job';
import { pageOf } from './people';

// One pixel.
const picture = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
	'base64'
);

test('a lead attaches a drawing to a step; whoever strips the pump has it there, and it is taken away again', async ({
	browser
}) => {
	const lead = await pageOf(browser, 'lead');
	await lead.goto('/sheets');
	await lead
		.getByRole('link', { name: /^Bulrush/ })
		.first()
		.click();
	const place = lead.getByRole('combobox', { name: 'Shown at' });
	const step = place.locator('optgroup[label="Steps"] option').first();
	const first = (await step.textContent())!;
	const shows = lead.getByRole('textbox', { name: 'Title' });
	await shows.fill('Where the bolts sit');
	await place.selectOption((await step.getAttribute('value'))!);
	const file = lead.getByLabel('PDF, PNG or JPEG');
	await file.setInputFiles({ name: 'plan.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
	await lead.getByRole('button', { name: 'Attach' }).click();
	await expect(lead.getByRole('alert')).toHaveText(/not a PDF, PNG or JPEG/);
	await expect(shows).toHaveValue('Where the bolts sit');
	await file.setInputFiles({ name: 'plan.png', mimeType: 'image/png', buffer: picture });
	await lead.getByRole('button', { name: 'Attach' }).click();
	const documents = lead.getByRole('table', { name: 'Documents' });
	await expect(documents.getByRole('row').filter({ hasText: 'Where the bolts sit' })).toContainText(first);

	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Bulrush', scope: 'full' });
	const link = stepInHand(page).getByRole('link', { name: 'Where the bolts sit' });
	await expect(link).toBeVisible();
	const shown = await page.request.get((await link.getAttribute('href'))!);
	expect(shown.headers()['content-type']).toBe('image/png');
	// Encoded again, and still the one pixel: width and height stand behind the head of the PNG.
	expect((await shown.body()).subarray(0, 24)).toEqual(picture.subarray(0, 24));

	await documents.getByRole('button', { name: 'Delete: Where the bolts sit' }).click();
	await expect(lead.getByText('No documents yet.')).toBeVisible();
	await page.reload();
	await expect(link).toHaveCount(0);
});
