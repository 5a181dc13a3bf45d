import { describe, expect, it } from 'vitest';
import { PartWear, priorKnowledge, type WearHistory, type WearPrior } from '.';
import { gammaLn, gammaUpper } from '../number';
import { RATE_CHANGES } from './rateChange';
import type { WearKnowledge } from './partWear';

const SHAPE = 2.8; // of the gamma process in 1000 h
const prior: WearPrior = {
	hoursToLimit: 4000,
	between: 0.35,
	within1000h: 1 / Math.sqrt(SHAPE),
	priorWeight: 4,
	from: 'sheet'
};
// One combination alone: the middle scatters, straight wear.
const knowledge: WearKnowledge = {
	prior,
	shapes: priorKnowledge(prior).shapes.map((_, i) => ({ weight: i === 4 ? 1 : 0, mean: 0, sd: 0.2 })),
	parts: 0,
	lives: 0
};
const known = { mean: 0, sd: 0 };
const seen = (...worn: number[]): WearHistory => ({
	before: [{ hours: 0, weight: 1 }],
	inspections: worn.map((value, i) => ({ hours: 1500 * (i + 1), worn: value, u: 0.003 }))
});

// The same by direct integration over the logarithms of the rate to come and of the one before it, the readings taken as exact.
function byHand(worn: readonly number[], changes: number, limit = 1): number {
	const step = 0.02;
	const xs = Array.from({ length: 301 }, (_, i) => (i - 150) * step);
	const shape = SHAPE * 1.5;
	const scaleAt = (x: number) => (Math.exp(x) * (1000 / 4000)) / SHAPE;
	const grown = (by: number, x: number) =>
		Math.exp((shape - 1) * Math.log(by) - by / scaleAt(x) - shape * Math.log(scaleAt(x)) - gammaLn(shape));
	const priorAt = (x: number) =>
		[
			[0.55, 0.68],
			[0.38, 1.045],
			[0.07, 2.18]
		].reduce((sum, [weight, width]) => {
			const sd = Math.hypot(0.2, 0.35 * width);
			return sum + (weight / sd) * Math.exp(-((x / sd) ** 2) / 2);
		}, 0);
	const increments = worn.map((value, i) => value - (worn[i - 1] ?? 0));
	const evidence = (from: number, to: number) =>
		xs.map((x) => increments.slice(from, to).reduce((product, by) => product * grown(by, x), 1));
	const changesTo = (x: number, later: number) =>
		(step * Math.exp(-(((later - x) / 0.8) ** 2) / 2)) / (0.8 * Math.sqrt(2 * Math.PI));
	const beyond = xs.map((x) => gammaUpper((limit - worn.at(-1)!) / scaleAt(x), shape));
	const n = increments.length;
	const turns = Array.from({ length: Math.min(2, n - 1) }, (_, i) => n - 1 - i);
	let all = 0;
	let passed = 0;
	const add = (weights: readonly number[], chances: readonly number[]) => {
		for (const [i, weight] of weights.entries()) {
			all += priorAt(xs[i]) * weight;
			passed += priorAt(xs[i]) * weight * chances[i];
		}
	};
	const unchanged = evidence(0, n);
	add(
		unchanged.map((value) => value * (1 - changes * (turns.length + 1))),
		beyond
	);
	for (const k of [n, ...turns]) {
		const after = evidence(k, n);
		const before = evidence(0, k);
		const later = xs.map((x) => {
			const weights = xs.map((value, j) => changesTo(x, value) * after[j]);
			const sum = weights.reduce((a, b) => a + b, 0);
			return { sum, chance: weights.reduce((total, weight, j) => total + weight * beyond[j], 0) / sum };
		});
		add(
			before.map((value, i) => changes * value * later[i].sum),
			later.map(({ chance }) => chance)
		);
	}
	return passed / all;
}

