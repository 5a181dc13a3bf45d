import { z } from 'zod';
import { patternKeys } from '../part/patterns';
import { partType, partTypeKeys } from '../part/register';
import type { Characteristic } from '../part/partType';
import { units, type Unit } from '../quantity';

/** Which jobs open a station: a packing job leaves the valves shut. */
export const scopes = ['packing', 'plunger', 'valves', 'full'] as const;
export const scopeSchema = z.enum(scopes);
export type Scope = z.infer<typeof scopeSchema>;

/** Finite, and of a size that any quantity on a sheet stays far below. */
const number = z.number().min(-1e9).max(1e9);
const key = z
	.string()
	.max(60)
	.regex(/^[a-zA-Z][a-zA-Z0-9]*$/, 'letters and digits only, starting with a letter');
const text = z.string().trim().min(1).max(400);
const unit = z.enum(units as [Unit, ...Unit[]]);

export const cautionSchema = z.strictObject({
	/** What can hurt: shown as the sign beside the text. */
	hazard: z.enum(['pressure', 'heat', 'weight', 'spring', 'pinch', 'chemical', 'damage', 'electric']),
	text
});

const SHORTEST_LIFE = 10; // hours
const LONGEST_LIFE = 10_000_000;

/** A size with its discard limit. Values in `unit`; a limit only on the side to which the part wears. */
export const sheetCharacteristicSchema = z
	.strictObject({
		key,
		unit,
		nominal: number.positive(),
		min: z.number().optional(),
		max: z.number().optional(),
		/** Who says so: the maker's sheet, or the shop's own default where the maker is silent. */
		limitFrom: z.enum(['maker', 'shop']),
		/** How far a new part may lie from nominal, either way. */
		tolerance: number.nonnegative().default(0),
		/** Measured in every job, or only where something was found on the part. */
		when: z.enum(['always', 'onSuspicion']).default('always'),
		/** The findings that call for an `onSuspicion` size; left out: any. */
		suspect: z.array(z.enum(patternKeys)).min(1).optional(),
		/**
		 * Where to measure: axial stations in walking order and angles round the part. Left out: one place. Heights of the
		 * stations in mm let form deviations of the whole cylinder be worked out.
		 */
		grid: z
			.strictObject({
				stations: z.array(text).min(1).max(12),
				anglesDeg: z.array(number).min(1).max(12),
				stationsMm: z.array(number).optional()
			})
			.refine(({ stations, stationsMm }) => !stationsMm || stationsMm.length === stations.length, {
				message: 'one height for each station',
				path: ['stationsMm']
			})
			.refine(({ anglesDeg }) => new Set(anglesDeg.map((deg) => ((deg % 360) + 360) % 360)).size === anglesDeg.length, {
				message: 'names one angle twice',
				path: ['anglesDeg']
			})
			.optional(),
		/** Where to set the dial on a face: rows and columns, mm from its corner. */
		face: z
			.strictObject({ rowsMm: z.array(number).min(2).max(12), columnsMm: z.array(number).min(2).max(12) })
			.refine(({ rowsMm, columnsMm }) => [rowsMm, columnsMm].every((mm) => new Set(mm).size === mm.length), {
				message: 'names one place twice'
			})
			.optional(),
		/** How such parts wear where too few are on record: mean growth in 1000 h, and its scatter between parts and between intervals. */
		wearPrior: z
			.strictObject({
				per1000h: number.positive(),
				betweenParts: z.number().gt(0).max(2),
				within1000h: z.number().gt(0).max(2),
				/** How firmly it is believed, in lives. */
				worth: z.number().min(0.1).max(1000).optional()
			})
			.optional(),
		/** The size at which it stops the pump, beyond the discard limit; left out: a share of those beyond, by part type. */
		stopsAt: z.number().optional()
	})
	.refine(
		({ min, max, stopsAt }) =>
			stopsAt === undefined ||
			(min !== undefined && max === undefined && stopsAt < min) ||
			(max !== undefined && min === undefined && stopsAt > max),
		{ message: 'must lie beyond the discard limit', path: ['stopsAt'] }
	)
	.refine(
		({ nominal, min, max, wearPrior }) => {
			const limit = min ?? max;
			if (!wearPrior || limit === undefined) return true;
			const hours = (1000 * Math.abs(limit - nominal)) / wearPrior.per1000h;
			return hours >= SHORTEST_LIFE && hours <= LONGEST_LIFE;
		},
		{ message: `must wear to the limit in ${SHORTEST_LIFE} to ${LONGEST_LIFE} hours`, path: ['wearPrior', 'per1000h'] }
	)
	.refine(({ grid, face }) => !(grid && face), { message: 'either a grid or a face', path: ['face'] })
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
	/**
	 * Which feature of the part (`what`: a lip, a groove, a face) points where on refit: to the pressure side (P), the crank
	 * side (C; `near` says beside which part) or as `what` says against its mate. "any" may face either way; "sheet" is the maker's to say.
	 */
	face: z
		.strictObject({ toward: z.enum(['P', 'C', 'mate', 'any', 'sheet']), what: text.optional(), near: text.optional() })
		.refine(({ toward, what }) => what !== undefined || toward === 'any' || toward === 'sheet', {
			message: 'names the feature that points there',
			path: ['what']
		}),
	/** What is done in fitting it, beside its direction. */
	fit: text.optional(),
	renewal: z.enum(['always', 'kit', 'inspect', 'inspectOrKit', 'sheet']),
	scopes: z.array(scopeSchema).min(1),
	/** How many identical pieces the station holds. */
	pieces: z.int().min(1).default(1),
	lookFor: text.optional(),
	tool: text.optional(),
	lubricate: text.optional(),
	caution: cautionSchema.optional(),
	characteristics: z.array(sheetCharacteristicSchema).max(40).default([]),
	price: number.nonnegative(),
	/**
	 * What ends such a part's life besides measured wear: a Weibull distribution, and in lives how firmly it is believed.
	 * Left out: the part type's own default.
	 */
	lifePrior: z
		.strictObject({
			scaleHours: z.number().min(10).max(1e7),
			shape: z.number().min(0.2).max(10),
			worth: z.number().min(0.1).max(1000)
		})
		.optional(),
	/** What its failure in service spoils besides itself, in the shop's currency. */
	collateral: number.nonnegative().default(0),
	/** Station of the part it runs with: replacing one asks for a look at the other. */
	mate: key.optional(),
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
	abrasive: z.enum(['allowed', 'never']).optional()
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

