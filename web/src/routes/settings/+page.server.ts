import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { metric } from '@exetasis/core/quantity';
import { changePassword, LONGEST_PASSWORD, setPreferences, SHORTEST_PASSWORD } from '@exetasis/server/people';
import { readForm } from '$lib/server/form';
import { scopeOf, userOf } from '$lib/server/request';
import { numerals } from '$lib/ui/numbers';

const units = z.object({
	length: z.enum(['mm', 'in']),
	torque: z.enum(['Nm', 'ftlbf', 'inlbf']),
	pressure: z.enum(['MPa', 'bar', 'psi']),
	temperature: z.enum(['C', 'F'])
});
const writing = z.object({ numerals: z.enum(numerals) });
const hands = z.object({ hand: z.enum(['left', 'right']), pad: z.enum(['touch', 'always', 'never']) });
const theme = z.object({ theme: z.enum(['light', 'dark']) });

const passwords = z.object({
	current: z.string().min(1).max(LONGEST_PASSWORD),
	next: z.string().min(SHORTEST_PASSWORD).max(LONGEST_PASSWORD)
});

export const load = ({ locals }) => ({ chosen: userOf(locals).preferences.units ?? metric });

export const actions = {
	units: async ({ request, locals }) => {
		const parsed = units.safeParse(await readForm(request));
		if (!parsed.success) return fail(400, { problem: 'Choose one unit for each.' });
		await setPreferences(userOf(locals), { units: parsed.data });
		return { saved: true };
	},
	numerals: async ({ request, locals }) => {
		const parsed = writing.safeParse(await readForm(request));
		if (!parsed.success) return fail(400, { problem: 'Choose how numbers are written.' });
		await setPreferences(userOf(locals), parsed.data);
		return { numeralsSaved: true };
	},
	hands: async ({ request, locals }) => {
		const parsed = hands.safeParse(await readForm(request));
		if (!parsed.success) return fail(400, { problem: 'Choose a hand, and when the pad is offered.' });
		await setPreferences(userOf(locals), parsed.data);
		return { handsSaved: true };
	},
	theme: async ({ request, locals }) => {
		const parsed = theme.safeParse(await readForm(request));
		if (!parsed.success) return fail(400, { problem: 'Choose light or dark.' });
		await setPreferences(userOf(locals), parsed.data);
		return { saved: true };
	},
	password: async ({ request, locals }) => {
		const parsed = passwords.safeParse(await readForm(request));
		if (!parsed.success)
			return fail(400, { password: `Type your password, and a new one of ${SHORTEST_PASSWORD} characters or more.` });
		const { current, next } = parsed.data;
		const result = await changePassword(scopeOf(locals), userOf(locals).id, current, next);
		if (result === 'tooMany') return fail(429, { password: 'Too many wrong attempts. Wait a quarter of an hour.' });
		if (result === 'wrongPassword') return fail(400, { password: 'That is not your password now. Try again.' });
		redirect(303, '/signin');
	}
};
