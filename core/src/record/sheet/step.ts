import { z } from 'zod';
import { patternKeys } from '../../part/patterns';
import { cautionSchema, faceSchema, key, number, onlyWithSchema, text, unit } from './primitives';

/** In the order in which a pump goes through them. */
export const stages = ['prepare', 'strip', 'clean', 'build', 'prove'] as const;
export type Stage = (typeof stages)[number];

const keys = z.array(key).max(60).default([]);

/** An answer that a step wants before it can be signed off. */
export const askSchema = z.discriminatedUnion('kind', [
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
		choices: z.array(text).min(2).max(8),
		/** What a choice says of the parts of a station: metal in the oil. */
		means: z
			.array(z.strictObject({ choice: text, station: key, pattern: z.enum(patternKeys) }))
			.max(8)
			.default([])
	}),
	z.strictObject({ kind: z.literal('photo'), text }),
	/** In one's own words: where each hose went. */
	z.strictObject({ kind: z.literal('note'), text })
]);
export type Ask = z.infer<typeof askSchema>;

/** Where the crank has to stand; it is turned by hand. */
export const crankPositionSchema = z.strictObject({
	stand: z.enum(['outerLevel', 'forward', 'back']),
	cylinder: z.union([z.enum(['each', 'outer']), z.int().min(1).max(7)])
});

/** What must not happen from this step until that one, but for the steps named: shown on every screen of the job. */
export const lockSchema = z.strictObject({ what: z.enum(['shaft']), until: key, unless: keys, text });

/** To be signed off within so many minutes of another step; left out: within the working time of a product. */
export const windowSchema = z
	.strictObject({ of: key, minutes: number.positive().optional(), product: key.optional() })
	.refine(({ minutes, product }) => (minutes === undefined) !== (product === undefined), {
		message: 'either minutes or a product',
		path: ['minutes']
	});

export const stepSchema = z.strictObject({
	key,
	text,
	stage: z.enum(stages).default('strip'),
	scopes: z.array(key).min(1).max(12),
	onlyWith: onlyWithSchema,
	/** Earlier steps that have to be signed off before. */
	after: keys,
	/** True where nothing else may be signed off before it (isolate, release pressure). */
	blocking: z.boolean().default(false),
	/** Parts that it handles: their tools, products, faces and cautions are shown with it. */
	stations: keys,
	/** Signed off once, or at every cylinder. */
	per: z.enum(['pump', 'cylinder']).default('pump'),
	tools: keys,
	/** They stay in sight once it is signed off. */
	cautions: z.array(cautionSchema).max(8).default([]),
	/** Puts an assembly down with this face up, from here on. */
	lays: z.strictObject({ assembly: key, up: faceSchema }).optional(),
	crank: crankPositionSchema.optional(),
	locks: lockSchema.optional(),
	within: windowSchema.optional(),
	/** Findings on which alone it is done: what it opens stays shut otherwise. */
	opensOn: z.array(z.enum(patternKeys)).min(1).max(12).optional(),
	asks: z.array(askSchema).max(12).default([]),
	/** Ways in which good people differ: one is chosen and noted. */
	ways: z
		.array(z.strictObject({ key, text, risk: text.optional() }))
		.max(6)
		.default([])
});
export type Step = z.infer<typeof stepSchema>;
