import { error, fail, redirect } from '@sveltejs/kit';
import { setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { pumpHistory } from '@exetasis/server/pumps';
import { beliefsOfPump } from '@exetasis/server/trace/beliefs';
import { openCase } from '@exetasis/server/trace/cases';
import { networkOf } from '@exetasis/server/trace/network';
import { traceOf } from '@exetasis/server/trace/onePump';
import { openCaseSchema } from '$lib/forms/cases';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const { pump, rebuilds, lives, sheet } = found(await pumpHistory(scope, idFrom(params.pump)));
	return {
		pump,
		sheet,
		lives,
		hoursNow: rebuilds[0]?.pumpHours ?? 0,
		open: rebuilds.find(({ releasedAt }) => !releasedAt)?.id,
		trace: await traceOf(scope, pump.id),
		beliefs: await beliefsOfPump(scope, pump),
		form: await superValidate(zod4(openCaseSchema))
	};
}

export const actions = {
	default: async ({ request, locals, params }) => {
		const scope = scopeOf(locals);
		const { pump, rebuilds, sheet } = found(await pumpHistory(scope, idFrom(params.pump)));
		const form = await superValidate({ ...(await readForm(request)) }, zod4(openCaseSchema));
		if (!form.valid) return fail(400, { form });
		const { station, cylinder, pattern, cause, hypothesis } = form.data;
		if (rebuilds.length === 0 || !sheet?.stations.some(({ key }) => key === station))
			error(404, 'This pump has no history of this part.');
		if (!(await networkOf(scope)).network.causes.some(({ key }) => key === cause))
			return setError(form, 'cause', 'Choose one of the causes in the list.');
		const answer = await openCase(scope, userOf(locals), {
			pumpId: pump.id,
			...{ station, pattern, cause, hypothesis },
			cylinder: Number(cylinder),
			openedJobId: rebuilds[0].id
		});
		switch (answer.kind) {
			case 'done':
				redirect(303, `/trace/cases/${answer.id}`);
			case 'alreadyOpen':
				redirect(303, `/trace/cases/${answer.id}?already`);
			default:
				error(404, 'This pump or rebuild does not exist.');
		}
	}
};
