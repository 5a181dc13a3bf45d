import { z } from 'zod';
import { patternKeys } from '../../part/patterns';
import { key, number, text, unit } from './primitives';

const SHORTEST_LIFE = 10; // hours
const LONGEST_LIFE = 10_000_000;

/** A size with its discard limit. Values in `unit`; a limit only on the side to which the part wears. */
export const sheetCharacteristicSchema = z
	.strictObject({
		key,
		unit,
		nominal: number.positive(),
		min: z.number().optional(),
		max: z.number().optional(),
		/** Who states it: the maker, the shop, or neither: then it is taken from like parts until a person confirms it. */
		limitFrom: z.enum(['maker', 'shop', 'assumed']),
		/** How far a new part may lie from nominal, either way. */
		tolerance: number.nonnegative().default(0),
		/** Measured in every job, or only where something was found on the part. */
		when: z.enum(['always', 'onSuspicion']).default('always'),
		/** The findings that call for an `onSuspicion` size; left out: any. */
		suspect: z.array(z.enum(patternKeys)).min(1).optional(),
		/**
		 * Where to measure: axial stations in walking order and angles round the part. Left out: one place. Heights of the
		 * stations in mm let form deviations of the whole cylinder be worked out.
		 */
		grid: z
			.strictObject({
				stations: z.array(text).min(1).max(12),
				anglesDeg: z.array(number).min(1).max(12),
				stationsMm: z.array(number).optional()
			})
			.refine(({ stations, stationsMm }) => !stationsMm || stationsMm.length === stations.length, {
				message: 'one height for each station',
				path: ['stationsMm']
			})
			.refine(({ anglesDeg }) => new Set(anglesDeg.map((deg) => ((deg % 360) + 360) % 360)).size === anglesDeg.length, {
				message: 'names one angle twice',
				path: ['anglesDeg']
			})
			.optional(),
		/** Where to set the dial on a face: rows and columns, mm from its corner. */
		face: z
			.strictObject({ rowsMm: z.array(number).min(2).max(12), columnsMm: z.array(number).min(2).max(12) })
			.refine(({ rowsMm, columnsMm }) => [rowsMm, columnsMm].every((mm) => new Set(mm).size === mm.length), {
				message: 'names one place twice'
			})
			.optional(),
		/** How such parts wear where too few are on record: mean growth in 1000 h, and its scatter between parts and between intervals. */
		wearPrior: z
			.strictObject({
				per1000h: number.positive(),
				betweenParts: z.number().gt(0).max(2),
				within1000h: z.number().gt(0).max(2),
				/** How firmly it is believed, in lives. */
				priorWeight: z.number().min(0.1).max(1000).optional()
			})
			.optional(),
		/** The size at which it stops the pump, beyond the discard limit; left out: a share of those beyond, by part type. */
		stopsAt: z.number().optional()
	})
	.refine(
		({ min, max, stopsAt }) =>
			stopsAt === undefined ||
			(min !== undefined && max === undefined && stopsAt < min) ||
			(max !== undefined && min === undefined && stopsAt > max),
		{ message: 'must lie beyond the discard limit', path: ['stopsAt'] }
	)
	.refine(
		({ nominal, min, max, wearPrior }) => {
			const limit = min ?? max;
			if (!wearPrior || limit === undefined) return true;
			const hours = (1000 * Math.abs(limit - nominal)) / wearPrior.per1000h;
			return hours >= SHORTEST_LIFE && hours <= LONGEST_LIFE;
		},
		{ message: `must wear to the limit in ${SHORTEST_LIFE} to ${LONGEST_LIFE} hours`, path: ['wearPrior', 'per1000h'] }
	)
	.refine(({ grid, face }) => !(grid && face), { message: 'either a grid or a face', path: ['face'] })
	.refine(({ nominal, min }) => min === undefined || min < nominal, { message: 'must be below nominal', path: ['min'] })
	.refine(({ nominal, max }) => max === undefined || max > nominal, {
		message: 'must be above nominal',
		path: ['max']
	});
export type SheetCharacteristic = z.infer<typeof sheetCharacteristicSchema>;

/** The limit on the side to which the part wears, with that side; undefined for what has none. */
export function discardLimit({
	min,
	max
}: Pick<SheetCharacteristic, 'min' | 'max'>): { side: 'min' | 'max'; value: number } | undefined {
	if (min !== undefined) return { side: 'min', value: min };
	return max === undefined ? undefined : { side: 'max', value: max };
}

/** The points at which a characteristic is read: names of rows and columns as they are walked. A single point has one of each. */
export function pointsToRead({ grid, face }: SheetCharacteristic): { rows: string[]; columns: string[] } {
	if (grid) return { rows: grid.stations, columns: grid.anglesDeg.map((angle) => `${angle}°`) };
	if (face) return { rows: face.rowsMm.map((mm) => `${mm} mm`), columns: face.columnsMm.map((mm) => `${mm} mm`) };
	return { rows: [''], columns: [''] };
}