describe('a rate that may change', () => {
	it.each([[[0.3]], [[0.3, 0.6]], [[0.1, 0.2, 0.6]], [[0.05, 0.1, 0.4, 0.7]], [[0.3, 0.6, 0.65]]])(
		'agrees with direct integration after %j',
		(worn) => {
			for (const changes of [0, RATE_CHANGES, 0.2]) {
				const said = new PartWear(knowledge, known, seen(...worn), { rateChanges: changes }).chance(1500);
				expect(Math.abs(said - byHand(worn, changes)), `changes ${changes}`).toBeLessThan(2e-3);
			}
		}
	);
	it('fears more where the last interval wore three times as fast, and little where nothing changed', () => {
		const by = (changes: number, ...worn: number[]) =>
			new PartWear(knowledge, known, seen(...worn), { rateChanges: changes }).chance(1500);
		expect(by(RATE_CHANGES, 0.1, 0.2, 0.5)).toBeGreaterThan(by(0, 0.1, 0.2, 0.5) * 1.05);
		expect(Math.abs(by(RATE_CHANGES, 0.2, 0.4, 0.6) - by(0, 0.2, 0.4, 0.6))).toBeLessThan(0.02);
	});
	it('stands where it was read, however little a steady rate explains that', () => {
		// Two sharp readings of fast wear, two coarse ones of hardly any since: a steady rate would be past the limit by now.
		const steady: WearPrior = { hoursToLimit: 4100, between: 0.28, within1000h: 0.11, priorWeight: 5.8, from: 'sheet' };
		const slowed: WearHistory = {
			before: [{ hours: 0, weight: 1 }],
			inspections: [
				{ hours: 1420, worn: 0.634, u: 0.01 },
				{ hours: 1840, worn: 0.706, u: 0.015 },
				{ hours: 3150, worn: 0.719, u: 0.069 },
				{ hours: 4380, worn: 0.705, u: 0.081 }
			]
		};
		const part = new PartWear(priorKnowledge(steady), { mean: 0.08, sd: 0.23 }, slowed);
		expect(part.chance(0)).toBeLessThan(0.01);
		expect(part.expected(0).worn).toBeGreaterThan(0.68);
		expect(part.expected(0).worn).toBeLessThan(0.85);
	});
	it('never finds a part beyond its limit that every reading finds well inside', () => {
		let seed = 7;
		const random = () => (seed = (seed * 1103515245 + 12345) % 2 ** 31) / 2 ** 31;
		for (let i = 0; i < 300; i++) {
			const within1000h = 0.1 * 20 ** random();
			const any: WearPrior = {
				hoursToLimit: 1000 + 6000 * random(),
				between: 0.35,
				within1000h,
				priorWeight: 4,
				from: 'sheet'
			};
			let [hours, worn] = [0, 0];
			const inspections = Array.from({ length: 1 + Math.floor(4 * random()) }, () => {
				hours += 300 + 1500 * random();
				worn += 0.3 * random() ** 2;
				return { hours, worn, u: 0.005 + 0.075 * random() };
			}).filter((inspection) => inspection.worn + 4 * inspection.u < 1);
			if (inspections.length === 0) continue;
			const part = new PartWear(priorKnowledge(any), known, { before: [{ hours: 0, weight: 1 }], inspections });
			expect(part.chance(0), JSON.stringify({ any, inspections })).toBeLessThan(0.005);
		}
	});
	it('says nothing else of a part that was not inspected', () => {
		const fresh: WearHistory = { before: [{ hours: 0, weight: 1 }], inspections: [] };
		expect(new PartWear(knowledge, known, fresh).chance(1500)).toBe(
			new PartWear(knowledge, known, fresh, { rateChanges: 0 }).chance(1500)
		);
	});
});

describe('the chance by pump', () => {
	it('rises from a mild pump to a harsh one, and comes to the chance where nothing was read', () => {
		const fresh: WearHistory = { before: [{ hours: 0, weight: 1 }], inspections: [] };
		const part = new PartWear(knowledge, { mean: 0.1, sd: 0.3 }, fresh);
		const points = part.byPump(1500);
		expect([...points].sort((a, b) => a - b)).toEqual(points);
		const weights = [0.15, 0.22, 0.26, 0.22, 0.15];
		const mean = points.reduce((sum, value, q) => sum + weights[q] * value, 0);
		expect(Math.abs(mean - part.chance(1500))).toBeLessThan(0.03 * part.chance(1500));
	});
	it('is one chance where all is known of the pump', () => {
		const part = new PartWear(knowledge, known, seen(0.3, 0.6));
		for (const value of part.byPump(1500)) expect(value).toBeCloseTo(part.chance(1500), 6);
	});
});
