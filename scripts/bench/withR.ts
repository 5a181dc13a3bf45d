// Survival analysis beside R's `survival`, where it is installed: the same lives, the same machine, each its own best of several runs.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { exactLife, fitWeibull, logRank, rightCensored } from '../../core/src/survival';

const LIVES = 100_000;
const ROUNDS = 7;

// Two groups of lives with one shape, half of them still running: a generator of our own, so that every run has the same.
let state = 1;
const uniform = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
const lives = Array.from({ length: LIVES }, (_, i) => {
	const hours = (i % 2 ? 3000 : 2900) * (-Math.log(uniform())) ** (1 / 1.7);
	const watched = 5000 * uniform();
	return { hours: Math.min(hours, watched), ended: hours <= watched, group: i % 2 };
});
const program = `
library(survival)
d <- read.csv(commandArgs(TRUE)[1])
best <- function(f) { f(); min(sapply(1:${ROUNDS}, function(i) { t <- proc.time()[["elapsed"]]; for (k in 1:5) f(); (proc.time()[["elapsed"]] - t) / 5 })) }
lr <- survdiff(Surv(hours, ended) ~ group, d)
wb <- survreg(Surv(hours, ended) ~ 1, d, dist = "weibull")
cat(best(function() survdiff(Surv(hours, ended) ~ group, d)), best(function() survreg(Surv(hours, ended) ~ 1, d, dist = "weibull")), lr$chisq, 1 / wb$scale, exp(coef(wb)), "\\n")
`;

const folder = mkdtempSync(join(tmpdir(), 'exetasis-r-'));
try {
	const data = join(folder, 'lives.csv');
	const script = join(folder, 'bench.R');
	const rows = lives.map(({ hours, ended, group }) => `${hours},${Number(ended)},${group}`);
	writeFileSync(data, `hours,ended,group\n${rows.join('\n')}\n`);
	writeFileSync(script, program);
	const answer = spawnSync('Rscript', [script, data], { encoding: 'utf8' });
	if (answer.error || answer.status !== 0) console.log('R with its package survival is not installed: not compared.');
	else compare(answer.stdout.trim().split(/\s+/).map(Number));
} finally {
	rmSync(folder, { recursive: true, force: true });
}

function best(work: () => unknown): number {
	work(); // once to be compiled
	return Math.min(
		...Array.from({ length: ROUNDS }, () => {
			const start = performance.now();
			work();
			return performance.now() - start;
		})
	);
}

// The figures must be the same ones, or the times say nothing.
function agree(what: string, ours: number, rs: number): void {
	if (Math.abs(ours / rs - 1) > 1e-4) throw new Error(`${what}: ours ${ours}, R ${rs}`);
}

function compare([rankS, weibullS, chiSquare, shape, scale]: number[]): void {
	const groups = [0, 1].map((group) => lives.filter((life) => life.group === group));
	const all = lives.map(({ hours, ended }) => (ended ? exactLife(hours) : rightCensored(hours)));
	const fit = fitWeibull(all);
	if (fit.kind !== 'fitted') throw new Error('the lives were not fitted');
	agree('chi square', logRank(groups).chiSquare, chiSquare);
	agree('shape', fit.shape.value, shape);
	agree('scale', fit.scale.value, scale);
	const rank = best(() => logRank(groups));
	const weibull = best(() => fitWeibull(all));
	const beside = (name: string, ms: number, s: number, budget: number) =>
		console.log(`${name}, 100,000 lives: ${ms.toFixed(0)} ms, ${(ms / (1000 * s)).toFixed(2)} × R (budget ${budget})`);
	beside('log-rank', rank, rankS, 0.5);
	beside('Weibull with its limits', weibull, weibullS, 0.1);
}
