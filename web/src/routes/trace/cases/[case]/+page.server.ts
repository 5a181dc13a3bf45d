import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { pumpHistory } from '@exetasis/server/pumps';
import { actOn, caseById, closeCase, reopenCase, workedOf, type CaseAnswer } from '@exetasis/server/trace/cases';
import { networkOf } from '@exetasis/server/trace/network';
import { actionSchema, closeSchema, reopenSchema, SURE, WATCH } from '$lib/forms/cases';
import { numberIn } from '$lib/forms/fields';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export async function load({ locals, params, url }) {
	const scope = scopeOf(locals);
	const traceCase = found(await caseById(scope, idFrom(params.case)));
	const { network } = await networkOf(scope);
	const { rebuilds, sheet } = found(await pumpHistory(scope, traceCase.pumpId));
	return {
		traceCase,
		already: url.searchParams.has('already'),
		cause: network.causes.find(({ key }) => key === traceCase.cause),
		stationName: sheet?.stations.find(({ key }) => key === traceCase.station)?.name ?? traceCase.station,
		rebuilds: rebuilds.map(({ id, receivedAt, pumpHours, releasedAt }) => ({ id, receivedAt, pumpHours, releasedAt })),
		worked: await workedOf(scope, traceCase),
		action: await superValidate({ job: rebuilds[0]?.id ?? '' }, zod4(actionSchema), { errors: false }),
		close: await superValidate(zod4(closeSchema), { errors: false }),
		reopen: await superValidate(zod4(reopenSchema))
	};
}

const sentences: Readonly<Record<Exclude<CaseAnswer['kind'], 'done'>, string>> = {
	unknown: 'This pump does not have this rebuild. Choose another.',
	alreadyOpen: 'A case is already open.',
	beforeItsCase: 'This rebuild was before the case. Choose the rebuild of the case or a later one.',
	withoutAction: 'No corrective action is recorded yet. Record it first, or close the case as refuted.',
	closed: 'Another person closed this case. Reload the page.',
	open: 'This case is already open. Reload the page.'
};

export const actions = {
	act: async ({ request, locals, params }) => {
		const scope = scopeOf(locals);
		const { id } = found(await caseById(scope, idFrom(params.case)));
		const form = await superValidate({ ...(await readForm(request)) }, zod4(actionSchema));
		if (!form.valid) return fail(400, { form });
		const { action, job, sure, watch } = form.data;
		const answer = await actOn(scope, userOf(locals), id, {
			action,
			jobId: job,
			effectiveness: numberIn(sure, SURE) / 100,
			watchHours: numberIn(watch, WATCH)
		});
		if (answer.kind !== 'done') return setError(form, 'job', sentences[answer.kind]);
		return message(form, 'Saved. The causes of this pump include the action from that rebuild on.');
	},
	close: async ({ request, locals, params }) => {
		const scope = scopeOf(locals);
		const { id } = found(await caseById(scope, idFrom(params.case)));
		const form = await superValidate({ ...(await readForm(request)) }, zod4(closeSchema));
		if (!form.valid) return fail(400, { form });
		const answer = await closeCase(scope, userOf(locals), id, form.data.outcome, form.data.says);
		if (answer.kind !== 'done') return setError(form, 'outcome', sentences[answer.kind]);
		return message(form, 'Closed.');
	},
	reopen: async ({ request, locals, params }) => {
		const scope = scopeOf(locals);
		const { id } = found(await caseById(scope, idFrom(params.case)));
		const form = await superValidate({ ...(await readForm(request)) }, zod4(reopenSchema));
		if (!form.valid) return fail(400, { form });
		const answer = await reopenCase(scope, userOf(locals), id, form.data.says);
		if (answer.kind !== 'done') return setError(form, 'says', sentences[answer.kind]);
		return message(form, 'Case reopened. Its result no longer counts.');
	}
};
