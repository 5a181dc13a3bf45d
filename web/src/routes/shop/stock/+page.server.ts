import { error, fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { newestSheet, sheetsOf } from '@exetasis/server/sheets';
import { keepStock, stockOf } from '@exetasis/server/stock';
import { stockSchema } from '$lib/forms/stock';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals, url }) => {
	const scope = scopeOf(locals);
	const models = [...new Set((await sheetsOf(scope)).map(({ model }) => model))].sort();
	const model = models.find((text) => text === url.searchParams.get('model')) ?? models.at(0);
	const sheet = model === undefined ? undefined : await newestSheet(scope, model);
	const lines = new Map(model === undefined ? [] : (await stockOf(scope, model)).map((line) => [line.station, line]));
	return {
		models,
		model,
		lines: (sheet?.body.stations ?? []).map(({ key, name, type }) => ({
			station: key,
			name,
			type,
			pieces: lines.get(key)?.pieces ?? 0,
			floor: lines.get(key)?.floor ?? 0
		})),
		form: await superValidate(zod4(stockSchema))
	};
};

export const actions = {
	default: async ({ locals, request }) => {
		const scope = scopeOf(locals);
		const form = await superValidate({ ...(await readForm(request)) }, zod4(stockSchema));
		if (!form.valid) return fail(400, { form });
		const { model, station: key, pieces, floor } = form.data;
		const sheet = await newestSheet(scope, model);
		const station = sheet?.body.stations.find((candidate) => candidate.key === key);
		if (!station) error(404, 'This part is not on a model sheet of your shop.');
		await keepStock(scope, model, { station: key, pieces: Number(pieces), floor: Number(floor) });
		return message(form, `${station.name}: ${pieces} in the drawer, ${floor} always there.`);
	}
};
