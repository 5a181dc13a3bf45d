import { decideWhole, forecastOf, learnFleet, type ForecastInput } from '@exetasis/core/decide';
import { beliefsOf } from '@exetasis/core/trace';
import { summaryOf } from '../trace/livesSummary';

/** Arithmetic that takes long enough to hold up others: worked in threads where the server has them. Arguments and answers are data. */
export const heavyTasks = {
	learnFleet,
	beliefsOf,
	summaryOf,
	decideWhole,
	forecastsOf: (inputs: readonly ForecastInput[]) => inputs.map(forecastOf)
};

export type HeavyTasks = typeof heavyTasks;
export type HeavyTask = keyof HeavyTasks;
