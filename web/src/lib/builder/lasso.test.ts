import { describe, expect, it } from 'vitest';
import { isInside } from './lasso';

describe('a lasso', () => {
	const square = [
		{ x: 0, y: 0 },
		{ x: 10, y: 0 },
		{ x: 10, y: 10 },
		{ x: 0, y: 10 }
	];
	it('holds what lies inside its line, and nothing else', () => {
		expect(isInside({ x: 5, y: 5 }, square)).toBe(true);
		for (const outside of [
			{ x: -1, y: 5 },
			{ x: 11, y: 5 },
			{ x: 5, y: -1 },
			{ x: 5, y: 11 }
		])
			expect(isInside(outside, square)).toBe(false);
	});
	it('leaves out the bay of a bent line', () => {
		const bent = [...square, { x: 0, y: 6 }, { x: 8, y: 6 }, { x: 8, y: 4 }, { x: 0, y: 4 }];
		expect(isInside({ x: 4, y: 5 }, bent)).toBe(false);
		expect(isInside({ x: 4, y: 2 }, bent)).toBe(true);
	});
	it('of less than three points holds nothing', () => {
		expect(isInside({ x: 0, y: 0 }, [])).toBe(false);
		expect(isInside({ x: 5, y: 0 }, square.slice(0, 2))).toBe(false);
	});
});
