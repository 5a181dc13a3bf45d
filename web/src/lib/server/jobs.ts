import { v7 as uuidv7 } from 'uuid';
import {
	endReason,
	knowledgeOfPump,
	pastOf,
	type FleetKnowledge,
	type PartPast,
	type Policy,
	type ShopGauge
} from '@exetasis/core/decide';
import type { LogRate } from '@exetasis/core/life';
import {
	fold,
	standingDecision,
	stationsInScope,
	type Entry,
	type ModelSheet,
	type Scope
} from '@exetasis/core/record';
import { judgeMat } from '../bench/judgeMat';
import { entriesOf } from './benchLog';
import type { Duty } from './db/models';
import { inTransaction, row, rows, type ShopScope } from './db/query';
import { earlierSizes, fleetOf, jobsUpTo } from './fleet';
import { gaugesOf } from './gauges';
import { fillEmptyPlaces, layOut, replaceParts, type Replacement } from './parts';
import { newestSheet } from './sheets';
import { peopleOf, policyOf } from './shops';

/** What is asked when a pump comes in. Hours as the meter shows them. */
export interface Arrival {
	/** A pump that the shop knows, or the particulars of a new one. */
	readonly pump:
		| { readonly id: string }
		| { readonly serial: string; readonly model: string; readonly siteId?: string; readonly tag?: string };
	readonly scope: Scope;
	readonly complaint: string;
	readonly meterHours: number;
	readonly duty: Duty;
	/** Set where the meter shows less than last time and the user has said that it was replaced: hours run on the old one since. */
	readonly meterReplaced?: { readonly hoursOnOldMeter: number };
}

export type Received =
	| { readonly kind: 'received'; readonly jobId: string }
	| { readonly kind: 'unknownPump' }
	| { readonly kind: 'unknownModel'; readonly model: string }
	| { readonly kind: 'serialTaken'; readonly serial: string; readonly pumpId: string }
	| { readonly kind: 'openJob'; readonly jobId: string }
	/** The meter shows less than last time: ask whether it was replaced. */
	| { readonly kind: 'meterWentBack'; readonly last: number };

/** Takes a pump in: makes it known where it is new, opens its job, and lays its parts out on the mat. */
export function receive(scope: ShopScope, userId: string, arrival: Arrival, at = new Date()): Promise<Received> {
	return inTransaction(scope, async (within) => {
		const pump = await pumpOf(within, arrival);
		if (!('id' in pump)) return pump;
		const sheet = await newestSheet(within, pump.model);
		if (!sheet) return { kind: 'unknownModel', model: pump.model };
		const open = await row<{ id: string }>(
			within,
			'SELECT id FROM job WHERE shop_id = $1 AND pump_id = $2 AND released_at IS NULL',
			[pump.id]
		);
		if (open) return { kind: 'openJob', jobId: open.id };
		const last = await row<{ meter: number; pump: number }>(
			within,
			`
			SELECT meter_hours AS meter, pump_hours AS pump FROM job WHERE shop_id = $1 AND pump_id = $2
			ORDER BY received_at DESC LIMIT 1`,
			[pump.id]
		);
		const pumpHours = hoursRun(arrival, last);
		if (pumpHours === undefined) return { kind: 'meterWentBack', last: last!.meter };
		const jobId = uuidv7();
		await rows(within, 'UPDATE pump SET duty = duty || $3::jsonb WHERE shop_id = $1 AND id = $2 RETURNING 1', [
			pump.id,
			JSON.stringify(arrival.duty)
		]);
		await rows(
			within,
			`
			INSERT INTO job (id, shop_id, pump_id, model_sheet_id, scope, complaint, meter_hours, pump_hours, received_at, received_by, duty)
			VALUES ($2, $1, $3, $4, $5, $6, $7, $8, $9, $10, (SELECT duty FROM pump WHERE id = $3)) RETURNING 1`,
			[jobId, pump.id, sheet.id, arrival.scope, arrival.complaint, arrival.meterHours, pumpHours, at, userId]
		);
		await fillEmptyPlaces(within, pump.id, sheet.body);
		await layOut(within, jobId, pump.id);
		return { kind: 'received', jobId };
	});
}

