import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PartWear, priorKnowledge, type WearHistory, type WearPrior } from '.';
import type { WearKnowledge } from './partWear';
import { spreadOf } from './risk';

const prior: WearPrior = {
	hoursToLimit: 4000,
	between: 0.35,
	within1000h: 1 / Math.sqrt(2.8),
	priorWeight: 4,
	from: 'sheet'
};
// One combination alone: the middle scatters, straight wear.
const alone = 4;
const knowledge: WearKnowledge = {
	prior,
	shapes: priorKnowledge(prior).shapes.map((_, i) => ({ weight: i === alone ? 1 : 0, mean: 0, sd: 0.2 })),
	parts: 0,
	lives: 0
};
const NEW: WearHistory = { before: [{ hours: 0, weight: 1 }], inspections: [] };
const seen = (...inspections: [hours: number, worn: number, u?: number][]): WearHistory => ({
	...NEW,
	inspections: inspections.map(([hours, worn, u = 0.03]) => ({ hours, worn, u }))
});
const known = { mean: 0, sd: 0 };
const open = priorKnowledge(prior);

describe('PartWear', () => {
	// scipy 1.17: gamma tails integrated over rates (three normals, kind open by 0.2) and over the reading.
	it('agrees with direct integration over rate and reading', () => {
		expect(Math.abs(new PartWear(knowledge, known, NEW).chance(1500) - 0.03718245624937629)).toBeLessThan(2e-6);
		const inspected = new PartWear(knowledge, known, seen([1500, 0.5]), { rateChanges: 0 }).chance(1500);
		expect(Math.abs(inspected - 0.3217955472929766)).toBeLessThan(5e-6);
	});
	// The same over both inspections, on a grid of 0.05 of their uncertainties.
	it.each([
		[[1500, 0.3, 0.03], [3000, 0.5, 0.03], 1500, 0.15397111219768375],
		[[1500, 0.1, 0.03], [3000, 0.5, 0.03], 1500, 0.1451447438740711],
		[[1000, 0.35, 0.03], [2000, 0.7, 0.03], 1000, 0.40532839815512445],
		[[1500, 0.3, 0.1], [3000, 0.5, 0.1], 1500, 0.20008153308481982],
		[[1500, 0.3, 0.03], [3000, 0.35, 0.03], 3000, 0.3262891112639872]
	] as const)('agrees with direct integration over two looks, %j and %j', (first, second, hours, reference) => {
		const said = new PartWear(knowledge, known, seen([...first], [...second]), { rateChanges: 0 }).chance(hours);
		expect(Math.abs(said - reference)).toBeLessThan(5e-6);
	});
	it('counts what is beyond already, and nothing ahead of a new part', () => {
		expect(new PartWear(open, known, seen([1500, 1.5])).chance(0)).toBeCloseTo(1, 4);
		expect(new PartWear(open, known, seen([1500, 1, 0.03])).chance(0)).toBeGreaterThan(0.3);
		expect(new PartWear(open, known, NEW).chance(0)).toBe(0);
	});
	it('rises with the hours, with the wear that was read and with the pump’s harshness', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 200, max: 4000, noNaN: true }),
				fc.double({ min: 0.3, max: 0.8, noNaN: true }),
				(hours, worn) => {
					const part = new PartWear(open, known, seen([2000, worn]));
					expect(part.chance(hours * 1.3)).toBeGreaterThanOrEqual(part.chance(hours) - 1e-6);
					const more = new PartWear(open, known, seen([2000, worn + 0.15]));
					expect(more.chance(hours)).toBeGreaterThanOrEqual(part.chance(hours) - 1e-6);
					const { probability, low, high } = part.risk(hours);
					expect(low).toBeLessThanOrEqual(probability + 1e-9);
					expect(high).toBeGreaterThanOrEqual(probability - 1e-9);
				}
			),
			{ seed: 14, numRuns: 25 }
		));
	it('takes a harsher pump’s parts to wear faster, but believes their inspections more', () => {
		const harsh = { mean: 0.5, sd: 0.1 };
		const ratio = (history: WearHistory) =>
			new PartWear(open, harsh, history).chance(1500) / new PartWear(open, known, history).chance(1500);
		expect(ratio(NEW)).toBeGreaterThan(1.5);
		expect(ratio(seen([1500, 0.3], [3000, 0.6]))).toBeLessThan(ratio(NEW));
	});
	it('believes a part at three times its kind’s rate after two intervals, and points it out', () => {
		const steady = priorKnowledge({ ...prior, within1000h: 0.25 });
		const fast = new PartWear(steady, known, seen([500, 0.37], [1000, 0.75]));
		expect(fast.faster(2).probability).toBeGreaterThan(0.5);
		expect(fast.faster(2).ratio).toBeGreaterThan(2);
		expect(fast.chance(1000)).toBeGreaterThan(0.75);
		expect(new PartWear(steady, known, seen([500, 0.12], [1000, 0.25])).faster(2).probability).toBeLessThan(0.1);
	});
	it('is wary of wear that speeds up: the same wear, gathered late, is worth more risk', () => {
		const steady = new PartWear(open, known, seen([1000, 0.3], [2000, 0.6]));
		const late = new PartWear(open, known, seen([1000, 0.15], [2000, 0.6]));
		expect(late.chance(1000)).toBeGreaterThan(steady.chance(1000));
	});
	it('says what the wear will be, from where it is', () => {
		const { worn, sd, per1000h } = new PartWear(open, known, seen([2000, 0.4, 0.01])).expected(1000);
		expect(worn).toBeGreaterThan(0.5);
		expect(worn).toBeLessThan(0.75);
		expect(sd).toBeGreaterThan(0.05);
		expect(per1000h).toBeGreaterThan(0.1);
		expect(new PartWear(open, known, seen([2000, 0.4, 0.01])).expected(0).worn).toBeCloseTo(0.4, 2);
	});
	it('weighs the ages that are open', () => {
		const at = (hours: number): WearHistory => ({ before: [{ hours, weight: 1 }], inspections: [] });
		const either: WearHistory = {
			before: [
				{ hours: 500, weight: 0.5 },
				{ hours: 3500, weight: 0.5 }
			],
			inspections: []
		};
		const chance = (history: WearHistory) => new PartWear(open, known, history).chance(500);
		expect(chance(either)).toBeCloseTo((chance(at(500)) + chance(at(3500))) / 2, 6);
	});
	it('refuses hours and limits that cannot be', () => {
		const part = new PartWear(open, known, NEW);
		for (const hours of [-1, NaN, Infinity]) expect(() => part.chance(hours)).toThrow('hours');
		for (const limit of [0, -1, NaN]) expect(() => part.chance(1000, limit)).toThrow('limit');
		expect(() => new PartWear(open, { mean: NaN, sd: 0 }, NEW)).toThrow('mean');
	});
});

describe('spreadOf', () => {
	it('finds the points between which nine tenths lie', () => {
		const points = Array.from({ length: 100 }, (_, i) => ({ chance: i / 100, weight: 1 }));
		expect(spreadOf(points)).toEqual({ low: 0.04, high: 0.94 });
	});
});
