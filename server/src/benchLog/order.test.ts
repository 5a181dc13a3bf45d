import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { fold, standingDecision, type Entry } from '@exetasis/core/record';
import { rows } from '../db/sql/statement';
import type { Bench } from '../jobs/bench';
import {
	type TestShop,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	receiveJob
} from '../testing';
import { append } from './append';
import { entriesOf } from './entries';
import { projectShop } from './withdrawals';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let bench: Bench;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	bench = await openJob(shop);
});
afterAll(() => database.drop());

const make = (kind: Entry['kind'], payload: object, part?: string, of = bench) =>
	entryOf(of, shop.people.technician, kind, payload, part);
const send = async (entries: unknown[], of = bench) =>
	(await append(shop.scope, shop.people.technician, of.job.id, entries))!;
const outcome = async (entries: unknown[], of = bench) =>
	(await send(entries, of)).map((answer) => (answer.result === 'refused' ? answer.problem.code : answer.result));
const inFuture = (ms: number) => new Date(Date.now() + ms).toISOString();
const standingInspections = (id: string) =>
	rows(shop.scope, 'SELECT 1 FROM standing_inspection WHERE shop_id = $1 AND entry_id = $2', [id]);
const part = (cylinder = 1) => partAt(bench, 'packing', cylinder);

describe('entries that cannot be', () => {
	const note = (change: object) => ({ ...make('note', { text: 'x' }), ...change });
	const reading = (change: object) =>
		make(
			'reading',
			{
				characteristic: 'insideDiameter',
				row: 0,
				column: 0,
				value: 17.7,
				typed: { text: '17.7', unit: 'mm' },
				...change
			},
			part()
		);
	it.each<[string, () => unknown, string]>([
		['an unknown gauge', () => reading({ gauge: uuidv7() }), 'unknownGauge'],
		['NUL', () => note({ payload: { text: 'a\0b' } }), 'malformed'],
		['half of a surrogate pair', () => note({ payload: { text: 'a\ud800b' } }), 'malformed'],
		['the year 0', () => note({ at: '0000-01-01T00:00:00.000Z' }), 'malformed'],
		['the year 99999', () => note({ at: '+099999-01-01T00:00:00.000Z' }), 'malformed'],
		['an id that is an object', () => note({ id: { toString: 'no' } }), 'malformed'],
		['an id that is a list', () => note({ id: [uuidv7()] }), 'malformed'],
		['__proto__', () => JSON.parse('{"__proto__":{"kind":"note"},"id":"x"}'), 'malformed'],
		['no entry at all', () => null, 'malformed'],
		['a value that is not what was typed', () => reading({ value: 17.9 }), 'notAsTyped'],
		['an infinite value', () => JSON.parse(JSON.stringify(reading({})).replace('17.7,', '1e309,')), 'malformed']
	])('%s is refused by itself, and what is behind it is taken', async (_, bad, code) =>
		expect(await outcome([bad(), make('note', { text: 'good' })])).toEqual([code, 'accepted'])
	);
	it('the same id twice in a batch is taken once; in capitals it is the same', async () => {
		const note = make('note', { text: 'once' });
		const capitals = { ...note, id: note.id.toUpperCase() };
		expect(await outcome([note, note, capitals])).toEqual(['accepted', 'duplicate', 'duplicate']);
		expect(await send([capitals])).toEqual([{ id: capitals.id, result: 'duplicate' }]);
	});
});

describe('the moment that counts', () => {
	const decide = (verdict: string, change: object) => ({
		...make('decision', { verdict, proposed: verdict }, part(2)),
		...change
	});
	const verdict = async () =>
		standingDecision(fold(await entriesOf(shop.scope, bench.job.id)).parts.get(part(2))!)!.payload.verdict;
	it('is never later than arrival: a tablet set to 2099 does not outvote what comes after it', async () => {
		await send([decide('reuse', { at: '2099-01-01T00:00:00.000Z' })]);
		await send([decide('replace', {})]);
		expect(await verdict()).toBe('replace');
	});
	it('is the tablet’s own, put right by what its clock is off', async () => {
		await send([decide('lookAgain', { at: inFuture(-5000) })]);
		// Ten minutes fast and knows it: made eight seconds ago, before the one above.
		await send([decide('reuse', { at: inFuture(592_000), offsetMs: -600_000 })]);
		expect(await verdict()).toBe('replace');
		const [row] = await rows<{ at: Date; effectiveAt: Date; receivedAt: Date }>(
			shop.scope,
			`SELECT at, effective_at AS "effectiveAt", received_at AS "receivedAt" FROM log_entry
			WHERE shop_id = $1 AND offset_ms = -600000`
		);
		expect(row.at.getTime() - row.effectiveAt.getTime()).toBe(600_000);
		expect(row.effectiveAt.getTime()).toBeLessThan(row.receivedAt.getTime());
	});
	it('of two entries of one moment is told by the tablet’s own count', async () => {
		const at = inFuture(60_000);
		const [first, second] = [decide('reuse', { at, seq: 7 }), decide('lookAgain', { at, seq: 8 })];
		await send([second, first]);
		const log = await entriesOf(shop.scope, bench.job.id);
		const now = new Date().toISOString();
		const tied = log.map((entry) => (entry.at === at ? { ...entry, effectiveAt: now } : entry));
		expect(standingDecision(fold(tied).parts.get(part(2))!)!.id).toBe(second.id);
	});
	it('lets a redo after an undo count on a fast tablet', async () => {
		const mark = {
			...make('finding', { pattern: 'glazed', severity: 1, onset: 'service' }, part(3)),
			at: inFuture(600_000),
			seq: 1
		};
		const undo = { ...make('withdraw', { entry: mark.id, why: 'undone' }), at: inFuture(600_001), seq: 2 };
		const redo = { ...make('withdraw', { entry: undo.id, why: 'redone' }), at: inFuture(600_002), seq: 3 };
		for (const entry of [mark, undo, redo]) await send([entry]);
		expect(await standingInspections(mark.id)).toHaveLength(1);
	});
});

