import { v7 as uuidv7 } from 'uuid';
import type { SignedIn } from '../auth/auth';
import type { DocumentRow } from '../db/tables';
import { of, type ShopScope } from '../db/scope';
import { newestSheet } from '../sheets';
import { readDocument, type DocumentProblem } from './readDocument';

/** A document as it is listed: without its bytes. */
export type DocumentListing = Pick<DocumentRow, 'id' | 'about' | 'key' | 'name' | 'type'>;

/** As many as a model may have. */
const MOST = 60;

export type Attached =
	| { readonly kind: 'attached'; readonly id: string }
	| { readonly kind: 'problem'; readonly problem: DocumentProblem }
	| { readonly kind: 'unknownPlace' }
	| { readonly kind: 'tooMany'; readonly most: number };

export interface NewDocument extends Pick<DocumentRow, 'model' | 'about' | 'key' | 'name'> {
	readonly bytes: Uint8Array;
}

/** Keeps a document at a model's sheet, or at one of its steps or stations. */
export async function attach(scope: ShopScope, by: Pick<SignedIn, 'id'>, asked: NewDocument): Promise<Attached> {
	const { model, about, key, name, bytes } = asked;
	const sheet = (await newestSheet(scope, model))?.body;
	const places = about === 'step' ? sheet?.steps : about === 'station' ? sheet?.stations : undefined;
	const isThere = about === 'sheet' ? sheet !== undefined && key === '' : places?.some((place) => place.key === key);
	if (!isThere) return { kind: 'unknownPlace' };
	const read = await readDocument(bytes);
	if (read.kind === 'problem') return read;
	if ((await of(scope, 'document').count({ model })) >= MOST) return { kind: 'tooMany', most: MOST };
	const id = uuidv7();
	const added = { addedBy: by.id, addedAt: new Date() };
	await of(scope, 'document').add({ id, model, about, key, name, type: read.type, bytes: read.bytes, ...added });
	return { kind: 'attached', id };
}

/** Takes a document away; false where the shop has none of that id. */
export const detach = async (scope: ShopScope, id: string): Promise<boolean> =>
	(await of(scope, 'document').remove({ id })) > 0;

/** A model's documents, in the order in which they came. */
export const documentsOf = (scope: ShopScope, model: string): Promise<DocumentListing[]> =>
	of(scope, 'document').all({ model }, { attributes: ['id', 'about', 'key', 'name', 'type'], order: [['id', 'ASC']] });

export const documentById = (scope: ShopScope, id: string): Promise<DocumentRow | undefined> =>
	of(scope, 'document').one({ id });
