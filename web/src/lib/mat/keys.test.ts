import { describe, expect, it } from 'vitest';
import { commandOf, type InHand } from './keys';

const look: InHand = { mode: 'look', locked: false, measurable: true, onButton: false };
const command = (key: string, change: Partial<InHand> = {}, repeat = false) =>
	commandOf({ key, repeat }, { ...look, ...change });

describe('keys of the mat', () => {
	it.each([
		['?', { does: 'help' }],
		['ArrowLeft', { does: 'move', key: 'ArrowLeft' }],
		['End', { does: 'move', key: 'End' }],
		['Enter', { does: 'enter' }],
		['Backspace', { does: 'undo' }],
		['m', { does: 'mode', mode: 'measure' }],
		['L', { does: 'mode', mode: 'look' }],
		['0', { does: 'clean' }],
		['3', { does: 'pattern', index: 2 }],
		['x', undefined],
		['.', undefined]
	])('%s', (key, expected) => expect(command(key)).toEqual(expected));
	it('give digits to the gauge while it is in hand', () => {
		for (const key of ['0', '7', '.', ',']) expect(command(key, { mode: 'measure' })).toEqual({ does: 'startReading' });
	});
	it('do not measure what has no size', () =>
		expect(command('m', { measurable: false })).toEqual({ does: 'mode', mode: 'look' }));
	it('leave Enter to a button', () => expect(command('Enter', { onButton: true })).toBeUndefined());
	it('record nothing where nothing may be recorded, and still lead about', () => {
		for (const key of ['0', '1', 'Enter', 'Backspace']) expect(command(key, { locked: true })).toBeUndefined();
		expect(command('ArrowDown', { locked: true })).toEqual({ does: 'move', key: 'ArrowDown' });
	});
	it('take back one entry a stroke, however long they are held', () => {
		for (const key of ['Backspace', '0', '1', 'Enter']) expect(command(key, {}, true)).toBeUndefined();
		expect(command('ArrowDown', {}, true)).toEqual({ does: 'move', key: 'ArrowDown' });
	});
});
