import type { LastVisit, Visit } from './chains';
import { marginalsOf, requireFinding, type Observed } from './jointStates';
import { weighAll } from './weighFindings';

/** What one observation of the last visit does to the odds of every chain: posterior odds with it over those without it. */
interface Carried {
	readonly observed: number;
	/** By chain; 1 where it says nothing, Infinity where without it the chain could not be at work. */
	readonly factors: readonly number[];
}

/**
 * Which observations of the last visit carry each belief: leave-one-out Bayes factors.
 * Shape: the visit that the beliefs were followed to.
 */
export function carriedBy({ components, before, chains }: LastVisit, { observed }: Pick<Visit, 'observed'>): Carried[] {
	for (const life of observed) requireFinding('carriedBy', life, chains);
	const oddsWith = (some: readonly Observed[]): number[] | undefined => {
		const seen = weighAll(components, before, some);
		return seen && marginalsOf(components, seen.after, chains).map(({ work, idle }) => work / idle);
	};
	const all = oddsWith(observed);
	if (!all) return [];
	return observed.map((life, i) => {
		const touched = new Set(life.links.map(({ chain }) => chain));
		if (touched.size === 0) return { observed: i, factors: all.map(() => 1) };
		const without = oddsWith(observed.filter((__, j) => j !== i));
		if (!without) return { observed: i, factors: all.map(() => 1) };
		return { observed: i, factors: all.map((odds, k) => (odds === without[k] ? 1 : odds / without[k])) };
	});
}
