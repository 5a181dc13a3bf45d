import loadHighs from 'highs';
import {
	COVER_SECONDS,
	coverProgramme,
	coverWith,
	readCover,
	type Bought,
	type CoverProblem
} from '@exetasis/core/order';
import { log } from './serverLog';

/** The integer-programme solver, loaded once when it is first asked. */
let solver: ReturnType<typeof loadHighs> | undefined;

export interface CheapestCover {
	readonly bought: Bought;
	/** False where the search was broken off: there may be a cheaper one. */
	readonly proved: boolean;
}

/** What to buy so that a need is covered at least cost; undefined where nothing covers it, or nothing was found in time. */
export async function cheapestCover(
	problem: CoverProblem,
	seconds = COVER_SECONDS
): Promise<CheapestCover | undefined> {
	if (problem.needs.every(({ pieces }) => pieces === 0)) return { bought: {}, proved: true };
	solver ??= loadHighs();
	const { Status, Columns } = (await solver).solve(coverProgramme(problem), {
		mip_rel_gap: 0,
		time_limit: seconds
	});
	if (Status === 'Optimal') return { bought: boughtBy(problem, Columns), proved: true };
	log.warn({ status: Status }, 'a cover was not settled');
	if (Status !== 'Time limit reached') return undefined;
	const bought = boughtBy(problem, Columns);
	return coverWith(problem, bought).missing.length === 0 ? { bought, proved: false } : undefined;
}

function boughtBy(problem: CoverProblem, columns: Readonly<Record<string, { readonly Primal?: number }>>): Bought {
	const values = Object.entries(columns).map(([name, { Primal = 0 }]) => [name, Primal] as const);
	return readCover(problem, Object.fromEntries(values.filter(([, value]) => Number.isFinite(value))));
}
