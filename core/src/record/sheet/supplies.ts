import { z } from 'zod';
import { key, number, onlyWithSchema, text } from './primitives';

/** Kinds of tools by how they grip; each is drawn at its work. */
const toolKinds = [
	'fingers',
	'blade',
	'twoBlades',
	'pick',
	'hook',
	'expandingPliers',
	'collet',
	'threadedExtractor',
	'puller',
	'slideHammer',
	'softHammer',
	'punch',
	'hexKey',
	'socket',
	'wrench',
	'torqueWrench',
	'pinWrench',
	'screwdriver',
	'pliers',
	'needlePliers',
	'cutters',
	'knife',
	'scraper',
	'brush',
	'abrasive',
	'cloth',
	'straightEdge',
	'guidePins',
	'hoist',
	'inserter',
	'pusher',
	'vise',
	'blocks'
] as const;
export type ToolKind = (typeof toolKinds)[number];

/** A tool that a step or a part needs, with what may stand in for it. */
export const toolSchema = z.strictObject({
	key,
	name: text,
	/** How it grips, for its picture. */
	kind: z.enum(toolKinds).optional(),
	/** Made for this work alone: to be had before the pump is opened. */
	special: z.boolean().default(false),
	substitutes: z
		.array(z.strictObject({ name: text, risk: text }))
		.max(6)
		.default([])
});
export type Tool = z.infer<typeof toolSchema>;

const productKinds = [
	'sealant',
	'locker',
	'tape',
	'grease',
	'oil',
	'gel',
	'packingLubricant',
	'abrasive',
	'cleaner'
] as const;
/** A lubricant, sealant, locker or cleaner. */
export const productSchema = z.strictObject({
	key,
	name: text,
	kind: z.enum(productKinds),
	/** How long it can be worked with, and until it has set, minutes. */
	workMinutes: number.positive().optional(),
	cureMinutes: number.positive().optional(),
	/** Elastomers that it attacks. */
	notOn: z.array(text).max(12).default([])
});
export type Product = z.infer<typeof productSchema>;

/** A bag of parts that is bought together. What it holds beyond need is left over. */
export const kitSchema = z.strictObject({
	number: text,
	name: text,
	price: number.nonnegative(),
	/** Days until it is here, as its seller says. */
	deliveryDays: z.int().min(0).max(1000).optional(),
	onlyWith: onlyWithSchema,
	holds: z
		.array(z.strictObject({ station: key, pieces: z.int().min(1).max(200) }))
		.min(1)
		.max(60)
});
export type Kit = z.infer<typeof kitSchema>;
