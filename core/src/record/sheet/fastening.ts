import { z } from 'zod';
import { boltPatterns } from '../../build';
import { unitsOf, type Unit } from '../../quantity';
import { number, text } from './primitives';

/** A group of bolts, nuts or screws that is tightened together. */
export const fasteningSchema = z
	.strictObject({
		/** Seen from outside, mm from the middle; the number on the map is the place in the list. */
		bolts: z
			.array(
				z.strictObject({
					xMm: number,
					yMm: number,
					/** A place for a guide pin, one that stays shut, or the one that is tightened last. */
					mark: z.enum(['pin', 'doNotTouch', 'last']).optional()
				})
			)
			.min(1)
			.max(40),
		/** Left out: no torque is stated, it is tightened by feel. */
		torqueNm: number.positive().optional(),
		/** The unit in which the maker states it. */
		statedIn: z.enum(unitsOf('torque') as [Unit, ...Unit[]]).optional(),
		/** What is at risk where it goes by feel. */
		byFeel: text.optional(),
		/** Above this it is overtightened. */
		mostNm: number.positive().optional(),
		/** Assumed: proposed from size, property class and friction, and not confirmed. */
		torqueFrom: z.enum(['maker', 'shop', 'assumed']),
		pattern: z.enum(boltPatterns),
		/** Shares of the torque, rising to the whole. */
		stages: z.array(z.number().gt(0).max(1)).min(1).max(6).default([1]),
		/** Once more round at the full torque. */
		onceMore: z.boolean().default(false),
		/** Nominal diameter and friction, for the clamp load and its scatter. */
		thread: z.strictObject({ diameterMm: number.positive(), friction: z.number().gt(0).max(1) }).optional(),
		/** Castle nut: slots a turn, in opposite pairs because the pin passes right through; it is only ever turned on. */
		slots: z.int().min(4).max(12).multipleOf(2).optional(),
		/** Past hand-tight at most this far, else what lies below is crushed. */
		mostTurnDeg: number.positive().max(720).optional(),
		/** Whether power may loosen and run in; the shop may only forbid more. */
		power: z.strictObject({ loosen: z.boolean(), runIn: z.boolean(), why: text.optional() }).optional()
	})
	.refine(({ stages }) => stages.every((stage, i) => i === 0 || stage > stages[i - 1]) && stages.at(-1) === 1, {
		message: 'must rise and end at 1',
		path: ['stages']
	})
	.refine(({ torqueNm, mostNm }) => torqueNm === undefined || mostNm === undefined || mostNm > torqueNm, {
		message: 'must be above the torque',
		path: ['mostNm']
	})
	.refine(({ bolts }) => bolts.some(({ mark }) => mark !== 'doNotTouch' && mark !== 'pin'), {
		message: 'has no bolt that is tightened',
		path: ['bolts']
	})
	.superRefine(({ bolts }, context) => {
		for (const [i, { xMm, yMm }] of bolts.entries()) {
			const same = bolts.findIndex((other) => other.xMm === xMm && other.yMm === yMm);
			if (same < i)
				context.addIssue({
					code: 'custom',
					path: ['bolts', i],
					message: `lies at the same spot as bolt ${same + 1}`
				});
		}
	});
export type Fastening = z.infer<typeof fasteningSchema>;
