import { z } from 'zod';
import { common, id, schemaOf, words } from './common';
import { jobKind } from './kind';

/** A lead's correction to a released job: in words, striking an entry out where it names one. */
const schema = schemaOf('correction', common, z.strictObject({ entry: id.optional(), text: words }));
export type Correction = z.infer<typeof schema>;

export const correction = jobKind({
	schema,
	add: ({ corrections }, entry) => void corrections.push(entry),
	bearsOnBuild: true,
	takesBack: ({ payload }) => payload.entry
});
