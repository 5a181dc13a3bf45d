import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	budgetOf,
	combine,
	conformity,
	dominantLine,
	effectiveDof,
	findOutlier,
	grubbsCritical,
	lengthAt20C,
	OVERDUE_FACTOR,
	probabilityBeyond,
	thermalUncertainty,
	waysToSettle,
	type GaugeFacts
} from '.';
import { studentQuantile } from '../number';
import { relativeError } from '../number/testing';

const micrometer: GaugeFacts = {
	resolution: 0.001,
	calibrationU: 0.002,
	calibrationK: 2,
	repeatability: 0.0012,
	repeatabilityDof: 18,
	reproducibility: 0.0008,
	expansionPerKelvin: 11.5e-6,
	overdue: false
};

describe('lengthAt20C', () => {
	it('takes the expansion of the part off and that of the gauge in', () => {
		const thermal = { partC: 30, gaugeC: 20, partExpansion: 11.5e-6, gaugeExpansion: 11.5e-6 };
		expect(lengthAt20C(100, thermal)).toBeCloseTo(100 / 1.000115, 10);
		expect(lengthAt20C(100, { ...thermal, gaugeC: 30 })).toBe(100);
	});
	it('refuses a temperature that is none', () =>
		expect(() => lengthAt20C(100, { partC: NaN, gaugeC: 20, partExpansion: 1e-5, gaugeExpansion: 1e-5 })).toThrow(
			'partC is NaN'
		));
});

describe('effectiveDof', () => {
	it('of the worked example in its comment', () =>
		expect(
			effectiveDof([
				{ u: 3, dof: 4 },
				{ u: 4, dof: Infinity }
			])
		).toBeCloseTo(625 / 20.25, 10));
	// JCGM 100:2008, G.4.1 example: relative u 0.25, 0.57, 0.82 % with 9, 4, 14 degrees of freedom give 19.0.
	it('of the guide’s own example', () =>
		expect(
			effectiveDof([
				{ u: 0.25, dof: 9 },
				{ u: 0.57, dof: 4 },
				{ u: 0.82, dof: 14 }
			])
		).toBeCloseTo(19.0, 1));
	it('does not depend on order or unit, and lies between the smallest and the sum', () =>
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						u: fc.double({ min: 1e-3, max: 10, noNaN: true }),
						dof: fc.double({ min: 1, max: 100, noNaN: true })
					}),
					{ minLength: 1, maxLength: 6 }
				),
				fc.constantFrom(1e-150, 1e-6, 1, 1e150),
				(lines, scale) => {
					const dof = effectiveDof(Object.freeze(lines));
					const moved = effectiveDof([...lines].reverse().map(({ u, dof }) => ({ u: u * scale, dof })));
					expect(relativeError(moved, dof)).toBeLessThan(1e-9);
					expect(dof).toBeGreaterThanOrEqual(Math.min(...lines.map((line) => line.dof)) * (1 - 1e-12));
					expect(dof).toBeLessThanOrEqual(lines.reduce((sum, line) => sum + line.dof, 0) * (1 + 1e-12));
				}
			),
			{ seed: 21 }
		));
	it.each([
		['nothing', []],
		['a negative share', [{ u: -1, dof: 3 }]],
		['only zeros', [{ u: 0, dof: 3 }]],
		['no degrees of freedom', [{ u: 1, dof: 0 }]]
	])('refuses %s', (_, lines) => expect(() => effectiveDof(lines)).toThrow(RangeError));
});

