import { wearPriorOf } from '../life';
import { discardLimit, type SheetCharacteristic, type Station } from '../record';
import { chanceOfWear } from './slips';

/** A size of an earlier rebuild that is not used in forecasts, because wear cannot have made it. Units: base units, hours of the pump. */
export interface SetAside {
	readonly pump: string;
	readonly station: string;
	readonly characteristic: string;
	readonly pumpHours: number;
	readonly value: number;
	/** Hours of ordinary duty that the part had run by then, at most. */
	readonly ran: number;
}

/** A size is left out if such wear comes about less often than this: a fit to thousands of parts must not lose a real one. */
const IMPOSSIBLE = 1e-6;
const COVERAGE = 3; // standard uncertainties of the size

/**
 * Whether wear cannot have made this size in so many hours: it is better than new by more than the whole allowance, or worn so fast
 * that fewer than one part in a million is. False where the sheet states no limit, and where no wear is expected.
 * Units: size, start and u in the size's base unit; hours. Errors: as `chanceOfWear`. Source: as `slipsIn`.
 */
export function cannotBeWear(
	station: Station,
	sheet: SheetCharacteristic,
	{ value, u }: { readonly value: number; readonly u: number },
	start: number,
	hours: number
): boolean {
	const limit = discardLimit(sheet);
	const prior = wearPriorOf(station.type, sheet);
	if (!limit || !prior) return false;
	const share = (value - start) / (limit.value - start);
	const slack = (COVERAGE * u + sheet.tolerance) / Math.abs(limit.value - start);
	if (share + slack < -1) return true;
	// Within the allowance nothing is too fast to count.
	return share - slack > 1 && chanceOfWear(share - slack, Math.max(1, hours), prior) < IMPOSSIBLE;
}
