import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { signIn } from '@exetasis/server/auth/auth';
import { hasDemo } from '@exetasis/server/shops';
import { signInSchema } from '$lib/server/signInForm';
import { passCookies } from '$lib/server/cookies';
import { readForm } from '$lib/server/form';

export async function load({ locals }) {
	if (locals.user) redirect(303, '/');
	return { demo: await hasDemo(), form: await superValidate(zod4(signInSchema)) };
}

export const actions = {
	default: async ({ request, cookies, getClientAddress }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(signInSchema));
		const typed = { ...form.data };
		form.data.password = ''; // not sent back
		if (!form.valid) return fail(400, { form });
		const result = await signIn(typed, getClientAddress(), request.headers);
		if (result.kind === 'tooMany') {
			const minutes = Math.ceil(result.seconds / 60);
			return message(form, `Too many wrong attempts. Wait ${minutes} minutes, then try again.`, { status: 429 });
		}
		if (result.kind === 'refused')
			return message(form, 'E-mail address and password do not match. Try again.', { status: 400 });
		passCookies(result.headers, cookies);
		redirect(303, '/');
	}
};
