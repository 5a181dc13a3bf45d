import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cylindricity, edgeRadius, flatness, lostVolume, roundness } from '.';
import { relativeError } from '../number/testing';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const size = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });

// References: least squares by numpy 2 (lstsq), minimum zone by scipy 1.17 linprog (HiGHS) on the same points.
describe('roundness', () => {
	const lobed = Array.from({ length: 36 }, (_, i) => {
		const t = rad(i * 10);
		const value = 9 + 0.012 * Math.cos(t - 0.4) + 0.004 * Math.cos(3 * t + 1) + 0.001 * Math.sin(1.7 * i * i);
		return { angleDeg: i * 10, value };
	});
	it('of a three-lobed, off-centre section', () => {
		const { leastSquares, minimumZone, contacts } = roundness(lobed);
		expect(relativeError(leastSquares, 0.008941801714593467)).toBeLessThan(1e-9);
		expect(relativeError(minimumZone, 0.008617452398994332)).toBeLessThan(1e-9);
		expect(contacts).toHaveLength(4);
	});
	it('does not see where the part lies, and scales with it', () =>
		fc.assert(
			fc.property(fc.array(size(-1, 1), { minLength: 5, maxLength: 24 }), size(-3, 3), size(-3, 3), (bumps, c, s) => {
				const of = (scale: number) =>
					bumps.map((bump, i) => {
						const t = (2 * Math.PI * i) / bumps.length;
						return { angleDeg: (t * 180) / Math.PI, value: scale * (20 + bump + c * Math.cos(t) + s * Math.sin(t)) };
					});
				const still = roundness(bumps.map((value, i) => ({ angleDeg: (360 * i) / bumps.length, value })));
				expect(roundness(of(1)).minimumZone).toBeCloseTo(still.minimumZone, 8);
				expect(roundness(of(2)).minimumZone).toBeCloseTo(2 * still.minimumZone, 8);
				expect(still.minimumZone).toBeLessThanOrEqual(still.leastSquares + 1e-12);
				expect(Math.max(...still.deviations.map(Math.abs)) * 2).toBeCloseTo(still.minimumZone, 9);
			}),
			{ seed: 3 }
		));
	it('of a perfect circle is 0, also where all readings are equal', () => {
		expect(roundness([0, 72, 144, 216, 288].map((angleDeg) => ({ angleDeg, value: 9 }))).minimumZone).toBeCloseTo(
			0,
			12
		);
	});
	it.each([
		[[{ angleDeg: 0, value: 1 }], 'at least 4'],
		[Array.from({ length: 5 }, () => ({ angleDeg: 90, value: 1 })), 'three different angles'],
		[[0, 90, 180, 270].map((angleDeg) => ({ angleDeg, value: NaN })), 'finite']
	])('refuses %j', (radii, why) => expect(() => roundness(radii)).toThrow(why));
});

describe('cylindricity', () => {
	const points = [0, 10, 20, 40].flatMap((mm, k) =>
		Array.from({ length: 8 }, (_, j) => {
			const [a, i] = [rad(45 * j), 8 * k + j];
			const value =
				9 +
				0.01 * Math.cos(a) +
				0.0004 * mm * Math.sin(a) +
				0.003 * Math.cos(2 * a) -
				0.002 * (mm / 40) ** 2 +
				0.0008 * Math.sin(2.3 * i * i);
			return { mm, angleDeg: 45 * j, value };
		})
	);
	it('of a tilted, oval, tapering plunger', () => {
		const { leastSquares, minimumZone } = cylindricity(points);
		expect(relativeError(leastSquares, 0.00818608509989538)).toBeLessThan(1e-9);
		expect(relativeError(minimumZone, 0.00768960204288329)).toBeLessThan(1e-9);
	});
	it('is never below the roundness of one of its sections', () => {
		for (const mm of [0, 10, 20, 40]) {
			const section = points.filter((point) => point.mm === mm);
			expect(cylindricity(points).minimumZone).toBeGreaterThanOrEqual(roundness(section).minimumZone - 1e-12);
		}
	});
	it('refuses one height', () =>
		expect(() => cylindricity(points.map((point) => ({ ...point, mm: 3 })))).toThrow('two heights'));
});

