import { z } from 'zod';
import { rangeField, wordsField } from './fields';

export const WATCH = { least: 1, most: 100_000 };
export const SURE = { least: 1, most: 100 };

/** A case is opened on one pattern at one place. */
export const openCaseSchema = z.object({
	station: z.string().min(1).max(60),
	cylinder: z.string().regex(/^\d$/),
	pattern: z.string().min(1).max(60),
	cause: wordsField('Choose what it is thought to be.', 60),
	hypothesis: wordsField('Say in a sentence what you think happens.', 500)
});

export const actionSchema = z.object({
	action: wordsField('Say what was done.', 500),
	job: z.uuid('Choose the rebuild at which it was done.'),
	sure: rangeField(SURE, 'Type how sure it is to help, from 1 to 100 %.').default('80'),
	watch: rangeField(WATCH, 'Type for how many hours to watch it, from 1 to 100 000.')
});

export const outcomes = ['confirmed', 'refuted', 'notTold'] as const;
export const closeSchema = z.object({
	outcome: z.enum(outcomes, 'Choose what came of it.'),
	says: wordsField('Say what shows it.', 500)
});
export const reopenSchema = z.object({ says: wordsField('Say why it is open again.', 500) });
