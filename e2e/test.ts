import { test as base } from '@playwright/test';

export * from '@playwright/test';

/** A test whose pages are closed at its end: the runner would leave them open beside all later tests, each with its stream of events. */
export const test = base.extend<{ closing: undefined }>({
	closing: [
		async ({ browser }, use) => {
			await use(undefined);
			await Promise.all(browser.contexts().map((context) => context.close()));
		},
		{ auto: true }
	]
});
