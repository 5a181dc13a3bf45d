import { expect, test, type Locator, type Page } from './test';
import { signOffAll } from './job';
import { serveEmpty } from './server';

// From an empty Floor to the first verdict on a pump without a sheet: twelve parts at each of three cylinders.
async function ownPump(page: Page): Promise<void> {
	let touches = 0;
	const touch = async (locator: Locator) => {
		touches++;
		await locator.click();
	};
	await expect(page.getByRole('heading', { name: 'What is on your bench?' })).toBeVisible();
	await touch(page.getByRole('link', { name: /None of these/ }));
	await touch(page.getByText('Empty', { exact: true }));
	for (const [label, text] of [
		['Model', 'Quay 3'],
		['Maker', 'not stated'],
		['Cylinders', '3'],
		['Stroke, mm', '18'],
		['Rated pressure, bar', '120'],
		['Rated speed, rpm', '1000']
	])
		await page.getByLabel(label, { exact: true }).fill(text);
	await touch(page.getByRole('button', { name: 'Begin sheet' }));
	const palette = page.getByRole('region', { name: 'Add part' });
	for (const type of [
		...['Fastener', 'Cover or plate', 'Spring', 'Valve', 'Valve seat', 'O-ring', 'Backup ring'],
		...['Seal case', 'V-packing', 'Lip seal', 'Ceramic plunger', 'Washer or collar']
	])
		await touch(palette.getByRole('button', { name: new RegExp(`^${type}( often next)?`) }).first());
	await touch(page.getByRole('radiogroup', { name: 'View' }).getByText(/^Check/));
	await touch(page.getByRole('button', { name: 'Mend' }).first());
	await touch(page.getByRole('button', { name: 'Save revision 1' }));
	await touch(page.getByRole('link', { name: 'Receive pump' }));
	await page.getByLabel('Serial number').fill('QUA-0001');
	await page.getByLabel('Customer’s description').fill('Pressure low');
	await page.getByLabel('Hour meter (h)').fill('900');
	await touch(page.getByRole('button', { name: 'Receive pump' }));
	touches += await signOffAll(page);
	await touch(page.getByText('Open the mat'));
	await touch(page.getByRole('region', { name: 'Look' }).getByRole('button', { name: 'Clean', exact: true }));
	await expect(page.getByTestId('verdict')).not.toContainText('Not inspected');
	expect(touches).toBeLessThanOrEqual(60);
}

test('a new server offers the demo or a shop of one’s own; from another machine it takes the code', async ({
	browser
}) => {
	test.setTimeout(300_000);
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

		await ownPump(far);

		const here = await (await browser.newContext({ baseURL: empty.address })).newPage();
		await here.goto('/welcome');
		await expect(here.getByRole('button', { name: 'Load demo' })).toBeVisible();
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
