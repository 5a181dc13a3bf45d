import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { addSize, layDown, type LaidDownAnswer } from '@exetasis/server/jobs/layDown';
import { batchIn, idsIn, laidDownIn, newSizeSchema } from '$lib/forms/layDown';
import { setVariants } from '@exetasis/server/jobs/variants';
import { VARIANTS_FORM, variantsSchema } from '$lib/forms/variants';
import { chosenIn } from '$lib/forms/receive';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { placeName } from '$lib/words/place';

function grown(answer: LaidDownAnswer) {
	switch (answer.kind) {
		case 'laid':
			return { stations: [...answer.stations] };
		case 'unknownJob':
			return found(undefined);
		case 'released':
			return fail(409, { problem: 'The job is released.' });
		case 'blocked':
			return fail(409, { problem: 'Sign off lock-out and release of pressure first.' });
		case 'checked':
			return fail(409, { problem: 'A lead has checked the sheet. Ask for a new revision of it.' });
		case 'unknownSize':
			return fail(409, {
				problem:
					'This size was not added: the part is not on the mat, no known sheet limits it, or another person recorded it differently.'
			});
		case 'idsTaken':
			return fail(409, { problem: 'These parts are on a mat already. Reload the page.' });
		case 'faults':
			return fail(409, { problem: `The sheet cannot take this: ${answer.message}.` });
	}
}

export const actions = {
	lay: async ({ locals, params, request }) => {
		const { parts: text = '', behind, request: id, ids: idsText = '[]' } = await readForm(request);
		const parts = laidDownIn(text);
		const ids = idsIn(idsText);
		const batch = batchIn(id);
		if (!parts || !ids) return fail(400, { problem: 'The parts could not be read. Choose at most 40 parts at once.' });
		const answer = await layDown(scopeOf(locals), idFrom(params.job), parts, {
			...(behind ? { behind } : {}),
			...(batch ? { request: batch } : {}),
			ids
		});
		return grown(answer);
	},
	size: async ({ locals, params, request }) => {
		const size = newSizeSchema.safeParse({ ...(await readForm(request)) });
		if (!size.success) return fail(400, { problem: 'The size could not be read. Type what a new part measures.' });
		return grown(await addSize(scopeOf(locals), idFrom(params.job), size.data));
	},
	variants: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(variantsSchema), {
			id: VARIANTS_FORM
		});
		const said = form.valid ? chosenIn(form.data) : undefined;
		if (!said) {
			setError(form, 'variants', 'The variant could not be read. Choose it again.');
			return fail(400, { form });
		}
		const refused = (sentence: string, status: 400 | 409 = 409) => setError(form, 'variants', sentence, { status });
		const answer = await setVariants(scopeOf(locals), idFrom(params.job), said);
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
			case 'partsRecorded':
				return refused(
					`This variant does not have: ${answer.parts.map(({ name, cylinder }) => placeName(name, cylinder)).join(', ')}. Entries exist there. Undo them first, or choose again.`
				);
		}
	}
};
