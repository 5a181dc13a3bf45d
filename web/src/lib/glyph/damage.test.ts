import { describe, expect, it } from 'vitest';
import { partType, partTypeKeys } from '@exetasis/core/part';
import { DAMAGE_BOX, damagePictures } from './damage';

const inBox = (d: string) =>
	[...d.matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)].every(
		([, x, y]) => Number(x) >= 0 && Number(x) <= DAMAGE_BOX.width && Number(y) >= 0 && Number(y) <= DAMAGE_BOX.height
	);
// What is there or is not: no picture would tell one grade from the next.
const ungraded = new Set([
	...['broken', 'missing', 'reversed', 'wrongPart', 'springOut', 'loose', 'stuck', 'weak', 'weeping', 'blocked'],
	...['milkyOil', 'metalInOil', 'tabBroken', 'jointsAligned', 'guideWorn', 'touchingCylinder', 'sideWornCoils']
]);
const shown = partTypeKeys.flatMap((type) =>
	partType(type).patterns.map(({ pattern }) => ({ type, pattern, pictures: damagePictures(type, pattern) }))
);

describe('pictures of damage', () => {
	it('are there for every pattern that goes by degrees, and for no other', () => {
		for (const { type, pattern, pictures } of shown)
			expect(pictures === undefined, `${type} ${pattern}`).toBe(ungraded.has(pattern));
	});
	it('tell three grades apart, and stay in their box', () => {
		for (const { type, pattern, pictures = [] } of shown) {
			const drawn = pictures.map((shapes) => shapes.map(({ d, width }) => `${d} ${width ?? ''}`).join());
			expect(new Set(drawn).size, `${type} ${pattern}`).toBe(drawn.length);
			for (const shapes of pictures)
				for (const { d } of shapes) {
					expect(d, `${type} ${pattern}`).not.toMatch(/NaN|undefined|Infinity/);
					expect(inBox(d), `${type} ${pattern}: ${d}`).toBe(true);
				}
		}
	});
});
