import { requireThat } from '../number';

/** What is done with a part. */
export type Choice = 'reuse' | 'replace';

/** One part of the set that is decided together, since one failure anywhere opens the pump again. */
export interface SetPart {
	readonly id: string;
	/** P(it stops the pump before the next service) if reused, and if a new one is fitted. */
	readonly pReuse: number;
	readonly pNew: number;
	/** Of a new one, and what else its failure spoils, in the shop's currency. */
	readonly price: number;
	readonly collateral: number;
	/** Decided already by a hard rule or a person. */
	readonly fixed?: Choice;
	/** Parts of one set are replaced all together or not at all, but for those that are decided already. */
	readonly set?: string;
}

export interface SetChoice {
	readonly choices: ReadonlyMap<string, Choice>;
	readonly cost: SetCost;
}

export interface SetCost {
	readonly parts: number;
	/** Expected cost of opening the pump again: P(any failure) × opening. */
	readonly opening: number;
	readonly collateral: number;
	readonly total: number;
	readonly pAnyFailure: number;
}

/**
 * Expected cost of one choice for the whole set: Σ price of the replaced + P(any failure)·opening + Σ p·collateral.
 * Failures are taken as independent. Units: the shop's currency.
 * Errors: PreconditionError for a probability outside [0, 1], or a cost below 0 or not finite.
 */
export function costOf(parts: readonly SetPart[], choices: ReadonlyMap<string, Choice>, opening: number): SetCost {
	let price = 0;
	let collateral = 0;
	let logNone = 0; // ln P(no failure), so that many small odds keep their digits
	requireCost('costOf', 'opening', opening);
	for (const part of parts) {
		requirePart('costOf', part);
		const replace = choices.get(part.id) === 'replace';
		const p = replace ? part.pNew : part.pReuse;
		price += replace ? part.price : 0;
		collateral += p * part.collateral;
		logNone += Math.log1p(-p);
	}
	const pAnyFailure = -Math.expm1(logNone);
	return {
		parts: price,
		opening: pAnyFailure * opening,
		collateral,
		total: price + pAnyFailure * opening + collateral,
		pAnyFailure
	};
}

/**
 * Which parts to replace so that the expected cost of the set is least. Exact.
 *
 * The cost is a sum over the parts plus opening·(1 − exp(Σ log-survival)), which is concave in the sum of log-survivals. So
 * with the free items (parts, or the undecided parts of a set as one) sorted by cost over gain in log-survival, an optimum is
 * among the n + 1 prefixes. Where an item fails for certain unless it is changed, the pump opens anyway: that case is a sum
 * over the items alone, and both are compared. A part's own best choice is not always the set's.
 * Errors: PreconditionError for probabilities outside [0, 1], costs below 0, or an id used twice.
 * Source: minimum of a concave function at a vertex, R. Horst, H. Tuy, Global Optimization (1996), 1.2; opportunistic
 * replacement: R. Dekker et al., Math. Meth. Oper. Res. 45 (1997) 411–435.
 */
export function decideSet(parts: readonly SetPart[], opening: number): SetChoice {
	check(parts, opening);
	const gone = new Set(parts.flatMap(({ set, fixed }) => (set !== undefined && fixed === 'replace' ? [set] : [])));
	const settled = new Map(
		parts.map((part) => [part.id, part.fixed ?? (isDragged(part, gone) ? 'replace' : ('reuse' as Choice))] as const)
	);
	const items = choosable(parts, gone).map(itemOf);
	const free = new Set(items.flatMap(({ ids }) => ids));
	const kept = new Map(settled);
	const rest = costOf(
		parts.filter(({ id }) => !free.has(id)),
		kept,
		opening
	);
	let best = new Set(byThemselves(items));
	let least = Infinity;
	const weigh = (replaced: ReadonlySet<Item>) => {
		const total = totalOf(items, replaced, rest, opening);
		if (total < least) [best, least] = [new Set(replaced), total];
	};
	for (const replaced of prefixes(items)) weigh(replaced);
	weigh(byThemselves(items));
	for (const item of items) for (const id of item.ids) kept.set(id, best.has(item) ? 'replace' : 'reuse');
	return { choices: kept, cost: costOf(parts, kept, opening) };
}

// What a choice costs, as far as choices differ: by the items alone, since every prefix is weighed.
function totalOf(items: readonly Item[], replaced: ReadonlySet<Item>, rest: SetCost, opening: number): number {
	let cost = 0;
	let logNone = Math.log1p(-rest.pAnyFailure);
	for (const item of items) {
		const changed = replaced.has(item);
		if (changed) cost += item.cost;
		logNone += changed ? item.fresh : item.reused;
	}
	return cost - Math.expm1(logNone) * opening;
}

/** What is replaced as one: what that costs more than keeping it, and what it adds to the log of the set's survival. */
interface Item {
	readonly ids: readonly string[];
	readonly cost: number;
	readonly gain: number;
	/** Log of P(it does not fail), kept and new. */
	readonly reused: number;
	readonly fresh: number;
}

function itemOf(together: readonly SetPart[]): Item {
	let cost = 0;
	let reused = 0;
	let fresh = 0;
	for (const { price, collateral, pReuse, pNew } of together) {
		cost += price + (pNew - pReuse) * collateral;
		reused += Math.log1p(-pReuse);
		fresh += Math.log1p(-pNew);
	}
	// Certain failure either way is neither gain nor loss.
	const gain = reused === fresh ? 0 : fresh - reused;
	return { ids: together.map(({ id }) => id), cost, gain, reused, fresh };
}

