import type { Forecast, ForecastInput } from '@exetasis/core/decide';
import { layMat, lifeOf } from '@exetasis/core/mat';
import { fold, untouched } from '@exetasis/core/record';
import { heavily } from '../background/heavy';
import { Kept, keyOf } from '../background/kept';
import { of, type ShopScope } from '../db/scope';
import { benchOf, type Bench } from './bench';

// Some hundred mats, of about a kilobyte a part.
const forecasts = new Kept<Forecast | undefined>(20_000);

/** The bench with the future of its parts as its log stands: each worked out once, in a thread, while what it rests on stays. */
export async function foreseen(bench: Bench): Promise<Bench> {
	const { gauges, policy, fleet } = bench;
	const asked = [...layMat(bench, fold(bench.entries).parts).values()].map(({ cell, station, record }) => {
		const { readings } = record;
		const input: ForecastInput = {
			station,
			record: { ...untouched, readings },
			asFitted: cell.asFitted,
			gauges: gauges.filter(({ id }) => readings.some(({ payload }) => payload.gauge === id)),
			policy,
			life: lifeOf(fleet, station, cell)
		};
		return { part: cell.part, input, key: keyOf(input) };
	});
	// In one go, since parts of a kind share what is known of it.
	const anew = new Map(asked.filter(({ key }) => !forecasts.get(key)).map(({ key, input }) => [key, input]));
	if (anew.size > 0) {
		const answers = heavily('forecastsOf', [...anew.values()]);
		for (const [i, key] of [...anew.keys()].entries())
			void forecasts.keep(
				key,
				answers.then((all) => all[i])
			);
	}
	const told = await Promise.all(asked.map(async ({ part, key }) => [part, await forecasts.get(key)] as const));
	return { ...bench, forecasts: Object.fromEntries(told.flatMap(([part, one]) => (one ? [[part, one]] : []))) };
}

/** Works out what lies ahead on the mats of open jobs, or of those of one model, before anybody opens them: the newest first. */
export async function foreseeOpenJobs(scope: ShopScope, model?: string): Promise<void> {
	const pumps = model && (await of(scope, 'pump').all({ model }, { attributes: ['id'] }));
	const open = { releasedAt: null, ...(pumps ? { pumpId: pumps.map(({ id }) => id) } : {}) };
	const jobs = await of(scope, 'job').all(open, { attributes: ['id'], order: [['receivedAt', 'DESC']] });
	for (const { id } of jobs) {
		const bench = await benchOf(scope, id);
		if (bench) await foreseen(bench);
	}
}
