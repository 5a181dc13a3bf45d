import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { carriedBy, followChains, nextChecks, type Chain, type Followed, type Observed, type Visit } from '.';

const followed = (answer: Followed): Extract<Followed, { kind: 'followed' }> => {
	if (answer.kind !== 'followed') throw new Error(`contradicts at ${answer.visit}`);
	return answer;
};

/** Every path of every chain, one after the other, by the definition alone. */
function bruteForce(chains: readonly Chain[], visits: readonly Visit[]) {
	const states = 1 << chains.length;
	const on = (s: number, k: number) => ((s >> k) & 1) === 1;
	const seen = ({ observed }: Visit, s: number) =>
		observed.reduce((p, { present, backgroundRate, links }) => {
			const absent = links.reduce(
				(q, { chain, strength }) => (on(s, chain) ? q * (1 - strength) : q),
				1 - backgroundRate
			);
			return p * (present ? 1 - absent : absent);
		}, 1);
	const start = (s: number) => chains.reduce((p, { prior }, k) => p * (on(s, k) ? prior : 1 - prior), 1);
	const passes = (t: number, from: number, to: number) =>
		chains.reduce((p, { perHour }, k) => {
			let work = on(from, k) ? 1 : 0;
			for (const { chain, effectiveness } of visits[t - 1].actions) if (chain === k) work *= 1 - effectiveness;
			const arises = 1 - Math.exp(-perHour * visits[t].hours);
			const then = work + (1 - work) * arises;
			return p * (on(to, k) ? then : 1 - then);
		}, 1);
	// Tables, so that 2^24 paths are walked in a moment.
	const emission = visits.map((visit) => Array.from({ length: states }, (_, s) => seen(visit, s)));
	const passing = visits.map((_, t) =>
		Array.from({ length: states }, (__, from) =>
			Array.from({ length: states }, (___, to) => (t === 0 ? 0 : passes(t, from, to)))
		)
	);
	const at = visits.map(() => new Float64Array(states));
	const path: number[] = [];
	const walk = (t: number, p: number) => {
		if (t === visits.length) {
			for (const [u, s] of path.entries()) at[u][s] += p;
			return;
		}
		for (let s = 0; s < states; s++) {
			path[t] = s;
			walk(t + 1, p * (t === 0 ? start(s) : passing[t][path[t - 1]][s]) * emission[t][s]);
		}
	};
	walk(0, 1);
	const evidence = at[0].reduce((sum, p) => sum + p, 0);
	return {
		logEvidence: Math.log(evidence),
		smoothed: at.map((p) =>
			chains.map((_, k) => p.reduce((sum, value, s) => (on(s, k) ? sum + value : sum), 0) / evidence)
		)
	};
}

const chance = fc.double({ min: 0.02, max: 0.98, noNaN: true });
const networks = (most: number, visits: number) =>
	fc.integer({ min: 1, max: most }).chain((count) => {
		const chain = fc.nat(count - 1);
		return fc.record({
			chains: fc.array(fc.record({ prior: chance, perHour: fc.double({ min: 0, max: 1e-3, noNaN: true }) }), {
				minLength: count,
				maxLength: count
			}),
			visits: fc.array(
				fc.record({
					hours: fc.double({ min: 0, max: 4000, noNaN: true }),
					observed: fc.array(
						fc.record({
							present: fc.boolean(),
							backgroundRate: fc.double({ min: 0.001, max: 0.3, noNaN: true }),
							links: fc.uniqueArray(fc.record({ chain, strength: chance }), {
								maxLength: 3,
								selector: (link) => link.chain
							})
						}),
						{ maxLength: 5 }
					),
					actions: fc.array(fc.record({ chain, effectiveness: chance }), { maxLength: 2 })
				}),
				{ minLength: visits, maxLength: visits }
			)
		});
	});

