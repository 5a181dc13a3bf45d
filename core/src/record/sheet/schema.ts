import { z } from 'zod';
import { faceSchema, key, number, text } from './primitives';
import { sheetProblems } from './problems';
import { stationSchema } from './station';
import { stepSchema } from './step';
import { kitSchema, productSchema, toolSchema } from './supplies';
import { variantSchema } from './variants';

/** The most parts that a sheet holds. */
export const MOST_STATIONS = 150;

/** What comes off in one piece and lies on the bench by itself: a manifold, a valve plate, the rods, the regulator. */
const assemblySchema = z.strictObject({
	key,
	name: text,
	/** Which side of it lies up once it is put down; a step may turn it over. Left out: it has no such face. */
	up: faceSchema.optional(),
	massKg: number.positive().optional()
});
export type Assembly = z.infer<typeof assemblySchema>;

export const scopeKinds = ['packing', 'plunger', 'valves', 'drive', 'regulator', 'diaphragm', 'full'] as const;
/** How far a job goes: which stations and steps it opens. */
const scopeSchema = z.strictObject({
	key,
	name: text,
	kind: z.enum(scopeKinds),
	/** Evidence on which alone it is opened, in words: without any of it a lead gives the reason. Left out: it opens freely. */
	opensOn: z.array(text).min(1).max(8).optional(),
	/** Scopes that are asked about with this one: the plunger's rings too? */
	offers: z.array(key).max(12).default([])
});
export type Scope = z.infer<typeof scopeSchema>;

/**
 * Parts that are joined on the bench and go in as one: a guide with its rings, a packing unit. `parts` names stations or other
 * sub-assemblies, in the order in which they are joined. What is threaded in it is tightened in its place, once the unit is in.
 */
const subAssemblySchema = z.strictObject({
	key,
	name: text,
	/** One for the pump, or one for each cylinder. */
	per: z.enum(['pump', 'cylinder']),
	parts: z.array(key).min(2).max(20),
	/** What is done in joining them. */
	how: text.optional(),
	/** Whether the maker states how they are joined, or it is deduced from how the parts lie. */
	sure: z.enum(['stated', 'deduced']).default('stated'),
	/** Left out: in every scope that opens any of its parts. */
	scopes: z.array(key).min(1).max(12).optional()
});
export type SubAssembly = z.infer<typeof subAssemblySchema>;

/** What goes in before what, from the first to the last: stations, sub-assemblies, and build steps that are signed off. */
const orderSchema = z.strictObject({
	first: z.array(key).min(2).max(40),
	why: text,
	/** Stated by the maker, or deduced from how the parts lie. */
	sure: z.enum(['stated', 'deduced']).default('stated'),
	/** Left out: in every scope. */
	scopes: z.array(key).min(1).max(12).optional()
});

/** A class of duty, by what is declared at receipt against the rating; the first whose every condition holds counts. */
const dutyClassSchema = z.strictObject({
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

/** Parts that are the same, only look so, or are taken for each other, and what tells them apart. */
const lookAlikesSchema = z.strictObject({
	stations: z.array(key).min(2).max(12),
	are: z.enum(['same', 'lookAlike', 'different']),
	/** Characteristics or features that tell them apart. */
	by: z.array(text).max(6).default([]),
	text
});

/** How a rebuilt pump is proved. */
const proofSchema = z.strictObject({
	pressureMPa: number.positive(),
	minutes: number.positive(),
	/** The most that the pressure may fall while it is held. */
	mostFallMPa: number.nonnegative(),
	flowLmin: number.positive().optional(),
	/** Places to watch for drips. */
	places: z.array(text).min(1).max(20)
});

// Every field by itself; what has to fit together is checked by `sheetProblems`.
const fieldsSchema = z.strictObject({
	format: z.literal('exetasis/model-sheet'),
	version: z.literal(3),
	model: text,
	maker: text,
	layout: z.string().regex(/^L\d+[a-z]*$/, 'a layout code such as L1'),
	revision: z.int().min(1).max(2_147_483_647),
	demo: z.boolean().default(false),
	/** It grows while its first pump is stripped and was not checked by a lead yet. */
	provisional: z.literal(true).optional(),
	cylinders: z.int().min(1).max(7),
	/** Which end cylinder 1 is at, in words, and on which side one sees it looking at the pressure side. Left out: not stated. */
	cylinderOne: z.strictObject({ text, side: z.enum(['left', 'right']) }).optional(),
	strokeMm: number.positive(),
	ratedPressureMPa: number.positive(),
	ratedSpeedRpm: number.positive(),
	/** Where each crank throw stands, how long a connecting rod is, and how the shaft is reached to turn it by hand. */
	crank: z
		.strictObject({ phasesDeg: z.array(number).min(1).max(7), rodMm: number.positive(), access: text })
		.optional(),
	assemblies: z.array(assemblySchema).min(1).max(20),
	variants: z.array(variantSchema).max(12).default([]),
	scopes: z.array(scopeSchema).min(1).max(12),
	tools: z.array(toolSchema).max(60).default([]),
	products: z.array(productSchema).max(40).default([]),
	kits: z.array(kitSchema).max(40).default([]),
	/** Cost of opening the pump once more: labour and downtime, in the shop's currency. */
	openingCost: number.nonnegative(),
	/** A replacement unit: its price, and the hours that one lasts. Left out: the stop rule weighs no figures. */
	unit: z.strictObject({ price: number.positive(), lifeHours: number.positive() }).optional(),
	duty: z.array(dutyClassSchema).max(12).default([]),
	steps: z.array(stepSchema).min(1).max(200),
	stations: z.array(stationSchema).min(1).max(MOST_STATIONS),
	subAssemblies: z.array(subAssemblySchema).max(40).default([]),
	/** Left out: parts go back in the reverse of the order in which they come out, which is deduced. */
	order: z.array(orderSchema).max(60).default([]),
	lookAlikes: z.array(lookAlikesSchema).max(20).default([]),
	proof: proofSchema.optional()
});

/**
 * The model sheet: an open JSON format. Everything the application knows of one pump model.
 * Lengths in the stated units; the format's own description is docs/formats.md.
 */
export const sheetSchema = fieldsSchema.superRefine((sheet, context) => {
	for (const problem of sheetProblems(sheet)) {
		context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
	}
});
export type ModelSheet = z.infer<typeof sheetSchema>;

/** A sheet that is being written: every field holds, but parts and steps may be missing and references may lead nowhere. */
export const sheetDraftSchema = fieldsSchema.extend({
	steps: z.array(stepSchema).max(200),
	stations: z.array(stationSchema).max(MOST_STATIONS)
});
