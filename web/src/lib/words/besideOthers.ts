import type { BesideOthers, MeasuredCharacteristic } from '@exetasis/core/decide';
import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
import type { Format } from '../format/numbers';

const saysWords: Readonly<Record<Exclude<BesideOthers['says'], 'alike'>, string>> = {
	wornMore: 'more worn, if all were alike when new',
	wornLess: 'less worn, if all were alike when new',
	differs: 'it differs'
};

/** A size beside the same size at the other cylinders: "Diameter: 0.055 mm less than at the other 2 cylinders (± 0.019 mm): more worn, if all were alike when new." */
export function besideOthersSentence(
	{ characteristic: { name }, sheet }: Pick<MeasuredCharacteristic, 'characteristic' | 'sheet'>,
	{ others, difference, U, says }: BesideOthers,
	format: Format
): string {
	const unit = shownUnit(dimensionOf(sheet.unit), format.units);
	const at = others === 1 ? 'the other cylinder' : `the other ${others} cylinders`;
	const sure = `(±\u00a0${format.difference(U, unit)})`;
	if (says === 'alike') return `${name}: the same as at ${at} ${sure}.`;
	const by = format.difference(Math.abs(difference), unit);
	return `${name}: ${by} ${difference < 0 ? 'less' : 'more'} than at ${at} ${sure}: ${saysWords[says]}.`;
}