// Locked, so that two people receiving the same pump open one job.
async function pumpOf(scope: ShopScope, { pump }: Arrival): Promise<{ id: string; model: string } | Received> {
	if ('id' in pump) {
		const known = await row<{ id: string; model: string }>(
			scope,
			'SELECT id, model FROM pump WHERE shop_id = $1 AND id = $2 FOR UPDATE',
			[pump.id]
		);
		return known ?? { kind: 'unknownPump' };
	}
	const id = uuidv7();
	const added = await rows(
		scope,
		`
		INSERT INTO pump (id, shop_id, site_id, serial, tag, model) VALUES ($2, $1, $3, $4, $5, $6)
		ON CONFLICT (shop_id, serial) DO NOTHING RETURNING 1`,
		[id, pump.siteId ?? null, pump.serial, pump.tag ?? null, pump.model]
	);
	if (added.length > 0) return { id, model: pump.model };
	const taken = await row<{ id: string }>(scope, 'SELECT id FROM pump WHERE shop_id = $1 AND serial = $2', [
		pump.serial
	]);
	return { kind: 'serialTaken', serial: pump.serial, pumpId: taken!.id };
}

// Hours the pump has run by its own count, which goes on when a meter is replaced. Undefined: ask.
function hoursRun({ meterHours, meterReplaced }: Arrival, last?: { meter: number; pump: number }): number | undefined {
	if (!last) return meterHours;
	if (meterReplaced) return last.pump + meterReplaced.hoursOnOldMeter + meterHours;
	return meterHours >= last.meter ? last.pump + (meterHours - last.meter) : undefined;
}

/** One cell of the mat: which part lies there and what is known of its life. */
export interface MatCell extends PartPast {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
	/** Hours run since it was fitted; null where nobody knows when that was. */
	readonly hours: number | null;
	readonly asFitted: Record<string, number>;
	/** Rebuilds in which it was looked at and kept. */
	readonly kept: number;
	/** Lives that this place has already used up, on record. */
	readonly earlierLives: number;
}

/** Everything that the bench shows of one job. */
export interface Bench {
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
	readonly sheet: ModelSheet;
	readonly cells: MatCell[];
	readonly entries: Entry[];
	readonly gauges: ShopGauge[];
	readonly policy: Policy;
	readonly people: Record<string, string>;
	readonly fleet: PumpKnowledge;
}

