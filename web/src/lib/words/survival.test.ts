import { describe, expect, it } from 'vitest';
import { exactLife, fitWeibull, rightCensored } from '@exetasis/core/survival';
import { limitsWords, phaseWords, saysLife } from './survival';
import { defaultFormat } from '../format/numbers';

const fitted = (lives: Parameters<typeof fitWeibull>[0]) => {
	const fit = fitWeibull(lives);
	if (fit.kind !== 'fitted') throw new Error(fit.kind);
	return fit;
};
const wearOut = Array.from({ length: 40 }, (_, i) => exactLife(2000 + 30 * i));
const atOnce = [...Array.from({ length: 20 }, (_, i) => exactLife(0.001 * 1.5 ** i)), rightCensored(4000)];

describe('what opens the page of lives', () => {
	it('follows the curve: parts that wear out are said to, with their life', () => {
		const fit = fitted(wearOut);
		expect(saysLife(fit)).toBe(true);
		expect(phaseWords[fit.phase]).toContain('wear-out');
		expect(fit.b10.value).toBeGreaterThan(1500);
		expect(limitsWords(fit.b10, defaultFormat)).toMatch(/^2.\d{3} \(/);
	});
	it('states no B10 life below an hour, and never calls parts that fail at once worn out', () => {
		const fit = fitted(atOnce);
		expect(saysLife(fit)).toBe(false);
		expect(phaseWords[fit.phase]).not.toContain('wear-out: replace');
	});
	it('leaves the phase open where few lives cannot tell it', () => {
		const few = fitted([exactLife(900), exactLife(2100), exactLife(2600), rightCensored(3000)]);
		expect(phaseWords[few.phase]).toContain('too few failures');
	});
});
