import { describe, expect, it } from 'vitest';
import { guessedPriceColumns, priceLinesIn } from './priceColumns';

const rows = [
	['Kit', 'Kit price', 'Part number', 'Description', 'Qty', 'Price', 'Lead time'],
	['K-1', '31,50', 'A-1', 'V-packings', '2', '', ''],
	['', '', 'A-2', 'Manifold', '', '640.00', '21'],
	['', '', 'A-3', 'Spring', '', 'on request', ''],
	['', '', '', '', '', '', ''],
	['K-1', '', 'A-4', 'O-ring', '1.5', '', '']
];

describe('a price list as a table', () => {
	it('finds its columns by their heads', () =>
		expect(guessedPriceColumns(rows)).toEqual({
			kit: 0,
			kitPrice: 1,
			number: 2,
			name: 3,
			pieces: 4,
			price: 5,
			deliveryDays: 6
		}));
	it('reads what its cells state, and names the rows that it cannot read', () => {
		const { lines, rows: from, broken } = priceLinesIn(rows, guessedPriceColumns(rows));
		expect(lines).toEqual([
			{ kit: 'K-1', kitPrice: 31.5, number: 'A-1', name: 'V-packings', pieces: 2 },
			{ number: 'A-2', name: 'Manifold', price: 640, deliveryDays: 21 }
		]);
		expect([from, broken]).toEqual([
			[2, 3],
			[4, 6]
		]);
	});
	it('without heads that it knows finds no column', () =>
		expect(new Set(Object.values(guessedPriceColumns([['x', 'y']])))).toEqual(new Set([-1])));
});
