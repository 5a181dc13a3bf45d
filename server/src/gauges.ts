import type { ShopGauge } from '@exetasis/core/decide';
import type { CalibrationRow, GaugeRow } from './db/rows';
import { of, type ShopScope } from './db/scope';

export interface GaugeListing extends ShopGauge {
	/** Days, as written on the certificate: "2026-03-01". */
	readonly calibratedOn: string;
	readonly dueOn: string;
	readonly certificate: string;
}

/** The shop's gauges, each with its newest calibration; a gauge that was never calibrated is none. */
export async function gaugesOf(scope: ShopScope): Promise<GaugeListing[]> {
	const today = new Date().toISOString().slice(0, 10);
	const found = await of(scope, 'gauge').all<GaugeRow & { calibrations: CalibrationRow[] }>(
		{},
		{
			include: ['calibrations'],
			order: [
				['name', 'ASC'],
				['id', 'ASC'],
				['calibrations', 'calibratedOn', 'DESC']
			]
		}
	);
	return found.flatMap(({ calibrations: [newest], ...gauge }) => (newest ? [listing(gauge, newest, today)] : []));
}

const listing = (
	gauge: GaugeRow,
	{ calibratedOn, dueOn, certificate, ...newest }: CalibrationRow,
	today: string
): GaugeListing => ({
	id: gauge.id,
	name: gauge.name,
	kind: gauge.kind,
	calibratedOn,
	dueOn,
	certificate,
	facts: {
		resolution: gauge.resolution,
		calibrationU: newest.expandedU,
		calibrationK: newest.k,
		repeatability: gauge.repeatability,
		repeatabilityDof: gauge.repeatabilityDof,
		reproducibility: gauge.reproducibility,
		expansionPerKelvin: gauge.expansionPerKelvin,
		overdue: dueOn < today
	}
});
