import { error, fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { addCertificate, changeGauge, gaugeById, retireGauge } from '@exetasis/server/gauges';
import { certificateOf, certificateSchema, factsOf, gaugeFactsSchema } from '$lib/forms/gauge';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';

const MICRO = 1e6;

export async function load({ locals, params }) {
	const page = found(await gaugeById(scopeOf(locals), idFrom(params.gauge)));
	const { gauge } = page;
	const typed = {
		name: gauge.name,
		kind: gauge.kind as never,
		resolution: String(gauge.resolution),
		repeatability: String(gauge.repeatability),
		repeatabilityDof: String(gauge.repeatabilityDof),
		reproducibility: String(gauge.reproducibility),
		expansion: String(Number((gauge.expansionPerKelvin * MICRO).toPrecision(6)))
	};
	return {
		...page,
		facts: await superValidate(typed, zod4(gaugeFactsSchema), { errors: false, id: 'facts' }),
		certificate: await superValidate({ k: '2' }, zod4(certificateSchema), { errors: false, id: 'certificate' })
	};
}

const GONE = 'Your shop no longer has this gauge.';

export const actions = {
	facts: async ({ request, locals, params }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(gaugeFactsSchema), { id: 'facts' });
		if (!form.valid) return fail(400, { form });
		const result = await changeGauge(scopeOf(locals), idFrom(params.gauge), factsOf(form.data));
		if (result.kind === 'nameTaken')
			return setError(form, 'name', 'Your shop already has a gauge with this name. Type another name.');
		if (result.kind === 'unknownGauge') error(404, GONE);
		return message(form, 'Saved. Open jobs use these values now; released jobs keep theirs.');
	},
	certificate: async ({ request, locals, params }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(certificateSchema), { id: 'certificate' });
		if (!form.valid) return fail(400, { form });
		const result = await addCertificate(scopeOf(locals), idFrom(params.gauge), certificateOf(form.data));
		if (result.kind !== 'kept') error(404, GONE);
		return message(form, 'Saved. The newest certificate counts.');
	},
	retire: async ({ request, locals, params }) => {
		const { retired } = await readForm(request);
		const result = await retireGauge(scopeOf(locals), idFrom(params.gauge), retired === 'true');
		if (result.kind !== 'kept') error(404, GONE);
	}
};
