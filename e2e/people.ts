import { existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
	expect,
	type APIRequestContext,
	type Browser,
	type BrowserContext,
	type Page,
	type PlaywrightWorkerArgs
} from '@playwright/test';
import { ownRequest } from './submit';

/** The demo's accounts. */
export const accounts = {
	technician: 'ines@harrow.example',
	second: 'odd@harrow.example',
	lead: 'mara@harrow.example',
	viewer: 'bo@harrow.example',
	otherShop: 'una@skerry.example'
};
export type Account = keyof typeof accounts;

const signedIn = new WeakMap<BrowserContext, Account>();

/** Who signed in on this page. */
export const accountOf = (page: Page): Account => signedIn.get(page.context())!;

export async function signIn(page: Page, account: Account): Promise<void> {
	await page.goto('/signin');
	await page.getByLabel('E-mail').fill(accounts[account]);
	await page.getByLabel('Password').fill('harrow-sound');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('heading', { name: 'Floor' })).toBeVisible();
	signedIn.set(page.context(), account);
}

// Signed in once a run each, and kept in a file for all workers: the server limits attempts, as it should.
const stateFile = (account: Account) => join(tmpdir(), `exetasis-e2e-${process.ppid}-${account}.json`);

/** A page of its own for this person, signed in. */
export async function pageOf(browser: Browser, account: Account): Promise<Page> {
	if (!existsSync(stateFile(account))) {
		const context = await browser.newContext();
		await signIn(await context.newPage(), account);
		await context.storageState({ path: stateFile(account) });
		await context.close();
	}
	const context = await browser.newContext({
		storageState: stateFile(account),
		viewport: { width: 1280, height: 800 }
	});
	signedIn.set(context, account);
	return context.newPage();
}

/** Requests without a page, of this person; of no one where none is named. */
export async function requestAs(
	{ request }: PlaywrightWorkerArgs['playwright'],
	account?: Account
): Promise<APIRequestContext> {
	const context = await request.newContext({ baseURL: process.env.E2E_ADDRESS });
	if (!account) return context;
	const form = { email: accounts[account], password: 'harrow-sound' };
	const answer = await context.post('/signin', { headers: ownRequest(), form });
	expect(answer.ok()).toBe(true);
	return context;
}
