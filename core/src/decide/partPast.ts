import { dutyClassOf, dutyHours, unknownClass, unknownPump, type Age, type LogRate } from '../life';
import { requireThat } from '../number';
import type { ModelSheet, Station } from '../record';
import type { ShopGauge } from './characteristic';
import {
	sizeAtInspection,
	startOf,
	stretchesOf,
	type FleetKnowledge,
	type JobOnRecord,
	type SizeOnRecord
} from './fleet';
import type { EarlierInspection } from './partLife';
import { cannotBeWear, type SetAside } from './setAside';

/** When a part began to be on record: the pump's hours then, and the hours since its fitting, null where no one knows them. */
interface Beginning {
	readonly part: string;
	readonly fromHours: number;
	readonly hours: number | null;
	readonly asFitted: Readonly<Record<string, number>>;
}

/**
 * What is known of one part's running: its age as far as it is known, its recorded duty hours, and its sizes at earlier inspections but
 * for those that wear cannot have made.
 */
export interface PartPast {
	readonly age: Age;
	readonly dutyHours: number;
	readonly earlier: readonly EarlierInspection[];
	readonly setAside?: readonly SetAside[];
}

/**
 * The past of one part on the mat, from the pump's rebuilds up to this one and the sizes read in the earlier ones.
 * Shape: rebuilds oldest first, the last is the one in hand; sizes of other parts are passed over. Hours are the pump's.
 * Errors: PreconditionError where a part begins after the rebuild in hand, or hours are below 0.
 */
export function pastOf(
	{ part, fromHours, hours, asFitted }: Beginning,
	station: Station,
	sheet: ModelSheet,
	jobs: readonly JobOnRecord[],
	sizes: readonly SizeOnRecord[],
	gauges: readonly ShopGauge[]
): PartPast {
	requireThat(Number.isFinite(hours ?? 0) && (hours ?? 0) >= 0, 'pastOf', 'hours', hours, 'at least 0, or null');
	requireThat(jobs.length > 0, 'pastOf', 'jobs', 'none', 'at least the rebuild in hand');
	const now = jobs.at(-1)!.pumpHours;
	const stretches = stretchesOf(jobs, sheet);
	const earlier: EarlierInspection[] = [];
	const setAside: SetAside[] = [];
	for (const size of sizes) {
		const { characteristic, pump, pumpHours } = size;
		const sheetSize = station.characteristics.find(({ key }) => key === characteristic);
		if (size.part !== part || !sheetSize || pumpHours >= now) continue;
		const estimate = sizeAtInspection(station, sheetSize, size, gauges);
		if (!estimate) continue;
		const ran = dutyHours(stretches, fromHours, pumpHours) + (hours === null ? fromHours : 0);
		if (cannotBeWear(station, sheetSize, estimate, startOf(sheetSize, asFitted), ran))
			setAside.push({ pump, station: station.key, characteristic, pumpHours, value: estimate.value, ran });
		else earlier.push({ characteristic, hoursAgo: dutyHours(stretches, pumpHours, now), ...estimate });
	}
	const age: Age =
		hours === null ? { kind: 'unknown', seenFor: now - fromHours, atMost: now } : { kind: 'known', hours };
	return {
		age,
		dutyHours: dutyHours(stretches, fromHours, now),
		earlier,
		...(setAside.length > 0 ? { setAside } : {})
	};
}

/** How hard a pump is on its parts, and the factor of the duty declared now against the ordinary. */
export interface PumpKnowledge {
	readonly pump: LogRate;
	readonly wearFactor: number;
}

/** What is known of the pump in hand. */
export function knowledgeOfPump(
	{ pumps, classes }: Pick<FleetKnowledge, 'pumps' | 'classes'>,
	{ pump, duty }: JobOnRecord,
	sheet: ModelSheet
): PumpKnowledge {
	const { key, wearFactor } = dutyClassOf(duty, sheet);
	return { pump: pumps[pump] ?? unknownPump(classes[key] ?? unknownClass), wearFactor };
}
