import { z } from 'zod';
import { customerFields } from './customer';
import { optionalName } from './fields';
import {
	arrivalFactsSchema,
	chosenSchema,
	complaints,
	type Complaint,
	type ArrivalFacts,
	type Chosen
} from '@exetasis/core/record';

const text = z.string().trim().max(400, 'At most 400 characters.');
const optional = text.default('');

/** What is typed when a pump is received; quantities stay as they were typed until they are read in the person's units. */
export const receiveSchema = z
	.object({
		pump: z.string().refine((id) => id === 'new' || z.uuid().safeParse(id).success, {
			message: 'Choose the pump or “New pump”.'
		}),
		/** The chosen pump in words, so that it stands there again. */
		pumpLine: optional,
		serial: optionalName(120),
		model: optional,
		site: z.uuid().or(z.literal('')).default(''),
		tag: optionalName(120),
		/** How far the job goes: a scope of the model's sheet. */
		scope: z.string().max(60).default(''),
		/** What the sheet asks of this very pump, as JSON. */
		variants: z.string().max(4000).default('{}'),
		/** What it came in for: keys of the list, a comma between them, and in one's own words. */
		complaints: optional,
		complaint: optional,
		...customerFields,
		workplace: z.enum(['bench', 'machine']).default('bench'),
		connections: z.string().trim().max(2000, 'At most 2000 characters.').default(''),
		/** Cylinders that are opened, a comma between them; empty: all. */
		cylinders: z
			.string()
			.regex(/^(\d{1,2}(,\d{1,2})*)?$/, 'Choose the cylinders again.')
			.default(''),
		/** Checked: cylinder 1 is at the end that the sheet names. */
		cylinderOne: z.enum(['', 'checked']).default(''),
		/** What a scope is opened on, where it opens on evidence alone: one of the sheet's, or a lead's own reason. */
		evidence: optional,
		evidenceReason: optional,
		lastRebuild: z.string().trim().max(200, 'At most 200 characters.').default(''),
		/** Which special tools are at hand, as JSON. */
		tools: z.string().max(4000).default('{}'),
		hours: text,
		liquid: optional,
		temperature: optional,
		pressure: optional,
		speed: optional,
		inlet: optional,
		inletPressure: optional,
		starts: optional,
		oldMeterHours: optional
	})
	.refine(({ complaint, complaints }) => complaint !== '' || complaints !== '', {
		path: ['complaint'],
		message: 'Choose or describe the complaint. Failures cannot be traced without it.'
	});
export type Received = z.infer<typeof receiveSchema>;

function jsonOf(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}

/** What was chosen of the sheet's variants; undefined where it cannot be read. */
export const chosenIn = ({ variants }: Pick<Received, 'variants'>): Chosen | undefined =>
	chosenSchema.safeParse(jsonOf(variants)).data;

/** What was ticked of the list; words that it does not have are left out. */
export const complaintsIn = ({ complaints: ticked = '' }: Partial<Pick<Received, 'complaints'>>): Complaint[] =>
	complaints.filter((complaint) => ticked.split(',').includes(complaint));

/** The cylinders that were chosen; undefined: all. */
export const cylindersIn = ({ cylinders = '' }: Partial<Pick<Received, 'cylinders'>>): number[] | undefined =>
	cylinders === '' ? undefined : cylinders.split(',').map(Number);

/** What was said of the special tools; undefined where it cannot be read. */
export const toolsIn = ({ tools }: Pick<Received, 'tools'>): ArrivalFacts['tools'] | undefined =>
	arrivalFactsSchema.shape.tools.safeParse(jsonOf(tools)).data;
