import { fail, redirect } from '@sveltejs/kit';
import { setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { openedCylinders } from '@exetasis/core/record';
import { changeOpened } from '@exetasis/server/jobs/opened';
import { openedSchema } from '$lib/forms/opened';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { placeName } from '$lib/words/place';

export const load = async ({ parent }) => {
	const { bench } = await parent();
	const cylinders = openedCylinders(bench.sheet, bench.job).join(',');
	return { form: await superValidate({ cylinders }, zod4(openedSchema)) };
};

export const actions = {
	default: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(openedSchema));
		if (!form.valid) return fail(400, { form });
		const job = idFrom(params.job);
		const asked = form.data.cylinders === '' ? [] : form.data.cylinders.split(',').map(Number);
		const answer = await changeOpened(scopeOf(locals), job, asked);
		const refused = (sentence: string) => setError(form, 'cylinders', sentence, { status: 409 });
		switch (answer.kind) {
			case 'changed':
				redirect(303, `/jobs/${job}/strip`);
			case 'unknownJob':
				return found(undefined);
			case 'released':
				return refused('The job is released. Choose the cylinders when the pump is received again.');
			case 'noneOpen':
				return refused('Choose at least one cylinder.');
			case 'wrongCylinder':
				return refused(`This pump does not have cylinder ${answer.cylinder}, or it is listed twice.`);
			case 'partsRecorded':
				return refused(
					`Something is recorded of ${answer.parts
						.slice(0, 3)
						.map(({ name, cylinder }) => placeName(name, cylinder))
						.join(', ')}. Undo it first, or leave that cylinder open.`
				);
		}
	}
};
