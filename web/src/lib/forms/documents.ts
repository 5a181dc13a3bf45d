import { z } from 'zod';
import { nameField } from './fields';

/** Where a document belongs: the sheet as a whole, `step/KEY` or `station/KEY`. */
export const attachSchema = z.object({
	at: z
		.string()
		.regex(/^(sheet|(step|station)\/[A-Za-z0-9]{1,60})$/, 'Choose where it belongs.')
		.default('sheet'),
	name: nameField('Type a short title.', 120),
	file: z.string().default('')
});
