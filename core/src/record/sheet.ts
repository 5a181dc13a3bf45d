import { z } from 'zod';
import { partType, partTypeKeys } from '../part/register';
import { units, type Unit } from '../quantity';

/** Which jobs open a station: a packing job leaves the valves shut. */
export const scopes = ['packing', 'plunger', 'valves', 'full'] as const;
export const scopeSchema = z.enum(scopes);
export type Scope = z.infer<typeof scopeSchema>;

const key = z.string().regex(/^[a-zA-Z][a-zA-Z0-9]*$/, 'letters and digits only, starting with a letter');
const text = z.string().trim().min(1).max(400);
const unit = z.enum(units as [Unit, ...Unit[]]);

export const cautionSchema = z.strictObject({
	/** What can hurt: shown as the sign beside the text. */
	hazard: z.enum(['pressure', 'heat', 'weight', 'spring', 'pinch', 'chemical', 'damage', 'electric']),
	text
});

/** A size with its discard limit. Values in `unit`; a limit only on the side to which the part wears. */
export const sheetCharacteristicSchema = z
	.strictObject({
		key,
		unit,
		nominal: z.number().positive(),
		min: z.number().optional(),
		max: z.number().optional(),
		/** Who says so: the maker's sheet, or the shop's own default where the maker is silent. */
		limitFrom: z.enum(['maker', 'shop']),
		/** How far a new part may lie from nominal, either way. */
		tolerance: z.number().nonnegative().default(0),
		/** Measured in every job, or only where something was found on the part. */
		when: z.enum(['always', 'onSuspicion']).default('always'),
		/** Where to measure: axial stations in walking order and angles round the part. Left out: one place. */
		grid: z
			.strictObject({ stations: z.array(text).min(1).max(12), anglesDeg: z.array(z.number()).min(1).max(12) })
			.optional()
	})
	.refine(({ min, max }) => min !== undefined || max !== undefined, {
		message: 'needs a discard limit: min or max',
		path: ['min']
	})
	.refine(({ nominal, min }) => min === undefined || min < nominal, { message: 'must be below nominal', path: ['min'] })
	.refine(({ nominal, max }) => max === undefined || max > nominal, {
		message: 'must be above nominal',
		path: ['max']
	});
export type SheetCharacteristic = z.infer<typeof sheetCharacteristicSchema>;

/** One station of the stack: where a part sits, which way it faces, and what the sheet says of it. */
export const stationSchema = z.strictObject({
	key,
	name: text,
	/** Short name for the head of the mat's column. */
	short: z.string().trim().min(1).max(18),
	type: z.enum(partTypeKeys),
	/** One for the pump, or one for each cylinder. */
	per: z.enum(['pump', 'cylinder']),
	/** The assembly in which it is found when the pump is parted. */
	side: z.enum(['manifold', 'rod', 'valves', 'pump']),
	/** Orientation on refit against the pressure side (P), the crank side (C) or its mate; "any" may face either way. */
	face: z.strictObject({ toward: z.enum(['P', 'C', 'mate', 'any']), what: text }),
	renewal: z.enum(['always', 'kit', 'inspect', 'inspectOrKit', 'sheet']),
	scopes: z.array(scopeSchema).min(1),
	/** How many identical pieces the station holds. */
	pieces: z.int().min(1).default(1),
	lookFor: text.optional(),
	tool: text.optional(),
	lubricate: text.optional(),
	caution: cautionSchema.optional(),
	characteristics: z.array(sheetCharacteristicSchema).default([]),
	price: z.number().nonnegative(),
	/** What its failure in service spoils besides itself, in the shop's currency. */
	collateral: z.number().nonnegative().default(0),
	/** Station of the part it runs with: replacing one asks for a look at the other. */
	mate: key.optional()
});
export type Station = z.infer<typeof stationSchema>;

