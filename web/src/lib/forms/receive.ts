import { z } from 'zod';
import { chosenSchema, type Chosen } from '@exetasis/core/record';

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
	/** How far the job goes: a scope of the model's sheet. */
	scope: z.string().max(60).default(''),
	/** What the sheet asks of this very pump, as JSON. */
	variants: z.string().max(4000).default('{}'),
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

/** What was chosen of the sheet's variants; undefined where it cannot be read. */
export function chosenIn({ variants }: Pick<Received, 'variants'>): Chosen | undefined {
	try {
		return chosenSchema.safeParse(JSON.parse(variants)).data;
	} catch {
		return undefined;
	}
}
