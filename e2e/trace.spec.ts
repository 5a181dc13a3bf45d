import { expect, test } from './test';
import { pageOf } from './people';

test('the shop’s recurrences lead from the dearest to its pump, its causes and what to look at next', async ({
	browser
}) => {
	const page = await pageOf(browser, 'viewer');
	await page.goto('/');
	await page.getByRole('link', { name: 'Trace' }).click();
	await expect(page.getByText(/\d+ recurrences? (is|are) more frequent than chance explains/)).toBeVisible();
	const rows = page.getByRole('table', { name: 'Recurring problems' }).getByRole('row');
	await expect(rows.filter({ hasText: 'MAR-0212' }).filter({ hasText: 'One-sided wear' }).first()).toBeVisible();
	await rows
		.filter({ hasText: 'MAR-0212' })
		.getByRole('link', { name: /^One-sided wear V-packings/ })
		.click();
	await expect(page.getByRole('heading', { name: 'Trace: MAR-0212' })).toBeVisible();
	await expect(page.getByText(/One-sided wear at .*, cylinder 2/).first()).toBeVisible();
	await expect(page.getByRole('img', { name: /One-sided wear over the pump’s hours/ })).toBeVisible();
	await expect(page.getByRole('img', { name: /Rod or crosshead out of line, cylinder 2/ })).toBeVisible();
	await page.getByRole('button', { name: /Rod or crosshead out of line, cylinder 2/ }).click();
	await expect(page.getByRole('heading', { name: 'Rod or crosshead out of line, cylinder 2' })).toBeVisible();
	await expect(page.getByRole('list', { name: 'Mats over the pump’s hours' }).getByRole('link')).not.toHaveCount(0);
});

test('a case is opened, acted on, refused before its time, closed and taken back', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.goto('/trace');
	await page.getByRole('combobox', { name: 'Show' }).selectOption('everything found twice');
	const row = page
		.getByRole('table', { name: 'Recurring problems' })
		.getByRole('row')
		.filter({ hasText: 'MAR-0108' })
		.first();
	await row.getByRole('link').first().click();
	await page.getByText('New case').click();
	await page.getByRole('button', { name: 'Open case' }).click();
	await expect(page.getByText('Choose the suspected cause.')).toBeVisible();
	await page.getByLabel('Suspected cause').selectOption('Ordinary end of life');
	await page.getByLabel('Hypothesis').fill('It simply wears');
	await page.getByRole('button', { name: 'Open case' }).click();
	await expect(page.getByRole('heading', { name: 'Suspected cause: Ordinary end of life' })).toBeVisible();

	// Confirmed before anything was done: refused with what to do, and what was typed stays.
	await page.getByLabel('Evidence').fill('so it is');
	await page.getByRole('button', { name: 'Close case' }).click();
	await expect(page.getByText(/No corrective action is recorded yet/)).toBeVisible();
	await expect(page.getByLabel('Evidence')).toHaveValue('so it is');

	await page.getByLabel('Corrective action').fill('Renewed in time');
	await page.getByLabel('Confidence in the fix (%)').fill('120');
	await page.getByLabel('Follow-up period (h)').fill('2000');
	await page.getByRole('button', { name: 'Save action' }).click();
	await expect(page.getByText('Type your confidence in the fix, from 1 to 100 %.')).toBeVisible();
	await page.getByLabel('Confidence in the fix (%)').fill('60');
	await page.getByRole('button', { name: 'Save action' }).click();
	await expect(page.getByRole('heading', { name: 'Effect of the fix' })).toBeVisible();
	await page.getByLabel('Evidence').fill('no mark since');
	await page.getByRole('button', { name: 'Close case' }).click();
	await expect(page.getByRole('heading', { name: 'Reopen case' })).toBeVisible();
	await page.getByLabel('Reason').fill('it came back');
	await page.getByRole('button', { name: 'Reopen case' }).click();
	await expect(page.getByText(/reopened: it came back|it came back/).first()).toBeVisible();
	await page.getByLabel('Evidence').fill('closed by the test');
	await page.getByLabel('Outcome').selectOption('Not decided');
	await page.getByRole('button', { name: 'Close case' }).click();
	await expect(page.getByText('closed, not decided')).toBeVisible();
});

