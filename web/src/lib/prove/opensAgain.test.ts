import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, type ModelSheet } from '@exetasis/core/record';
import { opensAgain } from './opensAgain';

const folder = new URL('../../../../demo/sheets/', import.meta.url);
const sheets = readdirSync(folder).map((name): ModelSheet => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind === 'faults') throw new Error(name);
	return read.sheet;
});

describe('what a trace asks to be opened again', () => {
	it.each(sheets.map((sheet) => [sheet.model, sheet] as const))(
		'%s: valves of either side, never the same ones',
		(_, sheet) => {
			const keys = (what: 'inlet' | 'discharge') =>
				opensAgain(sheet, { what, cylinder: 2, probability: 0.9 }).map(({ station }) => station.key);
			const isValve = (key: string) => sheet.stations.find((station) => station.key === key)!.type.startsWith('valve');
			const [inlet, discharge] = [keys('inlet').filter(isValve), keys('discharge').filter(isValve)];
			const has = sheet.stations.some(({ type }) => type === 'valve' || type === 'valveCartridge');
			if (has) expect(inlet.length + discharge.length).toBeGreaterThan(0);
			expect(inlet.filter((key) => discharge.includes(key))).toEqual([]);
		}
	);
	it('is the cylinder that was named, and nothing for a healthy pump or air', () => {
		const marram = sheets.find(({ model }) => model === 'Marram')!;
		const places = opensAgain(marram, { what: 'inlet', cylinder: 2, probability: 0.9 });
		expect(places.filter(({ station }) => station.per === 'cylinder').every(({ cylinder }) => cylinder === 2)).toBe(
			true
		);
		expect(places.map(({ station }) => station.key)).toContain('inletValve');
		expect(opensAgain(marram, { what: 'healthy', probability: 0.9 })).toEqual([]);
		expect(opensAgain(marram, { what: 'air', probability: 0.9 })).toEqual([]);
	});
});
