import { gammaLn, requireThat } from '../number';
import { compareRates, type Counted, type RateComparison } from './exactTests';
import { chanceOfFinds, fleetShare, type Finds, type FleetShare } from './fleetShare';

/** What was found at a place on one side of a fix: in how many of its inspections, and over how many hours. */
export interface Inspected extends Counted {
	readonly inspections: number;
}

export interface FixWorked {
	readonly before: Finds;
	readonly since: Finds;
	/**
	 * P(as few finds since, or fewer, without an effect): the larger of the exact test's and that of a place like the others. Left out if
	 * the place was not inspected since.
	 */
	readonly chance?: number;
	/** Left out where the place has not been looked at since. */
	readonly comparison?: RateComparison;
	/** Worked: found in fewer inspections since, at this level, also for a place that was chosen as the worst of alike ones. Not: even half as often as before is excluded. Open: neither can be told. */
	readonly verdict: 'worked' | 'open' | 'not';
	/** Clean inspections from the fix on that would show it, and those still wanted; undefined where nothing had been found before, or it came again. */
	readonly inspectionsNeeded?: number;
	readonly inspectionsStillNeeded?: number;
}

/** What a fix is expected to bring at least: half as often. */
const PROMISED = 0.5;
const MOST_INSPECTIONS = 1000;

/**
 * Did the fix work? In how many inspections it was found before and since, by the exact one-sided test of two shares; and how many
 * must still be clean to show it. By hours alone a few clean inspections could not: that they were clean says more than how long
 * they were apart. A place is acted on because it was bad, and comes nearer to the usual by itself: with `others`, the other places of its
 * kind, it has to be better than such a return would make it too. That it has not worked is said only where the limits of the rates
 * exclude what a fix brings at least, a half.
 *
 * Units: hours. Errors: PreconditionError for counts or hours that cannot be, more finds than inspections, or a level outside (0, 1).
 * Source: R. Fisher, Statistical Methods for Research Workers (1934), 21.02; J. Przyborowski, H. Wilenski, Biometrika 31 (1940) 313–323;
 * E. Hauer, Observational Before–After Studies (1997), ch. 11.
 *
 * @example fixWorked({ events: 3, exposure: 3000, inspections: 3 }, { events: 0, exposure: 3000, inspections: 3 }).verdict // 'worked': 1/20
 */
export function fixWorked(before: Inspected, since: Inspected, level = 0.95, others: readonly Finds[] = []): FixWorked {
	requireThat(level > 0 && level < 1, 'fixWorked', 'level', level, 'between 0 and 1');
	for (const { events, inspections } of [before, since]) {
		requireThat(Number.isInteger(events) && events >= 0 && events <= 99_999, 'fixWorked', 'events', events, 'a count');
		requireThat(
			Number.isInteger(inspections) && inspections >= events && inspections <= 1e6,
			'fixWorked',
			'inspections',
			inspections,
			`a count of at least ${events}`
		);
	}
	const alpha = 1 - level;
	const known = others.filter(({ inspections }) => inspections > 0);
	const share = fleetShare(known);
	const fleet = share && { share, others: known.length };
	const wait = waitFor(before, since, alpha, fleet);
	// Not inspected since: how long it must be clean is all that can be said.
	const counts = { before: findsOf(before), since: findsOf(since) };
	if (since.inspections === 0 || since.exposure === 0) return { verdict: 'open', ...counts, ...wait };
	const comparison = compareRates(since, before, level);
	const chance = chanceWithout(before, since, fleet);
	const worked = chance <= alpha * (1 + ROUNDING);
	const not = !worked && since.events > 0 && comparison.low > PROMISED;
	return { comparison, chance, verdict: worked ? 'worked' : not ? 'not' : 'open', ...counts, ...wait };
}

const ROUNDING = 1e-9;
const logChoose = (n: number, k: number): number => gammaLn(n + 1) - gammaLn(k + 1) - gammaLn(n - k + 1);

// P(as few finds since, or fewer, given all), were every inspection alike.
function chanceOfSoFew(before: Inspected, since: Inspected): number {
	const [all, found] = [before.inspections + since.inspections, before.events + since.events];
	let chance = 0;
	for (let few = Math.max(0, found - before.inspections); few <= since.events; few++)
		chance += Math.exp(
			logChoose(since.inspections, few) + logChoose(before.inspections, found - few) - logChoose(all, found)
		);
	return chance;
}

interface Fleet {
	readonly share: FleetShare;
	readonly others: number;
}

const findsOf = ({ events, inspections }: Inspected): Finds => ({ events, inspections });

// Without an effect: by its own record, and as one of the others where that leaves more to chance.
const chanceWithout = (before: Inspected, since: Inspected, fleet?: Fleet): number =>
	Math.max(chanceOfSoFew(before, since), fleet ? chanceOfFinds(since, before, fleet.share, fleet.others) : 0);

function waitFor(before: Inspected, since: Inspected, alpha: number, fleet?: Fleet) {
	if (before.events === 0 || since.events > 0) return {};
	for (let needed = 1; needed <= MOST_INSPECTIONS; needed++)
		if (chanceWithout(before, { ...since, inspections: needed }, fleet) <= alpha * (1 + ROUNDING))
			return { inspectionsNeeded: needed, inspectionsStillNeeded: Math.max(0, needed - since.inspections) };
	return {};
}
