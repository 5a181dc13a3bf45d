import { fail, redirect } from '@sveltejs/kit';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf } from '$lib/server/request';
import type { ShopScope } from '@exetasis/server/db/scope';
import { addSheet, sheetById, sheetsOf } from '@exetasis/server/sheets';

/** The text of the revision that follows a sheet, to be edited. */
async function nextRevision(scope: ShopScope, id: string | null): Promise<string> {
	if (!id) return '';
	const sheet = found(await sheetById(scope, idFrom(id)));
	return JSON.stringify({ ...sheet, revision: sheet.revision + 1 }, null, '\t');
}

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	return { sheets: await sheetsOf(scope), from: await nextRevision(scope, url.searchParams.get('from')) };
}

export const actions = {
	default: async ({ locals, request }) => {
		const form = await readForm(request, ['file']);
		const text = form.file ?? form.text ?? '';
		const result = await addSheet(scopeOf(locals), text);
		switch (result.kind) {
			case 'added':
				redirect(303, `/sheets/${result.id}`);
			case 'faults':
				return fail(400, { text, faults: result.faults, more: result.more });
			case 'revisionExists':
				return fail(409, {
					text,
					more: 0,
					faults: [
						{
							line: 1,
							path: 'revision',
							message: `${result.model} has a revision ${result.revision} already: sheets are never changed, give this one the next number`
						}
					]
				});
		}
	}
};
