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
}

export interface PumpPage {
	/** Part of a serial number, tag, site or model; empty: all. */
	readonly like: string;
	/** Of so many rebuilds at least. */
	readonly rebuilds: number;
	readonly offset: number;
	readonly limit: number;
}

/** A page of the shop's pumps by serial number, each with its rebuilds and its hours at the last one; `of`: how many there are. */
export const pumpList = (
	scope: ShopScope,
	{ like, rebuilds, offset, limit }: PumpPage
): Promise<(PumpListing & { readonly of: number })[]> =>
	rows(
		scope,
		`
		SELECT p.*, l.pump_hours AS "pumpHours", l.meter_hours AS "meterHours", l.received_at AS "lastReceived", l.customer
		FROM (SELECT p.id, p.serial, p.tag, t.name AS site, p.model, n.rebuilds, count(*) OVER ()::int AS of
			FROM pump p LEFT JOIN site t ON t.id = p.site_id
			CROSS JOIN LATERAL (SELECT count(*)::int AS rebuilds FROM job WHERE pump_id = p.id) n
			WHERE p.shop_id = $1 AND n.rebuilds >= $3 AND ($2 = '' OR position(lower($2) IN
				lower(concat_ws(' ', p.serial, p.tag, t.name, p.model))) > 0)
			ORDER BY p.serial OFFSET $4 LIMIT $5) p
		LEFT JOIN LATERAL (SELECT pump_hours, meter_hours, received_at, customer->>'name' AS customer FROM job WHERE pump_id = p.id
			ORDER BY received_at DESC LIMIT 1) l ON true
		ORDER BY p.serial`,
		[like, rebuilds, offset, limit]
	);