describe('budgetOf', () => {
	it('takes the study’s scatter for three readings and the readings’ own from four on', () => {
		const three = budgetOf({ readings: [18, 18.001, 17.999], gauge: micrometer });
		expect(three.contributions[0]).toEqual({ source: 'repeatability', u: 0.0012 / Math.sqrt(3), dof: 18 });
		const four = budgetOf({ readings: [18, 18.002, 17.998, 18], gauge: micrometer });
		expect(four.contributions[0].dof).toBe(3);
		expect(four.contributions[0].u).toBeCloseTo(0.001632993 / 2, 8);
	});
	it('adds up by squares and expands with t', () => {
		const budget = budgetOf({ readings: [18], gauge: micrometer });
		const u = Math.hypot(0.0012, 0.001 / (2 * Math.sqrt(3)), 0.001, 0.0008);
		expect(relativeError(budget.u, u)).toBeLessThan(1e-14);
		expect(budget.k).toBeGreaterThan(1.96);
		expect(budget.U).toBeCloseTo(budget.k * u, 14);
	});
	it('widens an overdue certificate', () => {
		const calibration = (overdue: boolean) =>
			budgetOf({ readings: [18], gauge: { ...micrometer, overdue } }).contributions.find(
				({ source }) => source === 'calibration'
			)!.u;
		expect(calibration(true)).toBe(OVERDUE_FACTOR * calibration(false));
	});
	it('counts unknown temperature where length follows it', () => {
		const thermal = { partC: 20, gaugeC: 20, partExpansion: 8e-6, gaugeExpansion: 11.5e-6 };
		expect(thermalUncertainty(18, thermal, 2)).toBeCloseTo((18 * Math.hypot(8e-6, 11.5e-6) * 2) / Math.sqrt(3), 15);
		expect(
			budgetOf({ readings: [18], gauge: micrometer, thermal }).contributions.map(({ source }) => source)
		).toContain('temperature');
	});
	it('keeps its footing when all readings are equal', () => {
		const budget = budgetOf({ readings: [18, 18, 18, 18, 18], gauge: micrometer });
		expect(budget.u).toBeGreaterThan(0);
		expect(budget.dof).toBe(Infinity);
	});
	it('says which line dominates', () => {
		const { line, share } = dominantLine(budgetOf({ readings: [18], gauge: { ...micrometer, calibrationU: 0.02 } }));
		expect(line.source).toBe('calibration');
		expect(share).toBeGreaterThan(0.9);
	});
	it.each([[[]], [[NaN]], [[18, Infinity]]])('refuses the readings %j', (readings) =>
		expect(() => budgetOf({ readings, gauge: micrometer })).toThrow('budgetOf: readings')
	);
});

describe('findOutlier', () => {
	// Critical values: mpmath 1.2 at 30 digits, t quantile by its incomplete beta function.
	it.each([
		[3, 1.1543048513440384],
		[5, 1.7150373123433637],
		[10, 2.2899540844796004],
		[20, 2.7082456458057543]
	])('critical value for %d readings', (n, reference) =>
		expect(relativeError(grubbsCritical(n, 0.05), reference)).toBeLessThan(1e-10)
	);
	it('points at the one that does not fit', () => expect(findOutlier([10.0, 10.1, 9.9, 10.0, 12.0])?.index).toBe(4));
	it('says nothing of two readings, equal readings or a tidy set', () => {
		expect(findOutlier([1, 9])).toBeUndefined();
		expect(findOutlier([5, 5, 5, 5])).toBeUndefined();
		expect(findOutlier([9.9, 10, 10.1])).toBeUndefined();
	});
});

