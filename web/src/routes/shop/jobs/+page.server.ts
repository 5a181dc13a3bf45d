import { fail, redirect } from '@sveltejs/kit';
import { superValidate, setError } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { importJob } from '@exetasis/server/jobFile/importJob';
import { readForm } from '$lib/server/form';
import { notationOf, scopeOf } from '$lib/server/request';
import { formatFor } from '$lib/format/numbers';
import { importSentence } from '$lib/words/jobFile';

const schema = z.object({ file: z.string().default('') });

export const load = async () => ({ form: await superValidate(zod4(schema)) });

export const actions = {
	default: async ({ locals, request }) => {
		const { file } = await readForm(request, ['file']);
		const form = await superValidate(zod4(schema));
		if (!file) {
			setError(form, 'file', 'Choose a job file first.');
			return fail(400, { form });
		}
		const result = await importJob(scopeOf(locals), file);
		if (result.kind === 'imported') redirect(303, `/jobs/${result.jobId}`);
		return setError(
			form,
			'file',
			importSentence(
				result,
				formatFor(() => notationOf(locals))
			)
		);
	}
};
