import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { letterheadOf, setLetterhead } from '@exetasis/server/letterhead';
import { letterheadSchema } from '$lib/forms/letterhead';
import { readUpload } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';
import { logoSentence } from '$lib/words/logo';

export async function load({ locals }) {
	const { address, logo } = await letterheadOf(scopeOf(locals));
	return { form: await superValidate({ address }, zod4(letterheadSchema)), hasLogo: logo !== null };
}

export const actions = {
	default: async ({ request, locals }) => {
		const { form: sent, bytes } = await readUpload(request, 'file');
		const form = await superValidate({ ...sent }, zod4(letterheadSchema));
		if (!form.valid) return fail(400, { form });
		const { address, without } = form.data;
		const answer = await setLetterhead(
			scopeOf(locals),
			address,
			bytes.length > 0 ? bytes : without === 'yes' ? null : undefined
		);
		if (answer !== 'kept') return setError(form, 'logo', logoSentence[answer]);
		return message(form, 'Saved. Every customer report shows it from now on.');
	}
};
