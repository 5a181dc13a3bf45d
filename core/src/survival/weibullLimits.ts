// How far a parameter of a Weibull distribution may lie from its likeliest value: the profile likelihood.
import { curvatureAt, type Curvature, type LogLives } from './weibullLikelihood';

/** An estimate with its limits; a limit that the record does not set is missing. */
export interface Estimate {
	readonly value: number;
	readonly low?: number;
	readonly high?: number;
}

/** Where the likelihood is highest: ln scale and ln shape. */
export interface Maximum {
	readonly mu: number;
	readonly kappa: number;
	readonly at: Curvature;
}

export const SHAPE_RANGE = [0.02, 200] as const;
export const LOG_RANGE = [Math.log(SHAPE_RANGE[0]), Math.log(SHAPE_RANGE[1])] as const;
export const MOST_STEPS = 100;
const B10 = Math.log(-Math.log1p(-0.1));

type Target = 'shape' | 'scale' | 'b10';
// ln of the target is μ + offset/shape; the shape is its own.
const offsetOf: Readonly<Record<Exclude<Target, 'shape'>, number>> = { scale: 0, b10: B10 };

// The likelihood's derivatives with ln target in the place of μ.
function inTarget(at: Curvature, shape: number, offset: number): Curvature {
	const tilt = offset / shape;
	return {
		value: at.value,
		m: at.m,
		k: at.k + at.m * tilt,
		mm: at.mm,
		mk: at.mk + at.mm * tilt,
		kk: at.kk + 2 * at.mk * tilt + at.mm * tilt * tilt - at.m * tilt
	};
}

/** A parameter at the maximum, and where the profile likelihood has dropped by so much to either side of it. */
export function limits(logs: LogLives, best: Maximum, drop: number, target: Target): Estimate {
	const shape = Math.exp(best.kappa);
	const offset = target === 'shape' ? 0 : offsetOf[target];
	const own = inTarget(best.at, shape, offset);
	const centre = target === 'shape' ? best.kappa : best.mu + offset / shape;
	// Standard error by the curvature: the first step towards a limit.
	const determinant = own.mm * own.kk - own.mk * own.mk;
	const error = Math.sqrt(-(target === 'shape' ? own.mm : own.kk) / determinant);
	const tilt = target === 'shape' ? -own.mk / own.mm : -own.mk / own.kk;
	const side = (sign: 1 | -1): number | undefined => {
		let other = target === 'shape' ? best.mu : best.kappa;
		// The root of twice the drop rises nearly in a straight line with the distance.
		const height = (psi: number): number => {
			const guess = other;
			const found = target === 'shape' ? bestScale(logs, psi, guess) : bestShape(logs, psi, guess, offset);
			other = found.at;
			return Math.sqrt(Math.max(0, 2 * (best.at.value - found.value)));
		};
		const wanted = Math.sqrt(2 * drop);
		const first = sign * error * wanted;
		const swift = onContour(logs, target, best, drop, { psi: centre + first, other: other + tilt * first, error });
		if (swift !== undefined && Math.sign(swift - centre) === sign) return Math.exp(swift);
		other += tilt * first;
		const distance = rootOf((size) => height(centre + sign * size) - wanted, Math.abs(first));
		return distance === undefined ? undefined : Math.exp(centre + sign * distance);
	};
	return { value: Math.exp(centre), low: side(-1), high: side(1) };
}

/**
 * Where the profile likelihood has dropped by so much, by Newton's steps on both parameters at once; undefined where they do not
 * come to rest. Source: D. Venzon, S. Moolgavkar, Applied Statistics 37 (1988) 87–94.
 */
