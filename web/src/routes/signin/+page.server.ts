import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { signIn } from '@exetasis/server/auth/auth';
import { passCookies } from '$lib/server/cookies';
import { hasDemo } from '@exetasis/server/shops';

const credentials = z.object({ email: z.string().trim().min(1), password: z.string().min(1) });

export async function load({ locals }) {
	if (locals.user) redirect(303, '/');
	return { demo: await hasDemo() };
}

export const actions = {
	default: async ({ request, url, cookies, getClientAddress }) => {
		const form = Object.fromEntries(await request.formData());
		const email = String(form.email ?? '');
		const parsed = credentials.safeParse(form);
		if (!parsed.success) return fail(400, { email, problem: 'Type your e-mail address and your password.' });
		const result = await signIn(parsed.data, url.origin, getClientAddress());
		if (result.kind === 'tooMany') {
			return fail(429, {
				email,
				problem: `Too many attempts from here. Wait ${result.seconds} seconds, then try again.`
			});
		}
		if (result.kind === 'refused')
			return fail(400, { email, problem: 'E-mail address and password do not match. Try again.' });
		passCookies(result.headers, cookies);
		redirect(303, '/');
	}
};
