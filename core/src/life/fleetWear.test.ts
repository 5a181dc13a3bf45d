import { describe, expect, it } from 'vitest';
import {
	fitFleetWear,
	fittingFleetWear,
	toTheEnd,
	unknownClass,
	unknownPump,
	type KindOnRecord,
	type WearPrior
} from '.';

const prior: WearPrior = { hoursToLimit: 4000, between: 0.3, within1000h: 0.4, priorWeight: 2, from: 'sheet' };
const HOURS = 1500;
const U = 0.02;

/** Parts of one kind in some pumps, each seen twice, wearing evenly at this multiple of the prior's rate. */
const kind = (key: string, factorOf: (pump: string) => number, pumps: readonly string[], each = 3): KindOnRecord => ({
	key,
	prior,
	parts: pumps.flatMap((pump) =>
		Array.from({ length: each }, (_, i) => {
			const rate = (factorOf(pump) * (1 + 0.1 * (i - 1))) / 4000;
			const inspections = [1, 2].map((n) => ({ hours: n * HOURS, worn: n * HOURS * rate, u: U }));
			return { pump, history: { before: [{ hours: 0, weight: 1 }], inspections } };
		})
	)
});
const pumps = Array.from({ length: 8 }, (_, i) => `p${i}`);
const ordinary = new Map(pumps.map((pump) => [pump, '']));
const meanOf = (fit: ReturnType<typeof fitFleetWear>, key: string) => {
	const { shapes } = fit.kinds[key];
	return shapes.reduce((sum, { weight, mean }) => sum + weight * mean, 0);
};

describe('fitFleetWear', () => {
	it('finds kinds that wear faster and slower than their priors', () => {
		const fit = fitFleetWear([kind('fast', () => 1.6, pumps), kind('slow', () => 0.7, pumps)], ordinary);
		expect(fit.settled).toBe(true);
		// Both kinds share their pumps, so what they have in common may be the pumps'.
		expect(meanOf(fit, 'fast') - meanOf(fit, 'slow')).toBeCloseTo(Math.log(1.6 / 0.7), 0.6);
		expect(meanOf(fit, 'fast')).toBeGreaterThan(0.2);
		expect(meanOf(fit, 'slow')).toBeLessThan(-0.1);
		expect(fit.kinds.fast.parts).toBe(24);
		expect(fit.kinds.fast.lives).toBeGreaterThan(4);
	});
	it('finds the harsh pump by all its kinds, and leaves the kinds alone', () => {
		const harsh = (pump: string) => (pump === 'p3' ? 1.9 : 1);
		const fit = fitFleetWear(
			['a', 'b', 'c'].map((key) => kind(key, harsh, pumps)),
			ordinary
		);
		expect(fit.pumps.p3.mean).toBeGreaterThan(0.4);
		for (const pump of pumps.filter((text) => text !== 'p3')) expect(Math.abs(fit.pumps[pump].mean)).toBeLessThan(0.2);
		expect(Math.abs(meanOf(fit, 'a'))).toBeLessThan(0.25);
	});
	it('moves a class of duty by its pumps, and a pump that no one saw with it', () => {
		const classOf = new Map(pumps.map((pump, i) => [pump, i < 4 ? 'mild' : 'hard']));
		const byClass = (pump: string) => (classOf.get(pump) === 'hard' ? 1.35 : 0.85);
		const fit = fitFleetWear(
			['a', 'b', 'c'].map((key) => kind(key, byClass, pumps)),
			classOf
		);
		expect(fit.classes.hard.mean - fit.classes.mild.mean).toBeGreaterThan(0.15);
		expect(unknownPump(fit.classes.hard).sd).toBeGreaterThan(fit.classes.hard.sd);
	});
	it('stays at its prior where nothing is on record', () => {
		const fit = fitFleetWear([kind('none', () => 1, [])], ordinary);
		expect(meanOf(fit, 'none')).toBeCloseTo(0, 9);
		expect(fit.kinds.none.lives).toBeCloseTo(0, 6);
		expect(fit.pumps.p0.mean).toBeCloseTo(0, 9);
		expect(fit.classes[''].sd).toBeCloseTo(unknownClass.sd, 2);
	});
	it('is not moved far by parts seen once: they say little of scatter', () => {
		const once = kind('once', () => 1, ['p0'], 6);
		const parts = once.parts.map(({ pump, history }) => ({
			pump,
			history: { ...history, inspections: history.inspections.slice(0, 1) }
		}));
		const { shapes } = fitFleetWear([{ ...once, parts }], ordinary).kinds.once;
		expect(Math.max(...shapes.map(({ weight }) => weight))).toBeLessThan(0.6);
	});
	it('agrees with direct integration over kind, class, pumps and parts', () => {
		// Python, numpy 600-node Gauss–Legendre over each reading and scipy.stats.gamma 1.17.1, grids of 0.01 to 0.05 over the
		// logarithms of rates; one class, one kind, so that nothing goes in a circle.
		const seen = {
			a: [[1500, 0.3] as const, [1500, 0.38] as const],
			b: [[1500, 0.62] as const, [2000, 0.95] as const],
			c: [[1200, 0.22] as const]
		};
		const parts = Object.entries(seen).flatMap(([pump, inspections]) =>
			inspections.map(([hours, worn]) => ({
				pump,
				history: { before: [{ hours: 0, weight: 1 }], inspections: [{ hours, worn, u: U }] }
			}))
		);
		const classOf = new Map(Object.keys(seen).map((pump) => [pump, '']));
		const fit = fitFleetWear([{ key: 'one', prior, parts }], classOf);
		const expected = {
			a: { mean: -0.04771, sd: 0.2251 },
			b: { mean: 0.26007, sd: 0.2752 },
			c: { mean: -0.06666, sd: 0.2613 }
		};
		for (const [pump, { mean, sd }] of Object.entries(expected)) {
			expect(Math.abs(fit.pumps[pump].mean - mean)).toBeLessThan(0.003);
			expect(Math.abs(fit.pumps[pump].sd - sd)).toBeLessThan(0.008);
		}
		expect(Math.abs(meanOf(fit, 'one') - 0.04954)).toBeLessThan(0.003);
		expect(Math.abs(fit.classes[''].mean - 0.01714)).toBeLessThan(0.002);
		expect(Math.abs(fit.classes[''].sd - 0.1402)).toBeLessThan(0.006);
	});
	it('says the same in pieces', () => {
		const kinds = [kind('a', () => 1.2, pumps.slice(0, 3))];
		const pieces = fittingFleetWear(kinds, ordinary);
		expect(toTheEnd(pieces)).toEqual(fitFleetWear(kinds, ordinary));
	});
	it('refuses a pump without a class', () =>
		expect(() => fitFleetWear([kind('a', () => 1, ['stranger'])], ordinary)).toThrow('stranger'));
});
