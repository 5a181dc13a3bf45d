import { describe, expect, it } from 'vitest';
import { mergeAnswer } from './mergeAnswer';

describe('what a form holds once its answer is there', () => {
	it('is the answer where nothing was changed since it was sent', () => {
		const sent = { name: 'Micrometer', revision: '3' };
		expect(mergeAnswer({ name: 'Micrometer', revision: '4' }, sent, sent)).toEqual({
			name: 'Micrometer',
			revision: '4'
		});
	});

	it('is what was typed since, field by field', () => {
		const answer = { name: 'Micrometer', due: '2026-09-01', places: ['A'] };
		const now = { name: 'Micrometer', due: '2027-10-01', places: ['A', 'B'] };
		expect(mergeAnswer(answer, { ...answer }, now)).toEqual(now);
	});

	it('is what the server makes of a field that came back empty on purpose', () => {
		const sent = { email: 'a@b.example', password: 'secret' };
		expect(mergeAnswer({ email: 'a@b.example', password: '' }, sent, { ...sent })).toEqual({
			email: 'a@b.example',
			password: ''
		});
	});
});