/** How parts of this model wear and end in this shop, and what is known of this pump and its duty. */
export interface PumpKnowledge extends Pick<FleetKnowledge, 'wear' | 'ends' | 'settled'> {
	readonly pump: LogRate;
	/** Of the declared duty, against the ordinary. */
	readonly wearFactor: number;
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

/** A place whose part nobody has decided on. */
export interface Undecided {
	readonly station: string;
	readonly cylinder: number;
	readonly why: 'noDecision' | 'lookAgain';
}

export type Released =
	| { readonly kind: 'released'; readonly replaced: number; readonly reused: number }
	| { readonly kind: 'undecided'; readonly places: readonly Undecided[] }
	| { readonly kind: 'alreadyReleased' }
	| { readonly kind: 'unknownJob' };

/** Closes a job: replaced parts end their lives with why, new ones begin in their places, reused ones carry on. */
export function release(scope: ShopScope, userId: string, jobId: string, at = new Date()): Promise<Released> {
	return inTransaction(scope, async (within) => {
		const lock = await row<{ released: boolean }>(
			within,
			'SELECT released_at IS NOT NULL AS released FROM job WHERE shop_id = $1 AND id = $2 FOR UPDATE',
			[jobId]
		);
		if (!lock) return { kind: 'unknownJob' };
		if (lock.released) return { kind: 'alreadyReleased' };
		const bench = (await benchOf(within, jobId))!;
		const { undecided, replaced } = outcome(bench);
		if (undecided.length > 0) return { kind: 'undecided', places: undecided };
		await replaceParts(within, bench.job, replaced);
		await rows(within, 'UPDATE job SET released_at = $4, released_by = $3 WHERE shop_id = $1 AND id = $2 RETURNING 1', [
			jobId,
			userId,
			at
		]);
		return { kind: 'released', replaced: replaced.length, reused: bench.cells.length - replaced.length };
	});
}

/** Who is to go and who to stay, by the decisions that stand. */
function outcome(bench: Bench): { undecided: Undecided[]; replaced: Replacement[] } {
	const undecided: Undecided[] = [];
	const replaced: Replacement[] = [];
	for (const { cell, station, record, judgement } of judgeMat(bench, fold(bench.entries).parts)) {
		const { part, station: key, cylinder } = cell;
		const verdict = standingDecision(record)?.payload.verdict;
		if (verdict !== 'reuse' && verdict !== 'replace') {
			undecided.push({ station: key, cylinder, why: verdict ? 'lookAgain' : 'noDecision' });
		} else if (verdict === 'replace') {
			replaced.push({
				part,
				station: key,
				type: station.type,
				cylinder,
				endReason: endReason(judgement, station),
				asFitted: Object.fromEntries(record.fitted.map(({ payload }) => [payload.characteristic, payload.value]))
			});
		}
	}
	return { undecided, replaced };
}

/** A job on the floor: where it stands and what it waits for. */
export interface FloorJob {
	readonly id: string;
	readonly pumpId: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly scope: Scope;
	readonly complaint: string;
	readonly receivedAt: Date;
	readonly steps: number;
	readonly parts: number;
	readonly looked: number;
	readonly decided: number;
}

/** The shop's open jobs, longest waiting first. */
export async function floorOf(scope: ShopScope): Promise<FloorJob[]> {
	const found = await rows<FloorJob & { stations: string[] }>(
		scope,
		`
		SELECT j.id, j.pump_id AS "pumpId", p.serial, p.tag, t.name AS site, p.model, j.scope, j.complaint, j.received_at AS "receivedAt",
			(SELECT count(DISTINCT payload->>'step')::int FROM log_entry WHERE job_id = j.id AND kind = 'step') AS steps,
			(SELECT count(*)::int FROM mat_cell c WHERE c.job_id = j.id AND c.station = ANY(o.stations)) AS parts,
			(SELECT count(DISTINCT part_id)::int FROM look WHERE job_id = j.id AND NOT withdrawn) AS looked,
			(SELECT count(DISTINCT part_id)::int FROM decision WHERE job_id = j.id AND NOT withdrawn) AS decided
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		JOIN model_sheet s ON s.id = j.model_sheet_id
		CROSS JOIN LATERAL (SELECT array_agg(e->>'key') AS stations FROM jsonb_array_elements(s.body->'stations') e
			WHERE e->'scopes' ? j.scope) o
		WHERE j.shop_id = $1 AND j.released_at IS NULL ORDER BY j.received_at`
	);
	return found;
}

/** The jobs released last. */
export const lastReleased = (
	scope: ShopScope,
	most = 8
): Promise<
	{ id: string; serial: string; tag: string | null; site: string | null; releasedAt: Date; replaced: number }[]
> =>
	rows(
		scope,
		`
		SELECT j.id, p.serial, p.tag, t.name AS site, j.released_at AS "releasedAt",
			(SELECT count(*)::int FROM part_life l WHERE l.removed_job_id = j.id) AS replaced
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		WHERE j.shop_id = $1 AND j.released_at IS NOT NULL ORDER BY j.released_at DESC LIMIT $2`,
		[most]
	);
