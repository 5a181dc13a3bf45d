import { knowledgeOfPump, pastOf, type PartPast } from '@exetasis/core/decide';
import type { MatCell, MatFacts } from '@exetasis/core/mat';
import { stationsInScope, type Entry, type ModelSheet, type Scope } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import type { Duty } from '../db/models';
import { row, rows, type ShopScope } from '../db/query';
import { earlierSizes, fleetOf, jobsUpTo } from '../fleet';
import { gaugesOf } from '../gauges';
import { peopleOf, policyOf } from '../shops';

/** Everything that the bench shows of one job. */
export interface Bench extends MatFacts {
	readonly job: {
		id: string;
		pumpId: string;
		serial: string;
		tag: string | null;
		site: string | null;
		model: string;
		scope: Scope;
		complaint: string;
		meterHours: number;
		pumpHours: number;
		receivedAt: Date;
		receivedBy: string;
		releasedAt: Date | null;
		releasedBy: string | null;
		duty: Duty;
	};
	readonly entries: Entry[];
	readonly people: Record<string, string>;
}

export async function benchOf(scope: ShopScope, jobId: string): Promise<Bench | undefined> {
	const found = await row<Bench['job'] & { sheet: ModelSheet }>(
		scope,
		`
		SELECT j.id, j.pump_id AS "pumpId", p.serial, p.tag, t.name AS site, p.model, j.scope, j.complaint, j.duty,
			j.meter_hours AS "meterHours", j.pump_hours AS "pumpHours", j.received_at AS "receivedAt",
			j.received_by AS "receivedBy", j.released_at AS "releasedAt", j.released_by AS "releasedBy", s.body AS sheet
		FROM job j JOIN pump p ON p.id = j.pump_id JOIN model_sheet s ON s.id = j.model_sheet_id
		LEFT JOIN site t ON t.id = p.site_id
		WHERE j.shop_id = $1 AND j.id = $2`,
		[jobId]
	);
	if (!found) return undefined;
	const { sheet, ...job } = found;
	const inScope = stationsInScope(sheet, job.scope).map(({ key }) => key);
	// One after the other: inside a transaction they share its one connection.
	const gauges = await gaugesOf(scope);
	const jobs = await jobsUpTo(scope, jobId);
	const laid = await cellsOf(scope, jobId, inScope);
	const earlier = await earlierSizes(scope, jobId);
	const fleet = await fleetOf(scope, sheet);
	return {
		job,
		sheet,
		cells: laid.map(({ fromHours, ...cell }) => {
			const station = sheet.stations.find(({ key }) => key === cell.station)!;
			return { ...cell, ...pastOf({ ...cell, fromHours }, station, sheet, jobs, earlier, gauges) };
		}),
		entries: await entriesOf(scope, jobId),
		gauges,
		policy: await policyOf(scope),
		people: await peopleOf(scope),
		fleet: {
			wear: fleet.wear,
			ends: fleet.ends,
			settled: fleet.settled,
			...knowledgeOfPump(fleet, jobs.at(-1)!, sheet)
		}
	};
}

type LaidCell = Omit<MatCell, keyof PartPast> & {
	/** The pump's hours when it was fitted, else first seen. */
	readonly fromHours: number;
};

// In strip order, each station cylinder by cylinder.
const cellsOf = (scope: ShopScope, jobId: string, stations: readonly string[]): Promise<LaidCell[]> =>
	rows(
		scope,
		`
		SELECT c.part_id AS part, c.station, c.cylinder, j.pump_hours - l.fitted_hours AS hours, a.as_fitted AS "asFitted",
			coalesce(l.fitted_hours, (SELECT min(o.pump_hours) FROM job o WHERE o.pump_id = j.pump_id)) AS "fromHours",
			(SELECT count(*)::int FROM mat_cell m JOIN job o ON o.id = m.job_id
				WHERE m.part_id = c.part_id AND o.pump_id = j.pump_id AND o.received_at < j.received_at) AS kept,
			(SELECT count(*)::int FROM part_life e WHERE e.pump_id = j.pump_id AND e.station = c.station
				AND e.cylinder = c.cylinder AND e.removed_hours <= l.fitted_hours) AS "earlierLives"
		FROM mat_cell c JOIN job j ON j.id = c.job_id JOIN part a ON a.id = c.part_id
		JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = c.part_id AND pump_id = j.pump_id
			AND station = c.station AND cylinder = c.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) l ON true
		WHERE c.shop_id = $1 AND c.job_id = $2 AND c.station = ANY($3)
		ORDER BY array_position($3::text[], c.station), c.cylinder`,
		[jobId, stations]
	);
