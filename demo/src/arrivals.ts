import { entrySchema, standingDecision, type Entry, type JobState, type ModelSheet } from '@exetasis/core/record';
import { inEarlySpringYears } from './stories';

interface Cell {
	readonly part: string;
	readonly station: string;
}

const HALF_YEARS = 2;
const suppliers = ['Skerry Seals', 'Holm Valve & Spring'] as const;
const soft = /seal|ring|packing|gasket|cup|diaphragm|wick|slinger/i;

/** The lot of a station's parts as the drawer had it in that year: one every half year; the springs that set early are a lot of their own. */
function lotOf(type: string, years: number): string {
	const letters = type.slice(0, 2).toUpperCase();
	if (type === 'spring' && inEarlySpringYears(years)) return `${letters}-0713`;
	return `${letters}-${String(Math.floor(years * HALF_YEARS) + 1).padStart(2, '0')}`;
}

/** What came in for a rebuild: by station as many pieces as are replaced, out of a kit where all that the kit holds is. */
export function arrivals(
	sheet: ModelSheet,
	cells: readonly Cell[],
	{ parts }: Pick<JobState, 'parts'>,
	years: number,
	stamp: () => object
): Entry[] {
	const replaced = cells.filter(({ part }) => standingDecision(parts.get(part)!)?.payload.verdict === 'replace');
	const wanted = new Set(replaced.map(({ station }) => station));
	return sheet.stations
		.filter(({ key }) => wanted.has(key))
		.map(({ key: station, type, pieces }) => {
			const kit = sheet.kits.find(
				({ holds }) => holds.some((held) => held.station === station) && holds.every((held) => wanted.has(held.station))
			);
			const payload = {
				station,
				pieces: pieces * replaced.filter((cell) => cell.station === station).length,
				from: 'bought',
				lot: lotOf(type, years),
				supplier: suppliers[soft.test(type) ? 0 : 1],
				...(kit ? { kit: kit.number } : {})
			};
			return entrySchema.parse({ ...stamp(), kind: 'arrived', payload });
		});
}
