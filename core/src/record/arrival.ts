import { z } from 'zod';
import { requireThat } from '../number';
import { words } from './kinds/common';
import { stationsInScope, stepsInScope, type ModelSheet, type Opening, type Tool } from './sheet';

/** What a pump comes in for, as its owner says it. */
export const complaints = [
	'leakFront',
	'leakJoint',
	'leakOil',
	'pressureLow',
	'pulsing',
	'noise',
	'oilMilky',
	'oilMetal',
	'hot',
	'planned'
] as const;
export type Complaint = (typeof complaints)[number];

/** How a pump came in, beside its hours and its duty. */
export const arrivalFactsSchema = z.strictObject({
	complaints: z.array(z.enum(complaints)).max(complaints.length).default([]),
	/** On the bench, or where it runs. */
	workplace: z.enum(['bench', 'machine']).default('bench'),
	/** Cylinders that the job opens; left out: all. */
	cylinders: z.array(z.int().min(1).max(12)).min(1).max(12).optional(),
	/** Which end cylinder 1 is was checked against the sheet. */
	cylinderOne: z.literal('checked').optional(),
	/** What the scope is opened on, where its sheet opens it on evidence alone: one of the sheet's, or a lead's reason. */
	evidence: z.union([z.strictObject({ seen: words }), z.strictObject({ reason: words })]).optional(),
	/** When a new pump was last rebuilt, as far as its owner knows, in their words. */
	lastRebuild: words.max(200).optional(),
	/** Where each hose and pipe went, in one's own words. */
	connections: words.optional(),
	/** Special tools: at hand, to be borrowed, or what is taken instead of each. */
	tools: z
		.record(z.string().min(1).max(60), z.union([z.enum(['atHand', 'borrow']), z.strictObject({ instead: words })]))
		.default({})
});
export type ArrivalFacts = z.infer<typeof arrivalFactsSchema>;

/** The tools that a job wants, of its steps and of the parts that it opens. */
export function toolsInScope(sheet: ModelSheet, job: Opening): Tool[] {
	const keys = new Set([
		...stepsInScope(sheet, job).flatMap((step) => step.tools),
		...stationsInScope(sheet, job).flatMap((station) => station.tools.map(({ tool }) => tool))
	]);
	return sheet.tools.filter(({ key }) => keys.has(key));
}

/**
 * The first cylinder that was named and that the pump has not, or that was named twice; undefined where all are right.
 * Errors: PreconditionError for what numbers no cylinder.
 */
export function wrongCylinder(
	{ cylinders }: Pick<ModelSheet, 'cylinders'>,
	named: readonly number[] = []
): number | undefined {
	for (const value of named)
		requireThat(Number.isSafeInteger(value), 'wrongCylinder', 'named', value, 'the number of a cylinder');
	return named.find((value, i) => value < 1 || value > cylinders || named.indexOf(value) < i);
}

/** The key of a tool of which the sheet does not know what was said; undefined where it knows all. */
export const wrongTool = ({ tools }: Pick<ModelSheet, 'tools'>, said: ArrivalFacts['tools']): string | undefined =>
	Object.entries(said).find(([key, how]) => {
		const tool = tools.find((candidate) => candidate.key === key);
		return !tool || (typeof how === 'object' && !tool.substitutes.some(({ name }) => name === how.instead));
	})?.[0];
