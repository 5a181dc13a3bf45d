import { createHash } from 'node:crypto';
import { v7 as uuidv7 } from 'uuid';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { JobFile } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { of } from '../db/scope';
import { addGauge } from '../gauges';
import { benchOf } from '../jobs/bench';
import { keepPhoto } from '../photos/photos';
import {
	addPerson,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	type TestShop
} from '../testing';
import { exportJob } from './exportJob';
import { importJob } from './importJob';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let released: string;
let open: string;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	released = (await wholeJob()).text;
	const bench = await openJob(shop, { meterHours: 2000 });
	open = (await exportJob(shop.scope, bench.job.id, { photos: true }))!.text;
});
afterAll(() => database.drop());

// The smallest JPEG that is read as one: start, a frame of 8 × 8, a scan, end.
const jpeg = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#5a7' } })
	.jpeg()
	.toBuffer();
const sha256 = createHash('sha256').update(jpeg).digest('hex');

async function wholeJob(): Promise<{ serial: string; text: string }> {
	const user = shop.people.technician;
	const gauge = await addGauge(
		shop.scope,
		{
			name: '@ the bench',
			kind: 'micrometer',
			resolution: 0.001,
			repeatability: 0.0008,
			repeatabilityDof: 9,
			reproducibility: 0.0005,
			expansionPerKelvin: 11.5e-6
		},
		{ certificate: 'C-1', calibratedOn: '2026-01-01', dueOn: '2027-01-01', expandedU: 0.002, k: 2 }
	);
	const bench = await openJob(shop, { duty: { liquid: 'seawater', pressureMPa: 7 } });
	const plunger = partAt(bench, 'plunger', 1);
	const reading = entryOf(
		bench,
		user,
		'reading',
		{
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value: 17.99,
			typed: { text: '17.99', unit: 'mm' },
			gauge: (gauge as { id: string }).id
		},
		plunger
	);
	const note = entryOf(bench, user, 'note', { text: '@person/1 said so' }, plunger);
	await keepPhoto(shop.scope, user.id, bench.job.id, sha256, jpeg);
	const answers = await append(shop.scope, user, bench.job.id, [
		reading,
		note,
		entryOf(bench, user, 'photo', { sha256, width: 8, height: 8 }, plunger),
		entryOf(bench, user, 'withdraw', { entry: reading.id, why: 'slipped' }),
		...decideAll(bench, user, 'reuse').slice(0, -2),
		...decideAll(bench, user, 'replace').slice(-2)
	]);
	expect(answers!.filter(({ result }) => result !== 'accepted')).toEqual([]);
	expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released', replaced: 1 });
	return (await exportJob(shop.scope, bench.job.id, { photos: true }))!;
}

/** A shop that knows nothing yet: no sheet, no gauge, no pump. */
async function emptyShop(name: string): Promise<TestShop['scope']> {
	const shopId = uuidv7();
	await database.db.models.shop.create({ id: shopId, name, currency: 'EUR', demo: false });
	await addPerson(database.db, shopId, 'lead', name);
	return { db: database.db, shopId };
}

const changed = (text: string, change: (file: JobFile) => void): string => {
	const file = JSON.parse(text) as JobFile;
	change(file);
	return JSON.stringify(file);
};

