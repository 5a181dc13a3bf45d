// What stripping a pump records: where parts were found, what is out, which way things lie and what is locked.
import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import {
	brokenUp,
	checkEntry,
	consequences,
	differenceOf,
	entrySchema,
	facesUp,
	fold,
	foundWrong,
	heldByAnswers,
	isInspected,
	locksInForce,
	mayTurn,
	powerOn,
	lostFragments,
	reconcile,
	stepsInScope,
	unaccounted,
	untouched,
	type Entry,
	type JobFacts,
	together
} from '.';
import { stateOf } from './testing';

const JOB = '0197f000-0000-7000-8000-000000000001';
let count = 0;
const id = () => `0197f000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
const at = (n: number) => new Date(Date.UTC(2026, 0, 1, 10, 0, n)).toISOString();
const entry = (kind: string, payload: object, part?: string): Entry =>
	entrySchema.parse({ id: id(), job: JOB, by: 'ines', at: at(count), kind, payload, ...(part ? { part } : {}) });

const campion = demoSheet('campion');
const marram = demoSheet('marram');
const PART = '0197f000-0000-7000-8000-0000000000aa';
const facts = (station: string, sheet = marram, scope = 'full'): JobFacts => ({
	sheet,
	scope,
	stationOfPart: new Map([[PART, station]]),
	log: () => stateOf({ steps: stepsInScope(sheet, { scope }).map(({ key }) => key) }),
	holdOrder: true,
	together: () => together(sheet, { scope }, [], fold([]))
});
const found = (payload: object) => entry('asFound', payload, PART);

describe('how a part was found', () => {
	it('is two words, where and which way; the last of each stands', () => {
		const record = fold([
			found({ where: 'missing' }),
			found({ facing: 'turned' }),
			found({ where: 'inPlace' })
		]).parts.get(PART)!;
		expect(record.where?.payload).toEqual({ where: 'inPlace' });
		expect(foundWrong(record)).toEqual(['reversed']);
	});
	it('is no look at its condition, but where it was not there', () => {
		expect(isInspected(fold([found({ facing: 'turned' })]).parts.get(PART)!)).toBe(false);
		expect(isInspected(fold([found({ where: 'missing' })]).parts.get(PART)!)).toBe(true);
		expect(foundWrong(untouched)).toEqual([]);
	});
	it.each([
		['a side of what has none', 'keyholeWasher', { facing: 'turned' }, 'notAsFound'],
		['a side of a slinger', 'slinger', { facing: 'turned' }, undefined],
		['elsewhere without saying where', 'slinger', { where: 'elsewhere' }, 'notAsFound'],
		['an assembly that is none', 'slinger', { where: 'elsewhere', assembly: 'boot' }, 'notAsFound'],
		['an assembly though it lay in place', 'slinger', { where: 'inPlace', assembly: 'manifold' }, 'notAsFound'],
		['in pieces', 'packing', { pieces: 'oneLost' }, undefined],
		['another assembly', 'packing', { where: 'elsewhere', assembly: 'rod' }, undefined]
	])('%s', (_, station, payload, code) => expect(checkEntry(found(payload), facts(station))?.code).toBe(code));
	it('waits until the pump is safe, as everything at a part does', () =>
		expect(checkEntry(found({ facing: 'right' }), { ...facts('slinger'), log: () => fold([]) })?.code).toBe(
			'notSafeYet'
		));
});

describe('the way in which a step was done', () => {
	const step = marram.steps.find(({ ways }) => ways.length > 0)!;
	const signed = (way: string) => entry('step', { step: step.key, way });
	it('is one of those that the sheet names', () => {
		expect(checkEntry(signed(step.ways[1].key), facts('slinger'))).toBeUndefined();
		expect(checkEntry(signed('byMagic'), facts('slinger'))).toEqual({ code: 'unknownWay', step: step.text });
	});
});

describe('readings that a step asks for', () => {
	const level = marram.steps.find(({ key }) => key === 'level')!;
	const rim = level.asks.findIndex((ask) => ask.kind === 'readings' && ask.at !== 'cylinders' && ask.at.length === 4);
	const answer = (values: number[], unit = 'mm') =>
		entry('answer', {
			step: 'level',
			ask: rim,
			value: { readings: values.map((value) => ({ value, typed: { text: String(value), unit } })) }
		});
	const after = (...values: number[]) => consequences(marram.steps, fold([answer(values)]).answers);

	it('are taken where there is one for each place, in a unit of their kind', () => {
		expect(checkEntry(answer([0.2, 0.2, 0.2, 0.2]), facts('plunger'))).toBeUndefined();
		expect(checkEntry(answer([0.2, 0.2]), facts('plunger'))).toMatchObject({ code: 'notAnAnswer' });
		expect(checkEntry(answer([0.2, 0.2, 0.2, 0.2], 'MPa'), facts('plunger'))).toMatchObject({ code: 'notAnAnswer' });
	});
	it('keep the pump back where they differ by more than the sheet allows', () => {
		expect(after(0.2, 0.25, 0.2, 0.22)).toEqual([]);
		expect(after(0.2, 0.35, 0.2, 0.22)).toMatchObject([{ answer: '0.2 / 0.35 / 0.2 / 0.22' }]);
		expect(heldByAnswers(marram.steps, fold([answer([0.2, 0.35, 0.2, 0.2])]).answers)).toHaveLength(1);
	});
	it('differ by the largest less the smallest', () => {
		expect(differenceOf([{ value: 3 }, { value: -1 }, { value: 2 }])).toBe(4);
		expect(() => differenceOf([])).toThrow('at least one');
	});
});

describe('a power tool on a fastener', () => {
	const loosenOnly = { power: { loosen: true, runIn: false, why: 'It strips the thread.' } };
	it('follows the sheet, and the shop may only forbid more', () => {
		expect(powerOn(loosenOnly, 'sheet', 'out')).toEqual({ may: true, by: 'sheet' });
		expect(powerOn(loosenOnly, 'sheet', 'in')).toEqual({ may: false, by: 'sheet', why: 'It strips the thread.' });
		expect(powerOn(loosenOnly, 'never', 'out')).toEqual({ may: false, by: 'shop' });
		expect(powerOn({ power: { loosen: true, runIn: true } }, 'loosen', 'in')).toEqual({ may: false, by: 'shop' });
	});
	it('is not spoken of where neither says anything', () => {
		expect(powerOn({}, 'sheet', 'in')).toBeUndefined();
		expect(powerOn({}, 'loosen', 'out')).toBeUndefined();
		expect(powerOn({}, 'loosen', 'in')).toEqual({ may: false, by: 'shop' });
	});
});

describe('parts out', () => {
	const job = { scope: 'full' };
	const partAt = (station: string, cylinder: number) =>
		`0197f000-0000-7000-8000-${String(1000 + campion.stations.findIndex(({ key }) => key === station) * 10 + cylinder).padStart(12, '0')}`;
	const strip = stepsInScope(campion, job);
	const counts = strip.flatMap(({ key, asks }) =>
		asks.flatMap((ask, i) => (ask.kind === 'count' ? [{ step: key, ask: i, station: ask.station }] : []))
	);
	const all = strip.map(({ key }) => entry('step', { step: key }));
	const out = (...more: Entry[]) => reconcile(campion, job, fold([...all, ...more]), partAt);
	const of = (pieces: ReturnType<typeof out>, key: string) => pieces.find(({ station }) => station.key === key)!;

	it('are none before a step has taken them out, and all once every step is signed off', () => {
		const before = reconcile(campion, job, fold([]), partAt);
		expect(before.every((pieces) => pieces.out === undefined)).toBe(true);
		expect(unaccounted(before)).toEqual([]);
		expect(out().every((pieces) => pieces.out === pieces.expected)).toBe(true);
	});
	it('go by the count where one was made', () => {
		const [{ step, ask, station }] = counts;
		const short = out(entry('answer', { step, ask, value: 4 }));
		expect(of(short, station)).toMatchObject({ out: 4 });
		expect(unaccounted(short).map((pieces) => pieces.station.key)).toEqual([station]);
		expect(unaccounted(out(entry('answer', { step, ask, value: of(short, station).expected })))).toEqual([]);
	});
	it('do not look for what was not there, and say what was there twice', () => {
		const missing = out(entry('asFound', { where: 'missing' }, partAt('inletSpacer', 2)));
		expect(of(missing, 'inletSpacer')).toMatchObject({ expected: 2, out: 2 });
		const doubled = out(entry('asFound', { where: 'doubled' }, partAt('inletSpacer', 2)));
		expect(of(doubled, 'inletSpacer')).toMatchObject({ expected: 3, out: 4 });
	});
	it('miss a fragment until it is found, or the part was whole after all', () => {
		const spring = partAt('dischargeSpring', 2);
		const lost = entry('asFound', { pieces: 'oneLost' }, spring);
		const pieces = out(lost);
		expect(of(pieces, 'dischargeSpring').fragmentsLostAt).toEqual([2]);
		expect(unaccounted(pieces).map(({ station }) => station.key)).toEqual(['dischargeSpring']);
		const { name: part } = of(pieces, 'dischargeSpring').station;
		expect(lostFragments(pieces)).toEqual([{ what: 'fragmentLost', part, cylinder: 2 }]);
		for (const said of ['allFound', 'whole'])
			expect(unaccounted(out(lost, entry('asFound', { pieces: said }, spring)))).toEqual([]);
		// Where it lay and which way it faced are said for themselves.
		const kept = fold([lost, entry('asFound', { where: 'fellOut' }, spring)]).parts.get(spring)!;
		expect(brokenUp(kept)).toBe('oneLost');
		expect(foundWrong(kept)).toEqual([]);
	});
	it('say where what is short may have stayed', () =>
		expect(of(out(), 'dischargeAdapter').inspectionIn.length).toBeGreaterThan(1));
});

describe('what lies on the bench', () => {
	const larch = demoSheet('larch');
	const steps = stepsInScope(larch, { scope: 'full' });
	it('is turned over by the step that does it', () => {
		const before = facesUp(larch.assemblies, steps, new Set(['inletOff']));
		const after = facesUp(larch.assemblies, steps, new Set(['inletOff', 'turnOver']));
		expect([before.get('inlet'), after.get('inlet')]).toEqual(['P', 'C']);
		expect(before.has('pump')).toBe(false);
	});
	it('the shaft is locked while the head is open, but for the steps that are named', () => {
		const { steps: all } = demoSheet('comfrey');
		const locking = all.find(({ locks }) => locks)!;
		const { until, unless } = locking.locks!;
		const open = new Set([locking.key]);
		expect(locksInForce(all, new Set())).toEqual([]);
		expect(locksInForce(all, open)).toEqual([locking.locks]);
		expect(locksInForce(all, new Set([locking.key, until]))).toEqual([]);
		expect(mayTurn(all, open, { key: unless[0] })).toBe(true);
		expect(mayTurn(all, open, { key: locking.key })).toBe(false);
		expect(mayTurn(all, new Set(), { key: locking.key })).toBe(true);
	});
});
