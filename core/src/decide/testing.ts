import { readdirSync, readFileSync } from 'node:fs';
import { fold, readSheet, untouched, type Entry, type ModelSheet, type PartRecord, type Station } from '../record';
import { unknownLife, defaultPolicy, type JudgeInput, type LifeFacts, type ShopGauge } from '.';

const sheetFolder = new URL('../../../demo/sheets/', import.meta.url);

/** Every model sheet of the demo, by name. For tests. */
export const demoNames: readonly string[] = readdirSync(sheetFolder)
	.filter((name) => name.endsWith('.json'))
	.map((name) => name.replace('.json', ''));

/** A model sheet of the demo. For tests. */
export function demoSheet(name: string): ModelSheet {
	const read = readSheet(readFileSync(new URL(`${name}.json`, sheetFolder), 'utf8'));
	if (read.kind === 'faults') throw new Error(`${name}: ${JSON.stringify(read.faults)}`);
	return read.sheet;
}

/** All model sheets of the demo. For tests. */
export const demoSheets = (): ModelSheet[] =>
	readdirSync(sheetFolder).map((file) => demoSheet(file.replace(/\.json$/, '')));

export const stationOn = (sheet: ModelSheet, key: string): Station =>
	sheet.stations.find((station) => station.key === key)!;

/** A part whose fitting is on record, so many hours ago, in a pump of which nothing else is. */
export const ran = (station: Station, hours: number): LifeFacts => ({
	...unknownLife(station),
	age: { kind: 'known', hours },
	dutyHours: hours
});

/** A gauge of 2 µm, which measures anything. */
export const fineGauge: ShopGauge = {
	id: 'fine',
	name: 'Fine gauge',
	kind: 'micrometer',
	facts: {
		resolution: 0.001,
		calibrationU: 0.002,
		calibrationK: 2,
		repeatability: 0.001,
		repeatabilityDof: 18,
		reproducibility: 0.0005,
		expansionPerKelvin: 11.5e-6,
		overdue: false
	}
};

let counter = 0;
function entry(kind: Entry['kind'], payload: object): Entry {
	const at = new Date(Date.UTC(2026, 0, 1) + ++counter * 1000).toISOString();
	return { id: `id-${counter}`, job: 'job', part: 'part', by: 'ines', at, kind, payload } as Entry;
}
export const recordOf = (...entries: Entry[]): PartRecord => fold(entries).parts.get('part') ?? untouched;
export const clean = (): Entry => entry('clean', {});
export const finding = (pattern: string, severity = 1, onset = 'service'): Entry =>
	entry('finding', { pattern, severity, onset });
export const decided = (verdict: string, proposed = verdict): Entry =>
	entry('decision', { verdict, proposed, ...(verdict === proposed ? {} : { why: 'so' }) });
export const read = (characteristic: string, value: number, row = 0, column = 0): Entry =>
	entry('reading', {
		characteristic,
		row,
		column,
		value,
		typed: { text: String(value), unit: 'mm' },
		gauge: 'fine'
	});

/** What a verdict on one station of a sheet rests on. */
export const inputFor = (
	sheet: ModelSheet,
	key: string,
	record: PartRecord,
	more: Partial<JudgeInput> = {}
): JudgeInput => ({
	station: stationOn(sheet, key),
	record,
	asFitted: {},
	gauges: [fineGauge],
	policy: defaultPolicy,
	stations: sheet.stations,
	ratedPressure: sheet.ratedPressureMPa,
	...more
});
