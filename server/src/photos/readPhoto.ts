import sharp from 'sharp';

/** Why bytes are not a photograph that is kept. */
export type PhotoFault = 'notJpeg' | 'withMetadata' | 'tooLarge';

/** Size of a picture, pixels. */
interface PictureSize {
	readonly width: number;
	readonly height: number;
}

const SECONDS = 5;

/**
 * The size of a photograph, or why it is not kept: it is no JPEG that can be read to its end, it carries metadata (where it was taken may
 * stand there), or an edge is longer than `most` pixels. A photograph is kept as it came, because its entry names it by its bytes.
 */
export async function readPhoto(bytes: Uint8Array, most: number): Promise<PictureSize | PhotoFault> {
	try {
		const { format, width, height, exif, xmp, iptc, comments } = await sharp(bytes, {
			limitInputPixels: false // nothing is decoded yet
		}).metadata();
		if (format !== 'jpeg') return 'notJpeg';
		if (Math.max(width, height) > most) return 'tooLarge';
		if (exif ?? xmp ?? iptc ?? comments) return 'withMetadata';
		await sharp(bytes, { failOn: 'warning', limitInputPixels: most * most })
			.timeout({ seconds: SECONDS })
			.stats();
		return { width, height };
	} catch {
		return 'notJpeg';
	}
}
