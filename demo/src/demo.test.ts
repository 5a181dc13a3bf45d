import { readdirSync, readFileSync } from 'node:fs';
import { partTypeKeys } from '@exetasis/core/part';
import { describe, expect, it } from 'vitest';
import { readSheet, type ModelSheet } from '@exetasis/core/record';
import {
	demoFleet,
	harshnessAt,
	newPart,
	layoutPumps,
	pumps,
	Random,
	run,
	shareUsed,
	stationOf,
	visits,
	drawPopulation,
	isDamaged,
	isFixed
} from '.';

const text = readFileSync(new URL('../sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map((name) => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind === 'faults') throw new Error(`${name}: ${JSON.stringify(read.faults)}`);
	return read.sheet;
});
const now = new Date('2026-06-01T08:00:00Z');

describe('Random', () => {
	it('is the same at every run', () => {
		const draw = () =>
			Array.from(
				{ length: 5 },
				(
					(random) => () =>
						random.uniform()
				)(new Random(7))
			);
		expect(draw()).toEqual(draw());
	});
	it.each([0.4, 1, 5, 40])('gamma of shape %d has its mean and variance', (shape) => {
		const random = new Random(3);
		const drawn = Array.from({ length: 40_000 }, () => random.gamma(shape));
		const mean = drawn.reduce((a, b) => a + b) / drawn.length;
		const variance = drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / drawn.length;
		// Five standard errors of the sample mean, and a tenth on the variance.
		expect(Math.abs(mean - shape)).toBeLessThan(5 * Math.sqrt(shape / drawn.length));
		expect(Math.abs(variance / shape - 1)).toBeLessThan(0.1);
	});
});

describe('visits', () => {
	const all = visits(now, new Random(20_240_118));
	it('are the same at every run', () => expect(visits(now, new Random(20_240_118))).toEqual(all));
	it('make four years of about 120 rebuilds of at least twelve pumps, in order of time', () => {
		expect(new Set(all.map(({ pump }) => pump.serial)).size).toBeGreaterThanOrEqual(12);
		expect(all.length).toBeGreaterThan(100);
		expect(all.length).toBeLessThan(150);
		const times = all.filter(({ stage }) => stage === 'released').map(({ at }) => at.getTime());
		expect(times).toEqual([...times].sort((a, b) => a - b));
	});
	it('count hours forward on every pump', () => {
		for (const pump of pumps) {
			const hours = all.filter((visit) => visit.pump === pump).map(({ meterHours }) => meterHours);
			expect(hours).toEqual([...hours].sort((a, b) => a - b));
		}
	});
	it('leave one pump waiting to be stripped, and one of each model half inspected', () => {
		const open = all.filter(({ stage }) => stage !== 'released');
		expect(open.filter(({ stage }) => stage === 'stripping')).toHaveLength(1);
		const half = open.filter(({ stage }) => stage === 'inspecting').map(({ pump }) => pump.model);
		expect(half.sort()).toEqual([...new Set(pumps.map(({ model }) => model))].sort());
	});
	it('of the further layouts: two pumps of each model, several rebuilds, one open, at different stages', () => {
		const further = visits(now, new Random(20_240_119), layoutPumps);
		const models = [...new Set(layoutPumps.map(({ model }) => model))];
		expect(new Set(layoutPumps.map(({ serial }) => serial)).size).toBe(layoutPumps.length);
		for (const model of models) {
			const own = further.filter(({ pump }) => pump.model === model);
			expect(own.length, model).toBeGreaterThanOrEqual(3);
			expect(
				own.filter(({ stage }) => stage !== 'released'),
				model
			).toHaveLength(1);
		}
		const stages = ['released', 'stripping', 'inspecting', 'deciding', 'building', 'proving'] as const;
		expect(new Set(further.map(({ stage }) => stage))).toEqual(new Set(stages));
	});
	it('put the barge right after a while, and it alone', () => {
		const fixed = all.filter(isFixed);
		expect(fixed.length).toBeGreaterThan(0);
		expect(fixed.every(({ pump }) => pump.story === 'oneSidedCylinder2')).toBe(true);
	});
});

describe('wear', () => {
	const plunger = stationOf(sheet, 'plunger');
	it('never shrinks, and reaches the limit in about the hours that it should', () => {
		const random = new Random(5);
		const population = drawPopulation(sheet, random);
		const { hoursToLimit } = population.kinds.get('plunger/diameter')!;
		const parts = Array.from({ length: 400 }, () => newPart(plunger, population, random));
		for (const part of parts) run(part, plunger, population, hoursToLimit, 1, random);
		const shares = parts.map((part) => shareUsed(part, plunger));
		expect(Math.min(...shares)).toBeGreaterThan(0);
		expect(Math.abs(shares.reduce((a, b) => a + b) / shares.length - 1)).toBeLessThan(0.1);
	});
	it('draws another truth for another seed, about what the priors say', () => {
		const hours = Array.from({ length: 60 }, (_, seed) =>
			Math.log(drawPopulation(sheet, new Random(seed)).kinds.get('plunger/diameter')!.hoursToLimit / 8000)
		);
		const mean = hours.reduce((a, b) => a + b) / hours.length;
		expect(Math.abs(mean)).toBeLessThan(0.2);
		expect(Math.max(...hours) - Math.min(...hours)).toBeGreaterThan(0.8);
	});
	it('damages parts in the hours of its Weibull distribution, whatever they wear', () => {
		const random = new Random(6);
		const population = drawPopulation(sheet, random);
		const { scaleHours } = population.ends.get('plunger')!;
		const parts = Array.from({ length: 600 }, () => newPart(plunger, population, random));
		for (const part of parts) run(part, plunger, population, scaleHours, 1, random);
		expect(Math.abs(parts.filter(isDamaged).length / 600 - (1 - Math.exp(-1)))).toBeLessThan(0.06);
	});
	it('spares the plunger that the story keeps', () => {
		const pump = pumps.find(({ story }) => story === 'scoredPlungerKept')!;
		expect(harshnessAt(pump, 'plunger', 1)).toBeLessThan(harshnessAt(pump, 'plunger', 2));
	});
});

describe('model sheets', () => {
	it('put every part type on some mat', () => {
		const used = new Set(sheets.flatMap(({ stations }) => stations.map(({ type }) => type)));
		expect(partTypeKeys.filter((key) => !used.has(key))).toEqual([]);
	});
	it('are there for every pump, and say that they are invented', () => {
		for (const { model } of [...pumps, ...layoutPumps]) expect(sheets.map((sheet) => sheet.model)).toContain(model);
		expect(sheets.every(({ demo, maker }) => demo && maker.includes('invented'))).toBe(true);
	});
});

describe('demoFleet', () => {
	it('makes as many pumps as asked, each serial once, stories only in the first ones', () => {
		const fleet = demoFleet(100);
		expect(new Set(fleet.map(({ serial }) => serial)).size).toBe(100);
		expect(fleet.slice(pumps.length).every(({ story }) => story === undefined)).toBe(true);
	});
});
