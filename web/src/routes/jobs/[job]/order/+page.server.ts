import { fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { orderOf } from '@exetasis/server/jobs/order';
import { takeFromStock } from '@exetasis/server/stock';
import type { Bought } from '@exetasis/core/order';
import { boughtSchema, takeSchema } from '$lib/forms/order';
import { readForm } from '$lib/server/form';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

/** What is asked to be here within so many days; left out, or no number of days: whenever it comes. */
function daysFrom(url: URL): number | undefined {
	const days = Number(url.searchParams.get('within') || Number.NaN);
	return Number.isInteger(days) && days >= 0 && days <= 1000 ? days : undefined;
}

/** Counts chosen by hand, by number of the offer. */
function chosenFrom(url: URL): Bought {
	try {
		return boughtSchema.parse(JSON.parse(url.searchParams.get('chosen') ?? '{}'));
	} catch {
		return {}; // an address that was changed by hand
	}
}

export const load = async ({ locals, params, url }) => {
	const withinDays = daysFrom(url);
	const asked = { ...(withinDays === undefined ? {} : { withinDays }), chosen: chosenFrom(url) };
	return { within: withinDays, order: found(await orderOf(scopeOf(locals), idFrom(params.job), asked)) };
};

export const actions = {
	default: async ({ locals, params, request }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(takeSchema));
		if (!form.valid) return fail(400, { form });
		const taken = await takeFromStock(scopeOf(locals), userOf(locals), idFrom(params.job), form.data);
		switch (taken.kind) {
			case 'taken':
				return message(form, 'Taken from the drawer.');
			case 'tooFew':
				return setError(form, '', `Only ${taken.left} left in stock. Another person took some.`, {
					status: 409
				});
			case 'refused':
				return setError(form, '', 'This job is released or does not need this part.', {
					status: 409
				});
			case 'unknownJob':
				return found(undefined);
		}
	}
};
