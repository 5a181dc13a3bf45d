import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '@exetasis/core/record';
import type { Duty } from '../db/models';
import { inTransaction, row, rows, type ShopScope } from '../db/query';
import { fillEmptyPlaces, layOut } from '../parts';
import { newestSheet } from '../sheets';

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
