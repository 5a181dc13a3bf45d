import { describe, expect, it } from 'vitest';
import type { FloorListing } from '@exetasis/server/jobs/floor';
import { nextStepOf } from './nextStep';

const job = (more: Partial<FloorListing>) =>
	({
		id: 'j',
		parts: 10,
		inspected: 10,
		decided: 10,
		again: 0,
		nextStep: null,
		nextPart: null,
		...more
	}) as FloorListing;
const closing = (at: 'build' | 'prove' | 'release', fitted: number) => ({
	at,
	in: fitted,
	of: 12,
	...(at === 'release' ? {} : { step: { text: 'Fit the manifold', mirrored: false } })
});

describe('the next step of a job', () => {
	it.each([
		['Strip', job({ nextStep: 'Lock it out', inspected: 0 }), 'Sign off: Lock it out'],
		[
			'Inspect',
			job({ inspected: 4, nextPart: { name: 'Oil pan', station: 'pan', cylinder: 0 } }),
			'Inspect the oil pan (6 parts left)'
		],
		['Decide', job({ decided: 7 }), 'Decide 3 open parts'],
		['Inspect', job({ again: 1 }), 'Recheck 1 part'],
		['Strip', job({ nextStep: 'Clean' }), 'Sign off: Clean'],
		['Order', job({ closing: closing('build', 0) }), 'All parts decided. Order the replacements.'],
		['Build', job({ closing: closing('build', 3) }), 'Fit the manifold (3 of 12 pieces fitted)'],
		['Prove', job({ closing: closing('prove', 12) }), 'Fit the manifold'],
		['Release', job({ closing: closing('release', 12) }), 'Assembled and tested. Release the pump.']
	])('is in %s', (at, of, first) => {
		expect(nextStepOf(of)).toMatchObject({ at, first });
		expect(nextStepOf(of).path).toMatch(new RegExp(`^/jobs/j/${at.toLowerCase()}(\\?place=pan/0)?$`));
	});
});
