import { requireThat } from '../number';
import { LifeContext } from './context';
import { QUANTILE_WEIGHTS, rateBeliefs, type RateBelief } from './rateBeliefs';
import { RATE_CHANGES, withChangedRates } from './rateChange';
import { rateGrid, type RateGrid } from './rateGrid';
import { spreadOf, type Risk } from './risk';
import { MOST_HOURS, followWear, type Track, type WearHistory } from './wearInspections';
import { BETWEENS, openRate, paths, wearShapes, type WearPrior } from './wearPrior';

/** A logarithm of a rate, known as a normal distribution. */
export interface LogRate {
	readonly mean: number;
	readonly sd: number;
}

export function requireLogRate(fn: string, { mean, sd }: LogRate): void {
	requireThat(Math.abs(mean) < MOST_LOG, fn, 'mean', mean, 'the logarithm of a factor');
	requireThat(sd >= 0 && sd < MOST_LOG, fn, 'sd', sd, 'at least 0');
}
const MOST_LOG = 10;

/** What is known of how one kind wears: its prior, and what the record has made of it. */
export interface WearKnowledge {
	readonly prior: WearPrior;
	/** For each of `wearShapes(prior)`: its posterior weight, and the kind's log rate against the prior's. */
	readonly shapes: readonly (LogRate & { readonly weight: number })[];
	/** Parts whose inspections are in it, and their weight beside the prior, in lives. */
	readonly parts: number;
	readonly lives: number;
}

/** Knowledge before anything is on record: the prior alone. Errors: PreconditionError for a prior that cannot be. */
export function priorKnowledge(prior: WearPrior): WearKnowledge {
	const sd = openRate(prior);
	return { prior, shapes: wearShapes(prior).map(({ weight }) => ({ weight, mean: 0, sd })), parts: 0, lives: 0 };
}

const MOST_LIMIT = 1e3;
const MOST_SAID = 100;
const FEW = 3;
const IGNORED = 1e-8; // of the largest weight: such a cell moves no chance by more
const IGNORED_NODE = 1e-10; // of all that may be at one rate
const IGNORED_IN_MEAN = 1e-6;
const IGNORED_IN_SPREAD = 1e-3; // of all: it moves no twentieth that is told with one digit

/**
 * The wear of one part, known through its kind, its pump and its own inspections: what it will be after more hours.
 *
 * Its rate, the scatter between and within parts, and how wear bends are all integrated over; nothing is plugged in.
 * Accuracy: as `followWear` after inspections at a steady rate, 2e-3 with a rate that may change (`withChangedRates`), 2e-6 without inspections
 * (rates beyond twenty times the prior's are left out); tested.
 * Hours are duty hours (see `dutyHours`), counted from the last inspection, or from now where there is none.
 */
export class PartWear {
	readonly knowledge: WearKnowledge;
	readonly #context: LifeContext;
	readonly #factor: LogRate;
	readonly #history: WearHistory;
	readonly #grid: RateGrid;
	readonly #paths: ReturnType<typeof paths>;
	readonly #tracks: readonly (readonly Track[])[];
	/** By path: evidence of the inspections over rates, scaled by the largest; by path and track its own. */
	readonly #evidence: Float64Array[];
	readonly #ofTrack: Float64Array[][];
	readonly #beliefs: readonly RateBelief[];
	/** By path: posterior weight of each rate. */
	readonly #posterior: Float64Array[];

