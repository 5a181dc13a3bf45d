import { applies, type Chosen, type ModelSheet } from '../record';

/** A place of the mat as one word: station and cylinder, 0 for what the pump has one of. */
export const placeKey = (station: string, cylinder: number): string => `${station}/${cylinder}`;

/** A place in a pump: a station of its sheet, and the cylinder (from 1), or 0 for the pump as a whole. */
export interface PartPlace {
	readonly station: string;
	readonly type: string;
	readonly cylinder: number;
}

/** Every place that a sheet describes on a pump of these variants, along the stack. */
export const placesOf = (sheet: ModelSheet, variants: Chosen = {}): PartPlace[] =>
	sheet.stations.flatMap(({ key, type, per, onlyWith }) => {
		const cylinders = per === 'pump' ? [0] : Array.from({ length: sheet.cylinders }, (_, i) => i + 1);
		return cylinders
			.filter((cylinder) => applies(onlyWith, variants, cylinder))
			.map((cylinder) => ({ station: key, type, cylinder }));
	});
