import { requireThat } from '../number';

/** Something that can be bought: a kit that holds pieces of several stations, or a single part. */
export interface Offer {
	readonly number: string;
	readonly price: number;
	/** Days until it is here; left out where no one has said. */
	readonly days?: number;
	/** How many can be had; left out: as many as are wanted. */
	readonly most?: number;
	readonly holds: readonly { readonly station: string; readonly pieces: number }[];
}

/** Pieces that lie in the shop's own drawer: they cost nothing more. */
interface InStock {
	readonly station: string;
	readonly pieces: number;
}

export interface CoverProblem {
	readonly needs: readonly { readonly station: string; readonly pieces: number }[];
	readonly offers: readonly Offer[];
	readonly stock: readonly InStock[];
	/** What takes longer is not asked for. */
	readonly withinDays?: number;
}

/** How a need is covered. */
export interface Cover {
	readonly buy: readonly { readonly number: string; readonly count: number }[];
	readonly fromStock: readonly InStock[];
	/** Pieces beyond the need, by station: they go on the shelf. */
	readonly over: readonly InStock[];
	/** Pieces that are needed and not covered. */
	readonly missing: readonly InStock[];
	readonly price: number;
	/** Days until the last of it is here, as far as it is known; 0 where nothing is bought. */
	readonly days: number;
}

/** Stations of which no one offers as many as are needed, and how many can be had. */
export interface Uncovered {
	readonly station: string;
	readonly needed: number;
	readonly available: number;
}

const checked = ({ needs, offers, stock, withinDays }: CoverProblem): void => {
	const fn = 'coverProgramme';
	const whole = (argument: string, value: number, least: number) =>
		requireThat(
			Number.isInteger(value) && value >= least && value <= 1e6,
			fn,
			argument,
			value,
			`a whole number from ${least}`
		);
	for (const { pieces } of needs) whole('needs', pieces, 0);
	for (const { pieces } of stock) whole('stock', pieces, 0);
	requireThat(withinDays === undefined || withinDays >= 0, fn, 'withinDays', withinDays, 'at least 0');
	for (const { price, days, most, holds } of offers) {
		requireThat(price >= 0 && price <= 1e9, fn, 'price', price, 'at least 0');
		requireThat(days === undefined || (days >= 0 && days <= 1e5), fn, 'days', days, 'at least 0');
		if (most !== undefined) whole('most', most, 0);
		for (const { pieces } of holds) whole('holds', pieces, 1);
	}
};

const inTime = ({ offers, withinDays = Infinity }: CoverProblem): Offer[] =>
	offers.filter(({ days = 0 }) => days <= withinDays);
const held = (offer: Offer, station: string): number =>
	offer.holds.reduce((sum, hold) => sum + (hold.station === station ? hold.pieces : 0), 0);
const stocked = ({ stock }: CoverProblem, station: string): number =>
	stock.reduce((sum, other) => sum + (other.station === station ? other.pieces : 0), 0);

/** What cannot be had in time, however much is paid. */
export function uncovered(problem: CoverProblem): Uncovered[] {
	checked(problem);
	return problem.needs.flatMap(({ station, pieces: needed }) => {
		const offered = inTime(problem).reduce((sum, offer) => {
			const pieces = held(offer, station);
			return pieces > 0 ? sum + pieces * (offer.most ?? Infinity) : sum;
		}, 0);
		const available = stocked(problem, station) + offered;
		return available < needed ? [{ station, needed, available }] : [];
	});
}

/**
 * What is still needed once these counts are bought (0 counts as a choice). The other offers cover it.
 *
 * Shape: counts by number of the offer; needs in pieces.
 *
 * Errors: as `coverWith`.
 */
export function around(problem: CoverProblem, chosen: Bought): CoverProblem {
	checked(problem);
	const { missing } = coverWith({ ...problem, stock: [] }, chosen);
	return { ...problem, needs: missing, offers: problem.offers.filter(({ number }) => chosen[number] === undefined) };
}

/** How many of an offer cover all that it could. */
const enoughOf = (offer: Offer, { needs }: CoverProblem): number =>
	needs.reduce((most, { station, pieces }) => {
		const each = held(offer, station);
		return each > 0 ? Math.max(most, Math.ceil(pieces / each)) : most;
	}, 0);

/** Less than any two prices differ by, so that pieces left over decide between equally cheap covers alone. */
const BELOW_A_CENT = 0.004;

