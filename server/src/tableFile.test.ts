import { describe, expect, it } from 'vitest';
import { readRows, xlsxOf } from './tableFile';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('a table that comes in', () => {
	it('is read from CSV with comma, semicolon or tab, without empty rows', async () => {
		for (const sign of [',', ';', '\t'])
			expect(await readRows(bytes(['Item', 'Name'].join(sign) + '\r\n\r\n' + ['1', '"Ring, 24"'].join(sign)))).toEqual({
				kind: 'rows',
				rows: [
					['Item', 'Name'],
					['1', 'Ring, 24']
				],
				more: 0
			});
	});
	it('is read from XLSX as the texts that it shows', async () => {
		const rows = [
			['Item', 'Name'],
			[1, '=HYPERLINK("x")']
		];
		const book = await xlsxOf([{ name: 'Parts', rows, bold: [0], widths: [10, 30] }]);
		expect(await readRows(book)).toEqual({
			kind: 'rows',
			rows: [
				['Item', 'Name'],
				['1', '=HYPERLINK("x")']
			],
			more: 0
		});
	});
	it.each([
		['nothing', new Uint8Array()],
		['empty rows', bytes('\n,,\n')],
		['bytes that are no text', Uint8Array.of(1, 0, 2)],
		['a zip file that is no workbook', Uint8Array.of(0x50, 0x4b, 3, 4, 9, 9, 9)]
	])('%s is unreadable', async (_, table) => expect(await readRows(table)).toEqual({ kind: 'unreadable' }));
	it('is cut at 2000 rows, 30 columns and 300 characters, and says how many rows are left out', async () => {
		const wide = Array.from({ length: 40 }, () => 'x'.repeat(400)).join(',');
		const read = await readRows(bytes(Array.from({ length: 2500 }, () => wide).join('\n')));
		expect(read).toMatchObject({ kind: 'rows', more: 500 });
		if (read.kind !== 'rows') return;
		expect(read.rows).toHaveLength(2000);
		expect(read.rows[0]).toHaveLength(30);
		expect(read.rows[0][0]).toHaveLength(300);
	});
	it('loses control characters', async () => {
		expect(await readRows(bytes('a\u0007b,c'))).toMatchObject({ rows: [['a b', 'c']] });
	});
});
