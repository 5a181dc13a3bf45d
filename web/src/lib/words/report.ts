import { placeName } from './place';

/** Numbers in a row, three or more of them by the first and the last: "1 to 3 and 5". */
function countedTogether(numbers: readonly number[]): string {
	const runs: number[][] = [];
	for (const number of [...new Set(numbers)].sort((a, b) => a - b)) {
		const last = runs.at(-1);
		if (last && last.at(-1) === number - 1) last.push(number);
		else runs.push([number]);
	}
	const names = runs.flatMap((run) => (run.length > 2 ? [`${run[0]} to ${run.at(-1)}`] : run.map(String)));
	return names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('');
}

/** Parts of one name by their places: "Ceramic plunger, cylinders 1 to 3". */
export function placesName(name: string, cylinders: readonly number[]): string {
	const own = cylinders.filter((cylinder) => cylinder > 0);
	if (own.length < 2) return placeName(name, own[0] ?? 0);
	return `${name}, ${/cylinder$/i.test(name) ? 'nos.' : 'cylinders'} ${countedTogether(own)}`;
}

/** "1 part", "3 parts". */
export const partsCount = (count: number): string => `${count} ${count === 1 ? 'part' : 'parts'}`;

/** Where a released pump went. */
export const handoverWords = {
	service: 'Returned to service. Hoses and covers are back in place.',
	shelf:
		'Put in stock. Turn the shaft by hand once a month. The hours to the next service count from the first day of operation.'
} as const;
