import { z } from 'zod';
import { pointsToRead } from '../sheet';
import { id, ofPart, schemaOf, typed, words } from './common';
import { partKind } from './kind';
import { checkSize } from './size';

/** Temperatures that a part or a gauge may have on a bench, °C. */
export const BENCH_C = { least: -40, most: 150 } as const;

/** One reading, in the base unit of its characteristic; what was typed is kept as typed. */
const schema = schemaOf(
	'reading',
	ofPart,
	z.strictObject({
		characteristic: z.string().min(1).max(40),
		/** Place on the characteristic's grid, counted from 0; 0 and 0 where there is one place only. */
		row: z.int().min(0).max(11),
		column: z.int().min(0).max(11),
		value: z.number().finite(),
		typed,
		gauge: id.optional(),
		partC: z.number().min(BENCH_C.least).max(BENCH_C.most).optional(),
		/** Temperature of the gauge on the bench that day. */
		gaugeC: z.number().min(BENCH_C.least).max(BENCH_C.most).optional(),
		/** The gauge's zero was checked that day. */
		zeroSeen: z.literal(true).optional(),
		/** Why a size that looks like a slip is right all the same. */
		confirmed: words.max(400).optional()
	})
);
export type Reading = z.infer<typeof schema>;

export interface Readings {
	readonly readings: readonly Reading[];
}

export const reading = partKind(schema, {
	add: (record, entry) => ({ ...record, readings: [...record.readings, entry] }),
	check: ({ payload }, station) => {
		const { characteristic, row, column } = payload;
		const measured = station.characteristics.find(({ key }) => key === characteristic);
		if (measured) {
			const { rows, columns } = pointsToRead(measured);
			if (row >= rows.length || column >= columns.length) return { code: 'pointNotOnGrid', row, column };
		}
		return checkSize(payload, station);
	},
	gauge: ({ payload }) => payload.gauge
});
