import { QUANTILE_WEIGHTS } from '../life';
import { requireThat } from '../number';

/** What is done with a part. */
export type Choice = 'reuse' | 'replace';

/** One part of the set that is decided together, since one failure anywhere opens the pump again. */
export interface SetPart {
	readonly id: string;
	/** P(it stops the pump before the next service) if reused, and if a new one is fitted. */
	readonly pReuse: number;
	readonly pNew: number;
	/**
	 * The same at each point of what is open about the pump, which all its parts share, weighted by `QUANTILE_WEIGHTS`; left out:
	 * it does not depend on the pump.
	 */
	readonly byPump?: { readonly reuse: readonly number[]; readonly fresh: readonly number[] };
	/** Of a new one, and what else its failure spoils, in the shop's currency. */
	readonly price: number;
	readonly collateral: number;
	/** Decided already by a hard rule or a person. */
	readonly fixed?: Choice;
	/** Parts of one set are replaced all together or not at all, but for those that are decided already. */
	readonly set?: string;
}

interface SetChoice {
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
 * Failures are independent given the pump's factor, over which P(any failure) is averaged. Units: the shop's currency.
 * Errors: PreconditionError for a probability outside [0, 1], or a cost below 0 or not finite.
 */
export function costOf(parts: readonly SetPart[], choices: ReadonlyMap<string, Choice>, opening: number): SetCost {
	let price = 0;
	let collateral = 0;
	const logNone = new Float64Array(QUANTILE_WEIGHTS.length); // ln P(no failure), so that many small probabilities keep their digits
	requireCost('costOf', 'opening', opening);
	for (const part of parts) {
		requirePart('costOf', part);
		const replace = choices.get(part.id) === 'replace';
		const p = replace ? part.pNew : part.pReuse;
		price += replace ? part.price : 0;
		collateral += p * part.collateral;
		const byPump = replace ? part.byPump?.fresh : part.byPump?.reuse;
		for (let q = 0; q < logNone.length; q++) logNone[q] += Math.log1p(-(byPump?.[q] ?? p));
	}
	const pAnyFailure = anyOf(logNone);
	return {
		parts: price,
		opening: pAnyFailure * opening,
		collateral,
		total: price + pAnyFailure * opening + collateral,
		pAnyFailure
	};
}

// P(any failure) of ln P(none) at each point of the pump's factor.
const anyOf = (logNone: Float64Array): number =>
	QUANTILE_WEIGHTS.reduce((sum, weight, q) => sum - weight * Math.expm1(logNone[q]), 0);

/**
 * P(any of these happens in a pump), where each is independent given the pump's factor: its chance at each point of that.
 * Shape: as many chances for each as there are `QUANTILE_WEIGHTS`. Errors: PreconditionError for a probability outside [0, 1].
 */
export function anyInPump(chances: readonly (readonly number[])[]): number {
	const logNone = new Float64Array(QUANTILE_WEIGHTS.length);
	for (const points of chances)
		for (const [q, p] of points.entries()) {
			requireThat(p >= 0 && p <= 1, 'anyInPump', 'chances', p, 'from 0 to 1');
			logNone[q] += Math.log1p(-p);
		}
	return anyOf(logNone);
}

/**
 * Which parts to replace so that the expected cost of the set is least.
 *
 * The cost is a sum over the parts plus opening·(1 − Σ_q w_q·exp(Σ log-survival at point q of the pump's factor)), which is concave
 * in the sums of log-survivals. An optimum is therefore best for a price of each of these sums. With one price for all, the items
 * (parts, or the undecided parts of a set as one) sorted by cost over gain give n + 1 candidates; the best of them is then
 * improved with the prices that it has itself, each step at no higher cost, until nothing changes. Exact where no chance depends on
 * the pump; else within 0.1 % of the least cost, tested against every choice of up to nine parts. Where an item fails for
 * certain unless it is changed, the pump opens anyway: that case is a sum over the items alone, and both are compared.
 * A part's own best choice is not always the set's.
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
	const sum = new SetSum(
		parts.filter(({ id }) => !free.has(id)),
		kept,
		items,
		opening
	);
	let best = byThemselves(items);
	let least = sum.change(best);
	const weigh = (total: number) => {
		if (total < least) [best, least] = [new Set(sum.replaced), total];
	};
	weigh(sum.change(firstPrefix(items)));
	for (const item of turnsOf(items)) weigh(sum.turn(item));
	for (let step = 0; step < MOST_STEPS; step++) {
		const before = least;
		sum.change(best);
		weigh(sum.change(bestAt(sum.prices(), items)));
		if (least === before) break;
	}
	for (const item of items) for (const id of item.ids) kept.set(id, best.has(item) ? 'replace' : 'reuse');
	return { choices: kept, cost: costOf(parts, kept, opening) };
}
const MOST_STEPS = 50; // never met: the cost falls with each

/** What a choice among the items costs, as far as choices differ; kept up as single items change. */
class SetSum {
	readonly replaced = new Set<Item>();
	readonly #items: readonly Item[];
	readonly #opening: number;
	#cost = 0;
	/** ln P(no failure) at each point of the pump's factor, without those that fail for certain, which are counted. */
	readonly #logNone = new Float64Array(QUANTILE_WEIGHTS.length);
	readonly #certain = new Float64Array(QUANTILE_WEIGHTS.length);