/**
 * The integer programme that covers a need at least cost, in the LP format that solvers read: xᵢ of offer i, sⱼ pieces of
 * station j from stock. Of equally cheap covers the one that brings fewest pieces, and so leaves least over.
 *
 * Errors: PreconditionError for pieces that are no whole numbers, a negative price or time. Source: the covering problem,
 * e.g. Nemhauser and Wolsey, Integer and Combinatorial Optimization, I.1; format: CPLEX LP.
 */
export function coverProgramme(problem: CoverProblem): string {
	checked(problem);
	const offers = inTime(problem);
	const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join(' + ') : '0 nothing');
	const pieces = (offer: Offer) => offer.holds.reduce((all, hold) => all + hold.pieces, 0);
	const needed = problem.needs.reduce((all, need) => all + need.pieces, 0);
	// No cover brings more: each offer as often as all that is needed.
	const most = Math.max(1, needed * Math.max(0, ...offers.map(pieces)));
	const cost = offers.map((offer, i) => `${offer.price + (BELOW_A_CENT * pieces(offer)) / most} x${i}`);
	const covers = problem.needs.map(({ station, pieces: needed }, j) => {
		// What an offer holds beyond the need covers nothing more.
		const bought = offers.flatMap((offer, i) => {
			const covers = Math.min(held(offer, station), needed);
			return covers > 0 ? [`${covers} x${i}`] : [];
		});
		return ` n${j}: ${sum([...bought, `s${j}`])} >= ${needed}`;
	});
	return [
		'Minimize',
		` obj: ${sum(cost)}`,
		'Subject To',
		...covers,
		'Bounds',
		...offers.map((offer, i) => ` 0 <= x${i} <= ${Math.min(offer.most ?? Infinity, enoughOf(offer, problem))}`),
		...problem.needs.map(({ station }, j) => ` 0 <= s${j} <= ${stocked(problem, station)}`),
		// With the kits settled, single pieces and those in stock come out whole by themselves: every station is a need by itself then.
		'General',
		` ${offers.flatMap((offer, i) => (pieces(offer) > 1 ? [`x${i}`] : [])).join(' ')}`,
		'End'
	].join('\n');
}

/** Seconds that the search for the cheapest cover may take; a set of parts is covered in a tenth of it. */
export const COVER_SECONDS = 2;

/** What is bought, by number of the offer. */
export type Bought = Readonly<Record<string, number>>;

/** What is bought according to a solved programme. `values` by its own names; what is not named is 0. Errors: as `coverProgramme`. */
export function readCover(problem: CoverProblem, values: Readonly<Record<string, number>>): Bought {
	checked(problem);
	for (const value of Object.values(values))
		requireThat(Math.abs(value) <= 1e6, 'readCover', 'values', value, 'a number of pieces');
	const counts = inTime(problem).map(({ number }, i) => [number, Math.round(values[`x${i}`] ?? 0)] as const);
	return Object.fromEntries(counts.filter(([, count]) => count > 0));
}

/**
 * What so much bought covers: what it costs, what is taken from stock besides, what stays over, and what is still missing.
 *
 * Shape: `bought` may name any of the problem's offers. Errors: PreconditionError for counts that are no whole numbers.
 */
export function coverWith(problem: CoverProblem, bought: Bought): Cover {
	checked(problem);
	for (const count of Object.values(bought))
		requireThat(Number.isInteger(count) && count >= 0 && count <= 1e6, 'coverWith', 'bought', count, 'whole numbers');
	const lines = problem.offers.flatMap((offer) =>
		bought[offer.number] ? [{ offer, count: bought[offer.number] }] : []
	);
	const stations = new Set([
		...problem.needs.map(({ station }) => station),
		...lines.flatMap(({ offer }) => offer.holds.map(({ station }) => station))
	]);
	const each = [...stations].map((station) => {
		const came = lines.reduce((sum, { offer, count }) => sum + count * held(offer, station), 0);
		const need = problem.needs.reduce((sum, other) => sum + (other.station === station ? other.pieces : 0), 0);
		const taken = Math.max(0, Math.min(stocked(problem, station), need - came));
		return { station, taken, over: Math.max(0, came - need), missing: Math.max(0, need - came - taken) };
	});
	const pieces = (of: 'taken' | 'over' | 'missing') =>
		each.flatMap((need) => (need[of] > 0 ? [{ station: need.station, pieces: need[of] }] : []));
	return {
		buy: lines.map(({ offer, count }) => ({ number: offer.number, count })),
		fromStock: pieces('taken'),
		over: pieces('over'),
		missing: pieces('missing'),
		price: lines.reduce((sum, { offer, count }) => sum + count * offer.price, 0),
		days: Math.max(0, ...lines.map(({ offer }) => offer.days ?? 0))
	};
}
