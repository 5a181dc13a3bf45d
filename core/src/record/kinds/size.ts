import { dimensionOf, isAsTyped, type Unit } from '../../quantity';
import type { EntryProblem, UnitSuspicion } from '../problem';
import { characteristicOf, type SheetCharacteristic, type Station } from '../sheet';

const PLAUSIBLE = { least: 0.5, most: 1.5 }; // share of nominal: worn parts lie far inside, mistaken units far outside
const SUSPECTS: readonly [UnitSuspicion, number][] = [
	['inch', 25.4],
	['tenfold', 10],
	['thousandfold', 1000]
];
const DIAL_MOST_MM = 10; // deviations from wherever the dial was set to zero
// Sizes that start from almost nothing (a pit depth, a gap, a roughness) may grow manyfold.
const SMALL_NOMINAL = 1;
const SMALL_NOMINAL_MOST = 60;

/** Whether a reading can be of this size at all, and which mistake of unit would explain it. */
export function checkPlausible(
	value: number,
	{ nominal, unit }: SheetCharacteristic,
	form?: 'runout' | 'flatness'
): EntryProblem | undefined {
	if (form) return Math.abs(value) <= DIAL_MOST_MM ? undefined : { code: 'implausible', value, nominal, unit };
	if (unit === 'share') return value >= 0 && value <= 1 ? undefined : { code: 'implausible', value, nominal, unit };
	const share = value / nominal;
	if (share >= PLAUSIBLE.least && share <= PLAUSIBLE.most) return undefined;
	if (nominal < SMALL_NOMINAL && value >= 0 && value <= nominal * SMALL_NOMINAL_MOST) return undefined;
	const explains = (factor: number) => [share * factor, share / factor].some((s) => s > 0.8 && s < 1.25);
	const suspect = SUSPECTS.find(([, factor]) => explains(factor))?.[0];
	return { code: 'implausible', value, nominal, unit, ...(suspect ? { suspect } : {}) };
}

/** A size as an entry carries it: the value in the base unit, and what was typed. */
export interface Size {
	readonly characteristic: string;
	readonly value: number;
	readonly typed: { readonly text: string; readonly unit: Unit };
}

/** Whether a size belongs to this station's sheet, was typed in a unit that measures it, and is what was typed. */
export function checkSize({ characteristic, value, typed }: Size, station: Station): EntryProblem | undefined {
	const measured = station.characteristics.find(({ key }) => key === characteristic);
	if (!measured) return { code: 'characteristicNotOnSheet', characteristic, part: station.name };
	if (dimensionOf(typed.unit) !== dimensionOf(measured.unit))
		return { code: 'wrongUnit', typed: typed.unit, expected: measured.unit };
	if (!isAsTyped(value, typed)) return { code: 'notAsTyped', value, text: typed.text, unit: typed.unit };
	return checkPlausible(value, measured, characteristicOf(station, characteristic).form);
}
