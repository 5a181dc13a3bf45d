import ExcelJS from 'exceljs';
import Papa from 'papaparse';

export type Cell = string | number | null;

// A spreadsheet runs what begins like a formula: such a text is kept one by an apostrophe (OWASP, CSV injection).
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
const quoted = (cell: Cell): string => {
	if (cell === null) return '';
	return typeof cell === 'number' ? String(cell) : `"${harmless(cell).replaceAll('"', '""')}"`;
};

/** Rows as RFC 4180 has them: comma, CRLF, texts quoted; nothing where nothing is known. */
export const csvOf = (rows: readonly (readonly Cell[])[]): string =>
	rows.map((row) => row.map(quoted).join(',')).join('\r\n') + '\r\n';

/** One sheet of a workbook; `heads` are the rows in bold, by position. */
interface WorkbookSheet {
	readonly name: string;
	readonly rows: readonly (readonly Cell[])[];
	readonly bold: readonly number[];
	/** Column widths in characters. */
	readonly widths: readonly number[];
}

/** A workbook of these sheets. Texts stay texts, whatever they begin with. */
export async function xlsxOf(sheets: readonly WorkbookSheet[]): Promise<Uint8Array> {
	const book = new ExcelJS.Workbook();
	for (const { name, rows, bold, widths } of sheets) {
		const sheet = book.addWorksheet(name);
		rows.forEach((row) => sheet.addRow([...row]));
		for (const index of bold) sheet.getRow(index + 1).font = { bold: true };
		sheet.columns.forEach((column, i) => (column.width = widths[i]));
	}
	return new Uint8Array(await book.xlsx.writeBuffer());
}

/** Most rows and columns that are read of a table; what is beyond is left, and said. */
const MOST_ROWS = 2000;
const MOST_COLUMNS = 30;
const MOST_TEXT = 300;

type ReadRows =
	| {
			readonly kind: 'rows';
			readonly rows: readonly (readonly string[])[];
			/** Rows that were left out. */ readonly more: number;
	  }
	| { readonly kind: 'unreadable' };

/**
 * The first sheet of a workbook (XLSX) or a CSV text as rows of texts, empty rows left out. A formula counts as its stored result.
 * What is neither, or holds no row, is unreadable.
 */
export async function readRows(bytes: Uint8Array): Promise<ReadRows> {
	const all = isZip(bytes) ? await workbookRows(bytes) : csvRows(bytes);
	const filled = (all ?? []).filter((row) => row.some((cell) => cell !== ''));
	if (filled.length === 0) return { kind: 'unreadable' };
	return { kind: 'rows', rows: filled.slice(0, MOST_ROWS), more: Math.max(0, filled.length - MOST_ROWS) };
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;
const cut = (cells: readonly string[]): string[] =>
	cells.slice(0, MOST_COLUMNS).map((cell) =>
		cell
			.replaceAll(/\p{Cc}+/gu, ' ')
			.toWellFormed()
			.trim()
			.slice(0, MOST_TEXT)
	);

function csvRows(bytes: Uint8Array): string[][] | undefined {
	const text = new TextDecoder().decode(bytes);
	if (text.includes('\0')) return undefined;
	return Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data.map(cut);
}

async function workbookRows(bytes: Uint8Array): Promise<string[][] | undefined> {
	const book = new ExcelJS.Workbook();
	try {
		await book.xlsx.load(bytes.slice().buffer);
	} catch {
		return undefined;
	}
	const rows: string[][] = [];
	book.worksheets.at(0)?.eachRow((row) => {
		const cells: string[] = [];
		row.eachCell({ includeEmpty: true }, (cell, column) => {
			if (column <= MOST_COLUMNS) cells[column - 1] = cell.text;
		});
		rows.push(cut(Array.from(cells, (cell) => cell ?? '')));
	});
	return rows;
}
