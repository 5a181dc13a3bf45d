import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { againstFleet, compareRates, falseDiscovery, fixWorked, fleetRate } from '.';
import { relativeError } from '../number/testing';

describe('compareRates', () => {
	it('agrees with the exact binomial of an independent package', () => {
		// scipy 1.17.1, binomtest(9, 12, 0.4): limits of the share by Clopper and Pearson.
		const { low, high, ratio } = compareRates({ events: 9, exposure: 2 }, { events: 3, exposure: 3 });
		const asRatio = (share: number) => ((share / (1 - share)) * 3) / 2;
		expect(relativeError(low, asRatio(0.42814153812190026))).toBeLessThan(1e-9);
		expect(relativeError(high!, asRatio(0.9451393554720076))).toBeLessThan(1e-9);
		expect(ratio).toBeCloseTo(4.5, 12);
	});
	it('says what nothing says', () => {
		const none = compareRates({ events: 0, exposure: 1 }, { events: 0, exposure: 5 });
		expect(none).toMatchObject({ low: 0, p: 1 });
		expect(none.ratio).toBeUndefined();
		expect(none.high).toBeUndefined();
		expect(compareRates({ events: 2, exposure: 1 }, { events: 0, exposure: 1 })).not.toHaveProperty('high');
	});
	it('raises false alarms in no more than their share of cases', () => {
		// Every outcome of 12 events, exposures 1 to 2: the exact chance that p falls to 0.05 or below.
		const chance = Array.from({ length: 13 }, (_, k) => k)
			.filter((k) => compareRates({ events: k, exposure: 1 }, { events: 12 - k, exposure: 2 }).p <= 0.05)
			.reduce((sum, k) => sum + binomial(12, k) * (1 / 3) ** k * (2 / 3) ** (12 - k), 0);
		expect(chance).toBeLessThanOrEqual(0.05);
		expect(chance).toBeGreaterThan(0);
	});
	it.each([
		[-1, 1],
		[1.5, 1],
		[1, 0],
		[1, NaN]
	])('refuses %d in %d', (events, exposure) =>
		expect(() => compareRates({ events, exposure }, { events: 1, exposure: 1 })).toThrow('compareRates')
	);
});
const binomial = (n: number, k: number): number => (k === 0 ? 1 : (binomial(n, k - 1) * (n - k + 1)) / k);

describe('falseDiscovery', () => {
	it('agrees with an independent package', () =>
		// scipy 1.17.1, false_discovery_control.
		falseDiscovery([0.01, 0.04, 0.03, 0.005, 0.9]).forEach((value, i) =>
			expect(value).toBeCloseTo([0.025, 0.05, 0.05, 0.025, 0.9][i], 14)
		));
	it('keeps the order and never falls below what was given', () =>
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 30 }), (ps) => {
				const adjusted = falseDiscovery(ps);
				for (const [i, p] of ps.entries()) {
					expect(adjusted[i]).toBeGreaterThanOrEqual(p * (1 - 1e-12));
					for (const [j, other] of ps.entries()) if (p < other) expect(adjusted[i]).toBeLessThanOrEqual(adjusted[j]);
				}
			}),
			{ seed: 2 }
		));
});

describe('fleetRate', () => {
	const members = [0, 1, 0, 5, 2, 0, 9, 1, 0, 3].map((events, i) => ({
		events,
		exposure: [2, 3, 1.5, 4, 2.5, 1, 3.5, 2, 1, 2][i]
	}));
	it('agrees with an independent maximisation', () => {
		// scipy 1.17.1, nbinom.logpmf minimised over ln shape and ln rate.
		const fleet = fleetRate(members);
		if (fleet.kind !== 'spread') throw new Error(fleet.kind);
		expect(relativeError(fleet.shape, 1.73110858)).toBeLessThan(1e-5);
		expect(relativeError(fleet.rate, 2.11802714)).toBeLessThan(1e-5);
	});
	// scipy 1.17, Nelder–Mead from nine starts. The counts vary by less than chance, and a spread is likelier all the same.
	it('finds a spread that the variance of the counts does not show', () => {
		const exposures = [18.2, 335.9, 336.6, 691.1, 2.4, 2.5, 23.5, 1.42, 1.41, 17.4];
		const events = [0, 0, 0, 3, 0, 0, 0, 0, 1, 0];
		const rate = fleetRate(exposures.map((exposure, i) => ({ events: events[i], exposure })));
		if (rate.kind !== 'spread') throw new Error(`one rate for all: ${rate.kind}`);
		expect(rate.shape).toBeCloseTo(0.0863777, 5);
		expect(rate.mean).toBeCloseTo(0.0360684, 5);
	});
	it('says one rate for all where nothing is spread, and none where nothing happened', () => {
		expect(fleetRate([1, 1, 1, 1].map((events) => ({ events, exposure: 10 })))).toEqual({ kind: 'pooled', mean: 0.1 });
		expect(fleetRate([{ events: 0, exposure: 10 }])).toEqual({ kind: 'none' });
	});
});

