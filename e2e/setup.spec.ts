import { expect, test } from '@playwright/test';
import { serveEmpty } from './server';

test('a new server offers the demo or a shop of one’s own; from another machine it takes the code', async ({
	browser
}) => {
	test.setTimeout(180_000);
	const empty = await serveEmpty({ SETUP_CODE: 'ABCD2345' });
	try {
		// A request that a proxy passed on does not come from this machine.
		const away = await browser.newContext({
			baseURL: empty.address,
			extraHTTPHeaders: { 'x-forwarded-for': '10.0.0.9' }
		});
		const far = await away.newPage();
		await far.goto('/');
		await expect(far.getByRole('heading', { name: 'Welcome to Exetasis' })).toBeVisible();
		await expect(far.getByRole('button', { name: 'Load demo' })).toBeVisible();
		const fill = async (page: typeof far, email: string, password: string) => {
			await page.getByLabel('Shop', { exact: true }).fill('Quay Pumps');
			await page.getByLabel('Your name').fill('Ada Crane');
			await page.getByLabel('E-mail').fill(email);
			await page.getByLabel('Password').fill(password);
			await page.getByRole('button', { name: 'Set up shop' }).click();
		};
		await fill(far, 'ada@quay.example', 'anvil harbour lichen forty');
		await expect(far.getByText('Type the one-time code')).toBeVisible();
		await expect(far.getByLabel('Shop', { exact: true })).toHaveValue('Quay Pumps');
		await far.getByLabel('One-time code').last().fill('abcd2345');
		await far.getByLabel('Currency').fill('euros');
		await fill(far, 'ada@quay.example', 'anvil harbour lichen forty');
		await expect(far.getByText('Type three letters')).toBeVisible();
		await far.getByLabel('Currency').fill('EUR');
		await fill(far, 'ada@quay.example', 'quaypumps1');
		await expect(far.getByText('This password is easy to guess')).toBeVisible();
		await fill(far, 'ada@quay.example', 'anvil harbour lichen forty');
		await expect(far.getByRole('heading', { name: 'Floor' })).toBeVisible();
		await expect(far.getByText('Ada Crane')).toBeVisible();

		const here = await (await browser.newContext({ baseURL: empty.address })).newPage();
		await here.goto('/welcome');
		await expect(here.getByRole('button', { name: 'Load demo' })).toHaveCount(0);
		await expect(here.getByLabel('One-time code')).toHaveCount(0);
		await fill(here, 'Ada@Quay.example', 'anvil harbour lichen forty');
		await expect(here.getByText('This address is already in use')).toBeVisible();
	} finally {
		await empty.stop();
	}
});

test('the demo is loaded by one touch and is signed in to', async ({ browser }) => {
	test.setTimeout(180_000);
	const empty = await serveEmpty({});
	try {
		const page = await (await browser.newContext({ baseURL: empty.address })).newPage();
		await page.goto('/');
		await page.getByRole('button', { name: 'Load demo' }).click();
		await expect(page.getByText('This server holds demo data')).toBeVisible({ timeout: 90_000 });
		await page.getByRole('button', { name: 'technician' }).click();
		await expect(page.getByRole('link', { name: 'MAR-0256' }).first()).toBeVisible();
	} finally {
		await empty.stop();
	}
});
