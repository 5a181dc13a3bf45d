import { Worker } from 'node:worker_threads';
import type { HeavyAnswer, HeavyRequest } from './heavy.worker';
import { heavyTasks, type HeavyTask, type HeavyTasks } from './heavyTasks';

/** A thread, started with the first question; one that dies fails what it was asked, and the next question starts it anew. */
class Thread {
	#worker: Worker | undefined;
	#asked = 0;
	readonly #waiting = new Map<number, { done: (answer: unknown) => void; failed: (cause: Error) => void }>();

	ask(script: URL, task: HeavyTask, of: readonly unknown[]): Promise<unknown> {
		return new Promise((done, failed) => {
			const id = ++this.#asked;
			this.#waiting.set(id, { done, failed });
			this.#started(script).postMessage({ id, task, of } satisfies HeavyRequest);
		});
	}

	#started(script: URL): Worker {
		if (this.#worker) return this.#worker;
		const worker = new Worker(script);
		this.#worker = worker;
		worker.unref();
		worker.on('message', (answer: HeavyAnswer) => {
			const asker = this.#waiting.get(answer.id);
			this.#waiting.delete(answer.id);
			if ('problem' in answer) asker?.failed(new Error(answer.problem));
			else asker?.done(answer.answer);
		});
		const ended = (cause: Error) => {
			if (this.#worker === worker) this.#worker = undefined;
			for (const { failed } of this.#waiting.values()) failed(cause);
			this.#waiting.clear();
		};
		worker.on('error', ended);
		worker.on('exit', () => ended(new Error('a thread ended')));
		return worker;
	}
}

let script: URL | undefined;
// A fit takes up to a minute: what a page waits for has a thread of its own.
const [fits, pages] = [new Thread(), new Thread()];

/** From now on what is heavy is worked in threads of this bundled script. */
export const useThreads = (of: URL): void => void (script = of);

/** Works one of the heavy tasks: in a thread where the server has them, else (commands, tests) here and now. */
export async function heavily<T extends HeavyTask>(
	task: T,
	...of: Parameters<HeavyTasks[T]>
): Promise<ReturnType<HeavyTasks[T]>> {
	const answer = script
		? (task === 'learnFleet' ? fits : pages).ask(script, task, of)
		: (heavyTasks[task] as (...of: unknown[]) => unknown)(...of);
	return (await answer) as ReturnType<HeavyTasks[T]>;
}
