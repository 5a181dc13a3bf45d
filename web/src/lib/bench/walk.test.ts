import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, stationsInScope, untouched, type ModelSheet } from '@exetasis/core/record';
import type { BenchPart } from './bench.svelte';
import { firstUnmeasured, step, walkingOrder } from './walk';

const text = readFileSync(new URL('../../../../demo/sheets/korvan-kv18.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const stations = stationsInScope(sheet, 'full');

describe('walkingOrder', () => {
	const walk = walkingOrder(stations, 3);
	it('visits every place once', () => {
		expect(new Set(walk).size).toBe(walk.length);
		expect(walk).toHaveLength(3 + 23 * 3);
	});
	it('takes what the pump has one of first, then cylinder by cylinder', () => {
		expect(walk.slice(0, 4)).toEqual(['headNuts/0', 'manifold/0', 'oilPan/0', 'lowPressureSeal/1']);
		expect(walk.indexOf('dischargeSeat/1')).toBeLessThan(walk.indexOf('lowPressureSeal/2'));
	});
});

describe('step', () => {
	const go = (place: string, key: string, row: number) => step(place, key, stations, 3, row);
	it('follows the arrows and stays on the mat', () => {
		expect(go('plunger/1', 'ArrowDown', 1)).toEqual({ place: 'plunger/2', row: 2 });
		expect(go('plunger/3', 'ArrowDown', 3)).toEqual({ place: 'plunger/3', row: 3 });
		expect(go('headNuts/0', 'ArrowLeft', 2)).toEqual({ place: 'headNuts/0', row: 2 });
		expect(go('plunger/2', 'End', 2)).toEqual({ place: 'dischargeSeat/2', row: 2 });
	});
	it('keeps its row while it crosses a part that the pump has one of', () => {
		const onto = go('packingBore/3', 'ArrowRight', 3);
		expect(onto).toEqual({ place: 'oilPan/0', row: 3 });
		expect(go(onto.place, 'ArrowRight', onto.row)).toEqual({ place: 'sealRetainer/3', row: 3 });
	});
});

describe('firstUnmeasured', () => {
	const part = (key: string, record: object) =>
		({
			station: sheet.stations.find((one) => one.key === key)!,
			record: { ...untouched, ...record }
		}) as unknown as BenchPart;
	const reading = (characteristic: string, station: number, angle: number) => ({
		payload: { characteristic, station, angle }
	});
	it('walks the grid angle by angle, station by station', () => {
		expect(firstUnmeasured(part('plunger', {}))).toEqual({ characteristic: 'diameter', station: 0, angle: 0 });
		const readings = [reading('diameter', 0, 0), reading('diameter', 0, 1)];
		expect(firstUnmeasured(part('plunger', { readings }))).toEqual({
			characteristic: 'diameter',
			station: 1,
			angle: 0
		});
	});
	it('asks for sizes on suspicion only where there is one', () => {
		expect(firstUnmeasured(part('maleAdapter', {}))).toBeUndefined();
		expect(firstUnmeasured(part('maleAdapter', { findings: [{}] }))).toMatchObject({ characteristic: 'bore' });
	});
	it('has nothing to ask of a part that is not measured, or is', () => {
		expect(firstUnmeasured(part('wick', { findings: [{}] }))).toBeUndefined();
		expect(firstUnmeasured(part('packing', { readings: [reading('insideDiameter', 0, 0)] }))).toBeUndefined();
	});
});
