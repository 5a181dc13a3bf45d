import { expect, it } from 'vitest';
import { matRows, matSigns } from './littleMat';

it('writes a sign for each part, a space where none is, and what the pump has once in the first row', () => {
	expect(
		matRows([
			{ column: 1, cylinder: 0, state: 'reuse' },
			{ column: 3, cylinder: 1, state: 'open' },
			{ column: 2, cylinder: 3, state: 'lookAgain' }
		])
	).toEqual(['r o', '', ' a']);
	expect(matRows([])).toEqual([]);
	expect(new Set(Object.values(matSigns)).size).toBe(5);
});
