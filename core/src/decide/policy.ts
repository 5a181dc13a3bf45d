import { z } from 'zod';

/** The shop's rules for reuse and replace. One engine, different settings. */
export const policySchema = z.strictObject({
	/** Risk of accepting a part that is beyond its limit, and of scrapping one that is inside. */
	acceptBad: z.number().gt(0).lt(0.5),
	scrapGood: z.number().gt(0).lt(0.5),
	/** Hours until the next planned opening. */
	intervalHours: z.number().positive().max(50_000),
	/** A part whose odds of passing its limit within the interval are higher than this is replaced. */
	acceptWearOut: z.number().gt(0).lt(1),
	/** Soft parts: renewed whenever the pump is open, or judged on their condition. */
	softParts: z.enum(['renew', 'onCondition'])
});
export type Policy = z.infer<typeof policySchema>;

export const defaultPolicy: Policy = {
	acceptBad: 0.05,
	scrapGood: 0.05,
	intervalHours: 2000,
	acceptWearOut: 0.1,
	softParts: 'renew'
};