describe('againstFleet', () => {
	const fleet = { kind: 'spread', shape: 2, rate: 1000, mean: 0.002 } as const;
	it('stays near the fleet without hours and goes to the own record with many', () => {
		expect(againstFleet({ events: 0, exposure: 1 }, fleet)!.ratio).toBeCloseTo(1, 2);
		expect(againstFleet({ events: 2000, exposure: 1e5 }, fleet)!.ratio).toBeCloseTo(10, 0);
	});
	it('holds its tail to the negative binomial', () => {
		// scipy 1.17.1: nbinom.sf(4, 2, 1000/3000) and nbinom.sf(39, 2, 1000/3000).
		expect(relativeError(againstFleet({ events: 5, exposure: 2000 }, fleet)!.p, 0.3511659807956106)).toBeLessThan(
			1e-10
		);
		expect(relativeError(againstFleet({ events: 40, exposure: 2000 }, fleet)!.p, 1.2962740846803892e-6)).toBeLessThan(
			1e-9
		);
	});
	it('has nothing to hold a rate to where nothing happened', () =>
		expect(againstFleet({ events: 1, exposure: 10 }, { kind: 'none' })).toBeUndefined());
});

describe('fixWorked', () => {
	const side = (events: number, inspections: number, exposure = 1000 * inspections) => ({
		events,
		inspections,
		exposure
	});
	it('is proved by as many clean inspections as the exact test wants, and not by one less', () => {
		// Found in all of three: 1/C(3 + m, 3) ≤ 0.05 from m = 3 on, 1/20.
		expect(fixWorked(side(3, 3), side(0, 3)).verdict).toBe('worked');
		expect(fixWorked(side(3, 3), side(0, 2))).toMatchObject({
			verdict: 'open',
			inspectionsNeeded: 3,
			inspectionsStillNeeded: 1
		});
	});
	it('agrees with scipy 1.17, fisher_exact, one-sided', () => {
		// [[0, 6], [4, 4]]: 0.0699; [[0, 9], [4, 4]]: 0.0294.
		expect(fixWorked(side(4, 8), side(0, 6)).verdict).toBe('open');
		expect(fixWorked(side(4, 8), side(0, 9)).verdict).toBe('worked');
	});
	it('has not worked only where the limits exclude half as often', () => {
		expect(fixWorked(side(2, 3), side(2, 2)).verdict).toBe('open');
		expect(fixWorked(side(10, 20), side(40, 50, 20_000)).verdict).toBe('not');
	});
	it('says by inspections how long to wait, and compares nothing, before the first inspection since', () => {
		const told = fixWorked(side(14, 20), side(0, 0));
		expect(told).toMatchObject({ verdict: 'open', inspectionsStillNeeded: told.inspectionsNeeded });
		expect(told.comparison).toBeUndefined();
	});
	it('has nothing to wait for where nothing had been found, or it came again', () => {
		expect(fixWorked(side(0, 3), side(0, 1)).inspectionsNeeded).toBeUndefined();
		expect(fixWorked(side(3, 3), side(1, 4)).inspectionsNeeded).toBeUndefined();
	});
	it('claims a fix that does nothing in one case of twenty at most, whatever the share found', () => {
		for (const share of [0.2, 0.5, 0.8]) {
			const chance = (n: number, k: number) => {
				let choose = 1;
				for (let i = 0; i < k; i++) choose = (choose * (n - i)) / (i + 1);
				return choose * share ** k * (1 - share) ** (n - k);
			};
			let claimed = 0;
			for (let before = 0; before <= 6; before++)
				for (let since = 0; since <= 4; since++)
					if (fixWorked(side(before, 6), side(since, 4)).verdict === 'worked')
						claimed += chance(6, before) * chance(4, since);
			expect(claimed).toBeLessThan(0.05);
		}
	});
	it('refuses more finds than inspections', () =>
		expect(() => fixWorked(side(3, 2), side(0, 1))).toThrow('at least 3'));
});
