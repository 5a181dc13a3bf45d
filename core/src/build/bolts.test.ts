import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import type { Fastening } from '../record';
import { tighteningOrder, tighteningPasses } from '.';

const at = (xMm: number, yMm: number, mark?: 'pin' | 'doNotTouch' | 'last') => ({
	xMm,
	yMm,
	...(mark ? { mark } : {})
});
const rectangle = [at(-70, 45), at(70, 45), at(-70, -45), at(70, -45)];
const twoRows = [...[-90, -30, 30, 90].map((x) => at(x, 50)), ...[-90, -30, 30, 90].map((x) => at(x, -50))];
const circle = (n: number, r = 60) =>
	Array.from({ length: n }, (_, i) => at(r * Math.sin((2 * Math.PI * i) / n), r * Math.cos((2 * Math.PI * i) / n)));
const order = (pattern: Fastening['pattern'], bolts: Fastening['bolts']) => tighteningOrder({ pattern, bolts });
const patterns = ['cross', 'alternating', 'middleOutward', 'circular', 'innerThenOuter', 'asListed'] as const;

// Worked out by hand on paper from the words of each pattern.
describe('tighteningOrder', () => {
	it.each<[string, Fastening['pattern'], Fastening['bolts'], number[]]>([
		['four crosswise', 'cross', rectangle, [0, 3, 1, 2]],
		['six of a circle crosswise', 'cross', circle(6), [0, 3, 1, 4, 2, 5]],
		['eight of two rows crosswise', 'cross', twoRows, [0, 7, 2, 5, 1, 6, 3, 4]],
		['eight of two rows from the middle outward', 'middleOutward', twoRows, [1, 6, 2, 5, 0, 7, 3, 4]],
		['eight of two rows from the middle in circles', 'circular', twoRows, [2, 6, 5, 1, 3, 7, 4, 0]],
		['every second of six', 'alternating', circle(6), [0, 2, 4, 1, 3, 5]],
		['every second of three', 'alternating', circle(3), [0, 2, 1]],
		['inner four before outer four', 'innerThenOuter', [...circle(4, 100), ...circle(4, 40)], [4, 6, 5, 7, 0, 2, 1, 3]],
		['as listed', 'asListed', rectangle, [0, 1, 2, 3]]
	])('%s', (_, pattern, bolts, expected) => expect(order(pattern, bolts)).toEqual(expected));
	it('leaves what is not to be touched, and keeps pins and the last one for the end', () => {
		const marked = [at(-70, 45, 'pin'), at(70, 45, 'last'), at(-70, -45), at(70, -45), at(0, 80, 'doNotTouch')];
		expect(order('cross', marked)).toEqual([2, 3, 0, 1]);
	});
	it('counts pins into the middle of the group: a circle with one of them is still gone round', () => {
		const withPin = circle(8).map((bolt, i) => (i === 3 ? { ...bolt, mark: 'pin' as const } : bolt));
		const round = order('circular', withPin);
		const all = order('circular', circle(8));
		expect(round).toEqual([...all.filter((i) => i !== 3), 3]);
		const crossed = order('cross', withPin).slice(0, 6);
		for (const pair of [0, 2, 4]) expect(Math.abs(crossed[pair] - crossed[pair + 1])).toBe(4);
	});
	it('takes every bolt once, whatever the pattern and the places', () =>
		fc.assert(
			fc.property(
				fc.constantFrom(...patterns),
				fc.array(fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 })), {
					minLength: 1,
					maxLength: 24
				}),
				(pattern, places) => {
					const taken = order(
						pattern,
						places.map(([x, y]) => at(x, y))
					);
					expect([...taken].sort((a, b) => a - b)).toEqual(places.map((_, i) => i));
				}
			),
			{ seed: 3 }
		));
	it('crosswise: of an even circle each second one lies opposite', () => {
		for (const n of [4, 6, 8, 10, 12]) {
			const bolts = circle(n);
			const taken = order('cross', bolts);
			for (let i = 0; i < n; i += 2) expect(Math.abs(taken[i] - taken[i + 1])).toBe(n / 2);
		}
	});
	it('refuses places that are no numbers', () =>
		expect(() => order('cross', [at(NaN, 0)])).toThrow(expect.objectContaining({ argument: 'bolts' })));
});

describe('tighteningPasses', () => {
	it('go up to the whole torque, and once more where the sheet says so', () => {
		const { fastening } = demoSheet('marram').stations.find(({ key }) => key === 'headNuts')!;
		expect(tighteningPasses(fastening!).map(({ share, torqueNm }) => [share, torqueNm])).toEqual([
			[0.5, 24],
			[1, 48],
			[1, 48]
		]);
	});
	it('are by feel where no one has stated a torque', () => {
		const { fastening } = demoSheet('thrift').stations.find(({ key }) => key === 'cylinderBolts')!;
		expect(tighteningPasses(fastening!)).toEqual([{ share: 1, order: [0, 3, 1, 2] }]);
	});
});
