import { describe, expect, it } from 'vitest';
import { guessedColumns, linesIn } from './partsColumns';

const list = [
	['Pos.', 'Part no.', 'Description', 'Qty'],
	['1', '10-22', 'Ceramic plunger', '3'],
	['2', '10-23', '', '3'],
	['3', '10-24', '=SUM(A1)', 'three']
];

describe('a parts list', () => {
	it('is matched by the names of its columns', () => {
		expect(guessedColumns(list)).toEqual({ item: 0, description: 2, quantity: 3 });
	});
	it('without names has its descriptions where the texts are longest', () => {
		expect(guessedColumns(list.slice(1)).description).toBe(2);
		expect(guessedColumns([])).toEqual({ item: -1, description: 0, quantity: -1 });
	});
	it('names rows that are no part, and rows whose quantity is assumed', () => {
		const { lines, broken, assumed } = linesIn(list, guessedColumns(list));
		expect(lines).toEqual([
			{ item: '1', description: 'Ceramic plunger', quantity: 3 },
			{ item: '3', description: '=SUM(A1)', quantity: 1 }
		]);
		expect(broken).toEqual([3]);
		expect(assumed).toEqual([4]);
	});
	it.each(['0', '-3', '1.5', '1e9', '', 'NaN'])('assumes one piece for the quantity “%s”, and says so', (quantity) => {
		const { lines, assumed } = linesIn([['1', 'Seat', quantity]], { item: 0, description: 1, quantity: 2 });
		expect(lines[0].quantity).toBe(1);
		expect(assumed).toEqual([1]);
	});
});
