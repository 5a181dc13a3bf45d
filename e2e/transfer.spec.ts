// Its name sorts behind shop.spec.ts, which begins with the other shop empty: here that shop takes a job in.
import { expect, test } from './test';
import { openMat } from './job';
import { renewAll } from './log';
import { pageOf } from './people';

test('a job goes out as a file, another shop takes it in, and hands out the same file', async ({ browser }) => {
	const technician = await pageOf(browser, 'technician');
	const { serial, job } = await openMat(technician);
	await technician.goto(`/jobs/${job}/inspect?place=plunger/1`);
	const field = technician.getByRole('region', { name: 'Measure' }).getByRole('textbox').first();
	await field.fill('17.98');
	await field.press('Enter');
	await expect(technician.getByText('All saved')).toBeVisible();
	await technician.goto(`/jobs/${job}/release`);
	const downloading = technician.waitForEvent('download');
	await technician.getByRole('link', { name: 'Job file' }).click();
	const download = await downloading;
	expect(download.suggestedFilename()).toBe(`job-${serial}.json`);
	const file = await download.path();
	const sizes = await technician.request.get(`/jobs/${job}/sizes?as=csv`);
	expect(await sizes.text()).toContain('"Ceramic plunger",1,"Diameter","mm",17.98,');

	const other = await pageOf(browser, 'otherShop');
	await other.goto('/shop/jobs');
	const take = other.getByRole('button', { name: 'Import job file' });
	await take.click();
	await expect(other.getByText('Choose a job file first.')).toBeVisible();
	await other.getByLabel('Job file').setInputFiles({
		name: 'a.json',
		mimeType: 'application/json',
		buffer: Buffer.from('{"format":"exetasis.job","version":7}')
	});
	await take.click();
	await expect(other.getByText('This is not a valid job file (version 1). “version”')).toBeVisible();
	await other.getByLabel('Job file').setInputFiles(file);
	await take.click();
	await expect(
		other
			.getByRole('heading', { name: new RegExp(serial) })
			.or(other.getByText(serial))
			.first()
	).toBeVisible();
	const [, taken] = /\/jobs\/([0-9a-f-]{36})/.exec(other.url())!;
	const again = await other.request.get(`/jobs/${taken}/file`);
	const first = await technician.request.get(`/jobs/${job}/file`);
	expect(await again.text()).toBe(await first.text());
	await other.goto(`/jobs/${taken}/inspect?place=plunger/1`);
	await expect(other.getByRole('region', { name: 'Measure' })).toContainText('17.98');

	await other.goto('/shop/jobs');
	await other.getByLabel('Job file').setInputFiles(file);
	await take.click();
	await expect(other.getByText(`Your shop already has the pump ${serial}`)).toBeVisible();
});

test('a pump goes into service only once hoses and covers are back, and its report says so', async ({ browser }) => {
	test.setTimeout(240_000);
	const technician = await pageOf(browser, 'technician');
	const { serial, job } = await openMat(technician, 'valves', { model: 'Fescue' });
	await renewAll(technician, job);
	const page = await pageOf(browser, 'lead');
	await page.goto(`/jobs/${job}/release`);
	// No one has looked at anything: there is no most economic interval, and the shop's own stands.
	await expect(page.getByRole('link', { name: /^Next service: 2.000 h$/ })).toBeVisible();
	await page.getByLabel('Reason for releasing it incomplete').fill('Built by hand at the customer’s');
	await page.getByLabel('After release', { exact: true }).selectOption('into service now');
	await page.getByRole('button', { name: 'Release pump' }).click();
	await expect(page.getByText('Confirm that hoses and covers are back in place')).toBeVisible();
	await expect(page.getByLabel('Reason for releasing it incomplete')).toHaveValue('Built by hand at the customer’s');
	await page.getByLabel('Hoses and covers').selectOption('back in place');
	await page.getByRole('button', { name: 'Release pump' }).click();
	await expect(page.getByRole('heading', { name: 'Released', exact: true })).toBeVisible();
	await expect(page.getByText('Returned to service. Hoses and covers are back in place.')).toBeVisible();

	for (const [name, begins] of [
		['Customer report', '%PDF-'],
		['Shop report', '%PDF-'],
		['Sizes, XLSX', 'PK'],
		['Job file', '{']
	] as const) {
		const downloading = page.waitForEvent('download');
		await page.getByRole('link', { name }).click();
		const download = await downloading;
		expect(download.suggestedFilename()).toContain(serial);
		const chunks: Buffer[] = [];
		for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
		expect(Buffer.concat(chunks).toString('latin1').startsWith(begins)).toBe(true);
	}
	// Without a network it says so, and can be asked again.
	await page.route('**/report?for=customer', (route) => route.abort());
	await page.getByRole('link', { name: 'Customer report' }).click();
	await expect(page.getByText('The file could not be created. Try again in a moment')).toBeVisible();
});
