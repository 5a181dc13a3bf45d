import { z } from 'zod';
import { policySchema } from '@exetasis/core/decide';
import type { RestedOn } from '../db/tables';

const text = z.string().max(4000);
const unproved = z.union([
	z.strictObject({ what: z.enum(['notHeld', 'holdFails', 'holdTooClose']) }),
	z.strictObject({ what: z.enum(['notLookedAt', 'drips']), place: text }),
	z.strictObject({ what: z.literal('held'), answer: text, why: text, cylinder: z.int() }),
	z.strictObject({ what: z.literal('fragmentLost'), part: text, cylinder: z.int() })
]);

/** What a release kept, as far as pages and reports read it; gauges and fits are proved by judging the mat with them. */
const restedOnSchema = z.looseObject({
	policy: policySchema,
	gauges: z.array(z.looseObject({ id: text, name: text })).max(1000),
	fleet: z.looseObject({}),
	method: z.int(),
	handover: z.strictObject({ to: z.enum(['service', 'shelf']), connected: z.boolean() }).optional(),
	unbuilt: z.strictObject({ steps: z.array(text), tests: z.array(unproved), why: text }).optional()
});

/** What a release rested on, or undefined where it is none: a job file may say anything, and so may a database that was restored. */
export function restedOnFrom(value: unknown): RestedOn | undefined {
	const parsed = restedOnSchema.safeParse(value);
	return parsed.success ? (parsed.data as unknown as RestedOn) : undefined;
}
