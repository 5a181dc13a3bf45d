import {
	learningFleet,
	type FleetKnowledge,
	type FleetRecord,
	type JobOnRecord,
	type LifeOnRecord,
	type ShopGauge,
	type SizeOnRecord
} from '@exetasis/core/decide';
import type { ModelSheet } from '@exetasis/core/record';
import { row, rows, type ShopScope } from './db/query';
import { log } from './serverLog';

// A fit takes seconds and one more job among a hundred moves no verdict: it stands until half as many again are on record.
const GROWTH_BEFORE_REFIT = 1.5;
/** Version of the method; what was fitted by another one is made anew. */
const METHOD = 2;
const DIGITS = 5;

/** Where nothing has been fitted yet: the priors speak alone. */
const NOTHING_LEARNT: FleetKnowledge = { wear: {}, ends: {}, pumps: {}, classes: {}, settled: true };

/** How the parts of a model wear and end in this shop, as it was fitted last. */
export async function fleetOf(scope: ShopScope, sheet: ModelSheet): Promise<FleetKnowledge> {
	const found = await row<{ knowledge: FleetKnowledge }>(
		scope,
		`
		SELECT knowledge FROM fleet_fit WHERE shop_id = $1 AND model = $2 AND revision = $3 AND method = $4
		ORDER BY jobs DESC LIMIT 1`,
		[sheet.model, sheet.revision, METHOD]
	);
	return found?.knowledge ?? NOTHING_LEARNT;
}

const atWork = new Map<string, Promise<void>>();

/** Fits a model's record anew where it has grown enough, in pieces that leave the server free to answer; one fit at a time. */
export function refit(scope: ShopScope, sheet: ModelSheet, gauges: readonly ShopGauge[]): Promise<void> {
	const key = `${scope.shopId}/${sheet.model}/${sheet.revision}`;
	const going = atWork.get(key);
	if (going) return going;
	const work = refitIfGrown(scope, sheet, gauges).finally(() => atWork.delete(key));
	atWork.set(key, work);
	return work;
}

/** `refit` behind a page's back: what goes wrong is logged, and the last fit stands. */
export const refitSoon = (...args: Parameters<typeof refit>): void =>
	void refit(...args).catch((cause: unknown) => log.error({ err: cause }, 'the fleet could not be fitted anew'));

async function refitIfGrown(scope: ShopScope, sheet: ModelSheet, gauges: readonly ShopGauge[]): Promise<void> {
	const { jobs, fittedJobs } = (await row<{ jobs: number; fittedJobs: number | null }>(
		scope,
		`
		SELECT (SELECT count(*)::int FROM job j JOIN pump p ON p.id = j.pump_id
				WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL) AS jobs,
			(SELECT max(jobs) FROM fleet_fit WHERE shop_id = $1 AND model = $2 AND revision = $3 AND method = $4) AS "fittedJobs"`,
		[sheet.model, sheet.revision, METHOD]
	))!;
	if (jobs <= (fittedJobs ?? 0) * GROWTH_BEFORE_REFIT) return;
	const fitted = rounded(await inPieces(learningFleet(sheet, await recordOf(scope, sheet.model), gauges)));
	await rows(
		scope,
		`
		INSERT INTO fleet_fit (shop_id, model, revision, method, jobs, knowledge) VALUES ($1, $2, $3, $4, $5, $6)
		ON CONFLICT (shop_id, model, revision, method, jobs) DO UPDATE SET knowledge = EXCLUDED.knowledge RETURNING 1`,
		[sheet.model, sheet.revision, METHOD, jobs, JSON.stringify(fitted)]
	);
}

const MOST_BLOCKING_MS = 15;
async function inPieces<T>(pieces: Generator<void, T>): Promise<T> {
	for (;;) {
		const since = performance.now();
		do {
			const { done, value } = pieces.next();
			if (done) return value;
		} while (performance.now() - since < MOST_BLOCKING_MS);
		await new Promise(setImmediate);
	}
}

