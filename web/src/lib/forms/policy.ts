import { z } from 'zod';
import { policySchema, type Policy } from '@exetasis/core/decide';
import { numberIn, rangeField } from './fields';

/** Fields that are typed in per cent and kept as shares of one. */
const percentFields = ['acceptBad', 'scrapGood', 'acceptWearOut', 'lifeLeftShare'] as const;
const numberFields = ['intervalHours', 'downtimeCost', 'liftAloneKg'] as const;

const RISK = { least: 0.01, most: 49.9 };
const ranges = {
	acceptBad: RISK,
	scrapGood: RISK,
	acceptWearOut: { least: 0.01, most: 99.99 },
	lifeLeftShare: { least: 0.01, most: 100 },
	intervalHours: { least: 1, most: 50_000 },
	downtimeCost: { least: 0, most: 1e7 },
	liftAloneKg: { least: 1, most: 100 }
} as const;

const risk = 'Type a risk between 0 and 50 %, such as 5.';
/** The shop's rules as they are typed: choices as they are kept, figures as text. */
export const policyFormSchema = z.object({
	...policySchema.shape,
	acceptBad: rangeField(ranges.acceptBad, risk),
	scrapGood: rangeField(ranges.scrapGood, risk),
	acceptWearOut: rangeField(ranges.acceptWearOut, 'Type a chance between 0 and 100 %, such as 10.'),
	lifeLeftShare: rangeField(ranges.lifeLeftShare, 'Type a share above 0 and up to 100 %, such as 20.'),
	intervalHours: rangeField(ranges.intervalHours, 'Type the hours as a number up to 50 000, such as 2000.'),
	downtimeCost: rangeField(ranges.downtimeCost, 'Type the cost of an unplanned stop as a number from 0.'),
	liftAloneKg: rangeField(ranges.liftAloneKg, 'Type the lifting limit as a number from 1 to 100, such as 20.')
});
type Typed = ReturnType<typeof policyFormSchema.parse>;

/** The rules of a form that holds. */
export const policyIn = (typed: Typed): Policy =>
	policySchema.parse({
		...typed,
		...Object.fromEntries(numberFields.map((name) => [name, numberIn(typed[name], ranges[name])])),
		...Object.fromEntries(percentFields.map((name) => [name, numberIn(typed[name], ranges[name]) / 100]))
	});

const percent = (share: number): string => String(Number((share * 100).toPrecision(6)));

/** The rules as they stand in the form. */
export const policyTyped = (policy: Policy): Typed =>
	policyFormSchema.parse({
		...policy,
		...Object.fromEntries(numberFields.map((name) => [name, String(policy[name])])),
		...Object.fromEntries(percentFields.map((name) => [name, percent(policy[name])]))
	});
