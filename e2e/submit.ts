import type { Page } from '@playwright/test';

/** Headers of a request that a test sends without a page. A connection that was kept may just be closed by the server when it is used again. */
export const ownRequest = () => ({ origin: new URL(process.env.E2E_ADDRESS!).origin, connection: 'close' });

/** Submits a form without its page, as the page's person; answers with the place that it leads to. */
export async function submit(page: Page, path: string, form: Record<string, string>): Promise<string> {
	const answer = await page.request.post(path, {
		headers: ownRequest(),
		maxRedirects: 0,
		form
	});
	const { location } = (await answer.json()) as { location?: string };
	if (!location) throw new Error(`${path} did not take the form: ${(await answer.text()).slice(-400)}`);
	return location;
}
