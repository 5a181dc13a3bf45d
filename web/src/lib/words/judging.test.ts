// Every sentence that judges follows from its interval, for every count of a grid.
import { describe, expect, it } from 'vitest';
import { compareWeibull, exactLife, rightCensored, repairTrend } from '@exetasis/core/survival';
import { compareRates, comparePlaces, falseDiscovery, fixWorked, type EventsAtPlace } from '@exetasis/core/trace';
import { fixWords } from './fix';
import { comparisonSentence, trendSentence } from './survival';
import { defaultFormat } from '../format/numbers';

const counts = [0, 1, 2, 3, 5, 8, 20];

describe('judging sentences', () => {
	it('say of a fix only what its test or its limits allow, over a grid of counts', () => {
		const said = new Set<string>();
		for (const before of counts)
			for (const inspectionsBefore of counts.filter((n) => n >= before && n > 0))
				for (const since of counts)
					for (const inspectionsSince of counts.filter((n) => n >= since)) {
						const side = (events: number, inspections: number) => ({
							events,
							inspections,
							exposure: inspections * 1500
						});
						const fix = fixWorked(side(before, inspectionsBefore), side(since, inspectionsSince));
						const words = fixWords(fix, defaultFormat);
						said.add(words.verdict);
						if (words.verdict.includes('has worked')) expect(fix.chance).toBeLessThanOrEqual(0.05 + 1e-9);
						if (words.verdict.includes('has not worked')) expect(fix.comparison!.low).toBeGreaterThan(0.5);
						if (fix.comparison?.low !== undefined && fix.comparison.low <= 0.5 && fix.chance! > 0.05 + 1e-9)
							expect(words.verdict).toBe('Too early to tell.');
						if (inspectionsSince === 0) expect(words.figures).toContain('has not been inspected since');
						expect(words.figures).not.toMatch(/NaN|undefined|Infinity/);
					}
		expect(said.size).toBe(3);
	});
	it('call two groups of lives different only where the limits of their ratio exclude 1', () => {
		const said = { told: 0, open: 0 };
		for (const times of [0.2, 0.6, 0.9, 1, 1.2, 2, 6])
			for (const ended of [2, 4, 10]) {
				const lives = (scale: number) => [
					...Array.from({ length: ended }, (_, i) => exactLife(scale * (-Math.log(1 - (i + 0.5) / ended)) ** 0.4)),
					rightCensored(scale)
				];
				const compared = compareWeibull(lives(2000), lives(2000 * times));
				const sentence = comparisonSentence(compared, ['A', 'B'], undefined, defaultFormat);
				if (compared.kind !== 'compared') continue;
				const { low = 0, high = Infinity } = compared.ratio;
				const told = low > 1 || high < 1;
				said[told ? 'told' : 'open']++;
				expect(sentence).toMatch(told ? /^B lasts/ : /^A and B cannot be told apart yet/);
				expect(sentence).not.toMatch(/NaN|undefined|Infinity/);
			}
		expect(said.told).toBeGreaterThan(3);
		expect(said.open).toBeGreaterThan(3);
	});
	it('say that pumps more frequent or better only where the limits of the exponent exclude 1', () => {
		const said = new Set<string>();
		for (const first of counts)
			for (const second of counts)
				for (const pumps of [3, 6]) {
					const history = { visits: [0, 2000, 4000], replaced: [first, second] };
					const trend = repairTrend(Array.from({ length: pumps }, () => history));
					const sentence = trendSentence(trend, pumps, defaultFormat);
					expect(sentence).not.toMatch(/NaN|undefined|Infinity/);
					if (!trend.exponent) {
						expect(sentence).toContain('too few for a trend');
						continue;
					}
					const { low = 0, high = Infinity } = trend.exponent;
					const way = low > 1 ? 'become more frequent' : high < 1 ? 'become less frequent' : 'cannot be told yet';
					said.add(way);
					expect(sentence).toContain(way);
				}
		expect(said).toEqual(new Set(['become more frequent', 'become less frequent', 'cannot be told yet']));
	});
	it('let a place stand out only where even the low limit of its rate is beyond the others', () => {
		let standing = 0;
		for (const own of counts)
			for (const others of [0, 1, 2, 5]) {
				const rows = ['a', 'b', 'c', 'd'].flatMap((pump, i): EventsAtPlace[] => [
					{ pump, station: 'packing', cylinder: 1, pattern: null, events: 0, hours: 10_000 },
					{ pump, station: 'packing', cylinder: 1, pattern: 'torn', events: i === 0 ? own : others, hours: 0 }
				]);
				const compared = comparePlaces(rows, () => 'Marram');
				const qs = falseDiscovery(compared.map(({ p }) => p));
				for (const [i, { row, crude, shrunken }] of compared.entries())
					if (qs[i] <= 0.05) {
						standing++;
						expect(row.pump).toBe('a');
						expect((crude ?? shrunken)!.low).toBeGreaterThan(1);
						expect(
							compareRates({ events: own, exposure: 1e4 }, { events: 3 * others, exposure: 3e4 }).low
						).toBeGreaterThan(1);
					}
			}
		expect(standing).toBeGreaterThan(3);
	});
});
