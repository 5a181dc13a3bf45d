import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyInPump, bestInterval, costOf, costsAlone, decideSet, type SetPart } from '.';

const part = (id: string, change: Partial<SetPart> = {}): SetPart => ({
	id,
	pReuse: 0.1,
	pNew: 0.01,
	price: 20,
	collateral: 0,
	...change
});
const partArbitrary = fc.record({
	pReuse: fc.double({ min: 0, max: 1, noNaN: true }),
	pNew: fc.double({ min: 0, max: 0.2, noNaN: true }),
	price: fc.double({ min: 0, max: 300, noNaN: true }),
	collateral: fc.double({ min: 0, max: 200, noNaN: true })
});
const named = (list: readonly Omit<SetPart, 'id'>[]) => list.map((part, i) => ({ ...part, id: `p${i}` }));

describe('costOf', () => {
	it('of a worked example', () => {
		const parts = [part('a'), part('b', { collateral: 50 })];
		const cost = costOf(
			parts,
			new Map([
				['a', 'replace'],
				['b', 'reuse']
			]),
			400
		);
		expect(cost.parts).toBe(20);
		expect(cost.pAnyFailure).toBeCloseTo(1 - 0.99 * 0.9, 14);
		expect(cost.total).toBeCloseTo(20 + (1 - 0.99 * 0.9) * 400 + 5, 10);
	});
	it('of a certain failure is finite', () =>
		expect(costOf([part('a', { pReuse: 1 })], new Map([['a', 'reuse']]), 400).total).toBe(400));
});

// Chances that a pump's factor moves together: those of the marginal, times and divided by the same factors.
const sharing = (setPart: Omit<SetPart, 'id'>): Omit<SetPart, 'id'> => {
	const points = (p: number) => [0.3, 0.7, 1, 1.3, 1.7].map((times) => Math.min(1, p * times));
	return { ...setPart, byPump: { reuse: points(setPart.pReuse), fresh: points(setPart.pNew) } };
};

describe('what the parts of one pump share', () => {
	it('brings the chance that anything happens nearer to that of one part', () => {
		// Ten parts at 20 %: by hand, 1 − Σ w·(1 − 0.2·times)^10, beside 1 − 0.8^10 = 0.8926 where they are independent.
		const points = [0.3, 0.7, 1, 1.3, 1.7].map((times) => 0.2 * times);
		const weights = [0.15, 0.22, 0.26, 0.22, 0.15];
		const byHand = 1 - points.reduce((sum, p, q) => sum + weights[q] * (1 - p) ** 10, 0);
		expect(anyInPump(Array.from({ length: 10 }, () => points))).toBeCloseTo(byHand, 12);
		expect(byHand).toBeLessThan(0.85);
		const parts = named(Array.from({ length: 10 }, () => sharing(part('', { pReuse: 0.2 }))));
		expect(costOf(parts, new Map(parts.map(({ id }) => [id, 'reuse'])), 1).pAnyFailure).toBeCloseTo(byHand, 12);
	});
	it('decides within a thousandth of the least cost of all choices of up to nine parts', () => {
		fc.assert(
			fc.property(
				fc.array(partArbitrary, { minLength: 1, maxLength: 9 }),
				fc.double({ min: 0, max: 2000, noNaN: true }),
				(list, opening) => {
					const parts = named(list.map(sharing));
					let least = Infinity;
					for (let bits = 0; bits < 1 << parts.length; bits++) {
						const choices = new Map(parts.map(({ id }, i) => [id, bits & (1 << i) ? 'replace' : 'reuse'] as const));
						least = Math.min(least, costOf(parts, choices, opening).total);
					}
					expect(decideSet(parts, opening).cost.total).toBeLessThanOrEqual(least * 1.001 + 1e-9);
				}
			),
			{ numRuns: 300 }
		);
	});
});

