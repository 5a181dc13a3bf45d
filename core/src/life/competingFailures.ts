import { requireThat } from '../number';
import { partType } from '../part';
import type { Station } from '../record';
import { ageNodes, type Age, type AgeNode } from './age';
import { exponentials } from './fleetWear';
import { toTheEnd } from './inPieces';
import { spreadOf, type Risk } from './risk';

/** What is believed of the ends of such parts, besides measured wear, before the record speaks. Scale in hours. */
export interface LifePrior {
	readonly scaleHours: number;
	readonly shape: number;
	/** How firmly it is believed, in ended lives. */
	readonly priorWeight: number;
	readonly from: 'sheet' | 'partType';
}

const DEFAULT_WEIGHT = 2;

/** The prior of a station: its sheet's, else its part type's own default. */
export const lifePriorOf = ({ type, lifePrior }: Pick<Station, 'type' | 'lifePrior'>): LifePrior =>
	lifePrior
		? { ...lifePrior, from: 'sheet' }
		: { ...partType(type).lasts.competingFailures, priorWeight: DEFAULT_WEIGHT, from: 'partType' };

/**
 * How one part's life stood against all ends but its measured wear. Hours from the beginning of the record of it, which its
 * age nodes lay before: it held for `held` hours at its last inspection, and where it ended, it did so by `endedBy`. Lives ended by
 * wear, renewed while good or still running hold to their last inspection, no more.
 */
export interface OtherLife {
	readonly before: readonly AgeNode[];
	readonly held: number;
	readonly endedBy?: number;
}

/** What else ends lives at one station: Weibull distributions with their probabilities, prior and record together. */
export interface CompetingFailures {
	readonly prior: LifePrior;
	readonly nodes: readonly { readonly scale: number; readonly shape: number; readonly weight: number }[];
	/** Ends and lives on record here. */
	readonly events: number;
	readonly lives: number;
}

/** Lives on record at one station. */
interface EndsOnRecord {
	readonly station: string;
	readonly type: string;
	readonly prior: LifePrior;
	readonly lives: readonly OtherLife[];
}

const STEP = 0.15; // of ln scale
const HALF = 32; // scales from e^−4.8 to e^4.8 of the prior's
const OFFSETS = Array.from({ length: 2 * HALF + 1 }, (_, i) => (i - HALF) * STEP);
const WIDEST_SHAPE = 0.5; // spread of ln shape, however small the prior weight
const SHAPES = [-2.6, -2.08, -1.56, -1.04, -0.52, 0, 0.52, 1.04, 1.56, 2.08, 2.6].map((z) => ({
	z,
	weight: Math.exp((-z * z) / 2)
}));
// Of what a station's scale leaves open, the shares that it has in common with the shop and with its part type.
const SHARED = { shop: 0.25, type: 0.25 } as const;
// Most stations lie about what type and shop let expect, in the ln of the scale. What ends lives elsewhere hardly ever happens at some.
const STATIONS = [
	{ weight: 0.8, longer: 0, times: 1 },
	{ weight: 0.2, longer: 2.5, times: 2 }
] as const;
const FORGOTTEN = 5e-5;

// As many ended lives would leave them open: √6/π of ln shape and 1/shape of ln scale, over √priorWeight (Meeker & Escobar 1998, 7.4).
const shapeAt = ({ shape, priorWeight }: LifePrior, z: number): number =>
	shape * Math.exp(z * Math.min(WIDEST_SHAPE, Math.sqrt(6) / Math.PI / Math.sqrt(priorWeight)));
const openScale = ({ shape, priorWeight }: LifePrior): number => 1 / (shape * Math.sqrt(priorWeight));

const LIVES_FOR_HALF = 20;

/**
 * The age at which what the prior says of how many have ended does not hang on the shape. Without a record that is the prior's
 * scale. Parts of such an age are not on record: the more lives are on record, the nearer it lies to theirs, so that the shape is
 * free to say what comes later.
 */
function pivotOf({ scaleHours }: LifePrior, lives: readonly OtherLife[]): number {
	const ages = lives
		.map(({ before, held, endedBy = held }) => {
			const mean = before.reduce((sum, { hours, weight }) => sum + hours * weight, 0);
			return mean + (held + endedBy) / 2;
		})
		.filter((age) => age > 0);
	if (ages.length === 0) return scaleHours;
	const mean = ages.reduce((sum, age) => sum + age, 0) / ages.length;
	const nearer = (Math.log(scaleHours / mean) * ages.length) / (ages.length + LIVES_FOR_HALF);
	return scaleHours * Math.exp(-Math.max(0, nearer));
}

