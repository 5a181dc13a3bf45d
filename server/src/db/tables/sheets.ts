// Model sheets, drafts of them, what grew them at the bench, and documents.
import type { SheetDraft } from '@exetasis/core/draft';
import type { ModelSheet } from '@exetasis/core/record';
import {
	bytes,
	date,
	json,
	key,
	now,
	nullable,
	table,
	text,
	textOf,
	uuid,
	whole,
	withDefault,
	type RowOf
} from './columns';

export const modelSheet = table('model_sheet', {
	id: key(uuid),
	shopId: uuid,
	model: text,
	layout: text,
	revision: whole,
	body: json<ModelSheet>(),
	createdAt: withDefault(date, now)
});

export const sheetDraft = table('sheet_draft', {
	id: key(uuid),
	shopId: uuid,
	body: json<SheetDraft>(),
	/** Grows with every change; a change names the version that it changes. */
	version: whole,
	/** The sheet that it revises; null: a new one. */
	basedOn: nullable(uuid),
	changedBy: text,
	changedAt: date
});

/** Parts that were laid down together, by the id that their tablet gave them. */
export const laidBatch = table('laid_batch', {
	shopId: key(uuid),
	jobId: key(uuid),
	id: key(text),
	stations: json<readonly string[]>()
});

export const document = table('document', {
	id: key(uuid),
	shopId: key(uuid),
	model: text,
	about: textOf<'sheet' | 'step' | 'station'>(),
	/** Of the step or station; empty for the sheet as a whole. */
	key: text,
	name: text,
	type: textOf<'application/pdf' | 'image/png' | 'image/jpeg'>(),
	bytes: bytes,
	addedBy: text,
	addedAt: date
});
export type DocumentRow = RowOf<typeof document>;