describe('decideSet', () => {
	it('renews what pays and keeps what does not', () => {
		const { choices } = decideSet(
			[part('worn', { pReuse: 0.4 }), part('dear', { price: 600 }), part('sound', { pReuse: 0.001 })],
			400
		);
		expect(Object.fromEntries(choices)).toEqual({ worn: 'replace', dear: 'reuse', sound: 'reuse' });
	});
	it('sees that a cheap part buys little where the pump will be opened again anyway', () => {
		const hopeless = part('hopeless', { pReuse: 0.95, price: 5000 });
		const small = part('small', { pReuse: 0.1, pNew: 0, price: 20 });
		expect(costsAlone(small, 400).replace).toBeLessThan(costsAlone(small, 400).reuse);
		expect(decideSet([hopeless, small], 400).choices.get('small')).toBe('reuse');
	});
	it('leaves what is fixed', () => {
		const { choices } = decideSet(
			[part('cracked', { fixed: 'replace', pReuse: 0 }), part('kept', { fixed: 'reuse', pReuse: 0.9 })],
			400
		);
		expect(Object.fromEntries(choices)).toEqual({ cracked: 'replace', kept: 'reuse' });
	});
	it('is exact for small sets, by the slow obvious way', () =>
		fc.assert(
			fc.property(
				fc.array(partArbitrary, { minLength: 1, maxLength: 8 }),
				fc.double({ min: 0, max: 2000, noNaN: true }),
				(list, opening) => {
					const parts = named(list);
					const { cost } = decideSet(Object.freeze(parts), opening);
					for (let mask = 0; mask < 2 ** parts.length; mask++) {
						const choices = new Map(
							parts.map(({ id }, i) => [id, (mask >> i) & 1 ? ('replace' as const) : ('reuse' as const)])
						);
						expect(cost.total).toBeLessThanOrEqual(costOf(parts, choices, opening).total + 1e-9);
					}
				}
			),
			{ seed: 31, numRuns: 60 }
		));
	it('of sixty parts is never beaten by changing one or exchanging two, nor by any random choice', () =>
		fc.assert(
			fc.property(
				fc.array(partArbitrary, { minLength: 36, maxLength: 60 }),
				fc.double({ min: 50, max: 1500, noNaN: true }),
				fc.array(fc.nat({ max: 2 ** 30 }), { minLength: 20, maxLength: 20 }),
				(list, opening, masks) => {
					const parts = named(list);
					const { choices, cost } = decideSet(parts, opening);
					const flipped = (...ids: string[]) =>
						new Map(
							[...choices].map(([id, choice]) => [
								id,
								ids.includes(id) ? (choice === 'reuse' ? ('replace' as const) : ('reuse' as const)) : choice
							])
						);
					const least = cost.total - 1e-9 * (1 + cost.total);
					for (let i = 0; i < parts.length; i++)
						for (let j = i; j < parts.length; j++)
							expect(costOf(parts, flipped(`p${i}`, `p${j}`), opening).total).toBeGreaterThanOrEqual(least);
					for (const mask of masks)
						expect(
							costOf(parts, flipped(...parts.map(({ id }) => id).filter((_, i) => (mask >> (i % 30)) & 1)), opening)
								.total
						).toBeGreaterThanOrEqual(least);
				}
			),
			{ seed: 32, numRuns: 15 }
		));
	it('with certain failures is exact as well', () =>
		fc.assert(
			fc.property(fc.array(fc.tuple(partArbitrary, fc.nat({ max: 3 })), { minLength: 1, maxLength: 8 }), (list) => {
				const parts = named(
					list.map(([part, certain]) => ({
						...part,
						...(certain === 0 ? { pReuse: 1 } : certain === 1 ? { pNew: 1 } : {})
					}))
				);
				const { cost } = decideSet(parts, 700);
				for (let mask = 0; mask < 2 ** parts.length; mask++) {
					const choices = new Map(
						parts.map(({ id }, i) => [id, (mask >> i) & 1 ? ('replace' as const) : ('reuse' as const)])
					);
					expect(cost.total).toBeLessThanOrEqual(costOf(parts, choices, 700).total + 1e-9);
				}
			}),
			{ seed: 33, numRuns: 150 }
		));
	it('keeps the parts of a set together: all, none, or all but the decided ones', () =>
		fc.assert(
			fc.property(
				fc.array(fc.tuple(partArbitrary, fc.nat({ max: 3 }), fc.nat({ max: 4 })), { minLength: 1, maxLength: 16 }),
				fc.double({ min: 0, max: 2000, noNaN: true }),
				(list, opening) => {
					const parts = list.map(([part, set, fixed], i): SetPart => ({
						...part,
						id: `p${i}`,
						...(set > 0 ? { set: `set ${set}` } : {}),
						...(fixed === 0 ? { fixed: i % 2 === 0 ? ('reuse' as const) : ('replace' as const) } : {})
					}));
					const { choices, cost } = decideSet(parts, opening);
					for (const { id, fixed } of parts) if (fixed) expect(choices.get(id)).toBe(fixed);
					for (const set of new Set(parts.flatMap((part) => part.set ?? []))) {
						const members = parts.filter((part) => part.set === set);
						const free = members.filter(({ fixed }) => !fixed).map(({ id }) => choices.get(id));
						expect(new Set(free).size).toBeLessThanOrEqual(1);
						if (members.some(({ fixed }) => fixed === 'replace')) expect(free).not.toContain('reuse');
					}
					expect(cost).toEqual(costOf(parts, choices, opening));
				}
			),
			{ seed: 61, numRuns: 150 }
		));
	it('with sets is exact, by trying every combination of sets', () =>
		fc.assert(
			fc.property(
				fc.array(fc.tuple(partArbitrary, fc.nat({ max: 2 })), { minLength: 2, maxLength: 9 }),
				fc.double({ min: 0, max: 1500, noNaN: true }),
				(list, opening) => {
					const parts = list.map(([part, set], i): SetPart => ({ ...part, id: `p${i}`, set: `set ${set}` }));
					const sets = [...new Set(parts.map(({ set }) => set!))];
					const totals = Array.from({ length: 2 ** sets.length }, (_, mask) => {
						const choices = new Map(
							parts.map(({ id, set }) => [
								id,
								(mask >> sets.indexOf(set!)) & 1 ? ('replace' as const) : ('reuse' as const)
							])
						);
						return costOf(parts, choices, opening).total;
					});
					expect(decideSet(parts, opening).cost.total).toBeCloseTo(Math.min(...totals), 8);
				}
			),
			{ seed: 62, numRuns: 150 }
		));
	it('may find a whole set worth renewing that no part of it is worth alone, and the other way round', () => {
		const weak = part('weak', { pReuse: 0.6, price: 20, set: 'valves' });
		const sound = part('sound', { pReuse: 0.01, pNew: 0.01, price: 60, set: 'valves' });
		expect(Object.fromEntries(decideSet([weak, sound], 400).choices)).toEqual({ weak: 'replace', sound: 'replace' });
		const dear = { ...sound, price: 600 };
		expect(Object.fromEntries(decideSet([weak, dear], 400).choices)).toEqual({ weak: 'reuse', sound: 'reuse' });
	});
	it('of nothing costs nothing', () => expect(decideSet([], 400).cost.total).toBe(0));
	it.each([
		['a probability above 1', [part('a', { pReuse: 1.1 })], 400],
		['a probability that is none', [part('a', { pNew: NaN })], 400],
		['a negative price', [part('a', { price: -1 })], 400],
		['one part twice', [part('a'), part('a')], 400],
		['a negative opening', [part('a')], -1]
	])('refuses %s', (_, parts, opening) => expect(() => decideSet(parts, opening)).toThrow('decideSet'));
});

describe('bestInterval', () => {
	it('finds the hours between too many openings and too many failures', () => {
		const setAt = (hours: number) => [
			part('seal', {
				pReuse: 1 - Math.exp(-((hours / 3000) ** 4)),
				pNew: 1 - Math.exp(-((hours / 3000) ** 4)),
				price: 30
			})
		];
		const { best, curve } = bestInterval(
			setAt,
			{ planned: 400, unplanned: 2000 },
			[250, 500, 1000, 1500, 2000, 2500, 3000, 4000]
		);
		// Age replacement of a Weibull life of shape 4, scale 3000 h at a cost ratio of (2000 + 30)/(400 + 30).
		expect(best.hours).toBeGreaterThan(1000);
		expect(best.hours).toBeLessThan(3000);
		expect(curve[0].per1000h).toBeGreaterThan(best.per1000h);
		expect(curve.at(-1)!.per1000h).toBeGreaterThan(best.per1000h);
	});
	it('refuses no hours', () =>
		expect(() => bestInterval(() => [], { planned: 1, unplanned: 1 }, [0])).toThrow('bestInterval'));
});
