import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { explained, piecesOf, readGlossary } from './glossary';

const glossary = readGlossary(readFileSync(new URL('../../../../docs/glossary.md', import.meta.url), 'utf8'));

describe('glossary', () => {
	it('has an entry for every term that is explained on a page', () => {
		for (const term of explained) expect(glossary.get(term.toLowerCase())?.says, term).toMatch(/\w.*\.$/);
	});
	it('finds an entry by each of its names', () => {
		expect(glossary.get('manifold')).toEqual(glossary.get('head'));
		expect(glossary.get('turnbull')).toEqual(glossary.get('kaplan–meier'));
		expect(readGlossary('nothing here').size).toBe(0);
	});
});

describe('piecesOf', () => {
	it('marks each term once, the longer one before the shorter, in the singular and the plural', () => {
		const pieces = piecesOf('Priors: the expanded uncertainty, then the uncertainty. Priors again.');
		expect(pieces.filter(({ term }) => term)).toEqual([
			{ text: 'Prior', term: 'prior' },
			{ text: 'expanded uncertainty', term: 'expanded uncertainty' },
			{ text: 'uncertainty', term: 'uncertainty' }
		]);
	});
	it('leaves longer words alone', () => {
		expect(piecesOf('a priority')).toEqual([{ text: 'a priority' }]);
	});
	it('loses nothing of any sentence', () => {
		fc.assert(
			fc.property(fc.array(fc.oneof(fc.string(), fc.constantFrom(...explained))), (words) => {
				const sentence = words.join(' ');
				expect(
					piecesOf(sentence)
						.map(({ text }) => text)
						.join('')
				).toBe(sentence);
			})
		);
	});
});
