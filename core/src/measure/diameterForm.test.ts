import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { diameterForm, fitOf } from '.';

const at = (row: number, column: number, value: number) => ({ row, column, value });

describe('diameterForm', () => {
	it('of a plunger worn oval in its middle and thin at its end', () => {
		const { ovality, taper } = diameterForm([
			at(0, 0, 18),
			at(0, 1, 17.998),
			at(1, 0, 17.98),
			at(1, 1, 17.97),
			at(2, 0, 17.96),
			at(2, 1, 17.961)
		]);
		expect(ovality!.row).toBe(1);
		expect(ovality!.value).toBeCloseTo(0.01, 12);
		expect(taper).toMatchObject({ thickest: 0, thinnest: 2 });
		expect(taper!.value).toBeCloseTo(17.999 - 17.9605, 12);
	});
	it('counts repeated readings of a point with their mean', () =>
		expect(diameterForm([at(0, 0, 18), at(0, 0, 17.98), at(0, 1, 17.99)]).ovality!.value).toBeCloseTo(0, 12));
	it('says only what the points allow', () => {
		expect(diameterForm([at(0, 0, 18)])).toEqual({});
		expect(diameterForm([at(0, 0, 18), at(1, 0, 17.9)])).not.toHaveProperty('ovality');
		expect(diameterForm([at(0, 0, 18), at(0, 1, 17.9)])).not.toHaveProperty('taper');
	});
	it('does not depend on order, and not on a shift of all sizes', () => {
		const point = fc.record({
			row: fc.integer({ min: 0, max: 3 }),
			column: fc.integer({ min: 0, max: 3 }),
			value: fc.double({ min: 17, max: 18, noNaN: true })
		});
		fc.assert(
			fc.property(fc.array(point, { minLength: 1, maxLength: 20 }), (points) => {
				const form = diameterForm(Object.freeze(points));
				const moved = diameterForm([...points].reverse().map((other) => ({ ...other, value: other.value + 100 })));
				expect(moved.ovality?.value ?? -1).toBeCloseTo(form.ovality?.value ?? -1, 9);
				expect(moved.taper?.value ?? -1).toBeCloseTo(form.taper?.value ?? -1, 9);
				expect(form.ovality?.value ?? 0).toBeGreaterThanOrEqual(0);
			}),
			{ seed: 6 }
		);
	});
	it.each([[[]], [[at(0, 0, NaN)]]])('refuses %j', (points) =>
		expect(() => diameterForm(points)).toThrow('diameterForm')
	);
});

describe('fitOf', () => {
	it('of the example in its comment', () => {
		const { interference, U } = fitOf({ value: 18, u: 0.003, dof: Infinity }, { value: 17.6, u: 0.004, dof: Infinity });
		expect(interference).toBeCloseTo(0.4, 12);
		expect(U).toBeCloseTo(1.959963984540054 * 0.005, 10);
	});
	it('is below 0 where there is a gap', () =>
		expect(fitOf({ value: 17.9, u: 0.003, dof: 9 }, { value: 17.95, u: 0.01, dof: 9 }).interference).toBeCloseTo(
			-0.05,
			12
		));
	it('refuses a value without uncertainty', () =>
		expect(() => fitOf({ value: 18, u: 0, dof: 3 }, { value: 17, u: 0.1, dof: 3 })).toThrow('u is 0'));
});
