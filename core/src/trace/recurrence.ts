import { chiSquareQuantile, requireThat } from '../number';

/** Rate of events over exposure, with its exact two-sided interval, all per 1000 h. */
export interface Rate {
	readonly events: number;
	readonly hours: number;
	readonly per1000h: number;
	readonly low: number;
	readonly high: number;
}

/**
 * Events per 1000 h with the exact Poisson interval (Garwood).
 *
 * Units: events a count ≥ 0, hours > 0, level in (0, 1).
 * Errors: PreconditionError otherwise. Accuracy: that of the chi-square quantile, about 1e-14.
 * Source: F. Garwood, Biometrika 28 (1936) 437–442: low = χ²(α/2; 2n)/2, high = χ²(1 − α/2; 2n + 2)/2.
 *
 * @example poissonRate(3, 1000) // low 0.6187, high 8.7673 per 1000 h
 */
export function poissonRate(events: number, hours: number, level = 0.95): Rate {
	requireThat(Number.isInteger(events) && events >= 0, 'poissonRate', 'events', events, 'a count');
	requireThat(hours > 0 && Number.isFinite(hours), 'poissonRate', 'hours', hours, 'above 0');
	requireThat(level > 0 && level < 1, 'poissonRate', 'level', level, 'between 0 and 1');
	const alpha = 1 - level;
	const low = events === 0 ? 0 : chiSquareQuantile(alpha / 2, 2 * events) / 2;
	const high = chiSquareQuantile(1 - alpha / 2, 2 * events + 2) / 2;
	const scale = 1000 / hours;
	return { events, hours, per1000h: events * scale, low: low * scale, high: high * scale };
}

/** One look at one place of one pump at one rebuild. */
export interface Look {
	readonly station: string;
	readonly cylinder: number;
	/** Hours that the place has run since it was last looked at. */
	readonly hours: number;
	/** Service-caused patterns found; empty where it was looked at and clean. */
	readonly patterns: readonly string[];
}

export interface Recurrence {
	readonly station: string;
	readonly pattern: string;
	readonly cylinder: number;
	readonly rate: Rate;
	/** The same pattern at this station on the pump's other cylinders, taken together; undefined where there is no other. */
	readonly others?: Rate;
	/**
	 * P(as many or more events here, if all cylinders were alike): the exact conditional test of one rate against the
	 * others', one-sided. 1 where nothing happened.
	 */
	readonly pAlike: number;
}

/**
 * What recurs on one pump: for every station, pattern and cylinder with at least one event, its rate and how far it
 * stands out from the other cylinders.
 *
 * Shape: all looks at one pump, over all its rebuilds; sorted by how surprising they are, most surprising first.
 * Comparisons are many: a single pAlike of 0.05 is no proof, which the screen says.
 * Source: J. Przyborowski, H. Wilenski, Biometrika 31 (1940) 313–323 (given the total, the count is binomial).
 */
export function recurrences(looks: readonly Look[]): Recurrence[] {
	const hoursAt = new Map<string, number>();
	const events = new Map<string, number>();
	const places = new Map<string, { station: string; pattern: string; cylinder: number }>();
	const add = (map: Map<string, number>, key: string, amount: number) => map.set(key, (map.get(key) ?? 0) + amount);
	for (const look of looks) {
		add(hoursAt, `${look.station}/${look.cylinder}`, look.hours);
		for (const pattern of new Set(look.patterns)) {
			const key = `${look.station}/${pattern}/${look.cylinder}`;
			add(events, key, 1);
			places.set(key, { station: look.station, pattern, cylinder: look.cylinder });
		}
	}
	const cylinders = [...new Set(looks.map((look) => look.cylinder))];
	const found = [...places].flatMap(([key, place]) => {
		const hours = hoursAt.get(`${place.station}/${place.cylinder}`) ?? 0;
		if (!(hours > 0)) return [];
		const otherCylinders = cylinders.filter((cylinder) => cylinder !== place.cylinder);
		const sum = (of: (cylinder: number) => number) =>
			otherCylinders.reduce((total, cylinder) => total + of(cylinder), 0);
		const otherHours = sum((cylinder) => hoursAt.get(`${place.station}/${cylinder}`) ?? 0);
		const otherEvents = sum((cylinder) => events.get(`${place.station}/${place.pattern}/${cylinder}`) ?? 0);
		const here = events.get(key)!;
		return [
			{
				...place,
				rate: poissonRate(here, hours),
				others: otherHours > 0 ? poissonRate(otherEvents, otherHours) : undefined,
				pAlike: otherHours > 0 ? binomialUpperTail(here, here + otherEvents, hours / (hours + otherHours)) : 1
			}
		];
	});
	return found.sort((a, b) => a.pAlike - b.pAlike || b.rate.events - a.rate.events);
}

/**
 * P(X ≥ k) for X binomial(n, p), summed term by term in log space from the first term.
 *
 * Errors: PreconditionError unless 0 ≤ k ≤ n are whole and 0 < p < 1. Accuracy: about 1e-13 relative for n up to 10⁴.
 *
 * @example binomialUpperTail(5, 5, 1 / 3) // 1/243
 */
export function binomialUpperTail(k: number, n: number, p: number): number {
	requireThat(Number.isInteger(n) && n >= 0, 'binomialUpperTail', 'n', n, 'a count');
	requireThat(Number.isInteger(k) && k >= 0 && k <= n, 'binomialUpperTail', 'k', k, 'a count up to n');
	requireThat(p > 0 && p < 1, 'binomialUpperTail', 'p', p, 'between 0 and 1');
	if (k === 0) return 1;
	let logTerm = n * Math.log1p(-p); // P(X = 0)
	const odds = Math.log(p) - Math.log1p(-p);
	let total = 0;
	for (let i = 1; i <= n; i++) {
		logTerm += Math.log((n - i + 1) / i) + odds;
		if (i >= k) total += Math.exp(logTerm);
	}
	return Math.min(1, total);
}
