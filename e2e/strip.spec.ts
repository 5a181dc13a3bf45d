import { expect, test, type Page } from './test';
import { answerWhatIsAsked, cell, openMat, receivePump, signOffAll, stepInHand } from './job';
import { renewAll } from './log';
import { pageOf } from './people';

/** Signs the step in hand off and waits for the next. */
async function sign(page: Page): Promise<void> {
	const button = page.getByRole('button', { name: /^Sign off/ });
	const name = (await button.textContent())!.trim();
	await button.click();
	await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
}
const pick = (page: Page, step: RegExp) =>
	page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: step }).click();

test('a step asks: pieces are counted, and nothing is signed off unanswered', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Bulrush', scope: 'full' });
	await sign(page);
	await sign(page);
	await answerWhatIsAsked(page); // the oil
	await sign(page);
	const screws = stepInHand(page);
	await expect(screws).toContainText('Comes out: Socket head screws (8)');
	await expect(screws).toContainText('Hex key');
	const button = screws.getByRole('button', { name: /^Sign off/ });
	await expect(button).toHaveText(/all 8 counted$/);
	const count = screws.getByRole('textbox', { name: 'Count: socket head screws' });
	for (const [typed, says] of [
		['', 'Type the number of pieces.'],
		['some', '“some” is not a number'],
		['7.5', 'Type a whole number.']
	]) {
		await count.fill(typed);
		await screws.getByRole('button', { name: 'Enter' }).click();
		await expect(screws.getByRole('alert')).toContainText(says);
		await expect(count).toHaveValue(typed);
		// What is typed is not passed over by a sign-off that says "all 8".
		if (typed !== '') await expect(button).toBeDisabled();
	}
	await count.fill('7');
	await count.press('Enter');
	await expect(screws).toContainText('8 expected. Search for the missing ones.');
	const out = page.getByRole('group', { name: 'Parts out' });
	await expect(out).toContainText('Socket head screws: 7 of 8.');
	await screws.getByRole('button', { name: 'All 8' }).click();
	await expect(screws).not.toContainText('There should be 8');
	await expect(out).not.toContainText('7 of 8');
	await button.click();
	await pick(page, /^4 /);
	await expect(screws.getByRole('button', { name: /^Done/ })).toBeVisible();
	await page.reload();
	await pick(page, /^4 /);
	await expect(screws.getByRole('textbox', { name: 'Count: socket head screws' })).toHaveValue('8');
});

test('a stack that is repeated is gone on with where it was left', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Campion', scope: 'full' });
	await sign(page);
	await sign(page);
	const step = stepInHand(page);
	const done = step.getByRole('group', { name: 'Done at cylinder' });
	while ((await done.count()) === 0) {
		await answerWhatIsAsked(page);
		await sign(page);
	}
	const signOff = step.getByRole('button', { name: /^Sign off/ });
	await expect(signOff).toBeEnabled();
	await done.getByRole('button', { name: '1', exact: true }).click();
	await expect(done).toContainText('Continue with cylinder 2.');
	await expect(signOff).toBeDisabled();
	await expect(page.getByText('All saved')).toBeVisible();
	await page.reload();
	await expect(done.getByRole('button', { name: '1', exact: true })).toHaveAttribute('aria-pressed', 'true');
	await expect(done).toContainText('Continue with cylinder 2.');
	for (const cylinder of ['2', '3']) await done.getByRole('button', { name: cylinder, exact: true }).click();
	await expect(done).not.toContainText('Go on');
	await sign(page);
});

