import { requireThat } from './require';

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Where a function of one top between `low` and `high` is highest, within `width`.
 *
 * Errors: PreconditionError for ends that are no interval, or a width not above 0. Accuracy: half of `width`, as far as the function
 * tells neighbouring places apart. Source: J. Kiefer, Proc. Am. Math. Soc. 4 (1953) 502–506.
 *
 * @example highestAt((x) => -((x - 2) ** 2), 0, 5, 1e-6) // 2
 */
export function highestAt(of: (x: number) => number, low: number, high: number, width: number): number {
	requireThat(Number.isFinite(high - low) && high > low, 'highestAt', 'high', high, `above ${low}`);
	requireThat(width > 0 && width >= (high - low) * 1e-14, 'highestAt', 'width', width, 'above 0');
	let [from, to] = [low, high];
	let [a, b] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
	let [atA, atB] = [of(a), of(b)];
	while (to - from > width)
		if (atA > atB) {
			[to, b, atB] = [b, a, atA];
			a = to - GOLDEN * (to - from);
			atA = of(a);
		} else {
			[from, a, atA] = [a, b, atB];
			b = from + GOLDEN * (to - from);
			atB = of(b);
		}
	return (from + to) / 2;
}
