import { requireThat } from '../number';
import type { Kit, Station } from '../record';
import { defined } from './defined';
import type { SheetDraft } from './newSheet';

/** A line of a price list: a part by its number or name, what it costs, and the kit that holds it. */
export interface PriceLine {
	readonly number?: string;
	readonly name?: string;
	/** In the currency of the shop. */
	readonly price?: number;
	readonly deliveryDays?: number;
	/** Number of the kit that holds the part. A line without a part states the kit alone. */
	readonly kit?: string;
	readonly kitPrice?: number;
	/** Pieces of the part in the kit. */
	readonly pieces?: number;
}

/** A draft with a price list worked in, and the lines that could not be used, by index. */
interface Priced {
	readonly draft: SheetDraft;
	readonly parts: number;
	readonly kits: number;
	/** No part of the sheet has this number or name, or several have. */
	readonly unknown: readonly number[];
	/** A part in a kit without the number of its pieces. */
	readonly withoutPieces: readonly number[];
}

const plain = (text: string): string =>
	text
		.toLowerCase()
		.replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
		.trim();

// By number first; a name counts if one part alone has it.
function partOf({ number, name }: PriceLine, stations: readonly Station[]): Station | undefined {
	if (number) {
		const numbered = stations.filter(
			(station) => station.number !== undefined && plain(station.number) === plain(number)
		);
		if (numbered.length === 1) return numbered[0];
	}
	if (!name) return undefined;
	const named = stations.filter((station) =>
		[station.name, station.short, ...station.alsoCalled].some((its) => plain(its) === plain(name))
	);
	return named.length === 1 ? named[0] : undefined;
}

/**
 * The draft with the numbers, prices, delivery times and kits of a price list. A part that is found by its name takes over the number;
 * a price from the list is no longer marked as assumed. A kit that the list names holds what the list says, and keeps its name if the
 * sheet has it already.
 * Errors: PreconditionError for a price, a delivery time or pieces that cannot be.
 */
export function withPriceList(draft: SheetDraft, lines: readonly PriceLine[]): Priced {
	for (const { price = 0, kitPrice = 0, deliveryDays = 0, pieces = 1 } of lines) {
		for (const [field, value] of Object.entries({ price, kitPrice }))
			requireThat(value >= 0 && Number.isFinite(value), 'withPriceList', field, value, 'at least 0');
		requireThat(
			Number.isInteger(deliveryDays) && deliveryDays >= 0,
			'withPriceList',
			'deliveryDays',
			deliveryDays,
			'at least 0'
		);
		requireThat(Number.isInteger(pieces) && pieces >= 1, 'withPriceList', 'pieces', pieces, 'at least 1');
	}
	const stations = new Map(draft.stations.map((station) => [station.key, station]));
	const kits = new Map<string, Kit>();
	const priced = new Set<string>();
	const unknown: number[] = [];
	const withoutPieces: number[] = [];
	for (const [i, line] of lines.entries()) {
		const names = line.number || line.name;
		const part = partOf(line, draft.stations);
		if (names && !part) unknown.push(i);
		if (part) {
			const before = stations.get(part.key)!;
			stations.set(part.key, withPrice(before, line));
			if (stations.get(part.key) !== before) priced.add(part.key);
		}
		if (!line.kit || (names && !part)) continue;
		const kit = kits.get(line.kit) ?? kitBefore(draft, line.kit);
		const price = line.kitPrice ?? kit.price;
		if (!part) kits.set(line.kit, { ...kit, price });
		else if (line.pieces === undefined) withoutPieces.push(i);
		else {
			const others = kit.holds.filter(({ station }) => station !== part.key);
			kits.set(line.kit, { ...kit, price, holds: [...others, { station: part.key, pieces: line.pieces }] });
		}
	}
	const filled = [...kits.values()].filter(({ holds }) => holds.length > 0);
	const kept = draft.kits.map((kit) => filled.find(({ number }) => number === kit.number) ?? kit);
	const added = filled.filter(({ number }) => !draft.kits.some((kit) => kit.number === number));
	return {
		draft: { ...draft, stations: draft.stations.map(({ key }) => stations.get(key)!), kits: [...kept, ...added] },
		parts: priced.size,
		kits: filled.length,
		unknown,
		withoutPieces
	};
}

function kitBefore({ kits }: SheetDraft, number: string): Kit {
	const before = kits.find((kit) => kit.number === number);
	return before ? { ...before, holds: [] } : { number, name: `Kit ${number}`, price: 0, holds: [] };
}

function withPrice(station: Station, { number, price, deliveryDays }: PriceLine): Station {
	if (price === undefined && deliveryDays === undefined && (!number || number === station.number)) return station;
	return defined({
		...station,
		...(number ? { number } : {}),
		...(price === undefined ? {} : { price, inferred: station.inferred.filter((text) => text !== 'price') }),
		...(deliveryDays === undefined ? {} : { deliveryDays })
	});
}
