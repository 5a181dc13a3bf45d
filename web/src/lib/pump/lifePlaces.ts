import type { ModelSheet, Station } from '@exetasis/core/record';
import type { LifeListing } from '@exetasis/server/db/sql/lives';

/** One place of a pump with the lives of its parts. */
interface LifePlace {
	readonly station: Station;
	/** 0: the pump's own. */
	readonly cylinder: number;
	readonly lives: readonly LifeListing[];
}

/** All places of a pump in the order of its sheet, each with the lives that were lived there. */
export const lifePlaces = (
	{ stations, cylinders }: Pick<ModelSheet, 'stations' | 'cylinders'>,
	lives: readonly LifeListing[]
): LifePlace[] =>
	stations.flatMap((station) =>
		(station.per === 'pump' ? [0] : Array.from({ length: cylinders }, (_, i) => i + 1)).map((cylinder) => ({
			station,
			cylinder,
			lives: lives.filter((life) => life.station === station.key && life.cylinder === cylinder)
		}))
	);

/** Of the places that are shown, the name over each: stated once for the cylinders of one part that follow each other. */
export const namesOver = (shown: readonly LifePlace[]): string[] =>
	shown.map(({ station }, i) => (shown[i - 1]?.station.key === station.key ? '' : station.name));
