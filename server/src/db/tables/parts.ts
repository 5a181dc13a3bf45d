// Parts, their lives, and what lies in stock.
import type { EndReason } from '@exetasis/core/decide';
import { json, key, nullable, number, table, text, textOf, uuid, whole, withDefault, type RowOf } from './columns';

export const part = table('part', {
	id: key(uuid),
	shopId: uuid,
	type: text,
	asFitted: withDefault(json<Record<string, number>>(), {}),
	lot: nullable(text),
	supplier: nullable(text),
	kit: nullable(text)
});
export type PartRow = RowOf<typeof part>;

export const partLife = table('part_life', {
	id: key(uuid),
	shopId: uuid,
	partId: uuid,
	pumpId: uuid,
	station: text,
	cylinder: whole,
	fittedJobId: nullable(uuid),
	fittedHours: nullable(number),
	removedJobId: nullable(uuid),
	removedHours: nullable(number),
	endReason: nullable(textOf<EndReason>())
});
export type PartLifeRow = RowOf<typeof partLife>;

export const shim = table('shim', {
	shopId: key(uuid),
	thicknessMm: key(number),
	count: whole
});

export const stock = table('stock', {
	shopId: key(uuid),
	model: key(text),
	station: key(text),
	pieces: whole,
	floor: whole
});
