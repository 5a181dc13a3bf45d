import { requireThat } from '../number';

/** What is done with a part. */
export type Choice = 'reuse' | 'replace';

/** One part of the set that is decided together, since one failure anywhere opens the pump again. */
export interface SetPart {
	readonly id: string;
	/** P(it fails before the next service) if reused, and if a new one is fitted. */
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

/** The largest set that is settled by trying every combination; above it a local search does. */
export const MOST_ENUMERATED = 14;

/**
 * Expected cost of one choice for the whole set: Σ price of the replaced + P(any failure)·opening + Σ p·collateral.
 * Failures are taken as independent. Units: the shop's currency.
 */
export function costOf(parts: readonly SetPart[], choices: ReadonlyMap<string, Choice>, opening: number): SetCost {
	let price = 0;
	let collateral = 0;
	let logNone = 0; // ln P(no failure), so that many small odds keep their digits
	for (const part of parts) {
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
 * Which parts to replace so that the expected cost of the set is least.
 *
 * Starts from each part by itself, then changes one part or exchanges two until nothing improves; small sets are
 * enumerated and therefore exact. A part's own best choice is not always the set's: where the pump will be opened again
 * anyway, renewing a cheap part with small odds buys little.
 * Errors: PreconditionError for probabilities outside [0, 1], costs below 0, or an id used twice.
 * Source: methods of block and opportunistic replacement, e.g. R. Dekker et al., Math. Meth. Oper. Res. 45 (1997) 411–435.
 */
export function decideSet(parts: readonly SetPart[], opening: number): SetChoice {
	check(parts, opening);
	const start = new Map(parts.map((part) => [part.id, part.fixed ?? ('reuse' as Choice)]));
	const free = choosable(parts);
	for (const part of parts) if (!part.fixed && isDragged(part, parts)) start.set(part.id, 'replace');
	for (const together of free) for (const { id } of together) start.set(id, ownBest(together, opening));
	const choices =
		free.length <= MOST_ENUMERATED ? enumerate(parts, free, start, opening) : exchange(parts, free, start, opening);
	return { choices, cost: costOf(parts, choices, opening) };
}

// A part of a set goes with one of the set that has to go.
const isDragged = ({ set }: SetPart, parts: readonly SetPart[]): boolean =>
	set !== undefined && parts.some((other) => other.set === set && other.fixed === 'replace');

// What can still be chosen: parts by themselves, and the undecided parts of a set as one.
function choosable(parts: readonly SetPart[]): SetPart[][] {
	const together = new Map<string, SetPart[]>();
	for (const part of parts) {
		if (part.fixed || isDragged(part, parts)) continue;
		const name = part.set === undefined ? `part ${part.id}` : `set ${part.set}`;
		together.set(name, [...(together.get(name) ?? []), part]);
	}
	return [...together.values()];
}

function check(parts: readonly SetPart[], opening: number): void {
	requireThat(opening >= 0 && Number.isFinite(opening), 'decideSet', 'opening', opening, 'at least 0');
	requireThat(
		new Set(parts.map(({ id }) => id)).size === parts.length,
		'decideSet',
		'parts',
		'a repeated id',
		'each part once'
	);
	for (const { pReuse, pNew, price, collateral } of parts) {
		for (const [name, p] of Object.entries({ pReuse, pNew }))
			requireThat(p >= 0 && p <= 1, 'decideSet', name, p, 'from 0 to 1');
		for (const [name, cost] of Object.entries({ price, collateral })) {
			requireThat(cost >= 0 && Number.isFinite(cost), 'decideSet', name, cost, 'at least 0');
		}
	}
}

/** What each choice for one part costs, if it stood alone: the figures beside its verdict. */
export const costsAlone = (
	{ pReuse, pNew, price, collateral }: SetPart,
	opening: number
): { reuse: number; replace: number } => ({
	reuse: pReuse * (opening + collateral),
	replace: price + pNew * (opening + collateral)
});

function ownBest(together: readonly SetPart[], opening: number): Choice {
	const costs = together.map((part) => costsAlone(part, opening));
	const sum = (choice: Choice) => costs.reduce((total, cost) => total + cost[choice], 0);
	return sum('replace') < sum('reuse') ? 'replace' : 'reuse';
}

// Every combination, each from the one before by a single change (Gray code), so that each costs one pass.
function enumerate(
	parts: readonly SetPart[],
	free: readonly (readonly SetPart[])[],
	start: ReadonlyMap<string, Choice>,
	opening: number
) {
	const now = new Map(start);
	let best = new Map(now);
	let least = costOf(parts, now, opening).total;
	for (let i = 1; i < 2 ** free.length; i++) {
		for (const { id } of free[Math.log2(i & -i)]) flip(now, id);
		const { total } = costOf(parts, now, opening);
		if (total < least) [best, least] = [new Map(now), total];
	}
	return best;
}

function exchange(
	parts: readonly SetPart[],
	free: readonly (readonly SetPart[])[],
	start: ReadonlyMap<string, Choice>,
	opening: number
) {
	const now = new Map(start);
	const sums = new RunningCost(parts, now, opening);
	for (let improved = true; improved;) {
		improved = false;
		for (let i = 0; i < free.length; i++) {
			if (sums.flipIfBetter(...free[i])) improved = true;
			for (let j = i + 1; j < free.length; j++) if (sums.flipIfBetter(...free[i], ...free[j])) improved = true;
		}
	}
	return now;
}

function flip(choices: Map<string, Choice>, id: string): void {
	choices.set(id, choices.get(id) === 'replace' ? 'reuse' : 'replace');
}

// The set's cost kept as three sums, so that trying a change does not go over all parts again.
class RunningCost {
	#linear = 0;
	#logNone = 0;
	#certain = 0; // parts that fail for certain: their logarithm is −∞, so they are counted

	constructor(
		parts: readonly SetPart[],
		readonly choices: Map<string, Choice>,
		readonly opening: number
	) {
		for (const part of parts) this.#add(part, choices.get(part.id)!, 1);
	}

	#add(part: SetPart, choice: Choice, sign: 1 | -1): void {
		const p = choice === 'replace' ? part.pNew : part.pReuse;
		this.#linear += sign * ((choice === 'replace' ? part.price : 0) + p * part.collateral);
		if (p === 1) this.#certain += sign;
		else this.#logNone += sign * Math.log1p(-p);
	}

	#total(): number {
		return this.#linear + (this.#certain > 0 ? 1 : -Math.expm1(this.#logNone)) * this.opening;
	}

	#flip(part: SetPart): void {
		this.#add(part, this.choices.get(part.id)!, -1);
		flip(this.choices, part.id);
		this.#add(part, this.choices.get(part.id)!, 1);
	}

