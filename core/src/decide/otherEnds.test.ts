import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOfOtherEnd, fitOtherEnds, type OtherEnds, type OtherLife } from '.';

const life = (held: number, endedBy?: number): OtherLife => (endedBy === undefined ? { held } : { held, endedBy });
const lives = [
	life(1200),
	life(900, 1500),
	life(2500, 3100),
	life(3000),
	life(1700, 2400),
	life(400, 1000),
	life(2000, 2900),
	life(3500),
	life(1000),
	life(1500, 2600),
	life(2800, 3300),
	life(600)
];
const weibull = (found: OtherEnds) => found as Extract<OtherEnds, { kind: 'weibull' }>;

describe('fitOtherEnds', () => {
	// Reference: scipy 1.17.1, Nelder–Mead on the same likelihood to 1e-12: scale 2837.79259, shape 2.54644253.
	it('finds the maximum of the likelihood with censored and interval-censored lives', () => {
		const found = weibull(fitOtherEnds(lives));
		expect(found).toMatchObject({ kind: 'weibull', events: 7, lives: 12 });
		expect(found.scale / 2837.79259).toBeCloseTo(1, 4);
		expect(found.shape / 2.54644253).toBeCloseTo(1, 4);
	});
	it('scales with the unit of time, its shape does not', () => {
		const hours = weibull(fitOtherEnds(lives));
		const days = weibull(
			fitOtherEnds(lives.map(({ held, endedBy }) => life(held / 24, endedBy === undefined ? undefined : endedBy / 24)))
		);
		expect(days.shape).toBeCloseTo(hours.shape, 6);
		expect(days.scale * 24).toBeCloseTo(hours.scale, 3);
	});
	it('recovers the life from its own fleet, looked at now and then and renewed at 3000 h', () => {
		let state = 77;
		const uniform = () => ((state = (state * 1103515245 + 12345) % 2147483648) + 0.5) / 2147483648;
		const [scale, shape, look, renewed] = [3500, 2.2, 400, 3000];
		const fleet = Array.from({ length: 800 }, () => {
			const end = scale * (-Math.log(uniform())) ** (1 / shape);
			if (end > renewed) return life(renewed);
			const before = Math.floor(end / look) * look;
			return life(before, before + look);
		});
		const found = weibull(fitOtherEnds(fleet));
		expect(Math.abs(found.shape / shape - 1)).toBeLessThan(0.12);
		expect(Math.abs(found.scale / scale - 1)).toBeLessThan(0.08);
	});
	it('sees early ends as early, and ends at random as random', () => {
		const at = (times: number[]) =>
			weibull(
				fitOtherEnds([...times.map((t) => life(t * 0.9, t * 1.1)), ...Array.from({ length: 20 }, () => life(4000))])
			).shape;
		expect(at([20, 60, 150, 40, 90, 25, 300, 70])).toBeLessThan(0.8);
		expect(at([2600, 3100, 3500, 3300, 2900, 3700, 3800, 3600])).toBeGreaterThan(2);
	});
	it('below five ends takes a constant rate and says so', () =>
		expect(fitOtherEnds([life(100, 300), life(500)])).toEqual({
			kind: 'constant',
			because: 'fewEvents',
			events: 1,
			lives: 2,
			hours: 700
		}));
	it('takes the hours of parts of unknown age into a rate, and leaves them out of a shape', () => {
		const seen = { lives: 30, events: 1, hours: 90_000 };
		expect(fitOtherEnds([life(100, 300), life(500)], seen)).toMatchObject({ events: 2, lives: 32, hours: 90_700 });
		expect(fitOtherEnds([], seen)).toMatchObject({ kind: 'constant', events: 1, hours: 90_000 });
		expect(fitOtherEnds(lives, seen)).toEqual(fitOtherEnds(lives));
	});
	it('comes to an end where all lives end in one interval, with a fit or without', () => {
		const found = fitOtherEnds(Array.from({ length: 8 }, () => life(900, 1100)));
		expect(found.events).toBe(8);
		expect(chanceOfOtherEnd(found, 0, 2000)).toBeGreaterThan(0.5);
		expect(Number.isFinite(chanceOfOtherEnd(found, 500, 100))).toBe(true);
	});
	it.each([
		[[], 'some hours run'],
		[[life(-1)], 'held is -1'],
		[[life(100, 100)], 'endedBy is 100'],
		[[life(NaN)], 'held is NaN']
	])('refuses %j', (bad, says) => expect(() => fitOtherEnds(bad)).toThrow(says));
});

describe('chanceOfOtherEnd', () => {
	const fitted: OtherEnds = { kind: 'weibull', shape: 2.54644253, scale: 2837.79259, events: 7, lives: 12 };
	const constant: OtherEnds = { kind: 'constant', because: 'fewEvents', events: 0, lives: 30, hours: 60_000 };
	it('is conditional on having held so far', () =>
		expect(chanceOfOtherEnd(fitted, 1500, 2000)).toBeCloseTo(0.7787974987, 8));
	it('of no ends on record is small, not zero', () => {
		const p = chanceOfOtherEnd(constant, 1000, 2000);
		expect(p).toBeCloseTo(1 - Math.sqrt(60_000 / 62_000), 12);
	});
	it('grows with the hours ahead, from nothing', () =>
		fc.assert(
			fc.property(
				fc.constantFrom(fitted, constant),
				fc.double({ min: 0, max: 20_000, noNaN: true }),
				fc.double({ min: 0, max: 5000, noNaN: true }),
				(ends, hours, further) => {
					expect(chanceOfOtherEnd(ends, hours, 0)).toBeCloseTo(0, 12);
					const [less, more] = [further, further + 100].map((h) => chanceOfOtherEnd(ends, hours, h));
					expect(more).toBeGreaterThanOrEqual(less);
					expect(more).toBeLessThanOrEqual(1);
				}
			),
			{ seed: 4 }
		));
	it('refuses hours below 0', () => expect(() => chanceOfOtherEnd(fitted, -1, 10)).toThrow('hours is -1'));
});
