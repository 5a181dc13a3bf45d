import sharp from 'sharp';
import { LOGO_MOST } from '@exetasis/core/record';
import { of, type ShopScope } from './db/scope';

/** What stands at the head of what a shop hands out: lines under its name, and a logo as PNG. */
export interface Letterhead {
	readonly address: string;
	readonly logo: Buffer | null;
}
export type LogoProblem = 'tooHeavy' | 'notAPicture' | 'tooLarge';

const DRAWN = { width: 600, height: 240 }; // as large as a page shows it, twice over
const SECONDS = 5;

export async function letterheadOf(scope: ShopScope): Promise<Letterhead> {
	const found = await of(scope, 'letterhead').one();
	return { address: found?.address ?? '', logo: found?.logo ?? null };
}

/** Sets the lines, and the logo where one came: a picture, or null to take it away. The old one stays where none did. */
export async function setLetterhead(
	scope: ShopScope,
	address: string,
	logo?: Uint8Array | null
): Promise<'kept' | LogoProblem> {
	const drawn = logo && (await drawnLogo(logo));
	if (typeof drawn === 'string') return drawn;
	const kept = drawn === undefined ? (await letterheadOf(scope)).logo : drawn;
	await of(scope, 'letterhead').put({ address, logo: kept });
	return 'kept';
}

// Drawn again at the size of a page, without what the picture says of place, time and camera.
async function drawnLogo(bytes: Uint8Array): Promise<Buffer | LogoProblem> {
	if (bytes.length > LOGO_MOST.bytes) return 'tooHeavy';
	try {
		const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata(); // nothing is decoded yet
		if (!['png', 'jpeg', 'webp'].includes(format)) return 'notAPicture';
		if (width * height > LOGO_MOST.pixels) return 'tooLarge';
		return await sharp(bytes, { failOn: 'warning' })
			.rotate()
			.resize({ ...DRAWN, fit: 'inside', withoutEnlargement: true })
			.png()
			.timeout({ seconds: SECONDS })
			.toBuffer();
	} catch {
		return 'notAPicture';
	}
}
