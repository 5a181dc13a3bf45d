import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	byGammaProcess,
	chanceOfPassing,
	fitGammaProcess,
	meanRate,
	passesLimit,
	type GammaProcess,
	type WearHistory
} from '.';
import { relativeError } from '../number/testing';

const process: GammaProcess = { shapePerHour: 0.002, rateShape: 9, rateScale: 0.03 };

describe('passesLimit', () => {
	// mpmath 1.2, 25 digits: the gamma tail integrated over the posterior of the rate, without the beta identity.
	it.each([
		[0.002, 9, 0.03, 0.02, 1500, 2000, 0.126704202685346],
		[0.0005, 4, 0.01, 0, 0, 1000, 0.000226716745248004],
		[0.004, 20, 0.1, 0.045, 3000, 500, 0.698435356848715],
		[0.002, 9, 0.03, 0.001, 4000, 1000, 1.14287782653269e-6]
	])(
		'a %d, δ %d, γ %d: wear %d after %d h, %d h more',
		(shapePerHour, rateShape, rateScale, worn, hours, further, reference) => {
			const computed = passesLimit({ shapePerHour, rateShape, rateScale }, { worn, hours, allowance: 0.05 }, further);
			expect(relativeError(computed, reference)).toBeLessThan(1e-10);
		}
	);
	it('is certain beyond the limit and impossible without hours', () => {
		expect(passesLimit(process, { worn: 0.05, hours: 100, allowance: 0.05 }, 0)).toBe(1);
		expect(passesLimit(process, { worn: 0.049, hours: 100, allowance: 0.05 }, 0)).toBe(0);
	});
	it('grows with hours ahead and with wear, and is a probability', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 0.045, noNaN: true }),
				fc.integer({ min: 0, max: 9000 }),
				fc.integer({ min: 1, max: 9000 }),
				(worn, hours, further) => {
					const at = (w: number, h: number) => passesLimit(process, { worn: w, hours, allowance: 0.05 }, h);
					expect(at(worn, further + 100)).toBeGreaterThanOrEqual(at(worn, further));
					expect(at(worn + 0.002, further)).toBeGreaterThanOrEqual(at(worn, further));
					expect(at(worn, further)).toBeLessThanOrEqual(1);
				}
			),
			{ seed: 17 }
		));
	it('does not depend on the unit of wear', () => {
		const inches = passesLimit(
			{ ...process, rateScale: 0.03 / 25.4 },
			{ worn: 0.02 / 25.4, hours: 1500, allowance: 0.05 / 25.4 },
			2000
		);
		expect(relativeError(inches, 0.126704202685346)).toBeLessThan(1e-10);
	});
	it.each([[{ worn: -1 }], [{ hours: NaN }], [{ allowance: 0 }]])('refuses %j', (change) =>
		expect(() => passesLimit(process, { worn: 0.01, hours: 100, allowance: 0.05, ...change }, 10)).toThrow(
			'passesLimit'
		)
	);
});

describe('chanceOfPassing', () => {
	// The slow obvious way: a fine midpoint sum over the wear that the measurement leaves open.
	const bySum = (now: { worn: number; u: number; hours: number; allowance: number }, further: number) => {
		const steps = 200_000;
		const [from, to] = [Math.max(0, now.worn - 8 * now.u), now.worn + 8 * now.u];
		let above = 0;
		let all = 0;
		for (let i = 0; i < steps; i++) {
			const worn = from + ((i + 0.5) * (to - from)) / steps;
			const weight = Math.exp(-(((worn - now.worn) / now.u) ** 2) / 2);
			all += weight;
			above += weight * passesLimit(process, { ...now, worn }, further);
		}
		return above / all;
	};
	it.each([
		[{ worn: 0.02, u: 0.002, hours: 1500, allowance: 0.05 }, 2000],
		[{ worn: 0.049, u: 0.003, hours: 3000, allowance: 0.05 }, 500],
		[{ worn: 0.001, u: 0.004, hours: 900, allowance: 0.05 }, 3000],
		[{ worn: 0.047, u: 0.001, hours: 3000, allowance: 0.05 }, 30]
	])('agrees with brute force to 1e-6: %j, %d h', (now, further) =>
		expect(Math.abs(chanceOfPassing(process, now, further) - bySum(now, further))).toBeLessThan(1e-6)
	);
	it('of an exact measurement is passesLimit', () =>
		expect(chanceOfPassing(process, { worn: 0.02, u: 0, hours: 1500, allowance: 0.05 }, 2000)).toBe(
			passesLimit(process, { worn: 0.02, hours: 1500, allowance: 0.05 }, 2000)
		));
	it('of a part that measures far larger than new is that of a new one', () =>
		expect(chanceOfPassing(process, { worn: -1, u: 0.001, hours: 100, allowance: 0.05 }, 1000)).toBe(
			passesLimit(process, { worn: 0, hours: 100, allowance: 0.05 }, 1000)
		));
});

