import { error, fail, redirect } from '@sveltejs/kit';
import { customsOf, firstTypes } from '@exetasis/core/draft';
import { may } from '@exetasis/server/access';
import { discardDraft, draftById, finishDraft } from '@exetasis/server/drafts';
import { layoutSheets } from '@exetasis/server/layouts';
import { newestSheets, sheetById } from '@exetasis/server/sheets';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const draft = found(await draftById(scope, idFrom(params.draft)));
	const before = draft.basedOn ? await sheetById(scope, draft.basedOn) : undefined;
	const known = [...(await layoutSheets()), ...(await newestSheets(scope))];
	return { draft, before, customs: customsOf(known), first: firstTypes(known) };
}

// A technician may write a draft; a lead makes a sheet of it.
function leadOnly(locals: App.Locals): void {
	if (!may(userOf(locals).role, 'manage')) error(403, 'Ask a lead of your shop to save or delete this draft.');
}

export const actions = {
	finish: async ({ locals, params, request }) => {
		leadOnly(locals);
		const { version = '' } = await readForm(request);
		if (!/^\d{1,9}$/.test(version))
			error(400, 'The server could not read this form. Reload the page and send it again.');
		const made = await finishDraft(scopeOf(locals), idFrom(params.draft), Number(version));
		switch (made.kind) {
			case 'added':
				redirect(303, `/sheets/${made.id}`);
			case 'revisionExists':
				return fail(409, {
					problem: `${made.model} already has revision ${made.revision}. Give this sheet another model name or revision.`
				});
			case 'unfinished':
				return fail(409, { problem: 'The draft still has problems. They are listed under Check.' });
			case 'faults':
				return fail(409, { problem: `${made.faults[0].path}: ${made.faults[0].message}.` });
			case 'gone':
				return fail(409, { problem: 'Another person changed this draft. Reload the page, then save again.' });
		}
	},
	discard: async ({ locals, params }) => {
		leadOnly(locals);
		if (!(await discardDraft(scopeOf(locals), idFrom(params.draft)))) error(404, 'Your shop no longer has this draft.');
		redirect(303, '/sheets');
	}
};
