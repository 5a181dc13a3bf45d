import type { ShopScope } from '../scope';
import { rows } from './statement';

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
	/** Whose pump it was at the last rebuild. */
	readonly customer: string | null;
	/** It is here: its last rebuild is not released. */
	readonly here: boolean;
	/** When its next service is expected, from its hours a day between its rebuilds; null while it is here, or was never in. */
	readonly due: Date | null;
	/** It has been in once only, or hardly ran between its rebuilds: its hours a day are assumed. */
	readonly dueAssumed: boolean;
}

export interface PumpPage {
	/** Part of a serial number, tag, site or model; empty: all. */
	readonly like: string;
	/** Of so many rebuilds at least. */
	readonly rebuilds: number;
	readonly offset: number;
	readonly limit: number;
	readonly order: 'serial' | 'due';
	/** Hours from one service to the next. */
	readonly intervalHours: number;
}

/** What a pump that has been in once only is taken to run, and the least that is believed of any, hours a day. */
export const ASSUMED_HOURS_A_DAY = 8;
export const LEAST_HOURS_A_DAY = 0.01;

/**
 * A page of the shop's pumps, by serial number or by when they are due, each with its rebuilds and its hours at the last one;
 * `of`: how many there are.
 */
export const pumpList = (
	scope: ShopScope,
	{ like, rebuilds, offset, limit, order, intervalHours }: PumpPage
): Promise<(PumpListing & { readonly of: number })[]> =>
	rows(
		scope,
		`
		SELECT * FROM (
			SELECT p.id, p.serial, p.tag, t.name AS site, p.model, n.rebuilds, count(*) OVER ()::int AS of,
				l.pump_hours AS "pumpHours", l.meter_hours AS "meterHours", l.received_at AS "lastReceived",
				l.customer->>'name' AS customer, coalesce(l.released_at IS NULL AND l.received_at IS NOT NULL, false) AS here,
				r.hours IS NULL AS "dueAssumed",
				CASE WHEN l.released_at IS NOT NULL
					THEN l.received_at + $6 / least(24, coalesce(r.hours, ${ASSUMED_HOURS_A_DAY})) * interval '1 day' END AS due
			FROM pump p LEFT JOIN site t ON t.id = p.site_id
			CROSS JOIN LATERAL (SELECT count(*)::int AS rebuilds, min(pump_hours) AS hours, min(received_at) AS since
				FROM job WHERE pump_id = p.id) n
			LEFT JOIN LATERAL (SELECT pump_hours, meter_hours, received_at, released_at, customer FROM job WHERE pump_id = p.id
				ORDER BY received_at DESC LIMIT 1) l ON true
			CROSS JOIN LATERAL (SELECT extract(epoch FROM l.received_at - n.since)::double precision / 86400 AS days) d
			CROSS JOIN LATERAL (SELECT CASE WHEN d.days >= 1 AND l.pump_hours - n.hours > ${LEAST_HOURS_A_DAY} * d.days
				THEN (l.pump_hours - n.hours) / d.days END AS hours) r
			WHERE p.shop_id = $1 AND n.rebuilds >= $3 AND ($2 = '' OR position(lower($2) IN
				lower(concat_ws(' ', p.serial, p.tag, t.name, p.model))) > 0)
		) listed
		ORDER BY ${order === 'due' ? 'due NULLS LAST, serial' : 'serial'} OFFSET $4 LIMIT $5`,
		[like, rebuilds, offset, limit, intervalHours]
	);
