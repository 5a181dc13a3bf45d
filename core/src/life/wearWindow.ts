// Where the wear may stand at each inspection. Coordinate are counted in a root t of the steady process y = tᵐ, in which the wear yᵉ is
// a whole power of t, so that both are smooth down to no wear.

/** One look at one size: hours run since the history's beginning, and the wear then as a share of the allowance, with its u. */
export interface WearInspection {
	readonly hours: number;
	readonly worn: number;
	readonly u: number;
}

/** How positions are counted under one bending: y = t^root, wear = t^power. */
interface Coordinate {
	readonly root: number;
	readonly power: number;
}

/** What one reading leaves open: positions from `low` to `high`, and how fast its likelihood changes there. */
export interface WearWindow extends Coordinate {
	readonly low: number;
	readonly high: number;
	/** The reading's own position, and one over the standard uncertainty of the position there. */
	readonly position: number;
	readonly sharpness: number;
	/** How many nodes carry an integrand of this sharpness over half a piece. */
	readonly nodesFor: (half: number, sharpness: number) => number;
	/** ln of the reading's density at the first `count` positions, into `out`. */
	readonly logLikelihoods: (positions: Float64Array, count: number, out: Float64Array) => void;
}

/** How finely inspections are integrated: for one part's own risk; or for the rates of a fleet, of whose evidence it is one part, and for a change of rate. */
export type Fineness = 'part' | 'fleet';
const NODES = {
	part: { least: 10, base: 6, perWidth: 2.7 }, // a whole window takes 19
	fleet: { least: 8, base: 5, perWidth: 2.4 } // 16
} as const;
export const MOST_NODES = 160;

const REACH = 4.5; // standard uncertainties about the reading: beyond lie 7e-6 of it, and wider windows take more nodes
/** Of the allowance: no reading is better. */
export const LEAST_U = 1e-6;
const MOST_OFF = 5; // of its uncertainties that a reading may lie off what can be; one that lies further is trusted less
const REACHES_ZERO = 0.2; // of the highest position: a window that begins lower begins at no wear
const MOST_ROOT = 4;

/** The smallest root in which the wear is a whole power; the process itself where there is none up to the fourth. */
function coordinateOf(exponent: number): Coordinate {
	for (let root = 1; root <= MOST_ROOT; root++)
		if (Number.isInteger(root * exponent)) return { root, power: root * exponent };
	return { root: 1, power: exponent };
}

/** x to a power: where that is whole, several times as fast as by way of its logarithm. */
export function raise(x: number, power: number): number {
	if (!Number.isInteger(power)) return x ** power;
	let product = x;
	for (let k = 1; k < power; k++) product *= x;
	return product;
}

// Least squares of rising values: where a later reading is below an earlier one, both stand for what lies between them.
function rising(inspections: readonly WearInspection[]): number[] {
	const pools: { mean: number; weight: number; count: number }[] = [];
	for (const { worn, u } of inspections) {
		let pool = { mean: worn, weight: 1 / Math.max(u, LEAST_U) ** 2, count: 1 };
		for (let last = pools.at(-1); last && last.mean > pool.mean; last = pools.at(-1)) {
			const weight = last.weight + pool.weight;
			const mean = (last.mean * last.weight + pool.mean * pool.weight) / weight;
			pool = { mean, weight, count: last.count + pool.count };
			pools.pop();
		}
		pools.push(pool);
	}
	return pools.flatMap(({ mean, count }) => Array.from({ length: count }, () => mean));
}

/**
 * The window of each inspection, none lower than the one before it, none higher than the one after it.
 *
 * Wear never falls and is never below nought: readings that do are pooled, and where one lies further off than its uncertainty
 * explains, that uncertainty was stated too small and is widened.
 * Source: R. Barlow et al., Statistical Inference under Order Restrictions (1972), ch. 1 (pooling); R. Birge, Phys. Rev. 40
 * (1932) 207–227 (widening).
 */
export function wearWindows(
	inspections: readonly WearInspection[],
	exponent: number,
	fineness: Fineness
): readonly WearWindow[] {
	const { least, base, perWidth } = NODES[fineness];
	const { root, power } = coordinateOf(exponent);
	const centres = rising(inspections).map((centre) => Math.max(0, centre));
	const spreads = inspections.map(({ worn, u }, k) => Math.max(u, LEAST_U, Math.abs(worn - centres[k]) / MOST_OFF));
	const lows: number[] = [];
	const highs: number[] = [];
	for (const [k, spread] of spreads.entries()) {
		const high = (centres[k] + REACH * spread) ** (1 / power);
		const low = Math.max(0, centres[k] - REACH * spread) ** (1 / power);
		highs.push(high);
		lows.push(Math.max(low < REACHES_ZERO * high ? 0 : low, lows[k - 1] ?? 0));
	}
	for (let k = highs.length - 2; k >= 0; k--) highs[k] = Math.min(highs[k], highs[k + 1]);
	return inspections.map(({ worn }, k) => {
		const spread = spreads[k];
		const logSpread = Math.log(spread);
		const position = Math.max(centres[k], 2 * spread) ** (1 / power);
		return {
			root,
			power,
			low: lows[k],
			high: highs[k],
			position,
			nodesFor: (half, sharp) => Math.min(MOST_NODES, Math.max(least, Math.ceil(base + perWidth * half * sharp))),
			sharpness: (power * position ** (power - 1)) / spread,
			logLikelihoods: (positions, count, out) => {
				for (let j = 0; j < count; j++) {
					const z = (raise(positions[j], power) - worn) / spread;
					out[j] = (-z * z) / 2 - logSpread;
				}
			}
		};
	});
}
