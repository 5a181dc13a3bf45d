import { describe, expect, it } from 'vitest';
import { demoSheet, demoSheets } from '../decide/testing';
import { MOST_STATIONS, readSheet, type ModelSheet } from '../record';
import { faultsOf } from '.';

const marram = demoSheet('marram');
const changed = (change: (sheet: ModelSheet) => void): ModelSheet => {
	const sheet = structuredClone(marram);
	change(sheet);
	return sheet;
};
const at = (key: string) => marram.stations.findIndex((station) => station.key === key);

describe('a draft with what cannot be', () => {
	it.each<[string, (sheet: ModelSheet) => void, object, RegExp]>([
		[
			'a mate that was removed',
			(s) => void s.stations[at('plunger')].mates.push('gone'),
			{ kind: 'part', key: 'plunger' },
			/gone/
		],
		[
			'a step that waits for itself',
			(s) => void s.steps[4].after.push(s.steps[4].key),
			{ kind: 'step' },
			/not an earlier step/
		],
		[
			'two steps that wait for each other',
			(s) => {
				s.steps[4].after.push(s.steps[5].key);
				s.steps[5].after.push(s.steps[4].key);
			},
			{ kind: 'step' },
			/not an earlier step/
		]
	])('%s: it is named where it is', (_, change, subject, message) => {
		const faults = faultsOf(changed(change));
		expect(faults.length).toBeGreaterThan(0);
		expect(faults[0].subject).toMatchObject(subject);
		expect(faults.map((fault) => fault.message).join('; ')).toMatch(message);
	});
	it('a circle of sub-assemblies is named', () => {
		const sheet = structuredClone(demoSheets().find(({ subAssemblies }) => subAssemblies.length > 1)!) as ModelSheet;
		const [one, other] = sheet.subAssemblies as { key: string; parts: string[] }[];
		one.parts.push(other.key);
		other.parts.push(one.key);
		expect(faultsOf(sheet).length).toBeGreaterThan(0);
	});
});

describe('the text of a sheet with what cannot be', () => {
	const text = (change: (sheet: ModelSheet) => void) => JSON.stringify(changed(change), undefined, 1);
	const size = (sheet: ModelSheet) => sheet.stations[at('plunger')].characteristics[0];
	it.each<[string, (sheet: ModelSheet) => void, RegExp]>([
		['two parts at one subject', (s) => void s.stations.push(s.stations[at('plunger')]), /plunger/],
		['a limit on the wrong side of new', (s) => void Object.assign(size(s), { min: 18.2 }), /below nominal/],
		[
			'a grid of 1,000 places',
			(s) =>
				void Object.assign(size(s), {
					grid: { stations: Array.from({ length: 1000 }, (_, i) => `${i}`), anglesDeg: [0] }
				}),
			/12|Too big|at most/
		],
		['12 cylinders', (s) => void Object.assign(s, { cylinders: 12 }), /7|at most|Too big/],
		[
			'more parts than a sheet holds',
			(s) => {
				for (let i = 0; i <= MOST_STATIONS; i++) s.stations.push({ ...s.stations[0], key: `more${i}` });
			},
			/at most|Too big|150/
		],
		[
			'400 bolts',
			(s) => {
				const nuts = s.stations.find(({ fastening }) => fastening)!;
				const bolts = Array.from({ length: 400 }, (_, i) => ({ xMm: i, yMm: 0 }));
				Object.assign(nuts, { fastening: { ...nuts.fastening, bolts } });
			},
			/40|at most|Too big/
		]
	])('%s: a fault with its line', (_, change, message) => {
		const read = readSheet(text(change));
		expect(read.kind).toBe('faults');
		const { faults } = read as Extract<typeof read, { kind: 'faults' }>;
		expect(faults[0].line).toBeGreaterThan(1);
		expect(faults.map((fault) => fault.message).join('; ')).toMatch(message);
	});
});
