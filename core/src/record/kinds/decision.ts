import { z } from 'zod';
import { ofPart, schemaOf, words } from './common';
import { partKind } from './kind';

/** What a technician decided for a part. */
export const verdicts = ['reuse', 'replace', 'lookAgain'] as const;
export const verdictSchema = z.enum(verdicts);
export type Verdict = (typeof verdicts)[number];

/** A verdict, with what was proposed at that moment; overruling a proposal needs a reason. */
const schema = schemaOf(
	'decision',
	ofPart,
	z.strictObject({ verdict: verdictSchema, proposed: z.enum([...verdicts, 'open']), why: words.optional() })
);
export type Decision = z.infer<typeof schema>;

export interface Decisions {
	/** All decisions in order of time: the last stands, the others stay visible. */
	readonly decisions: readonly Decision[];
}

export const decision = partKind(schema, {
	add: (record, entry) => ({ ...record, decisions: [...record.decisions, entry] }),
	check: ({ payload: { verdict, proposed, why } }) =>
		verdict !== proposed && !why ? { code: 'overruleWithoutReason' } : undefined,
	bearsOnBuild: true
});

/** The decision that stands, if any. */
export const standingDecision = ({ decisions }: Decisions): Decision | undefined => decisions.at(-1);
