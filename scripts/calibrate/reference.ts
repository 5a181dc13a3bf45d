// The best that anyone could say who knows how parts of this world wear in general, and sees the same record: part, pump and
// age integrated on grids.
import { followWear, type AgeNode, type Track, type WearInspection } from '../../core/src/life';
import { GammaTable } from '../../core/src/life/gammaTable';
import type { Station } from '../../core/src/record';
import { wearHours, type World } from './world';

/** How harsh a pump may be, with the logarithms of its probabilities. */
export interface Harshness {
	readonly factors: readonly number[];
	readonly log: Float64Array;
}

const NODES = 11;
const REACH = 2.6; // standard deviations
/** The harshness of pumps in this world as a normal distribution of its logarithm. */
export function harshnessBefore({ fleet }: World): Harshness {
	const logs = fleet.map(({ harshness }) => Math.log(harshness));
	const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
	const sd = Math.max(0.05, Math.sqrt(logs.reduce((sum, value) => sum + (value - mean) ** 2, 0) / logs.length));
	const z = Array.from({ length: NODES }, (_, i) => REACH * ((2 * i) / (NODES - 1) - 1));
	return {
		factors: z.map((value) => Math.exp(mean + value * sd)),
		log: Float64Array.from(z, (value) => -(value ** 2) / 2)
	};
}

/** One size of one part as it was seen: hours of its age or of the record of it. */
export interface SeenSize {
	readonly station: Station;
	readonly key: string;
	readonly before: readonly AgeNode[];
	readonly inspections: readonly WearInspection[];
}

interface Rates {
	readonly rates: Float64Array;
	readonly weights: Float64Array;
}
const RATES = 41;
const gridOf = new WeakMap<World, Map<string, Rates>>();
// Rates of parts of one kind: in shares of the allowance in 1000 steady hours.
function ratesOf(world: World, kind: string): Rates {
	const kept = gridOf.get(world) ?? new Map<string, Rates>();
	gridOf.set(world, kept);
	const known = kept.get(kind);
	if (known) return known;
	const { hoursToLimit, between } = world.population.kinds.get(kind)!;
	const z = Array.from({ length: RATES }, (_, i) => 4.5 * ((2 * i) / (RATES - 1) - 1));
	const log = z.map((value) => value * between);
	const alike = 1 / between ** 2;
	// Density of the logarithm: normal, or of a gamma variable of mean 1.
	const density = log.map((x, i) => (world.rates === 'lognormal' ? -(z[i] ** 2) / 2 : alike * (x - Math.exp(x))));
	const weights = Float64Array.from(density, (value) => Math.exp(value - Math.max(...density)));
	const total = weights.reduce((a, b) => a + b, 0);
	const made = {
		rates: Float64Array.from(log, (x) => (1000 / hoursToLimit) * Math.exp(x)),
		weights: weights.map((weight) => weight / total)
	};
	kept.set(kind, made);
	return made;
}

/** What one size's looks say of its pump: ln evidence by harshness; and the chance of passing its limit after more hours. */
export class ReferenceSize {
	readonly logEvidence: Float64Array;
	readonly #seen: SeenSize;
	readonly #world: World;
	readonly #kind: string;
	/** By harshness, age and rate: weights that sum to 1 for each harshness, and the tracks. */
	readonly #posterior: { weight: number; i: number; age: number; track: Track }[][];

	constructor(world: World, seen: SeenSize, { factors }: Harshness) {
		this.#world = world;
		this.#seen = seen;
		this.#kind = `${seen.station.key}/${seen.key}`;
		this.logEvidence = new Float64Array(factors.length);
		const { rates, weights } = ratesOf(world, this.#kind);
		const path = this.#path();
		this.#posterior = factors.map((factor, f) => {
			const points = seen.before.flatMap((node) => {
				// The clock runs from the part's own beginning, so each possible age is a history of its own.
				const at = (hours: number) => factor * wearHours(world, node.hours + hours);
				const inspections = seen.inspections.map((inspection) => ({ ...inspection, hours: at(inspection.hours) }));
				const [[track]] = followWear(
					{ before: [{ hours: inspections.length > 0 ? 0 : at(0), weight: 1 }], inspections },
					[path],
					{
						rates,
						size: rates.length,
						step: 0,
						middle: 0
					}
				);
				return Array.from(weights, (weight, i) => ({
					log: Math.log(weight * node.weight) + track.logEvidence[i],
					i,
					age: node.hours,
					track
				}));
			});
			const largest = Math.max(...points.map(({ log }) => log));
			const total = points.reduce((sum, { log }) => sum + Math.exp(log - largest), 0);
			this.logEvidence[f] = largest + Math.log(total);
			return points
				.map(({ log, ...rest }) => ({ ...rest, weight: Math.exp(log - largest) / total }))
				.filter(({ weight }) => weight > 1e-4);
		});
	}

	#path() {
		const { hoursToLimit, shapePerLimit } = this.#world.population.kinds.get(this.#kind)!;
		return { shapePer1000h: (1000 * shapePerLimit) / hoursToLimit, exponent: this.#world.exponent };
	}

	/** P(beyond its limit `further` hours after `now`, hours of the record), by harshness. */
	chance(now: number, further: number, { factors }: Harshness): Float64Array {
		const path = this.#path();
		const { rates } = ratesOf(this.#world, this.#kind);
		const { inspections } = this.#seen;
		const last = inspections.at(-1);
		return Float64Array.from(factors, (factor, f) => {
			const tables = new Map<number, GammaTable>();
			return this.#posterior[f].reduce((sum, { weight, i, age, track }) => {
				const at = (hours: number) => factor * wearHours(this.#world, age + hours);
				const steady = at(now + further) - (last ? at(last.hours) : 0);
				if (!tables.has(steady)) tables.set(steady, new GammaTable((path.shapePer1000h * Math.max(steady, 1)) / 1000));
				const table = tables.get(steady)!;
				const unit = rates[i] / path.shapePer1000h;
				if (!track.last) return sum + weight * table.upper(1 / unit);
				const standing = track.last.splitAt(1);
				const row = standing.rowOf(i);
				const beyond = standing.y.reduce(
					(chance, y, j) => chance + standing.weights[row + j] * (y >= 1 ? 1 : table.upper((1 - y) / unit)),
					0
				);
				return sum + weight * beyond;
			}, 0);
		});
	}
}

/** P(something else damages a part within `further` hours), its age being one of those. */
export function chanceOfDamage(world: World, station: Station, ages: readonly AgeNode[], further: number): number {
	const { scaleHours, shape } = world.population.ends.get(station.key)!;
	const hazard = (hours: number) => (hours / scaleHours) ** shape;
	let alive = 0;
	let ends = 0;
	for (const { hours, weight } of ages) {
		const here = weight * Math.exp(-hazard(hours));
		alive += here;
		ends += here * -Math.expm1(hazard(hours) - hazard(hours + further));
	}
	return alive > 0 ? ends / alive : 1;
}
