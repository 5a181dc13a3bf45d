import Papa from 'papaparse';
import { entries, groupings, livesAt } from '@exetasis/server/trace/lives';
import { fileNamed, scopeOf, textFrom } from '$lib/server/request';

/** The lives behind the charts, a line each. */
export async function GET({ locals, url }) {
	const [model, station] = [textFrom(url, 'model'), textFrom(url, 'station')];
	const by = groupings.find((grouping) => grouping === textFrom(url, 'by')) ?? 'none';
	const entry = entries.find((text) => text === textFrom(url, 'from')) ?? 'fitting';
	const { lives } = await livesAt(scopeOf(locals), model, station, by, entry);
	const rows = lives.map(
		({ serial, cylinder, fittedHours, hours, after, by: to, watchedFrom = 0, endReason, group }) => ({
			pump: serial,
			cylinder,
			fittedHours,
			hours,
			watchedFrom,
			endedAfter: after,
			endedBy: to === Infinity ? '' : to,
			end: endReason ?? 'running',
			group
		})
	);
	const columns = ['pump', 'cylinder', 'fittedHours', 'hours', 'watchedFrom', 'endedAfter', 'endedBy', 'end', 'group'];
	return fileNamed(`lives-${model}-${station}`, 'csv', 'text/csv; charset=utf-8', Papa.unparse(rows, { columns }));
}
