import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { signIn } from '@exetasis/server/auth/auth';
import { database } from '@exetasis/server/db/connection';
import { shopsHere } from '@exetasis/server/setup/shop';
import { signInSchema } from '$lib/server/signInForm';
import { passCookies } from '$lib/server/cookies';
import { readForm } from '$lib/server/form';
import { fromHere } from '$lib/server/setup';

export async function load(event) {
	if (event.locals.user) redirect(303, '/');
	const { own, demo } = await shopsHere(database());
	if (own === 0 && !demo) redirect(303, '/welcome');
	return { demo, setup: own === 0 && fromHere(event), form: await superValidate(zod4(signInSchema)) };
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