describe('probabilityBeyond', () => {
	// Student's and the normal distribution at −2: scipy 1.10.1.
	it.each([
		[5, 0.05096973941492914],
		[Infinity, 0.022750131948179195]
	])('with %d degrees of freedom', (dof, reference) =>
		expect(relativeError(probabilityBeyond({ value: 17.96, u: 0.005, dof }, { min: 17.95 }), reference)).toBeLessThan(
			1e-9
		)
	);
	it('of a two-sided limit is the sum of both sides', () =>
		expect(probabilityBeyond({ value: 0, u: 1, dof: Infinity }, { min: -2, max: 2 })).toBeCloseTo(
			2 * 0.022750131948179195,
			12
		));
	it('grows towards the limit and is a probability', () =>
		fc.assert(
			fc.property(
				fc.double({ min: -5, max: 5, noNaN: true }),
				fc.double({ min: 0.01, max: 3, noNaN: true }),
				fc.double({ min: 1, max: 50, noNaN: true }),
				(value, u, dof) => {
					const near = probabilityBeyond({ value, u, dof }, { max: 1 });
					const nearer = probabilityBeyond({ value: value + 0.1, u, dof }, { max: 1 });
					expect(near).toBeGreaterThanOrEqual(0);
					expect(nearer).toBeLessThanOrEqual(1);
					expect(nearer).toBeGreaterThanOrEqual(near);
				}
			),
			{ seed: 4 }
		));
	it.each([
		['no spread', { value: 1, u: 0, dof: 3 }, { min: 0 }, 'u is 0'],
		['no limit', { value: 1, u: 1, dof: 3 }, {}, 'limit is empty'],
		['a limit upside down', { value: 1, u: 1, dof: 3 }, { min: 2, max: 1 }, 'min below max'],
		['no value', { value: NaN, u: 1, dof: 3 }, { min: 2 }, 'value is NaN']
	])('refuses %s', (_, measured, limit, message) => expect(() => probabilityBeyond(measured, limit)).toThrow(message));
});

describe('conformity', () => {
	const policy = { acceptBad: 0.05, scrapGood: 0.05 };
	const at = (value: number) => conformity({ value, u: 0.002, dof: 30 }, { min: 17.95 }, policy).zone;
	it('has three zones, parted by the guard bands', () => {
		expect([at(17.97), at(17.951), at(17.94)]).toEqual(['inside', 'tooClose', 'beyond']);
		const guard = studentQuantile(0.95, 30) * 0.002;
		expect(at(17.95 + guard * 1.0001)).toBe('inside');
		expect(at(17.95 + guard * 0.9999)).toBe('tooClose');
		expect(at(17.95 - guard * 1.0001)).toBe('beyond');
	});
	it('counts both sides where both limit', () => {
		const both = { min: -0.0033, max: 0.0033 }; // either side alone would let it pass
		const zone = (limit: object) => conformity({ value: 0, u: 0.002, dof: Infinity }, limit, policy).zone;
		expect([zone({ min: both.min }), zone({ max: both.max }), zone(both)]).toEqual(['inside', 'inside', 'tooClose']);
	});
	it('refuses risks that would let one value be both', () =>
		expect(() => conformity({ value: 1, u: 1, dof: 1 }, { min: 0 }, { acceptBad: 0.6, scrapGood: 0.5 })).toThrow(
			'below 1'
		));
});

describe('waysToSettle', () => {
	const policy = { acceptBad: 0.05, scrapGood: 0.05 };
	const coarse: GaugeFacts = { ...micrometer, repeatability: 0.006, calibrationU: 0.001, resolution: 0.001 };
	const input = { readings: [17.957], gauge: coarse };
	it('finds the fewest readings that settle it, and no fewer do', () => {
		const { moreReadings } = waysToSettle(input, 17.957, { min: 17.95 }, policy, []);
		expect(moreReadings).toBeGreaterThan(0);
		const zoneWith = (n: number) => {
			const lines = budgetOf(input).contributions.map((line) =>
				line.source === 'repeatability' ? { ...line, u: line.u / Math.sqrt(n), dof: Math.max(line.dof, n - 1) } : line
			);
			const { u, dof } = combine(lines);
			return conformity({ value: 17.957, u, dof }, { min: 17.95 }, policy).zone;
		};
		expect(zoneWith(1 + moreReadings!)).toBe('inside');
		expect(zoneWith(moreReadings!)).toBe('tooClose');
	});
	it('names a better gauge, and none where none would do', () => {
		const others = [
			{ id: 'good', facts: micrometer },
			{ id: 'poor', facts: { ...coarse, calibrationU: 0.1 } }
		];
		expect(waysToSettle(input, 17.957, { min: 17.95 }, policy, others).gauges).toEqual([{ id: 'good', readings: 1 }]);
	});
	it('has no answer for a value right on the limit', () =>
		expect(waysToSettle(input, 17.95, { min: 17.95 }, policy, [])).toEqual({ moreReadings: undefined, gauges: [] }));
});