	/**
	 * `rateChanges`: the chance that the rate changes at one inspection; `context`: what is shared with other parts. The history of a new part is
	 * `{ before: [{ hours: 0, weight: 1 }], inspections: [] }`. Errors: PreconditionError from `followWear`.
	 */
	constructor(
		knowledge: WearKnowledge,
		factor: LogRate,
		history: WearHistory,
		{ rateChanges = RATE_CHANGES, context = new LifeContext() } = {}
	) {
		this.#context = context;
		requireLogRate('PartWear', factor);
		this.knowledge = knowledge;
		this.#factor = factor;
		this.#history = history;
		this.#grid = rateGrid(knowledge.prior);
		this.#paths = paths(knowledge.prior);
		const steady = followWear(history, this.#paths, this.#grid, 'part', context);
		this.#tracks = withChangedRates(steady, history, this.#paths, this.#grid, rateChanges, context);
		const largest = Math.max(...this.#tracks.flat().map(({ logEvidence }) => Math.max(...logEvidence)));
		this.#ofTrack = this.#tracks.map((tracks) =>
			tracks.map(({ weight, logEvidence }) => logEvidence.map((log) => weight * Math.exp(log - largest)))
		);
		this.#evidence = this.#ofTrack.map((ages) => ages[0].map((_, i) => ages.reduce((sum, row) => sum + row[i], 0)));
		this.#beliefs = rateBeliefs(knowledge, factor, this.#grid, context);
		this.#posterior = this.#weighRates();
	}

	#weighRates(): Float64Array[] {
		const posterior = this.#evidence.map(({ length }) => new Float64Array(length));
		for (const { path, weight, density } of this.#beliefs)
			for (let i = 0; i < density.length; i++) posterior[path][i] += weight * density[i] * this.#evidence[path][i];
		const total = posterior.reduce((sum, row) => sum + row.reduce((a, b) => a + b, 0), 0);
		return posterior.map((row) => row.map((value) => value / total));
	}

	/**
	 * P(wear beyond a limit after more hours), what is beyond already included. `limit` is a share of the allowance: 1 the
	 * discard limit. Errors: PreconditionError for hours below 0 or not finite, or a limit not above 0.
	 */
	chance(hours: number, limit = 1): number {
		const key = `${hours}/${limit}`;
		return this.#said.get(key) ?? this.#say(key, this.#chance(this.#chances(hours, limit)));
	}
	// Every policy and every sentence asks for the same few hours.
	readonly #said = new Map<string, number>();

	#say(key: string, chance: number): number {
		if (this.#said.size >= MOST_SAID) this.#said.clear();
		this.#said.set(key, chance);
		return chance;
	}

	#chance(chances: readonly Float64Array[]): number {
		let sum = 0;
		for (const [path, posterior] of this.#posterior.entries())
			for (let i = 0; i < posterior.length; i++) if (posterior[i] > 0) sum += posterior[i] * chances[path][i];
		return Math.min(1, Math.max(0, sum));
	}

	/** The chance with what the open rate of its kind and pump and the open scatter leave of it. */
	risk(hours: number, limit = 1): Risk {
		const key = `${hours}/${limit}`;
		const known = this.#risksSaid.get(key);
		if (known) return known;
		const chances = this.#chances(hours, limit);
		const risk = { probability: this.#say(key, this.#chance(chances)), ...spreadOf(this.#points(chances)) };
		if (this.#risksSaid.size >= MOST_SAID) this.#risksSaid.clear();
		this.#risksSaid.set(key, risk);
		return risk;
	}
	readonly #risksSaid = new Map<string, Risk>();

	/**
	 * The chance at each point of its pump's factor, which all parts of the pump share: weighted by `QUANTILE_WEIGHTS`, about
	 * `chance`. Shape: as many as there are weights. Errors: as `chance`.
	 */
	byPump(hours: number, limit = 1): readonly number[] {
		const key = `${hours}/${limit}`;
		if (this.#lastByPump?.key !== key) this.#lastByPump = { key, chances: this.#workByPump(hours, limit) };
		return this.#lastByPump.chances;
	}
	// Each point of the factor asks for the same hours and limit.
	#lastByPump: { readonly key: string; readonly chances: readonly number[] } | undefined;

	#workByPump(hours: number, limit: number): number[] {
		const chances = this.#chances(hours, limit);
		return QUANTILE_WEIGHTS.map((_, q) => {
			let all = 0;
			let beyond = 0;
			for (const { path, weight, ofPump } of this.#beliefs) {
				if (weight < IGNORED_IN_SPREAD) continue;
				const [density, evidence, chance] = [ofPump()[q], this.#evidence[path], chances[path]];
				for (let i = 0; i < density.length; i++) {
					const here = weight * density[i] * evidence[i];
					all += here;
					beyond += here * chance[i];
				}
			}
			return all > 0 ? Math.min(1, beyond / all) : this.chance(hours, limit);
		});
	}

	// The chance at points of what is open, each with its weight.
	#points(chances: readonly Float64Array[]): { chance: number; weight: number }[] {
		const said: { chance: number; weight: number }[] = [];
		for (const { path, weight, points } of this.#beliefs) {
			if (weight < IGNORED_IN_SPREAD) continue;
			const [evidence, chance] = [this.#evidence[path], chances[path]];
			for (const [q, density] of points().entries()) {
				let all = 0;
				let beyond = 0;
				for (let i = 0; i < density.length; i++) {
					const here = density[i] * evidence[i];
					all += here;
					beyond += here * chance[i];
				}
				if (all > 0) said.push({ chance: beyond / all, weight: weight * QUANTILE_WEIGHTS[q] * all });
			}
		}
		return said;
	}

	/** Mean wear after more hours and its standard deviation, as shares of the allowance; and its own mean rate in 1000 h. */
	expected(hours: number): { readonly worn: number; readonly sd: number; readonly per1000h: number } {
		const further = hours / 1000;
		const { before, inspections } = this.#history;
		const isNew = inspections.length === 0 && before.every((age) => age.hours === 0);
		let mean = 0;
		let square = 0;
		let per1000h = 0;
		for (const [path, { shapePer1000h, exponent }] of this.#paths.entries())
			for (const track of this.#tracks[path].keys()) {
				const weights = this.#weightsOf(path, track);
				for (let i = 0; i < weights.length; i++) {
					if (!(weights[i] > IGNORED_IN_MEAN)) continue;
					const rate = this.#grid.rates[i];
					const now = isNew ? { mean: 0, variance: 0 } : this.#stateAt(path, track, i);
					const ahead = now.mean + rate * further;
					const variance = now.variance + (rate ** 2 * further) / shapePer1000h;
					const spread = variance / ahead ** 2;
					const worn = ahead ** exponent;
					mean += weights[i] * worn;
					square += weights[i] * worn ** 2 * (1 + exponent ** 2 * spread);
					per1000h += weights[i] * rate * exponent * Math.max(ahead, 1e-9) ** (exponent - 1);
				}
			}
		return { worn: mean, sd: Math.sqrt(Math.max(0, square - mean ** 2)), per1000h };
	}

	/** How fast it has worn against its kind in its pump, as its inspections make it: the mean ratio, and P(at least this much faster). */
	faster(times: number): { readonly ratio: number; readonly probability: number } {
		const { step, middle } = this.#grid;
		let ratio = 0;
		let probability = 0;
		for (const path of this.#paths.keys()) {
			const shapes = this.knowledge.shapes.slice(path * BETWEENS, (path + 1) * BETWEENS);
			const total = shapes.reduce((sum, { weight }) => sum + weight, 0);
			if (!(total > 0)) continue;
			const kind = shapes.reduce((sum, { weight, mean }) => sum + weight * mean, 0) / total + this.#factor.mean;
			for (const track of this.#tracks[path].keys()) {
				const weights = this.#weightsOf(path, track);
				for (let i = 0; i < weights.length; i++) {
					const log = (i - middle) * step - kind;
					ratio += weights[i] * Math.exp(log);
					if (log >= Math.log(times)) probability += weights[i];
				}
			}
		}
		return { ratio, probability };
	}

	// Posterior weight of each rate to come on one track.
	#weightsOf(path: number, track: number): Float64Array {
		return ((this.#weights[path] ??= [])[track] ??= this.#weighToCome(path, track));
	}
	readonly #weights: Float64Array[][] = [];

	#weighToCome(path: number, track: number): Float64Array {
		const evidence = this.#evidence[path];
		const ofTrack = this.#ofTrack[path][track];
		const weights = this.#posterior[path].map((weight, i) => (weight > 0 ? (weight * ofTrack[i]) / evidence[i] : 0));
		return this.#tracks[path][track].toCome?.weightsFrom(weights) ?? weights;
	}

	#scale(path: number, i: number): number {
		return this.#grid.rates[i] / this.#paths[path].shapePer1000h;
	}

	// Mean and variance of the steady process at the last inspection, or at its age if it was not inspected: the same for all hours.
	#stateAt(path: number, track: number, i: number): State {
		const { shape, last } = this.#tracks[path][track];
		const scale = this.#scale(path, i);
		if (!last) return { mean: shape * scale, variance: shape * scale ** 2 };
		const inspection = last.splitAt(1);
		const row = inspection.rowOf(i);
		const states = ((this.#states[path] ??= [])[track] ??= new Map<number, State>());
		let state = states.get(row);
		if (!state) states.set(row, (state = stateOf(inspection.y, inspection.weights, row)));
		return state;
	}
	readonly #states: Map<number, State>[][] = [];

	// By path and rate: the chance of passing the limit. The last few are asked again: for the spread of a chance, and by pump.
	#chances(hours: number, limit: number): readonly Float64Array[] {
		const key = `${hours}/${limit}`;
		let chances = this.#lastChances.get(key);
		if (!chances) {
			if (this.#lastChances.size >= FEW) this.#lastChances.clear();
			this.#lastChances.set(key, (chances = this.#workChances(hours, limit)));
		}
		return chances;
	}
	readonly #lastChances = new Map<string, readonly Float64Array[]>();

	#workChances(hours: number, limit: number): Float64Array[] {
		requireThat(hours >= 0 && hours <= MOST_HOURS, 'PartWear.chance', 'hours', hours, `0 to ${MOST_HOURS}`);
		requireThat(limit > 0 && limit < MOST_LIMIT, 'PartWear.chance', 'limit', limit, 'above 0, in allowances');
		const largest = Math.max(...this.#posterior.map((row) => Math.max(...row)));
		return this.#paths.map((path, p) => {
			const ofTracks = this.#tracks[p].map(({ toCome }, t) => {
				const beyond = this.#beyond(p, t, hours, limit ** (1 / path.exponent));
				if (!toCome) return beyond;
				const mixed = toCome.meanOf(beyond);
				return (i: number) => mixed[i];
			});
			return this.#posterior[p].map((weight, i) => {
				if (!(weight > IGNORED * largest)) return 0;
				let sum = 0;
				for (let t = 0; t < ofTracks.length; t++) {
					const ofTrack = this.#ofTrack[p][t][i];
					if (ofTrack > 0) sum += ofTrack * ofTracks[t](i);
				}
				return sum / this.#evidence[p][i];
			});
		});
	}

	// By index of the rate: the chance that the steady process passes a value of it after more hours, on one track.
	#beyond(path: number, t: number, hours: number, limit: number): (i: number) => number {
		const { shapePer1000h } = this.#paths[path];
		const { last } = this.#tracks[path][t];
		if (!last) {
			const ran = this.#history.before[t].hours + hours;
			if (!(ran > 0)) return () => 0;
			const table = this.#context.table((shapePer1000h * ran) / 1000);
			return (i) => table.upper(limit / this.#scale(path, i));
		}
		const { y, weights, rowOf } = last.splitAt(limit);
		const inside = y.filter((at) => at < limit).length; // they ascend
		const logLeft = Float64Array.from({ length: inside }, (_, j) => Math.log(limit - y[j]));
		const table = hours > 0 ? this.#context.table((shapePer1000h * hours) / 1000) : undefined;
		return (i) => {
			const row = rowOf(i);
			const logScale = Math.log(this.#scale(path, i));
			let beyond = 0;
			for (let j = inside; j < y.length; j++) beyond += weights[row + j];
			if (!table) return beyond;
			for (let j = 0; j < inside; j++) {
				const weight = weights[row + j];
				if (Math.abs(weight) > IGNORED_NODE) beyond += weight * table.upperAtLog(logLeft[j] - logScale);
			}
			return beyond;
		};
	}
}

interface State {
	readonly mean: number;
	readonly variance: number;
}

function stateOf(y: Float64Array, weights: Float64Array, row: number): State {
	let mean = 0;
	let square = 0;
	for (let j = 0; j < y.length; j++) {
		mean += weights[row + j] * y[j];
		square += weights[row + j] * y[j] * y[j];
	}
	return { mean: Math.max(0, mean), variance: Math.max(0, square - mean * mean) };
}
