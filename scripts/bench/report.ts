import { performance } from 'node:perf_hooks';

export const median = (times: readonly number[]): number =>
	[...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

/** Does some work a few times, once before to be compiled, and prints the median of what it took beside its budget. */
export function report(name: string, budgetMs: number | undefined, work: () => unknown, rounds = 9): void {
	work();
	const times = Array.from({ length: rounds }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
	console.log(`${name}: median ${median(times).toFixed(1)} ms${budgetMs ? ` (budget ${budgetMs})` : ''}`);
}
