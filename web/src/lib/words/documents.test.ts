import { describe, expect, it } from 'vitest';
import { attachSentence } from './documents';

describe('why a document was not attached', () => {
	it.each([
		['otherType', /PDF, PNG or JPEG.*Save/],
		['tooLarge', /40 million pixels.*Scale/],
		['tooHeavy', /3\.5 MB.*Save/],
		['runsPrograms', /Print it to a new PDF/],
		['encrypted', /Save it without a password/],
		['tooManyPages', /more than 200 pages.*Save only/],
		['broken', /Open it, save it again/]
	] as const)('%s says what to do', (problem, sentence) =>
		expect(attachSentence({ kind: 'problem', problem })).toMatch(sentence)
	);
	it('says how many a model may have, and that its place is gone', () => {
		expect(attachSentence({ kind: 'tooMany', most: 60 })).toMatch(/60 documents.*Delete one/);
		expect(attachSentence({ kind: 'unknownPlace' })).toMatch(/no longer on the sheet.*Reload/);
	});
});
