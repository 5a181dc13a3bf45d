import { describe, expect, it } from 'vitest';
import {
	ageNodes,
	dutyClassOf,
	dutyHours,
	endsBefore,
	fitCompetingFailures,
	newPartFails,
	riskOfCompetingFailure,
	type OtherLife
} from '.';
import type { LifePrior } from '.';

const prior: LifePrior = { scaleHours: 20_000, shape: 1.3, priorWeight: 2, from: 'sheet' };
const NEW = [{ hours: 0, weight: 1 }];
const life = (held: number, endedBy?: number): OtherLife => ({ before: NEW, held, ...(endedBy ? { endedBy } : {}) });
const record = (station: string, type: string, lives: readonly OtherLife[]) => ({ station, type, prior, lives });
const known = (hours: number) => ({ kind: 'known' as const, hours });

describe('other ends', () => {
	it('agrees with direct integration over scale and shape', () => {
		// numpy 2: Weibull, lives 3000+, (1500, 3000], (0, 1500], 4500+; 1041 shapes (± 2.6 σ) by 2801 scales, 15 % of the prior about scales
		// e² longer, its share held at 14,257 h = 20,000·(2625/20,000)^(4/24).
		const { s } = fitCompetingFailures([record('s', 't', [life(3000), life(1500, 3000), life(0, 1500), life(4500)])]);
		expect(riskOfCompetingFailure(s, known(1000), 2000).probability).toBeCloseTo(0.14874506161118428, 3);
		expect([s.events, s.lives]).toEqual([2, 4]);
	});
	it('stays at its prior where a record says nothing: one inspection a life, nothing found', () => {
		const { s } = fitCompetingFailures([record('s', 't', [life(0), life(0)])]);
		const before = riskOfCompetingFailure(endsBefore(prior), known(0), 2000).probability;
		expect(riskOfCompetingFailure(s, known(0), 2000).probability).toBeCloseTo(before, 3);
	});
	it('does not run off where every life is renewed at one interval', () => {
		const renewed = Array.from({ length: 60 }, () => life(1500));
		const { s } = fitCompetingFailures([record('s', 't', renewed)]);
		const used = riskOfCompetingFailure(s, known(1500), 1500).probability;
		const fresh = riskOfCompetingFailure(s, known(0), 1500).probability;
		expect(used).toBeGreaterThan(fresh); // the prior's shape decides, and it wears out
		expect(used).toBeLessThan(6 * fresh);
		expect(fresh).toBeLessThan(riskOfCompetingFailure(endsBefore(prior), known(0), 1500).probability);
	});
	it('believes three hundred lives in which nothing ended', () => {
		// 450,000 h without an end: at a constant rate, half an end (Jeffreys) is 0.22 % in 2000 h, three (95 %) are 1.3 %.
		const lives = Array.from({ length: 300 }, (_, i) => life((3000 * (i + 0.5)) / 300));
		const { probability, high } = riskOfCompetingFailure(
			fitCompetingFailures([record('s', 't', lives)]).s,
			known(0),
			2000
		);
		expect(probability).toBeLessThan(0.005);
		expect(high).toBeLessThan(0.013);
	});
	it('is at a new part what the risk says', () => {
		const ends = endsBefore(prior);
		expect(newPartFails(ends, 2000)).toBe(riskOfCompetingFailure(ends, known(0), 2000).probability);
		expect(() => newPartFails(ends, NaN)).toThrow('further');
	});
	it('learns from seven ends in three hundred lives that parts wear out, or that they fail young', () => {
		// Shape 2.5 and 0.7, seven ends expected by 3000 h; a part 3000 h old, 2000 h on: true 19.0 and 1.7 %.
		const said = (shape: number) => {
			const scale = 3000 / ((7 / 300) * (shape + 1)) ** (1 / shape);
			const lives = Array.from({ length: 300 }, (_, i) => {
				const age = (3000 * (i + 0.5)) / 300;
				const ended = scale * (-Math.log(1 - (((i + 0.5) * 0.618034) % 1))) ** (1 / shape);
				const from = Math.floor(ended / 1000) * 1000;
				return ended < age ? life(from, Math.min(age, from + 1000)) : life(age);
			});
			return riskOfCompetingFailure(fitCompetingFailures([record('s', 't', lives)]).s, known(3000), 2000).probability;
		};
		expect(said(2.5)).toBeGreaterThan(0.1);
		expect(said(0.7)).toBeLessThan(said(2.5) / 2);
	});
	it('is quiet after many good hours and loud after many ends', () => {
		const chance = (lives: readonly OtherLife[]) =>
			riskOfCompetingFailure(fitCompetingFailures([record('s', 't', lives)]).s, known(1000), 2000).probability;
		const good = chance(Array.from({ length: 40 }, () => life(4000)));
		const bad = chance(Array.from({ length: 40 }, () => life(0, 1500)));
		const before = chance([]);
		expect(good).toBeLessThan(before);
		expect(bad).toBeGreaterThan(4 * before);
	});
	it('leans on its part type and the shop, its own most', () => {
		const ends = Array.from({ length: 20 }, () => life(0, 1500));
		const fits = fitCompetingFailures([record('a', 'seal', ends), record('b', 'seal', []), record('c', 'valve', [])]);
		const chance = (station: string) => riskOfCompetingFailure(fits[station], known(1000), 2000).probability;
		expect(chance('a')).toBeGreaterThan(chance('b'));
		expect(chance('b')).toBeGreaterThan(chance('c'));
		expect(chance('c')).toBeGreaterThan(riskOfCompetingFailure(endsBefore(prior), known(1000), 2000).probability);
	});
	it('never takes an unknown age for none', () => {
		const ends = endsBefore({ ...prior, shape: 2.5 });
		const unknown = riskOfCompetingFailure(ends, { kind: 'unknown', seenFor: 0, atMost: 12_000 }, 1500).probability;
		expect(unknown).toBeGreaterThan(3 * riskOfCompetingFailure(ends, known(0), 1500).probability);
	});
	it('refuses an end before the part held, and priors that cannot be', () => {
		expect(() => fitCompetingFailures([record('s', 't', [life(2000, 1000)])])).toThrow('endedBy is 1000');
		expect(() => fitCompetingFailures([record('s', 't', [life(-1)])])).toThrow('held');
		expect(() => endsBefore({ ...prior, shape: NaN })).toThrow('shape');
		expect(() => riskOfCompetingFailure(endsBefore(prior), known(0), -1)).toThrow('further');
	});
});

