import { z } from 'zod';
import { patternKeys } from '../../part/patterns';
import { partType } from '../../part/register';
import type { EntryProblem } from '../problem';
import type { Station } from '../sheet';
import { kind, ofPart } from './common';

/** When the damage was done: in service, while stripping, when last assembled, or nobody can tell. */
export const onsets = ['service', 'handling', 'assembly', 'unknown'] as const;
export type Onset = (typeof onsets)[number];

/** A damage pattern seen on a part. Seen again with another severity is a new entry; the last one stands. */
export const findingSchema = kind(
	'finding',
	ofPart,
	z.strictObject({
		pattern: z.enum(patternKeys),
		severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
		onset: z.enum(onsets)
	})
);
export type Finding = z.infer<typeof findingSchema>;

export interface Findings {
	readonly findings: readonly Finding[];
	readonly clean?: unknown;
}

export const addFinding = <R extends Findings>(record: R, finding: Finding): R => ({
	...record,
	findings: [...record.findings.filter(({ payload }) => payload.pattern !== finding.payload.pattern), finding],
	clean: undefined
});

export function checkFinding({ payload: { pattern } }: Finding, { type, name }: Station): EntryProblem | undefined {
	const known = partType(type).patterns.some((rule) => rule.pattern === pattern);
	return known ? undefined : { code: 'patternNotOfPart', pattern, part: name };
}
