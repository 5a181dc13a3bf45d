// The cheapest cover by the solver against every cover tried one by one.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coverWith, uncovered, type CoverProblem, type Offer } from '@exetasis/core/order';
import { cheapestCover } from './solver';

const single = (station: string, price: number, most?: number): Offer => ({
	number: `single ${station}`,
	price,
	holds: [{ station, pieces: 1 }],
	...(most === undefined ? {} : { most })
});
const kit = (number: string, price: number, holds: Record<string, number>, more: Partial<Offer> = {}): Offer => ({
	number,
	price,
	holds: Object.entries(holds).map(([station, pieces]) => ({ station, pieces })),
	...more
});
const cost = async (problem: CoverProblem) => coverWith(problem, (await cheapestCover(problem))!.bought);

describe('the cheapest cover', () => {
	const needs = [
		{ station: 'seal', pieces: 3 },
		{ station: 'ring', pieces: 3 }
	];
	it('takes the kit where it is cheaper, and says what stays over', async () => {
		const offers = [kit('K', 20, { seal: 3, ring: 3, gasket: 2 }), single('seal', 9), single('ring', 2)];
		expect(await cost({ needs, offers, stock: [] })).toEqual({
			buy: [{ number: 'K', count: 1 }],
			fromStock: [],
			over: [{ station: 'gasket', pieces: 2 }],
			missing: [],
			price: 20,
			days: 0
		});
	});
	it('takes from the drawer first', async () => {
		const offers = [kit('K', 20, { seal: 3, ring: 3 }), single('seal', 9), single('ring', 2)];
		const covered = await cost({ needs, offers, stock: [{ station: 'seal', pieces: 2 }] });
		expect(covered).toMatchObject({ price: 15, fromStock: [{ station: 'seal', pieces: 2 }] });
	});
	it('of two that cost the same takes the one that leaves less over', async () => {
		const offers = [kit('big', 20, { seal: 6, ring: 6 }), kit('small', 20, { seal: 3, ring: 3 })];
		expect((await cost({ needs, offers, stock: [] })).buy).toEqual([{ number: 'small', count: 1 }]);
	});
	it('asks nothing that comes too late or is sold out, and says which part no one offers', async () => {
		const offers = [kit('late', 1, { seal: 3, ring: 3 }, { days: 9 }), single('seal', 9, 2), single('ring', 2)];
		const problem = { needs, offers, stock: [], withinDays: 3 };
		expect(await cheapestCover(problem)).toBeUndefined();
		expect(uncovered(problem)).toEqual([{ station: 'seal', needed: 3, available: 2 }]);
	});
	it('is answered as it stands, and says so, where the search is broken off', async () => {
		const draw = (i: number) => (Math.sin(i * 12.9898) * 43758.5453) % 1;
		const many = 300; // wants some ten seconds
		const stations = Array.from({ length: many }, (_, i) => `s${i}`);
		const kits = Array.from({ length: many }, (_, k) =>
			kit(
				`K${k}`,
				30 + Math.abs(draw(k)),
				Object.fromEntries(Array.from({ length: 10 }, (__, i) => [stations[(k * 7 + i * 3) % many], 1 + (i % 3)]))
			)
		);
		const hard: CoverProblem = {
			needs: stations.map((station, i) => ({ station, pieces: 2 + (i % 5) })),
			offers: [...kits, ...stations.map((station) => single(station, 4))],
			stock: []
		};
		const found = await cheapestCover(hard, 0.3);
		if (!found) return expect(uncovered(hard)).toEqual([]); // nothing in so short a time
		expect(coverWith(hard, found.bought).missing).toEqual([]);
		expect(found.proved).toBe(false);
	});
	it('buys nothing where nothing is needed', async () =>
		expect(await cheapestCover({ needs: [], offers: [single('a', 1)], stock: [] })).toEqual({
			bought: {},
			proved: true
		}));
	it('is as cheap as the cheapest of all covers', async () => {
		const stations = ['a', 'b', 'c'];
		const piece = fc.integer({ min: 0, max: 3 });
		await fc.assert(
			fc.asyncProperty(
				fc.tuple(piece, piece, piece),
				fc.array(fc.tuple(fc.integer({ min: 1, max: 3000 }), piece, piece, piece), { minLength: 1, maxLength: 3 }),
				fc.tuple(piece, piece, piece),
				async (wanted, kits, drawer) => {
					const problem: CoverProblem = {
						needs: stations.map((station, i) => ({ station, pieces: wanted[i] })),
						offers: [
							...kits.map(([cents, ...held], k) => ({
								...kit(`K${k}`, cents / 100, {}),
								holds: stations.flatMap((station, i) => (held[i] > 0 ? [{ station, pieces: held[i] }] : []))
							})),
							...stations.map((station, i) => single(station, 7 + i))
						],
						stock: stations.map((station, i) => ({ station, pieces: drawer[i] }))
					};
					expect((await cost(problem)).price).toBeCloseTo(cheapestByTrying(problem), 6);
				}
			),
			{ seed: 11, numRuns: 40 }
		);
	});
});

/** Every count of every offer from none to three, one by one. */
function cheapestByTrying(problem: CoverProblem): number {
	let best = Infinity;
	const numbers = problem.offers.map(({ number }) => number);
	for (let code = 0; code < 4 ** numbers.length; code++) {
		const bought = Object.fromEntries(numbers.map((number, i) => [number, Math.floor(code / 4 ** i) % 4]));
		const { price, missing } = coverWith(problem, bought);
		if (missing.length === 0) best = Math.min(best, price);
	}
	return best;
}
