import { z } from 'zod';
import { patternKeys } from '../../part/patterns';
import { partType } from '../../part/register';
import { ofPart, schemaOf } from './common';
import { partKind } from './kind';

/** When the damage was done: in service, while stripping, when last assembled, or it cannot be told. */
export const onsets = ['service', 'handling', 'assembly', 'unknown'] as const;
export type Onset = (typeof onsets)[number];

/** A damage pattern seen on a part. Seen again with another severity is a new entry; the last one stands. */
const schema = schemaOf(
	'finding',
	ofPart,
	z.strictObject({
		pattern: z.enum(patternKeys),
		severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
		onset: z.enum(onsets)
	})
);
export type Finding = z.infer<typeof schema>;

export const finding = partKind(schema, {
	add: (record, entry) => ({
		...record,
		findings: [...record.findings.filter(({ payload }) => payload.pattern !== entry.payload.pattern), entry],
		clean: undefined
	}),
	check: ({ payload: { pattern } }, { type, name }) => {
		const known = partType(type).patterns.some((rule) => rule.pattern === pattern);
		return known ? undefined : { code: 'patternNotOfPart', pattern, part: name };
	}
});
