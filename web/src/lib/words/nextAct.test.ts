import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, type ModelSheet } from '@exetasis/core/record';
import type { BenchPart } from '$lib/log/bench.svelte';
import { nextAct, pointName } from './nextAct';

const text = readFileSync(new URL('../../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const station = (key: string) => sheet.stations.find((station) => station.key === key)!;
const part = (key: string, inspected: boolean, verdict = 'reuse') =>
	({ station: station(key), cell: { cylinder: 2 }, inspected, judgement: { verdict } }) as unknown as BenchPart;
const diameter = { characteristic: 'diameter', row: 1, column: 0 };
const says = (change: Partial<Parameters<typeof nextAct>[0]>) =>
	nextAct({
		part: part('plunger', true),
		locked: false,
		typed: '',
		unmeasured: undefined,
		then: part('collar', false),
		...change
	});

describe('nextAct', () => {
	it('before the look names space, letters and digits', () =>
		expect(says({ part: part('plunger', false) })).toBe('Space: no damage. Letter: damage pattern. Digit: reading.'));
	it('while something is to be measured names the place', () =>
		expect(says({ unmeasured: diameter })).toBe('Type diameter, middle of the seal track, 0°, then Enter.'));
	it('while something is typed says what Enter takes it for', () =>
		expect(says({ typed: ' 17.98 ', unmeasured: diameter })).toBe(
			'Enter: saves 17.98 as diameter, middle of the seal track, 0°.'
		));
	it('once judged says what Enter accepts and where it leads', () => {
		expect(says({})).toBe('Enter: Reuse, then go to brass collar, cylinder 2.');
		expect(says({ then: undefined })).toBe('Enter: Reuse, then this is the last part.');
	});
	it('does not accept what Recheck', () =>
		expect(says({ part: part('plunger', true, 'lookAgain') })).toContain('Recheck'));
	it('says so where nothing can be recorded', () => expect(says({ locked: true })).toContain('cannot record'));
});

describe('readingPlace', () => {
	it('names row and column only where there are several', () => {
		expect(pointName(station('plunger'), diameter)).toBe('Diameter, middle of the seal track, 0°');
		expect(pointName(station('inletSpring'), { characteristic: 'freeLength', row: 0, column: 0 })).toBe('Free length');
	});
});
