import type { SheetCharacteristic } from '@exetasis/core/record';

/** Who states a discard limit: "limit from …". */
export const limitFromWords: Readonly<Record<SheetCharacteristic['limitFrom'], string>> = {
	maker: 'the maker',
	shop: 'your shop',
	assumed: 'like parts (assumed, not confirmed)'
};

/** The same for a table. */
export const limitSource: Readonly<Record<SheetCharacteristic['limitFrom'], string>> = {
	maker: 'maker',
	shop: 'shop default',
	assumed: 'assumed'
};