// It goes to every tablet: five digits say all that there is.
const rounded = (knowledge: FleetKnowledge): FleetKnowledge =>
	JSON.parse(
		JSON.stringify(knowledge, (_, value: unknown) =>
			typeof value === 'number' && Number.isFinite(value) ? Number(value.toPrecision(DIGITS)) : value
		)
	) as FleetKnowledge;

async function recordOf(scope: ShopScope, model: string): Promise<FleetRecord> {
	return {
		jobs: await jobsOfModel(scope, model),
		lives: await livesOfModel(scope, model),
		sizes: await sizesOfModel(scope, model)
	};
}

const jobsOfModel = (scope: ShopScope, model: string): Promise<JobOnRecord[]> =>
	rows(
		scope,
		`
		SELECT j.pump_id AS pump, j.pump_hours AS "pumpHours", j.duty FROM job j JOIN pump p ON p.id = j.pump_id
		WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL ORDER BY j.pump_id, j.pump_hours`,
		[model]
	);

const livesOfModel = (scope: ShopScope, model: string): Promise<LifeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT l.part_id AS part, l.pump_id AS pump, l.station, l.fitted_hours AS "fittedHours", l.removed_hours AS "removedHours",
			l.end_reason AS "endReason", a.as_fitted AS "asFitted",
			coalesce(l.fitted_hours, (SELECT min(pump_hours) FROM job WHERE pump_id = l.pump_id AND released_at IS NOT NULL)) AS "firstSeenHours",
			coalesce((SELECT array_agg(DISTINCT j.pump_hours) FROM look k JOIN job j ON j.id = k.job_id
				WHERE k.part_id = l.part_id AND j.pump_id = l.pump_id AND NOT k.withdrawn AND j.released_at IS NOT NULL), '{}') AS "lookedHours"
		FROM part_life l JOIN pump p ON p.id = l.pump_id JOIN part a ON a.id = l.part_id
		WHERE l.shop_id = $1 AND p.model = $2 AND EXISTS (SELECT 1 FROM job WHERE pump_id = l.pump_id AND released_at IS NOT NULL)`,
		[model]
	);

const sizesOfModel = (scope: ShopScope, model: string): Promise<SizeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT r.part_id AS part, j.pump_id AS pump, r.characteristic, j.pump_hours AS "pumpHours", json_agg(e.payload) AS readings
		FROM reading r JOIN log_entry e ON e.id = r.entry_id JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id
		WHERE r.shop_id = $1 AND p.model = $2 AND NOT r.withdrawn AND j.released_at IS NOT NULL
		GROUP BY r.part_id, j.pump_id, r.characteristic, j.pump_hours`,
		[model]
	);

/** The readings of the parts on the mat of a job in the pump's earlier rebuilds. */
export const earlierSizes = (scope: ShopScope, jobId: string): Promise<SizeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT r.part_id AS part, o.pump_id AS pump, r.characteristic, o.pump_hours AS "pumpHours", json_agg(e.payload) AS readings
		FROM mat_cell c JOIN job j ON j.id = c.job_id JOIN reading r ON r.part_id = c.part_id AND r.job_id <> j.id AND NOT r.withdrawn
		JOIN log_entry e ON e.id = r.entry_id JOIN job o ON o.id = r.job_id AND o.pump_id = j.pump_id AND o.received_at < j.received_at
		WHERE c.shop_id = $1 AND c.job_id = $2
		GROUP BY r.part_id, o.pump_id, r.characteristic, o.pump_hours`,
		[jobId]
	);

/** The rebuilds of a job's pump up to and with that job, oldest first. */
export const jobsUpTo = (scope: ShopScope, jobId: string): Promise<JobOnRecord[]> =>
	rows(
		scope,
		`
		SELECT o.pump_id AS pump, o.pump_hours AS "pumpHours", o.duty FROM job j JOIN job o ON o.pump_id = j.pump_id
			AND o.received_at <= j.received_at
		WHERE j.shop_id = $1 AND j.id = $2 ORDER BY o.pump_hours`,
		[jobId]
	);
