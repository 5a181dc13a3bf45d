import { expect, test } from './test';
import { pageOf } from './people';

test('the set is decided with risks and costs; hours and policy change what is said, and every verdict is accepted at once', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/');
	const path = (await page.getByRole('link', { name: 'MAR-0256' }).first().getAttribute('href'))!.replace(
		/^(\/jobs\/[^/]+).*/,
		'$1'
	);
	await page.goto(`${path}/decide`);
	await expect(page.getByText(/^Lowest cost per hour:/)).toBeVisible();
	await expect(page.getByRole('img', { name: /Cost per 1000 hours over the interval; lowest at/ })).toBeVisible();
	const set = page.getByRole('region', { name: 'Interval and policy' });
	const proposal = page.getByRole('region', { name: 'Proposal' });
	const risk = proposal.getByText(/chance of an unplanned stop/);
	await expect(proposal).toContainText(/Replace \d+, reuse \d+.*: \d+ EUR now/);
	await expect(proposal).toContainText(/Most of the risk: /);
	const near = await risk.textContent();
	await set.getByRole('slider').press('End');
	await expect(set.getByText('6\u202f000 h', { exact: true }).first()).toBeVisible();
	await expect(risk).not.toHaveText(near!);

	// A ring that shows nothing is renewed under one policy and reused under another.
	const ring = page.getByRole('row', { name: /Seal-case O-ring, 1/ });
	await expect(ring).toContainText('Replace');
	await expect(ring).toContainText('On condition: reuse');
	await set.getByRole('button', { name: /On condition/ }).click();
	await expect(ring).toContainText('Renew soft parts: replace');
	await set.getByRole('button', { name: /Renew soft parts/ }).click();
	await proposal.getByRole('button', { name: /^Accept \d+ verdicts \(“Renew soft parts”\)/ }).click();
	await expect(proposal.getByRole('button', { name: /^Accept 0 verdicts/ })).toBeDisabled();
	await expect(page.getByText('All saved')).toBeVisible();
	await page.getByRole('link', { name: /Seal-case O-ring, 1/ }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Seal-case O-ring, cylinder 1');
	await expect(page.getByRole('region', { name: 'Judge' })).toContainText('Decided: Replace, Ines Tarn');
});
