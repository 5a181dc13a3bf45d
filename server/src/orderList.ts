import { pdfOf } from './pdf';
import { csvOf, xlsxOf } from './tableFile';

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

/** As RFC 4180 has it. */
export const orderAsCsv = (list: OrderList): string => csvOf([heads, ...rowsOf(list)]);

/** As a workbook of one sheet. */
export function orderAsXlsx(list: OrderList): Promise<Uint8Array> {
	const lines = rowsOf(list);
	const rows = [
		[list.title],
		[...heads],
		...lines,
		['', 'Sum', '', '', total(list), list.currency],
		...list.consumables.map((consumable) => ['', consumable])
	];
	return xlsxOf([{ name: 'Order', rows, bold: [1, lines.length + 2], widths: [16, 40, 9, 10, 10, 12] }]);
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
		defaultStyle: { fontSize: 10 },
		content: [
			{ text: list.title, fontSize: 15, bold: true, margin: [0, 0, 0, 10] },
			{ table: { headerRows: 1, widths: [80, '*', 40, 50, 55, 60], body: table }, layout: 'lightHorizontalLines' },
			{ text: `Sum: ${money(total(list))} ${list.currency}`, bold: true, margin: [0, 8, 0, 8] },
			...(list.consumables.length > 0 ? [{ text: `Also needed: ${list.consumables.join(', ')}` }] : [])
		]
	});
}
