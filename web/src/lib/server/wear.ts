import {
	fitGammaProcess,
	wearHistories,
	type FittedProcess,
	type ShopGauge,
	type SizeAtLook
} from '@exetasis/core/decide';
import { partType } from '@exetasis/core/part';
import { discardLimit, type ModelSheet, type SheetCharacteristic, type Station } from '@exetasis/core/record';
import { row, rows, type ShopScope } from './db/query';

/** Fitted wear of every measured size of a model, by "station/characteristic". */
export type ModelWear = Readonly<Record<string, FittedProcess>>;

interface SizeRow extends SizeAtLook {
	station: string;
	characteristic: string;
}

// A fit takes tenths of a second and one more job among a hundred moves no verdict: it stands until a tenth more are on record.
const GROWTH_BEFORE_REFIT = 1.1;

/**
 * How the parts of a model wear in this shop, fitted to all its released jobs: every part whose fitting is on record.
 * Sizes that too few parts have are said to be so, never filled in.
 */
export async function wearOf(scope: ShopScope, sheet: ModelSheet, gauges: readonly ShopGauge[]): Promise<ModelWear> {
	const now = await row<{ jobs: number; fittedJobs: number | null; fits: ModelWear | null }>(
		scope,
		`
		SELECT c.jobs, f.jobs AS "fittedJobs", f.fits FROM (
			SELECT count(*)::int AS jobs FROM job j JOIN pump p ON p.id = j.pump_id
			WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL
		) c LEFT JOIN LATERAL (
			SELECT jobs, fits FROM wear_fit WHERE shop_id = $1 AND model = $2 AND revision = $3 ORDER BY jobs DESC LIMIT 1
		) f ON true`,
		[sheet.model, sheet.revision]
	);
	const { jobs, fittedJobs, fits } = now!;
	if (fits && fittedJobs !== null && jobs <= fittedJobs * GROWTH_BEFORE_REFIT) return fits;
	const fitted = fitAll(sheet, await sizesOf(scope, sheet.model), gauges);
	await rows(
		scope,
		`
		INSERT INTO wear_fit (shop_id, model, revision, jobs, fits) VALUES ($1, $2, $3, $4, $5)
		ON CONFLICT DO NOTHING RETURNING 1`,
		[sheet.model, sheet.revision, jobs, JSON.stringify(fitted)]
	);
	return fitted;
}

const sizesOf = (scope: ShopScope, model: string): Promise<SizeRow[]> =>
	rows(
		scope,
		`
		SELECT c.station, r.characteristic, r.part_id AS part, j.pump_hours - l.fitted_hours AS hours,
			min(r.value) AS least, max(r.value) AS most
		FROM reading r JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id
		JOIN mat_cell c ON c.job_id = r.job_id AND c.part_id = r.part_id
		JOIN part_life l ON l.part_id = r.part_id AND l.pump_id = j.pump_id
		WHERE r.shop_id = $1 AND p.model = $2 AND NOT r.withdrawn AND j.released_at IS NOT NULL AND j.pump_hours > l.fitted_hours
		GROUP BY c.station, r.characteristic, r.part_id, j.pump_hours, l.fitted_hours`,
		[model]
	);

function fitAll(sheet: ModelSheet, sizes: readonly SizeRow[], gauges: readonly ShopGauge[]): ModelWear {
	return Object.fromEntries(
		sheet.stations.flatMap((station) =>
			station.characteristics.map((characteristic) => {
				const looks = sizes.filter(
					(size) => size.station === station.key && size.characteristic === characteristic.key
				);
				const histories = wearHistories(characteristic, looks);
				return [
					`${station.key}/${characteristic.key}`,
					fitGammaProcess(histories, resolutionOf(station, characteristic, gauges))
				];
			})
		)
	);
}

// What the shop's gauges for this size cannot tell from nothing: the scatter of the best of them; else a fiftieth of the allowance.
function resolutionOf(station: Station, characteristic: SheetCharacteristic, gauges: readonly ShopGauge[]): number {
	const instrument = partType(station.type).characteristics.find(({ key }) => key === characteristic.key)?.instrument;
	const scatters = gauges
		.filter(({ kind }) => kind === instrument)
		.map(({ facts }) => Math.max(facts.repeatability, facts.resolution / 2));
	return scatters.length > 0
		? Math.min(...scatters)
		: Math.abs(discardLimit(characteristic).value - characteristic.nominal) / 50;
}
