import fc from 'fast-check';
import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { arithmeticOf, endReason, judge, unknownLife, type JudgeInput } from '.';
import { fitCompetingFailures, lifePriorOf, wearPriorOf } from '../life';
import { partType } from '../part';
import { checkEntry, fold, discardLimit, pointsToRead, together, type Entry, type Station } from '../record';
import { clean, demoSheet, finding, inputFor, ran, read, recordOf } from './testing';

// Whatever is found and measured on whatever part of whatever sheet, a verdict comes out with its reasons and figures.
const names = readdirSync(new URL('../../../demo/sheets/', import.meta.url)).map((name) => name.replace('.json', ''));
const sheets = names.map(demoSheet);
const places = sheets.flatMap((sheet) => sheet.stations.map((station) => ({ sheet, station })));

const share = fc.double({ min: -0.2, max: 1.4, noNaN: true });

/** Readings of every size of a station at shares of its way from new to its limit. */
function readings({ characteristics }: Station, shares: readonly number[]): Entry[] {
	return characteristics.flatMap((characteristic, i) => {
		const limit = discardLimit(characteristic)?.value ?? characteristic.nominal * 1.1;
		const way = shares[i % shares.length];
		const { rows, columns } = pointsToRead(characteristic);
		const value = Math.max(
			characteristic.nominal * 0.05,
			characteristic.nominal + way * (limit - characteristic.nominal)
		);
		return rows.flatMap((_, row) =>
			columns.map((_, column) =>
				read(characteristic.key, value * (1 + 1e-4 * ((row * 7 + column * 3) % 5)), row, column)
			)
		);
	});
}

function findings({ type }: Station, picks: readonly number[]): Entry[] {
	const { patterns } = partType(type);
	return picks.map((pick) => finding(patterns[pick % patterns.length].pattern, (pick % 3) + 1));
}

const anyCase = fc.record({
	at: fc.nat({ max: places.length - 1 }),
	shares: fc.array(share, { minLength: 1, maxLength: 6 }),
	picks: fc.array(fc.nat({ max: 26 }), { maxLength: 3 }),
	hours: fc.option(fc.double({ min: 0, max: 20_000, noNaN: true }), { nil: undefined }),
	mateShares: fc.array(share, { minLength: 1, maxLength: 3 })
});
type Case = typeof anyCase extends fc.Arbitrary<infer T> ? T : never;

function inputOf({ at, shares, picks, hours, mateShares }: Case): JudgeInput {
	const { sheet, station } = places[at];
	const inspections = picks.length > 0 ? findings(station, picks) : [clean()];
	const mates = sheet.stations
		.filter((other) => station.mates.includes(other.key) || other.mates.includes(station.key))
		.map((other) => ({ station: other, record: recordOf(clean(), ...readings(other, mateShares)) }));
	const lives = [1200, 2500].map((held) => ({ before: [{ hours: 0, weight: 1 }], held }));
	const onRecord = { station: station.key, type: station.type, prior: lifePriorOf(station), lives };
	const ends = at % 2 === 0 ? fitCompetingFailures([onRecord])[station.key] : undefined;
	return inputFor(sheet, station.key, recordOf(...inspections, ...readings(station, shares)), {
		mates,
		life: { ...(hours === undefined ? unknownLife(station) : ran(station, hours)), ...(ends ? { ends } : {}) }
	});
}

