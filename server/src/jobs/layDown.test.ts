// A pump without a sheet, stripped: against PostgreSQL.
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newSheet, withLaidDown, type LaidDown } from '@exetasis/core/draft';
import { partType } from '@exetasis/core/part';
import { MOST_STATIONS, type Entry } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import type { Database } from '../db/connection';
import { draftById, finishDraft, startRevision } from '../drafts';
import { addSheet, newestSheet } from '../sheets';
import { answersTo, entryOf, freshDatabase, makeShop, receiveJob, type TestShop } from '../testing';
import { benchOf, type Bench } from './bench';
import { addSize, layDown } from './layDown';
import { moveJob } from './moveJob';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Growing');
});
afterAll(() => drop());

const parts: readonly LaidDown[] = [
	{ type: 'valve', face: { toward: 'P', what: 'flat side', reversible: false } },
	{ type: 'lipSeal', pieces: 2 }
];

/** A pump of a model whose sheet has one part and was not checked, with its job. */
async function unknownPump(model: string): Promise<Bench> {
	const plate = { model, maker: 'not stated', cylinders: 3, strokeMm: 18, ratedPressureMPa: 12, ratedSpeedRpm: 1000 };
	const body = withLaidDown({ ...newSheet(plate), provisional: true }, [{ type: 'fastener', per: 'pump' }], {}).draft;
	const added = await addSheet(shop.scope, JSON.stringify(body));
	if (added.kind !== 'added') throw new Error(JSON.stringify(added));
	return receiveJob(shop, { pump: { serial: `S-${model}`, model }, scope: 'full' });
}
const record = async (bench: Bench, entries: readonly Entry[]) => {
	for (const answer of (await append(shop.scope, shop.people.technician, bench.job.id, entries))!)
		expect(answer.result).toBe('accepted');
};
const safe = async (bench: Bench) => {
	for (const step of bench.sheet.steps.slice(0, 2)) {
		await record(bench, answersTo(bench, shop.people.technician, step));
		await record(bench, [entryOf(bench, shop.people.technician, 'step', { step: step.key })]);
	}
};

