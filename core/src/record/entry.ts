import { z } from 'zod';
import { patternKeys } from '../part/patterns';
import { units, type Unit } from '../quantity';

const id = z.uuid();
const words = z.string().trim().min(1).max(2000);

/** What a technician decided for a part. */
export const verdicts = ['reuse', 'replace', 'lookAgain'] as const;
export const verdictSchema = z.enum(verdicts);
export type Verdict = (typeof verdicts)[number];

/** When the damage was done: in service, while stripping, when last assembled, or nobody can tell. */
export const onsets = ['service', 'handling', 'assembly', 'unknown'] as const;
export type Onset = (typeof onsets)[number];

const common = { id, job: id, by: z.string().min(1).max(64), at: z.iso.datetime() };
const ofPart = { ...common, part: id };
const kind = <K extends string, P extends z.ZodType, B extends z.ZodRawShape>(name: K, base: B, payload: P) =>
	z.strictObject({ ...base, kind: z.literal(name), payload });

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
/** Looked at, nothing found: absence is evidence. */
export const cleanSchema = kind('clean', ofPart, z.strictObject({}));
/** One reading, in the base unit of its characteristic; what was typed is kept as typed. */
export const readingSchema = kind(
	'reading',
	ofPart,
	z.strictObject({
		characteristic: z.string().min(1).max(40),
		/** Place on the characteristic's grid, counted from 0; 0 and 0 where there is one place only. */
		station: z.int().min(0).max(11),
		angle: z.int().min(0).max(11),
		value: z.number().finite(),
		typed: z.strictObject({ text: z.string().max(40), unit: z.enum(units as [Unit, ...Unit[]]) }),
		gauge: id.optional(),
		partC: z.number().min(-40).max(150).optional()
	})
);
/** What the part that replaces this one measures as it is fitted: its wear is counted from there, not from nominal. */
export const fittedSchema = kind(
	'fitted',
	ofPart,
	z.strictObject({
		characteristic: z.string().min(1).max(40),
		value: z.number().finite(),
		typed: z.strictObject({ text: z.string().max(40), unit: z.enum(units as [Unit, ...Unit[]]) })
	})
);
/** A mark painted on the unrolled surface: mm from the pressure side, degrees round; an arc may run past 360. */
export const markSchema = kind(
	'mark',
	ofPart,
	z
		.strictObject({
			shape: z.enum(['line', 'band', 'point', 'crack']),
			fromMm: z.number().min(0).max(2000),
			toMm: z.number().min(0).max(2000),
			fromDeg: z.number().min(0).lt(360),
			toDeg: z.number().min(0).max(720)
		})
		.refine(({ fromMm, toMm }) => toMm >= fromMm, { message: 'ends before it begins', path: ['toMm'] })
		.refine(({ fromDeg, toDeg }) => toDeg >= fromDeg && toDeg - fromDeg <= 360, {
			message: 'must go once round at most',
			path: ['toDeg']
		})
);
export const noteSchema = kind('note', { ...common, part: id.optional() }, z.strictObject({ text: words }));
/** A verdict, with what was proposed at that moment; overruling a proposal needs a reason. */
export const decisionSchema = kind(
	'decision',
	ofPart,
	z.strictObject({
		verdict: verdictSchema,
		proposed: z.enum([...verdicts, 'open']),
		why: words.optional()
	})
);
/** A step of the model sheet signed off. */
export const stepDoneSchema = kind('step', common, z.strictObject({ step: z.string().min(1).max(60) }));
/** Takes an earlier entry back: it stays in the log and counts no more. Undo is a withdraw. */
export const withdrawSchema = kind('withdraw', common, z.strictObject({ entry: id, why: words }));
/** A lead's correction to a released job: in words, striking an entry out where it names one. */
export const correctionSchema = kind('correction', common, z.strictObject({ entry: id.optional(), text: words }));

/** One line of the bench log: made by the client, never updated, never deleted. */
export const entrySchema = z.discriminatedUnion('kind', [
	findingSchema,
	cleanSchema,
	readingSchema,
	fittedSchema,
	markSchema,
	noteSchema,
	decisionSchema,
	stepDoneSchema,
	withdrawSchema,
	correctionSchema
]);
export type Entry = z.infer<typeof entrySchema>;
export type EntryKind = Entry['kind'];
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

export type Finding = EntryOf<'finding'>;
export type Reading = EntryOf<'reading'>;
export type Fitted = EntryOf<'fitted'>;
export type Mark = EntryOf<'mark'>;
export type Decision = EntryOf<'decision'>;
