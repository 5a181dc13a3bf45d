import { z } from 'zod';
import { patternKeys } from '../../part/patterns';
import { cautionSchema, key, number, onlyWithSchema, text, unit } from './primitives';

/** In the order in which a pump goes through them. */
export const stages = ['prepare', 'strip', 'clean', 'build', 'prove'] as const;
export type Stage = (typeof stages)[number];

const keys = z.array(key).max(60).default([]);

/** What follows from an answer. */
const meaningSchema = z.union([
	/** Nothing follows, or the sheet does not say what. */
	z.enum(['harmless', 'notStated']),
	/** A finding on the parts of a station: at the cylinder that was asked about, or at all. */
	z.strictObject({ finding: z.strictObject({ station: key, pattern: z.enum(patternKeys) }) }),
	/** Whether the pump is worth rebuilding has to be decided first. */
	z.strictObject({ unit: text }),
	/** The pump is not released until it is answered otherwise, or a lead says why. */
	z.strictObject({ hold: text })
]);
export type Meaning = z.infer<typeof meaningSchema>;

/** An answer that a step wants before it can be signed off. */
const askSchema = z.discriminatedUnion('kind', [
	/** Done and seen: moves freely, clicks, is flush. */
	z.strictObject({ kind: z.literal('tick'), text }),
	/** Pieces of a station, counted. */
	z.strictObject({ kind: z.literal('count'), station: key }),
	z.strictObject({ kind: z.literal('size'), station: key, characteristic: key }),
	/** How something was set, as it was found or as it is left. */
	z.strictObject({ kind: z.literal('setting'), name: text, unit, when: z.enum(['found', 'left']) }),
	z.strictObject({
		kind: z.literal('choice'),
		text,
		/** Asked at each cylinder by itself. */
		per: z.enum(['pump', 'cylinder']).default('pump'),
		choices: z
			.array(z.strictObject({ text, means: meaningSchema }))
			.min(2)
			.max(8)
	}),
	/** One size at each cylinder, or at places round it, by one unit: the gap round a rim, how far each plunger stands out. */
	z.strictObject({
		kind: z.literal('readings'),
		text,
		unit,
		at: z.union([
			z.literal('cylinders'),
			z
				.array(text)
				.min(1)
				.max(12)
				.refine((places) => new Set(places).size === places.length, { message: 'names one place twice' })
		]),
		/** The largest difference between them, in the base unit, and what is said where it is larger. */
		most: z.strictObject({ difference: number.positive(), hold: text }).optional()
	}),
	z.strictObject({ kind: z.literal('photo'), text }),
	/** In one's own words: where each hose went. */
	z.strictObject({ kind: z.literal('note'), text })
]);
export type Ask = z.infer<typeof askSchema>;

/** Where the crank has to stand; it is turned by hand. */
const crankPositionSchema = z.strictObject({
	stand: z.enum(['outerLevel', 'forward', 'back']),
	cylinder: z.union([z.enum(['each', 'outer']), z.int().min(1).max(7)])
});

/** What must not happen from this step until that one, but for the steps named: shown on every screen of the job. */
const lockSchema = z.strictObject({ what: z.enum(['shaft']), until: key, unless: keys, text });

/** To be signed off within so many minutes of another step; left out: within the working time of a product. */
const windowSchema = z
	.strictObject({ of: key, minutes: number.positive().optional(), product: key.optional() })
	.refine(({ minutes, product }) => (minutes === undefined) !== (product === undefined), {
		message: 'either minutes or a product',
		path: ['minutes']
	});

export const stepSchema = z.strictObject({
	key,
	text,
	stage: z.enum(stages).default('strip'),
	/** Deduced: taken over from another model, and not confirmed for this one. */
	sure: z.enum(['stated', 'deduced']).default('stated'),
	scopes: z.array(key).min(1).max(12),
	onlyWith: onlyWithSchema,
	/** Where the work is done: on the bench, or where the pump runs. Left out: in either place. */
	at: z.enum(['bench', 'machine']).optional(),
	/** Earlier steps that have to be signed off before. */
	after: keys,
	/** True where nothing else may be signed off before it (isolate, release pressure). */
	blocking: z.boolean().default(false),
	/** Parts that it handles, at the build also sub-assemblies: their tools, products, faces and cautions are shown with it. */
	stations: keys,
	/** Signed off once, or at every cylinder. */
	per: z.enum(['pump', 'cylinder']).default('pump'),
	/** Going in: one bore is finished before the next, or one station at every cylinder before the next. Any cylinder may come first. */
	walk: z.enum(['bore', 'station']).default('station'),
	/** Joins this sub-assembly on the bench; its parts are the sub-assembly's own. */
	joins: key.optional(),
	tools: keys,
	/** They stay in sight once it is signed off. */
	cautions: z.array(cautionSchema).max(8).default([]),
	/** Puts an assembly down with this face up from here on; "mounted": it is on the pump, its pressure side toward you. */
	lays: z.strictObject({ assembly: key, up: z.enum(['P', 'C', 'mounted']) }).optional(),
	crank: crankPositionSchema.optional(),
	locks: lockSchema.optional(),
	within: windowSchema.optional(),
	asks: z.array(askSchema).max(12).default([]),
	/** Earlier steps whose notes, readings and settings stand here as they were found. */
	recalls: keys,
	/** Ways in which good people differ: one is chosen and noted. */
	ways: z
		.array(z.strictObject({ key, text, risk: text.optional() }))
		.max(6)
		.default([])
});
export type Step = z.infer<typeof stepSchema>;
