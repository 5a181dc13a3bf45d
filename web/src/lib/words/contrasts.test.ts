import { describe, expect, it } from 'vitest';
import { BY_ITSELF } from '@exetasis/core/record';
import { ageWords, contrastWords, kitWords } from './contrasts';
import { defaultFormat } from '../format/numbers';

const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, ' ');

describe('what recurrences are set side by side by', () => {
	it('has a word of its own each', () => expect(new Set(Object.values(contrastWords)).size).toBe(8));
	it('names a kit by its number, and what came without one', () => {
		expect(kitWords('MAR-P')).toBe('MAR-P');
		expect(kitWords(BY_ITSELF)).toBe('sold singly');
	});
	it('tells hours since fitting by their ends', () =>
		expect(['new', 'middle', 'old'].map((group) => plain(ageWords(group, defaultFormat)))).toEqual([
			'up to 500 h',
			'500 to 2 000 h',
			'more than 2 000 h'
		]));
});
