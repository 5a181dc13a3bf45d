// Slips on the good side and beyond what wears: what is asked about, what is not, and that the verdict waits.
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { judge, slipsIn, chanceOfWear, TOO_FAST } from '.';
import type { Reading } from '../record';
import { clean, demoSheet, fineGauge, inputFor, recordOf, stationOn } from './testing';

const marram = demoSheet('marram');
const plunger = stationOn(marram, 'plunger'); // 18.00 mm new, 17.95 mm out
let count = 0;
const reading = (value: number, change: object = {}, seconds = 10): Reading =>
	({
		id: `0197f000-0000-7000-8000-${(++count).toString(16).padStart(12, '0')}`,
		job: '0197f000-0000-7000-8000-000000000001',
		by: 'ines',
		at: new Date(Date.UTC(2026, 2, 1) + 1000 * seconds * count).toISOString(),
		kind: 'reading',
		part: 'part',
		payload: {
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value,
			typed: { text: String(value), unit: 'mm' },
			gauge: fineGauge.id,
			...change
		}
	}) as Reading;
const facts = { gauges: [fineGauge], asFitted: {}, stations: marram.stations };
const aged = (hours: number) => ({ ...facts, life: { age: { kind: 'known' as const, hours }, dutyHours: hours } });
const why = (value: number, of: Parameters<typeof slipsIn>[2] = facts) =>
	slipsIn(plunger, [reading(value)], of).map((slip) => slip.why);

describe('slipsIn', () => {
	it('asks about a reading better than new by more than tolerance, gauge and temperature explain', () => {
		const [slip] = slipsIn(plunger, [reading(18.9)], facts);
		expect(slip).toMatchObject({ why: 'betterThanNew', value: 18.9 });
		expect(slip.by).toBeCloseTo(0.9, 9);
		expect(why(18.0)).toEqual([]);
		expect(why(18.012)).toEqual([]); // what a new one may have
		expect(why(17.96)).toEqual([]);
	});
	it('holds a part whose size was measured as fitted to that size, not to the tolerance of new ones', () => {
		expect(why(18.02, { ...facts, asFitted: { diameter: 17.99 } })).toEqual(['betterThanNew']);
	});
	it('knows the good side of a bore too', () => {
		const guide = stationOn(demoSheet('heather'), 'rearGuide'); // 15.385 mm new, 15.512 mm out
		const asked = (value: number) =>
			slipsIn(guide, [reading(value, { characteristic: 'bore' })], facts).map((slip) => slip.why);
		expect(asked(14.9)).toEqual(['betterThanNew']);
		expect(asked(15.39)).toEqual([]);
	});
	it('says which digits or which other part may have been meant', () => {
		const meant = (value: number, text: string) =>
			slipsIn(plunger, [reading(value, { typed: { text, unit: 'mm' } })], facts)[0].meant;
		expect(meant(19.78, '19.78')).toContainEqual({ as: 'digits', value: expect.closeTo(17.98, 9) } as never);
		const other = {
			...plunger,
			key: 'rod',
			name: 'Rod',
			characteristics: [{ ...plunger.characteristics[0], nominal: 22 }]
		};
		const [slip] = slipsIn(plunger, [reading(22)], { ...facts, stations: [...marram.stations, other] });
		expect(slip.meant).toContainEqual({ as: 'otherPart', part: 'Rod' });
	});
	it('asks about wear that fewer than one in 10,000 parts reach in its hours', () => {
		expect(why(17.2, aged(500))).toEqual(['tooFast']);
		expect(why(17.94, aged(500))).toEqual([]);
		expect(why(17.957, aged(2))).toEqual(['tooFast']); // inside its limit, after two hours
		expect(why(17.957, aged(500))).toEqual([]);
		expect(why(17.2)).toEqual([]); // its hours are unknown
	});
	it('asks about places that are all alike within seconds, and not about those that took their time', () => {
		const grid = [0, 1, 2].flatMap((row) => [0, 1].map((column) => ({ row, column })));
		const at = (seconds: number) => grid.map((place) => reading(17.98, place, seconds));
		expect(slipsIn(plunger, at(0.4), facts)).toMatchObject([{ why: 'allAlike', value: 17.98 }]);
		expect(slipsIn(plunger, at(6), facts)).toEqual([]);
	});
	it('asks no more once it is confirmed', () => {
		expect(slipsIn(plunger, [reading(18.9, { confirmed: 'oversize plunger fitted' })], facts)).toEqual([]);
	});
	it('asks about nothing that a new or ordinarily worn part measures, whatever it is', () =>
		fc.assert(
			fc.property(fc.double({ min: 17.951, max: 18.012, noNaN: true }), (value) => {
				expect(why(value, aged(2000))).toEqual([]);
			}),
			{ seed: 4, numRuns: 300 }
		));
});

