import { error, fail, redirect } from '@sveltejs/kit';
import { changesBetween } from '@exetasis/core/draft';
import type { ModelSheet } from '@exetasis/core/record';
import type { ShopScope } from '@exetasis/server/db/scope';
import { jobsOnOthers, moveJob } from '@exetasis/server/jobs/moveJob';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import type { DocumentListing } from '@exetasis/server/documents/documents';
import { attach, detach, documentsOf } from '@exetasis/server/documents/documents';
import { startRevision } from '@exetasis/server/drafts';
import { pinnedSheet, sheetById } from '@exetasis/server/sheets';
import { attachSchema } from '$lib/forms/documents';
import { readForm, readUpload } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';
import { lostSentence } from '$lib/words/draft';
import { attachSentence } from '$lib/words/documents';

/** Open jobs that go by an earlier revision, with what has changed since. */
async function onEarlier(scope: ShopScope, sheet: ModelSheet, id: string) {
	const jobs = (await jobsOnOthers(scope, sheet.model, id)).filter(({ revision }) => revision < sheet.revision);
	return Promise.all(
		jobs.map(async (job) => ({ ...job, changes: changesBetween(await pinnedSheet(scope, job.sheetId), sheet) }))
	);
}

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const sheet = found(await sheetById(scope, idFrom(params.sheet)));
	return {
		sheet,
		earlier: await onEarlier(scope, sheet, params.sheet),
		documents: await documentsOf(scope, sheet.model),
		form: await superValidate(zod4(attachSchema))
	};
}

export const actions = {
	move: async ({ locals, params, request }) => {
		const { job = '', serial = '' } = await readForm(request);
		const moved = await moveJob(scopeOf(locals), idFrom(job), idFrom(params.sheet));
		switch (moved.kind) {
			case 'moved':
				return { moved: serial.slice(0, 60) };
			case 'loses':
				return fail(409, { refused: lostSentence(serial.slice(0, 60), moved.lost) });
			case 'released':
				return fail(409, { refused: 'This job is released. It keeps its revision.' });
			default:
				error(404, 'This job or sheet does not exist. Reload the page.');
		}
	},
	revise: async ({ locals, params }) => {
		const draft = await startRevision(scopeOf(locals), userOf(locals), idFrom(params.sheet));
		redirect(303, `/sheets/drafts/${found(draft)}`);
	},
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