// ln scale at an offset of the prior's own, for another shape: the same share has ended at the pivot.
const logScaleAt = ({ scaleHours, shape }: LifePrior, pivot: number, x: number, other: number): number =>
	Math.log(pivot) + ((Math.log(scaleHours) + x - Math.log(pivot)) * shape) / other;

/**
 * Ends other than measured wear at every station of a model, prior and record integrated.
 *
 * The log scale of a station is its prior's + the shop's + its part type's + its own, which at some stations is far longer; the shape has a spread of its own about the prior's. Finds at
 * a strip-down lie between two inspections; running lives are held to their last inspection. Everything is summed over a grid, so a
 * record that leaves shape or scale open (every end at one interval, one inspection a life) stays near the prior by itself.
 * Shape: one entry a station. Errors: PreconditionError for an end before its part held, or hours below 0.
 * Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), 2.4 and 14 (interval-censored, Bayesian);
 * A. Gelman et al., Bayesian Data Analysis (2013), ch. 5 (exchangeable groups).
 */
export const fitCompetingFailures = (stations: readonly EndsOnRecord[]): Readonly<Record<string, CompetingFailures>> =>
	toTheEnd(fittingCompetingFailures(stations));

/** `fitCompetingFailures` in pieces of some milliseconds; other work can run between two pieces. */
export function* fittingCompetingFailures(
	stations: readonly EndsOnRecord[]
): Generator<void, Readonly<Record<string, CompetingFailures>>> {
	const evidence: Evidence[] = [];
	for (const station of stations) evidence.push(yield* evidenceOf(station));
	const own = stations.map(({ prior }) => widths(prior));
	const types = [...new Set(stations.map(({ type }) => type))];
	const members = new Map(
		types.map((type) => [type, stations.flatMap((station, i) => (station.type === type ? [i] : []))])
	);
	// Upwards: what each station says of its type, and each type of the shop; downwards without what it said itself.
	const toType = evidence.map(({ byScale }, i) => logOf(amongStations(exponentials(byScale), own[i].own, true)));
	const widest = (type: string) => Math.max(...members.get(type)!.map((i) => own[i].type));
	const shopWidth = Math.max(0.05, ...own.map(({ shop }) => shop));
	const ofType = new Map(types.map((type) => [type, sumOf(members.get(type)!.map((i) => toType[i]))]));
	const toShop = new Map(types.map((type) => [type, logOf(blurred(exponentials(ofType.get(type)!), widest(type)))]));
	const shop = OFFSETS.map((x) => -((x / shopWidth) ** 2) / 2);
	return Object.fromEntries(
		stations.map(({ station, type, prior, lives }, i) => {
			const fromShop = sumOf([shop, ...types.filter((text) => text !== type).map((text) => toShop.get(text)!)]);
			const forType = sumOf([
				logOf(blurred(exponentials(Float64Array.from(fromShop)), widest(type))),
				...members.get(type)!.flatMap((j) => (j === i ? [] : [toType[j]]))
			]);
			const before = amongStations(exponentials(forType), own[i].own);
			return [station, posterior(prior, before, evidence[i], lives)];
		})
	);
}

/** What is believed where no life is on record. Hours. Errors: PreconditionError for a prior that cannot be. */
export const endsBefore = (prior: LifePrior): CompetingFailures => {
	requirePrior(prior);
	const { shop, type, own } = widths(prior);
	const shared = exponentials(Float64Array.from(OFFSETS, (x) => -((x / Math.hypot(shop, type)) ** 2) / 2));
	const before = amongStations(shared, own);
	return posterior(
		prior,
		before,
		{ byShape: SHAPES.map(() => new Float64Array(OFFSETS.length)), pivot: pivotOf(prior, []) },
		[]
	);
};

function widths(prior: LifePrior) {
	const sd = openScale(prior);
	return {
		shop: sd * Math.sqrt(SHARED.shop),
		type: sd * Math.sqrt(SHARED.type),
		own: sd * Math.sqrt(1 - SHARED.shop - SHARED.type)
	};
}

