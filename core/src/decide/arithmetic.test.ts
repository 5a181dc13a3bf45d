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
	it('names its inputs in every step', () => {
		for (const { key, inputs } of steps) expect(inputs.length, key).toBeGreaterThan(0);
	});
	it('of a part that no one measured has only what its kind says', () => {
		const bare = inputFor(marram, 'collar', recordOf(clean()));
		expect(arithmeticOf(bare, judge(bare)).map(({ key }) => key)).toEqual(['competingFailure']);
	});
});
