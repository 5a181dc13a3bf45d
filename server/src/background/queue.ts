import PgBoss from 'pg-boss';
import { database, type Database } from '../db/connection';
import { of } from '../db/scope';
import { refit, type Learn } from '../fleet';
import { foreseeOpenJobs } from '../jobs/forecasts';
import { log } from '../serverLog';
import { upToDate } from '../trace/upToDate';
import { purgeSignIn } from '../auth/purge';

const FIT = 'fit-fleet';
const PURGE = 'purge-sign-in';
const EVERY_NIGHT = '17 3 * * *';
const TRY_AGAIN_MS = 30_000;

interface FitAsked {
	readonly shopId: string;
	readonly model: string;
}

let boss: PgBoss | undefined;

/** Starts this node's background work: fits after releases, and the nightly purge of what sign-in leaves behind. */
export async function startBackground(learn?: Learn): Promise<void> {
	if (boss) return;
	const started = new PgBoss({ connectionString: process.env.DATABASE_URL, max: 2 });
	boss = started;
	started.on('error', (cause) => log.error({ err: cause }, 'background work'));
	try {
		await started.start();
		await started.createQueue(FIT, { name: FIT, policy: 'short', retryLimit: 3, retryBackoff: true });
		await started.createQueue(PURGE);
		await started.schedule(PURGE, EVERY_NIGHT);
		await started.work<FitAsked>(FIT, { pollingIntervalSeconds: 2 }, async (jobs) => {
			for (const { data } of jobs) {
				const scope = { db: database(), shopId: data.shopId };
				await upToDate(scope);
				if (await refit(scope, data.model, learn)) await foreseeOpenJobs(scope, data.model);
			}
		});
		await started.work(PURGE, async () => void (await purgeSignIn(database())));
		void catchUp(database());
	} catch (cause) {
		boss = undefined;
		await started.stop({ graceful: false, wait: false }).catch(() => undefined);
		log.error({ err: cause }, 'background work could not be started; it is tried again soon');
		setTimeout(() => void startBackground(learn), TRY_AGAIN_MS).unref();
	}
}

// Pages first: a fit may come a little later.
async function catchUp(db: Database): Promise<void> {
	for (const work of [foreseeEverywhere, fitWhereDue])
		await work(db).catch((cause: unknown) => log.error({ err: cause }, 'work after the start is left undone'));
}

// Records that grew while no one worked them, or that an earlier version of the method fitted. What is not due is left at once.
async function fitWhereDue(db: Database): Promise<void> {
	for (const shopId of await shopIds(db)) {
		const scope = { db, shopId };
		const models = await of(scope, 'pump').all({}, { attributes: ['model'], group: ['model'] });
		for (const { model } of models) await fitSoon(scope.shopId, model);
	}
}

// What the server knew before it was started is gone: whoever opens a job first should not wait for it.
async function foreseeEverywhere(db: Database): Promise<void> {
	for (const shopId of await shopIds(db)) await foreseeOpenJobs({ db, shopId });
}

const shopIds = async (db: Database): Promise<string[]> =>
	(await db.models.shop.findAll({ attributes: ['id'] })).map((shop) => shop.get('id') as string);

/**
 * Asks for a model's record to be fitted again, behind everybody's back. Where no node does background work (commands,
 * tests) nothing happens: there `refit` is called by itself.
 */
export async function fitSoon(shopId: string, model: string): Promise<void> {
	await boss
		?.send(FIT, { shopId, model } satisfies FitAsked, { singletonKey: `${shopId}/${model}` })
		.catch((cause: unknown) => log.error({ err: cause }, 'a fit could not be asked for'));
}

export async function stopBackground(): Promise<void> {
	const running = boss;
	boss = undefined;
	await running?.stop({ graceful: false, wait: false }).catch(() => undefined);
}
