import { z } from 'zod';
import { dimensionOf, isAsTyped, type Dimension } from '../../quantity';
import { notTogether } from '../checkBuild';
import type { EntryProblem } from '../problem';
import type { ModelSheet } from '../sheet';
import { common, id, schemaOf, typed, words } from './common';
import { jobKind } from './kind';

const quantity = z.strictObject({ value: z.number().min(-1e6).max(1e6), typed });

/** What may be wrong with a pump by its pressure trace, with how probable each is. */
const traceVerdict = z.strictObject({
	what: z.enum(['healthy', 'air', 'inlet', 'discharge', 'oneValve']),
	cylinder: z.int().min(1).max(7).optional(),
	probability: z.number().min(0).max(1)
});

/** What was measured or seen while the pump was proved. */
const schema = schemaOf(
	'proof',
	common,
	z.discriminatedUnion('test', [
		/** Held under pressure, the outlet shut: what it fell in how long, and by which gauge. */
		z.strictObject({
			test: z.literal('hold'),
			from: quantity,
			to: quantity,
			minutes: z.number().gt(0).max(1440),
			/** The water's temperature at its start and end: what cooled is no leak. */
			fromC: quantity.optional(),
			toC: quantity.optional(),
			gauge: id.optional()
		}),
		z.strictObject({
			test: z.literal('flow'),
			flow: quantity,
			pressure: quantity,
			speedRpm: z.number().gt(0).max(10_000)
		}),
		z.strictObject({ test: z.literal('temperature'), inlet: quantity, outlet: quantity }),
		/** One of the sheet's weep places, inspected under pressure. */
		z.strictObject({ test: z.literal('drips'), place: words, seen: z.enum(['none', 'stopping', 'steady']) }),
		/** A pressure trace by shaft order, as it was worked out from the samples. */
		z.strictObject({
			test: z.literal('trace'),
			turns: z.int().min(1).max(1e7),
			speedRpm: z.number().gt(0).max(1e5),
			meanMPa: z.number().min(0).max(1e4),
			verdicts: z.array(traceVerdict).min(1).max(20),
			lostShare: z.number().min(-1).max(1)
		})
	])
);
export type Proof = z.infer<typeof schema>;

const measures: Readonly<Record<string, Dimension>> = {
	from: 'pressure',
	to: 'pressure',
	fromC: 'temperature',
	toC: 'temperature',
	pressure: 'pressure',
	flow: 'flow',
	inlet: 'temperature',
	outlet: 'temperature'
};

/** Whether what was typed is what was sent, in units that measure it, and a weep place is one of the sheet's. */
function checkProof({ payload }: Proof, { proof, cylinders }: ModelSheet): EntryProblem | undefined {
	for (const [name, value] of Object.entries(payload)) {
		if (typeof value !== 'object' || !('typed' in value)) continue;
		if (dimensionOf(value.typed.unit) !== measures[name])
			return { code: 'wrongUnit', typed: value.typed.unit, expected: measures[name] };
		if (!isAsTyped(value.value, value.typed))
			return { code: 'notAsTyped', value: value.value, text: value.typed.text, unit: value.typed.unit };
	}
	if (payload.test === 'drips' && !proof?.places.includes(payload.place))
		return { code: 'noSuchPlace', place: payload.place };
	if (payload.test === 'hold' && payload.to.value > payload.from.value && !warmed(payload))
		return { code: 'pressureRose', from: payload.from.value, to: payload.to.value };
	if (payload.test === 'trace' && payload.verdicts.some(({ cylinder = 1 }) => cylinder > cylinders))
		return { code: 'noSuchPlace', place: `cylinder ${cylinders + 1}` };
	return undefined;
}

// Shut in and warmed, water rises by itself.
const warmed = ({ fromC, toC }: { readonly fromC?: { value: number }; readonly toC?: { value: number } }): boolean =>
	fromC !== undefined && toC !== undefined && toC.value > fromC.value;

export const proof = jobKind({
	schema,
	add: ({ proofs }, entry) => void proofs.push(entry),
	check: (entry, job) => checkProof(entry, job.sheet) ?? notTogether(job),
	gauge: ({ payload }) => (payload.test === 'hold' ? payload.gauge : undefined)
});