describe('followChains', () => {
	it('is what walking every path gives, on random networks', () =>
		fc.assert(
			fc.property(networks(3, 4), ({ chains, visits }) => {
				const { logEvidence, smoothed, filtered } = followed(followChains(chains, visits));
				const truth = bruteForce(chains, visits);
				expect(Math.abs(logEvidence - truth.logEvidence)).toBeLessThan(1e-9);
				for (const [t, row] of smoothed.entries())
					for (const [k, p] of row.entries()) expect(Math.abs(p - truth.smoothed[t][k])).toBeLessThan(1e-9);
				for (const t of visits.keys()) {
					const upTo = bruteForce(chains, visits.slice(0, t + 1));
					for (const [k, p] of filtered[t].entries()) expect(Math.abs(p - upTo.smoothed[t][k])).toBeLessThan(1e-9);
				}
			}),
			{ seed: 20, numRuns: 60 }
		));
	it('is so for six causes over four rebuilds, 16.8 million paths', () => {
		const [{ chains, visits }] = fc.sample(
			networks(6, 4).filter(
				(network) => network.chains.length === 6 && network.visits.every(({ observed }) => observed.length > 2)
			),
			{ seed: 8, numRuns: 1 }
		);
		const { smoothed, logEvidence } = followed(followChains(chains, visits));
		const truth = bruteForce(chains, visits);
		expect(Math.abs(logEvidence - truth.logEvidence)).toBeLessThan(1e-9);
		for (const [t, row] of smoothed.entries())
			for (const [k, p] of row.entries()) expect(Math.abs(p - truth.smoothed[t][k])).toBeLessThan(1e-9);
	}, 60_000);
	it('leaves a cause that no one can observe at its own odds', () => {
		const chains = [{ prior: 0.2, perHour: 1e-4 }];
		const quiet = (hours: number): Visit => ({ hours, observed: [], actions: [] });
		const { filtered, smoothed, logEvidence } = followed(followChains(chains, [quiet(0), quiet(1000)]));
		expect(logEvidence).toBe(0);
		expect(filtered[1][0]).toBeCloseTo(0.2 + 0.8 * (1 - Math.exp(-0.1)), 14);
		expect(smoothed).toEqual(filtered);
	});
	it('says which findings contradict it instead of dividing by nought', () => {
		const chains = [{ prior: 0.5, perHour: 0 }];
		const link = { chain: 0, strength: 0.7 };
		const observed: Observed[] = [
			{ present: false, backgroundRate: 0.1, links: [link] },
			{ present: true, backgroundRate: 0, links: [] }
		];
		expect(followChains(chains, [{ hours: 0, observed, actions: [] }])).toEqual({
			kind: 'contradicts',
			visit: 0,
			observed: [1]
		});
	});
	it('lets go of a cause after an action, as far as it helps', () => {
		const chains = [{ prior: 0.9, perHour: 0 }];
		const visit = (effectiveness: number): Visit[] => [
			{ hours: 0, observed: [], actions: [{ chain: 0, effectiveness }] },
			{ hours: 1000, observed: [], actions: [] }
		];
		expect(followed(followChains(chains, visit(1))).filtered[1][0]).toBe(0);
		expect(followed(followChains(chains, visit(0.5))).filtered[1][0]).toBeCloseTo(0.45, 14);
	});
	it('approximates cylinders given the pump beyond sixteen, with this gap', () => {
		// Two causes of the pump and one of each of fifteen cylinders, all tied by findings.
		const cylinders = 15;
		const own = [0, 0, ...Array.from({ length: cylinders }, (_, c) => c + 1)];
		const chains = own.map((cylinder) => ({ prior: cylinder === 0 ? 0.2 : 0.1, perHour: 5e-5 }));
		const visits = [0, 1500, 1500].map((hours, t): Visit => ({
			hours,
			observed: Array.from({ length: cylinders }, (_, c) => ({
				present: (c + t) % 3 !== 0,
				backgroundRate: 0.05,
				links: [
					{ chain: c + 2, strength: 0.8 },
					{ chain: t % 2, strength: 0.5 }
				]
			})),
			actions: []
		}));
		const answer = followed(followChains(chains, visits, own));
		expect(answer.exact).toBe(false);
		// Exact: sum over the pump's two chains' paths; given these, cylinders are independent.
		const truth = givenPump(chains, visits);
		const gap = Math.max(
			...answer.smoothed.flatMap((smoothed, t) => smoothed.map((p, k) => Math.abs(p - truth[t][k])))
		);
		console.log(`beyond sixteen chains: largest gap to exact inference ${gap.toFixed(4)}`);
		expect(gap).toBeLessThan(0.02);
	});
	it('does so where a finding belongs to several cylinders, with this gap', () => {
		const own = [0, 0, 1, 1, 2, 2, 3, 3];
		const gaps = fc
			.sample(
				networks(8, 3).filter(({ chains }) => chains.length === 8),
				{ seed: 12, numRuns: 40 }
			)
			.map(({ chains, visits }) => {
				const rare = chains.map(({ perHour }) => ({ prior: 0.05, perHour: perHour / 10 }));
				const exact = followed(followChains(rare, visits, own));
				const apart = followed(followChains(rare, visits, own, 4));
				return Math.max(
					...exact.smoothed.flatMap((smoothed, t) => smoothed.map((p, k) => Math.abs(p - apart.smoothed[t][k])))
				);
			})
			.sort((a, b) => a - b);
		console.log(`findings across cylinders: gap ${gaps[20].toFixed(3)} in the middle, ${gaps[39].toFixed(3)} at most`);
		expect(gaps[20]).toBeLessThan(0.05);
	});
	it.each([
		[[{ prior: 1.2, perHour: 0 }], []],
		[[{ prior: 0.5, perHour: -1 }], []],
		[[{ prior: 0.5, perHour: 0 }], [{ hours: NaN, observed: [], actions: [] }]],
		[
			[{ prior: 0.5, perHour: 0 }],
			[
				{
					hours: 0,
					observed: [{ present: true, backgroundRate: 0.1, links: [{ chain: 1, strength: 0.5 }] }],
					actions: []
				}
			]
		]
	] as const)('refuses %j, %j', (chains, visits) => expect(() => followChains(chains, visits)).toThrow('followChains'));
});

