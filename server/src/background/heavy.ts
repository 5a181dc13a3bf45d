import { Worker } from 'node:worker_threads';
import { log } from '../serverLog';
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

	async end(): Promise<void> {
		const worker = this.#worker;
		this.#worker = undefined;
		await worker?.terminate();
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
			// One that was told to end answers nothing that its follower was asked.
			if (this.#worker !== worker) return;
			this.#worker = undefined;
			for (const { failed } of this.#waiting.values()) failed(cause);
			this.#waiting.clear();
		};
		worker.on('error', ended);
		worker.on('exit', () => ended(new Error('a thread ended')));
		return worker;
	}
}

let script: URL | undefined;
// A fit takes up to a minute, a pump's causes some seconds: neither holds up the mat.
const [fits, traces, mats] = [new Thread(), new Thread(), new Thread()];
const threadOf: Record<HeavyTask, Thread> = {
	learnFleet: fits,
	beliefsOf: traces,
	summaryOf: traces,
	decideWhole: mats,
	forecastsOf: mats
};

/** From now on what is heavy is worked in threads of this bundled script. */
export async function useThreads(of: URL): Promise<void> {
	script = of;
	await Promise.all([fits.end(), traces.end(), mats.end()]);
}

/**
 * Works one of the heavy tasks: in a thread where the server has them, else (commands, tests) here and now. Where its thread
 * fails a page is answered all the same; a fit is tried again by its queue.
 */
export async function heavily<T extends HeavyTask>(
	task: T,
	...of: Parameters<HeavyTasks[T]>
): Promise<ReturnType<HeavyTasks[T]>> {
	const here = () => (heavyTasks[task] as (...of: unknown[]) => ReturnType<HeavyTasks[T]>)(...of);
	if (!script) return here();
	const asked = threadOf[task].ask(script, task, of) as Promise<ReturnType<HeavyTasks[T]>>;
	if (task === 'learnFleet') return asked;
	try {
		return await asked;
	} catch (cause) {
		log.error({ err: cause, task }, 'a thread failed: worked out beside the pages instead');
		return here();
	}
}