function sumOf(all: readonly (Float64Array | number[])[]): Float64Array {
	const sum = new Float64Array(OFFSETS.length);
	for (const row of all) for (let i = 0; i < sum.length; i++) sum[i] += row[i];
	return sum;
}
const logOf = (values: Float64Array): Float64Array => values.map((value) => Math.log(Math.max(value, 1e-30)));

// A distribution over offsets, blurred by a normal one and moved; weights sum to 1.
function blurred(weights: Float64Array, sd: number, by = 0): Float64Array {
	const width = Math.max(sd, STEP / 3);
	const out = new Float64Array(weights.length);
	for (let to = 0; to < out.length; to++)
		for (let from = 0; from < out.length; from++)
			out[to] += weights[from] * Math.exp(-((((to - from) * STEP - by) / width) ** 2) / 2);
	const total = out.reduce((sum, value) => sum + value, 0);
	return out.map((value) => value / total);
}

// From what its type lets expect to a station, or back from the station to its type.
function amongStations(weights: Float64Array, sd: number, back = false): Float64Array {
	const out = new Float64Array(weights.length);
	for (const { weight, longer, times } of STATIONS) {
		const shifted = blurred(weights, sd * times, back ? -longer : longer);
		for (let i = 0; i < out.length; i++) out[i] += weight * shifted[i];
	}
	return out;
}

// ln P(record | scale, shape), by shape and offset; and over the shapes.
interface Evidence {
	readonly byShape: readonly Float64Array[];
	readonly byScale: Float64Array;
	readonly pivot: number;
}

function* evidenceOf({ prior, lives }: EndsOnRecord): Generator<void, Evidence> {
	requirePrior(prior);
	for (const life of lives) requireLife(life);
	const pivot = pivotOf(prior, lives);
	const byShape = SHAPES.map(() => new Float64Array(OFFSETS.length));
	// Parts of a known age that still run say the same at every scale, but for one factor.
	const stillRuns = ({ before, endedBy }: OtherLife) => before.length === 1 && endedBy === undefined;
	const running = lives.filter(stillRuns);
	const others = lives.filter((life) => !stillRuns(life));
	for (const [s, { z }] of SHAPES.entries()) {
		const shape = shapeAt(prior, z);
		const ran = running.reduce((sum, { before, held }) => sum + ((before[0].hours + held) / pivot) ** shape, 0);
		const scales = OFFSETS.map((x) => logScaleAt(prior, pivot, x, shape));
		for (const [i, logScale] of scales.entries()) byShape[s][i] -= ran * Math.exp(shape * (Math.log(pivot) - logScale));
		for (const life of others) {
			for (const [i, logScale] of scales.entries()) byShape[s][i] += logLikelihood(life, logScale, shape);
			yield;
		}
	}
	const weights = SHAPES.reduce((sum, { weight }) => sum + weight, 0);
	const byScale = Float64Array.from(OFFSETS, (_, i) => {
		const largest = Math.max(...byShape.map((row) => row[i]));
		const sum = SHAPES.reduce((total, { weight }, s) => total + weight * Math.exp(byShape[s][i] - largest), 0);
		return largest + Math.log(sum / weights);
	});
	return { byShape, byScale, pivot };
}

function requirePrior({ scaleHours, shape, priorWeight }: LifePrior): void {
	requireThat(scaleHours >= 1 && scaleHours <= 1e9, 'life prior', 'scaleHours', scaleHours, '1 to 1e9');
	requireThat(shape >= 0.1 && shape <= 50, 'life prior', 'shape', shape, '0.1 to 50');
	requireThat(
		priorWeight > 0 && priorWeight <= 1e6,
		'life prior',
		'priorWeight',
		priorWeight,
		'above 0, at most 1e6 lives'
	);
}

function requireLife({ held, endedBy, before }: OtherLife): void {
	requireThat(before.length > 0, 'fitCompetingFailures', 'before', 'empty', 'at least one possible age');
	for (const { hours, weight } of before) {
		requireThat(hours >= 0 && Number.isFinite(hours), 'fitCompetingFailures', 'hours before', hours, 'at least 0');
		requireThat(weight > 0 && weight <= 1, 'fitCompetingFailures', 'weight', weight, 'above 0, at most 1');
	}
	requireThat(held >= 0 && Number.isFinite(held), 'fitCompetingFailures', 'held', held, 'at least 0');
	if (endedBy === undefined) return;
	const oldest = Math.max(...before.map(({ hours }) => hours));
	requireThat(
		Number.isFinite(endedBy) && endedBy >= held && oldest + endedBy > 0,
		'fitCompetingFailures',
		'endedBy',
		endedBy,
		`at least ${held}`
	);
}

