import { groupBy } from '../list';
import { falseDiscovery, type RateComparison } from './exactTests';
import { chanceWithin, compareRatesWithin, type Stratum } from './stratifiedRates';

/**
 * What came up at one kind of place in one group, in parts that had been in about equally long: marks of one pattern, or one size found
 * beyond its limit. A row without pattern and size holds the hours over which marks were looked for; that of a size holds its own.
 */
export interface GroupedEvents {
	readonly model: string;
	readonly station: string;
	readonly group: string;
	/** Which of the bands of age; one and the same where ages are not told apart. */
	readonly age: number;
	readonly pattern: string | null;
	/** The key of a characteristic. */
	readonly size: string | null;
	readonly events: number;
	readonly hours: number;
}

/** Hours since fitting up to which a part is called new, and beyond which old. */
export const AGES_H = [500, 2000] as const;

/** Hours since fitting at which one band of age ends and the next begins: parts are held against parts of their own band. */
export const AGE_BANDS_H = [500, 1000, 1500, 2000, 3000, 4000, 6000, 9000] as const;

/** One group of a kind of place against all its other groups. */
export interface GroupContrast {
	readonly model: string;
	readonly station: string;
	readonly group: string;
	readonly pattern: string | null;
	readonly size: string | null;
	readonly events: number;
	readonly hours: number;
	readonly others: { readonly events: number; readonly hours: number };
	readonly rates: RateComparison;
	/** The chance of it, all comparisons that were made allowed for. */
	readonly q: number;
}

interface GroupContrasts {
	/** How many were made, shown or not. */
	readonly comparisons: number;
	readonly contrasts: readonly GroupContrast[];
}

/**
 * In which groups (lots, liquids, seasons, ages) something comes up more or less often than in the others: each against all others of the
 * same place, age by age, by the exact conditional test of two Poisson rates, with the false discovery rate held over every comparison
 * made, also those of groups without an event. A place with one group alone is not compared, nor a group that no other is as old as; of
 * two groups, which say the same twice, the one with the higher rate stands for both.
 *
 * Shape: rows in any order; the least probable first, `most` of them. Errors: PreconditionError of `compareRatesWithin`.
 * Source: D. Martin, H. Austin, Epidemiology 7 (1996) 29–33; Benjamini and Hochberg 1995.
 */
export function contrastGroups(rows: readonly GroupedEvents[], most = Infinity): GroupContrasts {
	const exposed = groupBy(
		rows.filter(({ pattern, hours }) => pattern === null && hours > 0),
		groupOf
	);
	const seen = groupBy(
		rows.filter(({ events }) => events > 0),
		(groupedEvents) => `${groupOf(groupedEvents)}/${groupedEvents.pattern}`
	);
	const compared = [...seen.values()].flatMap((events) => comparedIn(exposed.get(groupOf(events[0])) ?? [], events));
	const qs = falseDiscovery(compared.map(({ p }) => p));
	const order = compared
		.map((other, i) => ({ ...other, q: qs[i] }))
		.sort((a, b) => a.q - b.q || a.p - b.p || b.events - a.events)
		.slice(0, most);
	return {
		comparisons: compared.length,
		// Limits take longer than the chance, and are worked out for what is shown.
		contrasts: order.map(({ strata, p: _, ...contrast }) => ({ ...contrast, rates: compareRatesWithin(strata)! }))
	};
}

const groupOf = ({ model, station, size }: GroupedEvents) => `${model}/${station}/${size ?? ''}`;

type Compared = Omit<GroupContrast, 'q' | 'rates'> & { readonly strata: readonly Stratum[]; readonly p: number };

function comparedIn(exposed: readonly GroupedEvents[], events: readonly GroupedEvents[]): Compared[] {
	const groups = [...new Set(exposed.map(({ group }) => group))];
	if (groups.length < 2) return [];
	const ages = [...new Set(exposed.map(({ age }) => age))];
	const { model, station, pattern, size } = events[0];
	const hoursBy = summed(exposed, ({ hours }) => hours);
	const eventsBy = summed(events, (groupedEvents) => groupedEvents.events);
	const compared = groups.flatMap((group): Compared[] => {
		const strata = ages.map((age) => {
			const count = (by: ReturnType<typeof summed>) => by.of(group, age);
			const first = { events: count(eventsBy), exposure: count(hoursBy) };
			const all = { events: eventsBy.all(age), exposure: hoursBy.all(age) };
			return { first, second: { events: all.events - first.events, exposure: all.exposure - first.exposure } };
		});
		const p = chanceWithin(strata);
		if (p === undefined) return [];
		const total = (side: keyof Stratum) => ({
			events: strata.reduce((sum, stratum) => sum + stratum[side].events, 0),
			hours: strata.reduce((sum, stratum) => sum + stratum[side].exposure, 0)
		});
		return [{ model, station, pattern, size, group, ...total('first'), others: total('second'), strata, p }];
	});
	if (groups.length > 2) return compared;
	const [one, other] = compared;
	return other === undefined || rateOf(one) >= rateOf(other) ? compared.slice(0, 1) : [other];
}

const rateOf = ({ events, hours }: Compared): number => events / hours;

// By group and age, and over all groups of an age. Counted, so that what is left for the others is exactly nought where there is none.
function summed(rows: readonly GroupedEvents[], of: (row: GroupedEvents) => number) {
	const byGroup = new Map<string, number>();
	const byAge = new Map<number, number>();
	for (const row of rows) {
		const key = `${row.age}/${row.group}`;
		byGroup.set(key, (byGroup.get(key) ?? 0) + of(row));
	}
	for (const [key, sum] of byGroup) {
		const age = Number(key.slice(0, key.indexOf('/')));
		byAge.set(age, (byAge.get(age) ?? 0) + sum);
	}
	return {
		of: (group: string, age: number) => byGroup.get(`${age}/${group}`) ?? 0,
		all: (age: number) => byAge.get(age) ?? 0
	};
}
