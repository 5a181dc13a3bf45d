import { z } from 'zod';
import { common, id, schemaOf, words } from './common';
import { jobKind } from './kind';

/** Takes an earlier entry back: it stays in the log and counts no more. Undo is a withdraw, and may be withdrawn. */
const schema = schemaOf('withdraw', common, z.strictObject({ entry: id, why: words }));

export const withdraw = jobKind({
	schema,
	add: () => undefined,
	bearsOnBuild: true,
	takesBack: ({ payload }) => payload.entry
});
