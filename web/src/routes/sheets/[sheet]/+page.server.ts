import { error, fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import type { DocumentListing } from '@exetasis/server/documents/documents';
import { attach, detach, documentsOf } from '@exetasis/server/documents/documents';
import { sheetById } from '@exetasis/server/sheets';
import { attachSchema } from '$lib/forms/documents';
import { readForm, readUpload } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';
import { attachSentence } from '$lib/words/documents';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const sheet = found(await sheetById(scope, idFrom(params.sheet)));
	return {
		sheet,
		documents: await documentsOf(scope, sheet.model),
		form: await superValidate(zod4(attachSchema))
	};
}

export const actions = {
	attach: async ({ request, locals, params }) => {
		const scope = scopeOf(locals);
		const { model } = found(await sheetById(scope, idFrom(params.sheet)));
		const { form: sent, bytes } = await readUpload(request, 'file');
		const form = await superValidate({ ...sent }, zod4(attachSchema));
		if (!form.valid) return fail(400, { form });
		if (bytes.length === 0) return setError(form, 'file', 'Choose a file first.');
		const [about, key = ''] = form.data.at.split('/') as [DocumentListing['about'], string?];
		const { name } = form.data;
		const answer = await attach(scope, userOf(locals), { model, about, key, name, bytes });
		if (answer.kind !== 'attached') return setError(form, 'file', attachSentence(answer));
		return message(form, 'Document attached.');
	},
	detach: async ({ request, locals }) => {
		const { document = '' } = await readForm(request);
		if (!(await detach(scopeOf(locals), idFrom(document)))) error(404, 'Your shop no longer has this document.');
	}
};
