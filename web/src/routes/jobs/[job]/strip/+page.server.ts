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
			setError(form, 'variants', 'What this pump is made of was not understood. Choose it again.');
			return fail(400, { form });
		}
		const refused = (sentence: string, status: 400 | 409 = 409) => setError(form, 'variants', sentence, { status });
		const answer = await sayMadeOf(scopeOf(locals), idFrom(params.job), said);
		switch (answer.kind) {
			case 'kept':
				return message(form, 'Only the parts of such a pump lie on the mat now, and the pump keeps it.');
			case 'unknownJob':
				return found(undefined);
			case 'released':
				return refused('The job is released: what its pump is made of stands. Say it when the pump comes in again.');
			case 'wrongVariant':
				return refused('Choose for every cylinder first; then the mat is laid out anew.', 400);
			case 'saidBefore':
				return refused(
					`${answer.variants.join(', ')}: this has been said already, and a pump does not change while it is open. If it is wrong, note it at the part, and say it anew when the pump comes in again.`
				);
			case 'spokenOf':
				return refused(
					`Such a pump has no ${answer.parts.map(({ name, cylinder }) => placeName(name, cylinder)).join(', no ')}, and something is recorded there. Take that back first, or choose again.`
				);
		}
	}
};