test('how parts were found is said by a touch, cylinder by cylinder, and stands on the mat', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await receivePump(page, { model: 'Campion', scope: 'full' });
	await expect(page.getByRole('region', { name: 'As found' })).toHaveCount(0); // nothing before the pump is safe
	await sign(page);
	await sign(page);
	await pick(page, /^6 From each pocket/);
	const found = page.getByRole('region', { name: 'As found' });
	const at = (name: RegExp) => found.getByRole('button', { name });
	await at(/^Discharge valve, cylinder 2:/).click();
	await expect(at(/^Discharge valve, cylinder 2: correct/)).toBeVisible();
	await found.getByRole('button', { name: 'Wrong way round' }).click();
	await expect(at(/^Discharge valve, cylinder 2: wrong way round/)).toBeVisible();
	await at(/^Discharge valve spring, cylinder 3:/).click();
	await found.getByRole('button', { name: 'Missing' }).click();
	await found.getByRole('button', { name: 'Cyl. 1: all correct' }).click();
	await expect(at(/^Discharge valve, cylinder 1: correct/)).toBeVisible();
	// What came out in pieces is laid together: a fragment that is not found is looked for, and is not forgotten.
	const out = page.getByRole('group', { name: 'Parts out' });
	await at(/^Discharge valve spring, cylinder 2:/).click();
	await found.getByRole('button', { name: 'In pieces, one not found' }).click();
	await expect(out).toContainText('Discharge valve spring, cylinder 2: a fragment is missing.');
	await found.getByRole('button', { name: 'In pieces, all found' }).click();
	await expect(out).not.toContainText('a fragment is missing');
	await expect(at(/^Discharge valve spring, cylinder 2: in pieces, all found/)).toBeVisible();
	// One touch for a cylinder, never for all: what was said of others stays.
	await expect(at(/^Discharge valve, cylinder 3: not recorded/)).toBeVisible();
	await page.goto(`/jobs/${job}/inspect`);
	await page.getByRole('button', { name: /^Layer of the mat/ }).click();
	await expect(cell(page, 'Discharge valve, cylinder 2')).toHaveAccessibleName(/found: wrong way round/);
	await cell(page, 'Discharge valve, cylinder 2').click();
	const judge = page.getByRole('region', { name: 'Judge' });
	await page.keyboard.press('Space');
	await expect(judge).toContainText('Fitted the wrong way round at an earlier assembly.');
	await cell(page, 'Discharge valve spring, cylinder 3').click();
	await expect(judge.getByTestId('verdict')).toContainText('Replace');
	await expect(judge).toContainText('Missing when the pump was opened. Fit a new part.');
});

test('the crank: how far to turn it from here, and not at all while the head is open', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Marram', scope: 'packing' });
	await pick(page, /^6 Turn the crank/);
	const crank = page.getByRole('region', { name: 'Crank' });
	// Throws at 0, 120 and 240 degrees: the outer plungers are level, and further out, 60 degrees after the first stands forward.
	await expect(crank.getByRole('status')).toContainText('Turn by hand another 60°');
	await crank.getByRole('button', { name: '3 forward' }).click();
	await expect(crank.getByRole('status')).toContainText('Turn by hand another 300°');
	await crank.getByRole('slider').fill('60');
	await expect(crank.getByRole('status')).toContainText('In position.');
	// One's own wrench sizes stay with the person, on the list of all tools.
	await page.getByText(/tools for this job$/).click();
	const size = page.getByLabel('Your size: Ring wrench');
	await size.fill('17 mm');
	await Promise.all([page.waitForResponse(/settings\/wrenches/), size.press('Tab')]);
	await page.reload();
	await page.getByText(/tools for this job$/).click();
	await expect(size).toHaveValue('17 mm');
});

test('metal in the oil opens the question of the unit, and another answer closes it', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Marram', scope: 'packing' });
	await sign(page);
	await sign(page);
	const oil = stepInHand(page);
	await oil.getByRole('button', { name: 'metal in it' }).click();
	await expect(oil.getByRole('alert')).toContainText('Repair or replace the unit?');
	await oil.getByRole('link', { name: 'open the comparison' }).click();
	await expect(page.getByRole('region', { name: 'Repair or replace the unit' })).toContainText('oil pan');
	await page.goBack();
	await oil.getByRole('button', { name: 'clear', exact: true }).click();
	await expect(oil.getByRole('alert')).toHaveCount(0);
	await page.getByRole('link', { name: 'Decide', exact: true }).click();
	await expect(page.getByRole('region', { name: 'Repair or replace the unit' })).toHaveCount(0);
});

