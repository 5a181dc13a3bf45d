import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonDirection, rayleigh, surfaceStatistics, type SurfaceMark } from '.';

const surface = { lengthMm: 60, track: { fromMm: 20, toMm: 44 } };
const mark = (
	shape: SurfaceMark['shape'],
	fromMm: number,
	toMm: number,
	fromDeg: number,
	toDeg = fromDeg
): SurfaceMark => ({
	shape,
	fromMm,
	toMm,
	fromDeg,
	toDeg
});
const statistics = (...marks: SurfaceMark[]) => surfaceStatistics(marks, surface);

describe('surfaceStatistics', () => {
	it('of nothing painted', () =>
		expect(statistics()).toEqual({ strokeShare: 0, areaShare: 0, longestScore: 0, direction: undefined }));
	it('counts the stroke once where marks overlap, and only on the track', () =>
		expect(statistics(mark('line', 10, 32, 0), mark('line', 26, 38, 180)).strokeShare).toBeCloseTo(18 / 24, 12));
	it('area of overlapping bands, over the turn’s end', () => {
		const { areaShare } = statistics(mark('band', 20, 32, 350, 370), mark('band', 20, 32, 0, 20));
		expect(areaShare).toBeCloseTo((12 * 30) / (24 * 360), 12);
	});
	it('joins a score painted in two strokes, not two scores beside each other', () => {
		expect(statistics(mark('line', 10, 20, 90), mark('line', 20.3, 35, 92)).longestScore).toBeCloseTo(25, 9);
		expect(statistics(mark('line', 10, 20, 90), mark('line', 20, 35, 140)).longestScore).toBeCloseTo(15, 9);
	});
	it('points to the worn side, over north', () => {
		const { direction } = statistics(...[350, 355, 5, 10].map((deg) => mark('line', 20, 40, deg)));
		expect(Math.min(direction!.meanDeg, 360 - direction!.meanDeg)).toBeCloseTo(0, 9);
		expect(direction!.p).toBeLessThan(0.02);
	});
	it('a band all round has no side', () => expect(statistics(mark('band', 20, 40, 0, 360)).direction).toBeUndefined());
	it('gives no test for few marks', () => expect(statistics(mark('line', 20, 40, 10)).direction!.p).toBeUndefined());
	it('shares stay between 0 and 1, and turning the part turns the direction alone', () =>
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						from: fc.double({ min: 0, max: 60, noNaN: true }),
						length: fc.double({ min: 0, max: 60, noNaN: true }),
						deg: fc.double({ min: 0, max: 359, noNaN: true }),
						arc: fc.double({ min: 0, max: 200, noNaN: true })
					}),
					{ minLength: 1, maxLength: 8 }
				),
				(drawn) => {
					const at = (turn: number) =>
						surfaceStatistics(
							drawn.map(({ from, length, deg, arc }) =>
								mark('band', from, Math.min(60, from + length), (deg + turn) % 360, ((deg + turn) % 360) + arc)
							),
							surface
						);
					const [still, turned] = [at(0), at(77)];
					expect(still.areaShare).toBeGreaterThanOrEqual(0);
					expect(still.areaShare).toBeLessThanOrEqual(still.strokeShare + 1e-9);
					expect(still.strokeShare).toBeLessThanOrEqual(1 + 1e-9);
					expect(turned.areaShare).toBeCloseTo(still.areaShare, 9);
					expect(turned.direction?.resultant ?? 0).toBeCloseTo(still.direction?.resultant ?? 0, 9);
				}
			),
			{ seed: 12 }
		));
	it.each([mark('line', -1, 5, 0), mark('line', 5, 61, 0), mark('line', 9, 5, 0), mark('band', 1, 2, 0, 361)])(
		'refuses %j',
		(bad) => expect(() => statistics(bad)).toThrow('surfaceStatistics')
	);
});

describe('rayleigh', () => {
	// P(resultant ≥ r) by four million random draws of n directions (numpy 2, seed 1): three digits.
	it.each([
		[5, 0.7, 0.0813],
		[8, 0.6, 0.0511],
		[12, 0.3, 0.3469]
	])('n %i, r %d', (n, r, p) => expect(Math.abs(rayleigh(r, n) - p)).toBeLessThan(0.001));
	it('is 1 without a direction', () => expect(rayleigh(0, 9)).toBeCloseTo(1, 9));
	it('refuses a resultant above 1', () => expect(() => rayleigh(1.1, 4)).toThrow('resultant'));
});

describe('commonDirection', () => {
	it('tells the same side on every cylinder from different ones', () => {
		expect(commonDirection([80, 95, 90, 88]).resultant).toBeGreaterThan(0.99);
		expect(commonDirection([0, 120, 240]).resultant).toBeCloseTo(0, 9);
	});
});
