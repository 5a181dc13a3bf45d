import { expect, type Page } from '@playwright/test';
import { answerWhatIsAsked, signOffAll, toStage } from './job';

/**
 * Touches every place of the steps of Build, pass by pass, answers what is asked, and signs off, until the pump is together, or
 * until the step that puts a part of this name in.
 */
export async function putTogether(page: Page, until?: string): Promise<void> {
	await toStage(page, 'Build');
	const finished = page.getByRole('heading', { name: 'Pump assembled' });
	const step = page.getByText(/^Step \d+ of \d+$/);
	const empty = page
		.getByRole('group', { name: 'Parts to fit' })
		.getByRole('button', { name: /^(?!All).+: /, pressed: false });
	const row = page
		.getByRole('group', { name: 'Parts to fit' })
		.locator('[aria-current="step"]')
		.getByRole('button', { name: /^All/, disabled: false });
	const pass = page.getByRole('button', { name: /^Whole pass/ });
	const tighten = page.getByRole('button', { name: /^(Wrench clicked|Tight)/ });
	const sign = page.getByRole('button', { name: /^Sign off step/ });
	const onward = page.getByRole('button', { name: 'Next step' });
	await expect(step.or(finished)).toBeVisible();
	while ((await finished.count()) === 0) {
		const now = (await step.textContent())!;
		const there = page
			.getByRole('group', { name: 'Parts to fit' })
			.getByRole('button', { name: new RegExp(`^${until}[:,]`) });
		if (until && (await there.count()) > 0) return;
		const here = async () => (await step.count()) > 0 && (await step.textContent()) === now;
		// A step of the sheet stays until it is signed off; one that the plan adds leads on by itself.
		while (await here()) {
			const left = await empty.count();
			// The row whose turn it is at once, else piece by piece.
			if (left > 0) await ((await row.count()) > 0 ? row : empty).first().click();
			if ((await empty.count()) < left) continue;
			if ((await pass.count()) > 0) await pass.first().click();
			else if ((await tighten.count()) > 0) await tighten.first().click();
			else if (left === 0) break;
		}
		if ((await here()) && (await sign.count()) > 0) {
			if (!(await sign.isEnabled()) || !(await sign.textContent())!.includes(': ')) await answerWhatIsAsked(page);
			await sign.click();
		} else if ((await here()) && (await onward.count()) > 0) await onward.click();
		await expect(step.and(page.getByText(now, { exact: true }))).toHaveCount(0);
		await expect(step.or(finished)).toBeVisible();
	}
}

/** Signs the steps of Prove off, and takes a hold from one pressure to the other, and dry weep places. */
export async function prove(page: Page, [from, to]: readonly [string, string] = ['12 MPa', '11.9 MPa']): Promise<void> {
	await toStage(page, 'Prove');
	await signOffAll(page);
	const sheet = page.getByRole('region', { name: 'Test sheet' });
	await sheet.getByLabel('From, bar').fill(from);
	await sheet.getByLabel('to, bar').fill(to);
	await sheet.getByLabel('in, min').fill('5');
	for (const when of ['Water at, °C', 'at the end, °C']) await sheet.getByLabel(when).fill('20');
	await sheet.getByRole('button', { name: 'Save hold test' }).click();
	await expect(sheet.getByRole('status')).toContainText('Pressure fell');
	const dry = sheet.getByRole('button', { name: /^None at / });
	if ((await dry.count()) > 0) await dry.click();
	else
		await sheet
			.getByRole('group', { name: /^Drips/ })
			.getByRole('button', { name: 'none' })
			.click();
	await expect(page.getByRole('heading', { name: 'Pump test passed' })).toBeVisible();
}
