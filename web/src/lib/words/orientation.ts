import type { ModelSheet, Station } from '@exetasis/core/record';

/**
 * Which way a part faces on refit, in words for the face that lies up on the bench now: one rule ("lip to pressure")
 * sounds opposite when the manifold is turned over. Stored is the side; the bench word is made here.
 */
export function faceWords({ face, side }: Station, { benchFaceUp }: ModelSheet): string {
	const { toward, what } = face;
	if (toward === 'any' || toward === 'mate') return `Refit: ${what}`;
	const sideName = toward === 'P' ? 'pressure side (P)' : 'crank side (C)';
	const bench = side === 'manifold' ? `, ${toward === benchFaceUp ? 'up' : 'down'} as the manifold lies now` : '';
	return `Refit: ${what}, to the ${sideName}${bench}`;
}
