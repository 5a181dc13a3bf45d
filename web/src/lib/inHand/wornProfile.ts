import { discardLimit, pointsToRead, type SheetCharacteristic, type Station } from '@exetasis/core/record';
import type { MeasuredCharacteristic } from '@exetasis/core/decide';
import { spread } from './dimensions';

/** The drawing's box and the part in it: half its height, and how deep wear to the discard limit is drawn. */
export const PROFILE = { width: 300, height: 132, left: 22, right: 282, middle: 66, radius: 30, depth: 13 } as const;
const { left, right, middle, radius, depth } = PROFILE;
/** Wear far beyond the limit, and a part larger than new, are drawn at the edge of what can be shown. */
const MOST = 1.6;
const LEAST = -0.4;
/** Room that a number of six digits needs. */
const LABEL = 50;

interface ProfilePoint {
	readonly x: number;
	readonly y: number;
	/** Where its number stands. */
	readonly labelX: number;
	readonly value: number;
	readonly worst: boolean;
}

type PointRead = Pick<MeasuredCharacteristic['worst'], 'row' | 'column' | 'value'>;
interface SizeRead extends Pick<MeasuredCharacteristic, 'sheet'> {
	readonly points: readonly PointRead[];
	readonly worst: PointRead;
}

export interface WornProfile {
	/** The part is worn from outside, or from within as a bore is. */
	readonly bore: boolean;
	/** The upper edge is read at the first angle, the lower one at the second. */
	readonly edges: readonly {
		readonly angle: string;
		readonly points: readonly ProfilePoint[];
		readonly limitY?: number;
	}[];
	/** How many times larger than the part's length its wear is drawn. */
	readonly enlarged: number;
	readonly xOf: (mm: number) => number;
}

/** Whether a size is read at stated distances along the part, so that its wear can be drawn along it. */
export const isAlong = ({ grid }: SheetCharacteristic): boolean =>
	grid?.stationsMm !== undefined && grid.anglesDeg.length <= 2 && grid.stations.length > 1;

/** A part's wear along its length, from the readings of one size: nothing where none was read. */
export function wornProfile({ sheet, points, worst }: SizeRead, surface: Station['surface']): WornProfile | undefined {
	const at = sheet.grid?.stationsMm;
	if (!at || points.length === 0) return undefined;
	const length = surface?.lengthMm ?? at[0] + at[at.length - 1];
	const xOf = (mm: number) => left + (Math.min(length, Math.max(0, mm)) / length) * (right - left);
	const limit = discardLimit(sheet);
	const bore = limit?.side === 'max';
	const worn = (value: number) => (bore ? value - sheet.nominal : sheet.nominal - value);
	const most = Math.max(...points.map(({ value }) => worn(value)));
	const allowance = limit ? Math.abs(sheet.nominal - limit.value) : Math.max(most, 1e-3);
	const drop = (value: number) => depth * Math.min(MOST, Math.max(LEAST, worn(value) / allowance));
	const labels = spread(at.map(xOf), LABEL, left + LABEL / 2, right - LABEL / 2);
	const edges = pointsToRead(sheet).columns.map((angle, column) => {
		const away = (column === 0 ? -1 : 1) * (bore ? -1 : 1);
		const yOf = (deep: number) => middle + (column === 0 ? -radius : radius) - away * deep;
		const line = points
			.filter((point) => point.column === column)
			.toSorted((a, b) => a.row - b.row)
			.map((point) => ({
				x: xOf(at[point.row]),
				y: yOf(drop(point.value)),
				labelX: labels[point.row],
				value: point.value,
				worst: point.row === worst.row && point.column === worst.column
			}));
		return { angle, points: line, ...(limit ? { limitY: yOf(depth) } : {}) };
	});
	// A diameter loses what both of its sides lose.
	const enlarged = (2 * depth * length) / (allowance * (right - left));
	return { bore, edges, enlarged, xOf };
}
