import { chiSquareUpper, requireThat, solveLinear } from '../number';
import type { ExactLife } from './stepCurves';

interface LogRank {
	/** By group, in the order given: ends seen, and ends expected were all groups alike. */
	readonly groups: readonly { readonly ended: number; readonly expected: number }[];
	readonly chiSquare: number;
	readonly dof: number;
	/** P(as far apart or further, were all groups alike); undefined where nothing ended while more than one group ran. */
	readonly p?: number;
}

/**
 * Whether groups of lives end alike: the log-rank test.
 * Units: hours ≥ 0. Errors: PreconditionError for fewer than two groups or hours that cannot be.
 * Source: N. Mantel, Cancer Chemotherapy Reports 50 (1966) 163–170; R. Peto, J. Peto, J. Royal Stat. Soc. A 135 (1972) 185–207.
 */
export function logRank(groups: readonly (readonly ExactLife[])[]): LogRank {
	requireThat(groups.length >= 2, 'logRank', 'groups', groups.length, 'at least two');
	for (const lives of groups)
		for (const { hours } of lives)
			requireThat(hours >= 0 && Number.isFinite(hours), 'logRank', 'hours', hours, 'at least 0');
	const sorted = groups.map((lives) => ({
		ends: hoursOf(lives, true),
		held: hoursOf(lives, false),
		ended: 0,
		left: 0
	}));
	const expected = groups.map(() => 0);
	const covariance = groups.map(() => groups.map(() => 0));
	const running = groups.map(() => 0);
	for (;;) {
		let now = Infinity;
		for (const { ends, ended } of sorted) if (ended < ends.length && ends[ended] < now) now = ends[ended];
		if (now === Infinity) break;
		let [n, together] = [0, 0];
		for (const [i, group] of sorted.entries()) {
			const { ends, held } = group;
			while (group.left < held.length && held[group.left] < now) group.left++;
			n += running[i] = ends.length - group.ended + held.length - group.left;
			const before = group.ended;
			while (group.ended < ends.length && ends[group.ended] === now) group.ended++;
			together += group.ended - before;
		}
		const spread = n > 1 ? (together * (n - together)) / (n - 1) : 0;
		for (let a = 0; a < groups.length; a++) {
			expected[a] += (together * running[a]) / n;
			for (let b = 0; b < groups.length; b++)
				covariance[a][b] += spread * (running[a] / n) * ((a === b ? 1 : 0) - running[b] / n);
		}
	}
	const seen = sorted.map(({ ends }) => ends.length);
	// The groups' differences sum to nought: the last one follows from the others.
	const free = groups.length - 1;
	const differences = seen.slice(0, free).map((count, group) => count - expected[group]);
	const solved = solveLinear(
		covariance.slice(0, free).map((row) => row.slice(0, free)),
		differences
	);
	const chiSquare = solved ? solved.reduce((sum, value, i) => sum + value * differences[i], 0) : 0;
	return {
		groups: seen.map((ended, group) => ({ ended, expected: expected[group] })),
		chiSquare,
		dof: free,
		...(solved ? { p: chiSquareUpper(Math.max(0, chiSquare), free) } : {})
	};
}

// Of the lives that ended, or that did not, shortest first.
function hoursOf(lives: readonly ExactLife[], ended: boolean): Float64Array {
	const hours = new Float64Array(lives.length);
	let count = 0;
	for (const life of lives) if (life.ended === ended) hours[count++] = life.hours;
	return hours.subarray(0, count).sort();
}
