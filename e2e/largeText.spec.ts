// Text at three times its size: nothing is cut off, nothing lies over another.
import { expect, test, type Page } from './test';
import { pageOf } from './people';

/** What of a page is wider than the window, cut off, or lies over something else that can be pressed. */
const faultsOf = (page: Page) =>
	page.evaluate(() => {
		const isSeen = (element: Element) => {
			const { visibility, display } = getComputedStyle(element);
			const { width, height } = element.getBoundingClientRect();
			return (
				visibility !== 'hidden' && display !== 'none' && width > 2 && height > 2 && !element.closest('.sr-only, svg')
			);
		};
		const nameOf = (element: Element) =>
			(element.getAttribute('aria-label') ?? element.textContent ?? '').trim().slice(0, 40);
		const faults: string[] = [];
		const over = document.documentElement.scrollWidth - innerWidth;
		if (over > 1) faults.push(`the page is ${over} px too wide`);
		for (const element of Array.from(document.querySelectorAll('main :is(button, a, h1, h2, label, p, summary)'))) {
			const { overflowX } = getComputedStyle(element);
			const cut = overflowX === 'hidden' || overflowX === 'clip' || element instanceof HTMLButtonElement;
			if (cut && isSeen(element) && element.scrollWidth > element.clientWidth + 4)
				faults.push(`cut off: ${nameOf(element)}`);
		}
		const pressed = Array.from(document.querySelectorAll('main :is(button, a, select)')).filter(isSeen);
		for (const [i, button] of pressed.entries())
			for (const other of pressed.slice(i + 1)) {
				if (button.contains(other) || other.contains(button)) continue;
				const [a, b] = [button.getBoundingClientRect(), other.getBoundingClientRect()];
				const width = Math.min(a.right, b.right) - Math.max(a.left, b.left);
				const height = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
				if (width > 6 && height > 6 && a.top < innerHeight && b.top < innerHeight)
					faults.push(`one over the other: ${nameOf(button)}, ${nameOf(other)}`);
			}
		return faults;
	});

test('pages hold with text at three times its size', async ({ browser }) => {
	test.setTimeout(240_000);
	const page = await pageOf(browser, 'lead');
	await page.goto('/');
	const job = await page
		.getByRole('link', { name: /^MAR-0256/ })
		.first()
		.getAttribute('href');
	const stages = ['strip', 'inspect', 'decide', 'order', 'build', 'prove', 'release'];
	const ofJob = stages.map((stage) => /^\/jobs\/[^/]+/.exec(job!)![0] + `/${stage}`);
	for (const path of [
		'/',
		'/receive',
		...ofJob,
		'/pumps',
		'/trace',
		'/trace/lives',
		'/gauges',
		'/sheets',
		'/shop',
		'/settings'
	]) {
		await page.goto(path);
		await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
		await page.evaluate(() => document.documentElement.style.setProperty('font-size', '300%', 'important'));
		await expect(page.locator('html')).toHaveAttribute('data-large-text');
		await expect.poll(() => faultsOf(page), { message: path }).toEqual([]);
	}
});
