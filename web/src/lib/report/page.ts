import type { PdfDocument } from '@exetasis/server/pdf';

// What both reports of a job are set from: definitions for pdfmake, as data.

export type Content = object | string;

export const head = (text: string): Content => ({
	text,
	bold: true,
	fontSize: 12,
	margin: [0, 12, 0, 4],
	headlineLevel: 1
});

export const table = (
	heads: readonly string[],
	widths: readonly (string | number)[],
	rows: readonly (readonly Content[])[]
): Content => ({
	table: {
		headerRows: 1,
		dontBreakRows: true,
		widths: [...widths],
		body: [heads.map((text) => ({ text, bold: true })), ...rows.map((row) => [...row])]
	},
	layout: 'lightHorizontalLines'
});

/** Facts beside their names, without lines. */
export const facts = (rows: readonly (readonly [string, string])[]): Content => ({
	table: { widths: [92, '*'], body: rows.map(([name, text]) => [{ text: name, color: SOFT }, text]) },
	layout: 'noBorders'
});

const SOFT = '#5a626b';
export const soft = (text: string): Content => ({ text, color: SOFT });

/** A page of A4 with its number and what it belongs to at the foot. */
export const a4 = (title: string, foot: string, content: readonly Content[]): PdfDocument => ({
	pageSize: 'A4',
	pageMargins: [40, 40, 40, 50],
	defaultStyle: { fontSize: 9, lineHeight: 1.15 },
	info: { title },
	foot,
	content
});