describe('flatness', () => {
	const face = Array.from({ length: 35 }, (_, i) => {
		const [x, y] = [(i % 7) * 20, Math.floor(i / 7) * 15];
		const z = 0.02 + 0.0003 * x - 0.0001 * y + (0.00001 * (x - 60) * (y - 30)) / 3 + 0.004 * Math.sin(1.3 * i * i);
		return { x, y, z };
	});
	it('of a twisted face lying tilted under the dial', () => {
		const { leastSquares, minimumZone } = flatness(face);
		expect(relativeError(leastSquares, 0.015494838138057663)).toBeLessThan(1e-9);
		expect(relativeError(minimumZone, 0.013910956310004248)).toBeLessThan(1e-9);
	});
	it('does not change when the face is tilted, shifted or turned upside down', () =>
		fc.assert(
			fc.property(size(-1, 1), size(-1, 1), size(-50, 50), (p, q, shift) => {
				const moved = face.map(({ x, y, z }) => ({ x, y, z: -z + p * x + q * y + shift }));
				expect(flatness(moved).minimumZone).toBeCloseTo(0.013910956310004248, 8);
			}),
			{ seed: 4 }
		));
	it('four corners of which one stands up: half the height, shared by the two diagonals', () => {
		const corners = [0, 0, 0, 0.02].map((z, i) => ({ x: i % 2, y: i >> 1, z }));
		expect(flatness(corners).minimumZone).toBeCloseTo(0.01, 12);
	});
	it('many equal heights are flat, and do not cycle', () =>
		expect(flatness(face.map((point) => ({ ...point, z: 5 }))).minimumZone).toBeCloseTo(0, 12));
	it('repeated and tied points come to an end', () =>
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 30, maxLength: 30 }), (heights) => {
				const points = heights.map((z, i) => ({ x: i % 5, y: Math.floor(i / 5) % 3, z }));
				const { minimumZone, leastSquares } = flatness(points);
				expect(minimumZone).toBeLessThanOrEqual(leastSquares + 1e-9);
				expect(minimumZone).toBeGreaterThanOrEqual(0);
			}),
			{ seed: 5, numRuns: 300 }
		));
	it('refuses points on one line, too few, or not finite', () => {
		expect(() => flatness([0, 1, 2, 3].map((x) => ({ x, y: 2 * x, z: 0 })))).toThrow();
		expect(() => flatness(face.slice(0, 3))).toThrow('at least 4');
		expect(() => flatness([...face, { x: 0, y: 0, z: NaN }])).toThrow('finite');
	});
});

describe('edgeRadius', () => {
	// Reference: scipy 1.17 least_squares on the same seven points.
	const arc = Array.from({ length: 7 }, (_, i) => ({
		x: 1 + 0.4 * Math.cos(rad(10 * i)) + 0.002 * Math.sin(5 * i),
		y: 2 + 0.4 * Math.sin(rad(10 * i)) + 0.002 * Math.cos(3 * i)
	}));
	it('of a short noisy arc', () => {
		const { radius, centre } = edgeRadius(arc);
		expect(relativeError(radius, 0.3947838952214781)).toBeLessThan(1e-6);
		expect(centre.x).toBeCloseTo(1.0041085417820914, 7);
	});
	it('finds any circle again from points on it', () =>
		fc.assert(
			fc.property(size(0.05, 5), size(-10, 10), size(-10, 10), size(20, 300), (r, x, y, span) => {
				const points = Array.from({ length: 9 }, (_, i) => ({
					x: x + r * Math.cos(rad((span * i) / 8)),
					y: y + r * Math.sin(rad((span * i) / 8))
				}));
				const fit = edgeRadius(points);
				expect(relativeError(fit.radius, r)).toBeLessThan(1e-7);
				expect(fit.scatter).toBeLessThan(1e-7 * r);
			}),
			{ seed: 9 }
		));
	it('refuses a chamfer', () =>
		expect(() => edgeRadius([0, 1, 2, 3].map((x) => ({ x, y: x })))).toThrow('on one line'));
	it('lost volume of a square edge', () => {
		expect(lostVolume(0.5, 8)).toBeCloseTo(0.25 * (1 - Math.PI / 4) * Math.PI * 8, 12);
		expect(lostVolume(0, 8)).toBe(0);
		expect(() => lostVolume(-1, 8)).toThrow('radius');
	});
});