test('a question at each cylinder is answered for all by one touch, and otherwise at the one that differs', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Fescue', scope: 'valves' });
	await sign(page);
	await sign(page);
	const at = (where: string) =>
		stepInHand(page).getByRole('group', { name: new RegExp(`^Debris in cap and port, ${where}`) });
	const button = (where: string, name: string) => at(where).getByRole('button', { name, exact: true });
	await button('all cylinders', 'none').click();
	for (const where of ['all cylinders', 'cylinder 1', 'cylinder 2', 'cylinder 3'])
		await expect(button(where, 'none')).toHaveAttribute('aria-pressed', 'true');
	await button('cylinder 2', 'found').click();
	await expect(at('all cylinders').getByRole('button', { pressed: true })).toHaveCount(0);
	await expect(button('cylinder 1', 'none')).toHaveAttribute('aria-pressed', 'true');
	await page.reload();
	await expect(button('cylinder 2', 'found')).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByText('All saved')).toBeVisible();
});

test('a pump is received with what it is made of, and only that lies on its mat', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/receive');
	await page.getByRole('button', { name: 'New pump' }).click();
	await page.getByLabel('Serial number').fill(`E2E-G-${Date.now()}`);
	await page.getByLabel('Model', { exact: true }).selectOption('Gorse');
	await page.getByLabel('Customer’s description').fill('Drips');
	await page.getByLabel('Hour meter (h)').fill('900');
	await page.getByLabel('Scope of work').selectOption('packing');
	for (const [i, style] of ['Flat inside', 'U inside', 'Flat inside'].entries())
		await page
			.getByRole('radiogroup', { name: `Style of the rear guide, cylinder ${i + 1}` })
			.getByText(style)
			.click();
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByRole('button', { name: /^Sign off/ }).first()).toBeVisible();
	await signOffAll(page);
	await page.getByRole('link', { name: 'Inspect', exact: true }).click();
	const mat = page.getByRole('region', { name: 'Mat' });
	const lies = (name: string, cylinder: number) =>
		mat.getByRole('button', { name: new RegExp(`^${name}, cylinder ${cylinder}[;,]`) });
	for (const [cylinder, flat] of [
		[1, true],
		[2, false],
		[3, true]
	] as const) {
		await expect(lies('Low-pressure seal with a flat base', cylinder)).toHaveCount(flat ? 1 : 0);
		await expect(lies('Low-pressure seal, curved', cylinder)).toHaveCount(flat ? 0 : 1);
	}
	await expect(lies('High-pressure seal', 2)).toBeVisible();
	// The arrows pass an empty place over.
	await lies('Backup ring in the guide', 1).click();
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Backup ring in the guide, cylinder 3');
	await lies('Outer O-ring of the rear guide', 2).click();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Low-pressure seal, curved, cylinder 2');
});

test('what no one could say of a pump is said where it is opened, and the other parts leave the mat', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Gorse', scope: 'packing' });
	const asked = page.getByRole('form', { name: 'Variant of this pump' });
	await expect(asked).toHaveCount(0); // not before the pump is safe
	await sign(page);
	await sign(page);
	await pick(page, /From each bore note the style/);
	const found = page.getByRole('region', { name: 'As found' });
	const lies = (name: string) => found.getByRole('button', { name: new RegExp(`^${name}, cylinder`) });
	await expect(lies('Low-pressure seal with a flat base')).toHaveCount(3);
	const style = (cylinder: number, name: string) =>
		asked
			.getByRole('radiogroup', { name: `Style of the rear guide, cylinder ${cylinder}` })
			.getByText(name)
			.click();
	await style(1, 'Flat inside');
	await asked.getByRole('button', { name: 'Save variant' }).click();
	await expect(asked.getByRole('alert')).toContainText('Choose the variant of every cylinder');
	await style(2, 'U inside');
	await style(3, 'U inside');
	await asked.getByRole('button', { name: 'Save variant' }).click();
	await expect(asked).toHaveCount(0);
	await expect(lies('Low-pressure seal with a flat base')).toHaveCount(1);
	await expect(lies('Low-pressure seal, curved')).toHaveCount(2);
});