describe('a pump without a sheet', () => {
	it('is not opened before lock-out and release of pressure', async () => {
		const bench = await unknownPump('Locked');
		expect(await layDown(shop.scope, bench.job.id, parts)).toEqual({ kind: 'blocked' });
	});
	it('lays down once what is sent again because its answer was lost, also at the same time', async () => {
		const bench = await unknownPump('Again');
		await safe(bench);
		const request = 'one-request';
		const send = () => layDown(shop.scope, bench.job.id, parts, { request });
		expect(await Promise.all([send(), send()])).toMatchObject([{ kind: 'laid' }, { kind: 'laid' }]);
		const [first, again] = [await send(), await send()];
		expect(first).toMatchObject({ kind: 'laid' });
		expect(again).toEqual(first);
		const { sheet } = (await benchOf(shop.scope, bench.job.id))!;
		expect(sheet.stations.map(({ type }) => type)).toEqual(['fastener', 'valve', 'lipSeal']);
	});
	it('gives pieces the ids of their tablet, so that what was recorded there has its part', async () => {
		const bench = await unknownPump('Inspected');
		await safe(bench);
		const ids = parts.map(() => Object.fromEntries([1, 2, 3].map((cylinder) => [cylinder, uuidv7()])));
		expect(await layDown(shop.scope, bench.job.id, parts, { ids })).toMatchObject({ kind: 'laid' });
		const after = (await benchOf(shop.scope, bench.job.id))!;
		const valves = after.cells.filter(({ station }) => station === after.sheet.stations[1].key);
		expect(Object.fromEntries(valves.map(({ cylinder, part }) => [cylinder, part]))).toEqual(ids[0]);
		const found = { pattern: partType('valve').patterns[0].pattern, severity: 1, onset: 'service' };
		await record(after, [entryOf(after, shop.people.technician, 'finding', found, ids[0][2])]);
	});
	it('takes no id that a part has already, in this shop or another', async () => {
		const bench = await unknownPump('Taken');
		await safe(bench);
		const other = await makeShop(db, 'Other growing');
		const taken = await receiveJob(other, {});
		const before = await benchOf(shop.scope, bench.job.id);
		for (const id of [taken.cells[0].part, bench.cells[0].part]) {
			const ids = [{ 1: id }];
			expect(await layDown(shop.scope, bench.job.id, parts, { ids })).toEqual({ kind: 'idsTaken' });
		}
		const twice = uuidv7();
		const ids = [{ 1: twice, 2: twice }];
		expect(await layDown(shop.scope, bench.job.id, parts, { ids })).toEqual({ kind: 'idsTaken' });
		expect(await benchOf(shop.scope, bench.job.id)).toEqual(before);
	});
	it('keeps no batch that gave no sheet: sent again it is answered the same', async () => {
		const bench = await unknownPump('Refused');
		await safe(bench);
		const many = Array.from({ length: MOST_STATIONS + 1 }, () => ({ type: 'oRing' as const }));
		const send = () => layDown(shop.scope, bench.job.id, many, { request: 'too-many' });
		expect(await send()).toMatchObject({ kind: 'faults' });
		expect(await send()).toMatchObject({ kind: 'faults' });
	});
	it('grows its mat and its sheet, and nothing recorded is lost', async () => {
		const bench = await unknownPump('Grows');
		await safe(bench);
		const before = (await benchOf(shop.scope, bench.job.id))!.entries.map(({ id }) => id);
		expect(before.length).toBeGreaterThanOrEqual(2);
		expect(await layDown(shop.scope, bench.job.id, parts)).toMatchObject({ kind: 'laid' });
		const after = (await benchOf(shop.scope, bench.job.id))!;
		expect(after.sheet.stations.map(({ type }) => type)).toEqual(['fastener', 'valve', 'lipSeal']);
		expect(after.sheet.stations[1].face).toMatchObject({ toward: 'P', what: 'flat side' });
		expect(after.sheet.stations[2].face.toward).toBe('notStated');
		expect(after.sheet.revision).toBe(2);
		expect(after.cells).toHaveLength(1 + 3 + 3);
		expect(after.entries.map(({ id }) => id)).toEqual(before);
		// What was forgotten is put in where it came off; a part that is not there stands for the end.
		const valve = after.sheet.stations[1].key;
		expect(await layDown(shop.scope, bench.job.id, [{ type: 'oRing' }], { behind: valve })).toMatchObject({
			kind: 'laid'
		});
		expect(await layDown(shop.scope, bench.job.id, [{ type: 'spring' }], { behind: 'nowhere' })).toMatchObject({
			kind: 'laid'
		});
		expect((await benchOf(shop.scope, bench.job.id))!.sheet.stations.map(({ type }) => type)).toEqual([
			'fastener',
			'valve',
			'oRing',
			'lipSeal',
			'spring'
		]);
	});
	it('takes what two tablets lay down at once, one after the other', async () => {
		const bench = await unknownPump('Twice');
		await safe(bench);
		const answers = await Promise.all(
			[parts, [{ type: 'oRing' as const }]].map((some) => layDown(shop.scope, bench.job.id, some))
		);
		expect(answers).toMatchObject([{ kind: 'laid' }, { kind: 'laid' }]);
		const { sheet, cells } = (await benchOf(shop.scope, bench.job.id))!;
		expect(sheet.stations).toHaveLength(4);
		expect(cells).toHaveLength(1 + 9);
	});
	it('gets a size with the new part beside it; its limit is that of like parts, and assumed', async () => {
		const bench = await unknownPump('Measured');
		const part = uuidv7();
		const size = { part, characteristic: 'diameter', nominal: 18 };
		expect(await addSize(shop.scope, bench.job.id, size)).toEqual({ kind: 'blocked' });
		await safe(bench);
		expect(await addSize(shop.scope, bench.job.id, size)).toEqual({ kind: 'unknownSize' });
		const ids = [{ 1: part, 2: uuidv7(), 3: uuidv7() }];
		await layDown(shop.scope, bench.job.id, [{ type: 'plunger' }], { ids });
		const twice = await Promise.all([size, size].map((added) => addSize(shop.scope, bench.job.id, added)));
		expect(twice.map(({ kind }) => kind)).toEqual(['laid', 'laid']);
		const other = await addSize(shop.scope, bench.job.id, { ...size, nominal: 20 });
		expect(other).toEqual({ kind: 'unknownSize' });
		const { sheet, cells } = (await benchOf(shop.scope, bench.job.id))!;
		const [diameter, ...others] = sheet.stations.at(-1)!.characteristics;
		expect(others).toEqual([]);
		expect(diameter).toMatchObject({ key: 'diameter', nominal: 18, limitFrom: 'assumed' });
		expect(diameter.min).toBeLessThan(18);
		expect(diameter.min).toBeGreaterThan(17);
		expect(cells).toHaveLength(1 + 3);
		const none = { ...size, characteristic: 'freeLength' };
		expect(await addSize(shop.scope, bench.job.id, none)).toEqual({ kind: 'unknownSize' });
	});
	it('is checked by a lead: the revision from the draft grows no more, and the job goes on with it', async () => {
		const bench = await unknownPump('Checked');
		await safe(bench);
		await layDown(shop.scope, bench.job.id, parts);
		const newest = (await newestSheet(shop.scope, 'Checked'))!;
		const draft = (await startRevision(shop.scope, shop.people.lead, newest.id))!;
		const { version } = (await draftById(shop.scope, draft))!;
		const made = await finishDraft(shop.scope, draft, version);
		expect(made.kind).toBe('added');
		if (made.kind !== 'added') return;
		expect((await newestSheet(shop.scope, 'Checked'))!.body.provisional).toBeUndefined();
		expect(await moveJob(shop.scope, bench.job.id, made.id)).toEqual({ kind: 'moved' });
		expect(await layDown(shop.scope, bench.job.id, parts)).toEqual({ kind: 'checked' });
	});
	it('takes no more parts than a sheet holds, and keeps what it has', async () => {
		const bench = await unknownPump('Full');
		await safe(bench);
		const many = Array.from({ length: 40 }, (): LaidDown => ({ type: 'oRing' }));
		for (const _ of ['41', '81', '121'])
			expect(await layDown(shop.scope, bench.job.id, many)).toMatchObject({ kind: 'laid' });
		expect((await layDown(shop.scope, bench.job.id, many)).kind).toBe('faults');
		expect((await benchOf(shop.scope, bench.job.id))!.sheet.stations).toHaveLength(121);
	});
	it('is another shop’s never', async () => {
		const bench = await unknownPump('Own');
		const elsewhere = await makeShop(db, 'Elsewhere');
		expect(await layDown(elsewhere.scope, bench.job.id, parts)).toEqual({ kind: 'unknownJob' });
	});
});
