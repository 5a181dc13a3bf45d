import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { arithmeticOf, defaultPolicy, judge } from '@exetasis/core/decide';
import { partTypeKeys } from '@exetasis/core/part';
import { readSheet, untouched, type ModelSheet, type Station } from '@exetasis/core/record';
import { inputName, stepMethod, stepName } from './arithmetic';

const names = ['marram', 'thrift', 'comfrey', 'bracken', 'sedge'];
const sheets = names.map((name) => {
	const text = readFileSync(new URL(`../../../../demo/sheets/${name}.json`, import.meta.url), 'utf8');
	return (readSheet(text) as { sheet: ModelSheet }).sheet;
});

/** A part on which every size of the sheet was read once, at its nominal. */
function measured(station: Station) {
	const readings = station.characteristics.map((characteristic, index) => ({
		id: `r${index}`,
		kind: 'reading',
		payload: {
			characteristic: characteristic.key,
			row: 0,
			column: 0,
			value: characteristic.nominal,
			typed: { text: String(characteristic.nominal), unit: characteristic.unit }
		}
	}));
	return { ...untouched, readings } as unknown as typeof untouched;
}

describe('the words of the arithmetic', () => {
	const seen = new Set<string>();
	for (const sheet of sheets)
		it(`name every step and every number of all parts of ${sheet.model}`, () => {
			for (const station of sheet.stations) {
				const mates = sheet.stations
					.filter(({ key, mates }) => station.mates.includes(key) || mates.includes(station.key))
					.map((mate) => ({ station: mate, record: measured(mate) }));
				const input = {
					station,
					record: measured(station),
					mates,
					gauges: [],
					policy: defaultPolicy,
					asFitted: {},
					ratedPressure: sheet.ratedPressureMPa
				} as unknown as Parameters<typeof judge>[0];
				for (const step of arithmeticOf(input, judge(input))) {
					seen.add(step.key);
					const place = `${station.key}, ${step.key}`;
					expect(stepName(step, station.type), place).toMatch(/^[A-Z]/);
					expect(stepMethod(step), place).not.toBe('');
					step.inputs.forEach((other, index) => {
						expect(inputName(other, index), place).toMatch(/\w/);
						expect(inputName(other, index), place).not.toContain('undefined');
					});
				}
			}
		});
	it('came across figures of more than one kind of part', () => {
		expect(partTypeKeys.length).toBeGreaterThan(30);
		for (const key of ['meanOfWorstPoint', 'howSure', 'beyondNow', 'competingFailure', 'squeeze'])
			expect(seen).toContain(key);
	});
});
