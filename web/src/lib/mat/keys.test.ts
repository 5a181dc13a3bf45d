import { describe, expect, it } from 'vitest';
import { Burst, commandOf, type Command, type InHand, type Struck } from './keys';

const inHand: InHand = { locked: false, measurable: true, onButton: false };
const strike = (key: string, change: Partial<InHand & Struck> = {}): Command | undefined =>
	commandOf({ key, code: `Key${key.toUpperCase()}`, repeat: false, ...change }, { ...inHand, ...change });

describe('keys of the mat', () => {
	it.each([
		['?', { does: 'help' }],
		['ArrowLeft', { does: 'move', key: 'ArrowLeft' }],
		['End', { does: 'move', key: 'End' }],
		['Enter', { does: 'enter' }],
		['Backspace', { does: 'undo' }],
		[' ', { does: 'clean' }],
		['q', { does: 'pattern', index: 0 }],
		['G', { does: 'pattern', index: 9 }],
		['x', undefined],
		['m', undefined]
	])('%s', (key, expected) => expect(strike(key)).toEqual(expected));
	it('give every digit and sign to the gauge, whatever is in hand', () => {
		for (const key of ['0', '7', '.', ',', '-', '−']) {
			expect(strike(key)).toEqual({ does: 'startReading' });
			expect(strike(key, { measurable: false })).toEqual({ does: 'strayReading' });
		}
	});
	it('go by where a key lies, not by what is written on it', () => {
		expect(strike('a', { code: 'KeyQ' })).toEqual({ does: 'pattern', index: 0 });
		expect(strike('й', { code: 'KeyQ' })).toEqual({ does: 'pattern', index: 0 });
		expect(strike('z', { code: 'KeyW' })).toEqual({ does: 'pattern', index: 1 });
	});
	it('leave Enter and space to a button', () => {
		for (const key of ['Enter', ' ']) expect(strike(key, { onButton: true })).toBeUndefined();
	});
	it('record nothing where nothing may be recorded, and still lead about', () => {
		for (const key of ['0', 'q', ' ', 'Enter', 'Backspace']) expect(strike(key, { locked: true })).toBeUndefined();
		expect(strike('ArrowDown', { locked: true })).toEqual({ does: 'move', key: 'ArrowDown' });
	});
	it('record one entry a stroke, however long they are held', () => {
		for (const key of ['Backspace', '0', 'q', ' ', 'Enter']) expect(strike(key, { repeat: true })).toBeUndefined();
		expect(strike('ArrowDown', { repeat: true })).toEqual({ does: 'move', key: 'ArrowDown' });
	});
});

describe('what a gauge types', () => {
	it('is dropped to its end where its first digit belonged nowhere', () => {
		const burst = new Burst();
		burst.begin(1000);
		for (const at of [1004, 1008, 1050, 1100]) expect(burst.holds(at)).toBe(true);
		expect(burst.holds(1180)).toBe(false);
	});
	it('does not swallow what a hand strikes', () => {
		const burst = new Burst();
		expect(burst.holds(0)).toBe(false);
		burst.begin(1000);
		expect(burst.holds(1090)).toBe(false);
	});
});
