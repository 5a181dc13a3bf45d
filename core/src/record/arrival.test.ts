import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import { arrivalFactsSchema, openedCylinders, toolsInScope, wrongCylinder, wrongTool } from '.';

const sheet = demoSheet('marram');

describe('how a pump comes in', () => {
	it('opens all cylinders where none is named', () => {
		expect(openedCylinders(sheet, {})).toEqual([1, 2, 3]);
		expect(openedCylinders(sheet, { arrival: {} })).toEqual([1, 2, 3]);
		expect(openedCylinders(sheet, { arrival: { cylinders: [3] } })).toEqual([3]);
	});
	it('names a cylinder that the pump has not, or that is named twice', () => {
		expect(wrongCylinder(sheet)).toBeUndefined();
		expect(wrongCylinder(sheet, [1, 3])).toBeUndefined();
		expect(wrongCylinder(sheet, [1, 4])).toBe(4);
		expect(wrongCylinder(sheet, [0])).toBe(0);
		expect(wrongCylinder(sheet, [2, 1, 2])).toBe(2);
		expect(() => wrongCylinder(sheet, [1.5])).toThrow('1.5');
	});
	it('holds its cylinders to numbers that there can be', () => {
		for (const cylinders of [[], [0], [1.5], [13], ['1'], Array.from({ length: 13 }, (_, i) => i + 1)])
			expect(arrivalFactsSchema.safeParse({ cylinders }).success).toBe(false);
		expect(arrivalFactsSchema.parse({ cylinders: [2] }).cylinders).toEqual([2]);
	});
	it('knows the tools that a job wants, and what may stand in for each', () => {
		const wanted = toolsInScope(sheet, { scope: 'packing' }).map(({ key }) => key);
		expect(wanted).toContain('torque');
		expect(wrongTool(sheet, { torque: 'atHand' })).toBeUndefined();
		expect(wrongTool(sheet, { spoon: 'atHand' })).toBe('spoon');
		expect(wrongTool(sheet, { torque: { instead: 'A spoon' } })).toBe('torque');
	});
});
