import type { ListedPart } from '@exetasis/core/draft';
import { parseQuantity } from '@exetasis/core/quantity';

/** Which column of a table holds what; -1: none. */
export interface Columns {
	readonly item: number;
	readonly description: number;
	readonly quantity: number;
}

type Rows = readonly (readonly string[])[];

const heads = {
	item: /^(item|pos|position|ref|no|nr|#|number)\b/i,
	description: /(descr|name|part$|designation|text)/i,
	quantity: /(qty|quantity|pieces|pcs|count|amount)/i
};

/** The columns by their names in the first row; without a name for the description, the column with the longest texts. */
export function guessedColumns(rows: Rows): Columns {
	const [first = []] = rows;
	const named = (what: keyof typeof heads) => first.findIndex((head) => heads[what].test(head.trim()));
	const length = (column: number) => rows.slice(0, 50).reduce((sum, row) => sum + (row[column]?.length ?? 0), 0);
	const longest = first.map((_, i) => i).reduce((best, i) => (length(i) > length(best) ? i : best), 0);
	const description = named('description');
	return { item: named('item'), description: description < 0 ? longest : description, quantity: named('quantity') };
}

/** What a table says of parts. Rows are counted from 1. */
export interface TableLines {
	readonly lines: readonly ListedPart[];
	/** Rows without a description: they are no part. */
	readonly broken: readonly number[];
	/** Rows whose quantity cannot be read: one piece is assumed. */
	readonly assumed: readonly number[];
}

const MOST_PIECES = 200;

function piecesIn(text: string): number | undefined {
	const parsed = parseQuantity(text, 'pieces');
	const fits = parsed.kind === 'quantity' && Number.isInteger(parsed.base);
	return fits && parsed.base >= 1 && parsed.base <= MOST_PIECES ? parsed.base : undefined;
}

/** The lines of a table. The row of heads is no line. */
export function linesIn(rows: Rows, { item, description, quantity }: Columns): TableLines {
	const hasHeads = (rows.at(0) ?? []).some((cell) => Object.values(heads).some((head) => head.test(cell.trim())));
	const lines: ListedPart[] = [];
	const broken: number[] = [];
	const assumed: number[] = [];
	rows.forEach((row, i) => {
		if (i === 0 && hasHeads) return;
		const text = row[description]?.trim() ?? '';
		if (text === '') {
			broken.push(i + 1);
			return;
		}
		const pieces = piecesIn(row[quantity] ?? '');
		if (pieces === undefined) assumed.push(i + 1);
		lines.push({ item: row[item] ?? '', description: text, quantity: pieces ?? 1 });
	});
	return { lines, broken, assumed };
}
