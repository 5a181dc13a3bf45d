import type { WholeInput } from '../decide';
import type { MatFacts } from './facts';
import { judgeInput, matesAt, matePlaces, type LaidPart } from './judgeMat';
import { placeKey } from './place';

/** The whole mat as the set is decided: every part with what is known of it and of its mates. Costs in the shop's currency. */
export function wholeInput<P extends LaidPart>(
	facts: MatFacts,
	parts: readonly P[],
	mates = matePlaces(facts)
): WholeInput {
	const mat = new Map(parts.map((part) => [placeKey(part.cell.station, part.cell.cylinder), part]));
	return {
		parts: parts.map((part) => {
			const { policy: _policy, ...input } = judgeInput(facts, part, matesAt(mates, part.cell, mat));
			return { id: part.cell.part, cylinder: part.cell.cylinder, input };
		}),
		policy: facts.policy,
		openingCost: facts.sheet.openingCost,
		unit: facts.sheet.unit
	};
}
