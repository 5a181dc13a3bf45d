import { decideWhole, forecastOf, learnFleet, type ForecastInput } from '@exetasis/core/decide';
import { LifeContext } from '@exetasis/core/life';
import { beliefsOf } from '@exetasis/core/trace';
import type { CoverProblem } from '@exetasis/core/order';
import { pdfOf } from '../pdf';
import { cheapestCover } from '../solver';
import { csvOf, readRows, xlsxOf } from '../tableFile';
import { summaryOf } from '../trace/livesSummary';

// Each thread has its own.
const context = new LifeContext();

/** Tasks that are long enough to delay other requests. Their arguments and results are plain data, because they go to threads. */
export const heavyTasks = {
	learnFleet,
	beliefsOf,
	summaryOf,
	cheapestCover: (problem: CoverProblem) => cheapestCover(problem),
	decideWhole,
	forecastsOf: (inputs: readonly ForecastInput[]) => inputs.map((input) => forecastOf({ ...input, context })),
	pdfOf,
	xlsxOf,
	csvOf,
	readRows
};

export type HeavyTasks = typeof heavyTasks;
export type HeavyTask = keyof HeavyTasks;
