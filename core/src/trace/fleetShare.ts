import { groupBy } from '../list';
import { gammaLn, highestAt, requireThat } from '../number';

/** In how many inspections of one place something was found. */
export interface Finds {
	readonly events: number;
	readonly inspections: number;
}

/** How the share of inspections that find something is spread over alike places: beta; `pooled` where no spread shows. */
export type FleetShare =
	| { readonly kind: 'spread'; readonly alpha: number; readonly beta: number }
	| { readonly kind: 'pooled'; readonly mean: number };

// Weight of the prior in inspections: below the first, places are all or nothing; above the last, a spread cannot be told from none.
const [LEAST_WEIGHT, MOST_WEIGHT] = [0.2, 1e4];
const WIDTH = 1e-6;
const STEPS = 12;
const EDGE = 1e-6;
const JEFFREYS = 0.5;

/**
 * How the share of inspections that find something is spread over alike places: beta–binomial by the highest marginal likelihood. Where
 * nothing, or nothing else, was ever found, what so many inspections leave possible (Jeffreys' prior). Undefined without an inspection.
 *
 * Shape: one count a place. Errors: PreconditionError for counts that cannot be.
 * Source: J. Skellam, J. Royal Stat. Soc. B 10 (1948) 257–261 (beta–binomial); B. Carlin, T. Louis, Bayesian Methods for Data Analysis
 * (2009), ch. 5 (empirical Bayes).
 */
export function fleetShare(places: readonly Finds[]): FleetShare | undefined {
	for (const place of places) requireFinds('fleetShare', place);
	const seen = places.filter(({ inspections }) => inspections > 0);
	const events = seen.reduce((sum, rule) => sum + rule.events, 0);
	const inspections = seen.reduce((sum, rule) => sum + rule.inspections, 0);
	if (inspections === 0) return undefined;
	if (events === 0 || events === inspections)
		return { kind: 'spread', alpha: events + JEFFREYS, beta: inspections - events + JEFFREYS };
	const mean = events / inspections;
	if (seen.length < 2) return { kind: 'spread', alpha: events + JEFFREYS, beta: inspections - events + JEFFREYS };
	const alike = [...groupBy(seen, (rule) => `${rule.events}/${rule.inspections}`).values()];
	const common = events * Math.log(mean) + (inspections - events) * Math.log1p(-mean);
	const bestMean = (weight: number) => highestAt((m) => logMarginal(alike, m, weight), EDGE, 1 - EDGE, WIDTH);
	const given = (logWeight: number) => logMarginal(alike, bestMean(Math.exp(logWeight)), Math.exp(logWeight));
	const [low, high] = [Math.log(LEAST_WEIGHT), Math.log(MOST_WEIGHT)];
	const weights = Array.from({ length: STEPS + 1 }, (_, i) => low + ((high - low) * i) / STEPS);
	const values = weights.map(given);
	const top = values.indexOf(Math.max(...values));
	if (!(values[top] > common) || top === STEPS) return { kind: 'pooled', mean };
	const weight = Math.exp(highestAt(given, weights[Math.max(0, top - 1)], weights[top + 1], WIDTH));
	const at = bestMean(weight);
	return { kind: 'spread', alpha: weight * at, beta: weight * (1 - at) };
}

function requireFinds(fn: string, { events, inspections }: Finds): void {
	requireThat(Number.isInteger(events) && events >= 0, fn, 'events', events, 'a count');
	const isCount = Number.isInteger(inspections) && inspections >= events && inspections <= 1e6;
	requireThat(isCount, fn, 'inspections', inspections, `a count from ${events} to a million`);
}

const logBeta = (a: number, b: number) => gammaLn(a) + gammaLn(b) - gammaLn(a + b);
const logChoose = (n: number, k: number) => gammaLn(n + 1) - gammaLn(k + 1) - gammaLn(n - k + 1);

// Without the terms that do not depend on the spread. Places of the same counts are worked out once.
function logMarginal(alike: readonly (readonly Finds[])[], mean: number, weight: number): number {
	const [alpha, beta] = [weight * mean, weight * (1 - mean)];
	const prior = logBeta(alpha, beta);
	return alike.reduce((sum, places) => {
		const { events, inspections } = places[0];
		return sum + places.length * (logBeta(alpha + events, beta + inspections - events) - prior);
	}, 0);
}

/**
 * P(at most as many finds as there were since), were the place as it was before: a place like the others, or with a probability of one in as
 * many places one with a share of its own, which may be anything. What is acted on because it was the worst mostly returns to the usual by
 * itself; what was bad beyond the others' spread does not.
 *
 * Errors: PreconditionError for counts that cannot be.
 * Source: E. Hauer, Observational Before–After Studies (1997), ch. 11 (regression to the mean); H. Jeffreys, Theory of Probability (1961), 5.1.
 *
 * @example chanceOfFinds({ events: 0, inspections: 2 }, { events: 1, inspections: 1 }, { kind: 'spread', alpha: 1, beta: 1 }, 1) // 1/6
 */
export function chanceOfFinds(since: Finds, before: Finds, fleet: FleetShare, others: number): number {
	for (const finds of [since, before]) requireFinds('chanceOfFinds', finds);
	requireThat(Number.isInteger(others) && others >= 1, 'chanceOfFinds', 'others', others, 'a count of at least 1');
	const special = 1 / (others + 1);
	const own = special / (before.inspections + 1); // every count before is as probable
	const usual = (1 - special) * Math.exp(logPredicted(before, NOTHING, fleet));
	const within = (given: FleetShare): number => {
		let chance = 0;
		for (let events = 0; events <= since.events; events++)
			chance += Math.exp(logPredicted({ ...since, events }, before, given));
		return chance;
	};
	return Math.min(1, (own * within(ANYTHING) + usual * within(fleet)) / (own + usual));
}

const NOTHING: Finds = { events: 0, inspections: 0 };
const ANYTHING: FleetShare = { kind: 'spread', alpha: 1, beta: 1 };

// ln P(so many finds), after those before.
function logPredicted({ events: k, inspections: n }: Finds, before: Finds, fleet: FleetShare): number {
	if (fleet.kind === 'pooled') {
		const { mean } = fleet;
		return logChoose(n, k) + k * Math.log(mean) + (n - k) * Math.log1p(-mean);
	}
	const alpha = fleet.alpha + before.events;
	const beta = fleet.beta + before.inspections - before.events;
	return logChoose(n, k) + logBeta(alpha + k, beta + n - k) - logBeta(alpha, beta);
}
