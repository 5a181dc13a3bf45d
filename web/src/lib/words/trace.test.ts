import { describe, expect, it } from 'vitest';
import { fitWeibull, exactLife, rightCensored } from '@exetasis/core/survival';
import { readNetwork, startingNetwork } from '@exetasis/core/trace';
import { causeAtPlace, faultSentence, findingAtPlace } from './causes';
import { comparisonSentence, limitsWords, noMaximumWords, trendSentence } from './survival';
import { defaultFormat } from '../format/numbers';

describe('words of causes', () => {
	it('name a cause and a finding with where they are', () => {
		expect(causeAtPlace(startingNetwork, { cause: 'wornMate', cylinder: 2 })).toBe('Worn mate kept, cylinder 2');
		expect(causeAtPlace(startingNetwork, { cause: 'solids', cylinder: 0 })).toBe('Solids in the fluid');
		expect(findingAtPlace(startingNetwork, { finding: 'nowhere', cylinder: 1 })).toBe('nowhere, cylinder 1');
	});
	it('say what to do about every fault of a network', () => {
		const broken = structuredClone(startingNetwork) as unknown as {
			findings: { key: string }[];
			causes: { links: { finding: string }[] }[];
			follows: object[];
		};
		broken.findings.push({ ...broken.findings[0] });
		broken.findings.push({ ...broken.findings[1], key: 'orphan' });
		broken.causes[0].links.push({ ...broken.causes[0].links[0] }, { ...broken.causes[0].links[0], finding: 'nowhere' });
		broken.follows.push({ from: 'oilSealBad', to: 'lowSealWorn', strength: 0.1 });
		broken.follows.push({ from: 'lowSealWorn', to: 'oilSealBad', strength: 0.1 });
		const read = readNetwork(broken);
		if (!('faults' in read)) throw new Error('no faults');
		const sentences = read.faults.map(faultSentence);
		expect(new Set(read.faults.map(({ code }) => code))).toEqual(
			new Set(['twice', 'unknownFinding', 'linkedTwice', 'withoutCause', 'cycle'])
		);
		for (const sentence of sentences) expect(sentence).toMatch(/\. (Give|Add|Keep|Link|Take|Remove)|Link a cause/);
	});
});

describe('words of lives', () => {
	it('write limits, and that there is none', () => {
		expect(limitsWords({ value: 1234, low: 500 }, defaultFormat)).toMatch(/^1.234 \(500–no limit\)$/);
		expect(limitsWords({ value: 1.234, low: 1, high: 2 }, defaultFormat, 1)).toBe('1.2 (1.0–2.0)');
	});
	it('compare two groups in a sentence, and say why not', () => {
		const apart = { kind: 'compared', ratio: { value: 3, low: 2, high: 4 }, pScale: 0.001 } as const;
		expect(comparisonSentence(apart, ['A', 'B'], 0.002, defaultFormat)).toMatch(
			/^B lasts 3.00 \(2.00–4.00\) times as long as A/
		);
		const open = { ...apart, ratio: { value: 2, low: 0.5, high: 8 }, pScale: 0.4 };
		expect(comparisonSentence(open, ['A', 'B'], undefined, defaultFormat)).toMatch(
			/^A and B cannot be told apart yet.*about 4.0 times the present history is needed to decide\.$/
		);
		expect(comparisonSentence({ kind: 'noMaximum', reason: 'noEnds' }, ['A', 'B'], undefined, defaultFormat)).toContain(
			noMaximumWords.noEnds
		);
	});
	it('have a sentence for every reason that a fit gives', () => {
		for (const lives of [[rightCensored(5)], [exactLife(5), exactLife(5)]]) {
			const fit = fitWeibull(lives);
			if (fit.kind !== 'noMaximum') throw new Error('fitted');
			expect(noMaximumWords[fit.reason]).toMatch(/\.$/);
		}
	});
	it('say of a trend only what its limits allow', () => {
		const trend = (low: number, high: number) =>
			trendSentence({ events: 9, exponent: { value: 1.5, low, high }, pSteady: 0.1 }, 3, defaultFormat);
		expect(trend(0.8, 2.4)).toContain('cannot be told yet');
		expect(trend(1.1, 2.4)).toContain('become more frequent');
		expect(trendSentence({ events: 0 }, 3, defaultFormat)).toContain('too few for a trend');
	});
});
