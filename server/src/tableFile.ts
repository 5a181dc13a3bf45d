import ExcelJS from 'exceljs';

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
export interface WorkbookSheet {
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
