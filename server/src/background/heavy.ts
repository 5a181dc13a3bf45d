import { heavyTasks, type HeavyTask, type HeavyTasks } from './heavyTasks';
import { inThread } from './threads';

/** Runs one of the heavy tasks for a shop, in a thread if the server has them. Errors: as `inThread`. */
export const runHeavy = <T extends HeavyTask>(
	shop: string,
	task: T,
	...of: Parameters<HeavyTasks[T]>
): Promise<Awaited<ReturnType<HeavyTasks[T]>>> =>
	inThread(task === 'learnFleet' ? 'fit' : 'page', shop, { task, of }, () =>
		(heavyTasks[task] as (...of: unknown[]) => Awaited<ReturnType<HeavyTasks[T]>>)(...of)
	);
