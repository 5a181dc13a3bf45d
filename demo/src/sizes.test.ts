// Sizes that belong together: as new, every part fits the part that it runs with, and a kit is a real choice.
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { partType, type Sizes } from '@exetasis/core/part';
import { readSheet, type ModelSheet, type Station } from '@exetasis/core/record';

const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map((name): [string, ModelSheet] => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind !== 'sheet') throw new Error(`${name} is no sheet`);
	return [read.sheet.model, read.sheet];
});

/** A new part, as closely measured as a good shop can. */
const asNew = ({ characteristics }: Station): Sizes =>
	Object.fromEntries(characteristics.map(({ key, nominal }) => [key, { value: nominal, u: 0.001, dof: 10 }]));

function figuresOfPair(sheet: ModelSheet, station: Station, mate: Station) {
	return (
		partType(station.type).figures?.({
			sizes: asNew(station),
			asNew: Object.fromEntries(station.characteristics.map(({ key, nominal }) => [key, nominal])),
			design: station.design,
			mates: [{ type: mate.type, name: mate.name, sizes: asNew(mate) }],
			ratedPressure: sheet.ratedPressureMPa
		}) ?? []
	);
}

describe.each(sheets)('%s', (_, sheet) => {
	it('has sizes that fit each other while they are new', () => {
		for (const station of sheet.stations)
			for (const key of station.mates) {
				const mate = sheet.stations.find((candidate) => candidate.key === key)!;
				for (const { key: figure, value, limit } of figuresOfPair(sheet, station, mate)) {
					const where = `${sheet.model}: ${figure} of ${station.key} with ${mate.key} is ${value}`;
					expect(value, where).toBeGreaterThanOrEqual(limit?.min ?? -Infinity);
					expect(value, where).toBeLessThanOrEqual(limit?.max ?? Infinity);
					// A guide slides on its plunger, and does not swallow it.
					if (figure === 'clearance') expect(value, where).toBeGreaterThan(0);
					if (figure === 'clearance') expect(value, where).toBeLessThan(0.5);
				}
			}
	});
	it('sells kits for less than their parts, and for more than half of them, so that a cover is a choice', () => {
		for (const { number, price, holds } of sheet.kits) {
			const parts = holds.reduce(
				(sum, { station, pieces }) => sum + pieces * sheet.stations.find(({ key }) => key === station)!.price,
				0
			);
			expect(price, number).toBeLessThan(parts);
			expect(price, number).toBeGreaterThan(parts / 2);
		}
	});
	it('has in its kits what it renews from a kit', () => {
		const held = new Set(sheet.kits.flatMap(({ holds }) => holds.map(({ station }) => station)));
		const without = sheet.stations.filter(({ key, renewal }) => renewal === 'kit' && !held.has(key));
		expect(without.map(({ key }) => key)).toEqual([]);
	});
});
