import { expect, test } from './test';
import { cell, openMat } from './job';
import { pageOf } from './people';

test('a viewer sees the bench and can change nothing', async ({ browser }) => {
	const { job } = await openMat(await pageOf(browser, 'technician'));
	const page = await pageOf(browser, 'viewer');
	await page.goto(`/jobs/${job}/inspect`);
	await cell(page, 'Oiling wick, cylinder 1').click();
	await page.keyboard.press('Space');
	await expect(cell(page, 'Oiling wick, cylinder 1')).toHaveAccessibleName(/not inspected/);
	await expect(
		page.getByRole('region', { name: 'Look' }).getByRole('button', { name: 'Clean', exact: true })
	).toBeDisabled();
	await page.goto(`/jobs/${job}/strip`);
	await page.getByRole('list', { name: 'Steps' }).getByRole('button').first().click();
	await expect(page.getByRole('button', { name: /^Done/ })).toBeDisabled();
	await page.goto(`/jobs/${job}/release`);
	await expect(page.getByRole('button', { name: 'Release pump' })).toHaveCount(0);
});

test('a note stays with its part; a released job takes a lead’s correction and nothing else', async ({ browser }) => {
	test.setTimeout(240_000);
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page, 'valves');
	await cell(page, 'Inlet valve spring, cylinder 1').click();
	await page.getByRole('button', { name: 'Notes' }).click();
	await page.getByLabel('Note on this part').fill('Blue paint on one end');
	await page.getByRole('button', { name: 'Save note' }).click();
	await expect(page.getByText('“Blue paint on one end”')).toBeVisible();

	// Every valve part is renewed without measuring: a crack or a break is reason enough.
	const open = page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: /; not inspected/ });
	for (let left = await open.count(); left > 0; left--) {
		const name = (await open.first().getAttribute('aria-label'))!;
		await open.first().click();
		await page.keyboard.press(name.includes('spring') ? 'e' : name.includes('seat') ? 'a' : 't');
	}
	await page.getByRole('button', { name: /^Accept 18 clear/ }).click();
	await expect(page.getByText('All saved')).toBeVisible();
	await page.getByRole('link', { name: 'Release', exact: true }).click();
	await expect(page.getByRole('button', { name: 'Release pump' })).toBeDisabled();
	const lead = await pageOf(browser, 'lead');
	await lead.goto(page.url());
	await lead.getByLabel('Reason for releasing it incomplete').fill('Goes to the maker as it is');
	await lead.getByRole('button', { name: 'Release pump' }).click();
	await expect(lead.getByText('“Goes to the maker as it is”')).toBeVisible();
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Released', exact: true })).toBeVisible();
	await expect(page.getByLabel('Correction')).toHaveCount(0);
	await page.getByRole('link', { name: 'Inspect', exact: true }).click();
	await expect(
		page.getByRole('region', { name: 'Look' }).getByRole('button', { name: 'Clean', exact: true })
	).toBeDisabled();

	await lead.goto(`/jobs/${job}/release`);
	await lead.getByLabel('Correction').fill('Inlet and discharge springs of cylinder 2 were exchanged on the mat');
	await lead.getByRole('button', { name: 'Add correction' }).click();
	await expect(lead.getByText('All saved')).toBeVisible();
	await page.goto(`/jobs/${job}/release`);
	await expect(page.getByText('springs of cylinder 2 were exchanged')).toBeVisible();
});
