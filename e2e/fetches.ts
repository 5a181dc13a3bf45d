import { expect, type Page } from '@playwright/test';

/** Call before the page is opened. The result waits until the page, once idle, has fetched what it needs off the network. */
export function watchFetches(page: Page): () => Promise<void> {
	let last = Date.now();
	page.on('requestfinished', () => (last = Date.now()));
	return () => expect.poll(() => Date.now() - last, { timeout: 30_000 }).toBeGreaterThan(3000);
}