describe('withdrawals', () => {
	const mark = () => make('finding', { pattern: 'glazed', severity: 1, onset: 'service' }, part(1));
	it('may arrive before what they take back', async () => {
		const late = mark();
		await send([make('withdraw', { entry: late.id, why: 'undone' })]);
		await send([late]);
		expect(await standingInspections(late.id)).toHaveLength(0);
	});
	it('of many people at once all count', async () => {
		const marks = Array.from({ length: 40 }, mark);
		await send(marks);
		await Promise.all(marks.map(({ id }) => send([make('withdraw', { entry: id, why: 'undone' })])));
		for (const { id } of marks) expect(await standingInspections(id)).toHaveLength(0);
	});
	it('can be made again from the log alone', async () => {
		const [gone, stays] = [mark(), mark()];
		await send([gone, stays, make('withdraw', { entry: gone.id, why: 'undone' })]);
		const all = () =>
			rows(shop.scope, 'SELECT entry_id, pattern, at FROM standing_inspection WHERE shop_id = $1 ORDER BY entry_id');
		const before = await all();
		await rows(shop.scope, 'DELETE FROM withdrawn_entry WHERE shop_id = $1');
		await rows(shop.scope, 'DELETE FROM inspection WHERE shop_id = $1');
		await projectShop(shop.scope);
		expect(await all()).toEqual(before);
	});
	it('and entries in opposite order from two tablets do not end each other', async () => {
		const batch = Array.from({ length: 200 }, () => make('note', { text: 'n' }));
		const both = await Promise.all([send(batch), send([...batch].reverse()), send(batch), send([...batch].reverse())]);
		expect(both.flat().filter(({ result }) => result === 'accepted')).toHaveLength(batch.length);
		expect(both.flat().filter(({ result }) => result === 'refused')).toHaveLength(0);
	});
});

describe('the order of steps', () => {
	const step = (key: string, of: Bench, change: object = {}) => ({
		...make('step', { step: key }, undefined, of),
		...change
	});
	it('is held: the last step first is refused, and nothing is recorded on a pump that is not safe', async () => {
		const fresh = await receiveJob(shop);
		expect(await outcome([step('nuts', fresh)], fresh)).toEqual(['stepTooEarly']);
		expect(await outcome([make('clean', {}, partAt(fresh, 'plunger', 1), fresh)], fresh)).toEqual(['notSafeYet']);
		const batch = [
			step('isolate', fresh),
			step('release', fresh),
			make('note', { text: 'seen' }, partAt(fresh, 'plunger', 1), fresh)
		];
		expect(await outcome(batch, fresh)).toEqual(['accepted', 'accepted', 'accepted']);
		expect(await outcome([step('gap', fresh)], fresh)).toEqual(['stepTooEarly']);
	});
	it('keeps what was signed off out of the network long ago', async () => {
		const fresh = await receiveJob(shop);
		const hourAgo = { at: new Date(Date.now() - 3_600_000).toISOString() };
		expect(await outcome([step('nuts', fresh, hourAgo)], fresh)).toEqual(['accepted']);
	});
	it('holds the release: every step of the job is signed off first', async () => {
		const fresh = await receiveJob(shop);
		await send(
			[step('isolate', fresh), step('release', fresh), ...decideAll(fresh, shop.people.technician, 'reuse')],
			fresh
		);
		const refused = await releaseDespite(shop, fresh.job.id);
		expect(refused).toMatchObject({ kind: 'stepsOpen', steps: expect.arrayContaining([expect.any(String)]) });
	});
});
