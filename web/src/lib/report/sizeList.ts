import { judgeMat } from '@exetasis/core/mat';
import { characteristicOf, effectiveTime, fold, pointsToRead, standingDecision } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Cell } from '@exetasis/server/tableFile';
import { verdictName } from '../words/reasons';

type Row = readonly Cell[];

/** All sizes of a job, one row a size of a part, and all readings behind them; heads first, in the units of the sheet. */
export function sizeList(bench: Bench): { readonly sizes: readonly Row[]; readonly readings: readonly Row[] } {
	const parts = judgeMat(bench, fold(bench.entries).parts);
	const gauges = new Map(bench.gauges.map(({ id, name }) => [id, name]));
	const cylinderOf = (cylinder: number) => (cylinder === 0 ? null : cylinder);
	const sizes = parts.flatMap(({ station, cell, record, judgement }) =>
		judgement.sizes.map(({ characteristic, sheet, points, value, budget, gauge }): Row => {
			const verdict = standingDecision(record)?.payload.verdict;
			return [
				station.name,
				cylinderOf(cell.cylinder),
				characteristic.name,
				sheet.unit,
				value ?? null,
				value === undefined ? null : budget.U,
				sheet.min ?? sheet.max ?? null,
				cell.asFitted[sheet.key] ?? null,
				sheet.nominal,
				points.reduce((sum, { readings }) => sum + readings.length, 0),
				gauge?.name ?? 'shop caliper, assumed',
				verdict ? verdictName[verdict] : null
			];
		})
	);
	const readings = parts.flatMap(({ station, cell, record }) =>
		record.readings.map((entry): Row => {
			const { characteristic, row, column, value, typed, gauge, partC } = entry.payload;
			const measured = station.characteristics.find(({ key }) => key === characteristic);
			const grid = measured && pointsToRead(measured);
			return [
				station.name,
				cylinderOf(cell.cylinder),
				characteristicOf(station, characteristic).name,
				grid?.rows[row] || null,
				grid?.columns[column] || null,
				value,
				measured?.unit ?? null,
				`${typed.text} ${typed.unit}`,
				(gauge && gauges.get(gauge)) ?? null,
				partC ?? null,
				new Date(effectiveTime(entry)).toISOString()
			];
		})
	);
	return { sizes: [SIZE_HEADS, ...sizes], readings: [READING_HEADS, ...readings] };
}

const SIZE_HEADS = [
	'Part',
	'Cylinder',
	'Size',
	'Unit',
	'Value',
	'U (95 %)',
	'Discard limit',
	'As fitted',
	'Nominal',
	'Readings',
	'Gauge',
	'Decided'
] as const;
const READING_HEADS = [
	'Part',
	'Cylinder',
	'Size',
	'Row',
	'Column',
	'Value',
	'Unit',
	'As typed',
	'Gauge',
	'Part, °C',
	'Recorded at'
] as const;
