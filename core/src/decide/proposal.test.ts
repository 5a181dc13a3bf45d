import { expect, it } from 'vitest';
import { proposalOf } from './proposal';
import type { DecidedPart } from './whole';

const part = (
	id: string,
	says: 'reuse' | 'replace' | 'open',
	reused: number,
	fresh: number,
	decided?: 'reuse' | 'replace'
) =>
	({
		id,
		says: { renewSoft: says, onCondition: 'reuse', leastCost: 'reuse' },
		reused: { stop: reused },
		fresh: { stop: fresh },
		decided
	}) as unknown as DecidedPart;

const parts = [
	part('worn', 'replace', 0.9, 0.02),
	part('kept', 'reuse', 0.2, 0.01),
	part('unseen', 'open', 0.3, 0.01),
	part('overruled', 'replace', 0.5, 0.02, 'reuse')
];

it('counts decisions before proposals, and puts the risk where a part stays as it is', () => {
	expect(proposalOf(parts, 'renewSoft', 3)).toEqual({
		count: { reuse: 2, replace: 1, lookAgain: 0, open: 1 },
		riskiest: [
			{ id: 'overruled', stop: 0.5 },
			{ id: 'unseen', stop: 0.3 },
			{ id: 'kept', stop: 0.2 }
		]
	});
	expect(proposalOf(parts, 'onCondition', 1).riskiest).toEqual([{ id: 'worn', stop: 0.9 }]);
	expect(proposalOf([], 'leastCost', 3)).toEqual({
		count: { reuse: 0, replace: 0, lookAgain: 0, open: 0 },
		riskiest: []
	});
});
it('refuses a number of parts that is none', () => {
	for (const most of [-1, NaN, 0.5, Infinity]) expect(() => proposalOf(parts, 'renewSoft', most)).toThrow(/most/);
});
