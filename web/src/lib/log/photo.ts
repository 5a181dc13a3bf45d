import { PHOTO_MOST } from '@exetasis/core/record';

/** A photograph as it is kept and sent: small enough, and without where and when it was taken. */
export interface Picture {
	readonly sha256: string;
	readonly width: number;
	readonly height: number;
	readonly jpeg: Blob;
}

const EDGE = 1600;
const QUALITIES = [0.82, 0.65, 0.45];

/** Draws a camera's picture again, at most 1600 pixels long. Undefined where the browser cannot read it as a picture. */
export async function pictureFrom(file: Blob): Promise<Picture | undefined> {
	const read = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
	if (!read) return undefined;
	const scale = Math.min(1, EDGE / Math.max(read.width, read.height));
	const canvas = document.createElement('canvas');
	canvas.width = Math.max(1, Math.round(read.width * scale));
	canvas.height = Math.max(1, Math.round(read.height * scale));
	canvas.getContext('2d')!.drawImage(read, 0, 0, canvas.width, canvas.height);
	read.close();
	for (const quality of QUALITIES) {
		const jpeg = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
		if (jpeg && jpeg.size <= PHOTO_MOST.bytes)
			return { sha256: await sha256Of(jpeg), width: canvas.width, height: canvas.height, jpeg };
	}
	return undefined;
}

async function sha256Of(blob: Blob): Promise<string> {
	const digest = await crypto.subtle.digest('SHA-256', await blob.arrayBuffer());
	return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