export const stepSchema = z.strictObject({
	key,
	text,
	scopes: z.array(scopeSchema).min(1),
	/** Steps that have to be signed off before. */
	after: z.array(key).default([]),
	/** True where nothing else may be signed off before it (isolate, release pressure). */
	blocking: z.boolean().default(false),
	caution: cautionSchema.optional()
});
export type Step = z.infer<typeof stepSchema>;

/**
 * The model sheet: an open JSON format. Everything the application knows of one pump model.
 * Lengths in the stated units; the format's own description is docs/formats.md.
 */
export const sheetSchema = z
	.strictObject({
		format: z.literal('exetasis/model-sheet'),
		version: z.literal(1),
		model: text,
		maker: text,
		layout: z.string().regex(/^L\d+[a-z]*$/, 'a layout code such as L1'),
		revision: z.int().min(1),
		demo: z.boolean().default(false),
		cylinders: z.int().min(1).max(7),
		strokeMm: z.number().positive(),
		ratedPressureMPa: z.number().positive(),
		ratedSpeedRpm: z.number().positive(),
		manifoldMassKg: z.number().positive().optional(),
		/** How the manifold lies on the bench when its stations are worked on: which side is up. */
		benchFaceUp: z.enum(['P', 'C']),
		/** Cost of opening the pump once more: labour and downtime, in the shop's currency. */
		openingCost: z.number().nonnegative(),
		steps: z.array(stepSchema).min(1),
		stations: z.array(stationSchema).min(1).max(60)
	})
	.superRefine((sheet, context) => {
		for (const problem of sheetProblems(sheet)) {
			context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
		}
	});
export type ModelSheet = z.infer<typeof sheetSchema>;

interface SheetProblem {
	readonly path: (string | number)[];
	readonly message: string;
}

function* repeatedKeys(list: 'stations' | 'steps', keys: readonly string[]): Generator<SheetProblem> {
	for (const [index, key] of keys.entries()) {
		if (keys.indexOf(key) !== index) yield { path: [list, index, 'key'], message: `"${key}" is used twice` };
	}
}

// What a schema of single fields cannot say: keys are unique, references lead somewhere, types know their sizes.
function* sheetProblems(sheet: { stations: Station[]; steps: Step[] }): Generator<SheetProblem> {
	const stationKeys = sheet.stations.map((station) => station.key);
	const stepKeys = sheet.steps.map((step) => step.key);
	yield* repeatedKeys('stations', stationKeys);
	yield* repeatedKeys('steps', stepKeys);
	for (const [index, { mate, characteristics, type }] of sheet.stations.entries()) {
		if (mate && !stationKeys.includes(mate)) {
			yield { path: ['stations', index, 'mate'], message: `"${mate}" is not a station of this sheet` };
		}
		for (const [place, measured] of characteristics.entries()) {
			const known = partType(type).characteristics.find((one) => one.key === measured.key);
			const path = ['stations', index, 'characteristics', place];
			if (!known) yield { path: [...path, 'key'], message: `a ${partType(type).name} has no "${measured.key}"` };
			else if (known.unit !== measured.unit) yield { path: [...path, 'unit'], message: `is measured in ${known.unit}` };
		}
	}
	for (const [index, step] of sheet.steps.entries()) {
		for (const before of step.after) {
			const at = stepKeys.indexOf(before);
			if (at < 0 || at >= index)
				yield { path: ['steps', index, 'after'], message: `"${before}" is not an earlier step` };
		}
	}
}

/** The stations and steps that a job of this scope opens. */
export const stationsInScope = (sheet: ModelSheet, scope: Scope): Station[] =>
	sheet.stations.filter((station) => station.scopes.includes(scope));
export const stepsInScope = (sheet: ModelSheet, scope: Scope): Step[] =>
	sheet.steps.filter((step) => step.scopes.includes(scope));

/** The station's limit on the side to which the part wears, with that side. */
export function discardLimit({ min, max }: SheetCharacteristic): { side: 'min' | 'max'; value: number } {
	return min !== undefined ? { side: 'min', value: min } : { side: 'max', value: max! };
}
