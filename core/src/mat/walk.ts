import { wantedSizes, type Policy } from '../decide';
import { pointsToRead, type SheetCharacteristic, type Station } from '../record';
import type { LaidPart } from './judgeMat';
import { placeKey } from './place';

/** One place of one characteristic's grid. */
export interface MeasuringPoint {
	readonly characteristic: string;
	readonly row: number;
	readonly column: number;
}

const gridOf = (sheet: SheetCharacteristic): MeasuringPoint[] => {
	const { rows, columns } = pointsToRead(sheet);
	return rows.flatMap((_, row) => columns.map((_, column) => ({ characteristic: sheet.key, row, column })));
};

/** The next place without a reading, in walking order: of what is wanted, and of any grid that someone has begun. */
export function firstUnmeasured(
	{ station, record }: Pick<LaidPart, 'station' | 'record'>,
	policy: Policy
): MeasuringPoint | undefined {
	const begun = new Set(record.readings.map(({ payload }) => payload.characteristic));
	const wanted = wantedSizes(station, record, policy);
	const asked = station.characteristics.filter((sheet) => wanted.includes(sheet) || begun.has(sheet.key));
	const taken = new Set(
		record.readings.map(({ payload }) => `${payload.characteristic}/${payload.row}/${payload.column}`)
	);
	return asked.flatMap(gridOf).find((place) => !taken.has(`${place.characteristic}/${place.row}/${place.column}`));
}

/** The places of the mat in walking order: what there is one of, then cylinder by cylinder along the stack. */
export function walkingOrder(stations: readonly Station[], cylinders: number): string[] {
	const pump = stations.filter(({ per }) => per === 'pump').map(({ key }) => placeKey(key, 0));
	const each = stations.filter(({ per }) => per === 'cylinder').map(({ key }) => key);
	const rows = Array.from({ length: cylinders }, (_, i) => each.map((key) => placeKey(key, i + 1)));
	return [...pump, ...rows.flat()];
}

/**
 * Where an arrow key, Home or (any other) End leads from a place of the mat; parts that the pump has one of fill their column,
 * and places that hold no part (of another variant) are passed over. Stays where nothing lies that way.
 */
export function step(
	place: string,
	key: string,
	{ stations, cylinders }: { readonly stations: readonly Station[]; readonly cylinders: number },
	row: number,
	holds: (place: string) => boolean = () => true
): { place: string; row: number } {
	const [stationKey] = place.split('/');
	const column = stations.findIndex((station) => station.key === stationKey);
	const last = stations.length - 1;
	const at = (index: number, cylinder: number) => {
		const station = stations[index];
		return { place: placeKey(station.key, station.per === 'pump' ? 0 : cylinder), row: cylinder };
	};
	const columns = (from: number, by: 1 | -1) => {
		const ahead = by === 1 ? Math.max(0, last - from + 1) : Math.max(0, from + 1);
		return Array.from({ length: ahead }, (_, i) => at(from + by * i, row));
	};
	const rows = (from: number, by: 1 | -1) => {
		const ahead = by === 1 ? Math.max(0, cylinders - from + 1) : Math.max(0, from);
		return Array.from({ length: ahead }, (_, i) => at(column, from + by * i));
	};
	const ways: Readonly<Record<string, () => { place: string; row: number }[]>> = {
		ArrowLeft: () => columns(column - 1, -1),
		ArrowRight: () => columns(column + 1, 1),
		ArrowUp: () => rows(row - 1, -1),
		ArrowDown: () => rows(row + 1, 1),
		Home: () => columns(0, 1)
	};
	const ahead = (ways[key] ?? (() => columns(last, -1)))();
	return ahead.find((next) => holds(next.place)) ?? { place, row };
}
