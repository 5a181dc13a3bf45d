import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { checkEntry, fold, readSheet, together, type Entry, type ModelSheet } from '@exetasis/core/record';
import { arrivals } from './arrivals';

const sheet = (
	readSheet(readFileSync(new URL('../sheets/marram.json', import.meta.url), 'utf8')) as { sheet: ModelSheet }
).sheet;
let count = 0;
const uuid = () => `0197f000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
const stamp = () => ({ id: uuid(), job: uuid(), by: 'ines', at: '2026-03-01T08:00:00Z' });
const cells = sheet.stations.flatMap(({ key: station, per }) =>
	(per === 'pump' ? [0] : [1, 2, 3]).map((cylinder) => ({ station, cylinder, part: uuid() }))
);
const cameFor = (stations: readonly string[], years: number) => {
	const decided = cells
		.filter(({ station }) => stations.includes(station))
		.map(({ part }) => ({
			...stamp(),
			kind: 'decision' as const,
			part,
			payload: { verdict: 'replace' as const, proposed: 'replace' as const }
		}));
	return arrivals(
		sheet,
		cells.filter(({ station }) => stations.includes(station)),
		fold(decided as Entry[]),
		years,
		stamp
	);
};
const payloads = (entries: readonly Entry[]) =>
	entries.map(({ payload }) => payload as { station: string; pieces: number; lot: string; kit?: string });

describe('what came in for a rebuild of the demo', () => {
	it('is as many pieces as were replaced, out of a kit where all that it holds was', () => {
		const kit = sheet.kits[0];
		const whole = payloads(
			cameFor(
				kit.holds.map(({ station }) => station),
				2
			)
		);
		expect(new Set(whole.map((bag) => bag.kit))).toEqual(new Set([kit.number]));
		expect(whole.find(({ station }) => station === 'packing')?.pieces).toBe(6);
		expect(payloads(cameFor(['packing'], 2))[0].kit).toBeUndefined();
		expect(cameFor([], 2)).toEqual([]);
	});
	it('is what the application takes', () => {
		for (const entry of cameFor(['packing', 'inletSpring', 'plunger'], 1))
			expect(
				checkEntry(entry, {
					sheet,
					scope: 'full',
					stationOfPart: new Map(),
					holdOrder: false,
					log: () => fold([]),
					together: () => together(sheet, { scope: 'full' }, [], fold([]))
				})
			).toBeUndefined();
	});
	it('is a lot of its own while the springs that set early were in the drawer', () => {
		const lots = (years: number) => payloads(cameFor(['inletSpring'], years))[0].lot;
		expect([lots(1.2), lots(1.4)]).toEqual(['SP-0713', 'SP-0713']);
		expect(lots(0.2)).not.toBe('SP-0713');
		expect(lots(2.2)).not.toBe(lots(3.2));
	});
});
