import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	annularLeak,
	compressionSet,
	glandFill,
	grooveArea,
	lapping,
	leakDown,
	orificeLeak,
	rateOfTest,
	ringSizes,
	solidLength,
	springRate,
	squeeze,
	stretch,
	swell,
	swellByMass,
	wahlStress,
	whichRing,
	whichSpring
} from '.';

// Reference values: the equations worked out in Python 3.11 (double precision), to the digits given.
describe('springs', () => {
	const geometry = { wire: 1.6, meanDiameter: 12, activeCoils: 6, shearModulus: 81_500 };
	it('rate from geometry', () => expect(springRate(geometry)).toBeCloseTo(6.439506172839508, 12));
	it('counts the wire with its fourth power, the coil with its third', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 4, noNaN: true }),
				fc.double({ min: 1.1, max: 3, noNaN: true }),
				(d, s) => {
					const design = { ...geometry, wire: d, meanDiameter: 8 * d };
					expect(springRate({ ...design, wire: d * s }) / springRate(design)).toBeCloseTo(s ** 4, 9);
					expect(springRate(design) / springRate({ ...design, meanDiameter: 8 * d * s })).toBeCloseTo(s ** 3, 9);
				}
			),
			{ seed: 11 }
		));
	it('rate and free length from two loads', () => {
		const found = rateOfTest({ length: 16, load: 30 }, { length: 13, load: 48 });
		expect(found).toEqual({ rate: 6, freeLength: 21 });
		expect(() => rateOfTest({ length: 16, load: 30 }, { length: 13, load: 29 })).toThrow('load at the shorter length');
		expect(() => rateOfTest({ length: 13, load: 30 }, { length: 16, load: 48 })).toThrow('short length');
	});
	it('stress by Wahl', () => expect(wahlStress(geometry, 50)).toBeCloseTo(446.64768825152214, 10));
	it('solid length of closed and ground ends', () => expect(solidLength(geometry)).toBeCloseTo(12.8, 12));
	it.each([
		[{ ...geometry, wire: 0 }, 'wire is 0'],
		[{ ...geometry, activeCoils: NaN }, 'activeCoils is NaN'],
		[{ ...geometry, meanDiameter: 1.5 }, 'meanDiameter is 1.5']
	])('refuses %j', (bad, says) => expect(() => springRate(bad)).toThrow(says));
});

describe('whichSpring', () => {
	const inlet = { id: 'inlet', sizes: { wire: { size: 1.2, tolerance: 0.02 }, coils: { size: 7, tolerance: 0.25 } } };
	const discharge = {
		id: 'discharge',
		sizes: { wire: { size: 1.4, tolerance: 0.02 }, coils: { size: 7, tolerance: 0.25 } }
	};
	it('tells two springs of one shape apart by their wire', () => {
		const { probabilities, fits } = whichSpring({ wire: { value: 1.21, u: 0.005 } }, [inlet, discharge]);
		expect(probabilities[0]).toMatchObject({ id: 'inlet' });
		expect(probabilities[0].probability).toBeGreaterThan(0.999);
		expect(fits).toBeGreaterThan(0.3);
	});
	it('cannot tell them apart half way, and says that neither fits', () => {
		const { probabilities, fits } = whichSpring({ wire: { value: 1.3, u: 0.005 } }, [inlet, discharge]);
		expect(probabilities.map((probability) => probability.probability)).toEqual([
			expect.closeTo(0.5, 9),
			expect.closeTo(0.5, 9)
		]);
		expect(fits).toBeLessThan(1e-4);
	});
	it('probabilities are together 1, whatever is measured', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 0.8, max: 2, noNaN: true }),
				fc.double({ min: 0.001, max: 0.2, noNaN: true }),
				(value, u) => {
					const { probabilities } = whichSpring({ wire: { value, u } }, [inlet, discharge]);
					expect(probabilities.reduce((sum, probability) => sum + probability.probability, 0)).toBeCloseTo(1, 12);
				}
			),
			{ seed: 5 }
		));
	it('needs a candidate and a size in common', () => {
		expect(() => whichSpring({ wire: { value: 1, u: 0.01 } }, [])).toThrow('candidates');
		expect(() => whichSpring({ load: { value: 1, u: 0.01 } }, [inlet])).toThrow('a size of every candidate');
	});
});

