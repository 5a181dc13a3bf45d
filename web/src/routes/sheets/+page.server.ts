import { redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { sheetTextSchema, type SheetFaults } from '$lib/forms/sheet';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';
import type { ShopScope } from '@exetasis/server/db/scope';
import { draftsOf } from '@exetasis/server/drafts';
import { addSheet, drawnSheetsOf, sheetById } from '@exetasis/server/sheets';

/** The text of the revision that follows a sheet, to be edited. */
async function nextRevision(scope: ShopScope, id: string | null): Promise<string> {
	if (!id) return '';
	const sheet = found(await sheetById(scope, idFrom(id)));
	return JSON.stringify({ ...sheet, revision: sheet.revision + 1 }, null, '\t');
}

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	const text = await nextRevision(scope, url.searchParams.get('from'));
	return {
		sheets: await drawnSheetsOf(scope),
		drafts: await draftsOf(scope),
		form: await superValidate({ text }, zod4(sheetTextSchema))
	};
}

export const actions = {
	default: async ({ locals, request }) => {
		const { file, text = '' } = await readForm(request, ['file']);
		const form = await superValidate<{ text: string }, SheetFaults>({ text: file ?? text }, zod4(sheetTextSchema));
		const result = await addSheet(scopeOf(locals), form.data.text);
		switch (result.kind) {
			case 'added':
				redirect(303, `/sheets/${result.id}`);
			case 'faults':
				return message(form, { faults: result.faults, more: result.more }, { status: 400 });
			case 'revisionExists': {
				const told = `${result.model} has a revision ${result.revision} already: sheets are never changed, give this one the next number`;
				return message(form, { faults: [{ line: 1, path: 'revision', message: told }], more: 0 }, { status: 409 });
			}
		}
	}
};
