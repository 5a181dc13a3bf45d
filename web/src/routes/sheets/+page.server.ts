import { fail, redirect } from '@sveltejs/kit';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';
import { addSheet, sheetsOf } from '@exetasis/server/sheets';

export const load = async ({ locals }) => ({ sheets: await sheetsOf(scopeOf(locals)) });

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
