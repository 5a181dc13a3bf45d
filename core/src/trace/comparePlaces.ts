import { groupBy } from '../list';
import { requireThat } from '../number';
import { compareRates, type RateComparison } from './exactTests';
import { kindOf, type ModelHarshness, type PumpFactor } from './harshPumps';
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

/**
 * As many other pumps of its duty as a pump has to have to be held against them alone: with it, the fleet of twelve that `npm run calibrate`
 * holds to its promise. Against five others, pumps of unlike rates stood out three times as often.
 */
export const FEWEST_ALIKE = 11;

/** A place and pattern held against the same station of the other pumps of the model: of those of its duty, where they are enough. */
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
 * would be expected, how many times that it is, and the chance of as many. The pump itself is left out of what it is held against. Where at
 * least eleven others are of its duty it is held against these, so that a hard duty is no alarm; else against all.
 * What came up once at most has the chance 1: it is compared, and never called surprising.
 * With `harshness` each pump counts at its own factor, that of the kind in question left out: what is common to a pump's places is no
 * surprise at any one of them.
 * Shape: one row of exposure a place (`pattern` null), one of events a place and pattern. Errors: PreconditionError as `fleetRate`.
 */
export function comparePlaces<R extends EventsAtPlace>(
	rows: readonly R[],
	modelOf: (pump: string) => string | undefined,
	dutyOf: (pump: string) => string | undefined = () => undefined,
	harshness: ReadonlyMap<string, ModelHarshness> = new Map()
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
		const ofModel = harshness.get(modelOf(found[0].pump) ?? '');
		const factors = new Map(
			[...new Set(members.map(({ pump }) => pump))].map((pump) => [
				pump,
				ofModel?.factorOf(pump, kindOf(found[0])) ?? ALIKE
			])
		);
		// Hours as the model's pumps would have to run for as much.
		const counted = members.map(({ pump, cylinder, hours }) => ({
			pump,
			events: count.get(`${pump}/${cylinder}`) ?? 0,
			exposure: hours * factors.get(pump)!.factor
		}));
		const ofDuty = groupBy([...new Set(members.map(({ pump }) => pump))], (pump) => dutyOf(pump) ?? '');
		const fleets = new Map<string, Others>();
		const othersOf = (pump: string): Others => {
			const duty = dutyOf(pump);
			const alike = duty !== undefined && ofDuty.get(duty)!.length > FEWEST_ALIKE;
			const known = fleets.get(pump) ?? others(counted, (text) => text !== pump && (!alike || dutyOf(text) === duty));
			fleets.set(pump, known);
			return known;
		};
		return members.map((place, i): ComparedPlace<R> => {
			const row = found.find((candidate) => candidate.pump === place.pump && candidate.cylinder === place.cylinder) ?? {
				...place,
				pattern: found[0].pattern
			};
			// Once may be anything: it is compared, and never called surprising.
			if (counted[i].events < 2) return { row, hours: place.hours, p: 1 };
			const { fleet, ...all } = othersOf(place.pump);
			if (all.exposure === 0) return { row, hours: place.hours, p: 1 };
			const own = counted[i];
			const spread = widened(fleet, factors.get(place.pump)!, all.events);
			if (spread.kind === 'spread') {
				const shrunken = againstFleet(own, spread)!;
				return { row, hours: place.hours, expected: spread.mean * own.exposure, shrunken, p: shrunken.p };
			}
			const crude = compareRates(own, all);
			// One-sided: only what comes more often is called recurring; what the others never had does.
			const p = (crude.ratio ?? Infinity) > 1 ? crude.p / 2 : 1;
			return { row, hours: place.hours, expected: (all.events / all.exposure) * own.exposure, crude, p };
		});
	});
}

const ALIKE: PumpFactor = { factor: 1, variation: 0 };

// What is not known of the pump's factor, and of the others' mean, widens the spread that its place is held against: variances multiply.
function widened(fleet: FleetRate, { variation }: PumpFactor, events: number): FleetRate {
	if (fleet.kind === 'none' || variation === 0 || events === 0) return fleet;
	const between = fleet.kind === 'spread' ? 1 / fleet.shape : 0;
	const all = (1 + between) * (1 + variation) * (1 + 1 / events) - 1;
	return { kind: 'spread', shape: 1 / all, rate: 1 / (all * fleet.mean), mean: fleet.mean };
}

interface Others {
	readonly fleet: FleetRate;
	readonly events: number;
	readonly exposure: number;
}

function others(
	counted: readonly { readonly pump: string; readonly events: number; readonly exposure: number }[],
	isMeant: (pump: string) => boolean
): Others {
	const meant = counted.filter(({ pump }) => isMeant(pump));
	return {
		fleet: fleetRate(meant),
		events: meant.reduce((sum, { events }) => sum + events, 0),
		exposure: meant.reduce((sum, { exposure }) => sum + exposure, 0)
	};
}
