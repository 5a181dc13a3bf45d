import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anglesFor, drawnBackMm, turnOn, type CrankDrive } from '.';

const triplex: CrankDrive = { strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240] };
const drives = fc
	.record({
		strokeMm: fc.double({ min: 5, max: 200, noNaN: true }),
		ratio: fc.double({ min: 0.51, max: 10, noNaN: true }),
		phasesDeg: fc.array(fc.integer({ min: -720, max: 720 }), { minLength: 1, maxLength: 7 })
	})
	.map(({ strokeMm, ratio, phasesDeg }): CrankDrive => ({ strokeMm, rodMm: ratio * strokeMm, phasesDeg }));
const angles = fc.double({ min: -1000, max: 1000, noNaN: true });

describe('drawnBackMm', () => {
	// r + l − √(l² − r²) worked out in Python 3.11, double precision.
	it('at a quarter turn', () => expect(drawnBackMm(triplex, 90, 1)).toBeCloseTo(12.861561236693888, 12));
	it('runs from nothing to the stroke', () => {
		expect(drawnBackMm(triplex, 0, 1)).toBe(0);
		expect(drawnBackMm(triplex, 180, 1)).toBeCloseTo(24, 12);
		expect(drawnBackMm(triplex, 240, 2)).toBeCloseTo(0, 12);
	});
	it('keeps the rod as long as it is: by the points of pin and crosshead', () =>
		fc.assert(
			fc.property(drives, angles, (drive, angle) => {
				const r = drive.strokeMm / 2;
				const theta = ((angle + drive.phasesDeg[0]) * Math.PI) / 180;
				const crosshead = r + drive.rodMm - drawnBackMm(drive, angle, 1);
				const rod = Math.hypot(crosshead - r * Math.cos(theta), r * Math.sin(theta));
				expect(Math.abs(rod / drive.rodMm - 1)).toBeLessThan(1e-9);
			}),
			{ seed: 5 }
		));
	it.each([
		['a rod that cannot go round', { ...triplex, rodMm: 12 }, 0, 1, 'rodMm'],
		['no stroke', { ...triplex, strokeMm: 0 }, 0, 1, 'strokeMm'],
		['a fourth cylinder', triplex, 0, 4, 'cylinder'],
		['an angle that is none', triplex, NaN, 1, 'angleDeg'],
		['a throw that stands nowhere', { ...triplex, phasesDeg: [Infinity] }, 0, 1, 'phasesDeg']
	] as const)('refuses %s', (_, drive, angle, cylinder, argument) =>
		expect(() => drawnBackMm(drive, angle, cylinder)).toThrow(expect.objectContaining({ argument }))
	);
});

describe('anglesFor', () => {
	it('levels the outer plungers of a triplex at 60° (further out) and 240°', () => {
		// Throws at 0° and 240°: −(0 + 240)/2 = 240°, and half a turn on, 60°.
		expect(anglesFor(triplex, 'outerLevel')).toEqual([60, 240]);
		expect(drawnBackMm(triplex, 60, 1)).toBeLessThan(drawnBackMm(triplex, 240, 1));
	});
	it('levels them in any drive, the one further out first', () =>
		fc.assert(
			fc.property(drives, (drive) => {
				const last = drive.phasesDeg.length;
				const [near, far] = anglesFor(drive, 'outerLevel').map((angle) => {
					expect(drawnBackMm(drive, angle, 1)).toBeCloseTo(drawnBackMm(drive, angle, last), 6);
					return drawnBackMm(drive, angle, 1);
				});
				expect(near).toBeLessThanOrEqual(far + 1e-9);
			}),
			{ seed: 6 }
		));
	it('brings a plunger to the ends of its stroke', () =>
		fc.assert(
			fc.property(drives, (drive) => {
				for (const [i] of drive.phasesDeg.entries()) {
					const [forward] = anglesFor(drive, 'forward', i + 1);
					const [back] = anglesFor(drive, 'back', i + 1);
					expect(drawnBackMm(drive, forward, i + 1)).toBeCloseTo(0, 6);
					expect(drawnBackMm(drive, back, i + 1)).toBeCloseTo(drive.strokeMm, 6);
				}
			}),
			{ seed: 7 }
		));
});

describe('turnOn', () => {
	it.each([
		[0, 60, 60],
		[300, 60, 120],
		[60, 60, 0],
		[10, -10, 340]
	])('from %d° to %d° is %d°', (from, to, deg) => expect(turnOn(from, to)).toBe(deg));
});
