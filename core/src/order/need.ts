import type { BuildPlace } from '../record';
import { allSteps, stationsInScope, verdictOn, type ModelSheet, type Opening } from '../record';

/** Pieces of one station that have to be had, and for how many of its places. */
interface Need {
	readonly station: string;
	readonly pieces: number;
	readonly places: number;
}

/** What has to be had: every place whose part goes, in the order of the sheet. */
export function neededParts(places: Iterable<BuildPlace>): Need[] {
	const needs = new Map<string, Need>();
	for (const place of places) {
		if (verdictOn(place) !== 'replace') continue;
		const { key: station, pieces } = place.station;
		const known = needs.get(station) ?? { station, pieces: 0, places: 0 };
		needs.set(station, { station, pieces: known.pieces + pieces, places: known.places + 1 });
	}
	return [...needs.values()];
}

/** What the steps and stations of a job are lubricated, sealed, locked and cleaned with: keys of the sheet's products. */
export function consumables(sheet: ModelSheet, opening: Opening): string[] {
	const windows = allSteps(sheet, opening).flatMap(({ within }) => within?.product ?? []);
	const fitted = stationsInScope(sheet, opening).flatMap(({ products }) =>
		products.flatMap((product) => product.product ?? [])
	);
	return [...new Set([...fitted, ...windows])];
}
