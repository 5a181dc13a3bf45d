import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';
import { pdfProblem, type PdfProblem } from './readPdf';

/** What a document may be. */
type DocumentType = 'application/pdf' | 'image/png' | 'image/jpeg';
/** Why bytes are not a document that is kept. */
export type DocumentProblem = 'otherType' | 'tooLarge' | 'tooHeavy' | PdfProblem;

type ReadDocument =
	| { readonly kind: 'document'; readonly type: DocumentType; readonly bytes: Buffer }
	| { readonly kind: 'problem'; readonly problem: DocumentProblem };

export const DOCUMENT_MOST = { bytes: 3_500_000, pixels: 40_000_000 } as const;
const SECONDS = 10;

const problem = (why: DocumentProblem): ReadDocument => ({ kind: 'problem', problem: why });

/**
 * What kind of document the bytes are, and the bytes that are kept; or why they are not. The content decides, not the
 * name. A picture is encoded again without what it says of place, time and camera.
 */
export async function readDocument(bytes: Uint8Array): Promise<ReadDocument> {
	if (bytes.length > DOCUMENT_MOST.bytes) return problem('tooHeavy');
	switch ((await fileTypeFromBuffer(bytes))?.mime) {
		case 'application/pdf': {
			const why = await pdfProblem(bytes);
			return why ? problem(why) : { kind: 'document', type: 'application/pdf', bytes: Buffer.from(bytes) };
		}
		case 'image/png':
			return readPicture(bytes, 'image/png');
		case 'image/jpeg':
			return readPicture(bytes, 'image/jpeg');
		default:
			return problem('otherType');
	}
}

async function readPicture(bytes: Uint8Array, type: 'image/png' | 'image/jpeg'): Promise<ReadDocument> {
	try {
		const { width, height } = await sharp(bytes, { limitInputPixels: false }).metadata(); // nothing is decoded yet
		if (width * height > DOCUMENT_MOST.pixels) return problem('tooLarge');
		const upright = sharp(bytes, { failOn: 'warning', limitInputPixels: DOCUMENT_MOST.pixels }).rotate();
		const written = type === 'image/png' ? upright.png() : upright.jpeg({ quality: 92 });
		const kept = await written.timeout({ seconds: SECONDS }).toBuffer();
		return kept.length > DOCUMENT_MOST.bytes ? problem('tooHeavy') : { kind: 'document', type, bytes: kept };
	} catch {
		return problem('broken');
	}
}