/** A class of duty, by what is declared at receipt against the rating; the first whose every condition holds counts. */
export const dutyClassSchema = z.strictObject({
	key,
	name: text,
	when: z.strictObject({
		/** From this share of the rated pressure, or of the rated speed, on. */
		pressureShare: number.nonnegative().optional(),
		speedShare: number.nonnegative().optional(),
		liquids: z.array(text).min(1).optional()
	}),
	/** How fast parts wear in this duty against the ordinary one. */
	wearFactor: z.number().min(0.1).max(10)
});
export type DutyClass = z.infer<typeof dutyClassSchema>;

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
		revision: z.int().min(1).max(2_147_483_647),
		demo: z.boolean().default(false),
		cylinders: z.int().min(1).max(7),
		strokeMm: number.positive(),
		ratedPressureMPa: number.positive(),
		ratedSpeedRpm: number.positive(),
		manifoldMassKg: number.positive().optional(),
		/** How the manifold lies on the bench when its stations are worked on: which side is up. */
		benchFaceUp: z.enum(['P', 'C']),
		/** Cost of opening the pump once more: labour and downtime, in the shop's currency. */
		openingCost: number.nonnegative(),
		/** A replacement unit: its price, and the hours that one lasts. Left out: the stop rule weighs no figures. */
		unit: z.strictObject({ price: number.positive(), lifeHours: number.positive() }).optional(),
		duty: z.array(dutyClassSchema).max(12).default([]),
		steps: z.array(stepSchema).min(1).max(200),
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

