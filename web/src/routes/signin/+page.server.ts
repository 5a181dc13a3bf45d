import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { signIn } from '@exetasis/server/auth/auth';
import { readForm } from '$lib/server/form';
import { passCookies } from '$lib/server/cookies';
import { LONGEST_PASSWORD } from '@exetasis/server/people';
import { hasDemo } from '@exetasis/server/shops';

const credentials = z.object({
	email: z.string().trim().min(1).max(200),
	password: z.string().min(1).max(LONGEST_PASSWORD)
});

export async function load({ locals }) {
	if (locals.user) redirect(303, '/');
	return { demo: await hasDemo() };
}

export const actions = {
	default: async ({ request, cookies, getClientAddress }) => {
		const form = await readForm(request);
		const email = form.email ?? '';
		const parsed = credentials.safeParse(form);
		if (!parsed.success) return fail(400, { email, problem: 'Type your e-mail address and your password.' });
		const result = await signIn(parsed.data, getClientAddress(), request.headers);
		if (result.kind === 'tooMany') {
			return fail(429, {
				email,
				problem: `Too many wrong attempts. Wait ${Math.ceil(result.seconds / 60)} minutes, then try again.`
			});
		}
		if (result.kind === 'refused')
			return fail(400, { email, problem: 'E-mail address and password do not match. Try again.' });
		passCookies(result.headers, cookies);
		redirect(303, '/');
	}
};
