import { describe, expect, it } from 'vitest';
import { attachSentence } from './documents';

describe('why a document was not attached', () => {
	it.each([
		['otherType', /PDF, PNG or JPEG.*Save/],
		['withMetadata', /where or when it was taken.*Save/],
		['tooLarge', /12 000 pixels.*Scale/],
		['tooHeavy', /3\.5 MB.*Save/],
		['runsPrograms', /Print it into a PDF anew/],
		['broken', /Open it, save it again/]
	] as const)('%s says what to do', (problem, sentence) =>
		expect(attachSentence({ kind: 'problem', problem })).toMatch(sentence)
	);
	it('says how many a model may have, and that its place is gone', () => {
		expect(attachSentence({ kind: 'tooMany', most: 60 })).toMatch(/60 documents.*Take one away/);
		expect(attachSentence({ kind: 'unknownPlace' })).toMatch(/no such step or part.*Reload/);
	});
});
