// Gauges and their calibrations.
import { day, key, nullable, number, table, text, uuid, type RowOf } from './columns';

export const gauge = table('gauge', {
	id: key(uuid),
	shopId: uuid,
	name: text,
	kind: text,
	resolution: number,
	repeatability: number,
	repeatabilityDof: number,
	reproducibility: number,
	expansionPerKelvin: number,
	/** The day from which it is used no more: "2026-03-01". */
	retiredOn: nullable(day)
});
export type GaugeRow = RowOf<typeof gauge>;

export const calibration = table('calibration', {
	id: key(uuid),
	shopId: uuid,
	gaugeId: uuid,
	calibratedOn: day,
	dueOn: day,
	expandedU: number,
	k: number,
	certificate: text
});
export type CalibrationRow = RowOf<typeof calibration>;
