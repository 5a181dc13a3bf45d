import { requireThat } from '../number';

/** Something that can be bought: a kit that holds pieces of several stations, or a single part. */
export interface Offer {
	readonly number: string;
	readonly price: number;
	/** Days until it is here. */
	readonly days: number;
	/** How many can be had; left out: as many as are wanted. */
	readonly most?: number;
	readonly holds: readonly { readonly station: string; readonly pieces: number }[];
}

/** Pieces that lie in the shop's own drawer: they cost nothing more. */
export interface InStock {
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

/** How a need is covered at least cost. */
export interface Cover {
	readonly buy: readonly { readonly number: string; readonly count: number }[];
	readonly fromStock: readonly InStock[];
	/** Pieces beyond the need, by station: they go on the shelf. */
	readonly over: readonly { readonly station: string; readonly pieces: number }[];
	readonly price: number;
	/** Days until the last of it is here; 0 where nothing is bought. */
	readonly days: number;
}

/** Stations of which nobody offers as many as are needed, and how many can be had. */
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
		requireThat(days >= 0 && days <= 1e5, fn, 'days', days, 'at least 0');
		if (most !== undefined) whole('most', most, 0);
		for (const { pieces } of holds) whole('holds', pieces, 1);
	}
};

const inTime = ({ offers, withinDays = Infinity }: CoverProblem): Offer[] =>
	offers.filter(({ days }) => days <= withinDays);
const held = (offer: Offer, station: string): number =>
	offer.holds.reduce((sum, one) => sum + (one.station === station ? one.pieces : 0), 0);
const stocked = ({ stock }: CoverProblem, station: string): number =>
	stock.reduce((sum, one) => sum + (one.station === station ? one.pieces : 0), 0);

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
 * The integer programme that covers a need at least cost, in the LP format that solvers read: xᵢ of offer i, sⱼ pieces of
 * station j from stock. With `atMost` the cost is held to that and the pieces bought are fewest instead: of equally cheap
 * covers the one that leaves least over.
 *
 * Errors: PreconditionError for pieces that are no whole numbers, a negative price or time. Source: the covering problem,
 * e.g. Nemhauser and Wolsey, Integer and Combinatorial Optimization, I.1; format: CPLEX LP.
 */
export function coverProgramme(problem: CoverProblem, atMost?: number): string {
	checked(problem);
	const offers = inTime(problem);
	const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join(' + ') : '0 nothing');
	const cost = offers.map(({ price }, i) => `${price} x${i}`);
	const pieces = offers.map(({ holds }, i) => `${holds.reduce((all, one) => all + one.pieces, 0)} x${i}`);
	const covers = problem.needs.map(({ station, pieces: needed }, j) => {
		const bought = offers.flatMap((offer, i) => (held(offer, station) > 0 ? [`${held(offer, station)} x${i}`] : []));
		return ` n${j}: ${sum([...bought, `s${j}`])} >= ${needed}`;
	});
	return [
		'Minimize',
		` obj: ${sum(atMost === undefined ? cost : pieces)}`,
		'Subject To',
		...covers,
		...(atMost === undefined ? [] : [` cost: ${sum(cost)} <= ${atMost}`]),
		'Bounds',
		...offers.flatMap(({ most }, i) => (most === undefined ? [] : [` 0 <= x${i} <= ${most}`])),
		...problem.needs.map(({ station }, j) => ` 0 <= s${j} <= ${stocked(problem, station)}`),
		'General',
		` ${[...offers.map((_, i) => `x${i}`), ...problem.needs.map((_, j) => `s${j}`)].join(' ')}`,
		'End'
	].join('\n');
}

/** The cover that a solved programme stands for. `values` by the programme's own names; what is not named is 0. Errors: as `coverProgramme`. */
export function readCover(problem: CoverProblem, values: Readonly<Record<string, number>>): Cover {
	checked(problem);
	for (const value of Object.values(values))
		requireThat(Math.abs(value) <= 1e6, 'readCover', 'values', value, 'a number of pieces');
	const offers = inTime(problem);
	const counts = offers.map((offer, i) => ({ offer, count: Math.round(values[`x${i}`] ?? 0) }));
	const bought = counts.filter(({ count }) => count > 0);
	const stations = new Set([
		...problem.needs.map(({ station }) => station),
		...bought.flatMap(({ offer }) => offer.holds.map(({ station }) => station))
	]);
	const came = (station: string) => bought.reduce((sum, { offer, count }) => sum + count * held(offer, station), 0);
	const needOf = (station: string) =>
		problem.needs.reduce((sum, one) => sum + (one.station === station ? one.pieces : 0), 0);
	const fromStock = problem.needs.flatMap(({ station, pieces }) => {
		const taken = Math.max(0, Math.min(stocked(problem, station), pieces - came(station)));
		return taken > 0 ? [{ station, pieces: taken }] : [];
	});
	const over = [...stations].flatMap((station) => {
		const pieces = came(station) - needOf(station);
		return pieces > 0 ? [{ station, pieces }] : [];
	});
	return {
		buy: bought.map(({ offer, count }) => ({ number: offer.number, count })),
		fromStock,
		over,
		price: bought.reduce((sum, { offer, count }) => sum + count * offer.price, 0),
		days: Math.max(0, ...bought.map(({ offer }) => offer.days))
	};
}
