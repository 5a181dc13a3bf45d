// What was proved against the sheet's test: the last word of each counts, and a fall too close to call is said to be.
import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import {
	checkEntry,
	fold,
	entrySchema,
	gaugeOf,
	holdOn,
	lastProofs,
	together,
	unproved,
	type Entry,
	type Proof
} from '.';

const sheet = demoSheet('marram');
const [weep, joint] = sheet.proof!.places;
const risks = { acceptBad: 0.05, scrapGood: 0.05 };
let count = 0;
const proof = (payload: object): Proof => {
	count += 1;
	const id = (n: number) => `0197f000-0000-7000-8000-${String(n).padStart(12, '0')}`;
	const at = new Date(Date.UTC(2026, 2, 1) + 1000 * count).toISOString();
	return entrySchema.parse({ id: id(count), job: id(0), by: 'ines', at, kind: 'proof', payload }) as Proof;
};
const mpa = (value: number) => ({ value, typed: { text: String(value), unit: 'MPa' } });
const held = (to: number, minutes = 5) => proof({ test: 'hold', from: mpa(12), to: mpa(to), minutes });
const drips = (place: string, seen: string) => proof({ test: 'drips', place, seen });
const lacks = (...proofs: Proof[]) => unproved(sheet, lastProofs(proofs), [], risks).map(({ what }) => what);

describe('unproved', () => {
	it('wants a hold, and a look at every weep place', () =>
		expect(lacks()).toEqual(['notHeld', 'notLookedAt', 'notLookedAt']));
	it('lets the last word of each count', () => {
		const dry = [drips(weep, 'none'), drips(joint, 'stopping')];
		expect(lacks(...dry, held(11.9))).toEqual([]);
		expect(lacks(...dry, held(11.9), drips(weep, 'steady'))).toEqual(['drips']);
		expect(lacks(...dry, held(11), held(11.9))).toEqual([]);
		expect(lacks(...dry, held(11.9), held(11))).toEqual(['holdFails']);
	});
	it('calls a fall that the gauge cannot tell from the limit too close, and a longer hold settles it', () => {
		const dry = [drips(weep, 'none'), drips(joint, 'none')];
		expect(lacks(...dry, held(11.65))).toEqual(['holdTooClose']);
		// The same rate over an hour: 4.2 MPa would have fallen at the limit.
		expect(lacks(...dry, proof({ test: 'hold', from: mpa(12), to: mpa(8.8), minutes: 60 }))).toEqual([]);
	});
	it('asks nothing where the sheet has no test', () => {
		const silent = { proof: undefined };
		expect(unproved(silent, lastProofs([]), [], risks)).toEqual([]);
		expect(holdOn(silent, lastProofs([held(11)]), [])).toBeUndefined();
	});
});