/** Exact for two chains of the pump and one of each cylinder: all paths of the former, a forward–backward of two states for each of the latter. */
function givenPump(chains: readonly Chain[], visits: readonly Visit[]): number[][] {
	const cylinders = chains.length - 2;
	const steps = visits.length;
	const arises = (k: number, t: number) => 1 - Math.exp(-chains[k].perHour * visits[t].hours);
	const passes = (k: number, t: number, from: number, to: number) => {
		const then = from ? 1 : arises(k, t);
		return to ? then : 1 - then;
	};
	const sums = visits.map(() => chains.map(() => 0));
	let total = 0;
	for (let path = 0; path < 1 << (2 * steps); path++) {
		const pump = (t: number, k: number) => (path >> (2 * t + k)) & 1;
		let p = 1;
		for (let k = 0; k < 2; k++)
			for (let t = 0; t < steps; t++)
				p *= t === 0 ? (pump(0, k) ? chains[k].prior : 1 - chains[k].prior) : passes(k, t, pump(t - 1, k), pump(t, k));
		const each: number[][] = [];
		for (let c = 0; c < cylinders; c++) {
			const k = c + 2;
			const seen = (t: number, s: number) => {
				const { present, backgroundRate, links } = visits[t].observed[c];
				let absent = 1 - backgroundRate;
				for (const { chain, strength } of links)
					if (chain === k ? s === 1 : pump(t, chain) === 1) absent *= 1 - strength;
				return present ? 1 - absent : absent;
			};
			let own = 0;
			const at = visits.map(() => 0);
			for (let cylinder = 0; cylinder < 1 << steps; cylinder++) {
				const state = (t: number) => (cylinder >> t) & 1;
				let q = 1;
				for (let t = 0; t < steps; t++) {
					q *= t === 0 ? (state(0) ? chains[k].prior : 1 - chains[k].prior) : passes(k, t, state(t - 1), state(t));
					q *= seen(t, state(t));
				}
				own += q;
				for (let t = 0; t < steps; t++) if (state(t)) at[t] += q;
			}
			each.push(at.map((q) => q / own));
			p *= own;
		}
		total += p;
		for (let t = 0; t < steps; t++) {
			for (let k = 0; k < 2; k++) if (pump(t, k)) sums[t][k] += p;
			for (let c = 0; c < cylinders; c++) sums[t][c + 2] += p * each[c][t];
		}
	}
	return sums.map((row) => row.map((value) => value / total));
}

