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

/** Lives as the likelihood needs them: logarithms by kind of censoring. Hours of 0 as lower ends stay −Infinity. */
export interface LogLives {
	readonly exact: Float64Array;
	readonly held: Float64Array;
	readonly from: Float64Array;
	readonly to: Float64Array;
	/** Ages from which lives were watched that were not from their fitting on. */
	readonly entered: Float64Array;
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
	return {
		entered: Float64Array.from(late, ({ watchedFrom = 0 }) => Math.log(watchedFrom)),
		exact: exact.subarray(0, exacts),
		held: held.subarray(0, helds),
		from: from.subarray(0, between),
		to: to.subarray(0, between),
		ended: exacts + between
	};
}

/**
 * Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), 8.2: the contributions of exact, right-,
 * left- and interval-censored lives; 11.6: left truncation, S of the age at entry divided out. With z = shape·(ln t − μ) and H = eᶻ, S = e^−H.
 */
export function curvatureAt({ exact, held, from, to, entered }: LogLives, mu: number, kappa: number): Curvature {
	const shape = Math.exp(kappa);
	let value = exact.length * kappa;
	// Sums of H, zH and z²H over exact and held lives, and of z over exact ones, give every derivative of these two kinds.
	let h = 0;
	let zh = 0;
	let zzh = 0;
	let zSum = 0;
	for (let i = 0; i < exact.length; i++) {
		const z = shape * (exact[i] - mu);
		const hazard = Math.exp(z);
		value -= exact[i];
		zSum += z;
		h += hazard;
		zh += z * hazard;
		zzh += z * z * hazard;
	}
	for (let i = 0; i < held.length; i++) {
		const z = shape * (held[i] - mu);
		const hazard = Math.exp(z);
		h += hazard;
		zh += z * hazard;
		zzh += z * z * hazard;
	}
	for (let i = 0; i < entered.length; i++) {
		const z = shape * (entered[i] - mu);
		const hazard = Math.exp(z);
		h -= hazard;
		zh -= z * hazard;
		zzh -= z * z * hazard;
	}
	value += zSum - h;
	let m = shape * (h - exact.length);
	let k = exact.length + zSum - zh;
	let mm = -shape * shape * h;
	let mk = shape * (h - exact.length + zh);
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
