import { z } from 'zod';
import { parseNumber, type NumberRange } from '@exetasis/core/quantity';
import { nameText } from '@exetasis/core/record';
import { defaultFormat } from '../format/numbers';
import { numberSentence } from '../words/problems';

const ONE_LINE = 'Type it on one line, without hidden characters.';

/** A text that has to say something, with the sentence for when it does not. */
export const wordsField = (sentence: string, most = 200) =>
	z.string().trim().min(1, sentence).max(most, `At most ${most} characters.`);

/** A name that has to be there, on one line. */
export const nameField = (sentence: string, most: number) => nameText(most, ONE_LINE).min(1, sentence);

/** A name that may be left out. */
export const optionalName = (most: number) => nameText(most, ONE_LINE).default('');

/** A number as people type it, kept as text until the form holds; `empty`: the sentence where nothing is typed. */
export const numberField = (range: NumberRange, empty: string) =>
	z
		.string()
		.trim()
		.max(60)
		.superRefine((text, context) => {
			const read = parseNumber(text, range);
			if (read.kind === 'problem')
				context.addIssue({ code: 'custom', message: numberSentence(read.problem, defaultFormat, empty) });
		});

/** A number within a range, with one sentence for all that is none; a comma that can be read two ways is asked about. */
export const rangeField = (range: NumberRange, sentence: string) =>
	z
		.string()
		.trim()
		.max(60, sentence)
		.superRefine((text, context) => {
			const read = parseNumber(text, range);
			if (read.kind === 'number') return;
			const message = read.problem.code === 'ambiguous' ? numberSentence(read.problem, defaultFormat) : sentence;
			context.addIssue({ code: 'custom', message });
		});

/** The number of a field that holds, read within the range by which it was checked: that may decide what a comma means. */
export function numberIn(text: string, range: NumberRange): number {
	const read = parseNumber(text, range);
	if (read.kind === 'problem') throw new RangeError(`"${text}" was not checked before it was read`);
	return read.value;
}

/** A day: "2026-03-01". */
export const dayField = z.iso.date('Choose a day.').refine((day) => day >= '1970-01-01' && day <= '2200-01-01', {
	message: 'Choose a day between 1970 and 2200.'
});
