import { requireThat } from '../number';
import { toTheEnd } from './inPieces';
import { requireLogRate, type LogRate, type WearKnowledge } from './partWear';
import { COARSE_STEP, rateDensity, rateGrid, type RateGrid } from './rateGrid';
import { LifeContext } from './context';
import { followWear, type WearHistory } from './wearInspections';
import { BETWEENS, openRate, paths, wearShapes, type WearPrior } from './wearPrior';

/** One kind of size on record: its prior, and by pump the histories of its parts. */
export interface KindOnRecord {
	readonly key: string;
	readonly prior: WearPrior;
	readonly parts: readonly { readonly pump: string; readonly history: WearHistory }[];
}

/** What the fleet says of wear: every kind, every pump's own factor, and every duty class's correction of the sheet. */
interface FleetWear {
	readonly kinds: Readonly<Record<string, WearKnowledge>>;
	readonly pumps: Readonly<Record<string, LogRate>>;
	readonly classes: Readonly<Record<string, LogRate>>;
	/** False where the passing of messages did not settle; what is given is then its last state, and said to be so. */
	readonly settled: boolean;
}

const HALF = 12; // factors from e^−1.8 to e^1.8
const FACTORS = Array.from({ length: 2 * HALF + 1 }, (_, j) => (j - HALF) * COARSE_STEP);
// How pumps of one duty class differ: mostly by a sixth, some by much more.
const PUMP_BELLS = [
	{ weight: 0.8, sd: 0.16 },
	{ weight: 0.2, sd: 0.5 }
] as const;
const CLASS_SD = 0.15; // how far a class's own factor may lie from the sheet's
const MOST_SWEEPS = 60;
const SETTLED = 3e-3; // largest move of a pump's factor in the last sweep
const TINY = 1e-30;
const HOPELESS = 700; // logarithms that a path which explains nothing lies below the best
const FORGOTTEN = 20; // logarithms below the best, from which nothing is passed on any more
const UNHEARD = 1e-9; // share of a pump's belief, the same

const normal = (x: number, sd: number): number => Math.exp(-((x / sd) ** 2) / 2) / sd;
const amongPumps = (d: number): number => PUMP_BELLS.reduce((sum, { weight, sd }) => sum + weight * normal(d, sd), 0);

/**
 * What is believed of a pump's factor before it is on record, its class's correction known as given. Natural logarithms.
 * Errors: PreconditionError for a factor that cannot be. Source: our own prior, held to by `npm run calibrate`.
 */
export function unknownPump({ mean, sd }: LogRate): LogRate {
	requireLogRate('unknownPump', { mean, sd });
	return { mean, sd: Math.hypot(sd, Math.sqrt(PUMP_BELLS.reduce((sum, bell) => sum + bell.weight * bell.sd ** 2, 0))) };
}
/** What is believed of a class's correction of the sheet before any of its pumps is on record. Natural logarithm. */
export const unknownClass: LogRate = { mean: 0, sd: CLASS_SD };

/**
 * How every kind of a model wears and how hard every pump is on its parts, from all inspections together.
 *
 * The log rate of a part is its kind's + its pump's + its own. Kinds and pumps share their parts, so their posteriors are
 * found by passing messages between them (belief propagation on grids); a pump's own record so moves the forecast of all its
 * parts, and a class of duty with few pumps leans on the others.
 * Shape: pumps name their class; histories as in `followWear`. Hours are duty hours.
 * Errors: PreconditionError from `followWear`, or for a pump without a class.
 * Accuracy: where kinds and pumps make no circle, within 0.003 in a mean and 0.008 in a standard deviation of a log rate of
 * direct integration (tested).
 * Source: F. Kschischang, B. Frey, H.-A. Loeliger, IEEE Trans. Inf. Theory 47 (2001) 498–519 (sum–product algorithm).
 */
export const fitFleetWear = (kinds: readonly KindOnRecord[], classOf: ReadonlyMap<string, string>): FleetWear =>
	toTheEnd(fittingFleetWear(kinds, classOf));

