import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase, makeShop, type TestShop } from '../testing';
import { attach, detach, documentById, documentsOf, type NewDocument } from './documents';
import { DOCUMENT_MOST, readDocument } from './readDocument';

const bytesOf = (text: string) => new Uint8Array(Buffer.from(text, 'latin1'));

/** A PDF of one empty page, with this in its catalogue, these objects beside it, and this in its trailer. */
const pdf = ({ catalog = '', objects = '', trailer = '', pages = 1 } = {}) => {
	const numbers = Array.from({ length: pages }, (_, i) => 100 + i);
	return bytesOf(
		[
			`%PDF-1.7\n1 0 obj << /Type /Catalog /Pages 2 0 R ${catalog} >> endobj`,
			`2 0 obj << /Type /Pages /Kids [${numbers.map((n) => `${n} 0 R`).join(' ')}] /Count ${pages} >> endobj`,
			...numbers.map((n) => `${n} 0 obj << /Type /Page /Parent 2 0 R /MediaBox [0 0 100 100] >> endobj`),
			objects,
			`trailer << /Root 1 0 R ${trailer} >>\n%%EOF\n`
		].join('\n')
	);
};
const packed = (content: string) => {
	const bytes = deflateSync(Buffer.from(content, 'latin1'));
	const first = '8 0 '.length;
	return `7 0 obj << /Type /ObjStm /N 1 /First ${first} /Filter /FlateDecode /Length ${bytes.length} >>\nstream\n${bytes.toString('latin1')}\nendstream endobj`;
};
const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#fff' } });
const problemOf = async (bytes: Uint8Array) => {
	const read = await readDocument(bytes);
	return read.kind === 'problem' ? read.problem : read.type;
};

describe('a document', () => {
	it('is recognised by its content, not by its name', async () => {
		expect(await problemOf(pdf())).toBe('application/pdf');
		expect(await problemOf(await plain(800, 600).png().toBuffer())).toBe('image/png');
		expect(await problemOf(await plain(800, 600).jpeg().toBuffer())).toBe('image/jpeg');
		expect(await problemOf(bytesOf('<html><script>alert(1)</script></html>'))).toBe('otherType');
		expect(await problemOf(bytesOf('<svg xmlns="http://www.w3.org/2000/svg"/>'))).toBe('otherType');
		expect(await problemOf(bytesOf('GIF89a'))).toBe('otherType');
		expect(await problemOf(new Uint8Array())).toBe('otherType');
	});
	it.each([
		['a program', { catalog: '/OpenAction << /S /JavaScript /JS (app.alert(1)) >>' }],
		['a program, its name written in figures', { catalog: '/OpenAction << /S /J#61vaScript >>' }],
		['something to start', { objects: '9 0 obj << /S /Launch /F (cmd.exe) >> endobj' }],
		['a file that it carries', { catalog: '/Names << /EmbeddedFiles 9 0 R >>' }],
		['a form that sends', { objects: '9 0 obj << /S /SubmitForm >> endobj' }],
		['a program in a compressed object stream', { objects: packed('8 0 << /S /JavaScript /JS (app.alert(1)) >>') }]
	])('with %s is refused', async (_, parts) => expect(await problemOf(pdf(parts))).toBe('runsPrograms'));
	it('that is encrypted, also where it opens without a word, is refused', async () => {
		const [user, owner] = ['(' + 'u'.repeat(32) + ')', '(' + 'o'.repeat(32) + ')'];
		const trailer = `/Encrypt << /Filter /Standard /V 1 /R 2 /P -4 /U ${user} /O ${owner} >> /ID [(a) (a)]`;
		expect(await problemOf(pdf({ trailer }))).toBe('encrypted');
	});
	it('that ends too early, is too large or too long is refused', async () => {
		expect(await problemOf(bytesOf('%PDF-1.7\n1 0 obj'))).toBe('broken');
		expect(await problemOf(bytesOf('%PDF-1.7\nnothing of use\n%%EOF'))).toBe('broken');
		expect(await problemOf(pdf({ pages: 201 }))).toBe('tooManyPages');
		const picture = await plain(300, 200).png().toBuffer();
		expect(await problemOf(picture.subarray(0, picture.length - 60))).toBe('broken');
		expect(await problemOf(picture.subarray(0, 20))).toMatch(/^(broken|otherType)$/);
		expect(await problemOf(new Uint8Array(DOCUMENT_MOST.bytes + 1))).toBe('tooHeavy');
	});
	it('of 144 million pixels in a few kilobytes is refused before it is decoded', async () => {
		const bomb = await plain(12_000, 12_000).png({ compressionLevel: 9 }).toBuffer();
		expect(bomb.length).toBeLessThan(DOCUMENT_MOST.bytes);
		expect(await problemOf(bomb)).toBe('tooLarge');
	});
	it('loses what it says of place and camera, and stands upright', async () => {
		const exif = { IFD0: { Make: 'Camera', ImageDescription: 'Skerry harbour' }, IFD3: { GPSLatitudeRef: 'N' } };
		for (const type of ['png', 'jpeg'] as const) {
			const told = await plain(30, 20).withExif(exif).withMetadata({ orientation: 6 }).toFormat(type).toBuffer();
			const read = await readDocument(told);
			if (read.kind !== 'document') throw new Error(read.problem);
			expect(read.bytes.includes('Skerry')).toBe(false);
			const { exif: left, iptc, xmp, width, height } = await sharp(read.bytes).metadata();
			expect([left, iptc, xmp]).toEqual([undefined, undefined, undefined]);
			expect([width, height]).toEqual([20, 30]);
		}
	});
});

