// The list that is handed out, read back as others read it.
import ExcelJS from 'exceljs';
import { describe, expect, it } from 'vitest';
import { orderAsCsv, orderAsPdf, orderAsXlsx, type OrderList } from './orderList';

const list: OrderList = {
	title: 'Order for MAR-1 “Deck wash”',
	currency: 'EUR',
	lines: [
		{ number: 'MAR-P', name: 'Packings, one "pump"', count: 2, price: 96.5, from: 'order' },
		{ number: '=1+1', name: 'Plunger', count: 1, price: 85, from: 'stock' }
	],
	consumables: ['Silicone grease']
};

describe('the order as a list', () => {
	it('is CSV that a spreadsheet takes and does not run', () =>
		expect(orderAsCsv(list).split('\r\n')).toEqual([
			'"Number","Part","Pieces","Price","Sum","From"',
			'"MAR-P","Packings, one ""pump""",2,96.5,193,"to order"',
			'"\'=1+1","Plunger",1,85,85,"own stock"',
			''
		]));
	it('is a workbook with its sum', async () => {
		const book = new ExcelJS.Workbook();
		await book.xlsx.load((await orderAsXlsx(list)).buffer as ArrayBuffer);
		const sheet = book.getWorksheet('Order')!;
		expect(sheet.getRow(1).getCell(1).value).toBe(list.title);
		expect(sheet.getRow(3).getCell(5).value).toBe(193);
		expect(sheet.getRow(5).getCell(5).value).toBe(278);
		expect(sheet.getRow(4).getCell(1).value).toBe('=1+1'); // a text, no formula
	});
	it('is a PDF of one page', async () => {
		const pdf = Buffer.from(await orderAsPdf(list)).toString('latin1');
		expect(pdf.startsWith('%PDF-1.')).toBe(true);
		expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
	});
});