describe('carriedBy', () => {
	const chains = [
		{ prior: 0.1, perHour: 0 },
		{ prior: 0.1, perHour: 0 }
	];
	it('is Bayes’ factor for a single finding', () => {
		const visit: Visit = {
			hours: 0,
			observed: [
				{ present: true, backgroundRate: 0.05, links: [{ chain: 0, strength: 0.8 }] },
				{ present: false, backgroundRate: 0.1, links: [{ chain: 1, strength: 0.6 }] }
			],
			actions: []
		};
		const [present, absent] = carriedBy(followed(followChains(chains, [visit])).last, visit);
		expect(present.factors[0]).toBeCloseTo((1 - 0.95 * 0.2) / 0.05, 10);
		expect(present.factors[1]).toBe(1);
		expect(absent.factors[1]).toBeCloseTo(0.4, 10);
	});
	it('keeps its digits where a belief is all but certain', () => {
		const [first] = chains;
		const finding = { present: true, backgroundRate: 0.01, links: [{ chain: 0, strength: 0.99 }] };
		const visit: Visit = { hours: 0, observed: Array.from({ length: 12 }, () => finding), actions: [] };
		const { last, filtered } = followed(followChains([first], [visit]));
		expect(filtered[0][0]).toBe(1);
		for (const { factors } of carriedBy(last, visit)) expect(factors[0]).toBeCloseTo((1 - 0.99 * 0.01) / 0.01, 6);
	});
	it('explains away: a cause seen for certain takes the finding from the other', () => {
		const link = (chain: number) => ({ chain, strength: 0.9 });
		const both: Visit = {
			hours: 0,
			observed: [
				{ present: true, backgroundRate: 0.01, links: [link(0), link(1)] },
				{ present: true, backgroundRate: 0.001, links: [link(0)] }
			],
			actions: []
		};
		const [, only] = carriedBy(followed(followChains(chains, [both])).last, both);
		expect(only.factors[0]).toBeGreaterThan(1);
		expect(only.factors[1]).toBeLessThan(1);
	});
});

describe('nextChecks', () => {
	const chains = [
		{ prior: 0.5, perHour: 0 },
		{ prior: 0.02, perHour: 0 }
	];
	const { last } = followed(followChains(chains, [{ hours: 0, observed: [], actions: [] }]));
	const check = (chain: number, minutes = 1) => ({ backgroundRate: 0.01, links: [{ chain, strength: 0.95 }], minutes });
	it('is the mutual information of one cause and one finding', () => {
		const [{ bits, pPresent }] = nextChecks(last, [check(0)]);
		const p = 0.5 * 0.01 + 0.5 * (1 - 0.99 * 0.05);
		const h = (q: number) => -q * Math.log2(q) - (1 - q) * Math.log2(1 - q);
		expect(pPresent).toBeCloseTo(p, 12);
		expect(bits).toBeCloseTo(h(p) - 0.5 * h(0.01) - 0.5 * h(1 - 0.99 * 0.05), 10);
	});
	it('puts the open question first, and a quick look before a long one', () => {
		expect(nextChecks(last, [check(1), check(0)])[0].check).toBe(1);
		expect(nextChecks(last, [check(0, 30), check(0, 2)])[0].check).toBe(1);
	});
	it('tells nothing where nothing is linked', () =>
		expect(nextChecks(last, [{ backgroundRate: 0.3, links: [], minutes: 1 }])[0].bits).toBe(0));
});
