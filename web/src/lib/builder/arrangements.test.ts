import { describe, expect, it } from 'vitest';
import { fasteningSchema } from '@exetasis/core/record';
import { arranged, arrangements } from './arrangements';

describe('bolts', () => {
	it.each(arrangements)('%s: as many as asked, no two at one spot, as wide as asked', (shape) => {
		for (const count of [1, 2, 4, 7, 8, 40]) {
			const bolts = arranged(shape, count, 80);
			expect(bolts).toHaveLength(count);
			const fastening = { bolts, torqueFrom: 'maker', pattern: 'cross' };
			expect(fasteningSchema.safeParse(fastening).error?.issues, `${shape} ${count}`).toBeUndefined();
			for (const { xMm } of bolts) expect(Math.abs(xMm)).toBeLessThanOrEqual(40);
		}
	});
	it('in a circle begin at the top and go clockwise, seen from outside', () => {
		expect(arranged('circle', 4, 80)).toEqual([
			{ xMm: 0, yMm: 40 },
			{ xMm: 40, yMm: 0 },
			{ xMm: 0, yMm: -40 },
			{ xMm: -40, yMm: 0 }
		]);
	});
});
