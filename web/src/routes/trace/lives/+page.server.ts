import { runHeavy } from '@exetasis/server/background/heavy';
import { newestSheets, sheetsOf } from '@exetasis/server/sheets';
import { entries, groupings, livesAt, type Entry, type Grouping } from '@exetasis/server/trace/lives';
import { scopeOf, textFrom } from '$lib/server/request';
import { saysLife } from '$lib/words/survival';

// What is asked about most often, where a model has it.
const usual = ['plunger', 'packing', 'highPressureSeal', 'cup', 'ropes', 'diaphragm'];
const MOST_TRIED = 3;

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
	const by = groupings.find((grouping) => grouping === textFrom(url, 'by')) ?? 'none';
	const entry = entries.find((text) => text === textFrom(url, 'from')) ?? 'fitting';
	const chosen = url.searchParams.getAll('group').slice(0, 2);
	const summaryAt = async (station: string) =>
		runHeavy(scope.shopId, 'summaryOf', await livesAt(scope, sheet.model, station, by, entry), chosen);
	const named = stations.find(({ key }) => key === textFrom(url, 'station'));
	// Unasked, the first usual part whose lives tell when to replace it; without one, the most usual.
	const rank = (key: string) => (usual.includes(key) ? usual.indexOf(key) : usual.length);
	const candidates = named ? [named] : stations.toSorted((a, b) => rank(a.key) - rank(b.key)).slice(0, MOST_TRIED);
	let [station, summary] = [candidates[0], await summaryAt(candidates[0].key)];
	const tells = ({ groups: [all] }: typeof summary) =>
		all?.fit.kind === 'fitted' && all.fit.phase !== 'open' && saysLife(all.fit);
	for (const next of tells(summary) ? [] : candidates.slice(1)) {
		const tried = await summaryAt(next.key);
		if (!tells(tried)) continue;
		[station, summary] = [next, tried];
		break;
	}
	return { models, model: sheet.model, entry, stations, station, by, summary };
}
