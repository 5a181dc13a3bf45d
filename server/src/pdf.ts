// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the package brings no types; the web finds ours only so
/// <reference path="./pdfmake.d.ts" />
import pdfmake from 'pdfmake';

// The typefaces that every reader of PDF brings: nothing is fetched and nothing read.
const Helvetica = {
	normal: 'Helvetica',
	bold: 'Helvetica-Bold',
	italics: 'Helvetica-Oblique',
	bolditalics: 'Helvetica-BoldOblique'
};
pdfmake.setFonts({ Helvetica });
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((name) => Object.values(Helvetica).includes(name));

// What those typefaces have no shape for, in signs that they have.
const instead: Readonly<Record<string, string>> = {
	'\u202f': '\u00a0',
	'\u2009': '\u00a0',
	'−': '-',
	'≤': 'at most',
	'≥': 'at least',
	'→': 'to',
	'⋅': '·',
	'✓': 'ok'
};
const OTHER = /[^\u0000-\u00ff\u2013\u2014\u2018-\u201e\u2020-\u2022\u2026\u20ac\u2122]/g;
const drawable = (text: string): string =>
	text.replaceAll(/[\u202f\u2009−≤≥→⋅✓]/g, (sign) => instead[sign]).replaceAll(OTHER, '?');

/** Texts of a document as those typefaces can draw them; drawings and codes stay as they are. */
function withDrawableTexts(value: unknown, key = ''): unknown {
	if (typeof value === 'string') return key === 'svg' || key === 'qr' ? value : drawable(value);
	if (Array.isArray(value)) return value.map((one) => withDrawableTexts(one));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, withDrawableTexts(inner, name)]));
}

/** A document of pdfmake as bytes. Its typeface is Helvetica; signs that it has no shape for come as words, or as “?”. */
export const pdfOf = async (document: object): Promise<Uint8Array> =>
	new Uint8Array(await pdfmake.createPdf(withDrawableTexts(document) as object).getBuffer());
