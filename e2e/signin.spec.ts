import { ownRequest } from './submit';
import { expect, test } from './test';

test('a wrong password says so and keeps the address', async ({ page }) => {
	await page.goto('/signin');
	await page.getByLabel('E-mail').fill('ines@harrow.example');
	await page.getByLabel('Password').fill('wrong');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('alert')).toContainText('do not match');
	await expect(page.getByLabel('E-mail')).toHaveValue('ines@harrow.example');
});

// Last of all files by its name: after it, this machine has to wait a minute.
test('guessing passwords is slowed down', { tag: '@alone' }, async ({ request }) => {
	const attempt = async () => {
		const response = await request.post('/signin', {
			headers: ownRequest(),
			form: { email: 'nobody@harrow.example', password: 'guess' }
		});
		return response.text();
	};
	let answers = '';
	for (let i = 0; i < 25; i++) answers = await attempt();
	expect(answers).toContain('Too many wrong attempts');
});
