import type { FixWorked } from '@exetasis/core/trace';
import type { Format } from '../format/numbers';

const verdicts: Readonly<Record<FixWorked['verdict'], string>> = {
	worked: 'The fix has worked: the failure is rarer than chance explains.',
	open: 'Too early to tell.',
	not: 'The fix has not worked: the failure is as frequent as before.'
};

const inspectionsWords = (count: number, format: Format): string =>
	`${format.number(count)} ${count === 1 ? 'inspection' : 'inspections'}`;

/** Whether a fix has worked, and the figures that it follows from. */
export function fixWords(
	{ verdict, before, since, chance, comparison, inspectionsStillNeeded }: FixWorked,
	format: Format
): {
	readonly verdict: string;
	readonly figures: string;
} {
	const figures: string[] = [];
	if (since.inspections === 0) figures.push('The place has not been inspected since the fix.');
	else if (chance !== undefined)
		figures.push(
			`Found in ${format.number(before.events)} of ${inspectionsWords(before.inspections, format)} before and ${format.number(since.events)} of ${format.number(since.inspections)} after. Without an effect, the chance of so few is ${format.probability(chance)}.`
		);
	if (verdict === 'not' && comparison)
		figures.push(
			`Per hour it is at least ${format.number(comparison.low, 2)} times as frequent as before (95 %), so not even halved.`
		);
	if (inspectionsStillNeeded !== undefined && inspectionsStillNeeded > 0)
		figures.push(
			`If it is not found in the next ${inspectionsWords(inspectionsStillNeeded, format)}, the fix counts as proven (95 %).`
		);
	return { verdict: verdicts[verdict], figures: figures.join(' ') };
}
