import { effectiveTime, kindsInOrder, type Entry } from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';
import { entryOf } from './entries';

/** What arrives later than this after it was recorded was recorded off the network, or by a clock that is wrong: its order is past holding. */
export const LATE_MS = 120_000;

/** Whether the order of the work was still held when an entry arrived at this moment. */
export const isLate = (entry: Pick<Entry, 'at' | 'offsetMs' | 'effectiveAt'>, arrived: number): boolean =>
	arrived - effectiveTime(entry) >= LATE_MS;

/** Work that one person recorded and that arrived together, too late for its order to be held. */
export interface LateWork {
	readonly by: string;
	readonly entries: number;
	/** Steps that were signed off among them, in the order in which that was recorded. */
	readonly steps: readonly string[];
	readonly from: Date;
	readonly to: Date;
	readonly arrivedAt: Date;
}

const TOGETHER_MS = 60_000;

/** A job's work whose order was not held, by person and arrival, oldest first. */
export async function lateWork(scope: ShopScope, jobId: string): Promise<LateWork[]> {
	const rows = await of(scope, 'logEntry').all({ jobId, kind: kindsInOrder }, { order: [['seq', 'ASC']] });
	const batches: { by: string; arrivedAt: Date; entries: Entry[] }[] = [];
	for (const row of rows) {
		const entry = entryOf(row);
		if (!isLate(entry, row.receivedAt.getTime())) continue;
		const last = batches.findLast(({ by }) => by === entry.by);
		if (last && row.receivedAt.getTime() - last.arrivedAt.getTime() < TOGETHER_MS) last.entries.push(entry);
		else batches.push({ by: entry.by, arrivedAt: row.receivedAt, entries: [entry] });
	}
	return batches.map(({ by, arrivedAt, entries }) => {
		const inTime = entries.toSorted((a, b) => effectiveTime(a) - effectiveTime(b));
		return {
			by,
			arrivedAt,
			entries: entries.length,
			steps: inTime.flatMap((entry) => (entry.kind === 'step' ? [entry.payload.step] : [])),
			from: new Date(effectiveTime(inTime[0])),
			to: new Date(effectiveTime(inTime.at(-1)!))
		};
	});
}
