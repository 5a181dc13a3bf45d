import { z } from 'zod';
import { rangeField, wordsField } from './fields';

export const WATCH = { least: 1, most: 100_000 };
export const SURE = { least: 1, most: 100 };

/** A case is opened on one pattern at one place. */
export const openCaseSchema = z.object({
	station: z.string().min(1).max(60),
	cylinder: z.string().regex(/^\d$/),
	pattern: z.string().min(1).max(60),
	cause: wordsField('Choose the suspected cause.', 60),
	hypothesis: wordsField('Describe in one sentence what you think happens.', 500)
});

export const actionSchema = z.object({
	action: wordsField('Say what was done.', 500),
	job: z.uuid('Choose the rebuild of the action.'),
	sure: rangeField(SURE, 'Type your confidence in the fix, from 1 to 100 %.').default('80'),
	watch: rangeField(WATCH, 'Type the follow-up period in hours, from 1 to 100 000.')
});

const outcomes = ['confirmed', 'refuted', 'notTold'] as const;
export const closeSchema = z.object({
	outcome: z.enum(outcomes, 'Choose the outcome.'),
	says: wordsField('Say what shows it.', 500)
});
export const reopenSchema = z.object({ says: wordsField('Write the reason.', 500) });
