import { groupBy } from '@exetasis/core/list';
import type { ShopRecurrence } from '@exetasis/server/trace/ofShop';

/** Recurrences of one pump that are equal in everything but their cylinder. */
export interface EqualRecurrences extends ShopRecurrence {
	readonly cylinders: readonly number[];
}

/**
 * Joins recurrences of the same pattern at the same part of one pump that happened equally often on several cylinders: they have one
 * cause and are read as one line. Costs, parts and openings add up; the rest is that of the first. The highest cost comes first.
 */
export function equalRows(recurrences: readonly ShopRecurrence[]): EqualRecurrences[] {
	const groups = groupBy(recurrences, ({ pump, station, pattern, events, hours, caseId }) =>
		JSON.stringify([pump, station, pattern, events, hours, caseId ?? null])
	);
	const sum = (rows: readonly ShopRecurrence[], of: 'cost' | 'replaced' | 'openings') =>
		rows.reduce((total, row) => total + row[of], 0);
	const joined = [...groups.values()].map((rows) => ({
		...rows[0],
		cylinders: rows.map(({ cylinder }) => cylinder).sort((a, b) => a - b),
		cost: sum(rows, 'cost'),
		replaced: sum(rows, 'replaced'),
		openings: sum(rows, 'openings'),
		since: rows.map(({ since }) => since).sort((a, b) => +new Date(a) - +new Date(b))[0]
	}));
	return joined.sort((a, b) => b.cost - a.cost);
}
