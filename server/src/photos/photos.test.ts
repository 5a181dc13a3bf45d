import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fold } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { entriesOf } from '../benchLog/entries';
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
import { keepPhoto, photoOf } from './photos';
import { readPhoto } from './readPhoto';

const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#5a7' } });
/** A segment after the head of a JPEG: what cameras and programs write beside the picture. */
const withSegment = (jpeg: Buffer, marker: number, content: string) => {
	const body = Buffer.from(content, 'latin1');
	const length = body.length + 2;
	return Buffer.concat([
		jpeg.subarray(0, 2),
		Buffer.from([0xff, marker, length >> 8, length & 255]),
		body,
		jpeg.subarray(2)
	]);
};
const nameOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

describe('the bytes of a photograph', () => {
	it('say their size, baseline or progressive', async () => {
		expect(await readPhoto(await plain(640, 480).jpeg().toBuffer(), 2000)).toEqual({ width: 640, height: 480 });
		const progressive = await plain(2000, 3).jpeg({ progressive: true }).toBuffer();
		expect(await readPhoto(progressive, 2000)).toEqual({ width: 2000, height: 3 });
	});
	it('are refused where the picture is too large, or says where and when it was taken', async () => {
		expect(await readPhoto(await plain(2001, 3).jpeg().toBuffer(), 2000)).toBe('tooLarge');
		expect(await readPhoto(await plain(12_000, 12_000).jpeg({ quality: 1 }).toBuffer(), 2000)).toBe('tooLarge');
		const exif = { IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '56/1 30/1 0/1' } };
		expect(await readPhoto(await plain(9, 9).withExif(exif).jpeg().toBuffer(), 2000)).toBe('withMetadata');
		const jpeg = await plain(9, 9).jpeg().toBuffer();
		const iptc = 'Photoshop 3.0\0' + '8BIM\x04\x04\0\0\0\0\0\x0a\x1c\x02\x5a\0\x05Skerr';
		expect(await readPhoto(withSegment(jpeg, 0xed, iptc), 2000)).toBe('withMetadata');
		const xmp = 'http://ns.adobe.com/xap/1.0/\0<x:xmpmeta xmlns:x="adobe:ns:meta/"/>';
		expect(await readPhoto(withSegment(jpeg, 0xe1, xmp), 2000)).toBe('withMetadata');
	});
	it('are refused where they are another kind of picture, none, or broken off', async () => {
		const whole = await plain(400, 300).jpeg().toBuffer();
		for (const bytes of [
			await plain(9, 9).png().toBuffer(),
			Buffer.from([]),
			Buffer.from([0xff, 0xd8, 0xff, 0xc0]),
			Buffer.from('<html><script>alert(1)</script></html>'),
			Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
			whole.subarray(0, whole.length - 200)
		])
			expect(await readPhoto(bytes, 2000)).toBe('notJpeg');
	});
	it('never make the reader fail', async () => {
		const whole = await plain(40, 30).jpeg().toBuffer();
		for (let seed = 1; seed < 200; seed++) {
			const bytes = Buffer.from(whole);
			for (let i = 0; i < 5; i++) bytes[(seed * 7919 + i * 104_729) % bytes.length] = (seed * 31 + i * 17) & 255;
			await expect(readPhoto(bytes, 2000)).resolves.toBeDefined();
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
		picture = await plain(640, 480).jpeg().toBuffer();
		name = nameOf(picture);
	});
	afterAll(() => database.drop());
	let picture: Buffer;
	let name: string;
	const keep = (job: string, bytes: Uint8Array = picture, as = nameOf(bytes)) =>
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
		expect(await photoOf(shop.scope, bench.job.id, name)).toEqual(picture);
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
		expect(
			await keep(
				job.id,
				await plain(9, 9)
					.withExif({ IFD0: { Make: 'x' } })
					.jpeg()
					.toBuffer()
			)
		).toBe('withMetadata');
	});
	it('does not come to a released job any more', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		await append(shop.scope, technician, bench.job.id, decideAll(bench, technician, 'replace'));
		expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
		expect(await keep(bench.job.id)).toBe('released');
	});
});
