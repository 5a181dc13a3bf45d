import { z } from 'zod';

/** How a shop decides on parts that no hard rule condemns. */
export const schools = ['renewSoft', 'onCondition', 'leastCost'] as const;
export type School = (typeof schools)[number];

/** The shop's rules for reuse and replace. One engine, different settings. */
export const policySchema = z.strictObject({
	/** Risk of accepting a part that is beyond its limit, and of scrapping one that is inside. */
	acceptBad: z.number().gt(0).lt(0.5),
	scrapGood: z.number().gt(0).lt(0.5),
	/** Hours until the next planned opening. */
	intervalHours: z.number().positive().max(50_000),
	/** A part whose odds of passing its limit within the interval are higher than this is replaced. */
	acceptWearOut: z.number().gt(0).lt(1),
	/** Cost of an unplanned stop besides opening the pump, in the shop's currency. */
	downtimeCost: z.number().nonnegative().max(1e7),
	/** Which school rules: all soft parts renewed while open; what passes is reused; or whatever costs least to be expected. */
	school: z.enum(schools)
});
export type Policy = z.infer<typeof policySchema>;

export const defaultPolicy: Policy = {
	acceptBad: 0.05,
	scrapGood: 0.05,
	intervalHours: 2000,
	acceptWearOut: 0.1,
	downtimeCost: 900,
	school: 'renewSoft'
};