describe('rings', () => {
	it('compression set, squeeze, fill, stretch, swell', () => {
		expect(compressionSet({ asNew: 2.62, found: 2.4, gland: 2.1 })).toBeCloseTo(0.4230769230769, 12);
		expect(squeeze(2.62, 2.1)).toBeCloseTo(0.1984732824427, 12);
		expect(glandFill(2.62, 2.1, 3.6)).toBeCloseTo(0.713133221273207, 12);
		expect(stretch(20, 20.4)).toBeCloseTo(0.02, 12);
		expect(swell(2.75, 2.5)).toBeCloseTo(0.21, 12);
		expect(swellByMass(1.1, 1)).toBeCloseTo(0.1, 12);
	});
	it('sets from 0 (springs back whole) to 1 (as flat as its gland)', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 8, noNaN: true }),
				fc.double({ min: 0.5, max: 0.95, noNaN: true }),
				(asNew, share) => {
					const gland = asNew * share;
					expect(compressionSet({ asNew, found: asNew, gland })).toBe(0);
					expect(compressionSet({ asNew, found: gland, gland })).toBeCloseTo(1, 12);
				}
			),
			{ seed: 2 }
		));
	it('refuses a gland that gives no squeeze', () =>
		expect(() => compressionSet({ asNew: 2, found: 2, gland: 2.1 })).toThrow('gland is 2.1'));
});

describe('whichRing', () => {
	it('finds the size of a measured ring, also of one that has set', () => {
		expect(whichRing(20.3, 2.6)[0].dash).toBe('117');
		expect(whichRing(20.4, 2.2)[0].dash).toBe('117');
	});
	it('finds every ring of the series by its own sizes, with nothing off', () => {
		for (const { dash, insideDiameter, section } of ringSizes)
			expect(whichRing(insideDiameter, section)[0]).toMatchObject({ dash, off: 0 });
	});
	it('says of a ring that is none of them how far it is off', () => expect(whichRing(15, 5)[0].off).toBeGreaterThan(2));
	it('refuses sizes that are none', () => expect(() => whichRing(0, 2)).toThrow('insideDiameter is 0'));
});

describe('leaks', () => {
	const gap = { diameter: 18, clearance: 0.05, length: 20, eccentricity: 0, pressure: 12, viscosity: 1 };
	it('through an annular gap, centred and on one side', () => {
		expect(annularLeak(gap).flow).toBeCloseTo(21.205750411731106, 9);
		expect(annularLeak({ ...gap, eccentricity: 1 }).flow).toBeCloseTo(53.01437602932777, 9);
	});
	it('says by its Reynolds number where the laminar equation ends', () =>
		expect(annularLeak(gap).reynolds).toBeCloseTo(12_500, 6));
	it('counts the gap with its third power', () =>
		fc.assert(
			fc.property(fc.double({ min: 0.001, max: 0.2, noNaN: true }), (clearance) => {
				const twice = annularLeak({ ...gap, clearance: 2 * clearance }).flow;
				expect(twice / annularLeak({ ...gap, clearance }).flow).toBeCloseTo(8, 9);
			}),
			{ seed: 9 }
		));
	it('through a square millimetre at 12 MPa', () => expect(orificeLeak(1, 12)).toBeCloseTo(5.670047618847658, 12));
	it('half an ellipse of groove', () => expect(grooveArea(0.4, 0.1)).toBeCloseTo(0.0314159265359, 12));
	it('by the fall of a trapped pressure', () =>
		expect(leakDown({ volume: 50, from: 10, to: 9, seconds: 30, bulkModulus: 2200 })).toBeCloseTo(
			4.545454545454546e-5,
			15
		));
	it('refuses a pressure that rose, an eccentricity beyond the wall', () => {
		expect(() => leakDown({ volume: 50, from: 10, to: 11, seconds: 30, bulkModulus: 2200 })).toThrow('to is 11');
		expect(() => annularLeak({ ...gap, eccentricity: 1.1 })).toThrow('eccentricity');
	});
});

describe('lapping', () => {
	const seat = { height: 8, deepest: 0.12, finishing: 0.02, leastHeight: 7.7 };
	it('takes the deepest mark and a finishing cut off the height', () => {
		const found = lapping(seat);
		expect(found.left).toBeCloseTo(7.86, 12);
		expect(found.reserve).toBeCloseTo(0.16, 12);
	});
	it('says by a reserve below 0 that the seat is done', () =>
		expect(lapping({ ...seat, deepest: 0.4 }).reserve).toBeLessThan(0));
	it('refuses a depth below 0', () => expect(() => lapping({ ...seat, deepest: -0.1 })).toThrow('deepest is -0.1'));
});
