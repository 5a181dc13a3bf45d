import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { metric } from '@exetasis/core/quantity';
import { setPreferences } from '@exetasis/server/people';
import { userOf } from '$lib/server/request';

const units = z.object({
	length: z.enum(['mm', 'in']),
	torque: z.enum(['Nm', 'ftlbf', 'inlbf']),
	pressure: z.enum(['MPa', 'bar', 'psi']),
	temperature: z.enum(['C', 'F'])
});
const theme = z.object({ theme: z.enum(['light', 'dark']) });

export const load = ({ locals }) => ({ chosen: userOf(locals).preferences.units ?? metric });

export const actions = {
	units: async ({ request, locals }) => {
		const parsed = units.safeParse(Object.fromEntries(await request.formData()));
		if (!parsed.success) return fail(400, { problem: 'Choose one unit for each.' });
		await setPreferences(userOf(locals), { units: parsed.data });
		return { saved: true };
	},
	theme: async ({ request, locals }) => {
		const parsed = theme.safeParse(Object.fromEntries(await request.formData()));
		if (!parsed.success) return fail(400, { problem: 'Choose light or dark.' });
		await setPreferences(userOf(locals), parsed.data);
		return { saved: true };
	}
};
