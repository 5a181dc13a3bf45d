import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, type ModelSheet } from '@exetasis/core/record';
import { layoutTable } from './layoutTable';

const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map((name): ModelSheet => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind !== 'sheet') throw new Error(`${name} is no sheet: ${JSON.stringify(read.faults.slice(0, 3))}`);
	return read.sheet;
});
const rowsOf = ({ stations }: ModelSheet) =>
	stations.map(({ key, per, face, renewal, pieces }) =>
		[key, per, face.toward, renewal, ...(pieces > 1 ? [`x${pieces}`] : [])].join(' ')
	);
const table = Object.entries(layoutTable).map(([layout, rows]) => [layout, rows.trim().split(/\n\s*/)] as const);

describe('the sheets of the layouts', () => {
	it.each(table)('%s has its stations in order, with their directions and renewal', (layout, rows) => {
		const own = sheets.filter((sheet) => sheet.layout === layout);
		expect(own.length).toBeGreaterThan(0);
		for (const sheet of own) expect(rowsOf(sheet)).toEqual(rows);
	});
	it('a change of any row is seen', () => {
		for (const [layout, rows] of table) {
			const sheet = sheets.find((candidate) => candidate.layout === layout)!;
			for (const [i, row] of rows.entries()) {
				const [key] = row.split(' ');
				const { face, renewal, per } = sheet.stations[i];
				const others = [
					{ key: `${key}Other` },
					{ face: { ...face, toward: face.toward === 'P' ? ('C' as const) : ('P' as const) } },
					{ renewal: renewal === 'kit' ? ('inspect' as const) : ('kit' as const) },
					{ per: per === 'pump' ? ('cylinder' as const) : ('pump' as const) }
				];
				for (const change of others) {
					const stations = sheet.stations.map((station, at) => (at === i ? { ...station, ...change } : station));
					expect(rowsOf({ ...sheet, stations })).not.toEqual(rows);
				}
			}
		}
	});
	it('begin with what makes the pump safe, and have a step for every part that a scope opens', () => {
		for (const { layout, stations, tools, steps, scopes } of sheets.filter((sheet) => sheet.layout in layoutTable)) {
			expect(steps.filter(({ blocking }) => blocking).length, layout).toBeGreaterThanOrEqual(2);
			for (const { key } of scopes) {
				const handled = new Set(steps.flatMap((step) => (step.scopes.includes(key) ? step.stations : [])));
				const opened = stations.filter((station) => station.scopes.includes(key));
				expect(
					opened.filter((station) => !handled.has(station.key)).map((station) => station.key),
					layout
				).toEqual([]);
			}
			expect(tools.length, layout).toBeGreaterThan(2);
		}
	});
});
