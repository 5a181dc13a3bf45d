import { inflateSync } from 'node:zlib';

export type PdfProblem = 'runsPrograms' | 'encrypted' | 'tooManyPages' | 'broken';

const MOST_PAGES = 200;
const MOST_MS = 8000;
const MOST_INFLATED = 30_000_000;
/** Names in a PDF by which it does more than show itself: programs, files that are carried along, forms that send. */
const ACTS = /\/(JavaScript|JS|Launch|EmbeddedFiles?|RichMedia|SubmitForm|ImportData|XFA)\b/;
const ACTIVE_KINDS = ['FileAttachment', 'RichMedia', 'Screen', 'Movie', 'Sound', '3D'];
const OBJECT_STREAM = /\/ObjStm\b[^]{0,2000}?stream\r?\n/g;

/**
 * Why a PDF is not kept; undefined where it is one that only shows itself. It is parsed to its last page. What acts is looked for in what the
 * parser finds and by name, also in compressed object streams.
 *
 * Source: ISO 32000-1, 7.3.5 (names), 7.5.7 (object streams), 12.6.4 (actions).
 */
export async function pdfProblem(bytes: Uint8Array): Promise<PdfProblem | undefined> {
	const text = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
	if (!text.slice(-1024).includes('%%EOF')) return 'broken';
	const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
	const loading = getDocument({
		data: Uint8Array.from(bytes), // the parser takes its bytes away
		isEvalSupported: false,
		useSystemFonts: false,
		disableFontFace: true,
		verbosity: 0
	});
	let late: NodeJS.Timeout | undefined;
	const tooLong = new Promise<'broken'>((done) => (late = setTimeout(() => done('broken'), MOST_MS)));
	try {
		return await Promise.race([tooLong, problemIn(loading.promise, text)]);
	} catch (cause) {
		return cause instanceof Error && cause.name === 'PasswordException' ? 'encrypted' : 'broken';
	} finally {
		clearTimeout(late);
		await loading.destroy();
	}
}

type Parsed = Awaited<ReturnType<(typeof import('pdfjs-dist/legacy/build/pdf.mjs'))['getDocument']>['promise']>;

async function problemIn(parsing: Promise<Parsed>, text: string): Promise<PdfProblem | undefined> {
	const parsed = await parsing;
	// What opens without a word may still be encrypted: nothing in it can be looked through.
	const { info } = await parsed.getMetadata();
	if ((info as { EncryptFilterName?: string | null }).EncryptFilterName) return 'encrypted';
	if (parsed.numPages > MOST_PAGES) return 'tooManyPages';
	if ((await parsed.hasJSActions()) || (await parsed.getAttachments())) return 'runsPrograms';
	for (let number = 1; number <= parsed.numPages; number++) {
		const page = await parsed.getPage(number);
		const annotations = (await page.getAnnotations()) as { subtype?: string; actions?: unknown }[];
		if (annotations.some(({ subtype, actions }) => actions || ACTIVE_KINDS.includes(subtype ?? '')))
			return 'runsPrograms';
		page.cleanup();
	}
	return acts(text) || objectStreams(text).some(acts) ? 'runsPrograms' : undefined;
}

// A name may be written in figures.
const acts = (text: string): boolean =>
	ACTS.test(text.replace(/#([0-9a-f]{2})/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16))));

/** What the compressed object streams hold. Errors: of zlib, where one cannot be read. */
function objectStreams(text: string): string[] {
	let left = MOST_INFLATED;
	return [...text.matchAll(OBJECT_STREAM)].map(({ 0: head, index }) => {
		const from = index + head.length;
		const packed = Buffer.from(text.slice(from, text.indexOf('endstream', from)), 'latin1');
		if (!head.includes('/FlateDecode')) return packed.toString('latin1');
		const inflated = inflateSync(packed, { maxOutputLength: left });
		left = Math.max(1, left - inflated.length);
		return inflated.toString('latin1');
	});
}
