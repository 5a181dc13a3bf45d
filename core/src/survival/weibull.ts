import { chiSquareQuantile, finiteAnswer, normalQuantile, requireThat } from '../number';
import { hasEnded, isExact, requireLives, withAge, type ObservedLife } from './observedLife';
import { curvatureAt, logLives, type Curvature, type LogLives } from './weibullLikelihood';

/** An estimate with its limits; a limit that the record does not set is missing. */
export interface Estimate {
	readonly value: number;
	readonly low?: number;
	readonly high?: number;
}

/** Why a record has no most likely Weibull distribution. */
export type NoMaximum =
	/** Nothing has ended. */
	| 'noEnds'
	/** Everything that ended did so at one age that nothing outlived: the shape runs away upwards. */
	| 'endedTogether'
	/** Everything was looked at once, at one age: only the share that had ended is known. */
	| 'oneInspection'
	/** The likelihood rises towards a shape without bound, or towards none. */
	| 'shapeRunsUp'
	| 'shapeRunsDown';

export interface WeibullFit {
	readonly kind: 'fitted';
	readonly shape: Estimate;
	/** Hours at which 63.2 % have ended. */
	readonly scale: Estimate;
	/** Hours at which a tenth has ended. */
	readonly b10: Estimate;
	readonly logLikelihood: number;
	/** Of (ln scale, ln shape), from the curvature at the maximum. */
	readonly covariance: { readonly mm: number; readonly mk: number; readonly kk: number };
	/** What the limits of the shape allow to say. */
	readonly phase: 'early' | 'random' | 'wearOut' | 'open';
	readonly ended: number;
	readonly held: number;
	/** Lives of nought hours, which say nothing of age and were left out. */
	readonly zeroHours: number;
}

export interface NoWeibullFit {
	readonly kind: 'noMaximum';
	readonly reason: NoMaximum;
	readonly ended: number;
	readonly held: number;
	readonly zeroHours: number;
}

const LEVEL = 0.95;
const SHAPE_RANGE = [0.02, 200] as const;
const LOG_RANGE = [Math.log(SHAPE_RANGE[0]), Math.log(SHAPE_RANGE[1])] as const;
const B10 = Math.log(-Math.log1p(-0.1));
// A shape whose limits lie within these is called random.
const ABOUT_ONE = [0.8, 1.25] as const;

/**
 * The Weibull distribution under which these lives are most likely, with limits by the profile likelihood; or why there is none.
 *
 * Takes exact, right-, left- and interval-censored ends together. Newton's steps on ln scale and ln shape, damped so that the
 * likelihood never falls. Accuracy: 1e-7 relative against an independent package (weibull.test.ts).
 * Units: hours. Errors: PreconditionError for hours below 0, an end before its beginning, or a level outside (0, 1).
 * Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), ch. 8.
 *
 * @example fitWeibull([endedAt(900), endedAt(1500), heldTo(2000)]).kind // 'fitted'
 */
export function fitWeibull(all: readonly ObservedLife[], level = LEVEL): WeibullFit | NoWeibullFit {
	requireLives('fitWeibull', all);
	requireThat(level > 0 && level < 1, 'fitWeibull', 'level', level, 'between 0 and 1');
	const { lives, zeroHours } = withAge(all);
	const logs = logLives(lives);
	const counts = { ended: logs.ended, held: logs.held.length, zeroHours };
	const none = (reason: NoMaximum): NoWeibullFit => ({ kind: 'noMaximum', reason, ...counts });
	const known = withoutMaximum(lives);
	if (known) return none(known);
	const best = maximise(logs);
	if (!Number.isFinite(best.at.value)) return none('shapeRunsUp');
	if (best.kappa >= LOG_RANGE[1] - 1e-6) return none('shapeRunsUp');
	if (best.kappa <= LOG_RANGE[0] + 1e-6) return none('shapeRunsDown');
	const { mm, mk, kk } = best.at;
	const determinant = mm * kk - mk * mk;
	if (!(mm < 0 && determinant > 0)) return none(mk === 0 ? 'shapeRunsUp' : 'shapeRunsDown');
	const drop = chiSquareQuantile(level, 1) / 2;
	const shape = limits(logs, best, drop, 'shape');
	const [low = 0, high = Infinity] = [shape.low, shape.high];
	return {
		kind: 'fitted',
		shape,
		scale: limits(logs, best, drop, 'scale'),
		b10: limits(logs, best, drop, 'b10'),
		logLikelihood: best.at.value,
		covariance: { mm: -kk / determinant, mk: mk / determinant, kk: -mm / determinant },
		phase: high < 1 ? 'early' : low > 1 ? 'wearOut' : low >= ABOUT_ONE[0] && high <= ABOUT_ONE[1] ? 'random' : 'open',
		...counts
	};
}

