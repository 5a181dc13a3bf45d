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
export interface Inspection {
	readonly station: string;
	readonly cylinder: number;
	/** Hours that the place has run since it was last looked at. */
	readonly hours: number;
	/** Events since then: patterns made in service that are new or have grown (see `countedInspections`); empty where there was none. */
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
	/** The same with all the pump's comparisons allowed for: P(any of them as surprising, if all its cylinders were alike). */
	readonly pAny: number;
}

const MOST_EVENTS = 1e6;
const ROUNDING = 1 + 1e-9;

/**
 * What recurs on one pump: for every station, pattern and cylinder with at least one event, its rate and how far it
 * stands out from the other cylinders.
 *
 * Shape: all looks at one pump, over all its rebuilds; sorted by how surprising they are, most surprising first.
 * Comparisons are many: `pAny` allows for them all; those too scarce to be surprising whatever happened do not count.
 * Source: J. Przyborowski, H. Wilenski, Biometrika 31 (1940) 313–323 (given the total, the count is binomial);
 * R. Tarone, Biometrics 46 (1990) 515–522 (many comparisons of counts).
 */
export function recurrences(inspections: readonly Inspection[]): Recurrence[] {
	const hoursAt = new Map<string, number>();
	const events = new Map<string, number>();
	const patterns = new Map<string, { station: string; pattern: string }>();
	const add = (map: Map<string, number>, key: string, amount: number) => map.set(key, (map.get(key) ?? 0) + amount);
	for (const inspection of inspections) {
		add(hoursAt, `${inspection.station}/${inspection.cylinder}`, inspection.hours);
		for (const pattern of new Set(inspection.patterns)) {
			add(events, `${inspection.station}/${pattern}/${inspection.cylinder}`, 1);
			patterns.set(`${inspection.station}/${pattern}`, { station: inspection.station, pattern });
		}
	}
	const cylinders = [...new Set(inspections.map((inspection) => inspection.cylinder))];
	const here = (station: string, cylinder: number) => hoursAt.get(`${station}/${cylinder}`) ?? 0;
	const count = (station: string, pattern: string, cylinder: number) =>
		events.get(`${station}/${pattern}/${cylinder}`) ?? 0;
	const comparisons = [...patterns.values()].flatMap(({ station, pattern }) => {
		const allHours = cylinders.reduce((sum, cylinder) => sum + here(station, cylinder), 0);
		const all = cylinders.reduce((sum, cylinder) => sum + count(station, pattern, cylinder), 0);
		return cylinders.flatMap((cylinder) => {
			const hours = here(station, cylinder);
			if (!(hours > 0)) return [];
			const own = count(station, pattern, cylinder);
			const share = hours / allHours;
			const others = allHours > hours ? poissonRate(all - own, allHours - hours) : undefined;
			const pAlike = others ? binomialUpperTail(own, all, share) : 1;
			const least = others ? share ** all : 1;
			return [{ station, pattern, cylinder, rate: poissonRate(own, hours), others, pAlike, least }];
		});
	});
	const found = comparisons
		.filter(({ rate }) => rate.events > 0)
		.map(({ least: _least, ...recurrence }) => {
			const asSurprising = comparisons.filter(({ least }) => least <= recurrence.pAlike * ROUNDING).length;
			return { ...recurrence, pAny: Math.min(1, recurrence.pAlike * asSurprising) };
		});
	return found.sort((a, b) => a.pAlike - b.pAlike || b.rate.events - a.rate.events);
}

/** Chance at which a shop without any cause at work sees anything stand out at all, over all its pumps. */
export const FALSE_ALARM = 0.05;

/**
 * Whether a pump's most surprising recurrence stands out, all its comparisons and all the shop's pumps allowed for.
 * Source: Bonferroni over the pumps, on `pAny` of each.
 */
export const standsOut = ({ pAny }: Recurrence, pumps: number): boolean => pAny * pumps <= FALSE_ALARM;

/**
 * P(X ≥ k) for X binomial(n, p), summed term by term in log space from the first term.
 *
 * Errors: PreconditionError unless 0 ≤ k ≤ n are whole, n up to a million, and 0 < p < 1. Accuracy: 1e-10 relative for n up to 10⁴.
 *
 * @example binomialUpperTail(5, 5, 1 / 3) // 1/243
 */
export function binomialUpperTail(k: number, n: number, p: number): number {
	requireThat(
		Number.isInteger(n) && n >= 0 && n <= MOST_EVENTS,
		'binomialUpperTail',
		'n',
		n,
		'a count up to a million'
	);
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