test('lives are shown with their limits, compared in a sentence, and kept as a table', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/trace/lives?model=Marram&station=plunger&by=none');
	await expect(page.getByRole('table', { name: 'Groups of lives' }).getByRole('row')).toHaveCount(2);
	await page.getByLabel('By').selectOption('cylinder');
	await expect(page.getByRole('table', { name: 'Groups of lives' }).getByRole('row')).toHaveCount(4);
	await expect(page.getByText(/Cylinder \d and Cylinder \d/)).toBeVisible();
	// A touch on a term opens its entry in the glossary.
	await page.getByRole('button', { name: 'interval-censored' }).click();
	await expect(page.getByLabel('Glossary: Interval-censored')).toContainText(
		'a life that ended between two inspections'
	);
	await page.keyboard.press('Escape');
	await expect(page.getByLabel('Glossary: Interval-censored')).toHaveCount(0);
	// So does the mark beside a head of a table.
	await page.getByRole('button', { name: 'Meaning of B10 life' }).click();
	await expect(page.getByLabel('Glossary: B10 life')).toContainText('the hours at which 10 % have failed');
	await page.keyboard.press('Escape');
	await expect(page.getByLabel('Glossary: B10 life')).toHaveCount(0);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'CSV' }).click();
	expect((await download).suggestedFilename()).toMatch(/^lives-Marram-plunger\.csv$/);
	await page.goto('/trace/lives?model=Nowhere&station=nothing&by=people');
	await expect(page.getByRole('heading', { name: 'Lives' })).toBeVisible();
});

test(
	'a lead changes what is believed of causes, and faults are named with what to do',
	{ tag: '@alone' },
	async ({ browser }) => {
		const viewer = await pageOf(browser, 'viewer');
		await viewer.goto('/trace/causes');
		await expect(viewer.getByRole('heading', { name: 'Worn mate kept' })).toBeVisible();
		await expect(viewer.getByText('Edit causes')).toHaveCount(0);

		const page = await pageOf(browser, 'lead');
		await page.goto('/trace/causes');
		await page.getByText('Edit causes').click();
		const text = page.getByLabel('Causes, findings and links as JSON');
		const whole = await text.inputValue();
		await text.fill(whole.replace('"strength": 0.7', '"strength": 1.2'));
		await page.getByRole('button', { name: 'Save revision' }).click();
		await expect(page.getByRole('alert')).toContainText('A probability is above 0 and below 1.');
		await expect(text).toHaveValue(/1\.2/);
		await text.fill('{');
		await page.getByRole('button', { name: 'Save revision' }).click();
		await expect(page.getByRole('alert')).toContainText('This is not valid JSON');
		await text.fill(whole);
		await page.getByRole('button', { name: 'Save revision' }).click();
		await expect(page.getByText(/Saved as revision \d+/)).toBeVisible();
	}
);

test('what comes up in one group more than in the others is compared; the thread answers while the list stands', async ({
	browser
}) => {
	const page = await pageOf(browser, 'viewer');
	await page.goto('/trace');
	const rows = page.getByRole('table', { name: 'Recurring problems' }).getByRole('row');
	await expect(rows.filter({ hasText: 'MAR-0212' }).first()).toContainText('Rod or crosshead out of line', {
		timeout: 60_000
	});
	await page.getByRole('link', { name: 'Compare' }).click();
	await page.getByRole('combobox', { name: 'By' }).selectOption('liquid');
	const compared = page.getByRole('table', { name: 'Comparison of groups' }).getByRole('row');
	await expect(compared.filter({ hasText: 'Pond water' }).filter({ hasText: 'Lip torn' }).first()).toBeVisible();
	await page.getByRole('combobox', { name: 'By' }).selectOption('lot');
	const springs = compared.filter({ hasText: 'Free length beyond its limit' }).filter({ hasText: 'SP-0713' });
	await expect(springs.first()).toContainText('valve spring');
	await expect(compared.nth(1), 'the lot that set early comes first').toContainText('SP-0713');
	await page.getByRole('combobox', { name: 'By' }).selectOption('hours since fitting');
	await expect(compared.filter({ hasText: /up to 500.h|beyond 2.000.h|500 to 2.000.h/ }).first()).toBeVisible();
});

test('a case asks for its first check where its pump is in hand, one touch from there', async ({ browser }) => {
	const page = await pageOf(browser, 'lead');
	await page.goto('/');
	const row = page.getByRole('row').filter({ hasText: 'MAR-0256' });
	await row.getByRole('link', { name: /^First: / }).click();
	await expect(page.getByRole('region', { name: 'Mat' })).toBeVisible();
	await expect(page.getByRole('heading', { name: /plunger, cylinder 1|packings.*cylinder 1/i }).first()).toBeVisible();
	await expect(page.getByRole('button', { name: /^(Inspect|Measure) first: / })).toBeVisible();
	// An address that names a size has it in hand, though no finding calls for it.
	const job = /\/jobs\/([0-9a-f-]{36})/.exec(page.url())![1];
	await page.goto(`/jobs/${job}/inspect?place=plunger/2&size=runout`);
	const measure = page.getByRole('region', { name: 'Measure' });
	await expect(measure).toContainText('Runout');
	await expect(measure.getByRole('textbox').first()).toBeFocused();
});
