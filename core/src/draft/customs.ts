import { requireThat } from '../number';
import type { PartTypeKey } from '../part';
import { discardLimit, type Caution, type ModelSheet, type SheetCharacteristic, type Station } from '../record';

/** How a size of a part type is usually given: shares of the new size. */
interface SizeCustom {
	readonly key: string;
	readonly unit: SheetCharacteristic['unit'];
	/** Wear up to the discard limit, and the side on which the limit lies. Left out: like parts have none. */
	readonly allowance?: { readonly side: 'min' | 'max'; readonly share: number };
	/** How far a new part may lie from nominal. */
	readonly tolerance: number;
	readonly when: SheetCharacteristic['when'];
	readonly grid?: SheetCharacteristic['grid'];
	readonly face?: SheetCharacteristic['face'];
}

/** What the known sheets usually state of a part type. */
export interface Custom {
	readonly names: readonly string[];
	readonly side: Station['side'];
	readonly per: Station['per'];
	readonly renewal: Station['renewal'];
	readonly price: number;
	readonly lookFor: readonly string[];
	/** Features that say how such a part lies: spring side, lip, groove. */
	readonly points: readonly Pick<Station['face'], 'what' | 'feature'>[];
	readonly cautions: readonly (Caution & { readonly when: 'out' | 'in' | 'both' })[];
	readonly sizes: readonly SizeCustom[];
	/** Types of the parts that come off next, the most frequent first. */
	readonly next: readonly PartTypeKey[];
}
export type Customs = Partial<Record<PartTypeKey, Custom>>;

const MOST_TOLD = 8;

/** The values by how often they occur, the most frequent first; equal ones in the order in which they came. */
function byCount<T>(values: readonly T[], keyOf: (value: T) => string = String): T[] {
	const counts = new Map<string, { value: T; count: number }>();
	for (const value of values) {
		const known = counts.get(keyOf(value));
		if (known) known.count++;
		else counts.set(keyOf(value), { value, count: 1 });
	}
	return [...counts.values()].sort((a, b) => b.count - a.count).map(({ value }) => value);
}

const median = (values: readonly number[]): number => {
	const sorted = values.toSorted((a, b) => a - b);
	return sorted[Math.floor((sorted.length - 1) / 2)];
};

// What holds for one pump alone.
const OF_ONE_MODEL = /demo model|\d/;

/**
 * What these sheets usually state of each part type: the most frequent choice, and the lower median of prices and of
 * allowances as shares of the new size. A type that is on none of them is left out. Texts with figures are left out too,
 * because they hold for one model.
 */
export function customsOf(sheets: readonly ModelSheet[]): Customs {
	const stations = sheets.flatMap((sheet) =>
		sheet.stations.map((station, i) => ({ station, next: sheet.stations.at(i + 1)?.type }))
	);
	const types = [...new Set(stations.map(({ station }) => station.type))];
	return Object.fromEntries(
		types.map((type) => {
			const like = stations.filter(({ station }) => station.type === type);
			const parts = like.map(({ station }) => station);
			const cautions = parts.flatMap((part) => part.cautions).filter(({ onlyWith }) => !onlyWith);
			const custom: Custom = {
				names: byCount(parts.map(({ name }) => name)).slice(0, MOST_TOLD),
				side: byCount(parts.map(({ side }) => side))[0],
				per: byCount(parts.map(({ per }) => per))[0],
				renewal: byCount(parts.map(({ renewal }) => renewal))[0],
				price: median(parts.map(({ price }) => price)),
				lookFor: ofAnyModel(
					parts.flatMap(({ lookFor }) => (lookFor ? [lookFor] : [])),
					(text) => text
				),
				points: byCount(
					parts.flatMap(({ face: { what, feature } }) => (what ? [{ what, ...(feature ? { feature } : {}) }] : [])),
					({ what }) => what
				).slice(0, MOST_TOLD),
				cautions: ofAnyModel(cautions, ({ text }) => text),
				sizes: sizesOf(parts),
				next: byCount(like.flatMap(({ next }) => (next ? [next] : [])))
			};
			return [type, custom];
		})
	);
}

/** Types of the parts that come off first on these sheets, the most frequent first. */
export const firstTypes = (sheets: readonly ModelSheet[]): PartTypeKey[] =>
	byCount(sheets.flatMap(({ stations }) => stations.slice(0, 2).map(({ type }) => type)));

const ofAnyModel = <T>(values: readonly T[], textOf: (value: T) => string): T[] =>
	byCount(
		values.filter((value) => !OF_ONE_MODEL.test(textOf(value))),
		textOf
	).slice(0, MOST_TOLD);

function sizesOf(parts: readonly Station[]): SizeCustom[] {
	const all = parts.flatMap(({ characteristics }) => characteristics);
	return byCount(all.map(({ key }) => key)).map((key) => {
		const like = all.filter((size) => size.key === key);
		const limits = like.flatMap((size) => {
			const limit = discardLimit(size);
			return limit ? [{ side: limit.side, share: Math.abs(limit.value - size.nominal) / size.nominal }] : [];
		});
		const side = byCount(limits.map((limit) => limit.side)).at(0);
		const shares = limits.filter((limit) => limit.side === side).map(({ share }) => share);
		const [{ unit }] = like;
		const [places] = byCount(
			like.map(({ grid, face }) => ({ ...(grid ? { grid } : {}), ...(face ? { face } : {}) })),
			(custom) => JSON.stringify(custom)
		);
		return {
			key,
			unit,
			...(side ? { allowance: { side, share: median(shares) } } : {}),
			tolerance: median(like.map(({ tolerance, nominal }) => tolerance / nominal)),
			when: byCount(like.map(({ when }) => when))[0],
			...places
		};
	});
}

const LARGEST = 1e9;
const MOST_SHARE = 1000;
const DIGITS = 4;
/** A value with as many digits as an assumption deserves. */
export const rounded = (value: number): number => Number(value.toPrecision(DIGITS));

/**
 * A size of this new value with what is usual for it, its limit marked as assumed; a size without a custom has no limit yet.
 * Rounded to four digits. Errors: PreconditionError for a new size that no part has.
 */
export function usualSize(
	key: string,
	unit: SizeCustom['unit'],
	nominal: number,
	custom?: SizeCustom
): SheetCharacteristic {
	const { allowance, tolerance = 0, when = 'always', grid, face } = custom ?? {};
	requireThat(nominal > 0 && nominal < LARGEST, 'usualSize', 'nominal', nominal, 'above 0 and below 1e9');
	for (const share of [tolerance, allowance?.share ?? 0])
		requireThat(share >= 0 && share <= MOST_SHARE, 'usualSize', 'share', share, `0 to ${MOST_SHARE}`);
	const limit = allowance && {
		[allowance.side]: rounded(nominal * (1 + (allowance.side === 'min' ? -1 : 1) * allowance.share))
	};
	return {
		key,
		unit,
		nominal,
		...limit,
		limitFrom: 'assumed',
		tolerance: rounded(nominal * tolerance),
		when,
		...(grid ? { grid } : {}),
		...(face ? { face } : {})
	};
}
