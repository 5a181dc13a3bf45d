import { error, fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { movePump, pumpHistory } from '@exetasis/server/pumps';
import { sitesOf } from '@exetasis/server/shops';
import { moveSchema } from '$lib/forms/sites';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const history = found(await pumpHistory(scope, idFrom(params.pump)));
	const { siteId, tag } = history.pump;
	return {
		...history,
		sites: await sitesOf(scope),
		form: await superValidate({ site: siteId ?? '', tag: tag ?? '' }, zod4(moveSchema), { errors: false })
	};
}

export const actions = {
	default: async ({ request, locals, params }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(moveSchema));
		if (!form.valid) return fail(400, { form });
		const { site, tag } = form.data;
		const to = { siteId: site || null, tag: tag || null };
		switch (await movePump(scopeOf(locals), userOf(locals).id, idFrom(params.pump), to)) {
			case 'moved':
				return message(form, 'Saved. The earlier site stays in the history.');
			case 'samePlace':
				return setError(form, 'site', 'This is already its site and name. Choose another.');
			case 'unknownSite':
				return setError(form, 'site', 'Your shop does not have this site. Choose another.');
			case 'unknownPump':
				error(404, 'Your shop does not have this pump.');
		}
	}
};
