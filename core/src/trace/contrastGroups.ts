import { groupBy } from '../list';
import { compareRates, falseDiscovery, type RateComparison } from './exactTests';

/** Events of one pattern at one kind of place in one group; of no pattern: the hours of the group there. */
export interface GroupedEvents {
	readonly model: string;
	readonly station: string;
	readonly group: string;
	readonly pattern: string | null;
	readonly events: number;
	readonly hours: number;
}

/** Hours since fitting up to which a part is called new, and beyond which old. */
export const AGES_H = [500, 2000] as const;

/** One group of a kind of place against all its other groups. */
export interface GroupContrast {
	readonly model: string;
	readonly station: string;
	readonly group: string;
	readonly pattern: string;
	readonly events: number;
	readonly hours: number;
	readonly others: { readonly events: number; readonly hours: number };
	readonly rates: RateComparison;
	/** The chance of it, all comparisons that were made allowed for. */
	readonly q: number;
}

/**
 * In which groups (lots, liquids, seasons, ages) a pattern comes up more or less often than in the others: each against all
 * others of the same place and pattern by the exact conditional test of two Poisson rates, with the false discovery rate held
 * over every comparison made, also those of groups without an event. A place with one group alone is not compared; of two
 * groups, which say the same twice, one comparison counts.
 *
 * Shape: rows of hours (pattern null) and of events, in any order; the least probable first. Errors: PreconditionError of
 * `compareRates`. Source: Przyborowski and Wilenski 1940; Benjamini and Hochberg 1995.
 */
export function contrastGroups(rows: readonly GroupedEvents[]): GroupContrast[] {
	const placeOf = ({ model, station }: GroupedEvents) => `${model}/${station}`;
	const exposed = groupBy(
		rows.filter(({ pattern, hours }) => pattern === null && hours > 0),
		placeOf
	);
	const seen = groupBy(
		rows.filter(({ pattern, events }) => pattern !== null && events > 0),
		(one) => `${placeOf(one)}/${one.pattern}`
	);
	const compared = [...seen.values()].flatMap((events) => {
		const groups = exposed.get(placeOf(events[0])) ?? [];
		if (groups.length < 2) return [];
		const inGroup = (group: string) => events.reduce((sum, one) => (one.group === group ? sum + one.events : sum), 0);
		const known = groups.map(({ group, hours }) => ({ group, hours, events: inGroup(group) }));
		const all = known.reduce((sum, one) => ({ events: sum.events + one.events, hours: sum.hours + one.hours }), {
			events: 0,
			hours: 0
		});
		return (known.length === 2 ? known.slice(0, 1) : known).map((one) => {
			const others = { events: all.events - one.events, hours: all.hours - one.hours };
			const rates = compareRates(
				{ events: one.events, exposure: one.hours },
				{ events: others.events, exposure: others.hours }
			);
			const { model, station, pattern } = events[0];
			return { model, station, pattern: pattern!, ...one, others, rates };
		});
	});
	const qs = falseDiscovery(compared.map(({ rates }) => rates.p));
	return compared
		.map((one, i) => ({ ...one, q: qs[i] }))
		.sort((a, b) => a.q - b.q || a.rates.p - b.rates.p || b.events - a.events);
}
