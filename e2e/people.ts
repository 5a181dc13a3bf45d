import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';

/** The demo's accounts. */
export const accounts = {
	technician: 'ines@harrow.example',
	second: 'odd@harrow.example',
	lead: 'mara@harrow.example',
	viewer: 'bo@harrow.example',
	otherShop: 'una@skerry.example'
};
export type Account = keyof typeof accounts;

export async function signIn(page: Page, account: Account): Promise<void> {
	await page.goto('/signin');
	await page.getByLabel('E-mail').fill(accounts[account]);
	await page.getByLabel('Password').fill('harrow-sound');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('heading', { name: 'Floor' })).toBeVisible();
}

// Signed in once a run each: the server limits attempts, as it should.
const states = new Map<Account, Awaited<ReturnType<BrowserContext['storageState']>>>();

/** A page of its own for this person, signed in. */
export async function pageOf(browser: Browser, account: Account): Promise<Page> {
	if (!states.has(account)) {
		const context = await browser.newContext();
		await signIn(await context.newPage(), account);
		states.set(account, await context.storageState());
		await context.close();
	}
	const context = await browser.newContext({
		storageState: states.get(account),
		viewport: { width: 1280, height: 800 }
	});
	return context.newPage();
}
