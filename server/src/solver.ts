import loadHighs from 'highs';
import { readCover, coverProgramme, type Bought, type CoverProblem } from '@exetasis/core/order';
import { log } from './serverLog';

/** The integer-programme solver, loaded once when it is first asked. */
let solver: ReturnType<typeof loadHighs> | undefined;

/** A set of parts is covered in a tenth of this; whatever takes longer is answered as it stands. */
const MOST_SECONDS = 2;

/** What to buy so that a need is covered at least cost; undefined where nothing covers it. */
export async function cheapestCover(problem: CoverProblem): Promise<Bought | undefined> {
	if (problem.needs.every(({ pieces }) => pieces === 0)) return {};
	solver ??= loadHighs();
	const { Status, Columns } = (await solver).solve(coverProgramme(problem), {
		mip_rel_gap: 0,
		time_limit: MOST_SECONDS
	});
	if (Status !== 'Optimal') {
		log.warn({ status: Status }, 'a need is not covered');
		return undefined;
	}
	const values = Object.entries(Columns).map(([name, column]) => [name, column.Primal] as const);
	return readCover(problem, Object.fromEntries(values));
}
