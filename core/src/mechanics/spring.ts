import { chiSquareUpper, finiteAnswer, requireThat } from '../number';

/** A cold-coiled compression spring: wire, mean coil diameter (mm), active coils, shear modulus (MPa). */
interface SpringGeometry {
	readonly wire: number;
	readonly meanDiameter: number;
	readonly activeCoils: number;
	readonly shearModulus: number;
}

/** Shear modulus at 20 °C, MPa: EN 13906-1:2013, table 2 (patented drawn steel EN 10270-1; stainless EN 10270-3). */
export const SHEAR_MODULUS = { steel: 81_500, stainless: 73_000 } as const;

const above0 = (fn: string, values: Readonly<Record<string, number>>) => {
	for (const [name, value] of Object.entries(values))
		requireThat(value > 0 && Number.isFinite(value), fn, name, value, 'above 0');
};

/**
 * Rate of a compression spring from its geometry: k = G·d⁴ / (8·D³·n), N/mm.
 * Errors: PreconditionError for a value not above 0, or a wire as thick as the coil. Source: EN 13906-1:2013, eq. (9).
 * Wire counts with its fourth power: one per cent of wire is four of rate.
 *
 * @example springRate({ wire: 1.6, meanDiameter: 12, activeCoils: 6, shearModulus: 81_500 }) // 6.4395 N/mm
 */
export function springRate({ wire, meanDiameter, activeCoils, shearModulus }: SpringGeometry): number {
	above0('springRate', { wire, meanDiameter, activeCoils, shearModulus });
	requireThat(meanDiameter > wire, 'springRate', 'meanDiameter', meanDiameter, `above the wire ${wire}`);
	return finiteAnswer('springRate', (shearModulus * wire ** 4) / (8 * meanDiameter ** 3 * activeCoils));
}

/**
 * Rate from a load test at two lengths: k = (F₂ − F₁)/(L₁ − L₂), N/mm, with the free length that it extrapolates to.
 * Errors: PreconditionError for a length or load below 0 or not finite, or where the shorter length does not carry the larger load.
 */
export function rateOfTest(
	long: { readonly length: number; readonly load: number },
	short: { readonly length: number; readonly load: number }
): { readonly rate: number; readonly freeLength: number } {
	above0('rateOfTest', {
		'long length': long.length,
		'short length': short.length,
		'load at the shorter length': short.load
	});
	requireThat(long.load >= 0, 'rateOfTest', 'load at the longer length', long.load, 'at least 0');
	requireThat(short.length < long.length, 'rateOfTest', 'short length', short.length, `below ${long.length}`);
	requireThat(short.load > long.load, 'rateOfTest', 'load at the shorter length', short.load, `above ${long.load}`);
	const rate = (short.load - long.load) / (long.length - short.length);
	return { rate, freeLength: long.length + long.load / rate };
}

/**
 * Corrected shear stress at a load, MPa: τ = K·8·F·D/(π·d³) with Wahl's K = (4C − 1)/(4C − 4) + 0.615/C, C = D/d.
 * Errors: PreconditionError as `springRate`, or for a load below 0. Source: A. Wahl, Mechanical Springs (1963), ch. 4.
 */
export function wahlStress(
	{ wire, meanDiameter }: Pick<SpringGeometry, 'wire' | 'meanDiameter'>,
	load: number
): number {
	above0('wahlStress', { wire, meanDiameter });
	requireThat(load >= 0 && Number.isFinite(load), 'wahlStress', 'load', load, 'at least 0');
	const index = meanDiameter / wire;
	requireThat(index > 1, 'wahlStress', 'meanDiameter', meanDiameter, `above the wire ${wire}`);
	const factor = (4 * index - 1) / (4 * index - 4) + 0.615 / index;
	return finiteAnswer('wahlStress', (factor * 8 * load * meanDiameter) / (Math.PI * wire ** 3));
}

/**
 * Length at which coil lies on coil, mm, for closed and ground ends: (active + 2)·d.
 * Errors: PreconditionError for a value not above 0. Source: EN 13906-1:2013, eq. (19).
 */
export function solidLength({ wire, activeCoils }: Pick<SpringGeometry, 'wire' | 'activeCoils'>): number {
	above0('solidLength', { wire, activeCoils });
	return (activeCoils + 2) * wire;
}

/** Whether a measured spring is the one that belongs here. */
interface SpringCandidate {
	readonly id: string;
	/** Size as new and half the range in which a sound one may lie, by name. */
	readonly sizes: Readonly<Record<string, { readonly size: number; readonly tolerance: number }>>;
}

export interface SpringIdentity {
	/** Probability of each candidate, together 1, in the order given. */
	readonly probabilities: readonly { readonly id: string; readonly probability: number }[];
	/** Chance that a sound spring of the likeliest kind would measure so far off: small means that it is none of them. */
	readonly fits: number;
}

/**
 * Which of the springs on the sheet the measured one is.
 *
 * Each size is normal about the candidate's with the tolerance (rectangular, so /√3) and the measuring uncertainty; equal
 * probability to begin with. Shape: at least one candidate and one measured size that every candidate has.
 * Units: mm and counts. Errors: PreconditionError for no candidates, no size in common, or a number that cannot be.
 * Source: Bayes' rule; goodness of fit by the chi-square of the likeliest.
 */
export function whichSpring(
	measured: Readonly<Record<string, { readonly value: number; readonly u: number }>>,
	candidates: readonly SpringCandidate[]
): SpringIdentity {
	requireThat(candidates.length > 0, 'whichSpring', 'candidates', 0, 'at least one');
	const names = Object.keys(measured).filter((name) => candidates.every(({ sizes }) => sizes[name] !== undefined));
	requireThat(names.length > 0, 'whichSpring', 'measured', Object.keys(measured).join(), 'a size of every candidate');
	const scores = candidates.map(({ sizes }) => {
		const terms = names.map((name) => {
			const { size, tolerance } = sizes[name];
			const { value, u } = measured[name];
			requireThat(Number.isFinite(value), 'whichSpring', name, value, 'a finite number');
			requireThat(u >= 0 && Number.isFinite(u), 'whichSpring', `u of ${name}`, u, 'at least 0');
			requireThat(Number.isFinite(size), 'whichSpring', `${name} as new`, size, 'a finite number');
			requireThat(
				tolerance >= 0 && Number.isFinite(tolerance),
				'whichSpring',
				`${name} tolerance`,
				tolerance,
				'at least 0'
			);
			const spread = Math.hypot(tolerance / Math.sqrt(3), u);
			requireThat(spread > 0, 'whichSpring', `${name} tolerance`, tolerance, 'above 0 where u is 0');
			return { z: (value - size) / spread, spread };
		});
		const distance = terms.reduce((sum, { z }) => sum + z * z, 0);
		return { distance, log: -distance / 2 - terms.reduce((sum, { spread }) => sum + Math.log(spread), 0) };
	});
	const most = Math.max(...scores.map(({ log }) => log));
	requireThat(Number.isFinite(most), 'whichSpring', 'measured', 'beyond all measure', 'a size of a spring');
	const total = scores.reduce((sum, { log }) => sum + Math.exp(log - most), 0);
	const probabilities = candidates.map(({ id }, i) => ({ id, probability: Math.exp(scores[i].log - most) / total }));
	const likeliest = scores.find(({ log }) => log === most)!;
	return { probabilities, fits: chiSquareUpper(likeliest.distance, names.length) };
}
