import { Op } from 'sequelize';
import {
	knowledgeOfPump,
	pastOf,
	unknownLife,
	type JobOnRecord,
	type PartPast,
	type SetAside
} from '@exetasis/core/decide';
import type { MatFacts } from '@exetasis/core/mat';
import { PreconditionError } from '@exetasis/core/number';
import { stationsInScope, type Entry, type ModelSheet, type Station } from '@exetasis/core/record';
import { earlierOnMat, type EarlierAtPlace } from '../db/sql/earlierOnMat';
import { entriesOf } from '../benchLog/entries';
import type { JobRow, PumpRow, RestedOn } from '../db/tables';
import { of, type ShopScope } from '../db/scope';
import { restedOnFrom } from './restedOn';
import { earlierSizes } from '../db/sql/earlierSizes';
import { matCells, type LaidCell } from '../db/sql/matCells';
import { fleetOf, jobsOnRecord, METHOD } from '../fleet';
import { gaugesOf } from '../gauges';
import { log } from '../serverLog';
import { pinnedSheet } from '../sheets';
import { peopleOf, policyOf } from '../shops';

/** A job with the particulars of its pump. */
interface JobInHand extends Omit<JobRow, 'shopId' | 'modelSheetId' | 'restedOn'> {
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
}

/** Everything that the bench shows of one job. */
export interface Bench extends MatFacts {
	readonly job: JobInHand;
	readonly entries: Entry[];
	readonly people: Record<string, string>;
	/** What a lead let go though it was not put together and proved, and why. */
	readonly unbuilt?: RestedOn['unbuilt'];
	/** Sizes that are not used in forecasts, because wear cannot have made them, with the serial of their pump. */
	readonly setAside: readonly (SetAside & { readonly serial: string })[];
	/** Where a released pump went, as far as it was asked. */
	readonly handover?: RestedOn['handover'];
}

/** The bench of a job; of a released one with the rules, gauges and fits that its release rested on. */
export async function benchOf(scope: ShopScope, jobId: string): Promise<Bench | undefined> {
	const found = await of(scope, 'job').one<JobWithPump>(
		{ id: jobId },
		{ include: [{ association: 'pump', include: ['site'] }] }
	);
	if (!found) return undefined;
	const { pump, modelSheetId, restedOn: kept, shopId: _, ...job } = found;
	const restedOn = kept === null ? undefined : restedOnFrom(kept);
	const sheet = await pinnedSheet(scope, modelSheetId);
	const inScope = stationsInScope(sheet, job).map(({ key }) => key);
	// One after the other: inside a transaction they share its one connection.
	const jobs = await jobsOnRecord(scope, { pumpId: job.pumpId, receivedAt: { [Op.lte]: job.receivedAt } });
	const rests = restedOn ?? (await restingOn(scope, sheet, jobs.at(-1)!));
	const laid = await matCells(scope, jobId, inScope);
	const earlier = await earlierSizes(scope, jobId);
	const { policy, gauges, fleet } = rests;
	const past = (cell: LaidCell, station: Station): PartPast => {
		try {
			return pastOf(cell, station, sheet, jobs, earlier, gauges);
		} catch (cause) {
			if (!(cause instanceof PreconditionError)) throw cause;
			log.warn({ err: cause, job: jobId, part: cell.part }, 'what is on record of a part cannot be worked with');
			const { age, dutyHours, earlier: none } = unknownLife(station);
			return { age, dutyHours, earlier: none };
		}
	};
	const cells = laid.map((cell) => {
		const { fromHours: _from, ...shown } = cell;
		return {
			...shown,
			...past(
				cell,
				sheet.stations.find(({ key }) => key === cell.station)!
			)
		};
	});
	return {
		job: { ...job, serial: pump.serial, tag: pump.tag, site: pump.site?.name ?? null, model: pump.model },
		sheet,
		cells,
		entries: await entriesOf(scope, jobId),
		policy,
		gauges,
		fleet,
		setAside: await withSerials(scope, [...(fleet.setAside ?? []), ...cells.flatMap((one) => one.setAside ?? [])]),
		people: await peopleOf(scope),
		...(restedOn?.unbuilt ? { unbuilt: restedOn.unbuilt } : {}),
		...(restedOn?.handover ? { handover: restedOn.handover } : {})
	};
}

/** Each once, though the shop's record, which is rounded, and the part's own past may both leave it out. */
async function withSerials(scope: ShopScope, setAside: readonly SetAside[]): Promise<Bench['setAside']> {
	if (setAside.length === 0) return [];
	const pumps = await of(scope, 'pump').all({ id: setAside.map(({ pump }) => pump) }, { attributes: ['id', 'serial'] });
	const serials = new Map(pumps.map(({ id, serial }) => [id, serial]));
	const named = setAside.flatMap((one) => {
		const serial = serials.get(one.pump);
		return serial === undefined ? [] : [{ ...one, serial }];
	});
	const placeOf = ({ pump, station, characteristic, pumpHours, value }: SetAside) =>
		[pump, station, characteristic, pumpHours, value.toPrecision(5)].join();
	return [...new Map(named.map((one) => [placeOf(one), one])).values()];
}

type JobWithPump = JobRow & { pump: PumpRow & { site: { name: string } | null } };

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

/** True where the shop has such a job; undefined where it has none. */
export const jobExists = async (scope: ShopScope, jobId: string): Promise<true | undefined> =>
	(await of(scope, 'job').count({ id: jobId })) > 0 || undefined;

/** Rebuilds that the mat's history goes back. */
const REBUILDS_BACK = 4;

/** What became of the parts at each place of a job's mat in the last rebuilds before it; undefined where there is no such job. */
export async function historyOfMat(scope: ShopScope, jobId: string): Promise<EarlierAtPlace[] | undefined> {
	return (await jobExists(scope, jobId)) && earlierOnMat(scope, jobId, REBUILDS_BACK);
}
