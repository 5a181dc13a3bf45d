import { hazardSums, type HazardSums } from './hazardSums';
import { hasEnded, isExact, isWatchedLate, type ObservedLife } from './observedLife';

/** ln likelihood of a Weibull distribution and its derivatives in μ = ln scale and κ = ln shape. */
export interface Curvature {
	readonly value: number;
	readonly m: number;
	readonly k: number;
	readonly mm: number;
	readonly mk: number;
	readonly kk: number;
}

/** How many there are, and the sum of their logarithms. */
export interface Counted {
	readonly count: number;
	readonly sum: number;
}

const counted = (logs: Float64Array): Counted => ({ count: logs.length, sum: logs.reduce((sum, log) => sum + log, 0) });

/** Lives as the likelihood needs them: sums, and the logarithms of intervals. Hours of 0 as lower ends stay −Infinity. */
export interface LogLives {
	readonly exact: Counted;
	readonly held: Counted;
	readonly from: Float64Array;
	readonly to: Float64Array;
	/** Over exact and held lives, less the ages from which lives were watched that were not from their fitting on. */
	readonly hazards: (shape: number, mu: number) => HazardSums;
	readonly ended: number;
}

/** Shape: lives with age (see `withAge`). One walk: there may be a hundred thousand. */
export function logLives(lives: readonly ObservedLife[]): LogLives {
	const exact = new Float64Array(lives.length);
	const held = new Float64Array(lives.length);
	const from = new Float64Array(lives.length);
	const to = new Float64Array(lives.length);
	let [exacts, helds, between] = [0, 0, 0];
	for (const life of lives)
		if (!hasEnded(life)) held[helds++] = Math.log(life.after);
		else if (isExact(life)) exact[exacts++] = Math.log(life.after);
		else {
			from[between] = Math.log(life.after);
			to[between++] = Math.log(life.by);
		}
	const late = lives.filter(isWatchedLate);
	const entered = Float64Array.from(late, ({ watchedFrom = 0 }) => Math.log(watchedFrom));
	const ends = exact.subarray(0, exacts);
	const ages = held.subarray(0, helds);
	return {
		hazards: hazardSums([
			{ logs: ends, sign: 1 },
			{ logs: ages, sign: 1 },
			{ logs: entered, sign: -1 }
		]),
		exact: counted(ends),
		held: counted(ages),
		from: from.subarray(0, between),
		to: to.subarray(0, between),
		ended: exacts + between
	};
}

/**
 * Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), 8.2: the contributions of exact, right-,
 * left- and interval-censored lives; 11.6: left truncation, S of the age at entry divided out. With z = shape·(ln t − μ) and H = eᶻ, S = e^−H.
 */
export function curvatureAt({ exact, from, to, hazards }: LogLives, mu: number, kappa: number): Curvature {
	const shape = Math.exp(kappa);
	// Sums of H, zH and z²H over exact and held lives, and of z over exact ones, give every derivative of these two kinds.
	const { h, zh, zzh } = hazards(shape, mu);
	const { count, sum } = exact;
	const zSum = shape * (sum - count * mu);
	let value = count * kappa - sum + zSum - h;
	let m = shape * (h - count);
	let k = count + zSum - zh;
	let mm = -shape * shape * h;
	let mk = shape * (h - count + zh);
	let kk = zSum - zh - zzh;
	for (let i = 0; i < from.length; i++) {
		const a = survivalTerms(shape * (from[i] - mu), shape);
		const b = survivalTerms(shape * (to[i] - mu), shape);
		const gap = b.hazard - a.hazard;
		// S(a)/P and S(b)/P, P = S(a) − S(b), without the difference of two nearly equal numbers.
		const wa = -1 / Math.expm1(-gap);
		const wb = gap > 700 ? 0 : 1 / Math.expm1(gap);
		const dm = wa * a.m - (wb && wb * b.m);
		const dk = wa * a.k - (wb && wb * b.k);
		value += -a.hazard + Math.log(-Math.expm1(-gap));
		m += dm;
		k += dk;
		mm += wa * a.mm - (wb && wb * b.mm) - dm * dm;
		mk += wa * a.mk - (wb && wb * b.mk) - dm * dk;
		kk += wa * a.kk - (wb && wb * b.kk) - dk * dk;
	}
	return { value, m, k, mm, mk, kk };
}

// Derivatives of S = e^−H by S itself.
function survivalTerms(z: number, shape: number) {
	if (z === -Infinity) return { hazard: 0, m: 0, k: 0, mm: 0, mk: 0, kk: 0 };
	const hazard = Math.exp(z);
	const bend = 1 + z - z * hazard;
	return {
		hazard,
		m: shape * hazard,
		k: -z * hazard,
		mm: shape * shape * hazard * (hazard - 1),
		mk: shape * hazard * bend,
		kk: -z * hazard * bend
	};
}
