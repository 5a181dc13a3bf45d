import { describe, expect, it } from 'vitest';
import { newSheet, withLaidDown, type Customs } from '@exetasis/core/draft';
import { MOST_STATIONS, sheetSchema } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import { grownBench } from './grownBench';
import { laidKey, waitsBehind } from './laidKey';
import type { Batch, Laid } from './laidDown.svelte';

const plate = {
	model: 'Own',
	maker: 'not stated',
	cylinders: 3,
	strokeMm: 18,
	ratedPressureMPa: 12,
	ratedSpeedRpm: 900
};
const sheet = sheetSchema.parse(
	withLaidDown({ ...newSheet(plate), provisional: true }, [{ type: 'fastener' }], {}).draft
);
const bench = { sheet, cells: [], job: { pumpHours: 900 } } as unknown as Bench;
const laid = (type: Laid['type'], ids: Laid['ids']): Laid => ({
	type,
	pieces: 1,
	per: 'cylinder',
	face: { toward: 'notStated', reversible: false },
	seen: {},
	ids
});
const batch = (...parts: Laid[]): Batch => ({ parts, behind: '', request: 'a' });
const sizes = [{ key: 'diameter', unit: 'mm', allowance: { side: 'min', share: 0.003 } }];
const customs = { plunger: { names: [], sizes } } as unknown as Customs;
const plungers = { 1: 'p1', 2: 'p2', 3: 'p3' };

describe('a bench with parts that the server does not have yet', () => {
	it('lays them out with the ids of the tablet, behind what is there', () => {
		const grown = grownBench(bench, [batch(laid('plunger', plungers)), batch(laid('oRing', { 1: 'o1' }))], {});
		expect(grown.sheet.stations.map(({ type }) => type)).toEqual(['fastener', 'plunger', 'oRing']);
		const keys = grown.sheet.stations.map(({ key }) => key);
		expect(grown.cells.map(({ part, station, cylinder }) => [part, keys.indexOf(station), cylinder])).toEqual([
			['p1', 1, 1],
			['p2', 1, 2],
			['p3', 1, 3],
			['o1', 2, 1]
		]);
		expect(grown.cells[0].age).toEqual({ kind: 'unknown', seenFor: 0, atMost: 900 });
		expect(bench.cells).toEqual([]);
	});
	it('is left as it is by a batch that the server has already, its answer lost', () => {
		const known = { ...bench, cells: [{ part: 'p2' }] } as unknown as Bench;
		expect(grownBench(known, [batch(laid('plunger', plungers))], {})).toBe(known);
	});
	it('has the sizes that were added on the tablet, once', () => {
		const size = { part: 'p2', characteristic: 'diameter', nominal: 18, request: 'b' };
		const grown = grownBench(bench, [batch(laid('plunger', plungers)), size, size], customs);
		expect(grown.sheet.stations[1].characteristics).toMatchObject([
			{ key: 'diameter', nominal: 18, limitFrom: 'assumed' }
		]);
		expect(grown.cells).toHaveLength(3);
	});
	it('leaves out a size of a part that it does not have, or that such a part cannot have', () => {
		const size = { part: 'p2', characteristic: 'diameter', nominal: 18, request: 'b' };
		expect(grownBench(bench, [size], customs)).toBe(bench);
		const parts = grownBench(bench, [batch(laid('plunger', plungers))], customs);
		for (const wrong of [{ characteristic: 'freeLength' }, { characteristic: 'scoreDepth' }, { part: 'p9' }])
			expect(grownBench(parts, [{ ...size, ...wrong }], customs)).toBe(parts);
	});
	it('leaves out a batch that gives no sheet', () => {
		const many = Array.from({ length: MOST_STATIONS }, (_, i) => laid('oRing', { 1: `o${i}` }));
		expect(grownBench(bench, [batch(...many)], {})).toBe(bench);
	});
});

describe('what waits behind laid-down parts', () => {
	const kept = new Map<string, string>();
	const store = (value: string) => kept.set(laidKey('job'), value);
	globalThis.localStorage = { getItem: (key: string) => kept.get(key) ?? null } as Storage;
	it('is what came after the first batch, or after one that was refused', () => {
		expect(waitsBehind('job')).toBeUndefined();
		store(JSON.stringify({ parts: [], waiting: [{ request: 'b' }, { request: 'c' }] }));
		expect(waitsBehind('job')).toBe('b');
		store(JSON.stringify({ parts: [{}], waiting: [], refused: 'a' }));
		expect(waitsBehind('job')).toBe('a');
	});
	it('is nothing where the browser keeps something else', () => {
		for (const broken of ['', 'null', '7', '{"waiting":[]}']) {
			store(broken);
			expect(waitsBehind('job')).toBeUndefined();
		}
	});
});