describe('holdOn', () => {
	const gauge = {
		id: '0197f000-0000-7000-8000-0000000000aa',
		name: 'Digital test gauge',
		kind: 'pressure gauge',
		facts: {
			resolution: 0.01,
			calibrationU: 0.03,
			calibrationK: 2,
			repeatability: 0.008,
			repeatabilityDof: 20,
			reproducibility: 0.004,
			expansionPerKelvin: 0,
			overdue: false
		}
	};
	const celsius = (value: number) => ({ value, typed: { text: String(value), unit: 'C' } });
	const steady = { fromC: celsius(4.2), toC: celsius(4.2) };
	const heldAt = (to: number, warmth: object = steady) =>
		lastProofs([proof({ test: 'hold', from: mpa(12), to: mpa(to), minutes: 5, gauge: gauge.id, ...warmth })]);
	const by = (to: number, known: readonly (typeof gauge)[], warmth?: object) =>
		holdOn(sheet, heldAt(to, warmth), known)!;
	it('knows what its gauge can tell: a fall that a class 1 gauge leaves open is settled by a finer one', () => {
		// u² = 0.015² + 0.008² + 0.01²/12 + 0.004², and √2 · 0.1 K at 0.105 MPa/K; the fall of 0.31 is 0.05 below the limit:
		// Φ(0.05 / √(2 · 0.017720² + 0.0148²)).
		expect(by(11.69, [gauge]).pWithin).toBeCloseTo(0.957, 3);
		expect(by(11.69, [gauge]).gauge).toBe(gauge);
		expect(by(11.69, []).pWithin).toBeLessThan(0.8);
		const tests = heldAt(11.69);
		expect(unproved(sheet, tests, [gauge], risks).map(({ what }) => what)).not.toContain('holdTooClose');
		expect(unproved(sheet, tests, [], risks).map(({ what }) => what)).toContain('holdTooClose');
	});
	it('takes what cooled for no leak, and what warmed for one', () => {
		const [even, cooled, warmed] = [
			[20, 20],
			[21, 20],
			[20, 21]
		].map(([from, to]) => by(11.6, [gauge], { fromC: celsius(from), toC: celsius(to) }));
		expect(even.coolingMPa).toBe(0);
		// Kell's water at 20.5 °C in a housing of 17e-6/K: 0.353 MPa a kelvin.
		expect(cooled.coolingMPa).toBeCloseTo(0.353, 2);
		expect(cooled.pWithin).toBeGreaterThan(even.pWithin);
		expect(warmed.pWithin).toBeLessThan(even.pWithin);
	});
	it('leaves more open where the temperature was not noted, and says so', () => {
		const [noted, not] = [by(11.75, [gauge], { fromC: celsius(20), toC: celsius(20) }), by(11.75, [gauge], {})];
		expect([noted.noted, not.noted]).toEqual([true, false]);
		expect(not.pWithin).toBeLessThan(noted.pWithin);
	});
	it('trusts an overdue one less, and assumes class 1 where it is none for pressure or no one knows it', () => {
		const overdue = { ...gauge, facts: { ...gauge.facts, overdue: true } };
		expect(by(11.69, [overdue]).pWithin).toBeLessThan(by(11.69, [gauge]).pWithin);
		const [micrometer, other] = [
			{ ...gauge, kind: 'micrometer' },
			{ ...gauge, id: gauge.id.replace('aa', 'bb') }
		];
		for (const known of [[micrometer], [other]]) {
			expect(by(11.69, known)).toEqual(by(11.69, []));
			expect(by(11.69, known).gauge).toBeUndefined();
		}
	});
	it('names its gauge, as a reading does', () => {
		const of = (payload: object) => gaugeOf(proof(payload));
		expect(of({ test: 'hold', from: mpa(12), to: mpa(12), minutes: 5, gauge: gauge.id })).toBe(gauge.id);
		expect(of({ test: 'hold', from: mpa(12), to: mpa(12), minutes: 5 })).toBeUndefined();
		expect(gaugeOf(drips(weep, 'none'))).toBeUndefined();
	});
});

describe('a proof', () => {
	const check = (entry: Entry) =>
		checkEntry(entry, {
			sheet,
			scope: 'packing',
			stationOfPart: new Map(),
			log: () => fold([]),
			holdOrder: false,
			together: () => together(sheet, { scope: 'packing' }, [], fold([]))
		});
	it('is taken in any unit that measures it', () => {
		const psi = { value: (100 * 4.4482216152605) / 25.4 ** 2, typed: { text: '100', unit: 'psi' } };
		expect(check(proof({ test: 'hold', from: mpa(12), to: psi, minutes: 5 }))).toBeUndefined();
	});
	it.each([
		[
			'another unit',
			{ test: 'hold', from: mpa(12), to: { value: 11, typed: { text: '11', unit: 'mm' } }, minutes: 5 },
			'wrongUnit'
		],
		[
			'digits that are another number',
			{ test: 'hold', from: mpa(12), to: { ...mpa(11), value: 10 }, minutes: 5 },
			'notAsTyped'
		],
		['a pressure that rose', { test: 'hold', from: mpa(12), to: mpa(12.1), minutes: 5 }, 'pressureRose'],
		['a place that the sheet has not', { test: 'drips', place: 'The roof', seen: 'none' }, 'noSuchPlace']
	])('refuses %s', (_, payload, code) => expect(check(proof(payload))).toMatchObject({ code }));
});
