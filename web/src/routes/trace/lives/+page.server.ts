import { runHeavy } from '@exetasis/server/background/heavy';
import { newestSheets, sheetsOf } from '@exetasis/server/sheets';
import { entries, groupings, livesAt, type Entry, type Grouping } from '@exetasis/server/trace/lives';
import { scopeOf, textFrom } from '$lib/server/request';

// What is asked about most often, where a model has it.
const usual = ['packing', 'highPressureSeal', 'cup', 'ropes', 'diaphragm'];

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	const sheets = (await newestSheets(scope)).toSorted((a, b) => a.model.localeCompare(b.model));
	// Unasked, the model of which the shop keeps the most pumps.
	const [most] = (await sheetsOf(scope)).toSorted((a, b) => b.pumps - a.pumps);
	const asked = textFrom(url, 'model') || most?.model;
	const sheet = sheets.find(({ model }) => model === asked) ?? sheets.at(0);
	const models = sheets.map(({ model }) => model);
	if (!sheet)
		return {
			models,
			model: '',
			stations: [],
			station: undefined,
			by: 'none' as Grouping,
			entry: 'fitting' as Entry,
			summary: undefined
		};
	const stations = sheet.stations.map(({ key, name, type }) => ({ key, name, type }));
	const station =
		stations.find(({ key }) => key === textFrom(url, 'station')) ??
		stations.find(({ key }) => usual.includes(key)) ??
		stations[0];
	const by = groupings.find((one) => one === textFrom(url, 'by')) ?? 'none';
	const entry = entries.find((one) => one === textFrom(url, 'from')) ?? 'fitting';
	return {
		models,
		model: sheet.model,
		entry,
		stations,
		station,
		by,
		summary: await runHeavy(
			scope.shopId,
			'summaryOf',
			await livesAt(scope, sheet.model, station.key, by, entry),
			url.searchParams.getAll('group').slice(0, 2)
		)
	};
}
