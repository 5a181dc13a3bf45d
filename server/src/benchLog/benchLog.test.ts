import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { fold } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { entriesOf } from '../benchLog/entries';
import { rows } from '../db/sql/statement';
import {
	type TestShop,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt
} from '../testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
});
afterAll(() => database.drop());

/** The job's log without the steps that were signed off when it was opened. */
const recorded = async ({ job }: { job: { id: string } }) =>
	(await entriesOf(shop.scope, job.id)).filter(({ kind }) => kind !== 'step' && kind !== 'answer');
const send = async (bench: Awaited<ReturnType<typeof openJob>>, entries: unknown[], user = shop.people.technician) =>
	(await append(shop.scope, user, bench.job.id, entries))!;

describe('a batch', () => {
	it('is taken, projected, and sending it again changes nothing', async () => {
		const bench = await openJob(shop);
		const part = partAt(bench, 'plunger', 2);
		const payload = {
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value: 17.98,
			typed: { text: '17.98', unit: 'mm' }
		};
		const batch = [
			entryOf(
				bench,
				shop.people.technician,
				'finding',
				{ pattern: 'axialScoring', severity: 2, onset: 'service' },
				part
			),
			entryOf(bench, shop.people.technician, 'reading', payload, part),
			entryOf(bench, shop.people.technician, 'decision', { verdict: 'replace', proposed: 'replace' }, part)
		];
		expect((await send(bench, batch)).map(({ result }) => result)).toEqual(['accepted', 'accepted', 'accepted']);
		expect((await send(bench, batch)).map(({ result }) => result)).toEqual(['duplicate', 'duplicate', 'duplicate']);
		expect(await recorded(bench)).toMatchObject(batch);
		for (const table of ['inspection', 'reading', 'decision']) {
			expect(
				await rows(shop.scope, `SELECT 1 FROM ${table} WHERE shop_id = $1 AND job_id = $2`, [bench.job.id])
			).toHaveLength(1);
		}
	});

	it('with bad entries keeps the good ones and says what is wrong with each other', async () => {
		const bench = await openJob(shop);
		const { technician, viewer } = shop.people;
		const part = partAt(bench, 'plunger', 1);
		const reading = (value: number) => ({
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value,
			typed: { text: String(value), unit: 'mm' }
		});
		const good = entryOf(bench, technician, 'clean', {}, part);
		const answers = await send(bench, [
			good,
			{ ...good, id: uuidv7(), mood: 'good' },
			entryOf(bench, technician, 'reading', reading(3000), part),
			entryOf(bench, technician, 'clean', {}, uuidv7()),
			entryOf(bench, viewer, 'clean', {}, part),
			{ ...entryOf(bench, technician, 'clean', {}, part), job: uuidv7() },
			'nonsense',
			entryOf(bench, technician, 'correction', { text: 'not mine to do' })
		]);
		expect(answers.map((answer) => (answer.result === 'refused' ? answer.problem.code : answer.result))).toEqual([
			'accepted',
			'malformed',
			'implausible',
			'unknownPart',
			'notYours',
			'otherJob',
			'malformed',
			'leadOnly'
		]);
		expect(await recorded(bench)).toMatchObject([good]);
	});

	it('cannot reach a job of another shop, nor learn what numbers its entries have', async () => {
		const bench = await openJob(shop);
		const theirs = await openJob(other);
		expect(await append(shop.scope, shop.people.technician, theirs.job.id, [])).toBeUndefined();
		const entry = entryOf(bench, shop.people.technician, 'note', { text: 'first' });
		await send(bench, [entry]);
		const copy = { ...entryOf(theirs, other.people.technician, 'note', { text: 'second' }), id: entry.id };
		const [answer] = (await append(other.scope, other.people.technician, theirs.job.id, [copy]))!;
		expect(answer).toMatchObject({ result: 'accepted' });
		const elsewhere = await openJob(shop);
		const again = { ...entryOf(elsewhere, shop.people.technician, 'note', { text: 'third' }), id: entry.id };
		expect(await send(elsewhere, [again])).toMatchObject([{ problem: { code: 'idTaken' } }]);
	});

	it('of the same entries from two tablets at once is taken once', async () => {
		const bench = await openJob(shop);
		const batch = Array.from({ length: 40 }, (_, i) =>
			entryOf(bench, shop.people.technician, 'note', { text: `note ${i}` })
		);
		const answers = await Promise.all([send(bench, batch), send(bench, [...batch].reverse()), send(bench, batch)]);
		expect(answers.flat().filter(({ result }) => result === 'accepted')).toHaveLength(batch.length);
		expect(await recorded(bench)).toHaveLength(batch.length);
	});
});

