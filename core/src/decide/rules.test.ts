import { describe, expect, it } from 'vitest';
import {
	compareUnit,
	decideWhole,
	defaultPolicy,
	judge,
	unitTriggers,
	wantedSizes,
	type Policy,
	type WholeInput
} from '.';
import { clean, decided, demoSheet, finding, inputFor, read, recordOf, stationOn } from './testing';
import { untouched, type Entry, type PartRecord } from '../record';

const marram = demoSheet('marram');
const diaphragms = demoSheet('comfrey');
const regulator = demoSheet('sedge');
const policy = (change: Partial<Policy>): Policy => ({ ...defaultPolicy, renewalPolicy: 'onCondition', ...change });
const verdict = (key: string, record: PartRecord, change: Partial<Policy>) =>
	judge(inputFor(marram, key, record, { policy: policy(change) })).verdict;

describe('what cannot be worked with', () => {
	it('leaves the part open and says why, with its findings; it can be decided by hand', () => {
		const record = recordOf(clean(), read('diameter', 17.98), finding('wearBand'));
		// A size as fitted at the discard limit: nothing was left to wear.
		const { verdict, reasons, reused } = judge(inputFor(marram, 'plunger', record, { asFitted: { diameter: 17.95 } }));
		expect(verdict).toBe('open');
		expect(reasons).toContainEqual(expect.objectContaining({ code: 'notJudged', value: expect.any(String) }));
		expect(reasons).toContainEqual(expect.objectContaining({ code: 'remark' }));
		expect(reused.stop).toBeGreaterThan(0);
	});
	it('still puts in a new one where it was not there', () => {
		const missing = { ...clean(), kind: 'asFound', payload: { where: 'missing' } } as Entry;
		const record = recordOf(missing, read('diameter', 17.98));
		expect(judge(inputFor(marram, 'plunger', record, { asFitted: { diameter: 17.95 } })).verdict).toBe('replace');
		expect(judge(inputFor(marram, 'plunger', recordOf(missing))).verdict).toBe('replace');
	});
});

describe('customs on which good people differ', () => {
	it('rings of the plunger: as the sheet says, always, or what passes is kept', () => {
		const ring = recordOf(clean());
		expect(verdict('retainerORing', ring, {})).toBe('reuse');
		expect(verdict('retainerORing', ring, { plungerRings: 'always' })).toBe('replace');
		expect(verdict('retainerORing', ring, { renewalPolicy: 'renewSoft' })).toBe('replace');
		expect(verdict('retainerORing', ring, { renewalPolicy: 'renewSoft', plungerRings: 'inspect' })).toBe('reuse');
		expect(verdict('caseORing', ring, { plungerRings: 'always' })).toBe('reuse');
	});
	it('seats and springs: inspected, or always new', () => {
		const worn = recordOf(clean(), read('bandWidth', 0.9));
		expect(verdict('inletSeat', worn, {})).toBe('reuse');
		expect(verdict('inletSeat', worn, { seatsAndSprings: 'always' })).toBe('replace');
	});
	it('springs by feel, by length or by load', () => {
		const keys = (springs: Policy['springs']) =>
			wantedSizes(stationOn(marram, 'inletSpring'), recordOf(clean()), policy({ springs })).map(({ key }) => key);
		expect(keys('feel')).toEqual([]);
		expect(keys('length')).toEqual(['freeLength']);
		expect(keys('load')).toContain('load');
	});
	it('a single-use part goes whatever the custom says', () =>
		expect(
			judge(inputFor(regulator, 'oilSeal', recordOf(clean()), { policy: policy({ otherRings: 'inspect' }) })).verdict
		).toBe('replace'));
});

describe('wantedSizes', () => {
	const of = (...entries: Parameters<typeof recordOf>) =>
		wantedSizes(stationOn(marram, 'plunger'), recordOf(...entries), defaultPolicy).map(({ key }) => key);
	it('asks for what the finding calls for, and no more', () => {
		expect(of(clean())).toEqual(['diameter']);
		expect(of(finding('axialScoring'))).toEqual(['diameter', 'roughness', 'scoreDepth']);
		expect(of(finding('oneSidedWear'))).toEqual(['diameter', 'runout']);
		expect(of(finding('pittedEnd'))).toEqual(['diameter']);
	});
});

describe('telling look-alikes apart', () => {
	const spring = (wire: number) =>
		judge(inputFor(marram, 'inletSpring', recordOf(clean(), read('freeLength', 22), read('wire', wire))));
	it('refuses a discharge spring at the inlet, by name', () => {
		const found = spring(1.3);
		expect(found.verdict).toBe('replace');
		expect(found.reasons).toContainEqual(
			expect.objectContaining({ code: 'mixedUp', likeliest: 'Discharge valve spring' })
		);
	});
	it('knows its own', () => expect(spring(1.2).reasons.map(({ code }) => code)).not.toContain('mixedUp'));
	it('says that it is neither', () => expect(spring(1.5).reasons[0].code).toBe('noneOfThem'));
});