// Records whose likelihood has no interior maximum whatever the numbers are.
function withoutMaximum(lives: readonly ObservedLife[]): NoMaximum | undefined {
	let [ended, exact, lastHeld, firstEnd, inspected] = [0, 0, 0, Infinity, 0];
	let once = true; // all looked at one age alone
	const look = (hours: number) => {
		if (hours <= 0 || hours === Infinity) return;
		once &&= inspected === 0 || inspected === hours;
		inspected = hours;
	};
	for (const life of lives) {
		if (hasEnded(life)) ended++;
		if (isExact(life)) exact++;
		lastHeld = Math.max(lastHeld, life.after);
		firstEnd = Math.min(firstEnd, life.by);
		look(life.after);
		look(life.by);
	}
	if (ended === 0) return 'noEnds';
	if (once && exact === 0 && ended < lives.length) return 'oneInspection';
	// One age lies in every end's interval, and nothing is known to have held beyond it.
	return lastHeld <= firstEnd ? 'endedTogether' : undefined;
}

interface Point {
	readonly mu: number;
	readonly kappa: number;
	readonly at: Curvature;
}

const MOST_STEPS = 100;
const STARTS = [0, 0.7, -0.7, 1.5];
const MANY = 2000;

function maximise(logs: LogLives): Point {
	const middle = meanLog(logs);
	const climb = (start: number) => climbing(logs, middle, start);
	if (logs.ended > MANY) return climb(0.3);
	// Interval-censored records may have more than one top: the highest of a few climbs.
	return STARTS.map(climb).reduce((best, one) => (one.at.value > best.at.value ? one : best));
}

function meanLog({ exact, held, from, to }: LogLives): number {
	let sum = 0;
	for (const x of exact) sum += x;
	for (const x of held) sum += x + 0.5;
	for (let i = 0; i < to.length; i++) sum += from[i] === -Infinity ? to[i] - 0.5 : (from[i] + to[i]) / 2;
	return sum / (exact.length + held.length + to.length);
}

function climbing(logs: LogLives, startMu: number, startKappa: number): Point {
	let mu = startMu;
	let kappa = startKappa;
	let at = curvatureAt(logs, mu, kappa);
	for (let step = 0; step < MOST_STEPS; step++) {
		const { m, k } = newtonStep(at, Math.exp(kappa));
		let share = 1;
		let next = at;
		let to = { mu, kappa };
		for (; share > 1e-10; share /= 2) {
			to = { mu: mu + share * m, kappa: Math.min(LOG_RANGE[1], Math.max(LOG_RANGE[0], kappa + share * k)) };
			next = curvatureAt(logs, to.mu, to.kappa);
			if (next.value >= at.value) break;
		}
		if (!(next.value >= at.value)) break;
		const moved = Math.abs(to.mu - mu) * Math.exp(kappa) + Math.abs(to.kappa - kappa);
		({ mu, kappa } = to);
		at = next;
		if (moved < 1e-6) break; // the error that is left is of its square
	}
	return { mu, kappa, at };
}

// Newton's step where the likelihood is concave, else uphill by each direction's own curvature; never far at once.
function newtonStep({ m, k, mm, mk, kk }: Curvature, shape: number): { m: number; k: number } {
	const determinant = mm * kk - mk * mk;
	let step = { m: -(kk * m - mk * k) / determinant, k: -(mm * k - mk * m) / determinant };
	if (!(mm < 0 && determinant > 0)) step = { m: -m / Math.min(mm, -1e-9), k: kk < 0 ? -k / kk : Math.sign(k) * 0.3 };
	const shrink = Math.min(1, 2 / shape / Math.abs(step.m || 1e-9), 1 / Math.abs(step.k || 1e-9));
	return { m: step.m * shrink, k: step.k * shrink };
}

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

