import { expect, test } from './test';
import { cell, inFull, openMat, reading } from './job';
import { pageOf } from './people';

test('a plunger thicker than new is asked about: it is read again, or kept with a reason and stays marked', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 1').click();
	await page.keyboard.press('Space');
	const judge = page.getByRole('region', { name: 'Judge' });
	const question = page.getByRole('group', { name: 'Check this reading' });
	const take = async (text: string) => {
		await reading(page).fill(text);
		await reading(page).press('Enter');
	};
	await take('18.90');
	await expect(question).toContainText(/0.900.mm larger than new .*Misread, wrong part or swollen\?/);
	await expect(judge.getByTestId('verdict')).toContainText('Recheck');
	await question.getByRole('button', { name: 'Read again' }).click();
	await expect(question).toHaveCount(0);
	for (const text of ['17.994', '17.993', '17.991', '17.990', '17.992']) await take(text);
	await take('18.90');
	await question.getByRole('button', { name: 'Keep reading' }).click();
	await expect(question).toContainText('Write the reason');
	await question.getByLabel('Reason to keep it').fill('An oversize plunger was fitted');
	await question.getByRole('button', { name: 'Keep reading' }).click();
	await expect(question).toHaveCount(0);
	await inFull(page, (why) => expect(why).toContainText('was confirmed: “An oversize plunger was fitted”'));
	await expect(page.getByText('All saved')).toBeVisible();
});

test('the same number at every point within seconds is asked about', async ({ browser }) => {
	const page = await pageOf(browser, 'technician');
	await openMat(page);
	await cell(page, 'Ceramic plunger, cylinder 2').click();
	await page.keyboard.press('Space');
	for (let place = 0; place < 6; place++) {
		await reading(page).fill('17.99');
		await reading(page).press('Enter');
	}
	const question = page.getByRole('group', { name: 'Check this reading' });
	await expect(question).toContainText('every point reads');
	const panel = await page
		.getByRole('region', { name: 'Measure' })
		.evaluate(({ parentElement: box }) => box!.scrollHeight - box!.clientHeight);
	expect(panel).toBeLessThanOrEqual(1);
});
