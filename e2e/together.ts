import { expect, type Page } from '@playwright/test';
import { answerWhatIsAsked, signOffAll, toStage } from './job';

/** Touches every place of the steps of Build, bolt by bolt, answers what is asked, and signs off, until the pump is together. */
export async function putTogether(page: Page): Promise<void> {
	await toStage(page, 'Build');
	const finished = page.getByRole('heading', { name: 'It is together' });
	const step = page.getByText(/^Step \d+ of \d+$/);
	const empty = page.getByRole('group', { name: 'Put in' }).getByRole('button', { pressed: false });
	const tighten = page.getByRole('button', { name: /^(The wrench let go|It is tight)/ });
	const sign = page.getByRole('button', { name: /^Sign off/ });
	await expect(step.or(finished)).toBeVisible();
	while ((await finished.count()) === 0) {
		const now = (await step.textContent())!;
		// Where a step is the sheet's own, it stays until it is signed off; a part that goes back as it came off leads on by itself.
		while ((await empty.count()) > 0 && (await step.textContent()) === now) await empty.first().click();
		while ((await tighten.count()) > 0 && (await step.textContent()) === now) await tighten.first().click();
		if ((await sign.count()) > 0) {
			await answerWhatIsAsked(page);
			await sign.click();
		}
		await expect(step.and(page.getByText(now, { exact: true }))).toHaveCount(0);
		await expect(step.or(finished)).toBeVisible();
	}
}

/** Signs the steps of Prove off, and takes a hold and dry weep places. */
export async function prove(page: Page): Promise<void> {
	await toStage(page, 'Prove');
	await signOffAll(page);
	const sheet = page.getByRole('region', { name: 'Test sheet' });
	await sheet.getByLabel('From, bar').fill('12 MPa');
	await sheet.getByLabel('to, bar').fill('11.9 MPa');
	await sheet.getByLabel('in, min').fill('5');
	await sheet.getByRole('button', { name: 'Take the hold' }).click();
	await expect(sheet.getByRole('status')).toContainText('It fell by');
	for (const place of await sheet.getByRole('group', { name: /^Drips/ }).all())
		await place.getByRole('button', { name: 'none' }).click();
	await expect(page.getByRole('heading', { name: 'It is proved' })).toBeVisible();
}
