import { discardLimit, type SheetCharacteristic } from '@exetasis/core/record';
import type { Format } from '../format/numbers';

/** What the drawing of a worn part shows: how much its wear is enlarged, and whose limit the line is. */
export function profileWords(
	enlarged: number,
	sheet: Pick<SheetCharacteristic, 'min' | 'max' | 'limitFrom'>,
	format: Format
): string {
	const limit = !discardLimit(sheet)
		? 'No limit is stated.'
		: sheet.limitFrom === 'assumed'
			? 'Line along the edge: the assumed limit.'
			: 'Line along the edge: the discard limit.';
	return `Wear enlarged ${format.number(Number(enlarged.toPrecision(2)))} times. ${limit}`;
}
