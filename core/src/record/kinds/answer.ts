import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders, type Ask, type Meaning, type ModelSheet, type Opening } from '../sheet';
import { common, kind, typed, words } from './common';

/** What a step asked, answered: seen, a count, one of the choices or one's own words, or how something was set. */
export const answerSchema = kind(
	'answer',
	common,
	z.strictObject({
		step: z.string().min(1).max(60),
		/** Which of the step's questions, from 0. */
		ask: z.int().min(0).max(20),
		/** The cylinder that was asked about, where it is asked at each. */
		cylinder: z.int().min(1).max(12).optional(),
		value: z.union([
			z.literal(true),
			z.int().min(0).max(1000),
			words,
			z.strictObject({ value: z.number().min(-1e9).max(1e9), typed })
		])
	})
);
export type Answer = z.infer<typeof answerSchema>;

/** A question of a step by one word, at its cylinder where it is asked at each. */
export const askKey = (step: string, ask: number, cylinder?: number): string =>
	cylinder === undefined ? `${step}/${ask}` : `${step}/${ask}/${cylinder}`;

/** Where a question is asked: at each of these cylinders, or once. */
export const askedAt = (ask: Ask, cylinders: readonly number[]): readonly (number | undefined)[] =>
	ask.kind === 'choice' && ask.per === 'cylinder' ? cylinders : [undefined];

/** A size is read at its part, and a photograph hangs there: neither is answered at the step. */
const answeredHere = ({ kind }: Ask): boolean => kind !== 'size' && kind !== 'photo';

interface AskingStep {
	readonly key: string;
	readonly asks: readonly Ask[];
}

/** The questions of a step that are not answered yet, at any of the job's cylinders. `answers` holds those that are, by `askKey`. */
export const unanswered = (
	{ key, asks }: AskingStep,
	answers: { has(key: string): boolean },
	cylinders: readonly number[]
): Ask[] =>
	asks.filter((ask, i) => answeredHere(ask) && askedAt(ask, cylinders).some((at) => !answers.has(askKey(key, i, at))));

/** An answer of a step with what follows from it. */
export interface Consequence {
	readonly step: string;
	readonly question: string;
	readonly answer: string;
	readonly cylinder?: number;
	readonly means: Exclude<Meaning, string>;
}

/** What follows from the answers that stand, but for those that are harmless. Shape: `answers` by `askKey`, the last of each. */
export const consequences = (
	steps: readonly { readonly key: string; readonly text: string; readonly asks: readonly Ask[] }[],
	answers: ReadonlyMap<string, Answer>
): Consequence[] =>
	[...answers.values()].flatMap(({ payload: { step: key, ask: i, value, cylinder } }) => {
		const step = steps.find((one) => one.key === key);
		const ask = step?.asks.at(i);
		if (!step || ask?.kind !== 'choice') return [];
		const means = ask.choices.find(({ text }) => text === value)?.means;
		if (means === undefined || typeof means === 'string') return [];
		const at = cylinder === undefined ? {} : { cylinder };
		return [{ step: step.text, question: ask.text, answer: String(value), ...at, means }];
	});

function fits(value: Answer['payload']['value'], ask: Ask): boolean {
	switch (ask.kind) {
		case 'tick':
			return value === true;
		case 'count':
			return typeof value === 'number';
		case 'choice':
			return typeof value === 'string' && ask.choices.some(({ text }) => text === value);
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
	if (!ask || !fits(payload.value, ask)) return { code: 'notAnAnswer', step: step.text };
	const { cylinder } = payload;
	if (askedAt(ask, openedCylinders(sheet, job)).includes(cylinder)) return undefined;
	return cylinder === undefined
		? { code: 'notAnAnswer', step: step.text }
		: { code: 'notAtCylinder', step: step.text, cylinder };
}
