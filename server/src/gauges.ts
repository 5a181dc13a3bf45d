import type { ShopGauge } from '@exetasis/core/decide';
import { rows, type ShopScope } from './db/query';

export interface GaugeListing extends ShopGauge {
	readonly calibratedOn: string;
	readonly dueOn: string;
	readonly certificate: string;
}

interface GaugeWithCalibration {
	id: string;
	name: string;
	kind: string;
	resolution: number;
	repeatability: number;
	repeatabilityDof: number;
	reproducibility: number;
	expansion: number;
	calibratedOn: string;
	dueOn: string;
	expandedU: number;
	k: number;
	certificate: string;
	overdue: boolean;
}

/** The shop's gauges, each with its newest calibration. */
export async function gaugesOf(scope: ShopScope): Promise<GaugeListing[]> {
	const found = await rows<GaugeWithCalibration>(
		scope,
		`
		SELECT DISTINCT ON (g.name, g.id) g.id, g.name, g.kind, g.resolution, g.repeatability,
			g.repeatability_dof AS "repeatabilityDof", g.reproducibility, g.expansion_per_kelvin AS expansion,
			c.calibrated_on AS "calibratedOn", c.due_on AS "dueOn", c.expanded_u AS "expandedU", c.k, c.certificate,
			c.due_on < current_date AS overdue
		FROM gauge g JOIN calibration c ON c.gauge_id = g.id
		WHERE g.shop_id = $1 ORDER BY g.name, g.id, c.calibrated_on DESC`
	);
	return found.map((gauge) => ({
		id: gauge.id,
		name: gauge.name,
		kind: gauge.kind,
		calibratedOn: gauge.calibratedOn,
		dueOn: gauge.dueOn,
		certificate: gauge.certificate,
		facts: {
			resolution: gauge.resolution,
			calibrationU: gauge.expandedU,
			calibrationK: gauge.k,
			repeatability: gauge.repeatability,
			repeatabilityDof: gauge.repeatabilityDof,
			reproducibility: gauge.reproducibility,
			expansionPerKelvin: gauge.expansion,
			overdue: gauge.overdue
		}
	}));
}
