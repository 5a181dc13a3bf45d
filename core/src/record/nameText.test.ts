import { describe, expect, it } from 'vitest';
import { nameText } from './nameText';

const name = nameText(20);

describe('a name', () => {
	it('is written alike however it was typed', () => {
		expect(name.parse('  Pumpe A\u0308hre ')).toBe('Pumpe \u00c4hre');
		expect(name.parse('مضخة ٣')).toBe('مضخة ٣');
	});
	it.each([
		['two lines', 'A-1\nDTSTART:20260101'],
		['a carriage return', 'A-1\rB'],
		['a NUL', 'A\0B'],
		['a line separator', 'A\u2028B'],
		['a direction override', 'A\u202Efdp.exe'],
		['an isolate', 'A\u2066B'],
		['half of a pair', 'A\ud83d'],
		['too much', 'x'.repeat(21)]
	])('with %s is refused', (_, text) => expect(name.safeParse(text).success).toBe(false));
});