function* repeatedKeys(list: readonly (string | number)[], keys: readonly string[]): Generator<SheetProblem> {
	const seen = new Set<string>();
	for (const [index, key] of keys.entries()) {
		if (seen.has(key)) yield { path: [...list, index, 'key'], message: `"${key}" is used twice` };
		seen.add(key);
	}
}

// What a schema of single fields cannot say: keys are unique, references lead somewhere, types know their sizes.
function* sheetProblems(sheet: { stations: Station[]; steps: Step[] }): Generator<SheetProblem> {
	const stationKeys = sheet.stations.map((station) => station.key);
	const stepKeys = sheet.steps.map((step) => step.key);
	yield* repeatedKeys(['stations'], stationKeys);
	yield* repeatedKeys(['steps'], stepKeys);
	for (const [index, station] of sheet.stations.entries()) {
		const path = ['stations', index];
		if (station.mate && !stationKeys.includes(station.mate)) {
			yield { path: [...path, 'mate'], message: `"${station.mate}" is not a station of this sheet` };
		}
		yield* repeatedKeys(
			[...path, 'characteristics'],
			station.characteristics.map(({ key }) => key)
		);
		yield* characteristicProblems(station, path);
		const { name, design = [] } = partType(station.type);
		for (const value of Object.keys(station.design)) {
			if (!design.some((known) => known.key === value))
				yield { path: [...path, 'design', value], message: `a ${name} has no design value "${value}"` };
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

function* characteristicProblems(station: Station, at: (string | number)[]): Generator<SheetProblem> {
	const { name, characteristics, patterns } = partType(station.type);
	for (const [place, measured] of station.characteristics.entries()) {
		const known = characteristics.find((one) => one.key === measured.key);
		const path = [...at, 'characteristics', place];
		if (!known) yield { path: [...path, 'key'], message: `a ${name} has no "${measured.key}"` };
		else if (known.unit !== measured.unit) yield { path: [...path, 'unit'], message: `is measured in ${known.unit}` };
		else if (!known.limitless && measured.min === undefined && measured.max === undefined)
			yield { path: [...path, 'min'], message: 'needs a discard limit: min or max' };
		else if (known.form === 'flatness' && !measured.face)
			yield { path: [...path, 'face'], message: 'needs the rows and columns of the dial' };
		else if (known.form === 'runout' && (measured.grid?.anglesDeg.length ?? 0) < 4)
			yield { path: [...path, 'grid'], message: 'needs a grid of at least four angles' };
		for (const pattern of measured.suspect ?? [])
			if (!patterns.some((rule) => rule.pattern === pattern))
				yield { path: [...path, 'suspect'], message: `a ${name} does not show "${pattern}"` };
	}
}

/** The stations and steps that a job of this scope opens. */
export const stationsInScope = (sheet: ModelSheet, scope: Scope): Station[] =>
	sheet.stations.filter((station) => station.scopes.includes(scope));
export const stepsInScope = (sheet: ModelSheet, scope: Scope): Step[] =>
	sheet.steps.filter((step) => step.scopes.includes(scope));

/** What the part type knows of a characteristic on its sheet. */
export const characteristicOf = (station: Pick<Station, 'type'>, key: string): Characteristic =>
	partType(station.type).characteristics.find((one) => one.key === key)!;

/** The limit on the side to which the part wears, with that side; undefined for what has none. */
export function discardLimit({
	min,
	max
}: Pick<SheetCharacteristic, 'min' | 'max'>): { side: 'min' | 'max'; value: number } | undefined {
	if (min !== undefined) return { side: 'min', value: min };
	return max === undefined ? undefined : { side: 'max', value: max };
}

/** The places at which a characteristic is read: names of rows and columns as they are walked. A single place has one of each. */
export function placesToRead({ grid, face }: SheetCharacteristic): { rows: string[]; columns: string[] } {
	if (grid) return { rows: grid.stations, columns: grid.anglesDeg.map((angle) => `${angle}°`) };
	if (face) return { rows: face.rowsMm.map((mm) => `${mm} mm`), columns: face.columnsMm.map((mm) => `${mm} mm`) };
	return { rows: [''], columns: [''] };
}
