import { z } from 'zod';
import { finiteAnswer, requireThat } from '../../number';
import { dimensionOf, isAsTyped } from '../../quantity';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders, type Ask, type Meaning, type ModelSheet, type Opening } from '../sheet';
import { common, schemaOf, typed, words } from './common';
import { jobKind } from './kind';

const quantity = z.strictObject({ value: z.number().min(-1e9).max(1e9), typed });

/** What a step asked, answered: seen, a count, one of the choices or one's own words, how something was set, or readings. */
const schema = schemaOf(
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
			quantity,
			z.strictObject({ readings: z.array(quantity).min(1).max(12) })
		])
	})
);
export type Answer = z.infer<typeof schema>;

/** A question of a step by one word, at its cylinder where it is asked at each. */
export const askKey = (step: string, ask: number, cylinder?: number): string =>
	cylinder === undefined ? `${step}/${ask}` : `${step}/${ask}/${cylinder}`;

/** Where a question is asked: at each of these cylinders, or once. */
export const askedAt = (ask: Ask, cylinders: readonly number[]): readonly (number | undefined)[] =>
	ask.kind === 'choice' && ask.per === 'cylinder' ? cylinders : [undefined];

/** The places of a question about readings, by cylinder or by name. */
export const placesAsked = (
	{ at }: Extract<Ask, { kind: 'readings' }>,
	cylinders: readonly number[]
): readonly (number | string)[] => (at === 'cylinders' ? cylinders : at);

/** The largest of some readings less the smallest, in their base unit. Errors: PreconditionError where there is none. */
export function differenceOf(readings: readonly { readonly value: number }[]): number {
	requireThat(readings.length > 0, 'differenceOf', 'readings', readings.length, 'at least one');
	const values = readings.map(({ value }) => value);
	return finiteAnswer('differenceOf', Math.max(...values) - Math.min(...values));
}

/** What keeps the pump back when readings differ by more than the sheet allows; undefined when they do not. Base units. */
export const tooFarApart = (
	{ most }: Extract<Ask, { kind: 'readings' }>,
	readings: readonly { readonly value: number }[]
): string | undefined => (most && differenceOf(readings) > most.difference ? most.hold : undefined);

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
		const step = steps.find((candidate) => candidate.key === key);
		const ask = step?.asks.at(i);
		if (!step) return [];
		if (ask?.kind === 'readings' && typeof value === 'object' && 'readings' in value) {
			const hold = tooFarApart(ask, value.readings);
			if (hold === undefined) return [];
			const answer = value.readings.map(({ typed }) => typed.text).join(' / ');
			return [{ step: step.text, question: ask.text, answer, means: { hold } }];
		}
		if (ask?.kind !== 'choice') return [];
		const means = ask.choices.find(({ text }) => text === value)?.means;
		if (means === undefined || typeof means === 'string') return [];
		const at = cylinder === undefined ? {} : { cylinder };
		return [{ step: step.text, question: ask.text, answer: String(value), ...at, means }];
	});

function fits(value: Answer['payload']['value'], ask: Ask, cylinders: readonly number[]): boolean {
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
			return typeof value === 'object' && 'value' in value;
		case 'readings':
			return (
				typeof value === 'object' &&
				'readings' in value &&
				value.readings.length === placesAsked(ask, cylinders).length &&
				value.readings.every(
					({ value, typed }) => dimensionOf(typed.unit) === dimensionOf(ask.unit) && isAsTyped(value, typed)
				)
			);
		default:
			return false;
	}
}

/** Whether an answer fits a question of a step that the job opens. */
function checkAnswer(
	{ payload }: Answer,
	{ sheet, ...job }: Opening & { readonly sheet: ModelSheet }
): EntryProblem | undefined {
	const step = allSteps(sheet, job).find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	const ask = step.asks.at(payload.ask);
	const cylinders = openedCylinders(sheet, job);
	if (!ask || !fits(payload.value, ask, cylinders)) return { code: 'notAnAnswer', step: step.text };
	const { cylinder } = payload;
	if (askedAt(ask, cylinders).includes(cylinder)) return undefined;
	return cylinder === undefined
		? { code: 'notAnAnswer', step: step.text }
		: { code: 'notAtCylinder', step: step.text, cylinder };
}

export const answer = jobKind({
	schema,
	add: ({ answers }, entry) => {
		const { step, ask, cylinder } = entry.payload;
		answers.set(askKey(step, ask, cylinder), entry);
	},
	check: checkAnswer,
	bearsOnBuild: true
});
