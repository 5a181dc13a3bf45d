import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	askedAt,
	askKey,
	checkEntry,
	entrySchema,
	fold,
	readSheet,
	stepsInScope,
	together,
	type Entry,
	type ModelSheet
} from '.';
import { stateOf } from './testing';

const text = readFileSync(new URL('../../../demo/sheets/fescue.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const opening = { scope: 'full' };
const steps = stepsInScope(sheet, opening);
const repeated = steps.find(({ per, stage }) => per === 'cylinder' && stage === 'strip')!;
const once = steps.find(({ per, stage }) => per === 'pump' && stage === 'strip')!;

let counter = 0;
function entry(kind: Entry['kind'], payload: object): Entry {
	const id = `0197f000-0000-7000-8000-${String(++counter).padStart(12, '0')}`;
	const at = `2026-01-01T10:00:${String(counter % 60).padStart(2, '0')}.000Z`;
	return entrySchema.parse({ id, job: '0197f000-0000-7000-8000-0000000000bb', by: 'ines', at, kind, payload });
}
const at = (cylinder: number, step = repeated.key) => entry('cylinderDone', { step, cylinder });
const signed = steps.map(({ key }) => key);
const job = (more: object = {}) => ({
	...opening,
	sheet,
	stationOfPart: new Map<string, string>(),
	log: () => stateOf({ steps: signed }),
	holdOrder: true,
	together: () => together(sheet, opening, [], fold([])),
	...more
});

describe('a step that is repeated at each cylinder', () => {
	it('keeps where it was done, and signs nothing off', () => {
		const state = fold([at(1), at(3)]);
		expect([...state.cylindersDone.get(repeated.key)!.keys()]).toEqual([1, 3]);
		expect(state.steps.size).toBe(0);
	});
	it('is taken back at one cylinder alone, and merges in any order', () => {
		const [first, second] = [at(1), at(2)];
		const back = entry('withdraw', { entry: first.id, why: 'not done after all' });
		for (const log of [
			[first, second, back],
			[back, second, first],
			[second, first, back, first]
		])
			expect([...fold(log).cylindersDone.get(repeated.key)!.keys()]).toEqual([2]);
	});
	it('is done at cylinders that the pump has and that are opened', () => {
		expect(checkEntry(at(sheet.cylinders), job())).toBeUndefined();
		expect(checkEntry(at(sheet.cylinders + 1), job())).toMatchObject({
			code: 'notAtCylinder',
			cylinder: sheet.cylinders + 1
		});
		const second = job({ arrival: { cylinders: [2] } });
		expect(checkEntry(at(2), second)).toBeUndefined();
		expect(checkEntry(at(1), second)).toMatchObject({ code: 'notAtCylinder', step: repeated.text });
	});
	it('is not what is done once for the pump, and none that the sheet has not', () => {
		expect(checkEntry(at(1, once.key), job())).toMatchObject({ code: 'notAtCylinder' });
		expect(checkEntry(at(1, 'nothing'), job())).toMatchObject({ code: 'unknownStep' });
	});
	it('waits for what has to come first, but for what was done off the network', () => {
		const early = job({ log: () => fold([]) });
		expect(checkEntry(at(1), early)).toMatchObject({ code: 'stepTooEarly' });
		expect(checkEntry(at(1), { ...early, holdOrder: false })).toBeUndefined();
	});
	it('is signed off once it is done at all cylinders that are opened, where it is begun at one', () => {
		const sign = entry('step', { step: repeated.key });
		const answers = repeated.asks.flatMap((ask, i) =>
			askedAt(ask, [1, 2, 3]).map((cylinder) => askKey(repeated.key, i, cylinder))
		);
		const done = (...cylinders: number[]) =>
			job({ log: () => stateOf({ steps: signed, answers, cylinders: { [repeated.key]: cylinders } }) });
		expect(checkEntry(sign, done(1))).toMatchObject({ code: 'cylindersLeft', cylinders: [2, 3] });
		expect(checkEntry(sign, done(1, 2, 3))).toBeUndefined();
		expect(checkEntry(sign, job({ log: () => stateOf({ steps: signed, answers }) }))).toBeUndefined(); // signed off as a whole
		expect(checkEntry(sign, { ...done(2), arrival: { cylinders: [2] } })).toBeUndefined();
		expect(checkEntry(sign, { ...done(1), holdOrder: false })).toBeUndefined();
	});
	it.each([0, -1, 1.5, 100, NaN, '1', null])('is no entry at cylinder %s', (cylinder) => {
		const payload = { step: repeated.key, cylinder };
		expect(() => entry('cylinderDone', payload)).toThrow();
	});
});
