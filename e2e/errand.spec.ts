import { expect, test, type Page } from './test';
import { inFull, signOffAll } from './job';
import { signIn } from './people';
import { prove, putTogether } from './together';

const serial = `E2E-${Date.now()}`;

async function receiveNewPump(page: Page): Promise<void> {
	await page.getByRole('link', { name: 'Receive pump' }).click();
	await page.getByRole('button', { name: 'New pump' }).click();
	await page.getByLabel('Model', { exact: true }).selectOption('Marram');
	await page.getByLabel('Serial number').fill(serial);
	await page.getByLabel('Customer’s description').fill('Water leak at the front');
	await page.getByLabel('Hour meter (h)').fill('1200');
	await page.getByLabel('Scope of work').selectOption('packing');
	await page.getByLabel('Liquid').fill('Seawater');
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByRole('link', { name: serial })).toBeVisible();
}

test('a technician takes one pump from the floor through strip, mat, build and proof to its trace', async ({
	page
}) => {
	test.setTimeout(300_000);
	await signIn(page, 'technician');
	await receiveNewPump(page);

	// Strip: cautions stand at their steps, and nothing is signed off before the pressure is released.
	await page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: /^3 / }).click();
	await expect(page.getByRole('button', { name: /^Sign off/ })).toBeDisabled();
	await expect(page.getByText('Sign off steps 1, 2 first.')).toBeVisible();
	await page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: /^2 / }).click();
	await expect(page.getByText('Stored pressure injects fluid')).toBeVisible();
	await page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: /^1 / }).click();
	await signOffAll(page);
	await page.getByRole('link', { name: 'Open the mat' }).click();

	// Inspect by keyboard: head nuts clean, accepted with Enter.
	await page.getByRole('button', { name: /^Manifold nuts/ }).click();
	await page.keyboard.press('Space');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Manifold', level: 1 })).toBeVisible();
	await expect(page.getByRole('button', { name: /^Manifold nuts.*decided: Reuse/ })).toBeVisible();

	// The plunger of cylinder 2: clean, then six readings typed one after the other; its value is judged with its uncertainty.
	await page.getByRole('button', { name: /^Ceramic plunger, cylinder 2/ }).click();
	await page.keyboard.press('Space');
	for (const reading of ['17.995', '17.996', '17.989', '17.991', '17.998', '17.999']) {
		await page.keyboard.type(reading);
		await page.keyboard.press('Enter');
	}
	const judge = page.getByRole('region', { name: 'Judge' });
	await expect(judge).toContainText('17.9890 ±');
	await expect(judge).toContainText('is within the discard limit 17.950');
	await inFull(page, (why) => expect(why).toContainText('Ovality 0.002 mm, middle of the seal track'));
	await page.getByRole('button', { name: /^Ceramic plunger, cylinder 2/ }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: /^Ceramic plunger, cylinder 2.*decided: Reuse/ })).toBeVisible();

	// A crack on cylinder 1 is out whatever it measures; keeping it needs a reason.
	await page.getByRole('button', { name: /^Ceramic plunger, cylinder 1/ }).click();
	await page.keyboard.press('t');
	await expect(judge).toContainText('Crack, slight (in service): replace, regardless of size.');
	await judge.getByRole('button', { name: 'Reuse', exact: true }).click();
	await judge.getByRole('button', { name: 'Overrule' }).click();
	await expect(judge.getByRole('alert')).toContainText('Write the reason');
	await judge.getByRole('button', { name: 'Cancel' }).click();
	await judge.getByRole('button', { name: /^Replace/ }).click();

	// What is clean and not measured is accepted by eye at one touch; the record says what was not measured.
	await page.getByRole('button', { name: /^Ceramic plunger, cylinder 3/ }).click();
	await page.keyboard.press('Space');
	await judge.getByRole('button', { name: 'Accept by eye' }).click();
	await expect(page.getByRole('button', { name: /^Ceramic plunger, cylinder 3.*decided: Reuse/ })).toBeVisible();
	await page.getByRole('button', { name: /^Ceramic plunger, cylinder 3/ }).click();
	await expect(judge).toContainText('Judged by eye; not measured: diameter');

	// The rest: every cell is looked at, then the clear verdicts are accepted at once.
	await lookAtEverything(page);
	await page.getByRole('link', { name: 'Release', exact: true }).click();
	await expect(page.getByText('still open')).toHaveCount(0);

	// The new plunger is measured as it goes in; a size that cannot be is answered and stays as typed.
	const fresh = page.getByRole('row', { name: /^Ceramic plunger, cylinder 1/ }).getByLabel('Diameter of the new part');
	await fresh.fill('1.7998');
	await fresh.blur();
	await expect(page.getByRole('alert')).toContainText('Did the decimal point slip by one?');
	await expect(fresh).toHaveValue('1.7998');
	await fresh.fill('17.998');
	await fresh.blur();
	await expect(page.getByRole('alert')).toHaveCount(0);
	await expect(page.getByText('All saved')).toBeVisible();
	// It goes only once it is together and proved, and only a lead could say otherwise.
	await expect(page.getByRole('heading', { name: 'Open points' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Release pump' })).toBeDisabled();
	await expect(page.getByLabel('Reason for releasing it incomplete')).toHaveCount(0);
	await putTogether(page);
	await prove(page);
	await page.getByRole('link', { name: 'Release pump' }).click();
	await page.getByRole('button', { name: 'Release pump' }).click();
	await expect(page.getByRole('heading', { name: 'Released' })).toBeVisible();

	// The pump's page shows the lives that ended and those that go on.
	await page.getByRole('link', { name: 'Open the pump' }).click();
	await expect(page.getByRole('heading', { name: serial })).toBeVisible();
	await expect(page.getByRole('img', { name: /removed at 1.200 h, damaged; Crack/ })).toBeVisible();
	await page.getByRole('link', { name: 'Trace recurring problems' }).click();
	await expect(page.getByText('No pattern was found twice')).toBeVisible();
});

// Walks every part that is still open: inspects it as clean, and enters the nominal size where a size is wanted, a micrometre to
// and fro, because the same number at every point within seconds would be questioned.
async function lookAtEverything(page: Page): Promise<void> {
	const open = page.getByRole('button', { name: /; not inspected/ });
	for (let left = await open.count(); left > 0; left--) {
		await open.first().click();
		await page.keyboard.press('Space');
		const field = page.getByRole('region', { name: 'Measure' }).getByRole('textbox').first();
		const next = page.getByRole('region', { name: 'Measure' }).getByRole('button', { name: /: no reading$/ });
		if ((await field.count()) > 0 && (await page.getByText(/not measured yet/).count()) > 0) {
			const nominal = Number.parseFloat((await field.getAttribute('placeholder'))!);
			for (let places = await next.count(); places > 0; places--) {
				await field.fill((nominal + (places % 2) / 1000).toFixed(3));
				await field.press('Enter');
			}
		}
	}
	await page.getByRole('button', { name: /^Accept \d+ clear/ }).click();
	await expect(page.getByText('All saved')).toBeVisible();
}
