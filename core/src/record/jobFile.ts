import { z } from 'zod';
import { nameText } from './nameText';
import { customerSchema } from './customer';
import { chosenSchema } from './sheet';

const text = z
	.string()
	.max(4000)
	.refine((text) => !text.includes('\0') && text.isWellFormed(), 'holds a character that cannot be stored');
const name = nameText(200);
const moment = z.iso.datetime({ offset: true });
const hours = z.number().min(0).max(10_000_000);
const count = z.number().int();
const json = z.json();
const facts = z.record(z.string(), json);
/** "packing/2": a station of the sheet and its cylinder, 0 for what a pump has once. */
const place = z.string().regex(/^[A-Za-z][A-Za-z0-9]*\/\d{1,2}$/);
const person = z.string().regex(/^@person\/\d{1,4}$/);

const dutySchema = z.strictObject({
	liquid: text.optional(),
	temperatureC: z.number().optional(),
	pressureMPa: z.number().optional(),
	speedRpm: z.number().optional(),
	inlet: text.optional(),
	/** At the inlet while it runs. */
	inletPressureMPa: z.number().optional(),
	/** Since the rebuild before, by its counter or its owner. */
	starts: z.number().optional()
});

const partSchema = z.strictObject({
	place,
	type: text,
	asFitted: z.record(z.string(), z.number()),
	lot: name.nullable(),
	supplier: name.nullable(),
	kit: name.nullable()
});

const gaugeSchema = z.strictObject({
	name: name.min(1),
	kind: name,
	resolution: z.number().positive(),
	repeatability: z.number().min(0),
	repeatabilityDof: z.number().positive(),
	reproducibility: z.number().min(0),
	expansionPerKelvin: z.number(),
	retiredOn: z.iso.date().nullable(),
	certificates: z
		.array(
			z.strictObject({
				certificate: name,
				calibratedOn: z.iso.date(),
				dueOn: z.iso.date(),
				expandedU: z.number().positive(),
				k: z.number().positive()
			})
		)
		.min(1)
		.max(1000)
});

/**
 * One job, whole, as a file: its sheet, its pump, the parts on its mat and those that came in their places, the bench log
 * as it was written, and its photographs. Nothing in it is a database's number but the ids of the entries themselves:
 * people, gauges and parts are named by "@person/1", "@gauge/NAME" and "@part/PLACE", also inside the log, where a text
 * that begins with "@" is written with one more.
 */
const jobFileSchema = z.strictObject({
	format: z.literal('exetasis.job'),
	version: z.literal(1),
	sheet: facts,
	pump: z.strictObject({
		serial: name.min(1),
		site: name.nullable(),
		tag: name.nullable(),
		duty: dutySchema,
		variants: chosenSchema
	}),
	job: z.strictObject({
		scope: text.min(1),
		complaint: text,
		meterHours: z.number().min(0).max(1_000_000),
		pumpHours: hours,
		receivedAt: moment,
		receivedBy: person,
		releasedAt: moment.nullable(),
		releasedBy: person.nullable(),
		duty: dutySchema,
		variants: chosenSchema,
		arrival: facts,
		customer: customerSchema.default({}),
		restedOn: facts.nullable()
	}),
	people: z.array(z.strictObject({ key: person, name: text.min(1) })).max(1000),
	gauges: z.array(gaugeSchema).max(1000),
	/** What lay on the mat; `ended` where this job replaced it. */
	mat: z
		.array(
			partSchema.extend({
				fittedHours: hours.nullable(),
				ended: z.enum(['worn', 'damaged', 'hurtAtStrip', 'renewedGood']).nullable()
			})
		)
		.max(5000),
	/** What came in its place. */
	fitted: z.array(partSchema).max(5000),
	log: z
		.array(
			z.strictObject({
				id: z.uuid(),
				kind: text,
				payload: json,
				part: place.optional(),
				by: person,
				at: moment,
				offsetMs: count.optional(),
				seq: count.optional(),
				effectiveAt: moment.optional(),
				receivedAt: moment
			})
		)
		.max(100_000),
	photos: z
		.array(z.strictObject({ sha256: z.string().regex(/^[0-9a-f]{64}$/), keptBy: person, jpeg: z.base64() }))
		.max(500)
});
export type JobFile = z.infer<typeof jobFileSchema>;

type ReadJobFile =
	| { readonly kind: 'jobFile'; readonly file: JobFile }
	/** Where the first fault lies, and what it is. */
	| { readonly kind: 'fault'; readonly path: string; readonly message: string };

/** Reads the text of a job file; whatever it holds, the answer is a file or its first fault. */
export function readJobFile(source: string): ReadJobFile {
	const fault = (path: string, message: string): ReadJobFile => ({ kind: 'fault', path, message });
	try {
		const parsed = jobFileSchema.safeParse(JSON.parse(source));
		if (parsed.success) return { kind: 'jobFile', file: parsed.data };
		const [issue] = parsed.error.issues;
		return fault(issue.path.join('.') || '(whole file)', issue.message);
	} catch (cause) {
		if (cause instanceof SyntaxError) return fault('(text)', 'is no JSON');
		if (cause instanceof RangeError) return fault('(text)', 'is nested too deeply');
		throw cause;
	}
}

/** JSON Schema (2020-12) of the job file, for other programs. */
export const jobFileJsonSchema = (): object => ({
	$id: 'exetasis/job/1',
	title: 'Exetasis job file, version 1',
	...z.toJSONSchema(jobFileSchema, { io: 'input' })
});

/** The value as JSON with the keys of every object in the order of their code units, so that equal values are equal texts. */
export const canonicalJson = (value: unknown): string => `${JSON.stringify(sorted(value), null, '\t')}\n`;

function sorted(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(sorted);
	if (typeof value !== 'object' || value === null) return value;
	if (value instanceof Date) return value.toISOString();
	const own = Object.entries(value).filter(([, inner]) => inner !== undefined);
	return Object.fromEntries(own.sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, inner]) => [key, sorted(inner)]));
}

/** What a value says with these names in place of ids, in its texts and keys alike; other texts that begin with "@" get one more. */
export const withNames = (value: unknown, names: ReadonlyMap<string, string>): unknown =>
	mapTexts(value, (text) => names.get(text) ?? (text.startsWith('@') ? `@${text}` : text));

/** The reverse of `withNames`: ids in place of names. A name that is none of these throws a RangeError that says it. */
export const withIds = (value: unknown, ids: ReadonlyMap<string, string>): unknown =>
	mapTexts(value, (text) => {
		if (!text.startsWith('@')) return text;
		if (text.startsWith('@@')) return text.slice(1);
		const id = ids.get(text);
		if (id === undefined) throw new RangeError(text);
		return id;
	});

function mapTexts(value: unknown, map: (text: string) => string): unknown {
	if (typeof value === 'string') return map(value);
	if (Array.isArray(value)) return value.map((item) => mapTexts(item, map));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([key, inner]) => [map(key), mapTexts(inner, map)]));
}
