import { chiSquareUpper, requireThat, solveLinear } from '../number';
import type { ExactLife } from './stepCurves';

export interface LogRank {
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
	for (const { hours } of groups.flat())
		requireThat(hours >= 0 && Number.isFinite(hours), 'logRank', 'hours', hours, 'at least 0');
	const all = groups
		.flatMap((lives, group) => lives.map((life) => ({ ...life, group })))
		.toSorted((a, b) => a.hours - b.hours);
	const running = groups.map(({ length }) => length);
	const seen = groups.map(() => 0);
	const expected = groups.map(() => 0);
	const covariance = groups.map(() => groups.map(() => 0));
	for (let i = 0; i < all.length;) {
		const { hours } = all[i];
		const n = all.length - i;
		const leaving = groups.map(() => 0);
		let ended = 0;
		for (; i < all.length && all[i].hours === hours; i++) {
			leaving[all[i].group]++;
			if (!all[i].ended) continue;
			ended++;
			seen[all[i].group]++;
		}
		const spread = n > 1 ? (ended * (n - ended)) / (n - 1) : 0;
		for (let a = 0; a < groups.length; a++) {
			expected[a] += (ended * running[a]) / n;
			for (let b = 0; b < groups.length; b++)
				covariance[a][b] += spread * (running[a] / n) * ((a === b ? 1 : 0) - running[b] / n);
		}
		for (let a = 0; a < groups.length; a++) running[a] -= leaving[a];
	}
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
