import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { defaultPolicy, type ShopGauge } from '@exetasis/core/decide';
import { gaugeKinds, gaugeUnit, partTypeKeys } from '@exetasis/core/part';
import {
	askedAt,
	askKey,
	checkEntry,
	entrySchema,
	fold,
	readSheet,
	together,
	type Entry,
	type ModelSheet
} from '@exetasis/core/record';
import {
	drawPopulation,
	gauges,
	wrenches,
	inspect,
	layoutPumps,
	newPart,
	pumps,
	Random,
	run,
	type DemoPump,
	type Rebuild
} from '.';
import { stateOf } from '../../core/src/record/testing';

const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map(
	(name) => (readSheet(readFileSync(new URL(name, folder), 'utf8')) as { sheet: ModelSheet }).sheet
);
const uuid = (n: number) => `0197f000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const shopGauges: ShopGauge[] = gauges.map((gauge, i) => ({
	id: uuid(500 + i),
	name: gauge.name,
	kind: gauge.kind,
	facts: {
		resolution: gauge.resolution,
		calibrationU: gauge.expandedU,
		calibrationK: 2,
		repeatability: gauge.repeatability,
		repeatabilityDof: 18,
		reproducibility: gauge.reproducibility,
		expansionPerKelvin: 11.5e-6,
		overdue: false
	}
}));

function rebuildOf(
	sheet: ModelSheet,
	pump: DemoPump,
	hours: number,
	progress: Rebuild['progress'],
	random: Random
): Rebuild {
	let count = 1000;
	const population = drawPopulation(sheet, random);
	const cells = sheet.stations.flatMap((station) =>
		(station.per === 'pump' ? [0] : Array.from({ length: sheet.cylinders }, (_, i) => i + 1)).map((cylinder) => {
			const truth = newPart(station, population, random);
			run(truth, station, population, hours, pump.harshness, random);
			return { part: uuid(++count), station: station.key, cylinder, asFitted: {}, truth };
		})
	);
	cells.sort((a, b) => a.cylinder - b.cylinder); // as the technician goes
	let entries = 100_000;
	return {
		job: uuid(1),
		by: 'ines',
		at: new Date('2026-05-01T08:00:00Z'),
		pump,
		sheet,
		scope: pump.scope ?? 'full',
		cells,
		gauges: shopGauges,
		population,
		policy: defaultPolicy,
		interval: hours,
		years: 4,
		progress,
		makeId: () => uuid(++entries)
	};
}
const logOf = (model: string, hours: number, progress: Rebuild['progress'] = 'whole', seed = 5) => {
	const random = new Random(seed);
	const pump = [...pumps, ...layoutPumps].find((demoPump) => demoPump.model === model)!;
	const rebuild = rebuildOf(
		sheets.find((sheet) => sheet.model === model)!,
		pump,
		hours,
		progress,
		random
	);
	return { rebuild, log: inspect(rebuild, random) };
};

describe('an inspection of every demo model', () => {
	it.each(sheets.map(({ model }) => model))('%s: every entry is one that the application takes', (model) => {
		for (const hours of [300, 1500, 2500]) {
			const { rebuild, log } = logOf(model, hours);
			const stationOfPart = new Map(rebuild.cells.map(({ part, station }) => [part, station]));
			const state = stateOf({
				steps: rebuild.sheet.steps.map(({ key }) => key),
				answers: rebuild.sheet.steps.flatMap(({ key, asks }) =>
					asks.flatMap((ask, i) => askedAt(ask, [1, 2, 3, 4]).map((at) => askKey(key, i, at)))
				)
			});
			for (const entry of log) {
				expect(entrySchema.safeParse(entry).error?.message).toBeUndefined();
				expect(
					checkEntry(entry, {
						sheet: rebuild.sheet,
						scope: rebuild.scope,
						stationOfPart,
						log: () => state,
						holdOrder: true,
						together: () => together(rebuild.sheet, rebuild, rebuild.cells, fold([]))
					}),
					JSON.stringify(entry)
				).toBeUndefined();
			}
			expect(new Set(log.map(({ id }) => id)).size).toBe(log.length);
		}
	});
	it.each(sheets.map(({ model }) => model))('%s: every part is looked at and decided', (model) => {
		const { rebuild, log } = logOf(model, 2500);
		const { parts } = fold(log);
		for (const { part, station } of rebuild.cells) expect(parts.get(part)?.decisions.length, station).toBe(1);
	});
	it('finds more, the longer the parts have run', () => {
		const found = (hours: number) => logOf('Marram', hours).log.filter(({ kind }) => kind === 'finding').length;
		expect(found(6000)).toBeGreaterThan(found(300));
	});
	it('half way has decided nothing', () => {
		const { rebuild, log } = logOf('Thrift', 2500, 'half');
		expect(log.some(({ kind }) => kind === 'decision')).toBe(false);
		expect(fold(log).parts.size).toBe(Math.ceil(rebuild.cells.length / 2));
	});
	it('is the same for the same seed', () => expect(logOf('Sedge', 2000).log).toEqual(logOf('Sedge', 2000).log));
});

describe('the stories', () => {
	const told = (serial: string, progress: Rebuild['progress'] = 'whole'): { log: Entry[]; rebuild: Rebuild } => {
		const pump = pumps.find((demoPump) => demoPump.serial === serial)!;
		const random = new Random(9);
		const sheet = sheets.find(({ model }) => model === pump.model)!;
		// Two years in: what is planted has not been put right yet.
		const rebuild = { ...rebuildOf(sheet, pump, 1500, progress, random), years: 2 };
		return { rebuild, log: inspect(rebuild, random) };
	};
	const marksAt = ({ log, rebuild }: ReturnType<typeof told>, cylinder: number) => {
		const plunger = rebuild.cells.find((cell) => cell.station === 'plunger' && cell.cylinder === cylinder)!;
		return fold(log).parts.get(plunger.part)!.marks;
	};
	it('paint the barge’s plunger on one side, on cylinder 2 alone', () => {
		const barge = told('MAR-0212');
		expect(marksAt(barge, 2).length).toBeGreaterThan(3);
		expect(marksAt(barge, 2).every(({ payload }) => payload.fromDeg >= 60 && payload.toDeg <= 130)).toBe(true);
		expect(marksAt(barge, 1)).toEqual([]);
	});
	it('leave metal in the yard cleaner’s oil while it lies open', () => {
		const metal = ({ log }: ReturnType<typeof told>) =>
			log.some((entry) => entry.kind === 'finding' && entry.payload.pattern === 'metalInOil');
		expect(metal(told('SED-0418', 'half'))).toBe(true);
		expect(metal(told('SED-0418'))).toBe(false);
	});
	it('keep the scored plunger against the proposal, or as it is', () => {
		const quarry = told('MAR-0256');
		const plunger = quarry.rebuild.cells.find((cell) => cell.station === 'plunger' && cell.cylinder === 1)!;
		expect(fold(quarry.log).parts.get(plunger.part)!.decisions[0].payload.verdict).toBe('reuse');
		expect(marksAt(quarry, 1)).toHaveLength(5);
	});
});

describe('the gauge drawer', () => {
	it('has a gauge for every size of every part type, in a unit of its kind', () => {
		const kinds = new Set([...gauges, ...wrenches].map(({ kind }) => kind));
		expect(gaugeKinds.filter((kind) => !kinds.has(kind))).toEqual([]);
		expect(Object.keys(gaugeUnit).sort()).toEqual([...gaugeKinds].sort());
		expect(partTypeKeys.length).toBeGreaterThan(40);
	});
});
