import { fail, redirect } from '@sveltejs/kit';
import { setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { signIn } from '@exetasis/server/auth/auth';
import { database } from '@exetasis/server/db/connection';
import { metric } from '@exetasis/core/quantity';
import { loadDemo, readDemoFile } from '@exetasis/server/setup/demoFile';
import { makeShop, shopsHere } from '@exetasis/server/setup/shop';
import { setupSchema } from '$lib/server/setupForm';
import { passCookies } from '$lib/server/cookies';
import { readForm } from '$lib/server/form';
import { fromHere, setupCode } from '$lib/server/setup';

const inches = { length: 'in', torque: 'ftlbf', pressure: 'psi', temperature: 'F' } as const;
const THERE = 'The demo is on this server already. Sign in to it.';
const NEEDS_CODE =
	'Type the one-time code that "npm start" printed on the server, or open this page on the server itself.';

export async function load(event) {
	return { ...(await shopsHere(database())), here: fromHere(event), form: await superValidate(zod4(setupSchema)) };
}

export const actions = {
	demo: async (event) => {
		const { demo } = await shopsHere(database());
		if (demo) return fail(409, { demo: THERE });
		const { code } = await readForm(event.request);
		if (!fromHere(event) && !setupCode.take(String(code ?? ''))) return fail(403, { demo: NEEDS_CODE });
		const result = await loadDemo(database().sequelize, readDemoFile(), new Date());
		if (result === 'there') return fail(409, { demo: THERE });
		redirect(303, '/signin');
	},
	shop: async (event) => {
		const form = await superValidate({ ...(await readForm(event.request)) }, zod4(setupSchema));
		const { shop, currency, units, name, email, password, code } = form.data;
		form.data.password = ''; // not sent back
		if (!form.valid) return fail(400, { form });
		const here = fromHere(event);
		if (!here && !setupCode.take(code)) return setError(form, 'code', NEEDS_CODE, { status: 403 });
		const lead = { name, email, password };
		const made = await makeShop(database(), {
			name: shop,
			currency,
			units: units === 'inch' ? inches : metric,
			lead
		});
		if (!here && made.kind !== 'made') setupCode.giveBack(code);
		if (made.kind === 'mailTaken') return setError(form, 'email', 'This address is already in use. Type another one.');
		if (made.kind === 'guessedQuickly')
			return setError(form, 'password', 'This password is easy to guess. Use four unrelated words.');
		const signedIn = await signIn(lead, event.getClientAddress(), event.request.headers);
		if (signedIn.kind !== 'signedIn') redirect(303, '/signin');
		passCookies(signedIn.headers, event.cookies);
		redirect(303, '/');
	}
};
