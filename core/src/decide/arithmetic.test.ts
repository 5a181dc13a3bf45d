import { describe, expect, it } from 'vitest';
import { arithmeticOf, judge, type OtherEnds } from '.';
import { clean, demoSheet, inputFor, read, recordOf } from './testing';

const korvan = demoSheet('korvan-kv18');
const otherEnds: OtherEnds = { kind: 'weibull', shape: 2, scale: 6000, events: 9, lives: 60 };

describe('arithmeticOf', () => {
	const input = inputFor(korvan, 'inletSpring', recordOf(clean(), read('freeLength', 21.5)), {
		hours: 1500,
		otherEnds
	});
	const judgement = judge(input);
	const steps = arithmeticOf(input, judgement);
	it('comes to every number that a reason names', () => {
		const results = steps.map(({ result }) => result.value);
		for (const reason of judgement.reasons)
			for (const key of ['value', 'U', 'probability', 'worn'] as const)
				if (key in reason) expect(results, `${reason.code} ${key}`).toContain((reason as Record<string, unknown>)[key]);
	});
	it('names its inputs, method and source in every step', () => {
		for (const { name, inputs, method } of steps) {
			expect(name).not.toBe('');
			expect(inputs.length, name).toBeGreaterThan(0);
			expect(method, name).not.toBe('');
		}
	});
	it('of a part that nobody measured has only what its kind says', () => {
		const bare = inputFor(korvan, 'collar', recordOf(clean()));
		expect(arithmeticOf(bare, judge(bare))).toEqual([]);
	});
});
