import { v7 as uuidv7 } from 'uuid';
import { readSheet, type ModelSheet, type SheetFault } from '@exetasis/core/record';
import { row, rows, type ShopScope } from './db/query';

export interface SheetListing {
	readonly id: string;
	readonly model: string;
	readonly layout: string;
	readonly revision: number;
	readonly pumps: number;
}

/** The newest revision of every model, with how many pumps of it the shop keeps. */
export const sheetsOf = (scope: ShopScope): Promise<SheetListing[]> =>
	rows(
		scope,
		`
		SELECT DISTINCT ON (s.model) s.id, s.model, s.layout, s.revision,
			(SELECT count(*)::int FROM pump p WHERE p.shop_id = $1 AND p.model = s.model) AS pumps
		FROM model_sheet s WHERE s.shop_id = $1 ORDER BY s.model, s.revision DESC`
	);

export async function sheetById(scope: ShopScope, id: string): Promise<ModelSheet | undefined> {
	return (await row<{ body: ModelSheet }>(scope, 'SELECT body FROM model_sheet WHERE shop_id = $1 AND id = $2', [id]))
		?.body;
}

// Sheets are never changed, so one read from the database stays true; kept by shop and id.
const sheetsRead = new Map<string, ModelSheet>();
const MOST_KEPT = 100;

/** The sheet that a job has pinned; it is there, by the job's foreign key. */
export async function pinnedSheet(scope: ShopScope, id: string): Promise<ModelSheet> {
	const key = `${scope.shopId}/${id}`;
	const known = sheetsRead.get(key);
	if (known) return known;
	if (sheetsRead.size >= MOST_KEPT) sheetsRead.clear();
	const sheet = (await sheetById(scope, id))!;
	sheetsRead.set(key, sheet);
	return sheet;
}

/** The newest sheet of a model, which a new job pins. */
export const newestSheet = (scope: ShopScope, model: string): Promise<{ id: string; body: ModelSheet } | undefined> =>
	row(scope, 'SELECT id, body FROM model_sheet WHERE shop_id = $1 AND model = $2 ORDER BY revision DESC LIMIT 1', [
		model
	]);

export type AddedSheet =
	| { readonly kind: 'added'; readonly id: string }
	| { readonly kind: 'faults'; readonly faults: readonly SheetFault[] }
	| { readonly kind: 'revisionExists'; readonly model: string; readonly revision: number };

/** Takes a model sheet's text in. Sheets are never changed: a correction is a new revision. */
export async function addSheet(scope: ShopScope, text: string): Promise<AddedSheet> {
	const read = readSheet(text);
	if (read.kind === 'faults') return read;
	const { model, layout, revision } = read.sheet;
	const id = uuidv7();
	const added = await rows(
		scope,
		`
		INSERT INTO model_sheet (id, shop_id, model, layout, revision, body) VALUES ($2, $1, $3, $4, $5, $6)
		ON CONFLICT (shop_id, model, revision) DO NOTHING RETURNING id`,
		[id, model, layout, revision, JSON.stringify(read.sheet)]
	);
	return added.length > 0 ? { kind: 'added', id } : { kind: 'revisionExists', model, revision };
}
