import { z } from 'zod';
import { partTypeKeys } from '../../part/register';
import { sheetCharacteristicSchema } from './characteristic';
import { fasteningSchema } from './fastening';
import { cautionSchema, faceSchema, key, number, onlyWithSchema, text } from './primitives';

/** What the stations of an assembly are for the shop's customs and the mat's groups. */
export const sides = ['manifold', 'rod', 'valves', 'pump', 'regulator'] as const;

/** Features of a part that its drawing turns. */
export const features = [
	'lip',
	'groove',
	'spring',
	'dish',
	'cone',
	'notch',
	'step',
	'taper',
	'flat',
	'counterbore',
	'tab',
	'tail',
	'leg'
] as const;

const refitFaceSchema = z
	.strictObject({
		/**
		 * Where the feature `what` points once the part is in: to the pressure side (P), to the crank side (C; `near` says beside
		 * which part), or as `what` says against its mate. "either": it is stated that both ways serve. "notStated": it is noted as
		 * it is found, and goes back so.
		 */
		toward: z.enum(['P', 'C', 'mate', 'either', 'notStated']),
		what: text.optional(),
		near: text.optional(),
		/** What the drawing turns to that side. */
		feature: z.enum(features).optional(),
		/** The station against which it is given, where `toward` is "mate", and on which side of the part that mate lies. */
		mate: key.optional(),
		mateLies: faceSchema.optional(),
		/** Where a feature lies round the axis, degrees by the clock from the top; `not`: nowhere but there. */
		clock: z
			.strictObject({ deg: z.number().min(0).lt(360), of: text.optional(), not: z.boolean().default(false) })
			.optional(),
		/** Either side may run: which has run is noted. */
		reversible: z.boolean().default(false)
	})
	.refine(({ toward, what }) => what !== undefined || ['either', 'notStated'].includes(toward), {
		message: 'names the feature that points there',
		path: ['what']
	});

const keys = z.array(key).max(60).default([]);

/** One station of the stack: where a part sits, which way it faces, and what the sheet says of it. */
export const stationSchema = z.strictObject({
	key,
	name: text,
	/** Short name for the head of the mat's column. */
	short: z.string().trim().min(1).max(18),
	/** Other names in use, by which it is found. */
	alsoCalled: z.array(text).max(12).default([]),
	type: z.enum(partTypeKeys),
	/** One for the pump, or one for each cylinder. */
	per: z.enum(['pump', 'cylinder']),
	side: z.enum(sides),
	/** Judged where it is: no job takes it out. */
	stays: z.boolean().default(false),
	/** The assembly in which it is found when the pump is parted, and others in which it may stay. */
	in: key,
	mayStayIn: keys,
	onlyWith: onlyWithSchema,
	face: refitFaceSchema,
	/** What is done in fitting it, beside its direction. */
	fit: text.optional(),
	/** Facts that were not stated: they are deduced or assumed, shown as such, and corrected by the next revision. */
	inferred: z
		.array(z.enum(['face', 'fit', 'pieces', 'renewal', 'lookFor', 'caution', 'price']))
		.max(7)
		.default([]),
	/** Split rings: how far the joints of neighbours are turned apart. */
	joints: z.strictObject({ apartDeg: z.number().gt(0).lt(360) }).optional(),
	renewal: z.enum(['always', 'kit', 'inspect', 'inspectOrKit', 'sheet']),
	/** Why a new one is advised though the old one may pass: keeping it needs a reason. */
	newAdvised: text.optional(),
	scopes: z.array(key).min(1).max(12),
	/** How many identical pieces the station holds. */
	pieces: z.int().min(1).default(1),
	lookFor: text.optional(),
	tools: z
		.array(z.strictObject({ tool: key, for: z.enum(['out', 'in', 'both']).default('both'), how: text.optional() }))
		.max(8)
		.default([]),
	/** Lubricants, sealants and lockers: where, and whether always; without a product it is the shop's own. */
	products: z
		.array(
			z.strictObject({ product: key.optional(), where: text, when: z.enum(['always', 'ifTight']).default('always') })
		)
		.max(8)
		.default([]),
	/** Each where the damage is done: as the part comes out, as it goes in, or both. */
	cautions: z
		.array(cautionSchema.extend({ when: z.enum(['out', 'in', 'both']).default('both') }))
		.max(8)
		.default([]),
	/** What a ring or seal is made of, where it is stated: products that attack it do not go on it. */
	elastomer: text.optional(),
	characteristics: z.array(sheetCharacteristicSchema).max(40).default([]),
	price: number.nonnegative(),
	/** Days until the single part is here, as its seller says. */
	deliveryDays: z.int().min(0).max(1000).optional(),
	/** What the maker calls the single part. */
	number: text.optional(),
	/**
	 * What ends such a part's life besides measured wear: a Weibull distribution, and in lives how firmly it is believed.
	 * Left out: the part type's own default.
	 */
	lifePrior: z
		.strictObject({
			scaleHours: z.number().min(10).max(1e7),
			shape: z.number().min(0.2).max(10),
			priorWeight: z.number().min(0.1).max(1000)
		})
		.optional(),
	/** What its failure in service spoils besides itself: in the shop's currency, and which stations. */
	collateral: number.nonnegative().default(0),
	spoils: keys,
	/** Stations of the parts it runs with: replacing one asks for a look at the others. */
	mates: keys,
	/** Stations that may not be fitted before this one (a bore, a land) is judged fit for them. */
	gates: keys,
	/** Design values that its part type knows: gland depth, working length and the like, in the type's units. */
	design: z.record(key, number).default({}),
	/** The surface on which marks are painted: its length, and the part over which the seal runs, mm from the pressure side. */
	surface: z
		.strictObject({ lengthMm: number.positive(), track: z.strictObject({ fromMm: number, toMm: number }) })
		.refine(({ lengthMm, track }) => track.fromMm >= 0 && track.toMm > track.fromMm && track.toMm <= lengthMm, {
			message: 'must lie on the surface, in order',
			path: ['track']
		})
		.optional(),
	/** Whether abrasive may touch it, where the sheet says so. */
	abrasive: z.enum(['allowed', 'never']).optional(),
	fastening: fasteningSchema.optional()
});
export type Station = z.infer<typeof stationSchema>;
