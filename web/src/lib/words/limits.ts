import type { Fastening, SheetCharacteristic } from '@exetasis/core/record';

/** Who states a torque. */
export const torqueFromWords: Readonly<Record<Fastening['torqueFrom'], string>> = {
	maker: 'Values from the maker’s sheet',
	shop: 'Values from your shop, not from the maker',
	assumed: 'Torque assumed from size and property class: the maker’s sheet comes first'
};

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
