import { fail, redirect } from '@sveltejs/kit';
import { setError, superValidate, type SuperValidated } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { may } from '@exetasis/server/access';
import { receive, type Received as Answer } from '@exetasis/server/jobs/receive';
import { modelsToReceive } from '@exetasis/server/sheets';
import { policyOf, sitesOf } from '@exetasis/server/shops';
import { formatFor } from '$lib/format/numbers';
import { receiveSchema, type Received } from '$lib/forms/receive';
import { arrivalIn } from '$lib/server/arrival';
import { readForm } from '$lib/server/form';
import { notationOf, scopeOf, textFrom, userOf } from '$lib/server/request';

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	return {
		form: await superValidate({}, zod4(receiveSchema), { errors: false }),
		models: await modelsToReceive(scope),
		/** A model that was chosen before, on its sheet. */
		model: textFrom(url, 'model'),
		sites: await sitesOf(scope),
		liftAloneKg: (await policyOf(scope)).liftAloneKg,
		mayManage: may(userOf(locals).role, 'manage')
	};
}

/** Leads to the new job, or says beside the field why the pump was not received. */
function answerTo(result: Answer, form: SuperValidated<Received>) {
	switch (result.kind) {
		case 'received':
			redirect(303, `/jobs/${result.jobId}/strip`);
		case 'meterWentBack': {
			setError(
				form,
				'hours',
				`The meter showed ${result.last} h last time. Correct the number, or fill in the hours of the old meter below.`
			);
			return fail(400, { form, meterWentBack: true });
		}
		case 'serialTaken':
			return setError(form, 'serial', `${result.serial} is known already: choose it from the list above.`);
		case 'openJob': {
			setError(form, 'pump', 'This pump already has an open job.');
			return fail(400, { form, openJob: result.jobId });
		}
		case 'unknownSite':
			return setError(form, 'site', 'Your shop does not have this site. Choose another.');
		case 'unknownScope':
			return setError(form, 'scope', 'Choose one of the scopes of work on the model sheet.');
		case 'needsEvidence':
			return setError(
				form,
				'evidence',
				'This end stays closed without evidence. Choose the evidence, or ask a lead for a reason.'
			);
		case 'wrongVariant':
			return setError(form, 'variants', 'This choice is not on the model sheet. Choose again.');
		case 'wrongCylinder':
			return setError(form, 'cylinders', `This pump does not have cylinder ${result.cylinder}, or it is listed twice.`);
		case 'wrongTool':
			return setError(form, 'tools', 'This tool is not on the model sheet. Choose again.');
		case 'unknownPump':
			return setError(form, 'pump', 'Your shop does not have this pump. Choose another.');
		case 'unknownModel':
			return setError(
				form,
				'model',
				`There is no model sheet for ${result.model}. A lead can import one under Model sheets.`
			);
	}
}

export const actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(receiveSchema));
		if (!form.valid) return fail(400, { form });
		const arrival = arrivalIn(
			form,
			formatFor(() => notationOf(locals)),
			may(userOf(locals).role, 'manage')
		);
		if (!arrival) return fail(400, { form });
		return answerTo(await receive(scopeOf(locals), userOf(locals).id, arrival), form);
	}
};
