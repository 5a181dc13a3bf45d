import { BY_ITSELF } from '@exetasis/core/record';
import { AGES_H } from '@exetasis/core/trace';
import type { Contrast } from '@exetasis/server/trace/contrasts';
import type { Format } from '../format/numbers';

/** What recurrences are set side by side by. */
export const contrastWords: Readonly<Record<Contrast, string>> = {
	lot: 'Lot',
	supplier: 'Supplier',
	kit: 'Kit',
	liquid: 'Liquid',
	season: 'Season',
	age: 'Hours since fitting',
	way: 'Fitting method',
	duty: 'Duty'
};

/** A kit by its number, or what came without one. */
export const kitWords = (kit: string): string => (kit === BY_ITSELF ? 'sold singly' : kit);

/** How long a part had been in when it was looked at. */
export function ageWords(group: string, format: Format): string {
	const [young, middle] = AGES_H.map((hours) => format.number(hours));
	switch (group) {
		case 'new':
			return `up to ${young} h`;
		case 'middle':
			return `${young} to ${middle} h`;
		default:
			return `more than ${middle} h`;
	}
}
