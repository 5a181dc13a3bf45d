import { partType, type PartTypeKey } from '../part';
import type { Station } from '../record';
import type { CustomKind, Policy } from './policy';

const RINGS: readonly PartTypeKey[] = ['oRing', 'backupRing', 'flatSeal', 'gasket'];
const WASHERS: readonly PartTypeKey[] = ['washer', 'sealingWasher', 'conicalWasher'];
const VALVE_PARTS: readonly PartTypeKey[] = ['valve', 'valveSeat', 'spring', 'cage', 'springRetainer'];

/** Which custom of the shop a station falls under, if any. */
export function customKindOf({ type, side }: Station): CustomKind | undefined {
	if (RINGS.includes(type)) return side === 'rod' ? 'plungerRings' : side === 'valves' ? 'valveRings' : 'otherRings';
	if (WASHERS.includes(type) && side === 'rod') return 'plungerWashers';
	return type === 'valveSeat' || (type === 'spring' && side === 'valves') ? 'seatsAndSprings' : undefined;
}

/** Parts that share this name are renewed together or not at all; undefined for a part that stands by itself. */
export function setOf({ type, side, key }: Station, cylinder: number, policy: Policy): string | undefined {
	if (partType(type).renewedAsSet) return key;
	if (side !== 'valves' || !VALVE_PARTS.includes(type) || policy.valves === 'singly') return undefined;
	return policy.valves === 'set' ? 'valves' : `valves of cylinder ${cylinder}`;
}