function limits(logs: LogLives, best: Point, drop: number, target: Target): Estimate {
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
	best: Point,
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

/**
 * ln likelihood of these lives under one Weibull distribution.
 * Units: hours. Errors: PreconditionError for lives that cannot be, or a shape or scale not above 0.
 */
export function weibullLogLikelihood(all: readonly ObservedLife[], scale: number, shape: number): number {
	requireLives('weibullLogLikelihood', all);
	requireThat(scale > 0 && Number.isFinite(scale), 'weibullLogLikelihood', 'scale', scale, 'above 0');
	requireThat(shape > 0 && Number.isFinite(shape), 'weibullLogLikelihood', 'shape', shape, 'above 0');
	const { value } = curvatureAt(logLives(withAge(all).lives), Math.log(scale), Math.log(shape));
	return finiteAnswer('weibullLogLikelihood', value);
}

/**
 * Share that has ended by these hours, with pointwise limits; by the covariance on ln(−ln S), where it is nearly normal.
 * Units: hours. Errors: PreconditionError for hours not above 0, a level outside (0, 1), or what is no fit.
 * Source: W. Meeker, L. Escobar (1998), 8.4.
 */
export function endedShare(
	{ shape, scale, covariance: { mm, mk, kk } }: WeibullFit,
	hours: number,
	level = LEVEL
): { readonly value: number; readonly low: number; readonly high: number } {
	requireThat(hours > 0 && Number.isFinite(hours), 'endedShare', 'hours', hours, 'above 0');
	requireThat(level > 0 && level < 1, 'endedShare', 'level', level, 'between 0 and 1');
	for (const [name, value] of Object.entries({ shape: shape.value, scale: scale.value }))
		requireThat(value > 0 && Number.isFinite(value), 'endedShare', name, value, 'above 0');
	const z = shape.value * (Math.log(hours) - Math.log(scale.value));
	const variance = shape.value ** 2 * mm - 2 * shape.value * z * mk + z * z * kk;
	const reach = normalQuantile((1 + level) / 2) * Math.sqrt(variance);
	const share = (at: number) => -Math.expm1(-Math.exp(at));
	requireThat(Number.isFinite(z) && Number.isFinite(reach), 'endedShare', 'covariance', reach, 'one of a fit');
	return { value: share(z), low: share(z - reach), high: share(z + reach) };
}

/**
 * The least scale that a record without ends allows at an assumed shape, at this confidence: one-sided.
 * Units: hours. Errors: PreconditionError where something ended, nothing ran, or a shape or level that cannot be.
 * Source: W. Nelson, J. Quality Technology 17 (1985) 140–146: scale ≥ (Σ tᵏ / −ln(1 − level))^(1/k).
 *
 * @example leastScale([heldTo(1000), heldTo(1000)], 2, 0.95) // 817 h
 */
export function leastScale(all: readonly ObservedLife[], shape: number, level = LEVEL): number {
	requireLives('leastScale', all);
	const { lives } = withAge(all);
	requireThat(lives.length > 0, 'leastScale', 'lives', 'none', 'at least one with hours');
	requireThat(!lives.some(hasEnded), 'leastScale', 'lives', 'some ended', 'none that ended');
	requireThat(shape >= SHAPE_RANGE[0] && shape <= SHAPE_RANGE[1], 'leastScale', 'shape', shape, 'from 0.02 to 200');
	requireThat(level > 0 && level < 1, 'leastScale', 'level', level, 'between 0 and 1');
	// By the longest, so that no power leaves the range of numbers.
	const longest = lives.reduce((most, { after }) => Math.max(most, after), 0);
	const sum = lives.reduce((total, { after }) => total + (after / longest) ** shape, 0);
	return finiteAnswer('leastScale', longest * (sum / -Math.log1p(-level)) ** (1 / shape));
}
