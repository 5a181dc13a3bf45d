// Fleets in which nothing is wrong with any one cylinder: how often does anything stand out at all?
import { countedLooks, recurrences, standsOut, type PartLook } from '../../core/src/trace';
import { Random } from '../../demo/src';

const PUMPS = 12;
const CYLINDERS = 3;
const REBUILDS = 9;
const STATIONS = 16;
const PATTERNS = 3;

// Marks come at their pattern's rate, stay on kept parts, and now and then grow.
function looksOf(random: Random, ratesPer1000h: readonly number[][]): PartLook[] {
	const looks: PartLook[] = [];
	for (let station = 0; station < STATIONS; station++)
		for (let cylinder = 1; cylinder <= CYLINDERS; cylinder++) {
			let part = 0;
			let fittedHours: number | null = null;
			let marks = new Map<string, number>();
			for (let rebuild = 1; rebuild <= REBUILDS; rebuild++) {
				const pumpHours = 1500 * rebuild;
				for (const [pattern, rate] of ratesPer1000h[station].entries()) {
					const severity = marks.get(`${pattern}`) ?? 0;
					if (random.chance(-Math.expm1(-rate * 1.5)) && severity < 3) marks.set(`${pattern}`, severity + 1);
				}
				const found = [...marks].map(([pattern, severity]) => ({ pattern, severity, onset: 'service' as const }));
				looks.push({
					part: `${station}/${cylinder}/${part}`,
					station: `${station}`,
					cylinder,
					pumpHours,
					fittedHours,
					marks: found
				});
				if (random.chance(0.3)) {
					part++;
					fittedHours = pumpHours;
					marks = new Map();
				}
			}
		}
	return looks;
}

/** Share of fleets without a cause in which anything stands out. */
export function falseAlarms(fleets: number, seed: number): { fleets: number; alarms: number } {
	const random = new Random(seed);
	let alarms = 0;
	for (let fleet = 0; fleet < fleets; fleet++) {
		let any = false;
		for (let pump = 0; pump < PUMPS; pump++) {
			const rates = Array.from({ length: STATIONS }, () =>
				Array.from({ length: PATTERNS }, () => 0.02 * 10 ** random.between(-0.5, 1))
			);
			const counted = countedLooks(looksOf(random, rates)).flatMap(({ hours, ...look }) =>
				hours === undefined ? [] : [{ ...look, hours }]
			);
			const [worst] = recurrences(counted);
			any ||= worst !== undefined && standsOut(worst, PUMPS);
		}
		if (any) alarms++;
	}
	return { fleets, alarms };
}
