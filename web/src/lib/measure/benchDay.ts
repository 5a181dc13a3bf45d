// The state of this bench today: the temperature of the gauges, and which were checked at zero. Kept on the device until tomorrow.
import { z } from 'zod';
import { BENCH_C } from '@exetasis/core/record';

const KEY = 'exetasis-bench-day';
const schema = z.strictObject({
	day: z.string(),
	gaugeC: z.number().min(BENCH_C.least).max(BENCH_C.most).optional(),
	zeroSeen: z.array(z.string()).max(500)
});
type BenchDay = z.infer<typeof schema>;

const fresh = (day: string): BenchDay => ({ day, zeroSeen: [] });

/** The day by the device's own clock. */
export const dayNow = (now = new Date()): string => `${now.getFullYear()}-${now.getMonth() + 1}-${now.getDate()}`;

/** What was said of this bench on this day; nothing where it was said on another, or cannot be read. */
export function readBenchDay(stored: Pick<Storage, 'getItem'>, day = dayNow()): BenchDay {
	try {
		const read = schema.parse(JSON.parse(stored.getItem(KEY) ?? 'null'));
		return read.day === day ? read : fresh(day);
	} catch {
		return fresh(day);
	}
}

/** Keeps it; a device that keeps nothing asks again after a reload. */
export function keepBenchDay(stored: Pick<Storage, 'setItem'>, said: BenchDay): void {
	try {
		stored.setItem(KEY, JSON.stringify(said));
	} catch {
		// Full or forbidden: it holds while the page stands.
	}
}