test('a pump is received by its drawing, with what is missing and what is heavy', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await page.goto('/receive');
	await page.getByRole('button', { name: 'New pump' }).click();
	await page.getByRole('button', { name: 'Find by drawing' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /^Larch · / })
		.click();
	await expect(page.getByLabel('Model', { exact: true })).toHaveValue('Larch');
	await expect(page.getByText(/Discharge manifold: 24 kg. More than 20 kg/)).toBeVisible();
	await page.getByLabel('Serial number').fill(`E2E-D-${Date.now()}`);
	await page.getByLabel('Hour meter (h)').fill('900');
	await page.getByLabel('Hoist or a second person').selectOption({ label: 'instead: blocks underneath' });
	await expect(page.getByText('The manifold drops when the last screw is out.')).toBeVisible();
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByText('Choose or describe the complaint')).toBeVisible();
	await page.getByLabel('Pressure low').check();
	await page.getByLabel('Noise').check();
	await page.getByLabel('Customer’s description').fill('since Tuesday');
	await page.getByLabel('Place of work').selectOption('machine');
	await page.getByRole('button', { name: 'Receive pump' }).click();
	await expect(page.getByText('“Pressure low; Noise; since Tuesday”')).toBeVisible();
	await page.getByText(/tools for this job$/).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Hoist or a second person' })).toContainText(
		'instead: blocks underneath'
	);
});

test('a job opens one cylinder alone: the others are not on the mat, and release asks nothing of them', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page, 'packing', { shut: [1, 3] });
	const mat = page.getByRole('region', { name: 'Mat' });
	await expect(mat.getByRole('button', { name: /, cylinder 2; not inspected|cylinder 2/ }).first()).toBeVisible();
	await expect(mat.getByRole('button', { name: /cylinder [13]/ })).toHaveCount(0);
	await page.goto(`/jobs/${job}/strip`);
	await expect(page.getByText('Cylinders', { exact: true })).toBeVisible();
	await renewAll(page, job);
	await page.goto(`/jobs/${job}/build`);
	await expect(page.getByRole('img', { name: /^Cylinder 2:/ }).first()).toBeVisible();
	await expect(page.getByRole('img', { name: /^Cylinder [13]:/ })).toHaveCount(0);
});

test('how it was connected is photographed as it comes in, and stands there again where it goes into service', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const { job } = await receivePump(page);
	await page.getByLabel('Photograph of the pump').setInputFiles({
		name: 'hoses.png',
		mimeType: 'image/png',
		buffer: await page.screenshot()
	});
	const photo = page.getByRole('img', { name: /^Photograph by Ines/ });
	await expect(photo).toBeVisible();
	await expect(page.getByText('All saved')).toBeVisible();
	const other = await pageOf(browser, 'second');
	await other.goto(`/jobs/${job}/release`);
	await other.getByLabel('After release', { exact: true }).selectOption('service');
	await expect(other.getByRole('img', { name: /^Photograph by Ines/ })).toBeVisible();
	await expect(other.getByLabel('Photograph of the pump')).toHaveCount(0);
});

test('a step takes readings at its places, names the one that is none, and says their difference', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await receivePump(page, { model: 'Orache', scope: 'drive' });
	const sign = page.getByRole('button', { name: /^Sign off/ });
	const measure = (what: RegExp) => stepInHand(page).getByRole('group', { name: what });
	while ((await measure(/Oil drained/).count()) === 0) {
		const before = await stepInHand(page).getByRole('heading', { level: 1 }).textContent();
		await answerWhatIsAsked(page);
		await sign.click();
		await expect(page.getByRole('heading', { level: 1, name: before! })).toHaveCount(0);
	}
	const oil = measure(/Oil drained/);
	await oil.getByLabel('Drained').fill('much');
	await oil.getByRole('button', { name: 'Enter' }).click();
	await expect(oil.getByRole('alert')).toContainText('Drained: “much”');
	await expect(sign).toBeDisabled();
	await oil.getByLabel('Drained').fill('600 mL');
	await oil.getByRole('button', { name: 'Enter' }).click();
	await expect(oil.getByRole('button', { name: 'Change' })).toBeVisible();
	await stepInHand(page).getByRole('button', { name: 'clear', exact: true }).click();
	await sign.click();
	const play = measure(/Play of the shaft/);
	await play.getByLabel('Up and down').fill('0.02');
	await play.getByLabel('Along the shaft').fill('0.05');
	await play.getByRole('button', { name: 'Enter' }).click();
	await expect(play.getByRole('status')).toContainText(/Largest difference 0\.030.mm.*no limit stated/);
	// Another tablet, or a reload, shows what was taken.
	await page.reload();
	await expect(measure(/Play of the shaft/).getByLabel('Along the shaft')).toHaveValue('0.05');
});