	constructor(rest: readonly SetPart[], choices: ReadonlyMap<string, Choice>, items: readonly Item[], opening: number) {
		this.#items = items;
		this.#opening = opening;
		for (const part of rest) this.#add(logSurvival(part, choices.get(part.id)!), 1);
		for (const item of items) this.#add(item.reused, 1);
	}

	#add(logSurvival: readonly number[], sign: 1 | -1): void {
		for (const [q, log] of logSurvival.entries())
			if (log === -Infinity) this.#certain[q] += sign;
			else this.#logNone[q] += sign * log;
	}

	/** Changes what is done with one item. Returns the cost. */
	turn(item: Item): number {
		const replaces = !this.replaced.has(item);
		this.#add(item.fresh, replaces ? 1 : -1);
		this.#add(item.reused, replaces ? -1 : 1);
		this.#cost += replaces ? item.cost : -item.cost;
		if (replaces) this.replaced.add(item);
		else this.replaced.delete(item);
		return this.#cost + this.#opening * anyOf(this.#logNones());
	}

	/** Changes to this choice. Returns its cost. */
	change(to: ReadonlySet<Item>): number {
		let total = this.#cost + this.#opening * anyOf(this.#logNones());
		for (const item of this.#items) if (to.has(item) !== this.replaced.has(item)) total = this.turn(item);
		return total;
	}

	/** What a gain in log-survival at each point of the pump's factor is worth under this choice. */
	prices(): number[] {
		return QUANTILE_WEIGHTS.map((weight, q) => this.#opening * weight * Math.exp(this.#logNones()[q]));
	}

	#logNones = () => this.#logNone.map((log, q) => (this.#certain[q] > 0 ? -Infinity : log));
}

function logSurvival({ pReuse, pNew, byPump }: SetPart, choice: Choice): number[] {
	const [p, points] = choice === 'replace' ? [pNew, byPump?.fresh] : [pReuse, byPump?.reuse];
	return QUANTILE_WEIGHTS.map((_, q) => Math.log1p(-(points?.[q] ?? p)));
}

/** What is replaced as one: what that costs more than keeping it, and what it adds to the log of the set's survival. */
interface Item {
	readonly ids: readonly string[];
	readonly cost: number;
	readonly gain: number;
	/** Log of P(it does not fail), kept and new, at each point of the pump's factor. */
	readonly reused: readonly number[];
	readonly fresh: readonly number[];
}

function itemOf(together: readonly SetPart[]): Item {
	let cost = 0;
	let gain = 0;
	const sums = { reuse: QUANTILE_WEIGHTS.map(() => 0), replace: QUANTILE_WEIGHTS.map(() => 0) };
	for (const part of together) {
		const { price, collateral, pReuse, pNew } = part;
		cost += price + (pNew - pReuse) * collateral;
		for (const choice of ['reuse', 'replace'] as const)
			for (const [q, log] of logSurvival(part, choice).entries()) sums[choice][q] += log;
		// Certain failure either way is neither gain nor loss.
		gain += pReuse === pNew ? 0 : Math.log1p(-pNew) - Math.log1p(-pReuse);
	}
	return {
		ids: together.map(({ id }) => id),
		cost,
		gain: Number.isNaN(gain) ? 0 : gain,
		reused: sums.reuse,
		fresh: sums.replace
	};
}

// The best choice where log-survival has no price: what pays by itself, and what would fail for certain.
const firstPrefix = (items: readonly Item[]): ReadonlySet<Item> =>
	new Set(
		items.filter(
			({ cost, gain }) => gain === Infinity || (gain !== -Infinity && (cost < 0 || (cost === 0 && gain > 0)))
		)
	);
// Where that price rises: an item changes where it passes its cost over gain.
const turnsOf = (items: readonly Item[]): Item[] =>
	items
		.filter(({ cost, gain }) => (cost > 0 && gain > 0) || (cost < 0 && gain < 0))
		.filter(({ gain }) => Number.isFinite(gain))
		.sort((a, b) => a.cost / a.gain - b.cost / b.gain);

// The best choice at one price for each point of the pump's factor. What fails for certain at a point has no price there.
const bestAt = (prices: readonly number[], items: readonly Item[]): ReadonlySet<Item> =>
	new Set(
		items.filter(({ cost, reused, fresh }) => {
			const worth = prices.reduce((sum, price, q) => {
				const gain = fresh[q] - reused[q];
				return sum + (price > 0 && !Number.isNaN(gain) ? price * gain : 0);
			}, 0);
			return cost < worth;
		})
	);

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

function requirePart(fn: string, { pReuse, pNew, price, collateral, byPump }: SetPart): void {
	for (const [name, p] of Object.entries({ pReuse, pNew })) requireThat(p >= 0 && p <= 1, fn, name, p, 'from 0 to 1');
	for (const p of [...(byPump?.reuse ?? []), ...(byPump?.fresh ?? [])])
		requireThat(p >= 0 && p <= 1, fn, 'byPump', p, 'from 0 to 1');
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
interface OpeningCosts {
	readonly planned: number;
	readonly unplanned: number;
}

/**
 * Cost per hour over the interval to the next service, and the interval at which it is least.
 *
 * Renewal–reward: (parts + collateral + unplanned·F(H) + planned·S(H)) / E[hours run], where E[hours run] = ∫₀ᴴ S, since a
 * failure ends the run early. Each interval is decided again, as far as its parts are not fixed.
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
