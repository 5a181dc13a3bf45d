import { describe, expect, it } from 'vitest';
import type { Ask } from '@exetasis/core/record';
import { lastQuestion } from './lastQuestion';

const tick: Ask = { kind: 'tick', text: 'Turns freely' };
const count: Ask = { kind: 'count', station: 'nuts' };
const choice: Ask = { kind: 'choice', text: 'It', per: 'pump', choices: [{ text: 'stays', means: 'harmless' }] };
const ask = (asks: readonly Ask[], answered: readonly string[] = [], blocking = false) =>
	lastQuestion({ key: 'nuts', asks, blocking }, new Set(answered), [1, 2, 3], () => 4);

describe('the last question of a step', () => {
	it('is answered by the sign-off where it is a check or a count', () => {
		expect(ask([tick])?.payload).toEqual({ step: 'nuts', ask: 0, value: true });
		expect(ask([tick, count], ['nuts/0'])?.payload).toEqual({ step: 'nuts', ask: 1, value: 4 });
	});
	it('is left to itself where it says more than yes', () => {
		expect(ask([choice])).toBeUndefined();
		expect(ask([tick, count])).toBeUndefined();
		expect(ask([])).toBeUndefined();
	});
	it('is left to itself at a step that makes the pump safe', () => expect(ask([tick], [], true)).toBeUndefined());
});
