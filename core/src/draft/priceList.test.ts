import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet } from '../record';
import { sheetDraftSchema } from '../record';
import { withPriceList } from './priceList';

const read = readSheet(readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8'));
if (read.kind !== 'sheet') throw new Error('the demo sheet has faults');
const { sheet } = read;
const stationOf = (draft: typeof sheet, key: string) => draft.stations.find((station) => station.key === key)!;

describe('a price list', () => {
	it('finds parts by number, else by a name that one part alone has', () => {
		const { draft, parts, unknown } = withPriceList({ ...sheet }, [
			{ number: 'mar 102', price: 700 },
			{ name: 'Water seal', number: 'X-9', price: 12.5, deliveryDays: 4 },
			{ name: 'Widget', price: 3 }
		]);
		expect([parts, unknown]).toEqual([2, [2]]);
		expect(stationOf(draft as never, 'manifold').price).toBe(700);
		expect(stationOf(draft as never, 'lowPressureSeal')).toMatchObject({ number: 'X-9', price: 12.5, deliveryDays: 4 });
		expect(sheetDraftSchema.safeParse(draft).error?.issues).toBeUndefined();
	});
	it('takes the mark "assumed" from a price that it states', () => {
		const assumed = {
			...sheet,
			stations: sheet.stations.map((station) => ({ ...station, inferred: [...station.inferred, 'price' as const] }))
		};
		const { draft } = withPriceList(assumed, [{ number: 'MAR-102', price: 640 }]);
		expect(stationOf(draft as never, 'manifold').inferred).not.toContain('price');
		expect(stationOf(draft as never, 'headNuts').inferred).toContain('price');
	});
	it('makes kits, replaces what one of the same number held, and leaves the others', () => {
		const [first, ...others] = sheet.kits;
		const { draft, kits, withoutPieces } = withPriceList({ ...sheet }, [
			{ kit: first.number, kitPrice: 99 },
			{ kit: first.number, number: 'MAR-104', pieces: 3 },
			{ kit: 'NEW-1', number: 'MAR-106', pieces: 2, kitPrice: 8 },
			{ kit: 'NEW-1', number: 'MAR-108' }
		]);
		expect([kits, withoutPieces]).toEqual([2, [3]]);
		expect(draft.kits.at(0)).toMatchObject({ number: first.number, name: first.name, price: 99 });
		expect(draft.kits.at(0)!.holds).toEqual([{ station: 'lowPressureSeal', pieces: 3 }]);
		expect(draft.kits.slice(1, 1 + others.length)).toEqual(others);
		expect(draft.kits.at(-1)).toMatchObject({
			number: 'NEW-1',
			price: 8,
			holds: [{ station: 'caseORing', pieces: 2 }]
		});
	});
	it('of no lines changes nothing, and refuses what cannot be', () => {
		expect(withPriceList({ ...sheet }, []).draft).toEqual({ ...sheet });
		for (const line of [{ price: -1 }, { kitPrice: NaN }, { deliveryDays: 1.5 }, { pieces: 0 }])
			expect(() => withPriceList({ ...sheet }, [line])).toThrow(/withPriceList/);
	});
});
