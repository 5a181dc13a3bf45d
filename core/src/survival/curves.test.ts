import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	exactLife,
	intervalCensored,
	rightCensored,
	logRank,
	meanCumulative,
	repairTrend,
	stepCurves,
	turnbull,
	turnbullBand,
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
		const step = stepCurves(drug).find((curve) => curve.hours === hours)!;
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
		const { masses } = turnbull([
			intervalCensored(0, 2),
			intervalCensored(1, 2),
			intervalCensored(3, 5),
			intervalCensored(4, 5)
		]);
		expect(masses.map(({ after, by }) => [after, by])).toEqual([
			[1, 2],
			[4, 5]
		]);
		for (const { share } of masses) expect(share).toBeCloseTo(0.5, 6);
	});
	it('is Kaplan–Meier where every end is known', () => {
		const observed = drug.map(({ hours, ended }): ObservedLife => (ended ? exactLife(hours) : rightCensored(hours)));
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
						.map(([from, width, ends]): ObservedLife =>
							ends ? intervalCensored(from, from + width) : rightCensored(from)
						),
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

describe('turnbullBand', () => {
	it('holds the exact case by its binomial limits, and is one line there', () => {
		const lives = [500, 900, 1500, 2200].map(exactLife);
		const [at] = turnbullBand(lives, [1000]);
		expect([at.least, at.most]).toEqual([0.5, 0.5]);
		// Clopper and Pearson, 2 of 4: 0.0676 to 0.9324.
		expect(at.low).toBeLessThanOrEqual(0.0676 + 1e-3);
		expect(at.high).toBeGreaterThanOrEqual(0.9324 - 1e-3);
	});
	it('leaves open what the inspections leave open', () => {
		const [inside, after] = turnbullBand([intervalCensored(500, 1500), rightCensored(3000)], [1000, 2000]);
		expect([inside.least, inside.most]).toEqual([0.5, 1]);
		expect([after.least, after.most]).toEqual([0.5, 0.5]);
	});
	// Lives of shape 2.2, inspected every 700 to 2,300 h.
	function recordOf(seed: number, count: number) {
		let state = 7919 * seed;
		const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
		for (let i = 0; i < 10; i++) uniform();
		return Array.from({ length: count }, () => {
			const life = 3000 * (-Math.log(1 - uniform())) ** (1 / 2.2);
			const watched = 1000 + 6000 * uniform();
			for (let inspected = 0; ;) {
				const next = inspected + 700 + 1600 * uniform();
				if (next > watched) return rightCensored(inspected);
				if (life <= next) return intervalCensored(inspected, next);
				inspected = next;
			}
		}).filter(({ after, by }) => !(after === 0 && by === Infinity));
	}
	const truthAt = (hours: number) => Math.exp(-((hours / 3000) ** 2.2));
	it('covers a known survival at its level, where Kaplan–Meier at the hours of discovery does not', () => {
		let [covered, byDiscovery] = [0, 0];
		const runs = 60;
		const truth = truthAt(2000);
		for (let seed = 1; seed <= runs; seed++) {
			const lives = recordOf(seed, 60);
			const [{ low, high }] = turnbullBand(lives, [2000]);
			if (low <= truth && truth <= high) covered++;
			const naive = stepCurves(
				lives.map(({ after, by }) => ({ hours: by === Infinity ? after : by, ended: by < Infinity }))
			);
			const step = naive.findLast(({ hours }) => hours <= 2000);
			if (step && step.low <= truth && truth <= step.high) byDiscovery++;
		}
		expect(covered / runs).toBeGreaterThan(0.9);
		expect(byDiscovery / runs).toBeLessThan(0.5);
	});
	it.each([
		['early in a long record, where few have ended', 1000],
		['before the first inspections', 700]
	])('covers it %s', (_, hours) => {
		const runs = 30;
		let covered = 0;
		for (let seed = 1; seed <= runs; seed++) {
			const [{ low, high }] = turnbullBand(recordOf(seed, 200), [hours]);
			if (low <= truthAt(hours) && truthAt(hours) <= high) covered++;
		}
		expect(covered / runs).toBeGreaterThan(0.93);
	});
	it('never rises, whatever the order of the hours', () => {
		const hours = [6000, 300, 3000, 1200, 4500, 9000, 700];
		const band = turnbullBand(recordOf(3, 60), hours);
		expect(band.map((survivalRange) => survivalRange.hours)).toEqual(hours);
		const falling = band.toSorted((a, b) => a.hours - b.hours);
		for (const [i, step] of falling.slice(1).entries()) {
			expect(step.low).toBeLessThanOrEqual(falling[i].low);
			expect(step.high).toBeLessThanOrEqual(falling[i].high);
		}
		for (const { low, least, most, high } of band) expect(low <= least && least <= most && most <= high).toBe(true);
	});
	it('is open to 1 as long as no life was found ended, and to 0 once none is found running', () => {
		const lives = [intervalCensored(0, 1500), intervalCensored(1000, 2000), rightCensored(1200)];
		const [before, after] = turnbullBand(lives, [900, 2500]);
		expect(before.high).toBe(1);
		expect(after.low).toBe(0);
		// Clopper and Pearson: 2 of 3 running at an inspection at 900 h or later; 1 of 3 not found ended by 2500 h.
		expect(before.low).toBeLessThanOrEqual(0.0943 + 1e-4);
		expect(after.high).toBeGreaterThanOrEqual(0.9057 - 1e-4);
	});
});

describe('repairTrend', () => {
	const pump = (visits: number[], ...replaced: number[]) => ({ visits, replaced });
	// By hand: three pumps alike, intervals (0, 1] and (1, 2] with counts 1 and 3: (½)ᵝ = ¼, so that the exponent is 2.
	it('agrees with a case worked by hand, whatever the rate of each pump', () => {
		const alike = [1, 1, 1].map(() => pump([0, 1000, 2000], 1, 3));
		expect(repairTrend(alike).exponent!.value).toBeCloseTo(2, 5);
		const unlike = [1, 2, 5].map((times) => pump([0, 1000, 2000], times, 3 * times));
		expect(repairTrend(unlike).exponent!.value).toBeCloseTo(2, 5);
	});
	it('is not moved by a pump that came under watch late', () => {
		// A true exponent of 3: counts in proportion to 4³ − 3³ = 37 and 5³ − 4³ = 61.
		const late = [1, 1, 1].map(() => pump([3000, 4000, 5000], 37, 61));
		expect(repairTrend(late).exponent!.value).toBeCloseTo(3, 4);
	});
	it('sees nothing in a steady rate over unequal intervals', () => {
		const steady = [1, 1, 1, 1].map(() => pump([0, 500, 2000, 2500], 1, 3, 1));
		const { exponent, pSteady } = repairTrend(steady);
		expect(exponent!.value).toBeCloseTo(1, 5);
		expect(pSteady).toBeCloseTo(1, 4);
	});
	it('covers the truth, and calls a steady shop worse in one of twenty at most', () => {
		let [covers, worse] = [0, 0];
		const runs = 300;
		for (let seed = 1; seed <= runs; seed++) {
			let state = seed * 7919;
			const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
			for (let i = 0; i < 10; i++) uniform();
			const pumps = Array.from({ length: 12 }, () => {
				const visits = [3000 * uniform()];
				for (let i = 0; i < 3 + 5 * uniform(); i++) visits.push(visits.at(-1)! + 500 + 2000 * uniform());
				// Sets of three that go together, at 0.4 sets in 1,000 h.
				const replaced = visits.slice(1).map((to, i) => {
					let [sets, left] = [0, (0.4 * (to - visits[i])) / 1000];
					while ((left += Math.log(uniform())) > 0) sets++;
					return 3 * sets;
				});
				return { visits, replaced };
			});
			const { exponent } = repairTrend(pumps);
			if (exponent!.low! <= 1 && exponent!.high! >= 1) covers++;
			if (exponent!.low! > 1) worse++;
		}
		expect(covers / runs).toBeGreaterThan(0.92);
		expect(worse / runs).toBeLessThan(0.05);
	});
	it('says nothing of fewer than three pumps that tell, and counts all the same', () => {
		expect(repairTrend([pump([0, 1000, 2000], 1, 3)])).toEqual({ events: 4 });
		expect(repairTrend([1, 2, 3].map(() => pump([0, 1000], 2)))).toEqual({ events: 6 });
	});
	it('refuses visits that do not rise, and counts that are none', () => {
		expect(() => repairTrend([pump([0, 1000, 1000], 1, 1)])).toThrow('hours that rise');
		expect(() => repairTrend([pump([0, 1000], 1.5)])).toThrow('a count');
		expect(() => repairTrend([pump([0, 1000], 1, 2)])).toThrow('1 counts');
	});
});
