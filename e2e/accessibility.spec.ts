// Named so that it runs early: the Floor draws every open job, and the other tests leave theirs open.
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from './test';
import { pageOf } from './people';

/** In the dark only what colours can change is looked at again. */
async function seriousFaults(page: Page, theme: 'light' | 'dark'): Promise<string[]> {
	// Our pages have no frames. Without frames to put together, axe takes half the time.
	const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
	const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
	return violations
		.filter(({ impact }) => impact === 'serious' || impact === 'critical')
		.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`));
}

test('axe finds no serious fault on any place, in light and dark', async ({ browser }) => {
	test.setTimeout(400_000);
	const page = await pageOf(browser, 'lead');
	await page.goto('/pumps');
	const pump = await page.getByRole('link', { name: 'MAR-0212' }).getAttribute('href');
	await page.goto('/sheets');
	const sheet = (await page
		.getByRole('link', { name: /^Marram/ })
		.first()
		.getAttribute('href'))!;
	// The editor has colours of its own.
	const asText = `/sheets?from=${sheet.split('/').at(-1)}`;
	await page.goto('/');
	const job = (await page.getByRole('link', { name: 'MAR-0256' }).first().getAttribute('href'))!.replace(
		/^(\/jobs\/[^/]+).*/,
		'$1'
	);
	const paths = [
		'/',
		'/receive',
		'/pumps',
		pump!,
		`/trace/pumps/${pump!.split('/').at(-1)}`,
		'/trace/lives',
		'/trace/cases',
		'/trace/causes',
		'/gauges',
		'/sheets',
		sheet,
		asText,
		'/settings',
		'/shop',
		'/shop/people',
		`${job}/strip`,
		`${job}/inspect`,
		`${job}/decide`,
		`${job}/release`
	];
	// The first key leads past the bar.
	await page.keyboard.press('Tab');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('main')).toBeFocused();
	for (const theme of ['light', 'dark'] as const) {
		for (const path of paths) {
			await page.goto(path);
			await expect(page.locator('html')).toHaveAttribute('data-mode', theme);
			expect(await seriousFaults(page, theme), `${path}, ${theme}`).toEqual([]);
			await expect(page.getByRole('heading', { level: 1 }), path).toHaveCount(1);
			const sideways = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
			expect(sideways, `${path} scrolls sideways by`).toBeLessThanOrEqual(0);
		}
		await page.goto('/'); // on the bench the menu has it
		await page.getByRole('button', { name: /^Switch to/ }).click();
		await expect(page.getByRole('button', { name: `Switch to ${theme}` })).toBeVisible();
	}
});
