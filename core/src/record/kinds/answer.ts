import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { allSteps, type Ask, type ModelSheet, type Opening } from '../sheet';
import { common, kind, typed, words } from './common';

/** What a step asked, answered: seen, a count, one of the choices or one's own words, or how something was set. */
export const answerSchema = kind(
	'answer',
	common,
	z.strictObject({
		step: z.string().min(1).max(60),
		/** Which of the step's questions, from 0. */
		ask: z.int().min(0).max(20),
		value: z.union([
			z.literal(true),
			z.int().min(0).max(1000),
			words,
			z.strictObject({ value: z.number().min(-1e9).max(1e9), typed })
		])
	})
);
export type Answer = z.infer<typeof answerSchema>;

/** A question of a step by one word. */
export const askKey = (step: string, ask: number): string => `${step}/${ask}`;

/** A size is read at its part, and a photograph hangs there: neither is answered at the step. */
const answeredHere = ({ kind }: Ask): boolean => kind !== 'size' && kind !== 'photo';

interface AskingStep {
	readonly key: string;
	readonly asks: readonly Ask[];
}

/** The questions of a step that nobody has answered. `answers` holds those that are, by `askKey`. */
export const unanswered = ({ key, asks }: AskingStep, answers: { has(key: string): boolean }): Ask[] =>
	asks.filter((ask, i) => answeredHere(ask) && !answers.has(askKey(key, i)));

function fits(value: Answer['payload']['value'], ask: Ask): boolean {
	switch (ask.kind) {
		case 'tick':
			return value === true;
		case 'count':
			return typeof value === 'number';
		case 'choice':
			return typeof value === 'string' && ask.choices.includes(value);
		case 'note':
			return typeof value === 'string';
		case 'setting':
			return typeof value === 'object';
		default:
			return false;
	}
}

/** Whether an answer fits a question of a step that the job opens. */
export function checkAnswer(
	{ payload }: Answer,
	{ sheet, ...job }: Opening & { readonly sheet: ModelSheet }
): EntryProblem | undefined {
	const step = allSteps(sheet, job).find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	const ask = step.asks.at(payload.ask);
	return ask && fits(payload.value, ask) ? undefined : { code: 'notAnAnswer', step: step.text };
}
