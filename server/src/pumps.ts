import type { Scope } from '@exetasis/core/record';
import type { Duty } from './db/models';
import { row, rows, type ShopScope } from './db/query';

export interface PumpListing {
	readonly id: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly rebuilds: number;
	readonly pumpHours: number | null;
	readonly meterHours: number | null;
	readonly lastReceived: Date | null;
}

/** The shop's pumps, each with its rebuilds and its hours at the last one. */
export const pumpsOf = (scope: ShopScope): Promise<PumpListing[]> =>
	rows(
		scope,
		`
		SELECT p.id, p.serial, p.tag, t.name AS site, p.model, count(j.id)::int AS rebuilds,
			max(j.pump_hours) AS "pumpHours", max(j.received_at) AS "lastReceived",
			(SELECT meter_hours FROM job l WHERE l.pump_id = p.id ORDER BY received_at DESC LIMIT 1) AS "meterHours"
		FROM pump p LEFT JOIN site t ON t.id = p.site_id LEFT JOIN job j ON j.pump_id = p.id
		WHERE p.shop_id = $1 GROUP BY p.id, t.name ORDER BY p.serial`
	);

export interface Pump {
	readonly id: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly duty: Duty;
}

export const pumpById = (scope: ShopScope, id: string): Promise<Pump | undefined> =>
	row(
		scope,
		`
		SELECT p.id, p.serial, p.tag, t.name AS site, p.model, p.duty FROM pump p LEFT JOIN site t ON t.id = p.site_id
		WHERE p.shop_id = $1 AND p.id = $2`,
		[id]
	);

export interface Rebuild {
	readonly id: string;
	readonly scope: Scope;
	readonly complaint: string;
	readonly meterHours: number;
	readonly pumpHours: number;
	readonly receivedAt: Date;
	readonly releasedAt: Date | null;
	readonly replaced: number;
	readonly findings: number;
}

/** A pump's rebuilds, newest first. */
export const rebuildsOf = (scope: ShopScope, pumpId: string): Promise<Rebuild[]> =>
	rows(
		scope,
		`
		SELECT j.id, j.scope, j.complaint, j.meter_hours AS "meterHours", j.pump_hours AS "pumpHours",
			j.received_at AS "receivedAt", j.released_at AS "releasedAt",
			(SELECT count(*)::int FROM part_life l WHERE l.removed_job_id = j.id) AS replaced,
			(SELECT count(*)::int FROM look k WHERE k.job_id = j.id AND k.pattern IS NOT NULL AND NOT k.withdrawn) AS findings
		FROM job j WHERE j.shop_id = $1 AND j.pump_id = $2 ORDER BY j.received_at DESC`,
		[pumpId]
	);
