import {
	fitGammaProcess,
	fitOtherEnds,
	wearHistories,
	type EndReason,
	type FittedProcess,
	type OtherEnds,
	type OtherLife,
	type ShopGauge,
	type SizeAtLook
} from '@exetasis/core/decide';
import { partType } from '@exetasis/core/part';
import { discardLimit, type ModelSheet, type SheetCharacteristic, type Station } from '@exetasis/core/record';
import { row, rows, type ShopScope } from './db/query';

/** What the shop's fleet says of how the parts of one model wear and end. */
export interface FleetKnowledge {
	/** Fitted wear of every size that has a limit, by "station/characteristic". */
	readonly wear: Readonly<Record<string, FittedProcess>>;
	/** What else ends lives, by station; left out where no life is on record. */
	readonly ends: Readonly<Record<string, OtherEnds>>;
}

interface SizeRow extends SizeAtLook {
	station: string;
	characteristic: string;
}

// A fit takes tenths of a second and one more job among a hundred moves no verdict: it stands until a tenth more are on record.
const GROWTH_BEFORE_REFIT = 1.1;

/**
 * How the parts of a model wear and end in this shop, fitted to all its released jobs: every part whose fitting is on
 * record. Where too few are on record that is said, never filled in.
 */
export async function fleetOf(
	scope: ShopScope,
	sheet: ModelSheet,
	gauges: readonly ShopGauge[]
): Promise<FleetKnowledge> {
	const now = await row<{
		jobs: number;
		fittedJobs: number | null;
		wear: FleetKnowledge['wear'] | null;
		ends: FleetKnowledge['ends'] | null;
	}>(
		scope,
		`
		SELECT c.jobs, f.jobs AS "fittedJobs", f.fits AS wear, f.ends FROM (
			SELECT count(*)::int AS jobs FROM job j JOIN pump p ON p.id = j.pump_id
			WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL
		) c LEFT JOIN LATERAL (
			SELECT jobs, fits, ends FROM wear_fit WHERE shop_id = $1 AND model = $2 AND revision = $3 AND ends IS NOT NULL
			ORDER BY jobs DESC LIMIT 1
		) f ON true`,
		[sheet.model, sheet.revision]
	);
	const { jobs, fittedJobs, wear, ends } = now!;
	if (wear && ends && fittedJobs !== null && jobs <= fittedJobs * GROWTH_BEFORE_REFIT) return { wear, ends };
	const fitted = {
		wear: fitWear(sheet, await sizesOf(scope, sheet.model), gauges),
		ends: fitEnds(await livesOfModel(scope, sheet.model))
	};
	await rows(
		scope,
		`
		INSERT INTO wear_fit (shop_id, model, revision, jobs, fits, ends) VALUES ($1, $2, $3, $4, $5, $6)
		ON CONFLICT (shop_id, model, revision, jobs) DO UPDATE SET fits = EXCLUDED.fits, ends = EXCLUDED.ends RETURNING 1`,
		[sheet.model, sheet.revision, jobs, JSON.stringify(fitted.wear), JSON.stringify(fitted.ends)]
	);
	return fitted;
}

const sizesOf = (scope: ShopScope, model: string): Promise<SizeRow[]> =>
	rows(
		scope,
		`
		SELECT c.station, r.characteristic, r.part_id AS part, j.pump_hours - l.fitted_hours AS hours,
			min(r.value) AS least, max(r.value) AS most, (a.as_fitted->>r.characteristic)::double precision AS "asFitted"
		FROM reading r JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id JOIN part a ON a.id = r.part_id
		JOIN mat_cell c ON c.job_id = r.job_id AND c.part_id = r.part_id
		JOIN part_life l ON l.part_id = r.part_id AND l.pump_id = j.pump_id
		WHERE r.shop_id = $1 AND p.model = $2 AND NOT r.withdrawn AND j.released_at IS NOT NULL AND j.pump_hours > l.fitted_hours
		GROUP BY c.station, r.characteristic, r.part_id, a.as_fitted, j.pump_hours, l.fitted_hours`,
		[model]
	);

