// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the package brings no types; the web finds ours only so
/// <reference path="./pdfmake.d.ts" />
import { createRequire } from 'node:module';
import { openSync, type Font } from 'fontkit';
import pdfmake from 'pdfmake';

/** A document of pdfmake as data: it can go to a thread. */
export interface PdfDocument {
	readonly content: readonly unknown[];
	readonly pageSize: string | { readonly width: number; readonly height: number };
	readonly pageMargins: number | readonly number[];
	readonly defaultStyle: { readonly fontSize: number; readonly lineHeight?: number };
	readonly info?: { readonly title: string };
	/** At the foot of every page, before its number; left out: nothing stands there. */
	readonly foot?: string;
}

// The typeface of the screen. It ships with the application and holds Latin, Greek, Cyrillic and the signs that we use.
const shipped = createRequire(import.meta.url);
const cut = (name: string) => shipped.resolve(`@expo-google-fonts/inter/${name}/Inter_${name}.ttf`);
const Inter = {
	normal: cut('400Regular'),
	bold: cut('600SemiBold'),
	italics: cut('400Regular_Italic'),
	bolditalics: cut('600SemiBold_Italic')
};
pdfmake.setFonts({ Inter });
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((name) => Object.values(Inter).includes(name));

let shapes: Font | undefined;
function drawable(text: string): string {
	const font = (shapes ??= openSync(Inter.normal) as Font);
	return [...text]
		.map((sign) => (sign === '\n' || font.hasGlyphForCodePoint(sign.codePointAt(0)!) ? sign : '?'))
		.join('');
}

// Drawings, codes and pictures stay as they are.
const NOT_TEXT = new Set(['svg', 'qr', 'image']);
function withDrawableTexts(value: unknown, key = ''): unknown {
	if (typeof value === 'string') return NOT_TEXT.has(key) ? value : drawable(value);
	if (Array.isArray(value)) return value.map((part) => withDrawableTexts(part));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, withDrawableTexts(inner, name)]));
}

/** A document as bytes, set in the shipped typeface; a sign that it has no shape for is written as “?”. */
export async function pdfOf({ foot, defaultStyle, ...document }: PdfDocument): Promise<Uint8Array> {
	const made = pdfmake.createPdf({
		...(withDrawableTexts(document) as object),
		defaultStyle: { font: 'Inter', ...defaultStyle },
		...(foot === undefined
			? {}
			: {
					footer: (page: number, of: number) => ({
						text: drawable(`${foot} · page ${page} of ${of}`),
						alignment: 'center',
						fontSize: 8,
						margin: [0, 16, 0, 0]
					})
				})
	});
	return new Uint8Array(await made.getBuffer());
}
