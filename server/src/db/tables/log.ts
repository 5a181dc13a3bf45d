// The log of the bench, and what is read off it for queries.
import { date, json, key, long, nullable, number, table, text, uuid, whole, type RowOf } from './columns';

export const logEntry = table('log_entry', {
	id: key(uuid),
	seq: long,
	shopId: key(uuid),
	jobId: uuid,
	partId: nullable(uuid),
	kind: text,
	payload: json<unknown>(),
	by: text,
	at: date,
	offsetMs: nullable(long),
	clientSeq: nullable(long),
	effectiveAt: nullable(date),
	receivedAt: date
});
export type LogEntryRow = RowOf<typeof logEntry>;

export const inspection = table('inspection', {
	entryId: key(uuid),
	shopId: key(uuid),
	jobId: uuid,
	partId: uuid,
	pattern: nullable(text),
	severity: nullable(whole),
	onset: nullable(text),
	at: date
});

export const reading = table('reading', {
	entryId: key(uuid),
	shopId: key(uuid),
	jobId: uuid,
	partId: uuid,
	characteristic: text,
	gridRow: whole,
	gridColumn: whole,
	value: number,
	gaugeId: nullable(uuid),
	partC: nullable(number),
	gaugeC: nullable(number)
});

export const decision = table('decision', {
	entryId: key(uuid),
	shopId: key(uuid),
	jobId: uuid,
	partId: uuid,
	verdict: text,
	proposed: text,
	why: nullable(text),
	at: date
});

export const withdrawnEntry = table('withdrawn_entry', {
	shopId: key(uuid),
	jobId: uuid,
	entryId: key(uuid)
});
