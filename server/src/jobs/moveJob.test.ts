// Open jobs and the revisions of their sheet, against PostgreSQL.
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { withPart, withPartChanged, withStepsDrafted, withoutParts, type SheetDraft } from '@exetasis/core/draft';
import type { ModelSheet } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import type { Database } from '../db/connection';
import { addSheet, newestSheet } from '../sheets';
import {
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	MODEL,
	openJob,
	partAt,
	decideAll,
	type TestShop
} from '../testing';
import { benchOf } from './bench';
import { jobsOnOthers, moveJob } from './moveJob';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Revisions');
});
afterAll(() => drop());

/** Saves the next revision of the model's sheet; answers its id. */
async function revise(edit: (sheet: ModelSheet) => SheetDraft): Promise<string> {
	const { body } = (await newestSheet(shop.scope, MODEL))!;
	const added = await addSheet(shop.scope, JSON.stringify({ ...edit(body), revision: body.revision + 1 }));
	if (added.kind !== 'added') throw new Error(JSON.stringify(added));
	return added.id;
}

describe('an open job', () => {
	it('goes on with a revision that has one part more, and finds it on the mat', async () => {
		const { job } = await openJob(shop);
		const before = (await benchOf(shop.scope, job.id))!;
		const sheetId = await revise((sheet) =>
			withStepsDrafted(withPart(sheet, 3, { type: 'oRing', name: 'Forgotten ring' }).draft)
		);
		expect(await jobsOnOthers(shop.scope, MODEL, sheetId)).toContainEqual(
			expect.objectContaining({ id: job.id, serial: job.serial })
		);
		expect(await moveJob(shop.scope, job.id, sheetId)).toEqual({ kind: 'moved' });
		const after = (await benchOf(shop.scope, job.id))!;
		expect(after.cells.length).toBe(before.cells.length + 3);
		expect(
			after.cells
				.filter(({ station }) => station === 'forgottenRing')
				.map(({ cylinder }) => cylinder)
				.sort()
		).toEqual([1, 2, 3]);
		expect(after.entries).toEqual(before.entries);
		expect(await moveJob(shop.scope, job.id, sheetId)).toEqual({ kind: 'moved' });
		expect((await benchOf(shop.scope, job.id))!.cells).toHaveLength(after.cells.length);
	});
	it('stays where a part of its mat or a size that was read would lose its place', async () => {
		const bench = await openJob(shop);
		const reading = entryOf(
			bench,
			shop.people.technician,
			'reading',
			{ characteristic: 'diameter', row: 0, column: 0, value: 17.99, typed: { text: '17.99', unit: 'mm' } },
			partAt(bench, 'plunger', 1)
		);
		const [answer] = (await append(shop.scope, shop.people.technician, bench.job.id, [reading]))!;
		expect(answer.result).toBe('accepted');
		const noSeal = await revise((sheet) => withoutParts(sheet, ['lowPressureSeal']));
		expect(await moveJob(shop.scope, bench.job.id, noSeal)).toMatchObject({
			kind: 'loses',
			lost: [{ what: 'part' }]
		});
		const back = await revise(() => bench.sheet);
		expect(await moveJob(shop.scope, bench.job.id, back)).toEqual({ kind: 'moved' });
		const noDiameter = await revise((sheet) => withPartChanged(sheet, 'plunger', { characteristics: [] }));
		expect(await moveJob(shop.scope, bench.job.id, noDiameter)).toMatchObject({
			kind: 'loses',
			lost: [{ what: 'size' }]
		});
		expect((await benchOf(shop.scope, bench.job.id))!.sheet.revision).toBe(bench.sheet.revision + 2);
		// What was withdrawn is no loss.
		const withdraw = entryOf(bench, shop.people.technician, 'withdraw', { entry: reading.id, why: 'misread' });
		await append(shop.scope, shop.people.technician, bench.job.id, [withdraw]);
		expect(await moveJob(shop.scope, bench.job.id, noDiameter)).toEqual({ kind: 'moved' });
	});
	it('stays once it is released, and where the sheet is of another model', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		await append(shop.scope, technician, bench.job.id, decideAll(bench, technician, 'reuse'));
		const other = await addSheet(shop.scope, JSON.stringify({ ...bench.sheet, model: 'Other', revision: 1 }));
		expect(other.kind === 'added' && (await moveJob(shop.scope, bench.job.id, other.id))).toEqual({
			kind: 'otherModel'
		});
		expect((await releaseDespite(shop, bench.job.id)).kind).toBe('released');
		const { id } = (await newestSheet(shop.scope, MODEL))!;
		expect(await moveJob(shop.scope, bench.job.id, id)).toEqual({ kind: 'released' });
	});
	it('is another shop’s never', async () => {
		const { job } = await openJob(shop);
		const elsewhere = await makeShop(db, 'Elsewhere');
		const { id } = (await newestSheet(elsewhere.scope, MODEL))!;
		expect(await moveJob(elsewhere.scope, job.id, id)).toEqual({ kind: 'unknown' });
	});
});