describe('any part of any sheet, whatever is found and measured', () => {
	it('gets a verdict with its reasons, and figures that are numbers', () =>
		fc.assert(
			fc.property(anyCase, (drawn) => {
				const judgement = judge(inputOf(drawn));
				expect(['reuse', 'replace', 'lookAgain']).toContain(judgement.verdict);
				expect(judgement.reasons.length).toBeGreaterThan(0);
				for (const { value, u } of judgement.figures) {
					expect(Number.isFinite(value)).toBe(true);
					expect(u === undefined || (Number.isFinite(u) && u >= 0)).toBe(true);
				}
				for (const { risk } of Object.values(judgement.outlook)) {
					expect(risk.probability).toBeGreaterThanOrEqual(0);
					expect(risk.probability).toBeLessThanOrEqual(1);
				}
			}),
			{ seed: 31, numRuns: 300 }
		));
	it('opens to an arithmetic of numbers, step by step', () =>
		fc.assert(
			fc.property(anyCase, (drawn) => {
				const input = inputOf(drawn);
				for (const { key, inputs, result } of arithmeticOf(input, judge(input))) {
					expect(Number.isFinite(result.value), key).toBe(true);
					for (const { value } of inputs) expect(Number.isFinite(value), key).toBe(true);
				}
			}),
			{ seed: 32, numRuns: 200 }
		));
	it('does not get better by one more finding that condemns', () =>
		fc.assert(
			fc.property(anyCase, (drawn) => {
				const { station } = places[drawn.at];
				const condemning = partType(station.type).patterns.find(({ outFrom }) => outFrom !== undefined);
				fc.pre(condemning !== undefined);
				const input = inputOf(drawn);
				const worse = recordOf(
					...findings(station, drawn.picks),
					...readings(station, drawn.shares),
					finding(condemning!.pattern, 3)
				);
				const judgement = judge({ ...input, record: worse });
				expect(judgement.verdict).toBe('replace');
				expect(['worn', 'damaged']).toContain(endReason(judgement, station));
			}),
			{ seed: 33, numRuns: 200 }
		));
	it('is not changed by the order in which it was recorded', () =>
		fc.assert(
			fc.property(anyCase, (drawn) => {
				const input = inputOf(drawn);
				const { findings, clean, readings } = input.record;
				const entries = [...findings, ...(clean ? [clean] : []), ...readings];
				expect(judge({ ...input, record: recordOf(...entries.reverse()) }).verdict).toBe(judge(input).verdict);
			}),
			{ seed: 34, numRuns: 100 }
		));
});

describe('any size of any sheet', () => {
	const job = (at: number) => ({
		sheet: places[at].sheet,
		scope: places[at].station.scopes[0],
		stationOfPart: new Map([['part', places[at].station.key]]),
		holdOrder: false,
		log: () => fold([]),
		together: () => together(places[at].sheet, { scope: places[at].station.scopes[0] }, [], fold([]))
	});
	it('takes what a worn or new part measures, and suspects inches', () =>
		fc.assert(
			fc.property(fc.nat({ max: places.length - 1 }), fc.double({ min: 0, max: 1, noNaN: true }), (at, way) => {
				const { station } = places[at];
				const valueOf = (entry: Entry) => (entry.payload as { value: number }).value;
				for (const entry of readings(station, [way])) {
					const unit = station.characteristics.find(
						({ key }) => key === (entry.payload as { characteristic: string }).characteristic
					)!.unit;
					const typed = {
						...entry,
						payload: { ...entry.payload, typed: { text: valueOf(entry).toFixed(12), unit } }
					} as Entry;
					expect(checkEntry(typed, job(at))).toBeUndefined();
				}
				for (const characteristic of station.characteristics.filter(
					({ unit, nominal }) => unit === 'mm' && nominal >= 2
				)) {
					const kind = partType(station.type).characteristics.find(({ key }) => key === characteristic.key)!;
					if (!kind.form)
						expect(checkEntry(read(characteristic.key, characteristic.nominal / 25.4), job(at))).toMatchObject({
							code: 'implausible',
							suspect: 'inch'
						});
				}
			}),
			{ seed: 35, numRuns: 60 }
		));
	it('wears the more likely past its limit, the more it is worn', () => {
		for (const { sheet, station } of places) {
			for (const characteristic of station.characteristics.filter(
				(size) => discardLimit(size) && size.when === 'always'
			)) {
				const chance = (way: number) =>
					judge(
						inputFor(
							sheet,
							station.key,
							recordOf(clean(), ...readings({ ...station, characteristics: [characteristic] }, [way])),
							{ life: ran(station, wearPriorOf(station.type, characteristic)?.hoursToLimit ?? 1000) }
						)
					).outlook[characteristic.key].risk.probability;
				expect(chance(0.9), `${sheet.model} ${station.key}/${characteristic.key}`).toBeGreaterThanOrEqual(chance(0.3));
			}
		}
	});
});