describe('mates', () => {
	const mates = (record: PartRecord) => [{ station: stationOn(marram, 'plunger'), record }];
	const packing = (record: PartRecord) =>
		judge(
			inputFor(marram, 'packing', recordOf(clean(), read('insideDiameter', 17.7)), {
				policy: policy({ intervalHours: 200 }),
				mates: mates(record)
			})
		);
	it('a packing that is kept asks for its plunger to be measured', () => {
		expect(packing(untouched).verdict).toBe('lookAgain');
		expect(packing(recordOf(clean(), read('diameter', 17.99))).verdict).toBe('reuse');
	});
	it('asks nothing of a mate that is renewed whatever it measures', () => {
		const plunger = (renewalPolicy: Policy['renewalPolicy']) =>
			judge(
				inputFor(
					marram,
					'plunger',
					recordOf(clean(), ...[0, 1, 2, 3, 4, 5].map((i) => read('diameter', 17.99, i >> 1, i % 2))),
					{
						policy: policy({ renewalPolicy }),
						mates: [{ station: stationOn(marram, 'packing'), record: untouched }]
					}
				)
			).verdict;
		expect(plunger('renewSoft')).toBe('reuse');
		expect(plunger('onCondition')).toBe('lookAgain');
	});
	it('says that its mate is renewed', () =>
		expect(packing(recordOf(clean(), read('diameter', 17.9), decided('replace'))).reasons).toContainEqual({
			code: 'mateReplaced',
			mate: 'Ceramic plunger'
		}));
});

const part = (sheet: typeof marram, key: string, cylinder: number, record: PartRecord) => {
	const { policy: _, ...input } = inputFor(sheet, key, record);
	return { id: `${key}/${cylinder}`, cylinder, input };
};
const whole = (parts: WholeInput['parts'], change: Partial<Policy> = {}, more: Partial<WholeInput> = {}) =>
	decideWhole({ parts, policy: policy(change), openingCost: 400, ...more });
const verdicts = (decision: ReturnType<typeof decideWhole>) =>
	Object.fromEntries(decision.parts.map(({ id, says }) => [id, says.onCondition]));

describe('sets', () => {
	const seats = [
		part(marram, 'inletSeat', 1, recordOf(finding('crack'))),
		part(marram, 'dischargeSeat', 1, recordOf(clean(), read('bandWidth', 0.9))),
		part(marram, 'inletSeat', 2, recordOf(clean(), read('bandWidth', 0.9)))
	];
	it('valves one by one, by cylinder, or all', () => {
		expect(verdicts(whole(seats))).toMatchObject({ 'dischargeSeat/1': 'reuse', 'inletSeat/2': 'reuse' });
		expect(verdicts(whole(seats, { valves: 'cylinder' }))).toMatchObject({
			'dischargeSeat/1': 'replace',
			'inletSeat/2': 'reuse'
		});
		expect(verdicts(whole(seats, { valves: 'set' }))).toMatchObject({ 'inletSeat/2': 'replace' });
	});
	it('diaphragms go together, and say with which', () => {
		const sound = () => recordOf(clean(), read('thickness', 2.6), read('sag', 0.5));
		const found = whole([
			part(diaphragms, 'diaphragm', 1, sound()),
			part(diaphragms, 'diaphragm', 2, recordOf(finding('hole'), read('thickness', 2.6), read('sag', 0.5)))
		]);
		expect(found.parts[0].reasons[0]).toMatchObject({ code: 'withItsSet', cylinder: 2 });
	});
	it('least cost keeps a set together as well', () => {
		const { says } = whole(seats, { valves: 'cylinder', renewalPolicy: 'leastCost' }).parts[1];
		expect(says.leastCost).toBe('replace');
	});
});

describe('the unit itself', () => {
	const metal = part(regulator, 'oilSeal', 1, recordOf(finding('metalInOil')));
	it('is put in question by metal behind an oil seal, not by a weeping one', () => {
		const triggers = (record: PartRecord) =>
			unitTriggers([{ station: stationOn(regulator, 'oilSeal'), cylinder: 1, record }]);
		expect(triggers(recordOf(finding('metalInOil')))).toHaveLength(1);
		expect(triggers(recordOf(finding('weeping', 3)))).toHaveLength(0);
	});
	it('is stopped by the shop’s rule, or weighed', () => {
		const unit = { price: 1150, lifeHours: 12_000 };
		expect(whole([metal], {}, { unit }).unit.comparison).toMatchObject({ says: 'stop', byRule: true });
		expect(whole([metal], { metal: 'weighed' }, { unit }).unit.comparison).toMatchObject({
			byRule: false,
			says: 'stop'
		});
		expect(
			whole([metal], { metal: 'weighed' }, { unit: { price: 30_000, lifeHours: 12_000 } }).unit.comparison?.says
		).toBe('repair');
	});
	it('weighs cost per hour of what is left', () =>
		expect(
			compareUnit(500, { price: 3000, lifeHours: 30_000 }, { metal: 'weighed', lifeLeftShare: 0.2 })
		).toMatchObject({
			hoursLeft: 6000,
			repairPer1000h: expect.closeTo(83.333, 3),
			newPer1000h: 100,
			says: 'repair'
		}));
	it('refuses a unit without a price', () =>
		expect(() => compareUnit(1, { price: 0, lifeHours: 1 }, defaultPolicy)).toThrow('price is 0'));
});
