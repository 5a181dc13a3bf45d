import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { kind, ofPart, words } from './common';

/** What a technician decided for a part. */
export const verdicts = ['reuse', 'replace', 'lookAgain'] as const;
export const verdictSchema = z.enum(verdicts);
export type Verdict = (typeof verdicts)[number];

/** A verdict, with what was proposed at that moment; overruling a proposal needs a reason. */
export const decisionSchema = kind(
	'decision',
	ofPart,
	z.strictObject({ verdict: verdictSchema, proposed: z.enum([...verdicts, 'open']), why: words.optional() })
);
export type Decision = z.infer<typeof decisionSchema>;

export interface Decisions {
	/** All decisions in order of time: the last stands, the others stay visible. */
	readonly decisions: readonly Decision[];
}

export const addDecision = <R extends Decisions>(record: R, decision: Decision): R => ({
	...record,
	decisions: [...record.decisions, decision]
});

export function checkDecision({ payload: { verdict, proposed, why } }: Decision): EntryProblem | undefined {
	return verdict !== proposed && !why ? { code: 'overruleWithoutReason' } : undefined;
}
