import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { defaultPolicy } from '../decide';
import { readSheet, stationsInScope, untouched, type ModelSheet } from '../record';
import type { LaidPart } from './judgeMat';
import { firstUnmeasured, step, walkingOrder } from './walk';

const text = readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const stations = stationsInScope(sheet, { scope: 'full' });

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
	const go = (place: string, key: string, row: number) => step(place, key, { stations, cylinders: 3 }, row);
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

describe('step on a mat with empty places', () => {
	const empty = new Set(['packing/2', 'packing/3', 'maleAdapter/2']);
	const go = (place: string, key: string, row: number) =>
		step(place, key, { stations, cylinders: 3 }, row, (text) => !empty.has(text));
	it('passes them over, and stays where nothing lies that way', () => {
		expect(go('femaleAdapter/2', 'ArrowRight', 2).place).toBe('packingBore/2');
		expect(go('packingBore/2', 'ArrowLeft', 2).place).toBe('femaleAdapter/2');
		expect(go('packing/1', 'ArrowDown', 1)).toEqual({ place: 'packing/1', row: 1 });
		const first = new Set(['headNuts/0', 'manifold/0']);
		const from = (key: string) =>
			step('plunger/1', key, { stations, cylinders: 3 }, 1, (text) => !first.has(text)).place;
		expect(from('Home')).toBe('lowPressureSeal/1');
	});
	it('never leads to one', () => {
		for (const { key: station, per } of stations)
			for (const key of ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'Home', 'End'])
				for (const row of [1, 2, 3]) {
					const to = go(`${station}/${per === 'pump' ? 0 : row}`, key, row);
					if (to.place !== `${station}/${row}`) expect(empty.has(to.place)).toBe(false);
				}
	});
});

describe('firstUnmeasured', () => {
	const next = (key: string, record: object) =>
		firstUnmeasured(
			{
				station: sheet.stations.find((station) => station.key === key)!,
				record: { ...untouched, ...record }
			} as unknown as LaidPart,
			defaultPolicy
		);
	const reading = (characteristic: string, row: number, column: number) => ({
		payload: { characteristic, row, column }
	});
	const findings = (pattern: string) => [{ payload: { pattern } }];
	it('walks the grid angle by angle, station by station', () => {
		expect(next('plunger', {})).toEqual({ characteristic: 'diameter', row: 0, column: 0 });
		const readings = [reading('diameter', 0, 0), reading('diameter', 0, 1)];
		expect(next('plunger', { readings })).toEqual({ characteristic: 'diameter', row: 1, column: 0 });
	});
	it('asks for sizes on suspicion only where there is one', () => {
		expect(next('maleAdapter', {})).toBeUndefined();
		expect(next('maleAdapter', { findings: findings('nick') })).toMatchObject({ characteristic: 'bore' });
	});
	it('leads through a face that someone has begun', () =>
		expect(
			next('manifold', {
				readings: [...[0, 1, 2, 3, 4, 5].map((line) => reading('flatness', line, 0)), reading('faceHeights', 0, 0)]
			})
		).toEqual({ characteristic: 'faceHeights', row: 0, column: 1 }));
	it('has nothing to ask of a part that is not measured, or is', () => {
		expect(next('wick', { findings: findings('soiled') })).toBeUndefined();
		expect(next('packing', { readings: [reading('insideDiameter', 0, 0)] })).toBeUndefined();
	});
});
