import { gaussLegendre, requireThat } from '../number';

/** How long a part has run: known since its fitting, or only seen for so long in a pump that has run so long in all. Hours. */
export type Age =
	| { readonly kind: 'known'; readonly hours: number }
	| { readonly kind: 'unknown'; readonly seenFor: number; readonly atMost: number };

/** One possible age with its probability. */
export interface AgeNode {
	readonly hours: number;
	readonly weight: number;
}

/** Chance that a part of unknown age is as old as its pump: our own assumption, shown as such. */
const AS_OLD_AS_THE_PUMP = 0.5;
const NODES = 3;
const RULE = gaussLegendre(NODES);

/**
 * The ages that the record allows, with their probabilities: as old as the pump with one half, else anything from the first
 * sight of it on, evenly. Unknown is never nought.
 * Units: hours. Errors: PreconditionError for hours below 0 or not finite, or seen for longer than the pump has run.
 */
export function ageNodes(age: Age): readonly AgeNode[] {
	if (age.kind === 'known') {
		requireThat(age.hours >= 0 && Number.isFinite(age.hours), 'ageNodes', 'hours', age.hours, 'at least 0');
		return [{ hours: age.hours, weight: 1 }];
	}
	const { seenFor, atMost } = age;
	requireThat(seenFor >= 0 && Number.isFinite(seenFor), 'ageNodes', 'seenFor', seenFor, 'at least 0');
	requireThat(atMost >= seenFor && Number.isFinite(atMost), 'ageNodes', 'atMost', atMost, `at least ${seenFor}`);
	if (atMost === seenFor) return [{ hours: atMost, weight: 1 }];
	const between = RULE.nodes.map((x, i) => ({
		hours: seenFor + ((atMost - seenFor) * (x + 1)) / 2,
		weight: ((1 - AS_OLD_AS_THE_PUMP) * RULE.weights[i]) / 2
	}));
	return [...between, { hours: atMost, weight: AS_OLD_AS_THE_PUMP }];
}
