// Model sheets that are being written: kept on the server, changed by one person at a time without losing anything of another.
import { v7 as uuidv7 } from 'uuid';
import { changesBetween, faultsOf, type SheetDraft } from '@exetasis/core/draft';
import { sheetDraftSchema } from '@exetasis/core/record';
import type { SignedIn } from './auth/auth';
import { inTransaction, of, type ShopScope } from './db/scope';
import { addSheet, newestSheet, sheetById, type AddedSheet } from './sheets';

interface DraftListing {
	readonly id: string;
	readonly model: string;
	readonly revision: number;
	readonly parts: number;
	readonly changedBy: string;
	readonly changedAt: Date;
}

export interface Draft {
	readonly id: string;
	readonly body: SheetDraft;
	readonly version: number;
	readonly basedOn: string | null;
	readonly changedBy: string;
	readonly changedAt: Date;
}

/** Drafts of a shop at once: more are the sign of a mistake. */
const MOST_DRAFTS = 200;

const nameOf = async (scope: ShopScope, id: string): Promise<string> =>
	(await of(scope, 'user').one({ id }, { attributes: ['name'] }))?.name ?? '';

/** The shop's drafts, the last changed first. */
export async function draftsOf(scope: ShopScope): Promise<DraftListing[]> {
	const people = new Map(
		(await of(scope, 'user').all({}, { attributes: ['id', 'name'] })).map(({ id, name }) => [id, name])
	);
	const rows = await of(scope, 'sheetDraft').all({}, { order: [['changedAt', 'DESC']] });
	return rows.map(({ id, body, changedBy, changedAt }) => ({
		id,
		model: body.model,
		revision: body.revision,
		parts: body.stations.length,
		changedBy: people.get(changedBy) ?? '',
		changedAt
	}));
}

/** A draft as it is now, with the name of the person who changed it last. */
export async function draftById(scope: ShopScope, id: string): Promise<Draft | undefined> {
	const row = await of(scope, 'sheetDraft').one({ id });
	return row && { ...row, changedBy: await nameOf(scope, row.changedBy) };
}

/** Starts a draft; answers its id, or undefined where the shop has too many already. */
export async function startDraft(
	scope: ShopScope,
	{ id: changedBy }: Pick<SignedIn, 'id'>,
	body: SheetDraft,
	basedOn: string | null = null
): Promise<string | undefined> {
	if ((await of(scope, 'sheetDraft').count()) >= MOST_DRAFTS) return undefined;
	const id = uuidv7();
	await of(scope, 'sheetDraft').add({ id, body, version: 1, basedOn, changedBy, changedAt: new Date() });
	return id;
}

/** Starts the next revision of a sheet as a draft. Undefined where the shop has no such sheet, or too many drafts. */
export async function startRevision(scope: ShopScope, user: SignedIn, sheetId: string): Promise<string | undefined> {
	const sheet = await sheetById(scope, sheetId);
	if (!sheet) return undefined;
	const newest = await newestSheet(scope, sheet.model);
	const revision = (newest?.body.revision ?? sheet.revision) + 1;
	return startDraft(scope, user, { ...sheet, revision }, sheetId);
}

type SavedDraft =
	| { readonly kind: 'saved'; readonly version: number }
	/** Another person has changed it since that version: what it is now. */
	| { readonly kind: 'changed'; readonly draft: Draft }
	| { readonly kind: 'malformed'; readonly path: string; readonly message: string }
	| { readonly kind: 'gone' };

// A zero character, or half of a pair of surrogates, as JSON writes them.
const NOT_STORABLE = /\\u0000|\\ud[89a-f]/i;

/** Saves a draft that was changed from this version of it. What another person saved meanwhile is never overwritten. */
export async function saveDraft(
	scope: ShopScope,
	{ id: changedBy }: Pick<SignedIn, 'id'>,
	id: string,
	version: number,
	body: unknown
): Promise<SavedDraft> {
	const parsed = sheetDraftSchema.safeParse(body);
	if (!parsed.success) {
		const [issue] = parsed.error.issues;
		return { kind: 'malformed', path: issue.path.join('.'), message: issue.message };
	}
	if (NOT_STORABLE.test(JSON.stringify(parsed.data)))
		return { kind: 'malformed', path: '', message: 'contains a character that cannot be stored' };
	const next = { body: parsed.data, version: version + 1, changedBy, changedAt: new Date() };
	if ((await of(scope, 'sheetDraft').change({ id, version }, next)) === 1)
		return { kind: 'saved', version: version + 1 };
	const draft = await draftById(scope, id);
	if (!draft) return { kind: 'gone' };
	// The answer to an earlier attempt was lost on its way: this very text is there already.
	if (changesBetween(draft.body, parsed.data).length === 0) return { kind: 'saved', version: draft.version };
	return { kind: 'changed', draft };
}

type FinishedDraft = AddedSheet | { readonly kind: 'unfinished' } | { readonly kind: 'gone' };

/** Makes a sheet of a draft that has no faults, and removes the draft; both or neither. */
export const finishDraft = (scope: ShopScope, id: string, version: number): Promise<FinishedDraft> =>
	inTransaction(scope, async (within): Promise<FinishedDraft> => {
		const draft = await of(within, 'sheetDraft').one({ id, version }, { lock: true });
		if (!draft) return { kind: 'gone' };
		if (faultsOf(draft.body).length > 0) return { kind: 'unfinished' };
		// A lead has checked it.
		const { provisional: _, ...checked } = draft.body;
		const added = await addSheet(within, JSON.stringify(checked));
		if (added.kind === 'added') await of(within, 'sheetDraft').remove({ id });
		return added;
	});

/** Removes a draft; whether there was one. */
export const discardDraft = async (scope: ShopScope, id: string): Promise<boolean> =>
	(await of(scope, 'sheetDraft').remove({ id })) > 0;