// The best choices for every price of log-survival from 0 up: an item changes where that price passes its cost over gain.
// One set all along, changed from one to the next.
function* prefixes(items: readonly Item[]): Generator<ReadonlySet<Item>> {
	const chosen = new Set(
		items.filter(
			({ cost, gain }) => gain === Infinity || (gain !== -Infinity && (cost < 0 || (cost === 0 && gain > 0)))
		)
	);
	yield chosen;
	const turns = items
		.filter(({ cost, gain }) => (cost > 0 && gain > 0) || (cost < 0 && gain < 0))
		.filter(({ gain }) => Number.isFinite(gain))
		.sort((a, b) => a.cost / a.gain - b.cost / b.gain);
	for (const item of turns) {
		if (item.gain > 0) chosen.add(item);
		else chosen.delete(item);
		yield chosen;
	}
}

// Where the pump opens for certain, each item by its own cost.
const byThemselves = (items: readonly Item[]): ReadonlySet<Item> => new Set(items.filter(({ cost }) => cost < 0));

// A part of a set goes with one of the set that has to go.
const isDragged = ({ set }: SetPart, gone: ReadonlySet<string>): boolean => set !== undefined && gone.has(set);

// What can still be chosen: parts by themselves, and the undecided parts of a set as one.
function choosable(parts: readonly SetPart[], gone: ReadonlySet<string>): SetPart[][] {
	const together = new Map<string, SetPart[]>();
	for (const part of parts) {
		if (part.fixed || isDragged(part, gone)) continue;
		const name = part.set === undefined ? `part ${part.id}` : `set ${part.set}`;
		together.set(name, [...(together.get(name) ?? []), part]);
	}
	return [...together.values()];
}

const requireCost = (fn: string, name: string, cost: number) =>
	requireThat(cost >= 0 && Number.isFinite(cost), fn, name, cost, 'at least 0');

function requirePart(fn: string, { pReuse, pNew, price, collateral }: SetPart): void {
	for (const [name, p] of Object.entries({ pReuse, pNew })) requireThat(p >= 0 && p <= 1, fn, name, p, 'from 0 to 1');
	for (const [name, cost] of Object.entries({ price, collateral })) requireCost(fn, name, cost);
}

function check(parts: readonly SetPart[], opening: number): void {
	requireCost('decideSet', 'opening', opening);
	requireThat(
		new Set(parts.map(({ id }) => id)).size === parts.length,
		'decideSet',
		'parts',
		'a repeated id',
		'each part once'
	);
	for (const part of parts) requirePart('decideSet', part);
}

/** What each choice for one part costs, if it stood alone: the figures beside its verdict. Errors: as `costOf`. */
export function costsAlone(part: SetPart, opening: number): { reuse: number; replace: number } {
	requirePart('costsAlone', part);
	requireCost('costsAlone', 'opening', opening);
	const { pReuse, pNew, price, collateral } = part;
	return { reuse: pReuse * (opening + collateral), replace: price + pNew * (opening + collateral) };
}

export interface IntervalCost {
	readonly hours: number;
	/** Expected cost per 1000 h of running. */
	readonly per1000h: number;
	readonly pAnyFailure: number;
}

/** Where the cost per hour is least; `atLeast` where that is the end of the range, so that it may lie further out. */
export interface EconomicInterval {
	readonly best: IntervalCost;
	readonly atLeast: boolean;
	readonly curve: readonly IntervalCost[];
}

/** Costs of opening the pump: planned, and forced by a failure (downtime included). */
export interface OpeningCosts {
	readonly planned: number;
	readonly unplanned: number;
}

/**
 * Cost per hour over the interval to the next service, and the interval at which it is least.
 *
 * Renewal–reward: (parts + collateral + unplanned·F(H) + planned·S(H)) / E[hours run], where E[hours run] = ∫₀ᴴ S, since a
 * failure ends the run early. Each interval is decided anew, as far as its parts are not fixed.
 * Shape: intervals ascending, at least one, hours > 0; ∫S by the trapezium rule over them, so the finer the better.
 * Errors: as `decideSet`; PreconditionError for intervals that do not ascend.
 * Source: R. Barlow, F. Proschan, Mathematical Theory of Reliability (1965), 4.2 (age replacement).
 */
export function bestInterval(
	setAt: (hours: number) => readonly SetPart[],
	opening: OpeningCosts,
	intervals: readonly number[]
): EconomicInterval {
	requireCost('bestInterval', 'planned', opening.planned);
	const ascending = intervals.every((hours, i) => hours > (intervals[i - 1] ?? 0) && Number.isFinite(hours));
	requireThat(intervals.length > 0 && ascending, 'bestInterval', 'intervals', intervals, 'hours above 0, ascending');
	const sets = intervals.map(setAt);
	const curve = intervals.map((hours, at) => {
		const { choices, cost } = decideSet(sets[at], opening.unplanned);
		const survival = [
			1,
			...sets.slice(0, at + 1).map((set) => 1 - costOf(set, choices, opening.unplanned).pAnyFailure)
		];
		const ends = [0, ...intervals.slice(0, at + 1)];
		const run = ends.slice(1).reduce((sum, end, i) => sum + ((survival[i] + survival[i + 1]) / 2) * (end - ends[i]), 0);
		const total = cost.total + opening.planned * (1 - cost.pAnyFailure);
		return { hours, per1000h: (total / run) * 1000, pAnyFailure: cost.pAnyFailure };
	});
	const best = curve.reduce((a, b) => (b.per1000h < a.per1000h ? b : a));
	return { best, atLeast: best === curve.at(-1), curve };
}
