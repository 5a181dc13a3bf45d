import gammainc from '@stdlib/math-base-special-gammainc';
import { chiSquareQuantile, finiteAnswer, gammaLn, highestAt, requireThat } from '../number';
import type { Counted } from './exactTests';

/** How a rate is spread over a fleet: gamma with this shape and rate; `pooled` where the record shows no spread at all. */
export type FleetRate =
	| { readonly kind: 'spread'; readonly shape: number; readonly rate: number; readonly mean: number }
	| { readonly kind: 'pooled'; readonly mean: number }
	/** Nothing happened anywhere. */
	| { readonly kind: 'none' };

const LOG_MEAN_STEPS = 60;
// Past this shape a spread of rates cannot be told from none.
const SAME = Math.log(1e5);
/** Logarithms of shapes among which the top is looked for first. */
const SHAPES = Array.from({ length: 14 }, (_, i) => Math.log(1e-3) + (i * (SAME - Math.log(1e-3))) / 13);

/**
 * How the rate of one kind of event is spread over the members of a fleet: gamma–Poisson by the highest marginal likelihood.
 *
 * Shape: one count a member. Errors: PreconditionError for counts or exposures that cannot be.
 * Source: M. Greenwood, G. Yule, J. Royal Stat. Soc. 83 (1920) 255–279 (negative binomial); B. Carlin, T. Louis, Bayesian Methods
 * for Data Analysis (2009), ch. 5 (empirical Bayes). Where no spread is likelier than one rate for all, that is the answer.
 */
export function fleetRate(members: readonly Counted[]): FleetRate {
	for (const { events, exposure } of members) {
		requireThat(Number.isInteger(events) && events >= 0, 'fleetRate', 'events', events, 'a count');
		requireThat(exposure > 0 && Number.isFinite(exposure), 'fleetRate', 'exposure', exposure, 'above 0');
	}
	const events = members.reduce((sum, count) => sum + count.events, 0);
	const exposure = members.reduce((sum, count) => sum + count.exposure, 0);
	if (events === 0) return { kind: 'none' };
	const pooled = { kind: 'pooled', mean: events / exposure } as const;
	if (members.length < 2) return pooled;
	// The top may lie within though the counts vary no more than chance would make them: it is looked for, not told from a moment.
	const common = events * Math.log(pooled.mean) - events;
	const given = (logShape: number) => {
		const shape = Math.exp(logShape);
		const rate = bestRate(members, shape, pooled.mean);
		return { value: logMarginal(members, shape, rate), rate };
	};
	const seen = SHAPES.map((logShape) => given(logShape).value);
	const top = seen.indexOf(Math.max(...seen));
	if (!(seen[top] > common)) return pooled;
	const [low, high] = [SHAPES[Math.max(0, top - 1)], SHAPES[Math.min(SHAPES.length - 1, top + 1)]];
	const logShape = highestAt((log) => given(log).value, low, high, 1e-9);
	if (logShape > SAME - 0.01) return pooled;
	const shape = Math.exp(logShape);
	const { rate } = given(logShape);
	return { kind: 'spread', shape, rate, mean: finiteAnswer('fleetRate', shape / finiteAnswer('fleetRate', rate)) };
}

// Terms that do not hang on shape and rate are left out.
const logMarginal = (members: readonly Counted[], shape: number, rate: number): number =>
	members.reduce(
		(sum, { events, exposure }) =>
			sum +
			(events === 0 ? 0 : logRising(shape, events)) -
			shape * Math.log1p(exposure / rate) -
			events * Math.log(rate + exposure),
		0
	);
const logRising = (shape: number, events: number): number => gammaLn(shape + events) - gammaLn(shape);

// For a given shape the likelihood has one top in the rate: Σ (shape·E/(rate(rate + E)) − y/(rate + E)) = 0.
function bestRate(members: readonly Counted[], shape: number, mean: number): number {
	let [low, high] = [Math.log(shape / mean) - 12, Math.log(shape / mean) + 12];
	for (let step = 0; step < LOG_MEAN_STEPS; step++) {
		const middle = (low + high) / 2;
		const rate = Math.exp(middle);
		const slope = members.reduce(
			(sum, { events, exposure }) => sum + ((shape * exposure) / rate - events) / (rate + exposure),
			0
		);
		if (slope > 0) low = middle;
		else high = middle;
	}
	return Math.exp((low + high) / 2);
}

export interface ShrunkenRate {
	/** Rate of this member by the fleet's mean: expected, with 95 % limits, fleet and own record together. */
	readonly ratio: number;
	readonly low: number;
	readonly high: number;
	/** P(as many events or more, did this member belong to the fleet). */
	readonly p: number;
}

/**
 * One member's rate against the fleet that the others make, its own record and theirs together.
 *
 * `fleet` is to be fitted without the member, so that what stands out does not widen the fleet that it is held against.
 * Errors: PreconditionError for counts that cannot be. Undefined where nothing happened in the fleet: there is no rate to hold it to.
 */
export function againstFleet({ events, exposure }: Counted, fleet: FleetRate, level = 0.95): ShrunkenRate | undefined {
	requireThat(Number.isInteger(events) && events >= 0 && events <= 1e5, 'againstFleet', 'events', events, 'a count');
	requireThat(exposure > 0 && Number.isFinite(exposure), 'againstFleet', 'exposure', exposure, 'above 0');
	requireThat(level > 0 && level < 1, 'againstFleet', 'level', level, 'between 0 and 1');
	if (fleet.kind === 'none') return undefined;
	requireThat(fleet.mean > 0 && Number.isFinite(fleet.mean), 'againstFleet', 'mean', fleet.mean, 'above 0');
	if (fleet.kind === 'pooled') {
		const p = events === 0 ? 1 : gammainc(fleet.mean * exposure, events, true, false);
		return { ratio: 1, low: 1, high: 1, p };
	}
	for (const part of ['shape', 'rate'] as const)
		requireThat(fleet[part] > 0 && Number.isFinite(fleet[part]), 'againstFleet', part, fleet[part], 'above 0');
	const shape = fleet.shape + events;
	const scale = 1 / (fleet.rate + exposure) / fleet.mean;
	const quantile = (q: number) => (chiSquareQuantile(q, 2 * shape) / 2) * scale;
	return {
		ratio: finiteAnswer('againstFleet', shape * scale),
		low: quantile((1 - level) / 2),
		high: quantile((1 + level) / 2),
		p: negativeBinomialTail(events, fleet.shape, exposure / (fleet.rate + exposure))
	};
}

// P(X ≥ k), summed from the top of the lower tail.
function negativeBinomialTail(k: number, shape: number, share: number): number {
	let term = shape * Math.log1p(-share);
	let below = 0;
	for (let i = 0; i < k; i++) {
		below += Math.exp(term);
		term += Math.log(((shape + i) / (i + 1)) * share);
	}
	if (below < 0.99) return 1 - below;
	// The upper tail itself, where the difference would have lost its digits.
	let above = 0;
	for (let i = k; i < k + 10_000; i++) {
		const value = Math.exp(term);
		above += value;
		if (value < 1e-18 * above) break;
		term += Math.log(((shape + i) / (i + 1)) * share);
	}
	return above;
}
