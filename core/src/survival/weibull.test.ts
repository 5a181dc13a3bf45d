import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	compareWeibull,
	exactLife,
	intervalCensored,
	endedShare,
	fitWeibull,
	rightCensored,
	leastScale,
	weibullLogLikelihood,
	type WeibullFit
} from '.';
import { relativeError } from '../number/testing';

const fitted = (fit: ReturnType<typeof fitWeibull>): WeibullFit => {
	if (fit.kind !== 'fitted') throw new Error(`no maximum: ${fit.reason}`);
	return fit;
};

const mixed = [
	...[420, 880, 1150, 1300, 1720].map(exactLife),
	...[600, 1500, 2000, 2000].map(rightCensored),
	intervalCensored(500, 1000),
	intervalCensored(1000, 1500),
	intervalCensored(0, 500)
];
// Two groups of remission times, in weeks: Freireich et al., Blood 21 (1963) 699–716, as printed in every textbook.
const drug = [
	...[6, 6, 6, 7, 10, 13, 16, 22, 23].map(exactLife),
	...[6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35].map(rightCensored)
];
const placebo = [1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23].map(exactLife);

describe('fitWeibull', () => {
	// scipy 1.17.1: weibull_min.fit of CensoredData; profile limits by its minimize_scalar and brentq on an own likelihood.
	it('agrees with an independent package on mixed censoring', () => {
		const fit = fitted(fitWeibull(mixed));
		expect(relativeError(fit.scale.value, 1583.4870171751395)).toBeLessThan(1e-7);
		expect(relativeError(fit.shape.value, 1.7515317628021123)).toBeLessThan(1e-7);
		expect(relativeError(fit.logLikelihood, -47.76136766657451)).toBeLessThan(1e-10);
		expect(relativeError(fit.b10.value, 438.1604012505427)).toBeLessThan(1e-7);
	});
	// A nested golden-section search over the likelihood as written, in another language.
	it('divides out what had to hold until a life was watched', () => {
		const late = [
			{ ...exactLife(1900), watchedFrom: 1200 },
			{ ...exactLife(2600), watchedFrom: 1500 },
			{ ...rightCensored(2400), watchedFrom: 1000 },
			{ ...rightCensored(3000), watchedFrom: 2200 },
			{ ...intervalCensored(1800, 2500), watchedFrom: 1400 }
		];
		const fit = fitted(fitWeibull([...mixed, ...late]));
		expect(relativeError(fit.scale.value, 1781.599012727303)).toBeLessThan(1e-6);
		expect(relativeError(fit.shape.value, 1.5373842229199042)).toBeLessThan(1e-6);
		expect(relativeError(fit.logLikelihood, -66.45574194199219)).toBeLessThan(1e-10);
		expect(fitWeibull(mixed.map((life) => ({ ...life, watchedFrom: 0 })))).toEqual(fitWeibull(mixed));
		expect(() => fitWeibull([{ ...exactLife(900), watchedFrom: 1000 }])).toThrow('from 0 to 900');
	});
	it('finds scale and shape again where only what lived to 1,500 h is on record', () => {
		// 400 lives of scale 2000 and shape 2.5 at the middles of equal shares.
		const all = Array.from({ length: 400 }, (_, i) => 2000 * (-Math.log((i + 0.5) / 400)) ** (1 / 2.5));
		const seen = all.filter((hours) => hours > 1500).map(exactLife);
		const fit = fitted(fitWeibull(seen.map((life) => ({ ...life, watchedFrom: 1500 }))));
		expect(fit.shape.value).toBeGreaterThan(2.2);
		expect(fit.shape.value).toBeLessThan(2.8);
		expect(relativeError(fit.scale.value, 2000)).toBeLessThan(0.05);
		expect(fitted(fitWeibull(seen)).shape.value).toBeGreaterThan(4); // as if they had been watched from new
	});
	it.each([
		['shape', 0.8464895755800731, 3.048268607773454],
		['scale', 1059.2619208714746, 2816.5864950411083],
		['b10', 110.0376534021497, 821.0209727099372]
	] as const)('limits of %s by the profile likelihood', (of, low, high) => {
		const limits = fitted(fitWeibull(mixed))[of];
		expect(relativeError(limits.low!, low)).toBeLessThan(1e-6);
		expect(relativeError(limits.high!, high)).toBeLessThan(1e-6);
	});
	it('agrees on the published remission times', () => {
		const fit = fitted(fitWeibull(drug));
		expect(relativeError(fit.scale.value, 33.76515101)).toBeLessThan(1e-7); // scipy 1.17.1
		expect(relativeError(fit.shape.value, 1.35373448)).toBeLessThan(1e-7);
		expect(fit.phase).toBe('open');
	});
	it.each([
		['nothing ended', [rightCensored(1000), rightCensored(2000)], 'noEnds'],
		['no life at all', [], 'noEnds'],
		['all lives equal', [exactLife(1000), exactLife(1000), exactLife(1000)], 'endedTogether'],
		['one end, nothing beyond it', [exactLife(1000), rightCensored(400)], 'endedTogether'],
		['all found at one service', [intervalCensored(0, 1500), intervalCensored(0, 1500)], 'endedTogether'],
		[
			'one service interval for all',
			[intervalCensored(0, 1500), rightCensored(1500), rightCensored(1500)],
			'oneInspection'
		],
		[
			'one age in every interval',
			[intervalCensored(500, 1500), intervalCensored(1000, 2000), rightCensored(900)],
			'endedTogether'
		],
		['early ends, then none', [intervalCensored(0, 10), rightCensored(5000), rightCensored(9000)], 'shapeRunsDown']
	])('says why there is none: %s', (_, lives, reason) =>
		expect(fitWeibull(lives)).toMatchObject({ kind: 'noMaximum', reason })
	);
	it('leaves out lives of nought hours and counts them', () => {
		const fit = fitted(fitWeibull([...mixed, exactLife(0), rightCensored(0)]));
		expect(fit.zeroHours).toBe(2);
		expect(fit.shape.value).toBe(fitted(fitWeibull(mixed)).shape.value);
	});
	it('fits one end among longer lives, and sets wide limits', () => {
		const fit = fitted(fitWeibull([exactLife(500), rightCensored(1000), rightCensored(1500)]));
		expect(fit.shape.low!).toBeLessThan(fit.shape.value / 5);
		expect(fit.scale.high ?? Infinity).toBeGreaterThan(1e5);
	});
	it('scales with the hours and does not hang on their order', () =>
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 10, max: 9000 }), fc.constantFrom(exactLife, rightCensored)), {
					minLength: 4,
					maxLength: 40
				}),
				fc.double({ min: 0.01, max: 100, noNaN: true }),
				(raw, by) => {
					const fit = fitWeibull(raw.map(([hours, as]) => as(hours)));
					const other = fitWeibull(raw.toReversed().map(([hours, as]) => as(hours * by)));
					expect(other.kind).toBe(fit.kind);
					if (fit.kind !== 'fitted' || other.kind !== 'fitted') return;
					expect(relativeError(other.scale.value, fit.scale.value * by)).toBeLessThan(1e-6);
					expect(relativeError(other.shape.value, fit.shape.value)).toBeLessThan(1e-6);
					expect(fit.shape.low ?? 0).toBeLessThan(fit.shape.value);
					expect(fit.b10.high ?? Infinity).toBeGreaterThan(fit.b10.value);
				}
			),
			{ seed: 5 }
		));
	it('lies at a top of the likelihood', () => {
		const { shape, scale, logLikelihood } = fitted(fitWeibull(mixed));
		for (const [a, b] of [
			[1.01, 1],
			[0.99, 1],
			[1, 1.01],
			[1, 0.99]
		])
			expect(weibullLogLikelihood(mixed, scale.value * a, shape.value * b)).toBeLessThan(logLikelihood);
	});
	it.each([[[exactLife(-1)]], [[intervalCensored(5, 4)]], [[rightCensored(Infinity)]], [[exactLife(NaN)]]])(
		'refuses %j',
		(lives) => expect(() => fitWeibull(lives)).toThrow('fitWeibull')
	);
});

