import type { SheetCharacteristic, Station } from '@exetasis/core/record';
import type { BenchPart } from './bench.svelte';
import { placeKey } from './place';

/** One place of one characteristic's grid. */
export interface GridPlace {
	readonly characteristic: string;
	readonly station: number;
	readonly angle: number;
}

const placesOf = ({ key, grid }: SheetCharacteristic): GridPlace[] =>
	(grid?.stations ?? ['']).flatMap((_, station) =>
		(grid?.anglesDeg ?? [0]).map((_, angle) => ({ characteristic: key, station, angle }))
	);

/** The next place without a reading, in walking order; sizes that are asked only on suspicion count once there is one. */
export function firstUnmeasured({ station, record }: BenchPart): GridPlace | undefined {
	const suspicious = record.findings.length > 0;
	const asked = station.characteristics.filter(({ when }) => when === 'always' || suspicious);
	const taken = new Set(
		record.readings.map(({ payload }) => `${payload.characteristic}/${payload.station}/${payload.angle}`)
	);
	return asked.flatMap(placesOf).find((place) => !taken.has(`${place.characteristic}/${place.station}/${place.angle}`));
}

/** The places of the mat in walking order: what there is one of, then cylinder by cylinder along the stack. */
export function walkingOrder(stations: readonly Station[], cylinders: number): string[] {
	const pump = stations.filter(({ per }) => per === 'pump').map(({ key }) => placeKey(key, 0));
	const each = stations.filter(({ per }) => per === 'cylinder').map(({ key }) => key);
	const rows = Array.from({ length: cylinders }, (_, i) => each.map((key) => placeKey(key, i + 1)));
	return [...pump, ...rows.flat()];
}

/** Where an arrow key leads from a place of the mat; parts that the pump has one of fill their column. */
export function step(
	place: string,
	key: string,
	stations: readonly Station[],
	cylinders: number,
	row: number
): { place: string; row: number } {
	const [stationKey] = place.split('/');
	const column = stations.findIndex((station) => station.key === stationKey);
	const at = (index: number, cylinder: number) => {
		const station = stations[index];
		return { place: placeKey(station.key, station.per === 'pump' ? 0 : cylinder), row: cylinder };
	};
	switch (key) {
		case 'ArrowLeft':
			return at(Math.max(0, column - 1), row);
		case 'ArrowRight':
			return at(Math.min(stations.length - 1, column + 1), row);
		case 'ArrowUp':
			return at(column, Math.max(1, row - 1));
		case 'ArrowDown':
			return at(column, Math.min(cylinders, row + 1));
		case 'Home':
			return at(0, row);
		default:
			return at(stations.length - 1, row);
	}
}