describe('marks and new sizes', () => {
	const line = { shape: 'line', fromMm: 32, toMm: 50, fromDeg: 90, toDeg: 90 };
	const fitted = { characteristic: 'diameter', value: 17.998, typed: { text: '17.998', unit: 'mm' } };
	it('are taken where the sheet has such a surface or size, and refused elsewhere', async () => {
		const bench = await openJob(shop, { scope: 'full' });
		const user = shop.people.technician;
		const [plunger, wick] = [partAt(bench, 'plunger', 1), partAt(bench, 'wick', 1)];
		const answers = await send(bench, [
			entryOf(bench, user, 'mark', line, plunger),
			entryOf(bench, user, 'mark', { ...line, toMm: 95 }, plunger),
			entryOf(bench, user, 'mark', line, wick),
			entryOf(bench, user, 'mark', { ...line, toMm: 10 }, plunger),
			entryOf(bench, user, 'fitted', fitted, plunger),
			entryOf(bench, user, 'fitted', fitted, wick),
			entryOf(bench, user, 'fitted', { ...fitted, value: 0.708, typed: { text: '0.708', unit: 'mm' } }, plunger)
		]);
		expect(answers.map((answer) => (answer.result === 'refused' ? answer.problem.code : answer.result))).toEqual([
			'accepted',
			'markOffSurface',
			'markOffSurface',
			'malformed',
			'accepted',
			'characteristicNotOnSheet',
			'implausible'
		]);
	});
	it('of one plunger painted by two people are both kept; one taken off comes not back by itself', async () => {
		const bench = await openJob(shop, { scope: 'full' });
		const { technician, lead } = shop.people;
		const part = partAt(bench, 'plunger', 1);
		const mine = entryOf(bench, technician, 'mark', line, part);
		await send(bench, [mine]);
		await send(bench, [entryOf(bench, lead, 'mark', { ...line, fromDeg: 180, toDeg: 180 }, part)], lead);
		const marks = async () => fold(await entriesOf(shop.scope, bench.job.id)).parts.get(part)?.marks ?? [];
		expect(await marks()).toHaveLength(2);
		await send(bench, [entryOf(bench, technician, 'withdraw', { entry: mine.id, why: 'mark removed' })]);
		expect((await marks()).map(({ by }) => by)).toEqual([lead.id]);
	});
});

describe('withdraw', () => {
	it('takes an entry out of the projections and leaves it in the log; withdrawn itself, it comes back', async () => {
		const bench = await openJob(shop);
		const part = partAt(bench, 'packing', 1);
		const { technician } = shop.people;
		const mark = entryOf(bench, technician, 'finding', { pattern: 'glazed', severity: 1, onset: 'service' }, part);
		const undo = {
			...entryOf(bench, technician, 'withdraw', { entry: mark.id, why: 'undone' }),
			at: new Date(Date.now() + 1000).toISOString()
		};
		const redo = {
			...entryOf(bench, technician, 'withdraw', { entry: undo.id, why: 'redone' }),
			at: new Date(Date.now() + 2000).toISOString()
		};
		const standing = () =>
			rows(shop.scope, 'SELECT 1 FROM standing_inspection WHERE shop_id = $1 AND job_id = $2', [bench.job.id]);
		await send(bench, [mark, undo]);
		expect(await standing()).toHaveLength(0);
		await send(bench, [redo]);
		expect(await standing()).toHaveLength(1);
		expect(await recorded(bench)).toHaveLength(3);
	});
});

describe('the log itself', () => {
	it.each(["UPDATE log_entry SET kind = 'note'", 'DELETE FROM log_entry', 'TRUNCATE log_entry CASCADE'])(
		'refuses %s',
		async (statement) => {
			await send(await openJob(shop), []);
			const bench = await openJob(shop);
			await send(bench, [entryOf(bench, shop.people.technician, 'note', { text: 'stays' })]);
			await expect(database.db.sequelize.query(statement)).rejects.toMatchObject({ parent: { code: '23001' } });
		}
	);
	it('refuses an entry for a part that does not lie on the mat, whatever the code above forgets', async () => {
		const bench = await openJob(shop);
		const elsewhere = partAt(await openJob(shop), 'plunger', 1);
		const insert = `INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at)
			VALUES ($2, $1, $3, $4, 'clean', '{}', $5, now()) RETURNING 1`;
		await expect(
			rows(shop.scope, insert, [uuidv7(), bench.job.id, elsewhere, shop.people.technician.id])
		).rejects.toMatchObject({ parent: { code: '23503' } });
	});
	it('is asked for within the shop only: a query that forgets it is refused', async () =>
		expect(rows(shop.scope, 'SELECT * FROM log_entry')).rejects.toThrow('without its shop'));
});

describe('a released job', () => {
	it('takes no more entries but a lead’s correction, which strikes an entry out', async () => {
		const bench = await openJob(shop);
		const { technician, lead } = shop.people;
		const work = decideAll(bench, technician, 'reuse');
		await send(bench, work);
		expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
		const late = entryOf(bench, technician, 'note', { text: 'one more thing' });
		expect(await send(bench, [late])).toMatchObject([{ problem: { code: 'released' } }]);
		const correction = {
			...entryOf(bench, lead, 'correction', { entry: work[0].id, text: 'was not clean' }),
			at: new Date(Date.now() + 1000).toISOString()
		};
		expect(await send(bench, [correction], lead)).toMatchObject([{ result: 'accepted' }]);
		expect(
			await rows(shop.scope, 'SELECT 1 FROM withdrawn_entry WHERE shop_id = $1 AND entry_id = $2', [work[0].id])
		).toHaveLength(1);
	});
});
