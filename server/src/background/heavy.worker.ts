// A thread in which the web server works what takes long: nobody's page waits for another's arithmetic.
import { parentPort } from 'node:worker_threads';
import { heavyTasks, type HeavyTask } from './heavyTasks';

export interface HeavyRequest {
	readonly id: number;
	readonly task: HeavyTask;
	readonly of: readonly unknown[];
}
export type HeavyAnswer =
	{ readonly id: number; readonly answer: unknown } | { readonly id: number; readonly problem: string };

parentPort!.on('message', ({ id, task, of }: HeavyRequest) => {
	try {
		const work = heavyTasks[task] as (...of: readonly unknown[]) => unknown;
		parentPort!.postMessage({ id, answer: work(...of) } satisfies HeavyAnswer);
	} catch (cause) {
		parentPort!.postMessage({ id, problem: String((cause as Error).stack) } satisfies HeavyAnswer);
	}
});
