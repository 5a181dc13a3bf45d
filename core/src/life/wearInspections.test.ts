import { describe, expect, it } from 'vitest';
import { gammaUpper } from '../number';
import { GammaTable } from './gammaTable';
import { rateDensity, rateGrid } from './rateGrid';
import { followWear, type WearHistory } from './wearInspections';
import type { WearPrior } from './wearPrior';

const grid = (...rates: number[]) => ({ rates: Float64Array.from(rates), size: rates.length, middle: 0, step: 1 });
const NEW = [{ hours: 0, weight: 1 }];
type Inspection = readonly [hours: number, worn: number, u: number];
const seen = (inspections: readonly Inspection[]): WearHistory => ({
	before: NEW,
	inspections: inspections.map(([hours, worn, u]) => ({ hours, worn, u }))
});
interface Case {
	readonly inspections: readonly Inspection[];
	readonly shapePer1000h: number;
	readonly exponent: number;
	readonly hours: number;
	readonly rates: readonly number[];
	/** ln evidence, and P(wear beyond 1 after the hours), by rate. */
	readonly log: readonly number[];
	readonly chance: readonly number[];
}

// numpy and scipy 1.17: the gamma process integrated inspection by inspection by the double exponential rule, 1,500 to 5,200 nodes an inspection;
// the last five by Gauss and Legendre's rule after a substitution, over cubic splines of 6,000 points.
// prettier-ignore
const CASES: readonly Case[] = [
	{ inspections: [[1500, 0.3, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 1500, rates: [0.1, 0.25, 0.4], log: [0.726089003, 1.788608654, 1.080717113], chance: [5.7132070495e-06, 0.057924800517, 0.31834712317] },
	{ inspections: [[2000, 0.6, 0.2]], shapePer1000h: 200, exponent: 1, hours: 2000, rates: [0.25, 0.3], log: [1.478565678, 1.598313494], chance: [0.51259601719, 0.99999973762] },
	{ inspections: [[1500, 0.02, 0.03]], shapePer1000h: 0.3, exponent: 1, hours: 1500, rates: [0.05, 0.25], log: [2.946827904, 2.312285404], chance: [0.00049222051632, 0.10921354956] },
	{ inspections: [[1500, 0.01, 0.02]], shapePer1000h: 0.3, exponent: 0.75, hours: 1500, rates: [0.05, 0.25], log: [2.760012317, 2.055477388], chance: [0.00044686228327, 0.10653856912] },
	{ inspections: [[1500, 0.03, 0.05]], shapePer1000h: 1, exponent: 1.5, hours: 3000, rates: [0.05, 0.25], log: [2.866526614, 1.893640895], chance: [2.4328416173e-06, 0.31732600651] },
	{ inspections: [[1500, -0.05, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 1500, rates: [0.1, 0.25], log: [-3.528583157, -6.791803194], chance: [1.040700915e-08, 0.0073842010501] },
	{ inspections: [[1500, 0.3, 0.03], [3000, 0.5, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 1500, rates: [0.1, 0.25], log: [2.714203244, 3.370461967], chance: [0.00062103307984, 0.22645386586] },
	{ inspections: [[1500, 0.3, 0.1], [3000, 0.5, 0.1]], shapePer1000h: 2.8, exponent: 1, hours: 1500, rates: [0.1, 0.25], log: [2.636971781, 2.983334937], chance: [0.00054027766034, 0.28788049832] },
	{ inspections: [[1500, 0.3, 0.03], [3000, 0.35, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 3000, rates: [0.1, 0.25], log: [2.889981948, 1.373619664], chance: [0.0050303989356, 0.65144395597] },
	{ inspections: [[1500, 0.3, 0.03], [2000, 0.3, 0.03]], shapePer1000h: 0.5, exponent: 1, hours: 3000, rates: [0.1, 0.25], log: [3.606370063, 3.600723483], chance: [0.07314661292, 0.42658874457] },
	{ inspections: [[1500, 0.3, 0.03], [3000, 0.2, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 3000, rates: [0.1, 0.25], log: [-3.100814976, -6.285995466], chance: [0.00085868367217, 0.49008048973] },
	{ inspections: [[1500, 0.3, 0.02], [3000, 0.2, 0.06]], shapePer1000h: 2.8, exponent: 1.5, hours: 3000, rates: [0.1, 0.25], log: [-3.722391875, -3.191735303], chance: [0.035184477074, 0.8318718812] },
	{ inspections: [[1000, 0.02, 0.03], [3000, 0.05, 0.03]], shapePer1000h: 0.4, exponent: 0.75, hours: 3000, rates: [0.05, 0.25], log: [5.038277905, 3.254862507], chance: [0.00067929672904, 0.27303073152] },
	{ inspections: [[1000, 0.02, 0.03], [3000, 0.05, 0.03]], shapePer1000h: 0.4, exponent: 1.5, hours: 3000, rates: [0.05, 0.25], log: [6.078619275, 4.876721112], chance: [0.0013995100345, 0.31613352327] },
	{ inspections: [[1000, 0.0, 0.05], [1200, 0.05, 0.05]], shapePer1000h: 0.5, exponent: 1, hours: 3000, rates: [0.05, 0.25], log: [5.362052924, 4.631497081], chance: [0.00022588491069, 0.27610146849] },
	{ inspections: [[1500, 0.3, 0.01], [3000, 0.6, 0.1]], shapePer1000h: 30, exponent: 1, hours: 1500, rates: [0.2, 0.25], log: [5.289838005, 4.019766403], chance: [0.0535644893, 0.66478483484] },
	{ inspections: [[1500, 0.3, 0.01], [3000, 0.6, 0.1]], shapePer1000h: 300, exponent: 1, hours: 1500, rates: [0.2, 0.22], log: [6.345482548, 4.892740885], chance: [3.4164106626e-06, 0.084693294129] },
	{ inspections: [[1000, 0.25, 0.03], [2000, 0.5, 0.03], [3000, 0.7, 0.03]], shapePer1000h: 2.8, exponent: 1, hours: 1000, rates: [0.1, 0.25], log: [1.78115543, 5.695902682], chance: [0.0065693764956, 0.30547906733] },
	{ inspections: [[1000, 0.25, 0.03], [2000, 0.5, 0.03], [3000, 0.5, 0.03]], shapePer1000h: 1, exponent: 1.5, hours: 1000, rates: [0.1, 0.25], log: [2.270774209, 3.364869514], chance: [0.027690960199, 0.23940065117] },
	{ inspections: [[1000, 0.02, 0.03], [1500, 0.05, 0.03], [3000, 0.01, 0.03]], shapePer1000h: 0.6, exponent: 1, hours: 4000, rates: [0.05, 0.25], log: [7.916322951, 5.411330887], chance: [0.00027849053353, 0.44025073973] },
	{ inspections: [[1500, 0.25, 0.009], [3000, 0.29, 0.007], [4000, 0.6, 0.08], [4500, 0.8, 0.07]], shapePer1000h: 0.6, exponent: 1, hours: 1000, rates: [0.1, 0.25], log: [4.65567118, 4.89781412], chance: [0.11972131935, 0.35932569025] },
	{ inspections: [[1500, 0.25, 0.009], [3000, 0.29, 0.007], [4000, 0.6, 0.08], [4500, 0.8, 0.07]], shapePer1000h: 0.15, exponent: 1, hours: 1000, rates: [0.1, 0.25], log: [2.63595865, 2.68325022], chance: [0.11663757714, 0.21058897652] },
	{ inspections: [[1500, 0.25, 0.009], [3000, 0.29, 0.007], [4000, 0.6, 0.08], [4500, 0.8, 0.07]], shapePer1000h: 2.4, exponent: 1, hours: 1000, rates: [0.1, 0.25], log: [3.09680468, 3.85036407], chance: [0.028520159785, 0.47678880607] },
	{ inspections: [[570, 0.035, 0.009], [1630, 0.14, 0.085], [2720, 0.156, 0.054], [3290, 0.26, 0.06]], shapePer1000h: 21, exponent: 0.75, hours: 15000, rates: [0.03, 0.05], log: [10.95893129, 9.6562454], chance: [2.6281060158e-40, 0.014983441483] },
	{ inspections: [[730, 0.217, 0.06]], shapePer1000h: 0.12, exponent: 1, hours: 3000, rates: [0.2, 0.5], log: [-0.13395096, -0.14479952], chance: [0.23233301871, 0.40877974703] }
];
const STEADY = 30; // shape in 1000 h from which a coarse reading and even wear are far apart in width
const JUMPY = 0.2; // below it a part may stand still for thousands of hours

function answersOf({ inspections, shapePer1000h, exponent, hours, rates }: Case) {
	const [[{ last, logEvidence }]] = followWear(seen(inspections), [{ shapePer1000h, exponent }], grid(...rates));
	const table = new GammaTable((shapePer1000h * hours) / 1000);
	const { y, weights, rowOf } = last!.splitAt(1);
	const chance = rates.map((rate, i) =>
		y.reduce(
			(sum, at, j) => sum + weights[rowOf(i) + j] * (at >= 1 ? 1 : table.upper(((1 - at) * shapePer1000h) / rate)),
			0
		)
	);
	return { log: logEvidence, chance };
}

describe('followWear', () => {
	it.each(CASES)('agrees with direct integration: $inspections at $shapePer1000h, bent by $exponent', (other) => {
		const { log, chance } = answersOf(other);
		for (const [i, rate] of other.rates.entries()) {
			expect(Math.abs(log[i] - other.log[i]), `ln evidence at ${rate}`).toBeLessThan(1e-3);
			expect(Math.abs(chance[i] - other.chance[i]), `chance at ${rate}`).toBeLessThan(2e-4);
		}
	});
	it.each(CASES)(
		'is good to 2e-3 in its evidence for a fleet, jumpy wear to 1e-2: $inspections at $shapePer1000h',
		(other) => {
			const { shapePer1000h, exponent, rates } = other;
			const [[{ logEvidence }]] = followWear(
				seen(other.inspections),
				[{ shapePer1000h, exponent }],
				grid(...rates),
				'fleet'
			);
			for (const i of other.rates.keys())
				expect(Math.abs(logEvidence[i] - other.log[i])).toBeLessThan(
					other.shapePer1000h > STEADY ? 2e-2 : other.shapePer1000h < JUMPY ? 1e-2 : 2e-3
				);
		}
	);
	// numpy 2.4: Gauss and Legendre's rule with 900 nodes an inspection, summed as logarithms. A jump that wear hardly explains.
	it.each([
		{ shapePer1000h: 8.163, log: [-48.361195, -27.961337, -36.773456], jumps: false },
		{ shapePer1000h: 2.04, log: [-4.056139, 1.220758, -0.961677], jumps: true }
	])('keeps its evidence after a jump, at $shapePer1000h', ({ shapePer1000h, log, jumps }) => {
		const jump = [0.08, 0.105, 0.13, 0.155, 1.2].map((worn, i) => [1000 * (i + 1), worn, 0.02] as const);
		const paths = [{ shapePer1000h, exponent: 1 }];
		const [[{ last, logEvidence }]] = followWear(seen(jump), paths, grid(0.1, 0.25, 0.5));
		const { y, weights, rowOf } = last!.splitAt(1);
		for (const [i, expected] of log.entries()) {
			expect(Math.abs(logEvidence[i] - expected)).toBeLessThan(jumps ? 1e-3 : 0.6);
			const beyond = y.reduce((sum, at, j) => sum + (at >= 1 ? weights[rowOf(i) + j] : 0), 0);
			expect(beyond).toBeCloseTo(1, 9);
		}
	});
	it('answers hundreds of inspections, and as it does for the sixty of them that it reads', () => {
		const often = Array.from({ length: 300 }, (_, i) => [100 * (i + 1), (0.9 * (i + 1)) / 300, 0.02] as const);
		const [[{ logEvidence }]] = followWear(seen(often), [{ shapePer1000h: 8, exponent: 1 }], grid(0.01, 0.03, 0.1));
		expect(logEvidence[1]).toBeGreaterThan(logEvidence[0]);
		expect(logEvidence[1]).toBeGreaterThan(logEvidence[2]);
		expect([...logEvidence].some(Number.isNaN)).toBe(false);
	});
	it('reads a fine inspection as the density of the process itself', () => {
		const inspections = [{ hours: 1500, worn: 0.3, u: 1e-4 }];
		const [[{ logEvidence }]] = followWear(
			{ before: NEW, inspections },
			[{ shapePer1000h: 2, exponent: 1 }],
			grid(0.1, 0.2)
		);
		// x^(a−1) e^(−x/s) s^−a
		const log = (rate: number) => -0.3 / (rate / 2) - 3 * Math.log(rate / 2);
		expect(logEvidence[0] - logEvidence[1]).toBeCloseTo(log(0.1) - log(0.2), 5);
	});
	it('does not care into how many inspections that say nothing an interval is cut', () => {
		const path = [{ shapePer1000h: 2.8, exponent: 1.5 }];
		const once = followWear(seen([[3000, 0.5, 0.03]]), path, grid(0.1, 0.25))[0][0].logEvidence;
		const blind = seen([
			[700, 0.4, 100],
			[1900, 0.6, 100],
			[3000, 0.5, 0.03]
		]);
		const often = followWear(blind, path, grid(0.1, 0.25))[0][0].logEvidence;
		expect(often[0] - often[1]).toBeCloseTo(once[0] - once[1], 4);
	});
	it('widens readings that cannot both be, and still answers', () => {
		const path = [{ shapePer1000h: 2.8, exponent: 1 }];
		for (const [first, second] of [
			[50, 0.1],
			[0.9, 0.1],
			[-30, -40],
			[0, 0]
		]) {
			const inspections: Inspection[] = [
				[1000, first, 0.001],
				[2000, second, 0.001]
			];
			const [[{ logEvidence }]] = followWear(seen(inspections), path, grid(0.1, 0.25));
			expect([...logEvidence].every((value) => !Number.isNaN(value))).toBe(true);
		}
	});
	it('answers each path and each age alike, whether asked together or alone', () => {
		const before = [
			{ hours: 500, weight: 0.4 },
			{ hours: 3000, weight: 0.6 }
		];
		const { inspections } = seen([
			[1500, 0.3, 0.03],
			[3000, 0.45, 0.03]
		]);
		const paths = [0.75, 1, 1.5].flatMap((exponent) =>
			[1, 4, 25].map((shapePer1000h) => ({ shapePer1000h, exponent }))
		);
		const together = followWear({ before, inspections }, paths, grid(0.1, 0.25));
		const likeliest = Math.max(...together.flat().map(({ logEvidence }) => Math.max(...logEvidence)));
		for (const [p, path] of paths.entries())
			for (const [age, seen] of before.entries()) {
				const [[alone]] = followWear({ before: [{ ...seen, weight: 1 }], inspections }, [path], grid(0.1, 0.25));
				expect(together[p][age].shape).toBeCloseTo(alone.shape, 12);
				// What each rate weighs beside the likeliest of all courses: that is all that is asked of them.
				const shares = ({ logEvidence }: { logEvidence: Float64Array }) =>
					logEvidence.map((log) => Math.exp(log - likeliest));
				for (const i of [0, 1]) expect(Math.abs(shares(together[p][age])[i] - shares(alone)[i])).toBeLessThan(2e-3);
			}
	});
	it('answers one track for each age, and stays at its age where it was not inspected', () => {
		const before = [
			{ hours: 1000, weight: 0.4 },
			{ hours: 3000, weight: 0.6 }
		];
		const [tracks] = followWear({ before, inspections: [] }, [{ shapePer1000h: 2, exponent: 1 }], grid(0.1));
		expect(tracks.map(({ weight, shape, last }) => [weight, shape, last])).toEqual([
			[0.4, 2, undefined],
			[0.6, 6, undefined]
		]);
	});
	it('gives up rates that are out of the question, and none that is not', () => {
		const rates = Array.from({ length: 41 }, (_, i) => 0.2 * Math.exp((i - 20) * 0.15));
		const inspections = [{ hours: 1500, worn: 0.3, u: 0.02 }];
		const [[{ logEvidence }]] = followWear(
			{ before: NEW, inspections },
			[{ shapePer1000h: 8, exponent: 1 }],
			grid(...rates)
		);
		const best = Math.max(...logEvidence);
		expect(logEvidence[20]).toBe(best);
		expect([...logEvidence].filter((value) => value === -Infinity).length).toBeGreaterThan(5);
		expect([...logEvidence].filter((value) => Number.isFinite(value)).every((value) => value > best - 40)).toBe(true);
	});
	it('refuses inspections out of order, and what cannot be', () => {
		const inspected = (hours: number, worn = 0.1, u = 0.01) => ({ hours, worn, u });
		const path = [{ shapePer1000h: 1, exponent: 1 }];
		const follow = (...inspections: ReturnType<typeof inspected>[]) =>
			followWear({ before: NEW, inspections }, path, grid(0.1));
		expect(() => follow(inspected(2000), inspected(1000))).toThrow('hours is 1000');
		expect(() => follow(inspected(1000, NaN))).toThrow('worn is NaN');
		expect(() => follow(inspected(1000, 0.1, -1))).toThrow('u is -1');
		expect(() => followWear({ before: [], inspections: [] }, path, grid(0.1))).toThrow('before');
		for (const shapePer1000h of [0, NaN, Infinity])
			expect(() => followWear({ before: NEW, inspections: [] }, [{ shapePer1000h, exponent: 1 }], grid(0.1))).toThrow(
				'shape'
			);
		expect(() => followWear({ before: NEW, inspections: [] }, [{ shapePer1000h: 1, exponent: 0 }], grid(0.1))).toThrow(
			'exponent'
		);
	});
});

describe('GammaTable', () => {
	it('is good to 1e-9 for steady and for jumpy wear', () => {
		for (const shape of [0.01, 0.3, 1, 2.8, 40, 900]) {
			const table = new GammaTable(shape);
			for (let i = -40; i <= 40; i++) {
				const x = shape * Math.exp(i / 10);
				expect(Math.abs(table.upper(x) - gammaUpper(x, shape)), `${x} at ${shape}`).toBeLessThan(1e-9);
			}
			expect([table.upper(0), table.upper(-1), table.upper(1e9)]).toEqual([1, 1, 0]);
		}
	});
});

describe('rates', () => {
	const prior = (more: Partial<WearPrior> = {}): WearPrior => ({
		hoursToLimit: 4000,
		between: 0.35,
		within1000h: 0.6,
		priorWeight: 1,
		from: 'sheet',
		...more
	});
	it('lie about the prior’s, finer where parts are much alike', () => {
		const plain = rateGrid(prior());
		expect(plain.rates[plain.middle]).toBeCloseTo(0.25, 12);
		expect(rateGrid(prior({ between: 0.05 })).step).toBeLessThan(plain.step);
	});
	it('are spread with the stated scatter and heavier tails', () => {
		const grid = rateGrid(prior());
		const density = rateDensity(grid, 0, 0, 0.35);
		const about = (power: number) =>
			density.reduce((sum, weight, i) => sum + weight * ((i - grid.middle) * grid.step) ** power, 0);
		expect(about(0)).toBeCloseTo(1, 12);
		expect(Math.sqrt(about(2))).toBeCloseTo(0.35, 1);
		expect(about(4) / about(2) ** 2).toBeGreaterThan(4); // 3 for a normal distribution
	});
});
