import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { log } from '../serverLog';
import { FairTurns } from './fairTurns';

export interface Asked {
	readonly task: string;
	readonly of: readonly unknown[];
}

/** A task that ran longer than its time limit and was stopped. */
export class TookTooLong extends Error {
	constructor(
		readonly task: string,
		readonly seconds: number
	) {
		super(`${task} took longer than ${seconds} s`);
	}
}

/** Time limits: for the work of a page, and for a fit, which runs in the background. */
const MOST_SECONDS = { page: 30, fit: 900 } as const;
type Sort = keyof typeof MOST_SECONDS;

interface Pool {
	readonly threads: Piscina;
	readonly turns: FairTurns;
}
let pools: Record<Sort, Pool> | undefined;

/**
 * Runs long tasks in threads of this script from now on: one thread for fits, and for pages one per processor, at least two.
 * `mostSeconds`: their time limits.
 */
export async function useThreads(script: URL, mostSeconds: Record<Sort, number> = MOST_SECONDS): Promise<void> {
	await endThreads();
	limits = mostSeconds;
	const pool = (maxThreads: number): Pool => {
		const threads = new Piscina({ filename: script.href, minThreads: 0, maxThreads, idleTimeout: Infinity });
		threads.on('error', (cause) => log.error({ err: cause }, 'a thread failed'));
		return { threads, turns: new FairTurns(maxThreads) };
	};
	pools = { page: pool(Math.max(2, availableParallelism())), fit: pool(1) };
}
let limits: Record<Sort, number> = MOST_SECONDS;

/** Ends all threads. Their unfinished tasks fail. */
export async function endThreads(): Promise<void> {
	const ended = Object.values(pools ?? {});
	pools = undefined;
	await Promise.all(ended.map(({ threads }) => threads.destroy()));
}

/**
 * Runs one task in a thread, or, without threads (commands, tests), in this process. Shops take turns. A thread that exceeds the time
 * limit is ended.
 * Errors: TookTooLong; those of the task.
 */
export async function inThread<Answer>(
	sort: Sort,
	shop: string,
	asked: Asked,
	here: () => Answer | Promise<Answer>
): Promise<Answer> {
	const pool = pools?.[sort];
	if (!pool) return here();
	return pool.turns.take(shop, async () => {
		const late = new AbortController();
		const clock = setTimeout(() => late.abort(), limits[sort] * 1000);
		try {
			return (await pool.threads.run(asked, { signal: late.signal })) as Answer;
		} catch (cause) {
			throw late.signal.aborted ? new TookTooLong(asked.task, limits[sort]) : cause;
		} finally {
			clearTimeout(clock);
		}
	});
}