/** `fitFleetWear` in pieces of some milliseconds; other work can run between two pieces. */
export function* fittingFleetWear(
	kinds: readonly KindOnRecord[],
	classOf: ReadonlyMap<string, string>
): Generator<void, FleetWear> {
	for (const { key, parts } of kinds)
		for (const { pump } of parts)
			requireThat(classOf.has(pump), 'fitFleetWear', 'pump', pump, `a duty class (kind ${key})`);
	const pumps = new Map([...classOf].map(([id, duty]) => [id, new PumpBelief(duty)]));
	const beliefs: KindBelief[] = [];
	for (const kind of kinds) beliefs.push(new KindBelief(kind, yield* factorsOf(kind)));
	const classes = new Map([...new Set(classOf.values())].map((duty) => [duty, new ClassBelief()]));
	let settled = beliefs.every(({ factors }) => factors.length === 0);
	for (let sweep = 0; sweep < MOST_SWEEPS && !settled; sweep++) {
		const before = [...pumps.values()].map((pump) => pump.rate().mean);
		for (const kind of beliefs)
			for (const factor of kind.factors) {
				kind.exchange(factor, pumps.get(factor.pump)!);
				yield;
			}
		for (const pump of pumps.values()) {
			classes.get(pump.duty)!.exchange(pump);
			yield;
		}
		const moved = [...pumps.values()].map((pump, i) => Math.abs(pump.rate().mean - before[i]));
		settled = sweep > 0 && Math.max(...moved) < SETTLED;
	}
	return {
		kinds: Object.fromEntries(beliefs.map((kind) => [kind.key, kind.knowledge()])),
		pumps: Object.fromEntries([...pumps].map(([id, pump]) => [id, pump.rate()])),
		classes: Object.fromEntries([...classes].map(([duty, belief]) => [duty, belief.rate()])),
		settled
	};
}

// A distribution over the factors, as logarithms that need not be normalised.
function momentsOf(log: Float64Array): LogRate {
	const weights = exponentials(log);
	const mean = weights.reduce((sum, w, j) => sum + w * FACTORS[j], 0);
	const square = weights.reduce((sum, w, j) => sum + w * (FACTORS[j] - mean) ** 2, 0);
	return { mean, sd: Math.sqrt(square) };
}

/** exp of the logarithms, scaled to sum to 1. */
export function exponentials(log: Float64Array): Float64Array {
	let largest = -Infinity;
	for (const value of log) if (value > largest) largest = value;
	let total = 0;
	const weights = log.map((value) => {
		const weight = Math.exp(value - largest);
		total += weight;
		return weight;
	});
	return weights.map((weight) => weight / total);
}

function largestOf(lists: readonly Float64Array[]): number {
	let largest = -Infinity;
	for (const list of lists) for (let i = 0; i < list.length; i++) if (list[i] > largest) largest = list[i];
	return largest;
}

const logs = (values: Float64Array): Float64Array => values.map((value) => Math.log(Math.max(value, TINY)));

class PumpBelief {
	/** ln of what its class says, and of all that its parts say. */
	fromClass: Float64Array = Float64Array.from(FACTORS, (d) => Math.log(amongPumps(d)));
	readonly fromParts = new Float64Array(FACTORS.length);

	constructor(readonly duty: string) {}

	log(): Float64Array {
		return this.fromClass.map((value, j) => value + this.fromParts[j]);
	}
	rate(): LogRate {
		return momentsOf(this.log());
	}
}

class ClassBelief {
	readonly #fromPumps = new Map<PumpBelief, Float64Array>();

	#log(without?: PumpBelief): Float64Array {
		const log = Float64Array.from(FACTORS, (d) => Math.log(normal(d, CLASS_SD)));
		for (const [pump, message] of this.#fromPumps)
			if (pump !== without) for (let j = 0; j < log.length; j++) log[j] += message[j];
		return log;
	}

