import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	endedAt,
	endedBetween,
	heldTo,
	logRank,
	meanCumulative,
	repairTrend,
	stepCurves,
	turnbull,
	type ObservedLife
} from '.';
import { relativeError } from '../number/testing';

const lives = (ended: readonly number[], held: readonly number[]) => [
	...ended.map((hours) => ({ hours, ended: true })),
	...held.map((hours) => ({ hours, ended: false }))
];
// Freireich et al., Blood 21 (1963) 699–716.
const drug = lives([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]);
const placebo = lives([1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23], []);

describe('stepCurves', () => {
	// scipy 1.17.1: ecdf of CensoredData, confidence_interval(method='log-log').
	it.each([
		[6, 0.85714286, 0.61971796, 0.95155175],
		[7, 0.80672269, 0.56314656, 0.92280902],
		[13, 0.69019608, 0.43161022, 0.84906596],
		[23, 0.44817927, 0.18805201, 0.68014263]
	])('survival after week %d', (hours, survival, low, high) => {
		const step = stepCurves(drug).find((one) => one.hours === hours)!;
		expect(step.survival).toBeCloseTo(survival, 8);
		expect(step.low).toBeCloseTo(low, 8);
		expect(step.high).toBeCloseTo(high, 8);
	});
	it('has the published uncertainty after week 10 and cumulative hazard after week 7', () => {
		// J. Kalbfleisch, R. Prentice (2002), table 1.2: u = 0.0963; hazard 3/21 + 1/17.
		const steps = stepCurves(drug);
		expect(steps.find(({ hours }) => hours === 10)!.u).toBeCloseTo(0.0963, 4);
		expect(steps.find(({ hours }) => hours === 7)!.hazard).toBeCloseTo(3 / 21 + 1 / 17, 14);
	});
	it('falls to nought where the last one ended, and says nothing of no lives', () => {
		expect(stepCurves(placebo).at(-1)).toMatchObject({ survival: 0, low: 0, high: 1 });
		expect(stepCurves([])).toEqual([]);
		expect(stepCurves([{ hours: 5, ended: false }])).toEqual([]);
	});
	it('refuses hours that cannot be', () =>
		expect(() => stepCurves([{ hours: -1, ended: true }])).toThrow('stepCurves'));
});

describe('logRank', () => {
	it('agrees with an independent package', () => {
		const test = logRank([drug, placebo]);
		expect(relativeError(test.chiSquare, 16.792940989216536)).toBeLessThan(1e-9); // scipy 1.17.1
		expect(relativeError(test.p!, 4.168809109334529e-5)).toBeLessThan(1e-9);
		expect(test.groups[0].expected).toBeCloseTo(19.25, 2); // printed with the data
	});
	it('is the same for groups in another order, and nought for a group held to itself', () => {
		expect(logRank([placebo, drug]).chiSquare).toBeCloseTo(logRank([drug, placebo]).chiSquare, 10);
		expect(logRank([drug, drug]).chiSquare).toBeCloseTo(0, 12);
		expect(logRank([drug, placebo, drug]).dof).toBe(2);
	});
	it('has no answer where nothing ended', () => expect(logRank([lives([], [5]), lives([], [6])]).p).toBeUndefined());
	it('refuses one group', () => expect(() => logRank([drug])).toThrow('groups'));
});

describe('turnbull', () => {
	it('finds the textbook masses', () => {
		// Two disjoint pairs and one across both: by symmetry one half each.
		const { masses } = turnbull([endedBetween(0, 2), endedBetween(1, 2), endedBetween(3, 5), endedBetween(4, 5)]);
		expect(masses.map(({ after, by }) => [after, by])).toEqual([
			[1, 2],
			[4, 5]
		]);
		for (const { share } of masses) expect(share).toBeCloseTo(0.5, 6);
	});
	it('is Kaplan–Meier where every end is known', () => {
		const observed = drug.map(({ hours, ended }): ObservedLife => (ended ? endedAt(hours) : heldTo(hours)));
		const { masses, settled } = turnbull(observed);
		expect(settled).toBe(true);
		let survival = 1;
		for (const step of stepCurves(drug)) {
			survival -= masses.find(({ by }) => by === step.hours)!.share;
			expect(survival).toBeCloseTo(step.survival, 5);
		}
	});
	it('carries its own certificate: no other distribution is likelier', () =>
		fc.assert(
			fc.property(
				fc.array(
					fc
						.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 20 }), fc.boolean())
						.map(([from, width, ends]): ObservedLife => (ends ? endedBetween(from, from + width) : heldTo(from))),
					{ minLength: 1, maxLength: 60 }
				),
				(observed) => {
					const { masses, gap, settled, logLikelihood } = turnbull(observed);
					expect(settled).toBe(true);
					expect(gap).toBeLessThanOrEqual(1e-6);
					expect(masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
					// A step towards any one stretch of a random other distribution gains no more than the certificate allows.
					const at = (shares: readonly number[]) =>
						observed.reduce(
							(sum, life) =>
								sum +
								Math.log(
									masses.reduce((p, { after, by }, j) => (after >= life.after && by <= life.by ? p + shares[j] : p), 0)
								),
							0
						);
					for (let j = 0; j < masses.length; j++) {
						const moved = masses.map(({ share }, i) => 0.99 * share + (i === j ? 0.01 : 0));
						expect(at(moved)).toBeLessThanOrEqual(logLikelihood + 2e-6);
					}
				}
			),
			{ seed: 4, numRuns: 60 }
		));
	it('refuses no lives', () => expect(() => turnbull([])).toThrow('turnbull'));
});

describe('meanCumulative', () => {
	it('counts replacements per pump that was still watched', () => {
		const steps = meanCumulative([
			{ until: 1000, at: [300, 700] },
			{ until: 500, at: [300] },
			{ until: 800, at: [] }
		]);
		expect(steps.map(({ hours, pumps, mean }) => [hours, pumps, mean])).toEqual([
			[300, 3, 2 / 3],
			[700, 2, 2 / 3 + 1 / 2]
		]);
		// Robust variance by hand at 300: Σ((dᵢ − 2/3)/3)² = (1/9 + 1/9 + 4/9)/9.
		const u = Math.sqrt((1 / 9 + 1 / 9 + 4 / 9) / 9);
		expect(steps[0].high / steps[0].mean).toBeCloseTo(Math.exp((1.959963984540054 * u) / (2 / 3)), 10);
	});
	it('refuses a repair after the pump was last watched', () =>
		expect(() => meanCumulative([{ until: 100, at: [200] }])).toThrow('at'));
});

describe('repairTrend', () => {
	it('agrees with the formulas worked by hand', () => {
		const trend = repairTrend([{ until: 1000, at: [700, 800, 900, 950] }]);
		const sum = [700, 800, 900, 950].reduce((total, t) => total + Math.log(1000 / t), 0);
		expect(trend.exponent!.value).toBeCloseTo(4 / sum, 10);
		expect(trend.exponent!.low!).toBeLessThan(4 / sum);
		expect(trend.exponent!.low!).toBeGreaterThan(1); // worse and worse, told from four
		expect(trend.pMilHandbook!).toBeLessThan(0.05);
		expect(trend.pLaplace!).toBeLessThan(0.05);
	});
	it('sees nothing in evenly spread repairs, and says nothing of none', () => {
		const even = Array.from({ length: 20 }, (_, i) => 50 * i + 25);
		expect(repairTrend([{ until: 1000, at: even }]).pLaplace).toBeCloseTo(1, 6);
		expect(repairTrend([{ until: 1000, at: [] }])).toEqual({ events: 0 });
	});
});
