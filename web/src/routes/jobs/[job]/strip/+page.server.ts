import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { sayMadeOf, stillOpen } from '@exetasis/server/jobs/madeOf';
import { madeOfSchema } from '$lib/forms/madeOf';
import { chosenIn } from '$lib/forms/receive';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { placeName } from '$lib/words/place';

export const load = async ({ parent }) => {
	const { bench } = await parent();
	return {
		open: bench.job.releasedAt ? undefined : stillOpen(bench),
		form: await superValidate(zod4(madeOfSchema))
	};
};

export const actions = {
	default: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(madeOfSchema));
		const said = form.valid ? chosenIn(form.data) : undefined;
		if (!said) {
			setError(form, 'variants', 'The variant could not be read. Choose it again.');
			return fail(400, { form });
		}
		const refused = (sentence: string, status: 400 | 409 = 409) => setError(form, 'variants', sentence, { status });
		const answer = await sayMadeOf(scopeOf(locals), idFrom(params.job), said);
		switch (answer.kind) {
			case 'kept':
				return message(form, 'Saved. The mat now shows the parts of this variant.');
			case 'unknownJob':
				return found(undefined);
			case 'released':
				return refused('The job is released. Choose the variant when the pump is received again.');
			case 'wrongVariant':
				return refused('Choose the variant of every cylinder.', 400);
			case 'saidBefore':
				return refused(
					`${answer.variants.join(', ')}: already recorded, and it cannot change while the pump is open. If it is wrong, add a note to the part and correct it at the next receiving.`
				);
			case 'spokenOf':
				return refused(
					`This variant does not have: ${answer.parts.map(({ name, cylinder }) => placeName(name, cylinder)).join(', ')}. Entries exist there. Undo them first, or choose again.`
				);
		}
	}
};
