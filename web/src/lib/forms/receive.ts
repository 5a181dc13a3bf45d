import { z } from 'zod';
import { scopeSchema } from '@exetasis/core/record';

const text = z.string().trim().max(400, 'At most 400 characters.');
const optional = text.default('');

/** What is typed when a pump is received; quantities stay as they were typed until they are read in the person's units. */
export const receiveSchema = z.object({
	pump: z.string().refine((id) => id === 'new' || z.uuid().safeParse(id).success, {
		message: 'Choose the pump, or “A pump we do not know yet”.'
	}),
	/** The chosen pump in words, so that it stands there again. */
	pumpLine: optional,
	serial: optional,
	model: optional,
	site: z.uuid().or(z.literal('')).default(''),
	tag: optional,
	scope: scopeSchema.default('full'),
	complaint: text.min(1, 'Write what it came in for: without the complaint nothing can be traced.'),
	hours: text,
	liquid: optional,
	temperature: optional,
	pressure: optional,
	speed: optional,
	inlet: optional,
	oldMeterHours: optional
});
export type Received = z.infer<typeof receiveSchema>;
