import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { changePerson, invite, setActive, staffOf } from '@exetasis/server/people';
import { activeSchema, inviteSchema, personSchema } from '$lib/forms/people';
import { readForm } from '$lib/server/form';
import { scopeOf, userOf } from '$lib/server/request';

export const load = async ({ locals }) => ({
	staff: await staffOf(scopeOf(locals)),
	form: await superValidate({ role: 'technician' as const }, zod4(inviteSchema), { errors: false })
});

const UNKNOWN_PERSON = 'This person is not in your shop. Reload the page.';

export const actions = {
	invite: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(inviteSchema));
		if (!form.valid) return fail(400, { form });
		const result = await invite(scopeOf(locals), form.data);
		if (result.kind === 'mailTaken')
			return setError(form, 'email', 'This address is already in use. Type another one.');
		return message(
			form,
			`${form.data.name} can sign in with ${form.data.email} and the password ${result.password}. It is shown this once: hand it on, to be changed under Settings.`
		);
	},
	change: async ({ request, locals }) => {
		const parsed = personSchema.safeParse({ ...(await readForm(request)) });
		if (!parsed.success) return fail(400, { people: parsed.error.issues[0].message });
		const { person, ...change } = parsed.data;
		const result = await changePerson(scopeOf(locals), userOf(locals).id, person, change);
		if (result === 'yourself') return fail(400, { people: 'You cannot change your own role. Ask another lead.' });
		if (result === 'unknownPerson') return fail(404, { people: UNKNOWN_PERSON });
		return { people: undefined };
	},
	active: async ({ request, locals }) => {
		const parsed = activeSchema.safeParse({ ...(await readForm(request)) });
		if (!parsed.success) return fail(400, { people: 'Choose a person of your shop.' });
		const { person: id, active } = parsed.data;
		const result = await setActive(scopeOf(locals), userOf(locals).id, id, active === 'true');
		if (result === 'yourself') return fail(400, { people: 'You cannot deactivate yourself. Ask another lead.' });
		if (result === 'unknownPerson') return fail(404, { people: UNKNOWN_PERSON });
		return { people: undefined };
	}
};
