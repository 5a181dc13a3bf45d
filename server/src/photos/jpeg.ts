/** Why bytes are not a photograph that is kept. */
export type JpegProblem = 'notJpeg' | 'withMetadata' | 'tooLarge';

/** Size of a picture, pixels. */
export interface PictureSize {
	readonly width: number;
	readonly height: number;
}

const START = 0xd8;
const SCAN = 0xda;
const METADATA = 0xe1; // Exif and XMP: may say where and when it was taken
const FRAMES = [0xc0, 0xc1, 0xc2]; // baseline, extended, progressive

/**
 * The size of a JPEG, or why it is not kept: it is none, it carries metadata (a place may stand there), or an edge is longer
 * than `most` pixels. Only the segments before the picture's data are read.
 *
 * Source: ITU-T T.81, annex B.
 */
export function readJpeg(bytes: Uint8Array, most: number): PictureSize | JpegProblem {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	if (bytes.length < 4 || view.getUint16(0) !== 0xff00 + START) return 'notJpeg';
	let size: PictureSize | undefined;
	for (let at = 2; at + 4 <= bytes.length && bytes[at] === 0xff;) {
		const marker = bytes[at + 1];
		const length = view.getUint16(at + 2);
		if (marker === METADATA) return 'withMetadata';
		if (marker === SCAN) return size ?? 'notJpeg';
		if (FRAMES.includes(marker)) {
			if (length < 8 || at + 9 > bytes.length) return 'notJpeg';
			size = { height: view.getUint16(at + 5), width: view.getUint16(at + 7) };
			if (size.width === 0 || size.height === 0) return 'notJpeg';
			if (Math.max(size.width, size.height) > most) return 'tooLarge';
		}
		if (length < 2) return 'notJpeg';
		at += 2 + length;
	}
	return 'notJpeg';
}
