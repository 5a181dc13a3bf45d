import { normalCdf, requireThat } from '../number';

/** One point of a size read at several: its value, what its own readings leave open, and what all readings of its gauge share. */
interface PointReading {
	readonly value: number;
	/** Standard uncertainty of its own (scatter, resolution), and of what does not average out (zero, temperature). */
	readonly own: number;
	readonly shared: number;
}

interface WorstPoint {
	/** The largest true value among the points, with its standard uncertainty: without the bias of the largest reading. */
	readonly value: number;
	readonly u: number;
	/** Each point's own value, drawn towards the others as far as their scatter allows. */
	readonly points: readonly number[];
}

const SCATTERS = 7; // between points, from a tenth of the readings' own uncertainty up to their whole range
const HERMITE = [
	{ z: -Math.sqrt(3), weight: 1 / 6 },
	{ z: 0, weight: 2 / 3 },
	{ z: Math.sqrt(3), weight: 1 / 6 }
] as const;
const STEPS = 28; // of the integral over the largest value

/**
 * The worst of several points, estimated from all of them together: true values are normal about a common one with a scatter
 * between points that is integrated over (even prior on its logarithm).
 *
 * The largest of six noisy readings of an even face is not its worst point: the scatter of the readings explains it. What the
 * readings of one gauge share moves all points alike and is added at the end; where gauges differ the least of it is taken
 * as shared, the rest as each point's own.
 * Shape: at least one point, larger is worse. Units: all alike.
 * Errors: PreconditionError where there is no point, a value is not finite, or an uncertainty is below 0 or both are 0.
 * Accuracy: 0.02 of the readings' uncertainty. Source: A. Gelman et al., Bayesian Data Analysis (2013), 5.4 (normal model of
 * exchangeable groups).
 */
export function worstPoint(readings: readonly PointReading[]): WorstPoint {
	requireThat(readings.length > 0, 'worstPlace', 'readings', 'none', 'at least one point');
	for (const { value, own, shared } of readings) {
		requireThat(Number.isFinite(value), 'worstPlace', 'value', value, 'a finite number');
		requireThat(own >= 0 && Number.isFinite(own), 'worstPlace', 'own', own, 'at least 0');
		requireThat(shared >= 0 && Number.isFinite(shared), 'worstPlace', 'shared', shared, 'at least 0');
		requireThat(own + shared > 0, 'worstPlace', 'own', own, 'above 0, or something shared');
	}
	const common = Math.min(...readings.map(({ shared }) => shared));
	const own = readings.map((reading) =>
		Math.max(Math.sqrt(reading.own ** 2 + reading.shared ** 2 - common ** 2), LEAST * reading.shared)
	);
	const values = readings.map(({ value }) => value);
	if (values.length === 1) return { value: values[0], u: Math.hypot(own[0], common), points: values };
	const fits = scatters(values, own).map((scatter) => fitOf(values, own, scatter));
	const largest = Math.max(...fits.map(({ logEvidence }) => logEvidence));
	const weights = fits.map(({ logEvidence }) => Math.exp(logEvidence - largest));
	const total = weights.reduce((a, b) => a + b, 0);
	const over = (of: (fit: (typeof fits)[number]) => number) =>
		fits.reduce((sum, fit, i) => sum + (weights[i] / total) * of(fit), 0);
	const value = over(({ mean }) => mean);
	const square = over(({ mean, variance }) => variance + (mean - value) ** 2);
	return {
		value,
		u: Math.sqrt(square + common ** 2),
		points: values.map((_, j) => over(({ points }) => points[j]))
	};
}
const LEAST = 1e-3; // of what is shared: no reading is without scatter of its own

function scatters(values: readonly number[], own: readonly number[]): number[] {
	const least = Math.min(...own) / 10;
	const most = Math.max(Math.max(...values) - Math.min(...values), 3 * Math.max(...own));
	return Array.from({ length: SCATTERS }, (_, i) => least * (most / least) ** (i / (SCATTERS - 1)));
}

function fitOf(values: readonly number[], own: readonly number[], scatter: number) {
	const precision = own.map((u) => 1 / (u * u + scatter * scatter));
	const all = precision.reduce((a, b) => a + b, 0);
	const centre = values.reduce((sum, value, j) => sum + (precision[j] * (value - values[0])) / all, values[0]);
	const logEvidence =
		values.reduce((sum, value, j) => sum + (Math.log(precision[j]) - precision[j] * (value - centre) ** 2) / 2, 0) -
		Math.log(all) / 2;
	// Given the common value, each point is normal about a mean between it and its own reading.
	const trust = own.map((u) => scatter ** 2 / (scatter ** 2 + u * u));
	const sd = own.map((u, j) => u * Math.sqrt(trust[j]));
	const open = 1 / Math.sqrt(all);
	let mean = 0;
	let square = 0;
	for (const { z, weight } of HERMITE) {
		const about = centre + z * open;
		const largest = largestOf(
			values.map((value, j) => about + trust[j] * (value - about)),
			sd
		);
		mean += weight * (largest.mean - centre);
		square += weight * (largest.variance + (largest.mean - centre) ** 2);
	}
	return {
		logEvidence,
		mean: centre + mean,
		variance: Math.max(0, square - mean ** 2),
		points: values.map((value, j) => centre + trust[j] * (value - centre))
	};
}

// Mean and variance of the largest of independent normal values, from their joint distribution function.
function largestOf(means: readonly number[], sds: readonly number[]): { mean: number; variance: number } {
	const low = Math.max(...means.map((mean, j) => mean - 4.5 * sds[j]));
	const high = Math.max(...means.map((mean, j) => mean + 4.5 * sds[j]));
	const step = (high - low) / STEPS;
	let before = 0;
	let mean = 0;
	let square = 0;
	for (let i = 1; i <= STEPS; i++) {
		const x = low + i * step;
		const below = i === STEPS ? 1 : means.reduce((product, m, j) => product * normalCdf((x - m) / sds[j]), 1);
		const middle = (i - 0.5) * step;
		mean += (below - before) * middle;
		square += (below - before) * middle ** 2;
		before = below;
	}
	return { mean: low + mean, variance: Math.max(0, square - mean ** 2) };
}
