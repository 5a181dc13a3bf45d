import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PreconditionError } from '../number';
import { proposedTorque, propertyClasses } from '.';

describe('proposedTorque', () => {
	// Values commonly tabulated by the method of VDI 2230-1: coarse thread, friction 0.12 in thread and under the head, 90 % used.
	// They were not compared with the guideline's own table.
	it.each([
		[8, '8.8', 24.6],
		[10, '8.8', 48],
		[12, '8.8', 84],
		[16, '8.8', 206],
		[8, '10.9', 36.1],
		[10, '10.9', 71],
		[12, '10.9', 123],
		[8, '12.9', 42.2],
		[10, '12.9', 83]
	] as const)('M%i %s: the table’s %f N·m within 5 %%', (diameterMm, propertyClass, stated) => {
		const proposed = proposedTorque({ diameterMm, friction: 0.12 }, propertyClass);
		expect(Math.abs(proposed / stated - 1)).toBeLessThan(0.05);
	});
	it('rises with the class and the diameter, and with friction', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 3, max: 30, noNaN: true }),
				fc.double({ min: 0.06, max: 0.2, noNaN: true }),
				(d, friction) => {
					const all = propertyClasses.map((propertyClass) =>
						proposedTorque({ diameterMm: d, friction }, propertyClass)
					);
					expect(all).toEqual(all.toSorted((a, b) => a - b));
					expect(proposedTorque({ diameterMm: d * 1.1, friction }, '8.8')).toBeGreaterThan(all[2]);
					expect(proposedTorque({ diameterMm: d, friction: friction * 1.2 }, '8.8')).toBeGreaterThan(all[2]);
				}
			)
		);
	});
	it('refuses a thread that is none, and friction that cannot be', () => {
		for (const bolt of [
			{ diameterMm: 0, friction: 0.12 },
			{ diameterMm: 400, friction: 0.12 },
			{ diameterMm: 8, friction: 0 },
			{ diameterMm: 8, friction: Number.NaN }
		])
			expect(() => proposedTorque(bolt, '8.8')).toThrow(PreconditionError);
	});
});
