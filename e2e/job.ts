import { expect, type Locator, type Page } from '@playwright/test';
import { takeApart } from '@exetasis/demo';
import { addToLog, openingOf, scopeOf } from './log';
import { submit } from './submit';

let count = 0;
const newSerial = () => `E2E-${Date.now()}-${++count}`;

interface Arriving {
	readonly model?: string;
	readonly complaint?: string;
	readonly hours?: string;
	/** A scope of the model's sheet. */
	readonly scope?: string;
	/** Cylinders that stay shut. */
	readonly shut?: readonly number[];
}

/** Receives a new pump and leaves the page at the steps of its job, nothing signed off. */
export async function receivePump(
	page: Page,
	{ model = 'Marram', complaint = 'Water leak', hours = '1200', scope = 'packing', shut = [] }: Arriving = {}
): Promise<{ serial: string; job: string }> {
	const serial = newSerial();
	await page.goto('/receive');
	await page.getByRole('button', { name: 'New pump' }).click();
	await page.getByLabel('Serial number').fill(serial);
	await page.getByLabel('Model', { exact: true }).selectOption(model);
	await page.getByLabel('Customer’s description').fill(complaint);
	await page.getByLabel('Hour meter (h)').fill(hours);
	await page.getByLabel('Scope of work').selectOption(scope);
	const evidence = page.getByLabel('Evidence for this scope');
	if ((await evidence.count()) > 0) await evidence.selectOption({ index: 1 });
	const opened = page.getByRole('group', { name: 'Opened cylinders' });
	for (const cylinder of shut) await opened.getByRole('button', { name: `Cylinder ${cylinder}` }).click();
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByRole('button', { name: /^Sign off/ }).first()).toBeVisible();
	return { serial, job: /jobs\/([^/]+)/.exec(page.url())![1] };
}

/** The step in hand. */
export const stepInHand = (page: Page) => page.getByRole('region', { name: /^./ }).filter({ hasText: /^Step \d+ of/ });

/** Answers the questions of the step in hand as for a sound pump; returns how many touches it took. */
export async function answerWhatIsAsked(page: Page): Promise<number> {
	const step = stepInHand(page);
	let touches = 0;
	const touch = async (button: Locator) => {
		touches++;
		await button.click();
	};
	for (const group of await step.getByRole('group', { name: /^(Check|Count|Note|Record|Measure|.*\?$)/ }).all()) {
		const seen = group.getByRole('button', { name: /^(Checked|All \d+)$/ });
		const take = group.getByRole('button', { name: 'Enter' });
		const setting = (await group.getByText(/^Record the setting/).count()) > 0;
		const measured = ((await group.getAttribute('aria-label')) ?? '').startsWith('Measure');
		if ((await seen.count()) > 0) await touch(seen);
		else if (measured) {
			for (const place of await group.getByRole('textbox').all()) await place.fill('0.5');
			if ((await take.count()) > 0) await touch(take);
		} else if ((await take.count()) > 0) {
			await group.getByRole('textbox').fill(setting ? '6 MPa' : 'Nothing to note');
			await touch(take);
		} else if ((await group.getByRole('button', { pressed: true }).count()) === 0) {
			await touch(group.getByRole('button').first());
			await expect(group.getByRole('button', { pressed: true })).toHaveCount(1);
		}
	}
	const ways = step.getByRole('group', { name: 'Method' }).getByRole('button');
	if ((await ways.count()) > 0) await touch(ways.first());
	return touches;
}

/** Signs every step off, one after the other; returns the touches that this took. */
export async function signOffAll(page: Page): Promise<number> {
	let touches = 0;
	const sign = page.getByRole('button', { name: /^Sign off/ });
	const finished = page.getByRole('heading', { name: /steps signed off$/ });
	await expect(sign.or(finished)).toBeVisible();
	while ((await sign.count()) > 0) {
		// A sign-off that says what it answers needs no other touch.
		const answers = (await sign.textContent())!.includes(': ') && (await sign.isEnabled());
		touches += 1 + (answers ? 0 : await answerWhatIsAsked(page));
		const name = (await sign.textContent())!.trim();
		await sign.click();
		await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
		await expect(sign.or(finished)).toBeVisible();
	}
	return touches;
}

/**
 * Receives a new pump, signs its steps off, and leaves the page at the mat of its job; by requests, as the tablets send them. The
 * tests of Receive and Strip touch what this leaves out.
 */
export async function openMat(
	page: Page,
	scope = 'packing',
	{ model = 'Marram', complaint = 'Water leak', hours = '1200', shut = [] }: Arriving = {}
): Promise<{ serial: string; job: string }> {
	const serial = newSerial();
	const { opensOn, cylinders } = await scopeOf(model, scope);
	const opened = Array.from({ length: cylinders }, (_, i) => i + 1).filter((cylinder) => !shut.includes(cylinder));
	const strip = await submit(page, '/receive', {
		pump: 'new',
		serial,
		model,
		complaint,
		hours,
		scope,
		...(opensOn ? { evidence: opensOn[0] } : {}),
		...(shut.length > 0 ? { cylinders: opened.join() } : {})
	});
	const job = /jobs\/([^/]+)/.exec(strip)![1];
	const { sheet, ...opening } = await openingOf(job);
	await addToLog(page, job, () => takeApart(sheet, opening));
	await page.goto(`/jobs/${job}/inspect`);
	await expect(page.getByRole('region', { name: 'Mat' })).toBeVisible();
	// A key that is pressed before the page's program runs is lost.
	await page.waitForFunction(() => (window as { alive?: boolean }).alive);
	return { serial, job };
}

/** The cell of a part on the mat. */
export const cell = (page: Page, name: string) =>
	page.getByRole('region', { name: 'Mat' }).getByRole('button', { name: new RegExp(`^${name}[;,]`) });

export const reading = (page: Page) => page.getByRole('region', { name: 'Measure' }).getByRole('textbox').first();

/** To one of the pages, by the menu of the bar. */
export async function goTo(page: Page, name: string): Promise<void> {
	await page.getByRole('button', { name: 'Pages' }).click();
	await page.getByRole('menuitem', { name }).click();
}

/** What the verdict rests on, laid over the page: seen by `check`, then closed. */
export async function inFull(page: Page, check: (why: Locator) => Promise<void>): Promise<void> {
	await page.getByRole('button', { name: 'Full explanation' }).click();
	const why = page.getByRole('dialog');
	await check(why);
	await why.getByRole('button', { name: 'Close' }).click();
	await expect(why).toHaveCount(0);
}

/** To another stage of the job: there once its page stands, since stages look alike. */
export async function toStage(page: Page, name: string): Promise<void> {
	const stage = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name, exact: true });
	await stage.click();
	await expect(stage).toHaveAttribute('aria-current', 'step');
}
