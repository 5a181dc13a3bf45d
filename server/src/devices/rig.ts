import { z } from 'zod';
import { toBase } from '@exetasis/core/quantity';
import { linesFrom, type DeviceEnd } from './lines';

const greetingSchema = z.object({
	device: z.literal('rig'),
	protocol: z.literal('exetasis-rig/1'),
	sampleHz: z.number().gt(0).max(100_000),
	unit: z.enum(['MPa', 'bar', 'psi', 'kPa']),
	speedRpm: z.number().gt(0).max(100_000),
	marked: z.boolean()
});
const blockSchema = z.object({
	/** Number of its first sample since the connection began. */
	from: z.int().min(0),
	p: z.array(z.number()).min(1).max(20_000),
	/** Where the shaft's mark passed, in samples since the connection began. */
	marks: z.array(z.number().min(0)).max(1000)
});

/** What the rig delivers, pressures in MPa. A gap says how many samples were lost before the block that follows. */
export type RigEvent =
	| { readonly kind: 'greeting'; readonly sampleHz: number; readonly speedRpm: number; readonly marked: boolean }
	| {
			readonly kind: 'block';
			readonly from: number;
			readonly pressureMPa: readonly number[];
			readonly marks: readonly number[];
	  }
	| { readonly kind: 'gap'; readonly samples: number }
	/** Lines that were none of the protocol's. */
	| { readonly kind: 'unread'; readonly lines: number }
	| { readonly kind: 'end'; readonly why: DeviceEnd };

const MOST_UNREAD = 20;

/** Listens to the test rig until `signal` ends it. The address is HOST:PORT; docs/devices.md says what it speaks. */
export async function* listenToRig(at: string | undefined, signal: AbortSignal): AsyncGenerator<RigEvent> {
	const lines = linesFrom(at, signal);
	let unit: z.infer<typeof greetingSchema>['unit'] | undefined;
	let expected = 0;
	let unread = 0;
	for (;;) {
		const line = await lines.next();
		if (line.done) return yield { kind: 'end', why: line.value };
		const greeting = unit ? undefined : greetingSchema.safeParse(line.value).data;
		if (greeting) {
			const { sampleHz, speedRpm, marked } = greeting;
			unit = greeting.unit;
			yield { kind: 'greeting', sampleHz, speedRpm, marked };
			continue;
		}
		const block = unit && blockSchema.safeParse(line.value).data;
		if (!block || !unit) {
			unread += 1;
			yield { kind: 'unread', lines: unread };
			if (unread < MOST_UNREAD) continue;
			await lines.return('notTheDevice');
			return yield { kind: 'end', why: 'notTheDevice' };
		}
		const { from, p, marks } = block;
		if (from > expected) yield { kind: 'gap', samples: from - expected };
		expected = from + p.length;
		const as = unit;
		yield { kind: 'block', from, pressureMPa: p.map((value) => toBase(value, as)), marks };
	}
}
