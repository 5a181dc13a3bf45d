import { fail, redirect } from '@sveltejs/kit';
import { superValidate, setError } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { addGauge, addGauges, byDue, gaugesOf } from '@exetasis/server/gauges';
import { newGaugeOf, newGaugeSchema } from '$lib/forms/gauge';
import { readGauges } from '$lib/forms/gaugeCsv';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';

const customary = { repeatabilityDof: '9', reproducibility: '0', expansion: '11.5', k: '2' };

export const load = async ({ locals }) => ({
	gauges: byDue(await gaugesOf(scopeOf(locals))),
	form: await superValidate(customary, zod4(newGaugeSchema), { errors: false })
});

export const actions = {
	add: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(newGaugeSchema));
		if (!form.valid) return fail(400, { form });
		const result = await addGauge(scopeOf(locals), newGaugeOf(form.data).facts, newGaugeOf(form.data).certificate);
		if (result.kind !== 'kept')
			return setError(form, 'name', 'Your shop already has a gauge with this name. Type another name.');
		redirect(303, `/gauges/${result.id}`);
	},
	/** Looks through a list and says what is wrong with it; nothing is taken in yet. */
	check: async ({ request }) => {
		const typed = await readForm(request, ['list']);
		const text = typed.list ?? typed.text ?? '';
		if (text.trim() === '') return fail(400, { list: { text, good: 0, faults: [], more: 0, empty: true } });
		const { gauges, faults, more } = readGauges(text);
		return { list: { text, good: gauges.length, faults, more, empty: false } };
	},
	/** Takes in the lines of a list that hold. */
	take: async ({ request, locals }) => {
		const { text = '' } = await readForm(request);
		const { gauges } = readGauges(text);
		const known = await addGauges(scopeOf(locals), gauges);
		return { taken: { added: gauges.length - known.length, known } };
	}
};
