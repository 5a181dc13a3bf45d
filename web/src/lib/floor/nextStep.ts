import { inSentence, placeName } from '$lib/words/place';
import { buildStepName } from '$lib/words/steps';
import type { FloorListing } from '@exetasis/server/jobs/floor';

/** The stages of a job, in the order of the work. */
export const stages = ['Strip', 'Inspect', 'Decide', 'Order', 'Build', 'Prove', 'Release'] as const;
export type Stage = (typeof stages)[number];

interface NextStep {
	readonly at: Stage;
	/** The page where the step is done. */
	readonly path: string;
	readonly first: string;
}

/** The stage of a job, and what to do next there. */
export function nextStepOf(job: FloorListing): NextStep {
	const { id, parts, inspected, decided, again, nextStep, nextPart, closing } = job;
	const step = (at: Stage, first: string, query = ''): NextStep => ({
		at,
		path: `/jobs/${id}/${at.toLowerCase()}${query}`,
		first
	});
	if (nextStep !== null && inspected === 0) return step('Strip', `Sign off: ${nextStep}`);
	if (nextPart) {
		const part = inSentence(placeName(nextPart.name, nextPart.cylinder));
		const place = `?place=${nextPart.station}/${nextPart.cylinder}`;
		return step('Inspect', `Inspect the ${part} (${parts - inspected} parts left)`, place);
	}
	if (decided < parts) return step('Decide', `Decide ${parts - decided} open parts`);
	if (again > 0) return step('Inspect', `Recheck ${again} ${again === 1 ? 'part' : 'parts'}`);
	if (nextStep !== null) return step('Strip', `Sign off: ${nextStep}`);
	if (closing?.at === 'build' && closing.step)
		return closing.in === 0
			? step('Order', 'All parts decided. Order the replacements.')
			: step('Build', `${buildStepName(closing.step)} (${closing.in} of ${closing.of} pieces fitted)`);
	if (closing?.at === 'prove') return step('Prove', closing.step?.text ?? 'Assembled. Complete the pump test.');
	return step('Release', 'Assembled and tested. Release the pump.');
}
