import type { Entry } from '@exetasis/core/record';
import { rows, type ShopScope } from '../db/query';

interface LogRow {
	id: string;
	job: string;
	part: string | null;
	kind: string;
	payload: unknown;
	by: string;
	at: Date;
}

/** The job's entries in the order in which they arrived; within a range of the log where one is given. */
export async function entriesOf(
	scope: ShopScope,
	jobId: string,
	range: { from?: string; to?: string } = {}
): Promise<Entry[]> {
	const found = await rows<LogRow>(
		scope,
		`
		SELECT id, job_id AS job, part_id AS part, kind, payload, by, at FROM log_entry
		WHERE shop_id = $1 AND job_id = $2 AND seq BETWEEN $3::bigint AND $4::bigint ORDER BY seq`,
		[jobId, range.from ?? '0', range.to ?? '9223372036854775807']
	);
	return found.map(
		({ part, at, ...entry }) => ({ ...entry, ...(part ? { part } : {}), at: at.toISOString() }) as Entry
	);
}
