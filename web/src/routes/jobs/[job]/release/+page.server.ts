import { fail, redirect } from '@sveltejs/kit';
import { release } from '@exetasis/server/jobs/release';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export const actions = {
	default: async ({ locals, params }) => {
		const result = await release(scopeOf(locals), userOf(locals).id, idFrom(params.job));
		switch (result.kind) {
			case 'released':
				redirect(303, `/jobs/${params.job}/release`);
			case 'stepsOpen':
				return fail(409, {
					problem: `${result.steps.length} steps are not signed off yet, first: “${result.steps[0]}” Sign them off under Strip.`
				});
			case 'undecided':
				return fail(409, {
					problem: `${result.places.length} parts have no decision yet, or are to be looked at again.`
				});
			case 'alreadyReleased':
				return fail(409, { problem: 'Somebody has released this job already.' });
			case 'unknownJob':
				return found(undefined);
		}
	}
};