describe('documents of a model', () => {
	let database: Awaited<ReturnType<typeof freshDatabase>>;
	let shop: TestShop;
	let other: TestShop;
	beforeAll(async () => {
		database = await freshDatabase();
		shop = await makeShop(database.db, 'Harrow');
		other = await makeShop(database.db, 'Skerry');
	});
	afterAll(() => database.drop());
	const put = (asked: Partial<NewDocument> = {}) =>
		attach(shop.scope, shop.people.lead, {
			...{ model: 'Marram', about: 'sheet', key: '', name: 'Section', bytes: pdf() },
			...asked
		});

	it('lie at the sheet, a step or a part of it, and come back', async () => {
		const answer = await put({
			about: 'station',
			key: 'packing',
			name: 'Packing, which way round',
			bytes: await plain(8, 6).png().toBuffer()
		});
		if (answer.kind !== 'attached') throw new Error(answer.kind);
		expect(await documentsOf(shop.scope, 'Marram')).toEqual([
			{ id: answer.id, about: 'station', key: 'packing', name: 'Packing, which way round', type: 'image/png' }
		]);
		const whole = await documentById(shop.scope, answer.id);
		expect(await sharp(whole!.bytes).metadata()).toMatchObject({ format: 'png', width: 8, height: 6 });
	});
	it('are refused where there is no such place, or they are none', async () => {
		expect(await put({ about: 'station', key: 'nothing' })).toEqual({ kind: 'unknownPlace' });
		expect(await put({ about: 'sheet', key: 'packing' })).toEqual({ kind: 'unknownPlace' });
		expect(await put({ model: 'None' })).toEqual({ kind: 'unknownPlace' });
		expect(await put({ bytes: bytesOf('text') })).toEqual({ kind: 'problem', problem: 'otherType' });
	});
	it('are of their own shop, and are taken away once', async () => {
		const answer = await put();
		if (answer.kind !== 'attached') throw new Error(answer.kind);
		expect(await documentById(other.scope, answer.id)).toBeUndefined();
		expect(await documentsOf(other.scope, 'Marram')).toEqual([]);
		expect(await detach(other.scope, answer.id)).toBe(false);
		expect([await detach(shop.scope, answer.id), await detach(shop.scope, answer.id)]).toEqual([true, false]);
	});
	it('are sixty at most', async () => {
		for (let i = (await documentsOf(shop.scope, 'Marram')).length; i < 60; i++) await put();
		expect(await put()).toEqual({ kind: 'tooMany', most: 60 });
	});
});
