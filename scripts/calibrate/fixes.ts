// The worst of many alike places is acted on: how often is an act without effect called a fix, and how often is a fix seen?
import { fixWorked, type Inspected } from '../../core/src/trace';
import { Random } from '../../demo/src';

const PLACES = 36; // twelve pumps of three cylinders
const HOURS = 1500;

export interface Fixes {
	readonly chosen: number;
	/** Called worked, by its own record alone, and held against the other places as well. */
	readonly byItself: number;
	readonly againstOthers: number;
}

/**
 * How often the act at the worst place is said to have worked, after so many inspections before and since.
 * `bad` is the share of inspections that find it at the one place with a cause; its others, and it after the act, find it at `usual`.
 */
export function fixes(shops: number, seed: number, inspections: number, usual: number, bad: number): Fixes {
	const random = new Random(seed);
	const count = { chosen: 0, byItself: 0, againstOthers: 0 };
	const seen = (share: number): Inspected => ({
		events: Array.from({ length: inspections }, () => random.chance(share)).filter(Boolean).length,
		inspections,
		exposure: inspections * HOURS
	});
	for (let shop = 0; shop < shops; shop++) {
		const before = Array.from({ length: PLACES }, (_, place) => seen(place === 0 ? bad : usual));
		const worst = before.toSorted((a, b) => b.events - a.events)[0];
		const others = before.filter((place) => place !== worst);
		if (bad > usual && worst !== before[0]) continue; // the wrong place was acted on
		count.chosen++;
		const since = seen(usual);
		if (fixWorked(worst, since).verdict === 'worked') count.byItself++;
		if (fixWorked(worst, since, 0.95, others).verdict === 'worked') count.againstOthers++;
	}
	return count;
}
