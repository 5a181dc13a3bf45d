import { createHash } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fold } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { entriesOf } from '../benchLog/entries';
import { type TestShop, decideAll, entryOf, freshDatabase, letGo, makeShop, openJob, partAt } from '../testing';
import { readJpeg } from './jpeg';
import { keepPhoto, photoOf } from './photos';

const segment = (marker: number, ...content: number[]) => [
	0xff,
	marker,
	(content.length + 2) >> 8,
	(content.length + 2) & 255,
	...content
];
const frame = (width: number, height: number, marker = 0xc0) =>
	segment(marker, 8, height >> 8, height & 255, width >> 8, width & 255, 1, 1, 0x11, 0);
const START = [0xff, 0xd8];
const scan = (...data: number[]) => [...segment(0xda, 1, 1, 0, 0, 63, 0), ...data, 0xff, 0xd9];
const jpeg = (...parts: number[][]) => Uint8Array.from([START, ...parts, scan(1, 2, 3)].flat());
const nameOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

describe('a JPEG', () => {
	it('says its size before its data, baseline or progressive', () => {
		expect(readJpeg(jpeg(segment(0xe0, 1, 2), frame(640, 480)), 2000)).toEqual({ width: 640, height: 480 });
		expect(readJpeg(jpeg(frame(2000, 3, 0xc2)), 2000)).toEqual({ width: 2000, height: 3 });
	});
	it('is refused where it is too large, carries metadata, or is none', () => {
		expect(readJpeg(jpeg(frame(2001, 3)), 2000)).toBe('tooLarge');
		expect(readJpeg(jpeg(segment(0xe1, 69, 120), frame(10, 10)), 2000)).toBe('withMetadata');
		expect(readJpeg(jpeg(), 2000)).toBe('notJpeg'); // no frame before its data
		expect(readJpeg(jpeg(frame(0, 10)), 2000)).toBe('notJpeg');
	});
	it.each([
		['nothing', []],
		['one byte', [0xff]],
		['a start alone', [...START, 0xff, 0xc0]],
		['a picture of another kind', [0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]],
		['a segment without length', [...START, 0xff, 0xe0, 0, 0, 0xff, 0xda]],
		['a segment that runs past the end', [...START, 0xff, 0xc0, 0, 200, 8, 0]],
		['a page of a site', [...Buffer.from('<html><script>alert(1)</script></html>')]]
	])('is not %s', (_, bytes) => {
		expect(readJpeg(Uint8Array.from(bytes), 2000)).toBe('notJpeg');
	});
	it('whatever bytes come is answered, and within its bounds', () => {
		for (let seed = 1; seed < 400; seed++) {
			const bytes = Uint8Array.from({ length: seed % 60 }, (_, i) =>
				i < 2 ? START[i] : (seed * (i + 7) * 2654435761) >>> 24
			);
			expect(() => readJpeg(bytes, 2000)).not.toThrow();
		}
	});
});

describe('a photograph', () => {
	let database: Awaited<ReturnType<typeof freshDatabase>>;
	let shop: TestShop;
	let other: TestShop;
	beforeAll(async () => {
		database = await freshDatabase();
		shop = await makeShop(database.db, 'Harrow');
		other = await makeShop(database.db, 'Skerry');
	});
	afterAll(() => database.drop());
	const picture = jpeg(frame(640, 480));
	const name = nameOf(picture);
	const keep = (job: string, bytes = picture, as = nameOf(bytes)) =>
		keepPhoto(shop.scope, shop.people.technician.id, job, as, bytes);

	it('is kept under its own name, once, also by two at once; its entry then lies on the part', async () => {
		const bench = await openJob(shop);
		const part = partAt(bench, 'plunger', 1);
		const entry = entryOf(bench, shop.people.technician, 'photo', { sha256: name, width: 640, height: 480 }, part);
		const send = () => append(shop.scope, shop.people.technician, bench.job.id, [entry]);
		expect(await send()).toMatchObject([{ result: 'refused', problem: { code: 'photoMissing' } }]);
		expect(await Promise.all([keep(bench.job.id), keep(bench.job.id), keep(bench.job.id)])).toEqual([
			'kept',
			'kept',
			'kept'
		]);
		expect(await send()).toMatchObject([{ result: 'accepted' }]);
		expect(await send()).toMatchObject([{ result: 'duplicate' }]);
		const state = fold(await entriesOf(shop.scope, bench.job.id));
		expect(state.parts.get(part)?.photos.map(({ payload }) => payload.sha256)).toEqual([name]);
		expect(await photoOf(shop.scope, bench.job.id, name)).toEqual(Buffer.from(picture));
	});
	it('is of its own shop and its own job', async () => {
		const [bench, another] = [await openJob(shop), await openJob(shop)];
		await keep(bench.job.id);
		expect(await photoOf(other.scope, bench.job.id, name)).toBeUndefined();
		expect(await photoOf(shop.scope, another.job.id, name)).toBeUndefined();
		expect(await keepPhoto(other.scope, other.people.technician.id, bench.job.id, name, picture)).toBeUndefined();
		const entry = entryOf(another, shop.people.technician, 'photo', { sha256: name, width: 640, height: 480 });
		expect(await append(shop.scope, shop.people.technician, another.job.id, [entry])).toMatchObject([
			{ problem: { code: 'photoMissing' } }
		]);
	});
	it('is refused with why', async () => {
		const { job } = await openJob(shop);
		expect(await keep(job.id, Uint8Array.from([1, 2, 3]))).toBe('notJpeg');
		expect(await keep(job.id, picture, 'f'.repeat(64))).toBe('otherName');
		expect(await keep(job.id, new Uint8Array(1_000_001))).toBe('tooHeavy');
		expect(await keep(job.id, jpeg(segment(0xe1, 1), frame(9, 9)))).toBe('withMetadata');
	});
	it('does not come to a released job any more', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		await append(shop.scope, technician, bench.job.id, decideAll(bench, technician, 'replace'));
		expect(await letGo(shop, bench.job.id)).toMatchObject({ kind: 'released' });
		expect(await keep(bench.job.id)).toBe('released');
	});
});