const LEAST_HOURS = 1;
const cumulative = (hours: number, logScale: number, shape: number): number =>
	hours <= 0 ? 0 : Math.exp(shape * (Math.log(hours) - logScale));

// A part of unknown age that was damaged at the first sight of it ended some time before: its whole age stands open.
function logLikelihood({ before, held, endedBy }: OtherLife, logScale: number, shape: number): number {
	let sum = 0;
	for (const { hours, weight } of before) {
		const from = endedBy !== undefined && held === endedBy ? 0 : hours + held;
		const survived = cumulative(from, logScale, shape);
		if (endedBy === undefined) sum += weight * Math.exp(-survived);
		else {
			const ended = cumulative(Math.max(LEAST_HOURS, hours + endedBy), logScale, shape);
			sum += weight * Math.exp(-survived) * -Math.expm1(survived - ended);
		}
	}
	return Math.log(Math.max(sum, 1e-300));
}

function posterior(
	prior: LifePrior,
	before: Float64Array,
	{ byShape, pivot }: Pick<Evidence, 'byShape' | 'pivot'>,
	lives: readonly OtherLife[]
): CompetingFailures {
	const log = Float64Array.from(
		SHAPES.flatMap(({ weight }, s) =>
			OFFSETS.map((_, i) => Math.log(weight * Math.max(before[i], 1e-30)) + byShape[s][i])
		)
	);
	const weights = exponentials(log);
	const kept = SHAPES.flatMap(({ z }, s) => {
		const shape = shapeAt(prior, z);
		return OFFSETS.map((x, i) => ({
			scale: Math.exp(logScaleAt(prior, pivot, x, shape)),
			shape,
			weight: weights[s * OFFSETS.length + i]
		}));
	}).filter(({ weight }) => weight > FORGOTTEN);
	const total = kept.reduce((sum, { weight }) => sum + weight, 0);
	return {
		prior,
		nodes: kept.map((node) => ({ ...node, weight: node.weight / total })),
		events: lives.filter(({ endedBy }) => endedBy !== undefined).length,
		lives: lives.length
	};
}

/**
 * The chance that something other than measured wear ends a part within more hours, given that it has held so far: over prior
 * and record, and over the ages that the record allows where the age is not known.
 * Units: hours. Errors: PreconditionError for hours below 0 or not finite.
 */
export function riskOfCompetingFailure(failures: CompetingFailures, age: Age, further: number): Risk {
	const points = chancesOf(failures, age, further);
	if (points.length === 0) return { probability: 1, low: 1, high: 1 };
	return { probability: meanOf(points), ...spreadOf(points) };
}

/** The same chance for a new part, without what is open about it. Units: hours. Errors: as `riskOfCompetingFailure`. */
export const newPartFails = (failures: CompetingFailures, hours: number): number =>
	meanOf(chancesOf(failures, { kind: 'known', hours: 0 }, hours));

interface Point {
	readonly chance: number;
	readonly weight: number;
}

function chancesOf({ nodes }: CompetingFailures, age: Age, further: number): Point[] {
	requireThat(further >= 0 && Number.isFinite(further), 'riskOfCompetingFailure', 'further', further, 'at least 0');
	const ages = ageNodes(age).map(({ hours, weight }) => ({
		weight,
		now: Math.log(hours),
		then: Math.log(hours + further)
	}));
	const points: Point[] = [];
	for (const { scale, shape, weight } of nodes) {
		const logScale = Math.log(scale);
		let alive = 0;
		let ends = 0;
		for (const node of ages) {
			const now = Math.exp(shape * (node.now - logScale));
			const here = node.weight * Math.exp(-now);
			alive += here;
			ends += here * -Math.expm1(now - Math.exp(shape * (node.then - logScale)));
		}
		if (alive > 0) points.push({ chance: ends / alive, weight: weight * alive });
	}
	return points;
}

function meanOf(points: readonly Point[]): number {
	let all = 0;
	let ends = 0;
	for (const { chance, weight } of points) {
		all += weight;
		ends += weight * chance;
	}
	return Math.min(1, ends / all);
}
