// What has to be had, the programme that covers it, and what so much bought covers: worked out by hand.
import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import { entrySchema, fold, stationsInScope, together } from '../record';
import {
	around,
	consumables,
	coverProgramme,
	coverWith,
	neededParts,
	readCover,
	uncovered,
	type CoverProblem
} from '.';

const kit = {
	number: 'K',
	price: 20.5,
	days: 3,
	most: 2,
	holds: [
		{ station: 'seal', pieces: 3 },
		{ station: 'gasket', pieces: 1 }
	]
};
const single = { number: 'S', price: 9, holds: [{ station: 'seal', pieces: 1 }] };
const problem: CoverProblem = {
	needs: [{ station: 'seal', pieces: 4 }],
	offers: [kit, single],
	stock: [{ station: 'seal', pieces: 2 }]
};

describe('neededParts', () => {
	const marram = demoSheet('marram');
	const uuid = (n: number) => `0197f000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
	it('is every place whose part goes, by the pieces that its station holds', () => {
		const cells = stationsInScope(marram, { scope: 'packing' }).flatMap(({ key: station, per }, i) =>
			(per === 'pump' ? [0] : [1, 2, 3]).map((cylinder) => ({ station, cylinder, part: uuid(10 * i + cylinder) }))
		);
		let count = 9000;
		const decide = (station: string, verdict: string, cylinder: number) =>
			entrySchema.parse({
				id: uuid(++count),
				job: uuid(1),
				by: 'ines',
				at: '2026-03-01T08:00:00Z',
				kind: 'decision',
				part: cells.find((cell) => cell.station === station && cell.cylinder === cylinder)!.part,
				payload: { verdict, proposed: verdict }
			});
		const log = [
			decide('packing', 'replace', 1),
			decide('packing', 'replace', 3),
			decide('packing', 'reuse', 2),
			decide('plunger', 'lookAgain', 1),
			decide('packingBore', 'replace', 1) // a surface of the pump itself: no one sells it
		];
		const { places } = together(marram, { scope: 'packing' }, cells, fold(log));
		expect(neededParts(places.values())).toEqual([{ station: 'packing', pieces: 4, places: 2 }]);
	});
	it('names what a job is greased and sealed with', () => {
		expect(consumables(marram, { scope: 'valves' })).toEqual([]);
		expect(consumables(marram, { scope: 'packing' }).sort()).toEqual(['seal', 'silicone']);
	});
});

describe('the programme', () => {
	it('counts each offer, takes from stock for nothing, and holds to what can be had', () => {
		const text = coverProgramme(problem);
		expect(text).toMatch(/ n0: 3 x0 \+ 1 x1 \+ s0 >= 4/);
		expect(text).toMatch(/ 0 <= x0 <= 2/);
		expect(text).toMatch(/ 0 <= s0 <= 2/);
		expect(text).toMatch(/General\n x0\nEnd$/);
	});
	it('lets what may be left over decide between prices that are alike, and nothing else', () => {
		const [, first, second] = /obj: ([\d.]+) x0 \+ ([\d.]+) x1/.exec(coverProgramme(problem))!.map(Number);
		expect(first - 20.5).toBeLessThan(0.005);
		expect(first - 20.5).toBeGreaterThan(second - 9);
	});
	it('leaves out what comes too late', () => expect(coverProgramme({ ...problem, withinDays: 1 })).not.toContain('x1'));
	it('is read back as what is bought', () => {
		expect(readCover(problem, { x0: 1.0000001, x1: 0, s0: 1 })).toEqual({ K: 1 });
		expect(readCover({ ...problem, withinDays: 1 }, { x0: 2 })).toEqual({ S: 2 });
	});
	it.each([
		['needs', { needs: [{ station: 'a', pieces: 1.5 }] }],
		['price', { offers: [{ ...single, price: -1 }] }],
		['days', { offers: [{ ...single, days: NaN }] }],
		['holds', { offers: [{ ...single, holds: [{ station: 'a', pieces: 0 }] }] }]
	])('refuses %s that cannot be', (argument, wrong) =>
		expect(() => coverProgramme({ ...problem, ...wrong })).toThrow(expect.objectContaining({ argument }))
	);
});

describe('coverWith', () => {
	it('says what it costs, what stays over, what the drawer gives and what is missing', () => {
		expect(coverWith(problem, { K: 1 })).toEqual({
			buy: [{ number: 'K', count: 1 }],
			fromStock: [{ station: 'seal', pieces: 1 }],
			over: [{ station: 'gasket', pieces: 1 }],
			missing: [],
			price: 20.5,
			days: 3
		});
		expect(coverWith(problem, {})).toMatchObject({ price: 0, days: 0, missing: [{ station: 'seal', pieces: 2 }] });
		expect(coverWith(problem, { S: 6 }).over).toEqual([{ station: 'seal', pieces: 2 }]);
	});
	it('refuses half a kit', () =>
		expect(() => coverWith(problem, { K: 0.5 })).toThrow(expect.objectContaining({ argument: 'bought' })));
});

describe('around what someone wants', () => {
	it('the rest of the need is left, for the other offers', () => {
		const left = around(problem, { K: 1 });
		const held = kit.holds.find(({ station }) => station === 'seal')!.pieces;
		const wanted = problem.needs.find(({ station }) => station === 'seal')!.pieces;
		expect(left.needs.find(({ station }) => station === 'seal')?.pieces ?? 0).toBe(Math.max(0, wanted - held));
		expect(left.offers.map(({ number }) => number)).not.toContain('K');
	});
	it('none of an offer leaves all of it to the others', () => {
		const left = around(problem, { K: 0 });
		expect(left.needs).toEqual(problem.needs);
		expect(left.offers).toHaveLength(problem.offers.length - 1);
	});
});

describe('uncovered', () => {
	it('names the station of which too little can be had', () => {
		const many = {
			...problem,
			needs: [
				{ station: 'seal', pieces: 40 },
				{ station: 'wick', pieces: 1 }
			],
			offers: [kit]
		};
		expect(uncovered(many)).toEqual([
			{ station: 'seal', needed: 40, available: 8 },
			{ station: 'wick', needed: 1, available: 0 }
		]);
		expect(uncovered(problem)).toEqual([]);
	});
});
