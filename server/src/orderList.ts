import ExcelJS from 'exceljs';
import { pdfOf } from './pdf';

/** What is picked from the drawer and what is ordered, as a list to hand out. */
export interface OrderList {
	readonly title: string;
	readonly currency: string;
	readonly lines: readonly {
		readonly number: string;
		readonly name: string;
		readonly count: number;
		readonly price: number;
		readonly from: 'order' | 'stock';
	}[];
	readonly consumables: readonly string[];
}

const heads = ['Number', 'Part', 'Pieces', 'Price', 'Sum', 'From'] as const;
const from = { order: 'to order', stock: 'own stock' } as const;
const rowsOf = ({ lines }: OrderList) =>
	lines.map(({ number, name, count, price, from: where }) => [number, name, count, price, count * price, from[where]]);
const total = ({ lines }: OrderList) => lines.reduce((sum, { count, price }) => sum + count * price, 0);

// A spreadsheet runs what begins like a formula: such a text is kept one by an apostrophe (OWASP, CSV injection).
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
const quoted = (value: string | number): string =>
	typeof value === 'number' ? String(value) : `"${harmless(value).replaceAll('"', '""')}"`;

/** As RFC 4180 has it: comma, CRLF, texts quoted. */
export const orderAsCsv = (list: OrderList): string =>
	[heads, ...rowsOf(list)].map((row) => row.map(quoted).join(',')).join('\r\n') + '\r\n';

/** As a workbook of one sheet. */
export async function orderAsXlsx(list: OrderList): Promise<Uint8Array> {
	const book = new ExcelJS.Workbook();
	const sheet = book.addWorksheet('Order');
	sheet.addRow([list.title]);
	sheet.addRow([...heads]).font = { bold: true };
	for (const row of rowsOf(list)) sheet.addRow(row);
	sheet.addRow(['', 'Sum', '', '', total(list), list.currency]).font = { bold: true };
	for (const one of list.consumables) sheet.addRow(['', one]);
	sheet.columns.forEach((column, i) => (column.width = [16, 40, 9, 10, 10, 12][i]));
	return new Uint8Array(await book.xlsx.writeBuffer());
}

const A4_MARGIN = 40;

/** As a page to print. */
export async function orderAsPdf(list: OrderList): Promise<Uint8Array> {
	const money = (value: number) => value.toFixed(2);
	const table = [
		heads.map((text) => ({ text, bold: true })),
		...rowsOf(list).map(([number, name, count, price, sum, where]) => [
			String(number),
			String(name),
			{ text: String(count), alignment: 'right' },
			{ text: money(Number(price)), alignment: 'right' },
			{ text: money(Number(sum)), alignment: 'right' },
			String(where)
		])
	];
	return pdfOf({
		pageSize: 'A4',
		pageMargins: A4_MARGIN,
		defaultStyle: { font: 'Helvetica', fontSize: 10 },
		content: [
			{ text: list.title, fontSize: 15, bold: true, margin: [0, 0, 0, 10] },
			{ table: { headerRows: 1, widths: [80, '*', 40, 50, 55, 60], body: table }, layout: 'lightHorizontalLines' },
			{ text: `Sum: ${money(total(list))} ${list.currency}`, bold: true, margin: [0, 8, 0, 8] },
			...(list.consumables.length > 0 ? [{ text: `Also needed: ${list.consumables.join(', ')}` }] : [])
		]
	});
}
