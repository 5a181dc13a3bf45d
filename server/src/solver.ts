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

interface CheapestCover {
	readonly bought: Bought;
	/** False where the search was broken off: there may be a cheaper one. */
	readonly proved: boolean;
}

// A cover has few kits to settle, and pieces that come one by one make any choice of them feasible: what a solver does beforehand
// to find a first answer, and cuts below the root, cost more than the whole search.
const FEW_TO_SETTLE = {
	presolve: 'off',
	mip_heuristic_effort: 0,
	mip_heuristic_run_feasibility_jump: false,
	mip_heuristic_run_rins: false,
	mip_heuristic_run_rens: false,
	mip_heuristic_run_root_reduced_cost: false,
	mip_allow_cut_separation_at_nodes: false,
	mip_allow_restart: false,
	mip_detect_symmetry: false,
	mip_pscost_minreliable: 0,
	mip_pool_soft_limit: 100
} as const;

/** What to buy so that a need is covered at least cost; undefined where nothing covers it, or nothing was found in time. */
export async function cheapestCover(
	problem: CoverProblem,
	seconds = COVER_SECONDS
): Promise<CheapestCover | undefined> {
	if (problem.needs.every(({ pieces }) => pieces === 0)) return { bought: {}, proved: true };
	solver ??= loadHighs();
	const { Status, Columns } = (await solver).solve(coverProgramme(problem), {
		...FEW_TO_SETTLE,
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
