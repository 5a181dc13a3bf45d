import { requireThat } from '../number';

/** A thickness of shim, mm, and how many of it lie in the drawer. */
export interface ShimStock {
	readonly thicknessMm: number;
	readonly count: number;
}

export interface ShimPack {
	/** Thicknesses to stack, thickest first. */
	readonly shimsMm: readonly number[];
	readonly totalMm: number;
	/** How much the pack is off what is wanted: above 0 it is too thick. */
	readonly offMm: number;
}

const STEP_MM = 0.01;
/** No gap that is shimmed is wider. */
const WIDEST_MM = 20;

/**
 * The pack of shims in stock that comes nearest to a thickness, of those the one of fewest pieces: dynamic programming over
 * hundredths of a millimetre, so that none is missed. A pack that is too thin is taken before one as much too thick, since
 * what is clamped solid cannot be pressed further.
 *
 * Shape: nothing where nothing is the nearest. Units: mm, exact to 0.01. Errors: PreconditionError for a negative gap or one
 * above 20 mm, a thickness below 0.01 mm, a count that is no whole number.
 */
export function shimPack(wantedMm: number, stock: readonly ShimStock[]): ShimPack {
	requireThat(wantedMm >= 0 && wantedMm <= WIDEST_MM, 'shimPack', 'wantedMm', wantedMm, `0 to ${WIDEST_MM}`);
	for (const { thicknessMm, count } of stock) {
		const fits = thicknessMm >= STEP_MM && thicknessMm <= WIDEST_MM;
		requireThat(fits, 'shimPack', 'thicknessMm', thicknessMm, `${STEP_MM} to ${WIDEST_MM}`);
		requireThat(Number.isInteger(count) && count >= 0 && count < 1000, 'shimPack', 'count', count, '0 to 999');
	}
	const wanted = wantedMm / STEP_MM;
	// One beyond the gap by the thickest shim is never nearer than what is left without it.
	const reach =
		Math.ceil(wanted) + Math.round(Math.max(0, ...stock.map((shimStock) => shimStock.thicknessMm)) / STEP_MM);
	const packs = new Map<number, readonly number[]>([[0, []]]);
	for (const { thicknessMm, count } of stock.toSorted((a, b) => b.thicknessMm - a.thicknessMm)) {
		const step = Math.round(thicknessMm / STEP_MM);
		for (const [total, pack] of [...packs])
			for (let n = 1; n <= count && total + n * step <= reach; n++) {
				const known = packs.get(total + n * step);
				if (!known || known.length > pack.length + n)
					packs.set(total + n * step, [...pack, ...Array.from({ length: n }, () => thicknessMm)]);
			}
	}
	const off = (total: number) => Math.abs(total - wanted);
	const [total, shimsMm] = [...packs].reduce((best, pack) => {
		const nearer = off(best[0]) - off(pack[0]);
		if (Math.abs(nearer) > 1e-6) return nearer > 0 ? pack : best;
		return pack[0] < best[0] ? pack : best;
	});
	return { shimsMm, totalMm: total * STEP_MM, offMm: (total - wanted) * STEP_MM };
}
