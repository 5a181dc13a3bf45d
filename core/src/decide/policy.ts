import { z } from 'zod';

/** How a shop decides on parts that no hard rule condemns. */
export const renewalPolicies = ['renewSoft', 'onCondition', 'leastCost'] as const;
export type RenewalPolicy = (typeof renewalPolicies)[number];

/** Whether a kind of part is renewed or inspected: as the model sheet says, or by the shop's own custom. */
export const customs = ['sheet', 'always', 'inspect'] as const;
export type Custom = (typeof customs)[number];

/** Kinds of parts on which good people differ. */
export type CustomKind = 'plungerRings' | 'valveRings' | 'otherRings' | 'plungerWashers' | 'seatsAndSprings';

export const valveRules = ['singly', 'cylinder', 'set'] as const;
/** Where a shop lets power tools turn a fastener. */
const powerRules = ['sheet', 'loosen', 'never'] as const;
const springRules = ['feel', 'length', 'load'] as const;

/** The shop's rules for reuse and replace. One engine, different settings. */
export const policySchema = z.strictObject({
	/** Risk of accepting a part that is beyond its limit, and of scrapping one that is inside. */
	acceptBad: z.number().gt(0).lt(0.5),
	scrapGood: z.number().gt(0).lt(0.5),
	/** Hours until the next planned opening. */
	intervalHours: z.number().positive().max(50_000),
	/** A part whose probability of passing its limit within the interval is higher than this is replaced. */
	acceptWearOut: z.number().gt(0).lt(1),
	/** Cost of an unplanned stop besides opening the pump, in the shop's currency. */
	downtimeCost: z.number().nonnegative().max(1e7),
	/** When parts are renewed: all soft parts while open; only what fails; or what has the lowest expected cost. */
	renewalPolicy: z.enum(renewalPolicies),
	/** Valves, their seats and springs: each by itself, all of a cylinder together, or all of the pump. */
	valves: z.enum(valveRules).default('singly'),
	/** What a spring must show: what the hand says, its free length, or its load at the working length. */
	springs: z.enum(springRules).default('length'),
	plungerRings: z.enum(customs).default('sheet'),
	valveRings: z.enum(customs).default('sheet'),
	otherRings: z.enum(customs).default('sheet'),
	plungerWashers: z.enum(customs).default('sheet'),
	seatsAndSprings: z.enum(customs).default('sheet'),
	/** Abrasive where the sheet allows it, or nowhere. */
	abrasive: z.enum(['sheet', 'never']).default('sheet'),
	/** Power tools on fasteners: where the sheet allows them, only to loosen, or nowhere. It can only forbid more than the sheet. */
	powerTools: z.enum(powerRules).default('sheet'),
	/** Metal in the oil condemns the unit, or the figures decide. */
	metal: z.enum(['stops', 'weighed']).default('stops'),
	/** Share of a new unit's life that one with a damaged drive end is taken to have left: an assumption, shown as such. */
	lifeLeftShare: z.number().gt(0).max(1).default(0.2),
	/** Above this a second person or a hoist lifts, kg. */
	liftAloneKg: z.number().positive().max(100).default(20)
});
export type Policy = z.infer<typeof policySchema>;

export const defaultPolicy: Policy = policySchema.parse({
	acceptBad: 0.05,
	scrapGood: 0.05,
	intervalHours: 2000,
	acceptWearOut: 0.1,
	downtimeCost: 900,
	renewalPolicy: 'renewSoft'
});
