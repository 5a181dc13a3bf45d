import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { absentIn, componentsOf, independent, marginals, passAlong } from './jointStates';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const total = (joint: Float64Array) => joint.reduce((sum, p) => sum + p, 0);

describe('chains held jointly', () => {
	it('are independent at first: their joint sums to one, and each is at its own odds', () =>
		fc.assert(
			fc.property(fc.array(share, { maxLength: 8 }), (priors) => {
				const joint = independent(priors);
				expect(joint).toHaveLength(2 ** priors.length);
				expect(total(joint)).toBeCloseTo(1, 12);
				for (const [i, { work, idle }] of marginals(joint, priors.length).entries()) {
					expect(work).toBeCloseTo(priors[i], 12);
					expect(idle).toBeCloseTo(1 - priors[i], 12);
				}
			})
		));
	it('move one at a time, and the others stay as they are', () =>
		fc.assert(
			fc.property(fc.array(share, { minLength: 2, maxLength: 6 }), share, share, (priors, arises, stays) => {
				const joint = independent(priors);
				passAlong(joint, 1, [1 - arises, 1 - stays, arises, stays]);
				expect(total(joint)).toBeCloseTo(1, 12);
				const after = marginals(joint, priors.length);
				expect(after[1].work).toBeCloseTo((1 - priors[1]) * arises + priors[1] * stays, 12);
				expect(after[0].work).toBeCloseTo(priors[0], 12);
			})
		));
	it('leave a finding absent by the product over those at work', () => {
		const group = { chains: [4, 7], shared: 2 };
		const links = [
			{ chain: 4, strength: 0.5 },
			{ chain: 7, strength: 0.2 },
			{ chain: 9, strength: 0.9 } // held elsewhere
		];
		const absent = absentIn(group, { backgroundRate: 0.1, links });
		for (const [state, p] of [0.9, 0.45, 0.72, 0.36].entries()) expect(absent[state]).toBeCloseTo(p, 12);
	});
	it('fall into components by the present findings that tie them', () => {
		const present = [{ present: true, backgroundRate: 0.1, links: [0, 2].map((chain) => ({ chain, strength: 0.5 })) }];
		const apart = componentsOf(present, [0, 0, 0, 0], 16).map(([{ chains }]) => chains);
		expect(apart.map((chains) => chains.join()).sort()).toEqual(['0,2', '1', '3']);
	});
	it('that are too many are held by cylinder, each with those of the pump', () => {
		const links = [0, 1, 2, 3, 4].map((chain) => ({ chain, strength: 0.5 }));
		const [groups] = componentsOf([{ present: true, backgroundRate: 0.1, links }], [0, 1, 1, 2, 2], 3);
		expect(groups).toEqual([
			{ chains: [0, 1, 2], shared: 1 },
			{ chains: [0, 3, 4], shared: 1 }
		]);
		expect(() => componentsOf([{ present: true, backgroundRate: 0.1, links }], [0, 0, 0, 0, 0], 3)).toThrow(
			'at most 3'
		);
	});
});
