import { expect, test } from '@playwright/test';
import { openMat } from './job';
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
	const take = other.getByRole('button', { name: 'Take it in' });
	await take.click();
	await expect(other.getByText('Choose a job file first.')).toBeVisible();
	await other.getByLabel('Job file').setInputFiles({
		name: 'a.json',
		mimeType: 'application/json',
		buffer: Buffer.from('{"format":"exetasis.job","version":7}')
	});
	await take.click();
	await expect(other.getByText('This is no job file of version 1: “version”')).toBeVisible();
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
	await expect(other.getByText(`Your shop knows the pump ${serial}`)).toBeVisible();
});
