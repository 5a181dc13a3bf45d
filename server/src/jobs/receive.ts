import { v7 as uuidv7 } from 'uuid';
import {
	chosenProblem,
	scopeOf,
	wrongCylinder,
	wrongTool,
	type ArrivalFacts,
	type Chosen,
	type Customer
} from '@exetasis/core/record';
import type { Duty, PumpRow } from '../db/tables';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { fillEmptyPlaces, layOut } from '../parts';
import { newestSheet } from '../sheets';

interface NewPump {
	readonly serial: string;
	readonly model: string;
	readonly siteId?: string;
	readonly tag?: string;
}

/** What is asked when a pump comes in. Hours as the meter shows them. */
export interface Arrival {
	/** A pump that the shop knows, or the particulars of a new one. */
	readonly pump: { readonly id: string } | NewPump;
	/** Key of one of the scopes of the model's sheet. */
	readonly scope: string;
	readonly complaint: string;
	/** Whose pump it is, as far as that was said. */
	readonly customer?: Customer;
	readonly meterHours: number;
	readonly duty: Duty;
	/** What this pump is made of, where its sheet asks; what is left out stays as it was. */
	readonly variants?: Chosen;
	/** True where a lead receives it: a reason may stand for evidence. */
	readonly byLead?: boolean;
	/** What for, where, and with which tools. */
	readonly facts?: Partial<ArrivalFacts>;
	/** Set where the meter shows less than last time and the user has said that it was replaced: hours run on the old one since. */
	readonly meterReplaced?: { readonly hoursOnOldMeter: number };
}

export type Received =
	| { readonly kind: 'received'; readonly jobId: string }
	| { readonly kind: 'unknownPump' }
	| { readonly kind: 'unknownSite' }
	| { readonly kind: 'unknownModel'; readonly model: string }
	| { readonly kind: 'unknownScope' }
	/** Its sheet opens this scope on evidence alone. */
	| { readonly kind: 'needsEvidence'; readonly evidence: readonly string[] }
	| { readonly kind: 'wrongVariant'; readonly variant: string }
	| { readonly kind: 'wrongTool'; readonly tool: string }
	| { readonly kind: 'wrongCylinder'; readonly cylinder: number }
	| { readonly kind: 'serialTaken'; readonly serial: string; readonly pumpId: string }
	| { readonly kind: 'openJob'; readonly jobId: string }
	/** The meter shows less than last time: ask whether it was replaced. */
	| { readonly kind: 'meterWentBack'; readonly last: number };

/** Takes a pump in: makes it known where it is new, opens its job, and lays its parts out on the mat. Nothing is kept of one that is not received. */
export function receive(scope: ShopScope, userId: string, arrival: Arrival, at = new Date()): Promise<Received> {
	return inTransaction(scope, async (within): Promise<Received> => {
		const known = 'id' in arrival.pump ? await knownPump(within, arrival.pump.id) : undefined;
		if ('id' in arrival.pump && !known) return { kind: 'unknownPump' };
		const model = known?.model ?? (arrival.pump as NewPump).model;
		const sheet = await newestSheet(within, model);
		if (!sheet) return { kind: 'unknownModel', model };
		const asked = scopeOf(sheet.body, arrival);
		if (!asked) return { kind: 'unknownScope' };
		if (asked.opensOn && !holds(asked.opensOn, arrival)) return { kind: 'needsEvidence', evidence: asked.opensOn };
		const wrong = chosenProblem(sheet.body, arrival.variants ?? {});
		if (wrong) return { kind: 'wrongVariant', variant: wrong.variant };
		const tool = wrongTool(sheet.body, arrival.facts?.tools ?? {});
		if (tool !== undefined) return { kind: 'wrongTool', tool };
		const cylinder = wrongCylinder(sheet.body, arrival.facts?.cylinders);
		if (cylinder !== undefined) return { kind: 'wrongCylinder', cylinder };
		const pump = known ?? (await addPump(within, arrival.pump as NewPump));
		if ('kind' in pump) return pump;
		const [last] = await of(within, 'job').all({ pumpId: pump.id }, { order: [['receivedAt', 'DESC']], limit: 1 });
		if (last && !last.releasedAt) return { kind: 'openJob', jobId: last.id };
		const pumpHours = hoursRun(arrival, last);
		if (pumpHours === undefined) return { kind: 'meterWentBack', last: last.meterHours };
		const duty = { ...pump.duty, ...arrival.duty };
		const variants = { ...pump.variants, ...arrival.variants };
		await of(within, 'pump').change({ id: pump.id }, { duty, variants });
		const jobId = uuidv7();
		await of(within, 'job').add({
			id: jobId,
			pumpId: pump.id,
			modelSheetId: sheet.id,
			scope: arrival.scope,
			complaint: arrival.complaint,
			meterHours: arrival.meterHours,
			pumpHours,
			receivedAt: at,
			receivedBy: userId,
			releasedAt: null,
			releasedBy: null,
			restedOn: null,
			duty,
			variants,
			arrival: arrival.facts ?? {},
			customer: arrival.customer ?? {}
		});
		await fillEmptyPlaces(within, pump.id, sheet.body, variants);
		await layOut(within, jobId, pump.id, sheet.body, { variants, arrival: arrival.facts });
		return { kind: 'received', jobId };
	});
}

// One of the sheet's own, or a lead's reason.
function holds(opensOn: readonly string[], { facts, byLead = false }: Arrival): boolean {
	const evidence = facts?.evidence;
	if (!evidence) return false;
	return 'seen' in evidence ? opensOn.includes(evidence.seen) : byLead;
}

// Locked, so that two people receiving the same pump open one job.
const knownPump = (scope: ShopScope, id: string): Promise<PumpRow | undefined> =>
	of(scope, 'pump').one({ id }, { lock: true });

async function addPump(scope: ShopScope, { serial, model, siteId, tag }: NewPump): Promise<PumpRow | Received> {
	if (siteId && (await of(scope, 'site').count({ id: siteId })) === 0) return { kind: 'unknownSite' };
	const pump = { id: uuidv7(), serial, model, siteId: siteId ?? null, tag: tag ?? null, duty: {}, variants: {} };
	if (await of(scope, 'pump').addUnlessThere(pump)) return { ...pump, shopId: scope.shopId };
	const taken = await of(scope, 'pump').one({ serial }, { attributes: ['id'] });
	return { kind: 'serialTaken', serial, pumpId: taken!.id };
}

// Hours the pump has run by its own count, which goes on when a meter is replaced. Undefined: ask.
function hoursRun(
	{ meterHours, meterReplaced }: Arrival,
	last?: { readonly meterHours: number; readonly pumpHours: number }
): number | undefined {
	if (!last) return meterHours;
	if (meterReplaced) return last.pumpHours + meterReplaced.hoursOnOldMeter + meterHours;
	return meterHours >= last.meterHours ? last.pumpHours + (meterHours - last.meterHours) : undefined;
}
