import { z } from 'zod';
import { key, text, type OnlyWith } from './primitives';

/** A question about this very pump, answered at receipt and kept with the pump: what its retainers are made of, say. */
export const variantSchema = z.strictObject({
	key,
	name: text,
	choices: z
		.array(z.strictObject({ key, name: text }))
		.min(2)
		.max(8),
	/** Asked once, or at each cylinder (two styles of guide in one pump). */
	per: z.enum(['pump', 'cylinder']).default('pump')
});
export type Variant = z.infer<typeof variantSchema>;

const choice = z.string().min(1).max(60);
/** What was chosen, by variant: one choice, or one for each cylinder from the first. A variant that no one asked about is left out. */
export const chosenSchema = z.record(key, z.union([choice, z.array(choice).max(7)]));
export type Chosen = z.infer<typeof chosenSchema>;

/**
 * Whether something applies to a pump with these choices, at a cylinder or (0 or left out) at the pump as a whole, where one
 * cylinder that has it is enough. What no one asked about hides nothing: it applies.
 */
export function applies(onlyWith: OnlyWith, chosen: Chosen = {}, cylinder = 0): boolean {
	return Object.entries(onlyWith ?? {}).every(([variant, choices]) => {
		if (!Object.hasOwn(chosen, variant)) return true;
		const answer = chosen[variant];
		if (typeof answer === 'string') return choices.includes(answer);
		if (cylinder === 0) return answer.some((text) => choices.includes(text));
		const here = answer.at(cylinder - 1);
		return here === undefined || choices.includes(here);
	});
}

interface HoldsWhen {
	readonly onlyWith?: OnlyWith;
	/** Left out: in both directions. */
	readonly when?: 'out' | 'in' | 'both';
}
/** The cautions of a step or part that hold for this pump, as the part goes out or in; `going` left out: in either direction. */
export const cautionsFor = <C extends HoldsWhen>(
	{ cautions }: { readonly cautions: readonly C[] },
	chosen: Chosen | undefined,
	going?: 'out' | 'in'
): C[] =>
	cautions.filter(
		({ onlyWith, when = 'both' }) => applies(onlyWith, chosen) && (!going || when === 'both' || when === going)
	);

/** Why an answer does not fit the sheet's questions; undefined where it does. */
export function chosenProblem(
	{ variants, cylinders }: { readonly variants: readonly Variant[]; readonly cylinders: number },
	chosen: Chosen
): { readonly variant: string; readonly problem: 'unknownVariant' | 'unknownChoice' | 'notEachCylinder' } | undefined {
	for (const [key, answer] of Object.entries(chosen)) {
		const variant = variants.find((candidate) => candidate.key === key);
		if (!variant) return { variant: key, problem: 'unknownVariant' };
		const answers = typeof answer === 'string' ? [answer] : answer;
		if ((variant.per === 'cylinder') !== (typeof answer !== 'string'))
			return { variant: key, problem: 'notEachCylinder' };
		if (variant.per === 'cylinder' && answers.length !== cylinders) return { variant: key, problem: 'notEachCylinder' };
		if (answers.some((text) => !variant.choices.some((choice) => choice.key === text)))
			return { variant: key, problem: 'unknownChoice' };
	}
	return undefined;
}
