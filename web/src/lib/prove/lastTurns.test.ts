import { describe, expect, it } from 'vitest';
import { lastTurns } from './lastTurns';

const ramp = (count: number) => Array.from({ length: count }, (_, i) => i);

describe('lastTurns', () => {
	it('counts degrees from the mark, turn by turn, even where the speed changes', () => {
		// Turns of 40, 50 and 60 samples, and the beginning of a fourth.
		const { degrees, pressureMPa, marked } = lastTurns(ramp(200), [10, 50, 100, 160], 50);
		expect(marked).toBe(true);
		expect(pressureMPa[0]).toBe(10);
		expect(pressureMPa.at(-1)).toBe(160);
		expect(degrees[0]).toBe(0);
		expect(degrees[20]).toBeCloseTo(180, 9);
		expect(degrees[40]).toBeCloseTo(360, 9);
		expect(degrees[65]).toBeCloseTo(540, 9);
		expect(degrees.at(-1)).toBeCloseTo(1080, 9);
	});
	it('shows the last three turns of many', () => {
		const { degrees, pressureMPa } = lastTurns(ramp(500), [0, 100, 200, 300, 400], 100);
		expect(pressureMPa[0]).toBe(100);
		expect(degrees.at(-1)).toBeCloseTo(1080, 9);
	});
	it('says that nothing marks the shaft, and counts from any point then', () => {
		for (const marks of [[], [30]]) {
			const { degrees, marked } = lastTurns(ramp(100), marks, 20);
			expect(marked).toBe(false);
			expect(degrees).toHaveLength(60);
			expect(degrees[10]).toBe(180);
		}
	});
	it('leaves out marks that lie outside of what was recorded, and takes an empty recording', () => {
		expect(lastTurns(ramp(40), [-20, 10, 30, 60], 20).degrees.at(-1)).toBeCloseTo(360, 9);
		expect(lastTurns([], [], 20)).toEqual({ degrees: [], pressureMPa: [], marked: false });
	});
});
