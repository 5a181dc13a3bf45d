import { describe, expect, it } from 'vitest';
import { gaugeColumns, readGauges } from './gaugeCsv';

const head = gaugeColumns.join(',');
const line = (name: string, change: Partial<Record<(typeof gaugeColumns)[number], string>> = {}) =>
	gaugeColumns
		.map(
			(column) =>
				({
					name,
					kind: 'micrometer',
					resolution: '0.001',
					repeatability: '0.001',
					repeatabilityDof: '9',
					reproducibility: '0',
					expansion: '11.5',
					calibratedOn: '2026-01-10',
					dueOn: '2027-01-10',
					expandedU: '0.002',
					k: '2',
					certificate: 'C-1',
					...change
				})[column]
		)
		.join(',');
const read = (...lines: string[]) => readGauges([head, ...lines].join('\n'));

describe('readGauges', () => {
	it('reads a list with its numbers', () => {
		const { gauges, faults } = read(line('M1'), line('M2', { resolution: '.01' }));
		expect(faults).toEqual([]);
		expect(gauges.map(({ facts }) => [facts.name, facts.resolution])).toEqual([
			['M1', 0.001],
			['M2', 0.01]
		]);
		expect(gauges[0].facts.expansionPerKelvin).toBeCloseTo(11.5e-6, 12);
	});
	it.each([
		['kind: Choose the kind', { kind: 'telescope' }],
		['“one” is not a number', { resolution: 'one' }],
		['must be after the calibration date', { dueOn: '2025-01-01' }],
		['Choose a day', { calibratedOn: '31.12.2025' }],
		['from 1 to 10', { k: '0' }],
		['expandedU', { expandedU: '9'.repeat(400) }]
	])('names the line and says: %s', (sentence, change) => {
		const { gauges, faults } = read(line('good'), line('bad', change));
		expect(gauges.map(({ facts }) => facts.name)).toEqual(['good']);
		expect(faults).toHaveLength(1);
		expect(faults[0].line).toBe(3);
		expect(faults[0].message).toContain(sentence);
	});
	it('takes a name once', () => expect(read(line('M'), line('M')).faults[0].message).toContain('twice'));
	it('says which columns are missing, also of what is no list at all', () => {
		expect(readGauges('name,kind\nM,micrometer').faults[0].message).toContain('resolution');
		expect(readGauges('\0\u{1F600}').faults[0].message).toContain('name');
		expect(readGauges('').faults[0].message).toContain('missing');
	});
	it('caps the faults of three megabytes of nonsense and counts the rest', () => {
		const { faults, more } = read(...Array.from({ length: 60_000 }, (_, i) => line(`M${i}`, { k: 'x' })));
		expect(faults).toHaveLength(100);
		expect(more).toBeGreaterThan(4000);
	});
	it('reads semicolons and decimal commas', () => {
		const text = `${head.replaceAll(',', ';')}\n${line('M', { resolution: '0p001' }).replaceAll(',', ';').replace('0p001', '0,01')}`;
		expect(readGauges(text).gauges[0].facts.resolution).toBe(0.01);
	});
});
