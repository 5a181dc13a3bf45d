import type { Meant, SetAside, Slip } from '@exetasis/core/decide';
import { partType } from '@exetasis/core/part';
import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
import { discardLimit, type ModelSheet, type Station } from '@exetasis/core/record';
import { inSentence } from './place';
import type { Format } from '../format/numbers';

const meantWords = (meant: Meant, at: (value: number) => string): string => {
	switch (meant.as) {
		case 'inch':
			return 'in inches instead of millimetres';
		case 'tenfold':
			return 'with the decimal point one place off';
		case 'digits':
			return `${at(meant.value)}, with two digits swapped`;
		case 'otherPart':
			return `the ${inSentence(meant.part)}`;
	}
};

/** Why a size is asked about before it counts, and what may have been meant. */
export function slipSentence(slip: Slip, station: Station, format: Format): string {
	const sheet = station.characteristics.find(({ key }) => key === slip.characteristic)!;
	const { name } = partType(station.type).characteristics.find(({ key }) => key === slip.characteristic)!;
	const unit = shownUnit(dimensionOf(sheet.unit), format.units);
	const at = (value: number) => format.quantity(value, unit);
	const maybe =
		slip.meant.length > 0 ? ` Perhaps ${slip.meant.map((meant) => meantWords(meant, at)).join(', or ')}.` : '';
	switch (slip.why) {
		case 'betterThanNew': {
			const larger = discardLimit(sheet)?.side === 'min' ? 'larger' : 'smaller';
			return `${name} ${at(slip.value)}: ${format.difference(slip.by, unit)} ${larger} than new (${at(sheet.nominal)}). Misread, wrong part or swollen?${maybe}`;
		}
		case 'tooFast':
			return `${name} ${at(slip.value)}: fewer than 1 in 10,000 parts wear this fast. Misread or wrong part?${maybe}`;
		case 'allAlike':
			return `${name}: every point reads ${at(slip.value)}, typed within seconds. Was each point measured?`;
	}
}

/** Which size is not used in forecasts, why, and what can be done about it. */
export function setAsideSentence(
	{ serial, station: key, characteristic, pumpHours, value, ran }: SetAside & { readonly serial: string },
	sheet: ModelSheet,
	format: Format
): string {
	const station = sheet.stations.find((candidate) => candidate.key === key);
	const size = station?.characteristics.find((candidate) => candidate.key === characteristic);
	const known = station && partType(station.type).characteristics.find((candidate) => candidate.key === characteristic);
	const what = known ? inSentence(known.name) : characteristic;
	const at = size ? format.quantity(value, shownUnit(dimensionOf(size.unit), format.units)) : format.number(value);
	const hours = (count: number) => `${format.number(Math.round(count))} h`;
	return `${serial} at ${hours(pumpHours)}, ${station ? inSentence(station.name) : key}: ${what} ${at} is not used in forecasts. Wear cannot do this in ${hours(ran)}. If it was misread, a lead can correct it.`;
}
