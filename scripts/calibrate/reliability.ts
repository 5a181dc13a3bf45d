// How well what was said agrees with what came true.
import type { Forecast } from './forecasts';

export type Seeded = Forecast & { readonly seed: number };

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const happened = (list: readonly Seeded[]): number => mean(list.map((sample) => Number(sample.happened)));

export interface Summary {
	readonly count: number;
	readonly said: number;
	readonly happened: number;
	/** Mean squared error of what was said, of the reference, and of always saying the base rate. */
	readonly brier: number;
	readonly referenceBrier: number;
	readonly baseBrier: number;
	/** Mean distance of what is said from the base rate: the product's, and the reference's. */
	readonly sharpness: number;
	readonly referenceSharpness: number;
}

export function summary(list: readonly Seeded[]): Summary {
	const base = happened(list);
	const brier = (of: (forecast: Seeded) => number) =>
		mean(list.map((sample) => (of(sample) - Number(sample.happened)) ** 2));
	return {
		count: list.length,
		said: mean(list.map(({ said }) => said)),
		happened: base,
		brier: brier(({ said }) => said),
		referenceBrier: brier(({ reference }) => reference),
		baseBrier: base * (1 - base),
		sharpness: mean(list.map(({ said }) => Math.abs(said - base))),
		referenceSharpness: mean(list.map(({ reference }) => Math.abs(reference - base)))
	};
}

export interface Bin {
	readonly from: number;
	readonly to: number;
	readonly count: number;
	readonly said: number;
	readonly happened: number;
	/** Half the width of the 95 % interval of said − happened, seeds being independent of each other. */
	readonly halfWidth: number;
}

const FEWEST = 300;

/** Forecasts by what was said; a bin of fewer than 300 joins the next one up, the last the one below. */
export function bins(list: readonly Seeded[], edges: readonly number[]): Bin[] {
	const groups: { from: number; to: number; list: Seeded[] }[] = [];
	for (let i = 0; i + 1 < edges.length; i++) {
		const here = list.filter(({ said }) => said >= edges[i] && (said < edges[i + 1] || i + 2 === edges.length));
		const last = groups.at(-1);
		if (last && last.list.length < FEWEST)
			groups[groups.length - 1] = { from: last.from, to: edges[i + 1], list: [...last.list, ...here] };
		else groups.push({ from: edges[i], to: edges[i + 1], list: here });
	}
	const last = groups.at(-1)!;
	if (last.list.length < FEWEST && groups.length > 1) {
		groups.pop();
		const before = groups.pop()!;
		groups.push({ from: before.from, to: last.to, list: [...before.list, ...last.list] });
	}
	return groups
		.filter((group) => group.list.length > 0)
		.map((group) => ({
			from: group.from,
			to: group.to,
			count: group.list.length,
			said: mean(group.list.map(({ said }) => said)),
			happened: happened(group.list),
			halfWidth: halfWidthBySeed(group.list)
		}));
}

// Forecasts of one shop hang together, so the scatter is that of whole seeds (a ratio of sums).
function halfWidthBySeed(list: readonly Seeded[]): number {
	const off = mean(list.map(({ said, happened }) => said - Number(happened)));
	const seeds = [...new Set(list.map(({ seed }) => seed))];
	const sums = seeds.map((seed) =>
		list.reduce((sum, sample) => (sample.seed === seed ? sum + sample.said - Number(sample.happened) - off : sum), 0)
	);
	const n = seeds.length;
	if (n < 2) return NaN;
	return (1.96 * Math.sqrt((sums.reduce((sum, value) => sum + value ** 2, 0) * n) / (n - 1))) / list.length;
}

/** What was expected and what came true, as counts. */
export const counts = (list: readonly Seeded[]): { expected: number; happened: number } => ({
	expected: list.reduce((sum, { said }) => sum + said, 0),
	happened: list.filter((sample) => sample.happened).length
});
