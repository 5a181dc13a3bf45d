import { error, fail, redirect } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { lateWork } from '@exetasis/server/benchLog/late';
import { keepCustomer } from '@exetasis/server/jobs/customer';
import { release } from '@exetasis/server/jobs/release';
import { customerIn } from '$lib/forms/customer';
import { releaseSchema, toldSchema } from '$lib/forms/release';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export async function load({ locals, params, parent }) {
	const { bench } = await parent();
	const to = bench.job.arrival.workplace === 'machine' ? 'service' : 'shelf';
	return {
		form: await superValidate({ to }, zod4(releaseSchema), { errors: false }),
		told: await superValidate({ ...bench.job.customer, customer: bench.job.customer.name ?? '' }, zod4(toldSchema), {
			errors: false
		}),
		late: await lateWork(scopeOf(locals), idFrom(params.job))
	};
}

export const actions = {
	told: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(toldSchema));
		if (!form.valid) return fail(400, { form });
		const { cause, advice } = form.data;
		const change = { ...customerIn(form.data), cause: cause || undefined, advice: advice || undefined };
		switch (await keepCustomer(scopeOf(locals), userOf(locals), idFrom(params.job), change)) {
			case 'kept':
				return message(form, 'Saved. The customer report shows it.');
			case 'leadOnly':
				return setError(form, '', 'The job is released. Only a lead can change its report.', { status: 403 });
			case 'unknownJob':
				error(404, 'Your shop does not have this job.');
		}
	},
	release: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(releaseSchema));
		if (!form.valid) return fail(400, { form });
		const { unbuilt, to, connected } = form.data;
		const result = await release(scopeOf(locals), userOf(locals), idFrom(params.job), {
			unbuilt: unbuilt || undefined,
			handover: { to, connected: connected === 'yes' }
		});
		const refused = (sentence: string) => setError(form, '', sentence, { status: 409 });
		switch (result.kind) {
			case 'released':
				redirect(303, `/jobs/${params.job}/release`);
			case 'stepsOpen':
				return refused(
					`${result.steps.length} steps are not signed off yet, first: “${result.steps[0]}” Sign them off under Strip.`
				);
			case 'undecided':
				return refused(`${result.places.length} parts have no decision yet or must be rechecked.`);
			case 'notConnected':
				return setError(
					form,
					'connected',
					'Confirm that hoses and covers are back in place, or put the pump in stock.',
					{ status: 409 }
				);
			case 'notTogether':
				return refused(
					'Assembly or test is not complete. Finish it under Build and Prove, or ask a lead to release it with a reason.'
				);
			case 'shaftLocked':
				return refused(`The shaft is still locked. ${result.why} Finish the assembly first.`);
			case 'leadOnly':
				return refused('Only a lead can release an incomplete pump. Ask a lead.');
			case 'alreadyReleased':
				return refused('This job is already released.');
			case 'unknownJob':
				return found(undefined);
		}
	}
};
