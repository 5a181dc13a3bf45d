import { error, fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { keepSite, sitesWithPumps } from '@exetasis/server/shops';
import { siteSchema } from '$lib/forms/sites';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals }) => ({
	sites: await sitesWithPumps(scopeOf(locals)),
	form: await superValidate(zod4(siteSchema))
});

export const actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(siteSchema));
		if (!form.valid) return fail(400, { form });
		const { id, name } = form.data;
		const result = await keepSite(scopeOf(locals), name, id || undefined);
		if (result === 'nameTaken') return setError(form, 'name', 'Your shop already has a site with this name.');
		if (result === 'unknownSite') error(404, 'Your shop does not have this site.');
		return message(form, id ? `Renamed to ${name}.` : `${name} is added.`);
	}
};
