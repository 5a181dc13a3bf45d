import { partTypeKeys } from '@exetasis/core/part';
import { z } from 'zod';

const text = (what: string) =>
	z.string().trim().min(1, `Type the ${what}.`).max(120, 'At most 120 characters.').default('');
const number = z.string().trim().max(40).default('');

/** The name plate of a new pump model, as it was typed. */
export const namePlateSchema = z.object({
	model: text('model'),
	maker: text('maker, or “not stated”'),
	cylinders: number,
	stroke: number,
	pressure: number,
	speed: number,
	/** Diameter of its plungers, if a known layout is fitted to it. */
	plunger: number,
	/** Model of the layout; empty: none. */
	layout: z.string().max(120).default(''),
	/** What comes off first, of a pump that is stripped without a sheet. */
	first: z.enum(partTypeKeys).default('fastener'),
	/** Parts of a parts list, as JSON; empty: none. */
	parts: z.string().max(1_000_000).default('')
});
export type TypedPlate = z.infer<typeof namePlateSchema>;