describe('byGammaProcess', () => {
	it('draws a part that has worn slowly for long away from the fleet’s mean', () => {
		const rate = (worn: number, hours: number) =>
			byGammaProcess(process, { kind: 'fleet', parts: 40 })(
				{ worn, u: 0, allowance: 0.05, hours, rateScatter: 0 },
				1000
			).ratePer1000h;
		expect(rate(0.002, 4000)).toBeLessThan(meanRate(process) * 1000 * 0.7);
		expect(rate(0.04, 2000)).toBeGreaterThan(meanRate(process) * 1000 * 1.3);
		expect(rate(0, 1e-9)).toBeCloseTo(meanRate(process) * 1000, 9);
	});
});

/** A fleet drawn from the process itself, by a fixed linear congruential generator. */
function fleet(count: number, looks: number, truth: GammaProcess, seed: number): WearHistory[] {
	let state = seed;
	const uniform = () => ((state = (state * 1103515245 + 12345) % 2147483648) + 0.5) / 2147483648;
	const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
	const gamma = (shape: number): number => {
		if (shape < 1) return gamma(shape + 1) * uniform() ** (1 / shape);
		const d = shape - 1 / 3;
		for (;;) {
			const x = normal();
			const v = (1 + x / Math.sqrt(9 * d)) ** 3;
			if (v > 0 && Math.log(uniform()) < x * x * 0.5 + d - d * v + d * Math.log(v)) return d * v;
		}
	};
	return Array.from({ length: count }, () => {
		const rate = gamma(truth.rateShape) / truth.rateScale;
		return {
			intervals: Array.from({ length: looks }, () => ({ hours: 1500, growth: gamma(truth.shapePerHour * 1500) / rate }))
		};
	});
}

describe('fitGammaProcess', () => {
	it('recovers the process from its own fleet', () => {
		const fitted = fitGammaProcess(fleet(600, 4, process, 42), 1e-9);
		expect(fitted.kind).toBe('fitted');
		if (fitted.kind !== 'fitted') return;
		expect(relativeError(fitted.process.shapePerHour, process.shapePerHour)).toBeLessThan(0.1);
		expect(relativeError(fitted.process.rateShape, process.rateShape)).toBeLessThan(0.25);
		expect(relativeError(meanRate(fitted.process), meanRate(process))).toBeLessThan(0.05);
	});
	it('does not depend on the unit of wear or on the order of the parts', () => {
		const histories = fleet(80, 3, process, 7);
		const inches = [...histories].reverse().map(({ intervals }) => ({
			intervals: intervals.map(({ hours, growth }) => ({ hours, growth: growth / 25.4 }))
		}));
		const [a, b] = [fitGammaProcess(histories, 1e-9), fitGammaProcess(inches, 1e-9 / 25.4)];
		if (a.kind !== 'fitted' || b.kind !== 'fitted') throw new Error('not fitted');
		expect(relativeError(b.process.rateScale * 25.4, a.process.rateScale)).toBeLessThan(1e-3);
	});
	it('says that it has too few parts, and never fits to four', () => {
		expect(fitGammaProcess(fleet(4, 5, process, 1), 1e-9)).toEqual({ kind: 'tooFew', parts: 4 });
		expect(fitGammaProcess([], 1e-9)).toEqual({ kind: 'tooFew', parts: 0 });
	});
	it('fits a fleet of parts that are all alike, without end or NaN', () => {
		const alike = Array.from({ length: 20 }, () => ({
			intervals: [
				{ hours: 1000, growth: 0.01 },
				{ hours: 1000, growth: 0.0101 }
			]
		}));
		const fitted = fitGammaProcess(alike, 1e-6);
		if (fitted.kind === 'fitted')
			for (const value of Object.values(fitted.process)) expect(Number.isFinite(value)).toBe(true);
		else expect(fitted.kind).toBe('notConverged');
	});
	it('joins growth that the gauge cannot tell from nothing with what follows', () => {
		const histories = fleet(50, 4, process, 3);
		const stuttering = histories.map(({ intervals }) => ({
			intervals: intervals.flatMap(({ hours, growth }) => [
				{ hours: hours / 2, growth: -0.0001 },
				{ hours: hours / 2, growth: growth + 0.0001 }
			])
		}));
		const [a, b] = [fitGammaProcess(histories, 1e-5), fitGammaProcess(stuttering, 1e-5)];
		if (a.kind !== 'fitted' || b.kind !== 'fitted') throw new Error('not fitted');
		expect(relativeError(b.process.rateShape, a.process.rateShape)).toBeLessThan(0.05);
	});
	it('refuses hours that are none', () =>
		expect(() => fitGammaProcess([{ intervals: [{ hours: 0, growth: 1 }] }], 0.001)).toThrow('hours is 0'));
});
