import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { defaultPolicy, judge, type Policy } from '../decide';
import { endsBefore, priorKnowledge } from '../life';
import { fold, readSheet, type Entry, type ModelSheet } from '../record';
import type { MatCell, MatFacts } from './facts';
import { judgeInput, judgeMat, layMat, matePlaces, matesAt } from './judgeMat';
import { placeKey } from './place';

const text = readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };

const cells: MatCell[] = sheet.stations.flatMap(({ key, per }) =>
	(per === 'pump' ? [0] : [1, 2, 3]).map((cylinder) => ({
		part: placeKey(key, cylinder),
		station: key,
		cylinder,
		hours: 1200,
		asFitted: {},
		age: { kind: 'known', hours: 1200 },
		dutyHours: 1200,
		earlier: [],
		kept: 0,
		earlierLives: 0
	}))
);
const facts = (policy: Partial<Policy> = {}) =>
	({
		sheet,
		cells,
		gauges: [],
		policy: { ...defaultPolicy, renewalPolicy: 'onCondition', ...policy },
		fleet: { wear: {}, ends: {}, settled: true, pump: { mean: 0, sd: 0.3 }, wearFactor: 1 }
	}) as unknown as MatFacts;

let count = 0;
const entry = (part: string, kind: Entry['kind'], payload: object): Entry =>
	({
		id: `e${++count}`,
		job: 'j',
		part,
		by: 'ines',
		at: new Date(Date.UTC(2026, 0, 1) + count * 1000).toISOString(),
		kind,
		payload
	}) as Entry;
const crack = (part: string) => entry(part, 'finding', { pattern: 'crack', severity: 1, onset: 'service' });
const read = (part: string, characteristic: string, value: number) =>
	entry(part, 'reading', { characteristic, row: 0, column: 0, value, typed: { text: '', unit: 'mm' } });
const verdictAt = (place: string, entries: Entry[], policy?: Partial<Policy>) =>
	judgeMat(facts(policy), fold(entries).parts).find(({ cell }) => placeKey(cell.station, cell.cylinder) === place)!
		.judgement;

describe('mates', () => {
	const mates = matePlaces({ sheet, cells });
	it('are those that the sheet names, both ways, of the same cylinder', () => {
		expect(mates.get('plunger/2')).toEqual(['lowPressureSeal/2', 'femaleAdapter/2', 'packing/2', 'maleAdapter/2']);
		expect(mates.get('packing/3')).toEqual(['plunger/3']);
		expect(mates.get('inletValve/1')).toEqual(['inletSeat/1']);
		expect(mates.get('oilPan/0')).toEqual([]);
	});
	it('bring their own records with them', () => {
		const mat = layMat({ sheet, cells }, fold([read('plunger/1', 'diameter', 17.97)]).parts);
		const seals = matesAt(mates, { station: 'plunger', cylinder: 1 }, mat).map(({ station }) => station.key);
		expect(seals).toEqual(['lowPressureSeal', 'femaleAdapter', 'packing', 'maleAdapter']);
		const [plunger] = matesAt(mates, { station: 'packing', cylinder: 1 }, mat);
		expect(plunger.record.readings).toHaveLength(1);
	});
});

describe('judgeMat', () => {
	const clean = (part: string) => entry(part, 'clean', {});
	it('judges every cell once, and leaves what no one looked at open', () => {
		const judged = judgeMat(facts(), new Map());
		expect(judged).toHaveLength(cells.length);
		expect(judged.every(({ judgement }) => ['open', 'replace'].includes(judgement.verdict))).toBe(true);
	});
	it('works the fit to the mate out of both sizes', () => {
		const { figures } = verdictAt('packing/1', [
			clean('packing/1'),
			read('packing/1', 'insideDiameter', 17.7),
			read('plunger/1', 'diameter', 17.96)
		]);
		expect(figures.find(({ key }) => key === 'interference')!.value).toBeCloseTo(0.26, 9);
	});
	it('takes a set with the one that has to go, by the shop’s rule', () => {
		const log = [crack('inletSeat/1'), clean('dischargeSeat/1'), read('dischargeSeat/1', 'bandWidth', 0.9)];
		expect(verdictAt('dischargeSeat/1', log).verdict).not.toBe('replace');
		expect(verdictAt('dischargeSeat/1', log, { valves: 'cylinder' }).reasons[0]).toMatchObject({
			code: 'withItsSet',
			station: 'Inlet valve seat',
			cylinder: 1
		});
		expect(verdictAt('dischargeSeat/2', log, { valves: 'cylinder' }).verdict).toBe('open');
		expect(verdictAt('dischargeSeat/2', log, { valves: 'set' }).verdict).toBe('replace');
	});
	it('asks for a verdict once a part, with its mates', () => {
		const asked: string[] = [];
		judgeMat(facts(), new Map(), undefined, (part, mates) => {
			asked.push(`${part.cell.part}: ${mates.map(({ cell }) => cell.part).join()}`);
			return judge(judgeInput(facts(), part, mates));
		});
		expect(asked).toHaveLength(cells.length);
		expect(asked).toContain('packing/2: plunger/2');
	});
	it('gives a part what its kind is known to do', () => {
		const bench = facts();
		const wear = priorKnowledge({ hoursToLimit: 4000, between: 0.3, within1000h: 0.5, priorWeight: 4, from: 'sheet' });
		const ends = endsBefore({ scaleHours: 20_000, shape: 1.3, priorWeight: 3, from: 'sheet' });
		const known = {
			...bench,
			fleet: { ...bench.fleet, wear: { 'packing/insideDiameter': wear }, ends: { packing: ends } }
		};
		const part = layMat({ sheet, cells }, new Map()).get('packing/1')!;
		expect(judgeInput(known, part, [])).toMatchObject({
			life: { wear: { insideDiameter: wear }, ends, age: { kind: 'known', hours: 1200 } },
			ratedPressure: 12
		});
	});
});
