import { readJpeg } from '../photos/jpeg';

/** What a document may be. */
export type DocumentType = 'application/pdf' | 'image/png' | 'image/jpeg';
/** Why bytes are not a document that is kept. */
export type DocumentProblem = 'otherType' | 'withMetadata' | 'tooLarge' | 'tooHeavy' | 'runsPrograms' | 'broken';

export const DOCUMENT_MOST = { bytes: 3_500_000, edge: 12_000 } as const;

const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
/** Names in a PDF by which it does more than show itself: programs, files that are carried along, forms that send. */
const ACTS = /\/(JavaScript|JS|Launch|EmbeddedFiles?|RichMedia|SubmitForm|ImportData|XFA)\b/;

/**
 * What kind of document the bytes are, or why they are not kept. Told by what they are, whatever their name says.
 * Sources: ISO 32000-1, 7.5 (PDF), ISO/IEC 15948, 5.2 and 11.2.2 (PNG), ITU-T T.81, annex B (JPEG).
 */
export function readDocument(bytes: Uint8Array): DocumentType | DocumentProblem {
	if (bytes.length > DOCUMENT_MOST.bytes) return 'tooHeavy';
	const text = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
	if (text.startsWith('%PDF-')) {
		if (!text.slice(-1024).includes('%%EOF')) return 'broken';
		return ACTS.test(text.replace(/#([0-9a-f]{2})/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16))))
			? 'runsPrograms'
			: 'application/pdf';
	}
	if (PNG.every((byte, i) => bytes[i] === byte)) return readPng(bytes);
	if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return 'otherType';
	const size = readJpeg(bytes, DOCUMENT_MOST.edge);
	if (typeof size === 'object') return 'image/jpeg';
	return size === 'notJpeg' ? 'broken' : size;
}

function readPng(bytes: Uint8Array): DocumentType | DocumentProblem {
	if (bytes.length < 33) return 'broken';
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	const [width, height] = [view.getUint32(16), view.getUint32(20)];
	if (String.fromCharCode(...bytes.slice(12, 16)) !== 'IHDR' || width === 0 || height === 0) return 'broken';
	return Math.max(width, height) > DOCUMENT_MOST.edge ? 'tooLarge' : 'image/png';
}
