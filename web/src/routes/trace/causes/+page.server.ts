import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { keepNetwork, networkOf } from '@exetasis/server/trace/network';
import { readForm } from '$lib/server/form';
import { scopeOf, userOf } from '$lib/server/request';
import { faultSentence } from '$lib/words/causes';

const schema = z.object({
	revision: z.string().regex(/^\d{1,9}$/),
	text: z.string().max(400_000, 'At most 400 000 characters.')
});
const MOST_FAULTS = 5;

export async function load({ locals }) {
	const inForce = await networkOf(scopeOf(locals));
	const text = JSON.stringify(inForce.network, null, '\t');
	return { ...inForce, form: await superValidate({ revision: String(inForce.revision), text }, zod4(schema)) };
}

export const actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(schema));
		if (!form.valid) return fail(400, { form });
		let network: unknown;
		try {
			network = JSON.parse(form.data.text);
		} catch (problem) {
			return setError(
				form,
				'text',
				`This is not valid JSON: ${(problem as Error).message}. Correct it and save again.`
			);
		}
		const kept = await keepNetwork(scopeOf(locals), userOf(locals), Number(form.data.revision), network);
		switch (kept.kind) {
			case 'kept':
				return message(
					{ ...form, data: { ...form.data, revision: String(kept.revision) } },
					`Saved as revision ${kept.revision}.`
				);
			case 'overtaken':
				return setError(
					form,
					'text',
					`Another person saved revision ${kept.revision}. Copy your text, reload the page and paste it again.`
				);
			case 'faults':
				return setError(form, 'text', kept.faults.slice(0, MOST_FAULTS).map(faultSentence).join(' '));
		}
	}
};