function fitWear(sheet: ModelSheet, sizes: readonly SizeRow[], gauges: readonly ShopGauge[]): FleetKnowledge['wear'] {
	return Object.fromEntries(
		sheet.stations.flatMap((station) =>
			station.characteristics
				.filter((one) => wearsToLimit(station, one))
				.map((characteristic) => {
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

// A form is worked out of all its readings together, which one place's extremes do not give.
const wearsToLimit = (station: Station, sheet: SheetCharacteristic): boolean =>
	discardLimit(sheet) !== undefined &&
	partType(station.type).characteristics.find(({ key }) => key === sheet.key)?.form === undefined;

// What the shop's gauges for this size cannot tell from nothing: the scatter of the best of them; else a fiftieth of the allowance.
function resolutionOf(station: Station, characteristic: SheetCharacteristic, gauges: readonly ShopGauge[]): number {
	const instrument = partType(station.type).characteristics.find(({ key }) => key === characteristic.key)?.instrument;
	const scatters = gauges
		.filter(({ kind }) => kind === instrument)
		.map(({ facts }) => Math.max(facts.repeatability, facts.resolution / 2));
	return scatters.length > 0
		? Math.min(...scatters)
		: Math.abs(discardLimit(characteristic)!.value - characteristic.nominal) / 50;
}

interface LifeRow {
	station: string;
	/** Hours from its fitting, or from the first sight of it, to its end, or to the pump's last reading. */
	hours: number;
	/** False where it came with the pump: nobody knows how old it was. */
	ageKnown: boolean;
	/** Hours at the last look before the end. */
	lookedAt: number | null;
	endReason: EndReason | null;
}

const livesOfModel = (scope: ShopScope, model: string): Promise<LifeRow[]> =>
	rows(
		scope,
		`
		SELECT l.station, coalesce(l.removed_hours, n.hours) - coalesce(l.fitted_hours, n.first) AS hours,
			l.fitted_hours IS NOT NULL AS "ageKnown", l.end_reason AS "endReason",
			(SELECT max(j.pump_hours) - l.fitted_hours FROM look k JOIN job j ON j.id = k.job_id
				WHERE k.part_id = l.part_id AND j.pump_id = l.pump_id AND NOT k.withdrawn AND j.pump_hours < l.removed_hours) AS "lookedAt"
		FROM part_life l JOIN pump p ON p.id = l.pump_id
		CROSS JOIN LATERAL (SELECT min(pump_hours) AS first, max(pump_hours) AS hours FROM job
			WHERE pump_id = l.pump_id AND released_at IS NOT NULL) n
		WHERE l.shop_id = $1 AND p.model = $2 AND coalesce(l.removed_hours, n.hours) > coalesce(l.fitted_hours, n.first)`,
		[model]
	);

// Found damaged when the pump was open: it happened since the look before. All other ends say only that it held so long.
const otherLife = ({ hours, lookedAt, endReason }: LifeRow): OtherLife =>
	endReason === 'damaged' ? { held: Math.max(0, lookedAt ?? 0), endedBy: hours } : { held: hours };

function fitEnds(lives: readonly LifeRow[]): FleetKnowledge['ends'] {
	const stations = [...new Set(lives.map(({ station }) => station))];
	return Object.fromEntries(
		stations.map((station) => {
			const here = lives.filter((life) => life.station === station);
			const unaged = here.filter(({ ageKnown }) => !ageKnown);
			const seen = {
				lives: unaged.length,
				events: unaged.filter(({ endReason }) => endReason === 'damaged').length,
				hours: unaged.reduce((sum, { hours }) => sum + hours, 0)
			};
			return [station, fitOtherEnds(here.filter(({ ageKnown }) => ageKnown).map(otherLife), seen)];
		})
	);
}
