// Sheets in preparation, against PostgreSQL.
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	customsOf,
	newSheet,
	withPart,
	withPartChanged,
	withStepsDrafted,
	type SheetDraft
} from '@exetasis/core/draft';
import type { Database } from './db/connection';
import { discardDraft, draftById, draftsOf, finishDraft, saveDraft, startDraft, startRevision } from './drafts';
import { layoutSheets } from './layouts';
import { addSheet, newestSheet, sheetById, sheetsOf } from './sheets';
import { freshDatabase, makeShop, MODEL, type TestShop } from './testing';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Drafts');
});
afterAll(() => drop());

const empty = (model: string): SheetDraft =>
	newSheet({ model, maker: 'not stated', cylinders: 3, strokeMm: 18, ratedPressureMPa: 12, ratedSpeedRpm: 1000 });
const lead = () => shop.people.lead;
const withPlunger = async (draft: SheetDraft) =>
	withStepsDrafted(withPart(draft, 0, { type: 'plunger' }, customsOf(await layoutSheets()).plunger).draft);

describe('a draft', () => {
	it('becomes a sheet once it has no faults, and is gone then', async () => {
		const id = (await startDraft(shop.scope, lead(), empty('Quay 3')))!;
		expect(await finishDraft(shop.scope, id, 1)).toEqual({ kind: 'unfinished' });
		const saved = await saveDraft(shop.scope, lead(), id, 1, await withPlunger(empty('Quay 3')));
		expect(saved).toEqual({ kind: 'saved', version: 2 });
		expect(await finishDraft(shop.scope, id, 1)).toEqual({ kind: 'gone' });
		const made = await finishDraft(shop.scope, id, 2);
		expect(made.kind).toBe('added');
		expect((await sheetsOf(shop.scope)).map(({ model }) => model)).toContain('Quay 3');
		expect(await draftById(shop.scope, id)).toBeUndefined();
	});
	it('takes one of two changes at once, and tells the other person what it is now', async () => {
		const id = (await startDraft(shop.scope, lead(), empty('Two')))!;
		const mine = { ...empty('Two'), maker: 'mine' };
		const theirs = { ...empty('Two'), maker: 'theirs' };
		const answers = await Promise.all([mine, theirs].map((body) => saveDraft(shop.scope, lead(), id, 1, body)));
		expect(answers.map(({ kind }) => kind).sort()).toEqual(['changed', 'saved']);
		const refused = answers.find((answer) => answer.kind === 'changed')!;
		expect(refused.draft.version).toBe(2);
		expect((await draftById(shop.scope, id))!.body.maker).toBe(refused.draft.body.maker);
	});
	it('counts a repeated save whose answer was lost as saved', async () => {
		const id = (await startDraft(shop.scope, lead(), empty('Again')))!;
		const body = { ...empty('Again'), maker: 'once' };
		expect(await saveDraft(shop.scope, lead(), id, 1, body)).toEqual({ kind: 'saved', version: 2 });
		expect(await saveDraft(shop.scope, lead(), id, 1, body)).toEqual({ kind: 'saved', version: 2 });
	});
	it('refuses what is no sheet by its path, and leaves the draft', async () => {
		const id = (await startDraft(shop.scope, lead(), empty('Hostile')))!;
		for (const body of [null, 5, { ...empty('Hostile'), stations: 5 }, { ...empty('Hostile'), cylinders: 1e9 }])
			expect((await saveDraft(shop.scope, lead(), id, 1, body)).kind).toBe('malformed');
		const nul = await saveDraft(shop.scope, lead(), id, 1, { ...empty('Hostile'), maker: 'a\0b' });
		expect(nul).toMatchObject({ kind: 'malformed', message: 'contains a character that cannot be stored' });
		expect((await draftById(shop.scope, id))!.version).toBe(1);
	});
	it('is another shop’s never', async () => {
		const other = await makeShop(db, 'Elsewhere');
		const id = (await startDraft(shop.scope, lead(), empty('Own')))!;
		expect(await draftById(other.scope, id)).toBeUndefined();
		expect((await saveDraft(other.scope, other.people.lead, id, 1, empty('Own'))).kind).toBe('gone');
		expect(await discardDraft(other.scope, id)).toBe(false);
		expect(await discardDraft(shop.scope, id)).toBe(true);
		expect((await draftsOf(shop.scope)).map(({ model }) => model)).not.toContain('Own');
	});
});

describe('the next revision', () => {
	it('keeps the sheet as it was, and takes the next number', async () => {
		const before = (await newestSheet(shop.scope, MODEL))!;
		const id = (await startRevision(shop.scope, lead(), before.id))!;
		const draft = (await draftById(shop.scope, id))!;
		expect(draft).toMatchObject({ basedOn: before.id, body: { revision: before.body.revision + 1 } });
		const changed = withPartChanged(draft.body, draft.body.stations[0].key, { pieces: 5 });
		await saveDraft(shop.scope, lead(), id, 1, changed);
		expect((await finishDraft(shop.scope, id, 2)).kind).toBe('added');
		expect((await newestSheet(shop.scope, MODEL))!.body.stations[0].pieces).toBe(5);
		expect(await sheetById(shop.scope, before.id)).toEqual(before.body);
	});
});

it('saves each known layout unchanged as the same sheet but for its revision', async () => {
	const layouts = await layoutSheets();
	expect(layouts).toHaveLength(15);
	const own = await makeShop(db, 'Layouts');
	for (const layout of layouts) {
		if (layout.model !== MODEL) await addSheet(own.scope, JSON.stringify(layout));
		const { id: before } = (await newestSheet(own.scope, layout.model))!;
		const id = (await startRevision(own.scope, own.people.lead, before))!;
		const { body } = (await draftById(own.scope, id))!;
		expect(await saveDraft(own.scope, own.people.lead, id, 1, body)).toMatchObject({ kind: 'saved' });
		const made = await finishDraft(own.scope, id, 2);
		expect(made.kind === 'added' && (await sheetById(own.scope, made.id))).toEqual({ ...layout, revision: 2 });
	}
});