describe('endedShare', () => {
	it('holds the share between its limits and is 63.2 % at the scale', () => {
		const fit = fitted(fitWeibull(mixed));
		const { value, low, high } = endedShare(fit, fit.scale.value);
		expect(value).toBeCloseTo(1 - Math.exp(-1), 12);
		expect(low).toBeLessThan(value);
		expect(high).toBeGreaterThan(value);
	});
});

describe('leastScale', () => {
	it('is the hour by which five of a hundred such records would have stayed without an end', () => {
		const scale = leastScale([rightCensored(1000), rightCensored(1000)], 2);
		expect(2 * (1000 / scale) ** 2).toBeCloseTo(-Math.log(0.05), 12);
	});
	it('is for records without ends', () => expect(() => leastScale([exactLife(5)], 2)).toThrow('leastScale'));
});

describe('compareWeibull', () => {
	// scipy 1.17.1, minimising the likelihood of both groups with a common shape and two scales.
	it('agrees with an independent maximisation', () => {
		const compared = compareWeibull(drug, placebo);
		if (compared.kind !== 'compared') throw new Error('no comparison');
		expect(relativeError(compared.ratio.value, 0.28158114389307887)).toBeLessThan(1e-5);
		expect(relativeError(compared.ratio.low!, 0.13671773350757827)).toBeLessThan(1e-4);
		expect(relativeError(compared.ratio.high!, 0.4888496595441456)).toBeLessThan(1e-4);
		expect(relativeError(compared.pScale, 9.291424441921618e-6)).toBeLessThan(1e-3);
		expect(compared.pShape).toBeCloseTo(0.9700355529967928, 4);
	});
	it('turns over with its groups', () => {
		const there = compareWeibull(drug, placebo);
		const back = compareWeibull(placebo, drug);
		if (there.kind !== 'compared' || back.kind !== 'compared') throw new Error('no comparison');
		expect(relativeError(there.ratio.value * back.ratio.value, 1)).toBeLessThan(1e-5);
		expect(relativeError(there.pScale, back.pScale)).toBeLessThan(1e-4);
	});
	it('says where there is nothing to compare', () =>
		expect(compareWeibull([rightCensored(100)], [rightCensored(50)])).toEqual(
			expect.objectContaining({ reason: 'noEnds' })
		));
});
