import { describe, expect, it } from 'vitest';
import { arithmeticOf, judge } from '.';
import { clean, demoSheet, inputFor, ran, read, recordOf, stationOn } from './testing';

const marram = demoSheet('marram');

describe('arithmeticOf', () => {
	const input = inputFor(marram, 'inletSpring', recordOf(clean(), read('freeLength', 21.5)), {
		life: ran(stationOn(marram, 'inletSpring'), 1500)
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
		const bare = inputFor(marram, 'collar', recordOf(clean()));
		expect(arithmeticOf(bare, judge(bare)).map(({ name }) => name)).toEqual([
			'Chance that something else ends it by the next service'
		]);
	});
});