function onContour(
	logs: LogLives,
	target: Target,
	best: Maximum,
	drop: number,
	start: { readonly psi: number; readonly other: number; readonly error: number }
): number | undefined {
	let { psi, other } = start;
	for (let step = 0; step < 10; step++) {
		const kappa = target === 'shape' ? psi : other;
		if (!(kappa > LOG_RANGE[0] && kappa < LOG_RANGE[1])) return undefined;
		const shape = Math.exp(kappa);
		const offset = target === 'shape' ? 0 : offsetOf[target];
		const mu = target === 'shape' ? other : psi - offset / shape;
		const at =
			target === 'shape' ? curvatureAt(logs, mu, kappa) : inTarget(curvatureAt(logs, mu, kappa), shape, offset);
		const [along, across, acrossAcross] = target === 'shape' ? [at.k, at.m, at.mm] : [at.m, at.k, at.kk];
		if (!(acrossAcross < 0)) return undefined;
		const off = at.value - (best.at.value - drop);
		const determinant = along * acrossAcross - across * at.mk;
		const movePsi = -(off * acrossAcross - across * across) / determinant;
		const moveOther = -(along * across - at.mk * off) / determinant;
		if (!Number.isFinite(movePsi) || !Number.isFinite(moveOther) || Math.abs(movePsi) > 5) return undefined;
		psi += movePsi;
		other += moveOther;
		// Of standard errors: the next step would be about its square.
		if (Math.abs(movePsi) < 1e-4 * start.error && Math.abs(moveOther) * Math.sqrt(-acrossAcross) < 1e-4) return psi;
	}
	return undefined;
}

const FURTHEST = 25; // in ln: beyond e²⁵ times the estimate a limit is none

// Where a rising function of a distance crosses nought; from a good guess, by the secant held in its bracket.
function rootOf(of: (distance: number) => number, guess: number): number | undefined {
	let low = 0;
	let atLow = of(0);
	let high = Math.min(guess, FURTHEST);
	let atHigh = of(high);
	while (!(atHigh >= 0)) {
		if (high >= FURTHEST) return undefined;
		[low, atLow] = [high, atHigh];
		high = Math.min(FURTHEST, high * 1.5);
		atHigh = of(high);
	}
	for (let step = 0; step < 60 && high - low > 1e-9 * (1 + high); step++) {
		const secant = low - (atLow * (high - low)) / (atHigh - atLow);
		const inside = secant > low && secant < high ? secant : (low + high) / 2;
		const value = of(inside);
		if (Math.abs(value) < 1e-9) return inside;
		if (value < 0) {
			[low, atLow] = [inside, value];
			atHigh /= 2; // Illinois: the end that stays counts half
		} else {
			[high, atHigh] = [inside, value];
			atLow /= 2;
		}
	}
	return (low + high) / 2;
}

interface Inner {
	readonly at: number;
	readonly value: number;
}

const bestScale = (logs: LogLives, kappa: number, guess: number): Inner =>
	climbOne(guess, 2 / Math.exp(kappa), (mu) => {
		const { value, m, mm } = curvatureAt(logs, mu, kappa);
		return { value, slope: m, bend: mm };
	});

const bestShape = (logs: LogLives, psi: number, guess: number, offset: number): Inner =>
	climbOne(Math.min(LOG_RANGE[1], Math.max(LOG_RANGE[0], guess)), 1, (kappa) => {
		const shape = Math.exp(kappa);
		const { value, k, kk } = inTarget(curvatureAt(logs, psi - offset / shape, kappa), shape, offset);
		return { value, slope: k, bend: kk };
	});

function climbOne(
	start: number,
	longest: number,
	of: (x: number) => { readonly value: number; readonly slope: number; readonly bend: number }
): Inner {
	let x = start;
	let here = of(x);
	for (let step = 0; step < MOST_STEPS; step++) {
		const newton = here.bend < 0 ? -here.slope / here.bend : Math.sign(here.slope) * longest;
		let move = Math.max(-longest, Math.min(longest, newton));
		// What a step of Newton's still gains falls with the square of it.
		if (Math.abs(here.slope * move) < 1e-10) break;
		let next = of(x + move);
		while (!(next.value >= here.value) && Math.abs(move) > 1e-12) next = of(x + (move /= 2));
		if (!(next.value >= here.value)) break;
		x += move;
		here = next;
	}
	return { at: x, value: here.value };
}
