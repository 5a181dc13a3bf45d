import { learningFleet, type FleetKnowledge, type FleetRecord, type ShopGauge } from '@exetasis/core/decide';
import type { ModelSheet } from '@exetasis/core/record';
import { of, type ShopScope } from './db/scope';
import { jobsOfModel } from './db/sql/jobsOfModel';
import { livesOfModel } from './db/sql/livesOfModel';
import { releasedOfModel } from './db/sql/releasedOfModel';
import { sizesOfModel } from './db/sql/sizesOfModel';
import { gaugesOf } from './gauges';
import { newestSheet } from './sheets';

// A fit takes seconds and one more job among a hundred moves no verdict: it stands until half as many again are on record.
const GROWTH_BEFORE_REFIT = 1.5;
/** Version of the method; what was fitted by another one is made anew. */
export const METHOD = 2;
const DIGITS = 5;

/** Where nothing has been fitted yet: the priors speak alone. */
const NOTHING_LEARNT: FleetKnowledge = { wear: {}, ends: {}, pumps: {}, classes: {}, settled: true };

/** How the parts of a model wear and end in this shop, as it was fitted last. */
export async function fleetOf(scope: ShopScope, { model, revision }: ModelSheet): Promise<FleetKnowledge> {
	const found = await of(scope, 'fleetFit').one({ model, revision, method: METHOD }, { order: [['jobs', 'DESC']] });
	return found?.knowledge ?? NOTHING_LEARNT;
}

/** Learns from a record, wherever there is time for it: in this process, or in a thread of its own. */
export type Learn = (sheet: ModelSheet, record: FleetRecord, gauges: readonly ShopGauge[]) => Promise<FleetKnowledge>;

/** Fits a model's record anew where it has grown enough; true where it did. */
export async function refit(scope: ShopScope, model: string, learn: Learn = learnInPieces): Promise<boolean> {
	const sheet = (await newestSheet(scope, model))?.body;
	if (!sheet) return false;
	const key = { model, revision: sheet.revision, method: METHOD };
	const jobs = await releasedOfModel(scope, model);
	const last = await of(scope, 'fleetFit').one(key, { attributes: ['jobs'], order: [['jobs', 'DESC']] });
	if (jobs <= (last?.jobs ?? 0) * GROWTH_BEFORE_REFIT) return false;
	const record = {
		jobs: await jobsOfModel(scope, model),
		lives: await livesOfModel(scope, model),
		sizes: await sizesOfModel(scope, model)
	};
	const knowledge = rounded(await learn(sheet, record, await gaugesOf(scope)));
	await of(scope, 'fleetFit').put({ ...key, jobs, knowledge, fittedAt: new Date() });
	return true;
}

const MOST_BLOCKING_MS = 15;
/** Learns in pieces that leave the process free to answer. */
export async function learnInPieces(...of: Parameters<Learn>): Promise<FleetKnowledge> {
	const pieces = learningFleet(...of);
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