describe('ageNodes', () => {
	it('are the age where it is known, else all that the record allows, together 1', () => {
		expect(ageNodes(known(1500))).toEqual([{ hours: 1500, weight: 1 }]);
		const nodes = ageNodes({ kind: 'unknown', seenFor: 500, atMost: 4500 });
		expect(nodes.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
		expect(Math.min(...nodes.map(({ hours }) => hours))).toBeGreaterThan(500);
		expect(nodes.at(-1)).toEqual({ hours: 4500, weight: 0.5 });
	});
	it('refuse a part older than its pump', () =>
		expect(() => ageNodes({ kind: 'unknown', seenFor: 5000, atMost: 4000 })).toThrow('atMost is 4000'));
});

describe('duty', () => {
	const sheet = {
		duty: [
			{ key: 'dirty', name: 'Dirty', when: { liquids: ['Pond water'] }, wearFactor: 1.3 },
			{ key: 'hard', name: 'Hard', when: { pressureShare: 0.7, speedShare: 0.9 }, wearFactor: 1.2 }
		],
		ratedPressureMPa: 12,
		ratedSpeedRpm: 1000
	};
	it('is the first class whose every condition holds, else ordinary', () => {
		expect(dutyClassOf({ liquid: ' pond WATER ', pressureMPa: 11, speedRpm: 950 }, sheet).key).toBe('dirty');
		expect(dutyClassOf({ liquid: 'Seawater', pressureMPa: 8.4, speedRpm: 900 }, sheet).key).toBe('hard');
		expect(dutyClassOf({ liquid: 'Seawater', pressureMPa: 11 }, sheet)).toEqual({ key: '', wearFactor: 1 });
		expect(dutyClassOf({}, sheet).wearFactor).toBe(1);
	});
	it('weighs each stretch of running with its factor, and goes on with the last', () => {
		const stretches = [
			{ untilHours: 1000, wearFactor: 1 },
			{ untilHours: 2000, wearFactor: 1.5 }
		];
		expect(dutyHours(stretches, 500, 1500)).toBe(500 + 750);
		expect(dutyHours(stretches, 1500, 3000)).toBe(750 + 1500);
		expect(dutyHours([], 100, 300)).toBe(200);
		expect(() => dutyHours(stretches, 300, 100)).toThrow('dutyHours');
	});
});
