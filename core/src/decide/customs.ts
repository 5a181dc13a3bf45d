import { partType } from '../part';
import type { Station } from '../record';
import type { CustomKind, Policy } from './policy';

/** Which custom of the shop a station falls under, if any. */
export function customKindOf({ type, side }: Station): CustomKind | undefined {
	switch (partType(type).renewal) {
		case 'ring':
			return side === 'rod' ? 'plungerRings' : side === 'valves' ? 'valveRings' : 'otherRings';
		case 'washer':
			return side === 'rod' ? 'plungerWashers' : undefined;
		case 'seat':
			return 'seatsAndSprings';
		case 'spring':
			return side === 'valves' ? 'seatsAndSprings' : undefined;
		default:
			return undefined;
	}
}

/** Parts that share this name are renewed together or not at all; undefined for a part that stands by itself. */
export function setOf({ type, side, key }: Station, cylinder: number, policy: Policy): string | undefined {
	const { renewedAsSet, valvePart } = partType(type);
	if (renewedAsSet) return key;
	if (side !== 'valves' || !valvePart || policy.valves === 'singly') return undefined;
	return policy.valves === 'set' ? 'valves' : `valves of cylinder ${cylinder}`;
}
