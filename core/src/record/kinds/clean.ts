import { z } from 'zod';
import { stepsInScope } from '../sheet';
import { uncleaned } from '../stepOrder';
import { foundWrong, type FoundSo } from './asFound';
import { ofPart, schemaOf } from './common';
import type { Finding } from './finding';
import { partKind } from './kind';

const schema = schemaOf('clean', ofPart, z.strictObject({}));
type Clean = z.infer<typeof schema>;

export interface Cleaned {
	readonly findings: readonly Finding[];
	/** The last "nothing found", if no finding came after it. */
	readonly clean?: Clean;
}

/** Inspected, nothing found: absence is evidence. */
export const clean = partKind(schema, {
	add: (record, entry) => ({ ...record, findings: [], clean: entry }),
	check: (_, __, { holdOrder, sheet, log, ...job }) => {
		const [dirty] = holdOrder ? uncleaned(stepsInScope(sheet, job), log().steps) : [];
		return dirty && { code: 'notCleanedYet', before: dirty.text };
	}
});

/** True where the part was inspected: a finding, or "nothing found"; a part that was not there cannot be. */
export const isInspected = (record: Cleaned & FoundSo): boolean =>
	record.clean !== undefined || record.findings.length > 0 || foundWrong(record).includes('missing');
