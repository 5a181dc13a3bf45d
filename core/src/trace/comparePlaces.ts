import { groupBy } from '../list';
import { requireThat } from '../number';
import { compareRates, type RateComparison } from './exactTests';
import { againstFleet, fleetRate, type FleetRate, type ShrunkenRate } from './shrinkage';

/** Events of one pattern at one place of one pump; `pattern` null: the place's exposure alone. Hours. */
export interface EventsAtPlace {
	readonly pump: string;
	readonly station: string;
	readonly cylinder: number;
	readonly pattern: string | null;
	readonly events: number;
	readonly hours: number;
}

/** A place and pattern held against the same station of all other pumps of the model. */
export interface ComparedPlace<R extends EventsAtPlace> {
	readonly row: R;
	readonly hours: number;
	/** Events expected here at the rate of the other pumps; left out where there are none of it, or it came up once at most. */
	readonly expected?: number;
	/** By gamma–Poisson where the other pumps' own rates are spread; else exactly, against all of them taken together. */
	readonly shrunken?: ShrunkenRate;
	readonly crude?: RateComparison;
	readonly p: number;
}

/**
 * Every place at which a pattern that its model shows there could have come up, held against the other pumps of the model: how many
 * would be expected, how many times that it is, and the chance of as many. The pump itself is left out of what it is held against.
 * What came up once at most has the chance 1: it is compared, and never called surprising.
 * Shape: one row of exposure a place (`pattern` null), one of events a place and pattern. Errors: PreconditionError as `fleetRate`.
 */
export function comparePlaces<R extends EventsAtPlace>(
	rows: readonly R[],
	modelOf: (pump: string) => string | undefined
): ComparedPlace<R>[] {
	for (const { cylinder, events, hours } of rows) {
		requireThat(Number.isInteger(cylinder) && cylinder >= 0, 'comparePlaces', 'cylinder', cylinder, 'a whole number');
		requireThat(Number.isInteger(events) && events >= 0, 'comparePlaces', 'events', events, 'a count');
		requireThat(hours >= 0 && Number.isFinite(hours), 'comparePlaces', 'hours', hours, 'at least 0');
	}
	const kind = (row: R) => `${modelOf(row.pump)}/${row.station}`;
	const places = groupBy(
		rows.filter(({ pattern }) => pattern === null),
		kind
	);
	const events = groupBy(
		rows.filter(({ pattern }) => pattern !== null),
		(row) => `${kind(row)}/${row.pattern}`
	);
	return [...events.values()].flatMap((found) => {
		const members = places.get(kind(found[0])) ?? [];
		const count = new Map(found.map((row) => [`${row.pump}/${row.cylinder}`, row.events]));
		const counted = members.map(({ pump, cylinder, hours }) => ({
			pump,
			events: count.get(`${pump}/${cylinder}`) ?? 0,
			exposure: hours
		}));
		const fleets = new Map<string, FleetRate>();
		const others = (pump: string): FleetRate => {
			const known = fleets.get(pump) ?? fleetRate(counted.filter((one) => one.pump !== pump));
			fleets.set(pump, known);
			return known;
		};
		return members.map((place, i): ComparedPlace<R> => {
			const row = found.find((one) => one.pump === place.pump && one.cylinder === place.cylinder) ?? {
				...place,
				pattern: found[0].pattern
			};
			// Once may be anything: it is compared, and never called surprising.
			if (counted[i].events < 2) return { row, hours: place.hours, p: 1 };
			const fleet = others(place.pump);
			const elsewhere = counted.filter(({ pump }) => pump !== place.pump);
			const exposure = elsewhere.reduce((sum, one) => sum + one.exposure, 0);
			if (exposure === 0) return { row, hours: place.hours, p: 1 };
			const own = counted[i];
			if (fleet.kind === 'spread') {
				const shrunken = againstFleet(own, fleet)!;
				return { row, hours: place.hours, expected: fleet.mean * place.hours, shrunken, p: shrunken.p };
			}
			const all = { events: elsewhere.reduce((sum, one) => sum + one.events, 0), exposure };
			const crude = compareRates(own, all);
			// One-sided: only what comes more often is called recurring; what the others never had does.
			const p = (crude.ratio ?? Infinity) > 1 ? crude.p / 2 : 1;
			return { row, hours: place.hours, expected: (all.events / exposure) * place.hours, crude, p };
		});
	});
}