describe('a job as a file', () => {
	it('names no id of the database but its entries’, nor anyone’s address', () => {
		const file = JSON.parse(released) as JobFile;
		const entries = new Set(file.log.map(({ id }) => id));
		const ids = released.match(/[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g)!;
		expect(ids.filter((id) => !entries.has(id))).toEqual([]);
		expect(released).not.toContain('.example');
	});

	it.each([
		['released', () => released],
		['open', () => open]
	])('%s: taken into an empty shop it goes out again as the same text', async (name, text) => {
		const scope = await emptyShop(`Empty ${name}`);
		const imported = await importJob(scope, text());
		expect(imported.kind).toBe('imported');
		const { jobId } = imported as { jobId: string };
		expect((await exportJob(scope, jobId, { photos: true }))!.text).toBe(text());
		const bench = (await benchOf(scope, jobId))!;
		expect(bench.cells.length).toBeGreaterThan(20);
		expect(await importJob(scope, text())).toMatchObject({ kind: 'pumpKnown' });
	});

	it('is taken in once by two at once', async () => {
		const scope = await emptyShop('Two at once');
		const answers = await Promise.all([importJob(scope, open), importJob(scope, open), importJob(scope, open)]);
		expect(answers.map(({ kind }) => kind).sort()).toEqual(['imported', 'pumpKnown', 'pumpKnown']);
		expect(await of(scope, 'job').count({})).toBe(1);
	});

	it('keeps what was taken back taken back, and the text of a note as it was typed', async () => {
		const scope = await emptyShop('Words');
		const { jobId } = (await importJob(scope, released)) as { jobId: string };
		expect(await of(scope, 'withdrawnEntry').count({ jobId })).toBe(1);
		const notes = await of(scope, 'logEntry').all({ jobId, kind: 'note' });
		expect(notes.map(({ payload }) => payload)).toEqual([{ text: '@person/1 said so' }]);
		expect(await of(scope, 'reading').count({ jobId })).toBe(1);
	});

	it('makes people of the file no one who can sign in, and two files’ same person one', async () => {
		const scope = await emptyShop('People');
		await importJob(scope, released);
		await importJob(scope, open);
		const people = await of(scope, 'user').all({ active: false });
		expect(people.map(({ name }) => name).sort()).toEqual(['lead of Harrow', 'technician of Harrow']);
		const accounts = await database.db.models.account.count({ where: { userId: people.map(({ id }) => id) } });
		expect(accounts).toBe(0);
	});

	const part = (file: JobFile) => file.log.find(({ kind }) => kind === 'reading')!;
	it.each([
		['no JSON', () => '{', { kind: 'fault', path: '(text)' }],
		['nested 100,000 deep', () => '['.repeat(100_000) + ']'.repeat(100_000), { kind: 'fault' }],
		[
			'another version',
			() => changed(open, (file) => ((file as { version: number }).version = 2)),
			{ kind: 'fault', path: 'version' }
		],
		[
			'a field nobody knows',
			() => changed(open, (file) => Object.assign(file.job, { colour: 'blue' })),
			{ kind: 'fault', path: 'job' }
		],
		[
			'cylinders that it has not',
			() => changed(open, (file) => Object.assign(file.job.arrival, { cylinders: [9] })),
			{ kind: 'fault', path: 'job.arrival' }
		],
		[
			'cylinders that are no list',
			() => changed(open, (file) => Object.assign(file.job.arrival, { cylinders: 5 })),
			{ kind: 'fault', path: 'job.arrival' }
		],
		[
			'a scope that is none',
			() => changed(open, (file) => (file.job.scope = 'none')),
			{ kind: 'fault', path: 'job.scope' }
		],
		[
			'a sheet with a fault',
			() => changed(open, (file) => (file.sheet.cylinders = 0)),
			{ kind: 'fault', path: 'sheet.cylinders' }
		],
		[
			'a part where the sheet has none',
			() => changed(open, (file) => (file.mat[0].place = 'nowhere/1')),
			{ kind: 'wrongPart', place: 'nowhere/1' }
		],
		['two parts in one place', () => changed(open, (file) => (file.mat[1] = file.mat[0])), { kind: 'wrongPart' }],
		[
			'a part that went and left its place empty',
			() => changed(released, (file) => (file.fitted = [])),
			{ kind: 'wrongPart' }
		],
		[
			'a person who is none',
			() => changed(released, (file) => (part(file).by = '@person/99')),
			{ kind: 'unknownName', name: '@person/99' }
		],
		[
			'a gauge that is none',
			() => changed(released, (file) => Object.assign(part(file).payload as object, { gauge: '@gauge/none' })),
			{ kind: 'unknownName', name: '@gauge/none' }
		],
		[
			'a reading that cannot be',
			() => changed(released, (file) => Object.assign(part(file).payload as object, { value: 1e6 })),
			{ kind: 'wrongEntry' }
		],
		[
			'a size that the sheet has not',
			() => changed(released, (file) => Object.assign(part(file).payload as object, { characteristic: 'colour' })),
			{ kind: 'wrongEntry' }
		],
		['an entry twice', () => changed(released, (file) => file.log.push(file.log[0])), { kind: 'entriesTaken' }],
		[
			'a character that cannot be stored',
			() => changed(open, (file) => (file.job.complaint = 'a\0b')),
			{ kind: 'fault', path: 'job.complaint' }
		],
		[
			'a photograph that is another',
			() => changed(released, (file) => (file.photos[0].jpeg = 'AAAA')),
			{ kind: 'wrongPhoto' }
		],
		[
			'a release before the pump came',
			() => changed(released, (file) => (file.job.releasedAt = '2001-01-01T00:00:00.000Z')),
			{ kind: 'unworkable' }
		],
		[
			'rules that nobody can judge by',
			() => changed(released, (file) => (file.job.restedOn = {})),
			{ kind: 'fault', path: 'job.restedOn' }
		],
		[
			'a lead’s reason that cannot be printed',
			() =>
				changed(released, (file) => (file.job.restedOn = { ...file.job.restedOn, unbuilt: { steps: 'all', why: 7 } })),
			{ kind: 'fault', path: 'job.restedOn' }
		],
		[
			'a serial number of two lines',
			() => changed(released, (file) => (file.pump.serial = 'A-1\nATTENDEE:mailto:x@example.org')),
			{ kind: 'fault', path: 'pump.serial' }
		]
	])('with %s is refused, and leaves nothing behind', async (name, text, refused) => {
		const scope = await emptyShop(name);
		expect(await importJob(scope, text())).toMatchObject(refused);
		for (const table of ['pump', 'job', 'part', 'gauge', 'modelSheet', 'logEntry'] as const)
			expect(await of(scope, table).count({})).toBe(0);
		expect(await of(scope, 'user').count({ active: false })).toBe(0);
	});

	it('is refused where the shop’s own sheet or gauge of that name says something else', async () => {
		const scope = await emptyShop('Others');
		expect((await importJob(scope, open)).kind).toBe('imported');
		const sheet = changed(released, (file) => (file.sheet.layout = 'L2'));
		expect(await importJob(scope, sheet)).toMatchObject({ kind: 'otherSheet', model: 'Marram' });
		expect((await importJob(scope, released)).kind).toBe('imported');
		const gauge = changed(released, (file) => {
			file.pump.serial = 'Another';
			file.gauges[0].resolution = 0.01;
		});
		expect(await importJob(scope, gauge)).toEqual({ kind: 'otherGauge', name: '@ the bench' });
	});
});
