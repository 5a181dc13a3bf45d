import { describe, expect, it } from 'vitest';
import { demoSheets } from '../decide/testing';
import { tightenedBy } from './bolts';
import type { Tightened } from './kinds/tightened';

const stations = demoSheets().flatMap((sheet) => sheet.stations);
const stated = stations.find(({ fastening }) => fastening?.torqueNm !== undefined)!;
const unstated = { ...stated, fastening: { ...stated.fastening!, torqueNm: undefined } };

let count = 0;
const bolt = (n: number, payload: Partial<Tightened['payload']>): Tightened => ({
	id: `0197f000-0000-7000-8000-${String(++count).padStart(12, '0')}`,
	job: '0197f000-0000-7000-8000-000000000001',
	by: 'ines',
	at: '2026-01-01T10:00:00.000Z',
	part: '0197f000-0000-7000-8000-0000000000aa',
	kind: 'tightened',
	payload: { pass: 0, bolt: n, ...payload }
});
const wrench = '0197f000-0000-7000-8000-0000000000cc';

describe('how a group of bolts was tightened', () => {
	it('is by the wrench where every bolt was, and not stated before the first', () => {
		expect(tightenedBy(stated, { tightened: [] })).toBeUndefined();
		expect(tightenedBy(stated, { tightened: [bolt(0, { wrench }), bolt(1, { wrench })] })).toBe('wrench');
	});
	it('is by feel where one bolt was, or where no torque is stated', () => {
		expect(tightenedBy(stated, { tightened: [bolt(0, { wrench }), bolt(1, { byFeel: true })] })).toBe('feel');
		expect(tightenedBy(unstated, { tightened: [bolt(0, { wrench })] })).toBe('feel');
	});
	it('is by the wrench once a bolt that was tightened by feel is tightened with it', () => {
		const tightened = [bolt(0, { byFeel: true }), bolt(1, { wrench }), bolt(0, { wrench })];
		expect(tightenedBy(stated, { tightened })).toBe('wrench');
	});
});
