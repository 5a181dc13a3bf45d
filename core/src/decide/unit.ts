import { requireThat } from '../number';
import { partType, type PatternKey, type Severity } from '../part';
import type { PartRecord, Station } from '../record';
import type { Policy } from './policy';

/** A finding that puts the whole unit in question. */
export interface UnitTrigger {
	readonly station: Station;
	readonly cylinder: number;
	readonly pattern: PatternKey;
	readonly severity: Severity;
}

/** Findings that say: decide on the unit before buying seals (metal in the oil, a scored crosshead bore, a cracked manifold). */
export const unitTriggers = (
	parts: Iterable<{ readonly station: Station; readonly cylinder: number; readonly record: PartRecord }>
): UnitTrigger[] =>
	[...parts].flatMap(({ station, cylinder, record }) =>
		record.findings.flatMap(({ payload: { pattern, severity } }) => {
			const from = partType(station.type).patterns.find((rule) => rule.pattern === pattern)?.stopsUnitFrom;
			return from !== undefined && severity >= from ? [{ station, cylinder, pattern, severity }] : [];
		})
	);

/** Repair against replacement, in the shop's currency per 1000 h of what is left. */
export interface UnitComparison {
	readonly says: 'stop' | 'repair';
	/** The shop's rule stops whatever the figures say. */
	readonly byRule: boolean;
	readonly repairCost: number;
	readonly hoursLeft: number;
	readonly repairPer1000h: number;
	readonly newPer1000h: number;
}

/**
 * Whether repairing a unit in question is worth it: cost of this rebuild over the hours that it is taken to have left,
 * against the price of a new unit over its life. Wear parts cost both alike and fall out.
 *
 * The hours left are the policy's share of a new unit's life: an assumption that the screen shows as such.
 * Errors: PreconditionError for a cost below 0, or a unit without price or life. Source: equivalent cost per hour, as in
 * D. Jardine, A. Tsang, Maintenance, Replacement and Reliability (2013), ch. 2.
 */
export function compareUnit(
	repairCost: number,
	unit: { readonly price: number; readonly lifeHours: number },
	{ metal, lifeLeftShare }: Pick<Policy, 'metal' | 'lifeLeftShare'>
): UnitComparison {
	requireThat(repairCost >= 0 && Number.isFinite(repairCost), 'compareUnit', 'repairCost', repairCost, 'at least 0');
	for (const [name, value] of Object.entries({ ...unit, lifeLeftShare }))
		requireThat(value > 0 && Number.isFinite(value), 'compareUnit', name, value, 'above 0');
	const hoursLeft = unit.lifeHours * lifeLeftShare;
	const repairPer1000h = (repairCost / hoursLeft) * 1000;
	const newPer1000h = (unit.price / unit.lifeHours) * 1000;
	const byRule = metal === 'stops';
	const says = byRule || repairPer1000h > newPer1000h ? 'stop' : 'repair';
	return { says, byRule, repairCost, hoursLeft, repairPer1000h, newPer1000h };
}
