import { Op } from 'sequelize';
import { knowledgeOfPump, pastOf, unknownLife, type JobOnRecord, type PartPast } from '@exetasis/core/decide';
import type { MatFacts } from '@exetasis/core/mat';
import { PreconditionError } from '@exetasis/core/number';
import { stationsInScope, type ModelSheet, type Station } from '@exetasis/core/record';
import { earlierOnMat, type EarlierAtPlace } from '../db/sql/earlierOnMat';
import { earlierSizes } from '../db/sql/earlierSizes';
import { matCells, type LaidCell } from '../db/sql/matCells';
import type { ShopScope } from '../db/scope';
import type { RestedOn } from '../db/tables';
import { fleetOf, jobsOnRecord, METHOD } from '../fleet';
import { gaugesOf } from '../gauges';
import { log } from '../serverLog';
import { policyOf } from '../shops';
import { jobExists, type JobOnSheet } from './job';

/** The parts that lie on the mat of a job, in strip order. */
export const laidParts = (scope: ShopScope, { job, sheet }: JobOnSheet): Promise<LaidCell[]> =>
	matCells(
		scope,
		job.id,
		stationsInScope(sheet, job).map(({ key }) => key)
	);

/** The mat of a job with what its verdicts rest on; of a released one with the rules, gauges and fits of its release. */
export async function matOf(scope: ShopScope, inHand: JobOnSheet): Promise<MatFacts> {
	const { job, sheet, restedOn } = inHand;
	// One after the other: inside a transaction they share its one connection.
	const jobs = await jobsOnRecord(scope, { pumpId: job.pumpId, receivedAt: { [Op.lte]: job.receivedAt } });
	const { policy, gauges, fleet } = restedOn ?? (await restingOn(scope, sheet, jobs.at(-1)!));
	const laid = await laidParts(scope, inHand);
	const earlier = await earlierSizes(scope, job.id);
	const past = (cell: LaidCell, station: Station): PartPast => {
		try {
			return pastOf(cell, station, sheet, jobs, earlier, gauges);
		} catch (cause) {
			if (!(cause instanceof PreconditionError)) throw cause;
			log.warn({ err: cause, job: job.id, part: cell.part }, 'what is on record of a part cannot be worked with');
			const { age, dutyHours, earlier: none } = unknownLife(station);
			return { age, dutyHours, earlier: none };
		}
	};
	const stations = new Map(sheet.stations.map((station) => [station.key, station]));
	const cells = laid.map((cell) => {
		const { fromHours: _from, ...shown } = cell;
		return { ...shown, ...past(cell, stations.get(cell.station)!) };
	});
	return { sheet, cells, policy, gauges, fleet };
}

/** What verdicts on a job of this pump rest on now: the shop's rules, its gauges, and what its record says. */
async function restingOn(scope: ShopScope, sheet: ModelSheet, job: JobOnRecord): Promise<RestedOn> {
	const fleet = await fleetOf(scope, sheet);
	const { wear, ends, settled, setAside } = fleet;
	return {
		policy: await policyOf(scope),
		gauges: await gaugesOf(scope),
		fleet: { wear, ends, settled, ...(setAside ? { setAside } : {}), ...knowledgeOfPump(fleet, job, sheet) },
		method: METHOD
	};
}

/** Rebuilds that the mat's history goes back. */
const REBUILDS_BACK = 4;

/** What became of the parts at each place of a job's mat in the last rebuilds before it; undefined where there is no such job. */
export async function historyOfMat(scope: ShopScope, jobId: string): Promise<EarlierAtPlace[] | undefined> {
	return (await jobExists(scope, jobId)) && earlierOnMat(scope, jobId, REBUILDS_BACK);
}
