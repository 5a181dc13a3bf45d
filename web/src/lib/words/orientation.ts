import type { ModelSheet, Station } from '@exetasis/core/record';

/**
 * Which way a part faces on refit, in words for the face that lies up on the bench now: one rule ("lip to pressure")
 * sounds opposite when the manifold is turned over. Stored is the side; the bench word is made here.
 */
export function directionWords(
	{ face, side }: Pick<Station, 'face' | 'side'>,
	{ benchFaceUp }: Pick<ModelSheet, 'benchFaceUp'>
): string {
	const { toward, what, near } = face;
	switch (toward) {
		case 'sheet':
			return 'Direction: see the maker’s sheet';
		case 'any':
			return 'Direction: either way round';
		case 'mate':
			return `Fit with the ${what}`;
		default: {
			const sideName = toward === 'P' ? 'pressure side (P)' : 'crank side (C)';
			const bench = side === 'manifold' ? `, ${toward === benchFaceUp ? 'up' : 'down'} as the manifold lies now` : '';
			return `Fit with the ${what} toward ${near ? `${near}, ` : 'the '}${sideName}${bench}`;
		}
	}
}

/** Direction, and what is done in fitting it. */
export const refitWords = (station: Station, sheet: ModelSheet): string =>
	[directionWords(station, sheet), ...(station.fit ? [station.fit] : [])].join('; ');