	/** Changes these parts where the set's cost falls by more than rounding; says whether it did. */
	flipIfBetter(...changed: readonly SetPart[]): boolean {
		const before = this.#total();
		for (const part of changed) this.#flip(part);
		if (this.#total() < before - 1e-9 * (1 + Math.abs(before))) return true;
		for (const part of changed) this.#flip(part);
		return false;
	}
}

export interface IntervalCost {
	readonly hours: number;
	/** Expected cost per 1000 h of running. */
	readonly per1000h: number;
	readonly pAnyFailure: number;
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
 * failure ends the run early. Each interval is decided anew: the set that is best for 500 h is not that for 4000 h.
 * Shape: intervals ascending, at least one, hours > 0; ∫S by the trapezium rule over them, so the finer the better.
 * Errors: as `decideSet`; PreconditionError for intervals that do not ascend.
 * Source: R. Barlow, F. Proschan, Mathematical Theory of Reliability (1965), 4.2 (age replacement).
 */
export function bestInterval(
	setAt: (hours: number) => readonly SetPart[],
	opening: OpeningCosts,
	intervals: readonly number[]
): { best: IntervalCost; curve: IntervalCost[] } {
	const ascending = intervals.every((hours, i) => hours > (intervals[i - 1] ?? 0));
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
	return { best: curve.reduce((a, b) => (b.per1000h < a.per1000h ? b : a)), curve };
}
