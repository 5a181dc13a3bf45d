import { mean, requireThat } from '../number';
import { discardLimit, type SheetCharacteristic } from '../record';
import type { WearHistory } from './gammaProcess';

/** One look at one part's size: its hours then, and its smallest and largest reading. */
export interface SizeAtLook {
	readonly part: string;
	readonly hours: number;
	readonly least: number;
	readonly most: number;
	/** Its size as fitted, where that was measured. */
	readonly asFitted?: number;
}

/**
 * Wear histories of the parts of one kind, from the sizes read at each look.
 *
 * The worst place counts, as in judging; the size at hours 0 is the one as fitted, else nominal. Looks of one part at the same hours are one.
 * Shape: any order; one history a part. Errors: PreconditionError for hours not above 0.
 */
export function wearHistories(sheet: SheetCharacteristic, looks: readonly SizeAtLook[]): WearHistory[] {
	const side = discardLimit(sheet)?.side;
	requireThat(side !== undefined, 'wearHistories', 'limit', 'none', 'a discard limit');
	const byPart = new Map<string, Map<number, number[]>>();
	for (const { part, hours, least, most, asFitted } of looks) {
		requireThat(hours > 0, 'wearHistories', 'hours', hours, 'above 0');
		const start = asFitted ?? sheet.nominal;
		const worn = side === 'min' ? start - least : most - start;
		const at = byPart.get(part) ?? new Map<number, number[]>();
		byPart.set(part, at.set(hours, [...(at.get(hours) ?? []), worn]));
	}
	return [...byPart.values()].map((at) => {
		const looks = [...at].map(([hours, worn]) => ({ hours, worn: mean(worn) })).sort((a, b) => a.hours - b.hours);
		const before = [{ hours: 0, worn: 0 }, ...looks];
		return {
			intervals: looks.map(({ hours, worn }, i) => ({ hours: hours - before[i].hours, growth: worn - before[i].worn }))
		};
	});
}
