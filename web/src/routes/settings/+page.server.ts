import { fail, redirect } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { metric } from '@exetasis/core/quantity';
import { changePassword, setPreferences } from '@exetasis/server/people';
import { handsSchema, numeralsSchema, passwordsSchema, themeSchema, unitsSchema } from '$lib/server/settingsForms';
import { readForm } from '$lib/server/form';
import { scopeOf, userOf } from '$lib/server/request';

export const load = async ({ locals }) => {
	const { units = metric, numerals = 'point-space', hand = 'right', pad = 'touch' } = userOf(locals).preferences;
	return {
		firstPassword: userOf(locals).firstPassword,
		unitsForm: await superValidate(units, zod4(unitsSchema), { id: 'units' }),
		writtenForm: await superValidate({ numerals }, zod4(numeralsSchema), { id: 'numerals' }),
		handsForm: await superValidate({ hand, pad }, zod4(handsSchema), { id: 'hands' }),
		passwordForm: await superValidate(zod4(passwordsSchema), { id: 'passwords' })
	};
};

export const actions = {
	units: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(unitsSchema), {
			id: 'units',
			strict: true
		});
		if (!form.valid) return fail(400, { form });
		await setPreferences(userOf(locals), { units: form.data });
		return message(form, 'Saved.');
	},
	numerals: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(numeralsSchema), {
			id: 'numerals',
			strict: true
		});
		if (!form.valid) return fail(400, { form });
		await setPreferences(userOf(locals), form.data);
		return message(form, 'Saved.');
	},
	hands: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(handsSchema), {
			id: 'hands',
			strict: true
		});
		if (!form.valid) return fail(400, { form });
		await setPreferences(userOf(locals), form.data);
		return message(form, 'Saved.');
	},
	theme: async ({ request, locals }) => {
		const parsed = themeSchema.safeParse({ ...(await readForm(request)) });
		if (!parsed.success) return fail(400, { problem: 'Choose light or dark.' });
		await setPreferences(userOf(locals), parsed.data);
		return { saved: true };
	},
	password: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(passwordsSchema), { id: 'passwords' });
		const { current, next } = form.data;
		form.data = { current: '', next: '' }; // not sent back
		if (!form.valid) return fail(400, { form });
		const result = await changePassword(scopeOf(locals), userOf(locals).id, current, next);
		if (result === 'tooMany')
			return setError(form, 'current', 'Too many wrong attempts. Wait 15 minutes.', { status: 429 });
		if (result === 'sameAsBefore') return setError(form, 'next', 'This is your current password. Choose another.');
		if (result === 'guessedQuickly')
			return setError(form, 'next', 'This password is easy to guess. Use four unrelated words.');
		if (result === 'wrongPassword') return setError(form, 'current', 'This is not your current password. Try again.');
		redirect(303, '/signin');
	}
};
