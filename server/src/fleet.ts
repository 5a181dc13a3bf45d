import {
	learningFleet,
	type FleetKnowledge,
	type FleetRecord,
	type JobOnRecord,
	type ShopGauge
} from '@exetasis/core/decide';
import type { ModelSheet } from '@exetasis/core/record';
import { LRUCache } from 'lru-cache';
import { Op, type WhereOptions } from 'sequelize';
import type { JobRow } from './db/tables';
import { of, type ShopScope } from './db/scope';
import { livesOfModel } from './db/sql/livesOfModel';
import { sizesOfModel } from './db/sql/sizesOfModel';
import { gaugesOf } from './gauges';
import { newestSheet } from './sheets';

// A fit takes seconds and one more job among a hundred moves no verdict: it stands until half as many again are on record.
const GROWTH_BEFORE_REFIT = 1.5;
/** Version of the method; what was fitted by another one is made again. */
export const METHOD = 2;
const DIGITS = 5;

/** Where nothing has been fitted yet: the priors speak alone. */
const NOTHING_LEARNT: FleetKnowledge = { wear: {}, ends: {}, pumps: {}, classes: {}, settled: true };

// A fit is read by every page of a job and takes a tenth of a second to read: kept until another one is made.
const fitsRead = new LRUCache<string, FleetKnowledge>({ max: 100 });

/** How the parts of a model wear and end in this shop, as it was fitted last. */
export async function fleetOf(scope: ShopScope, { model, revision }: ModelSheet): Promise<FleetKnowledge> {
	const key = { model, revision, method: METHOD };
	const last = await of(scope, 'fleetFit').one(key, { attributes: ['jobs', 'fittedAt'], order: [['jobs', 'DESC']] });
	if (!last) return NOTHING_LEARNT;
	const made = [scope.shopId, model, revision, last.jobs, last.fittedAt.getTime()].join('/');
	const known = fitsRead.get(made);
	if (known) return known;
	const found = await of(scope, 'fleetFit').one({ ...key, jobs: last.jobs });
	if (!found) return NOTHING_LEARNT;
	fitsRead.set(made, found.knowledge);
	return found.knowledge;
}

/** Rebuilds with the duty of their hours, each pump's in order. */
export async function jobsOnRecord(scope: ShopScope, where: WhereOptions<JobRow>): Promise<JobOnRecord[]> {
	const attributes = ['pumpId', 'pumpHours', 'duty'];
	const found = await of(scope, 'job').all(where, {
		attributes,
		order: [
			['pumpId', 'ASC'],
			['pumpHours', 'ASC'],
			['receivedAt', 'ASC']
		]
	});
	return found.map(({ pumpId, pumpHours, duty }) => ({ pump: pumpId, pumpHours, duty }));
}

/** Learns from a record, wherever there is time for it: in this process, or in a thread of its own. */
export type Learn = (sheet: ModelSheet, record: FleetRecord, gauges: readonly ShopGauge[]) => Promise<FleetKnowledge>;

/** Fits a model's record again where it has grown enough; true where it did. */
export async function refit(scope: ShopScope, model: string, learn: Learn = learnInPieces): Promise<boolean> {
	const sheet = (await newestSheet(scope, model))?.body;
	if (!sheet) return false;
	const key = { model, revision: sheet.revision, method: METHOD };
	const pumpId = (await of(scope, 'pump').all({ model }, { attributes: ['id'] })).map(({ id }) => id);
	const released = { pumpId, releasedAt: { [Op.ne]: null } };
	const jobs = await of(scope, 'job').count(released);
	const last = await of(scope, 'fleetFit').one(key, { attributes: ['jobs'], order: [['jobs', 'DESC']] });
	if (jobs <= (last?.jobs ?? 0) * GROWTH_BEFORE_REFIT) return false;
	const record = {
		jobs: await jobsOnRecord(scope, released),
		lives: await livesOfModel(scope, model),
		sizes: await sizesOfModel(scope, model)
	};
	const knowledge = rounded(await learn(sheet, record, await gaugesOf(scope)));
	await of(scope, 'fleetFit').put({ ...key, jobs, knowledge, fittedAt: new Date() });
	return true;
}

const MOST_BLOCKING_MS = 15;
/** Learns in pieces that leave the process free to answer. */
async function learnInPieces(...asked: Parameters<Learn>): Promise<FleetKnowledge> {
	const pieces = learningFleet(...asked);
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
