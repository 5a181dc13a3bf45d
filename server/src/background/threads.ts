import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { log } from '../serverLog';
import { FairTurns } from './fairTurns';

/** A task with its arguments and answer, all of them data. */
export type Task = (...of: never[]) => unknown;
export interface Asked {
	readonly task: string;
	readonly of: readonly unknown[];
}

/** What was asked took longer than it may, and was given up. */
export class TookTooLong extends Error {
	constructor(
		readonly task: string,
		readonly seconds: number
	) {
		super(`${task} took longer than ${seconds} s`);
	}
}

/** How long a page’s work may take, and a fit, which nobody waits for. */
const MOST_SECONDS = { page: 30, fit: 900 } as const;
export type Sort = keyof typeof MOST_SECONDS;

interface Pool {
	readonly threads: Piscina;
	readonly turns: FairTurns;
}
let pools: Record<Sort, Pool> | undefined;

/**
 * From now on what takes long is worked in threads of this script, as many for pages as there are processors, one for fits.
 * `mostSeconds`: how long each may take.
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

/** Ends all threads; what they were asked fails. */
export async function endThreads(): Promise<void> {
	const ended = Object.values(pools ?? {});
	pools = undefined;
	await Promise.all(ended.map(({ threads }) => threads.destroy()));
}

/**
 * Works one task in a thread where the server has them, else (commands, tests) here and now. Shops take turns; a thread
 * that takes too long is ended, and what it was asked fails.
 * Errors: TookTooLong; whatever the task throws.
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
