import { fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { policyOf, setPolicy } from '@exetasis/server/shops';
import { policyFormSchema, policyIn, policyTyped } from '$lib/forms/policy';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals }) => ({
	form: await superValidate(policyTyped(await policyOf(scopeOf(locals))), zod4(policyFormSchema))
});

export const actions = {
	policy: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(policyFormSchema));
		if (!form.valid) return fail(400, { form });
		await setPolicy(scopeOf(locals), policyIn(form.data));
		return message(form, 'Saved. Open jobs use these rules now.');
	}
};
