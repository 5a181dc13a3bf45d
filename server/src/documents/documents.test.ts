import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase, makeShop, type TestShop } from '../testing';
import { attach, detach, documentById, documentsOf, type NewDocument } from './documents';
import { DOCUMENT_MOST, readDocument } from './readDocument';

const bytesOf = (text: string) => new Uint8Array(Buffer.from(text, 'latin1'));
const pdf = (content = '') => bytesOf(`%PDF-1.7\n1 0 obj << /Type /Catalog ${content} >> endobj\ntrailer\n%%EOF\n`);
function png(width: number, height: number): Uint8Array {
	const bytes = new Uint8Array(33);
	bytes.set([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, ...bytesOf('IHDR')]);
	const view = new DataView(bytes.buffer);
	view.setUint32(16, width);
	view.setUint32(20, height);
	return bytes;
}

describe('a document', () => {
	it('is told by what it is, whatever its name says', () => {
		expect(readDocument(pdf())).toBe('application/pdf');
		expect(readDocument(png(800, 600))).toBe('image/png');
		expect(readDocument(bytesOf('<html><script>alert(1)</script></html>'))).toBe('otherType');
		expect(readDocument(bytesOf('GIF89a'))).toBe('otherType');
		expect(readDocument(new Uint8Array())).toBe('otherType');
	});
	it.each([
		['a program', '/OpenAction << /S /JavaScript /JS (app.alert(1)) >>'],
		['a program, its name written in figures', '/OpenAction << /S /J#61vaScript >>'],
		['something to start', '/A << /S /Launch /F (cmd.exe) >>'],
		['a file that it carries', '/Names << /EmbeddedFiles 3 0 R >>'],
		['a form that sends', '/A << /S /SubmitForm >>']
	])('with %s is refused', (_, content) => expect(readDocument(pdf(content))).toBe('runsPrograms'));
	it('that ends too early, is too large or has no size is refused', () => {
		expect(readDocument(bytesOf('%PDF-1.7\n1 0 obj'))).toBe('broken');
		expect(readDocument(png(0, 10))).toBe('broken');
		expect(readDocument(png(20_000, 10))).toBe('tooLarge');
		expect(readDocument(png(10, 10).slice(0, 20))).toBe('broken');
		expect(readDocument(bytesOf('\xff\xd8\xff\xe0'))).toBe('broken');
		expect(readDocument(new Uint8Array(DOCUMENT_MOST.bytes + 1))).toBe('tooHeavy');
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

	it('lie at the sheet, a step or a part of it, and come back as they went in', async () => {
		const answer = await put({ about: 'station', key: 'packing', name: 'Packing, which way round', bytes: png(8, 6) });
		if (answer.kind !== 'attached') throw new Error(answer.kind);
		expect(await documentsOf(shop.scope, 'Marram')).toEqual([
			{ id: answer.id, about: 'station', key: 'packing', name: 'Packing, which way round', type: 'image/png' }
		]);
		const whole = await documentById(shop.scope, answer.id);
		expect(whole?.bytes).toEqual(Buffer.from(png(8, 6)));
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