	exchange(pump: PumpBelief): void {
		const parts = exponentials(pump.fromParts);
		this.#fromPumps.set(pump, logs(spread(parts)));
		pump.fromClass = logs(spread(exponentials(this.#log(pump))));
	}

	rate(): LogRate {
		return momentsOf(this.#log());
	}
}

// From a class to a pump of it, or back: the difference between them is that among pumps.
function spread(weights: Float64Array): Float64Array {
	return Float64Array.from(FACTORS, (to) =>
		weights.reduce((sum, weight, j) => sum + weight * amongPumps(to - FACTORS[j]), 0)
	);
}

/** What one pump's parts of one kind say: evidence by scatter and by log rate of kind and pump together. */
interface Factor {
	readonly pump: string;
	/** By shape, then by index of the kind's grid, which the factors overhang at both ends; the largest is 1. */
	readonly evidence: readonly Float32Array[];
	readonly toKind: readonly Float64Array[];
	readonly toPump: Float64Array;
	/** True once it has been passed on. */
	heard: boolean;
}

class KindBelief {
	readonly key: string;
	readonly factors: readonly Factor[];
	readonly #prior: WearPrior;
	readonly #grid: RateGrid;
	/** ln of the belief, by shape and index. */
	readonly #log: readonly Float64Array[];
	readonly #parts: number;

	constructor({ key, prior, parts }: KindOnRecord, factors: readonly Factor[]) {
		this.key = key;
		this.#prior = prior;
		this.#parts = parts.length;
		this.#grid = rateGrid(prior);
		const { size, step, middle } = this.#grid;
		const open = openRate(prior);
		this.#log = wearShapes(prior).map(({ weight }) =>
			Float64Array.from({ length: size }, (_, i) => Math.log(weight) - (((i - middle) * step) / open) ** 2 / 2)
		);
		this.factors = factors;
	}

	/** Passes what this pump's parts say on to kind and pump, each without what it said itself. */
	exchange(factor: Factor, pump: PumpBelief): void {
		const { size, step } = this.#grid;
		const finer = Math.round(COARSE_STEP / step);
		const largest = largestOf(this.#log);
		const toPump = new Float64Array(FACTORS.length);
		const rest = exponentials(pump.log().map((value, j) => value - factor.toPump[j]));
		// Where no one believes a thing any more, what was last said of it stands.
		const first = factor.heard ? rest.findIndex((value) => value > UNHEARD) : 0;
		const last = factor.heard ? rest.findLastIndex((value) => value > UNHEARD) : FACTORS.length - 1;
		for (const [s, log] of this.#log.entries()) {
			if (factor.heard && largestOf([log]) < largest - FORGOTTEN) continue;
			const evidence = factor.evidence[s];
			const message = factor.toKind[s];
			for (let i = 0; i < size; i++) {
				const below = log[i] - message[i] - largest;
				if (factor.heard && below < -FORGOTTEN) continue;
				const cavity = Math.exp(below);
				let heard = 0;
				for (let j = first, at = i + first * finer; j <= last; j++, at += finer) {
					const value = evidence[at];
					toPump[j] += cavity * value;
					heard += rest[j] * value;
				}
				const said = Math.log(Math.max(heard, TINY));
				log[i] += said - message[i];
				message[i] = said;
			}
		}
		factor.heard = true;
		for (let j = first; j <= last; j++) {
			const told = Math.log(Math.max(toPump[j], TINY));
			pump.fromParts[j] += told - factor.toPump[j];
			factor.toPump[j] = told;
		}
	}

	knowledge(): WearKnowledge {
		const { step, middle } = this.#grid;
		const all = exponentials(Float64Array.from(this.#log.flatMap((log) => [...log])));
		const { size } = this.#grid;
		const shapes = this.#log.map((_, s) => {
			const here = all.subarray(s * size, (s + 1) * size);
			const weight = here.reduce((sum, w) => sum + w, 0);
			if (!(weight > 0)) return { weight: 0, mean: 0, sd: step };
			const mean = here.reduce((sum, w, i) => sum + w * (i - middle) * step, 0) / weight;
			const variance = here.reduce((sum, w, i) => sum + w * ((i - middle) * step - mean) ** 2, 0) / weight;
			return { weight, mean, sd: Math.sqrt(variance) };
		});
		return {
			prior: this.#prior,
			shapes,
			parts: this.#parts,
			lives: Math.min(this.#parts, effectiveLives(this.#prior, shapes))
		};
	}
}

// How many lives would narrow the prior's rate as far as the record has: no more than there are parts on record.
function effectiveLives(prior: WearPrior, shapes: readonly (LogRate & { weight: number })[]): number {
	const mean = shapes.reduce((sum, shape) => sum + shape.weight * shape.mean, 0);
	const variance = shapes.reduce((sum, shape) => sum + shape.weight * (shape.sd ** 2 + (shape.mean - mean) ** 2), 0);
	return Math.max(0, prior.priorWeight * (openRate(prior) ** 2 / variance - 1));
}

function* factorsOf({ parts, prior }: KindOnRecord): Generator<void, Factor[]> {
	const context = new LifeContext();
	const grid = rateGrid(prior);
	const byPump = new Map<string, Float64Array[]>();
	const kernels = wearShapes(prior).map(({ between }) => kernelOf(grid, between));
	for (const { pump, history } of parts) {
		if (history.inspections.length === 0) continue;
		const sums = byPump.get(pump) ?? kernels.map(() => new Float64Array(grid.size));
		byPump.set(pump, sums);
		for (const [path, evidence] of evidenceOf(history, prior, grid, context).entries())
			for (let b = 0; b < BETWEENS; b++) addLog(sums[path * BETWEENS + b], evidence, kernels[path * BETWEENS + b]);
		yield;
	}
	return [...byPump].map(([pump, sums]) => {
		const largest = largestOf(sums);
		return {
			pump,
			evidence: sums.map((sum) => overhanging(sum, largest, HALF * Math.round(COARSE_STEP / grid.step))),
			toKind: sums.map((sum) => new Float64Array(sum.length)),
			toPump: new Float64Array(FACTORS.length),
			heard: false
		};
	});
}

// exp of the logarithms, and beyond either end as at that end.
function overhanging(logs: Float64Array, largest: number, beyond: number): Float32Array {
	const out = new Float32Array(logs.length + 2 * beyond);
	for (let i = 0; i < logs.length; i++) out[i + beyond] = Math.max(TINY, Math.exp(logs[i] - largest));
	return out.fill(out[beyond], 0, beyond).fill(out[beyond + logs.length - 1], beyond + logs.length);
}

/** What one part says under one path, by rate: the logarithm of the largest, and each as a share of it. */
interface PathEvidence {
	readonly logLargest: number;
	readonly shares: Float64Array;
}

// A path that explains nothing keeps its own scale: against another it may be smaller than any number.
function evidenceOf(history: WearHistory, prior: WearPrior, grid: RateGrid, context: LifeContext): PathEvidence[] {
	const tracks = followWear(history, paths(prior), grid, 'fleet', context);
	const best = largestOf(tracks.flat().map(({ logEvidence }) => logEvidence));
	return tracks.map((ages) => {
		const logLargest = largestOf(ages.map(({ logEvidence }) => logEvidence));
		if (logLargest === -Infinity) return { logLargest: best - HOPELESS, shares: new Float64Array(grid.size).fill(1) };
		const shares = Float64Array.from({ length: grid.size }, (_, i) =>
			ages.reduce((sum, { weight, logEvidence }) => sum + weight * Math.exp(logEvidence[i] - logLargest), 0)
		);
		return { logLargest, shares };
	});
}

// The density of a part's rate about its kind's, at every whole number of steps between them.
function kernelOf(grid: RateGrid, between: number): Float64Array {
	const wide = { ...grid, size: 2 * grid.size - 1, middle: grid.size - 1 };
	return rateDensity(wide, 0, 0, between);
}

// Adds ln Σ_ρ density(ρ − m)·evidence(ρ) at every place m of the kind's rate.
function addLog(sums: Float64Array, { logLargest, shares }: PathEvidence, kernel: Float64Array): void {
	const size = sums.length;
	const first = shares.findIndex((share) => share > 0);
	const last = shares.findLastIndex((share) => share > 0);
	for (let m = 0; m < size; m++) {
		let sum = 0;
		for (let i = first; i <= last; i++) sum += kernel[i - m + size - 1] * shares[i];
		sums[m] += logLargest + Math.log(Math.max(sum, TINY));
	}
}
