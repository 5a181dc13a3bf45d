import type { FixWorked } from '@exetasis/core/trace';
import { formatNumber, formatProbability } from '../ui/numbers';

const verdicts: Readonly<Record<FixWorked['verdict'], string>> = {
	worked: 'It is rarer since, beyond chance: the fix has worked.',
	open: 'Too early to tell.',
	not: 'It comes as often as before: the fix has not worked.'
};

const inspections = (count: number): string => `${formatNumber(count)} ${count === 1 ? 'inspection' : 'inspections'}`;

/** Whether a fix has worked, and the figures that it follows from. */
export function fixWords({ verdict, before, since, chance, comparison, inspectionsStillNeeded }: FixWorked): {
	readonly verdict: string;
	readonly figures: string;
} {
	const figures: string[] = [];
	if (since.inspections === 0) figures.push('The place has not been inspected since.');
	else if (chance !== undefined)
		figures.push(
			`Found in ${formatNumber(before.events)} of ${inspections(before.inspections)} before and ${formatNumber(since.events)} of ${formatNumber(since.inspections)} since; without an effect so few would be found with ${formatProbability(chance)}.`
		);
	if (verdict === 'not' && comparison)
		figures.push(
			`By hours it comes at least ${formatNumber(comparison.low, 2)} times as often as before (95 %): even half as often is excluded.`
		);
	if (inspectionsStillNeeded !== undefined && inspectionsStillNeeded > 0)
		figures.push(
			`If it is not found in the next ${inspections(inspectionsStillNeeded)}, the fix counts as proven (95 %).`
		);
	return { verdict: verdicts[verdict], figures: figures.join(' ') };
}
