import { describe, expect, it } from 'vitest';
import { readDrawer } from './shimDrawer';

describe('a drawer of shims as it is typed', () => {
	it('is thicknesses with their counts, in either way of writing', () => {
		expect(readDrawer('0.1 × 5; 0,25x2\n1')).toEqual({
			kind: 'drawer',
			shims: [
				{ thicknessMm: 0.1, count: 5 },
				{ thicknessMm: 0.25, count: 2 },
				{ thicknessMm: 1, count: 1 }
			]
		});
		expect(readDrawer(' ;\n')).toEqual({ kind: 'drawer', shims: [] });
	});
	it.each(['thin', '0.1 × two', '0.1 × 1.5', '0.1 × 2 × 3', '−0.1', '25', '0.1 × 1000'])(
		'says that “%s” is none',
		(text) => expect(readDrawer(`0.2 × 1; ${text}`)).toMatchObject({ kind: 'problem', text })
	);
});
