import type { PriceLine } from '@exetasis/core/draft';
import { parseQuantity } from '@exetasis/core/quantity';

type Rows = readonly (readonly string[])[];

/** What a column of a price list may hold, in the order of the form. */
export const priceColumns = [
	['number', 'Part number', /^(part )?(number|no|nr|#|item)\b/i],
	['name', 'Part name', /(descr|name|part$|designation)/i],
	['price', 'Price', /^(unit )?(price|cost|net)/i],
	['deliveryDays', 'Delivery, days', /(deliver|lead time|days)/i],
	['kit', 'Kit number', /^kit( (number|no|nr))?$/i],
	['kitPrice', 'Kit price', /kit.*(price|cost)/i],
	['pieces', 'Pieces in the kit', /(qty|quantity|pieces|pcs|count)/i]
] as const satisfies readonly (readonly [keyof PriceLine, string, RegExp])[];
type Field = (typeof priceColumns)[number][0];

/** Which column of a table holds what; -1: none. */
export type PriceColumns = Readonly<Record<Field, number>>;

/** The columns by their names in the first row, each taken once; a kit's columns before the others. */
export function guessedPriceColumns([first = []]: Rows): PriceColumns {
	const found = new Map<Field, number>();
	const byCare = priceColumns.toSorted(([a], [b]) => Number(b.startsWith('kit')) - Number(a.startsWith('kit')));
	for (const [field, , pattern] of byCare) {
		const at = first.findIndex((head, i) => pattern.test(head.trim()) && ![...found.values()].includes(i));
		found.set(field, at);
	}
	return Object.fromEntries(found) as PriceColumns;
}

/** What a table says of prices and kits; rows are counted from 1. */
interface PriceLines {
	readonly lines: readonly PriceLine[];
	/** The row of each line. */
	readonly rows: readonly number[];
	/** Rows with a number that cannot be read; they are left out. */
	readonly broken: readonly number[];
}

const whole = (least: number, most: number) => (value: number) =>
	Number.isInteger(value) && value >= least && value <= most;
const holds: Partial<Record<Field, (value: number) => boolean>> = {
	price: (value) => value >= 0 && value <= 1e7,
	kitPrice: (value) => value >= 0 && value <= 1e7,
	deliveryDays: whole(0, 1000),
	pieces: whole(1, 200)
};

/** The lines of a table below its row of heads. An empty cell states nothing. */
export function priceLinesIn(rows: Rows, columns: PriceColumns): PriceLines {
	const read = rows.slice(1).map((row) => {
		const line: Record<string, string | number> = {};
		let broken = false;
		for (const [field] of priceColumns) {
			const text = row[columns[field]]?.trim() ?? '';
			if (text === '') continue;
			const check = holds[field];
			if (!check) {
				line[field] = text;
				continue;
			}
			const parsed = parseQuantity(text, 'pieces');
			if (parsed.kind === 'quantity' && check(parsed.base)) line[field] = parsed.base;
			else broken = true;
		}
		return { line: line as PriceLine, broken };
	});
	const good = read.flatMap(({ line, broken }, i) =>
		broken || Object.keys(line).length === 0 ? [] : [{ line, row: i + 2 }]
	);
	return {
		lines: good.map(({ line }) => line),
		rows: good.map(({ row }) => row),
		broken: read.flatMap(({ broken }, i) => (broken ? [i + 2] : []))
	};
}
