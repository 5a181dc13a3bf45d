import { describe, expect, it } from 'vitest';
import { profileWords } from './profile';
import { defaultFormat } from '../format/numbers';

describe('profileWords', () => {
	it('says how much is enlarged, to two digits, and whose limit is drawn', () => {
		expect(profileWords(177.3, { min: 17.95, limitFrom: 'maker' }, defaultFormat)).toBe(
			'Wear enlarged 180 times. Line along the edge: the discard limit.'
		);
		expect(profileWords(20, { max: 20.1, limitFrom: 'assumed' }, defaultFormat)).toMatch(/the assumed limit\.$/);
	});
	it('names no limit where none is stated', () =>
		expect(profileWords(20, { limitFrom: 'maker' }, defaultFormat)).toMatch(/No limit is stated\.$/));
});