describe('chanceOfWear', () => {
	const prior = { hoursToLimit: 4000, between: 0.33, within1000h: 0.35 };
	it('is near one half for the typical wear of its hours, and falls with the share', () => {
		expect(chanceOfWear(1, 4000, prior)).toBeGreaterThan(0.4);
		expect(chanceOfWear(1, 4000, prior)).toBeLessThan(0.6);
		const chances = [0.5, 1, 2, 4, 8].map((share) => chanceOfWear(share, 4000, prior));
		expect(chances).toEqual(chances.toSorted((a, b) => b - a));
	});
	// Rate log-normal with sd √(0.33² + 0.6²), gamma process; the last two pairs with sd √(0.1² + 0.6²) and 0.1 within 1000 h.
	// Integrated by scipy 1.17.1 (`integrate.quad`).
	it.each([
		[0.5, 4000, 0.33, 0.35, 0.83111],
		[3, 4000, 0.33, 0.35, 0.057499],
		[8, 4000, 0.33, 0.35, 1.5088e-3],
		[3, 500, 0.33, 0.35, 2.6836e-5],
		[33, 3000, 0.33, 0.35, 4.5468e-8],
		[2, 4000, 0.1, 0.1, 0.12761],
		[8, 4000, 0.1, 0.1, 0.0003258]
	])('of more than %f allowances in %i h (scatter %f, %f) is %f', (share, hours, between, within1000h, chance) =>
		expect(chanceOfWear(share, hours, { hoursToLimit: 4000, between, within1000h }) / chance).toBeCloseTo(1, 2)
	);
	it('is below what is asked about for a slip of a tenth', () =>
		expect(chanceOfWear(16, 500, prior)).toBeLessThan(TOO_FAST));
});

describe('a verdict', () => {
	const wrong = [18.9, 18.9, 18.91].map((value, row) => reading(value, { row }));
	const judged = (readings: Reading[]) =>
		judge(inputFor(marram, 'plunger', recordOf(clean(), ...(readings as never[]))));
	it('waits for a reading that is asked about, in place of calling it inside its limit', () => {
		const judgement = judged(wrong);
		expect(judgement.verdict).toBe('lookAgain');
		expect(judgement.reasons[0]).toMatchObject({ code: 'questioned', slip: { why: 'betterThanNew' } });
		expect(judgement.reasons.some(({ code }) => code === 'insideLimit')).toBe(false);
		expect(judgement.measured).toEqual([]);
		expect(judgement.sizes).toHaveLength(1);
	});
	it('counts it once it is confirmed, and stays marked', () => {
		const sure = wrong.map((reading) => ({
			...reading,
			payload: { ...reading.payload, confirmed: 'oversize plunger' }
		})) as Reading[];
		const judgement = judged(sure);
		expect(judgement.reasons.some(({ code }) => code === 'questioned')).toBe(false);
		expect(judgement.reasons).toContainEqual(expect.objectContaining({ code: 'confirmed', why: 'oversize plunger' }));
		expect(judgement.measured).toHaveLength(1);
	});
});
