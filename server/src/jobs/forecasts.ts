import { setImmediate } from 'node:timers/promises';
import type { Forecast, ForecastInput } from '@exetasis/core/decide';
import { layMat, lifeOf } from '@exetasis/core/mat';
import { fold, untouched } from '@exetasis/core/record';
import { runHeavy } from '../background/heavy';
import { Kept, keyOf } from '../background/kept';
import { of, type ShopScope } from '../db/scope';
import { benchOf, type Bench } from './bench';

// Some hundred mats, of about a kilobyte a part.
const forecasts = new Kept<Forecast | undefined>(20_000);
/** Parts of a mat that are worked out in one go: a usual mat is shared by two threads, and other shops come between. */
const AT_ONCE = 36;
/** Parts after which others are answered. */
const BETWEEN_OTHERS = 40;

/** The bench with the future of its parts as its log stands: each worked out once, in a thread, while what it rests on stays. */
export async function foreseen(shop: string, bench: Bench): Promise<Bench> {
	const { gauges, policy, fleet } = bench;
	const asked: { part: string; input: ForecastInput; key: string }[] = [];
	for (const { cell, station, record } of layMat(bench, fold(bench.entries).parts).values()) {
		if (asked.length % BETWEEN_OTHERS === BETWEEN_OTHERS - 1) await setImmediate();
		const { readings } = record;
		const input: ForecastInput = {
			station,
			record: { ...untouched, readings },
			asFitted: cell.asFitted,
			gauges: gauges.filter(({ id }) => readings.some(({ payload }) => payload.gauge === id)),
			policy,
			life: lifeOf(fleet, station, cell)
		};
		asked.push({ part: cell.part, input, key: keyOf(input) });
	}
	// Parts of a kind go to one thread, because they share what is known of it.
	const missing = [
		...new Map(asked.filter(({ key }) => !forecasts.get(key)).map((wanted) => [wanted.key, wanted])).values()
	].toSorted((a, b) => a.input.station.key.localeCompare(b.input.station.key));
	for (let from = 0; from < missing.length; from += AT_ONCE) {
		const some = missing.slice(from, from + AT_ONCE);
		const answers = runHeavy(
			shop,
			'forecastsOf',
			some.map(({ input }) => input)
		);
		for (const [i, { key }] of some.entries())
			void forecasts.keep(
				key,
				answers.then((all) => all[i])
			);
	}
	const told = await Promise.all(asked.map(async ({ part, key }) => [part, await forecasts.get(key)] as const));
	return {
		...bench,
		forecasts: Object.fromEntries(told.flatMap(([part, forecast]) => (forecast ? [[part, forecast]] : [])))
	};
}

/** Works out what lies ahead on the mats of open jobs, or of those of one model, before anyone opens them: the newest first. */
export async function foreseeOpenJobs(scope: ShopScope, model?: string): Promise<void> {
	const pumps = model && (await of(scope, 'pump').all({ model }, { attributes: ['id'] }));
	const open = { releasedAt: null, ...(pumps ? { pumpId: pumps.map(({ id }) => id) } : {}) };
	const jobs = await of(scope, 'job').all(open, { attributes: ['id'], order: [['receivedAt', 'DESC']] });
	for (const { id } of jobs) {
		const bench = await benchOf(scope, id);
		if (bench) await foreseen(scope.shopId, bench);
	}
}
