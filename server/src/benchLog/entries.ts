import { Op } from 'sequelize';
import type { Entry } from '@exetasis/core/record';
import type { LogEntryRow } from '../db/tables';
import { of, type ShopScope } from '../db/scope';

/** The job's entries in the order in which they arrived; within a range of the log, or of some kinds, where that is asked. */
export async function entriesOf(
	scope: ShopScope,
	jobId: string,
	only: { readonly from?: string; readonly to?: string; readonly kinds?: readonly Entry['kind'][] } = {}
): Promise<Entry[]> {
	const { from, to, kinds } = only;
	const within = {
		...(from && to ? { seq: { [Op.between]: [from, to] as never } } : {}),
		...(kinds ? { kind: [...kinds] } : {})
	};
	const found = await of(scope, 'logEntry').all({ jobId, ...within }, { order: [['seq', 'ASC']] });
	return found.map(entryOf);
}

/** A row of the log as an entry. */
export const entryOf = (row: LogEntryRow): Entry =>
	({
		id: row.id,
		job: row.jobId,
		kind: row.kind,
		payload: row.payload,
		by: row.by,
		at: row.at.toISOString(),
		...(row.partId ? { part: row.partId } : {}),
		...(row.offsetMs === null ? {} : { offsetMs: Number(row.offsetMs) }),
		...(row.clientSeq === null ? {} : { seq: Number(row.clientSeq) }),
		...(row.effectiveAt ? { effectiveAt: row.effectiveAt.toISOString() } : {})
	}) as Entry;
