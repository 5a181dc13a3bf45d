import { describe, expect, it } from 'vitest';
import { gammaUpper } from '../number';
import { GammaTable } from './gammaTable';
import { rateDensity, rateGrid } from './rateGrid';
import { followWear } from './wearLooks';
import type { WearPrior } from './wearPrior';

const grid = (...rates: number[]) => ({ rates: Float64Array.from(rates), size: rates.length, middle: 0, step: 1 });
const NEW = [{ hours: 0, weight: 1 }];

describe('followWear', () => {
	it('takes the first look exactly', () => {
		const looks = [{ hours: 1500, worn: 0.3, u: 1e-4 }];
		const [{ logEvidence }] = followWear({ before: NEW, looks }, { shapePer1000h: 2, exponent: 1 }, grid(0.1, 0.2));
		// A fine reading is the gamma density itself: x^(a−1) e^(−x/s) s^−a.
		const log = (rate: number) => -0.3 / (rate / 2) - 3 * Math.log(rate / 2);
		expect(logEvidence[0] - logEvidence[1]).toBeCloseTo(log(0.1) - log(0.2), 4);
	});
	it('answers one track for each age, and stays at its age where nobody looked', () => {
		const before = [
			{ hours: 1000, weight: 0.4 },
			{ hours: 3000, weight: 0.6 }
		];
		const tracks = followWear({ before, looks: [] }, { shapePer1000h: 2, exponent: 1 }, grid(0.1));
		expect(tracks.map(({ weight, mean }) => [weight, mean[0]])).toEqual([
			[0.4, expect.closeTo(0.1, 12)],
			[0.6, expect.closeTo(0.3, 12)]
		]);
	});
	it('gives up rates that are out of the question, and none that is not', () => {
		const rates = Array.from({ length: 41 }, (_, i) => 0.2 * Math.exp((i - 20) * 0.15));
		const looks = [{ hours: 1500, worn: 0.3, u: 0.02 }];
		const [{ logEvidence }] = followWear({ before: NEW, looks }, { shapePer1000h: 8, exponent: 1 }, grid(...rates));
		const best = Math.max(...logEvidence);
		expect(logEvidence[20]).toBe(best);
		expect([...logEvidence].filter((one) => one === -Infinity).length).toBeGreaterThan(5);
		expect([...logEvidence].filter((one) => Number.isFinite(one)).every((one) => one > best - 40)).toBe(true);
	});
	it('refuses looks out of order, and what cannot be', () => {
		const one = (hours: number, worn = 0.1, u = 0.01) => ({ hours, worn, u });
		const path = { shapePer1000h: 1, exponent: 1 };
		const follow = (...looks: ReturnType<typeof one>[]) => followWear({ before: NEW, looks }, path, grid(0.1));
		expect(() => follow(one(2000), one(1000))).toThrow('hours is 1000');
		expect(() => follow(one(1000, NaN))).toThrow('worn is NaN');
		expect(() => follow(one(1000, 0.1, -1))).toThrow('u is -1');
		expect(() => followWear({ before: [], looks: [] }, path, grid(0.1))).toThrow('before');
	});
});

describe('GammaTable', () => {
	it('is good to 2e-6 for steady and for jumpy wear', () => {
		for (const shape of [0.01, 0.3, 1, 2.8, 40, 900]) {
			const table = new GammaTable(shape);
			for (let i = -40; i <= 40; i++) {
				const x = shape * Math.exp(i / 10);
				expect(Math.abs(table.upper(x) - gammaUpper(x, shape)), `${x} at ${shape}`).toBeLessThan(2e-6);
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
		worth: 1,
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
