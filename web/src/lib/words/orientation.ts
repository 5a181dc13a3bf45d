import { inSentence } from './place';
import type { Face, ModelSheet, Station } from '@exetasis/core/record';

/**
 * Which way a part faces on refit, in words for the way its assembly lies on the bench now: one rule ("lip to
 * pressure") sounds opposite when it is turned over. Stored is the side; the bench word is made here. `up` says which face of each assembly lies up now; left out, as the sheet lays it down.
 */
export function directionWords(
	{ face, in: key }: Pick<Station, 'face' | 'in'>,
	{ assemblies }: Pick<ModelSheet, 'assemblies'>,
	up: ReadonlyMap<string, Face> = new Map()
): string {
	const { toward, what, near } = face;
	switch (toward) {
		case 'sheet':
			return 'Direction: see the maker’s sheet';
		case 'asFound':
			return 'Direction: note it before it is lifted, and refit it so';
		case 'any':
			return 'Direction: either way round';
		case 'mate':
			return `Fit with the ${what}`;
		default: {
			const sideName = toward === 'P' ? 'pressure side (P)' : 'crank side (C)';
			const lies = assemblies.find((one) => one.key === key);
			const face = up.get(key) ?? lies?.up;
			const bench = lies && face ? `, ${toward === face ? 'up' : 'down'} as the ${inSentence(lies.name)} lies now` : '';
			return `Fit with the ${what} toward ${near ? `${near}, ` : 'the '}${sideName}${bench}`;
		}
	}
}

/** Direction, and what is done in fitting it. */
export const refitWords = (station: Station, sheet: ModelSheet, up?: ReadonlyMap<string, Face>): string =>
	[directionWords(station, sheet, up), ...(station.fit ? [station.fit] : [])].join('; ');
