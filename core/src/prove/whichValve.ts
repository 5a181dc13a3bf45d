import type { CrankDrive } from '../mechanics';
import { requireThat } from '../number';
import { forwardSpeed } from './flow';
import type { ShaftOrder, ShaftOrders } from './shaftOrders';

/** What a trace may be of. A worn packing loses flow as the inlet valve of its cylinder does. */
export type TraceVerdict =
	| { readonly what: 'healthy' | 'air'; readonly probability: number }
	| {
			readonly what: 'inlet' | 'discharge';
			readonly cylinder: number;
			readonly probability: number;
	  }
	/** One valve of one cylinder: without a mark on the shaft no one can say which. */
	| { readonly what: 'oneValve'; readonly probability: number };

export interface TraceFinding {
	/** The most probable first; their probabilities add up to 1. */
	readonly verdicts: readonly TraceVerdict[];
	/** How much of the flow is lost where the first of them is true, as a share, with its standard uncertainty. */
	readonly lost: { readonly share: number; readonly u: number };
	/** Ω·τ of the volume before the nozzle, and the degrees of the shaft by which the once-a-turn wave is late in it: atan(Ω·τ). */
	readonly lag: number;
	readonly lagDeg: number;
	/** Why nothing can be told: two cylinders without a mark look alike either way, or the lag hides a leak worth finding. */
	readonly hidden?: 'noMark' | 'lag';
}

const POINTS = 360;
/** What the equations themselves may be off, as a share of the mean flow. */
const MODEL_OFF = 0.0015;
// Less than a hundredth of the flow is what sound valves lose.
const LEAST_LEAK = 0.01;
const MOST_LEAK = 0.7;
const LEAKS = 36;
// Lags from none to a damper's.
const LAGS = [0, ...Array.from({ length: 22 }, (_, i) => 0.01 * 2000 ** (i / 21))];
// A leak that has to show: where it moves the orders by less than this many logarithms, nothing is said.
const WORTH_FINDING = 0.03;
const LEAST_DISTANCE = 6;
const AIR_DEG = Array.from({ length: 24 }, (_, i) => 3 + 3 * i);

interface Candidate {
	readonly what: 'healthy' | 'air' | 'inlet' | 'discharge';
	readonly cylinder?: number;
	readonly prior: number;
	/** Flow over a turn at each degree for each severity, the mean of a healthy pump being 1. */
	readonly flows: readonly Float64Array[];
}

/**
 * What is wrong with a pump, from the shaft orders of its flow: nothing, air in the suction, or one valve of one cylinder.
 * A leaking inlet valve loses flow while its cylinder delivers (never more than that delivers), a leaking discharge valve
 * while it draws in, and air delays every cylinder's delivery alike. Each is laid beside the orders at every severity, evenly
 * in its logarithm, and weighed by how well it fits (Bayes, with one half for a healthy pump before anything is seen).
 *
 * What rises in pressure before the nozzle is stored in the line and comes out later: flow in = √p + (τ/2)·dp/dt, in shares of the
 * mean. That lag is fitted along, from none to a damper's; where it hides a leak of 3 %, nothing is said. How strongly the load
 * answers to the flow is fitted along as well. With cylinders at 180° the inlet valve of one and the discharge
 * valve of the other lose the same flow, since one delivers exactly while the other draws in and a nozzle lets nothing back:
 * no order tells them apart, and both are named, each with half of what the trace says. Without a mark on the
 * shaft every position of it is tried, and no cylinder is named. At most one valve is taken to leak: of several, the worst shows.
 *
 * Errors: PreconditionError of `forwardSpeed`. Source: the slider–crank; Jeffreys, Theory of Probability, 5 (comparison of
 * hypotheses).
 */
export function whichValve(drive: CrankDrive, { orders, marked }: ShaftOrders): TraceFinding {
	requireThat(drive.phasesDeg.length > 0, 'whichValve', 'phasesDeg', 'none', 'one a cylinder');
	requireThat(orders.length > 0, 'whichValve', 'orders', 'none', 'at least one');
	const weighed = candidatesOf(drive).map((candidate) => {
		const flows = candidate.flows.map((flow) => ({ ...weigh(flow, orders, marked), lost: 1 - meanOf(flow) }));
		return { ...candidate, flows };
	});
	const fits = weighed.flatMap(({ what, flows }) => flows.map((flow) => ({ what, ...flow })));
	const fit = fits.reduce((first, other) => (other.logLikelihood > first.logLikelihood ? other : first));
	const top = Math.max(...weighed.flatMap(({ flows }) => flows.map(({ logLikelihood }) => logLikelihood)));
	const evidence = weighed.map(({ prior, flows }) => {
		const each = flows.map(({ logLikelihood }) => (prior / flows.length) * Math.exp(logLikelihood - top));
		return { each, sum: each.reduce((sum, value) => sum + value, 0) };
	});
	const total = evidence.reduce((sum, weight) => sum + weight.sum, 0);
	const verdicts = weighed.map(({ what, cylinder }, i) => ({ what, cylinder, probability: evidence[i].sum / total }));
	const best = evidence.reduce((first, weight, i) => (weight.sum > evidence[first].sum ? i : first), 0);
	const share = spread(evidence[best].each, weighed[best].flows);
	const sorted = named(verdicts, marked).sort((a, b) => b.probability - a.probability);
	const hidden = hiddenBy(drive, orders, marked, fit.lag);
	return {
		verdicts: sorted,
		lost: share,
		lag: fit.lag,
		lagDeg: (Math.atan(fit.lag) * 180) / Math.PI,
		...(hidden ? { hidden } : {})
	};
}

// Whether the least leak worth finding would move the orders far enough, as the line blurs them.
function hiddenBy(
	drive: CrankDrive,
	orders: readonly ShaftOrder[],
	marked: boolean,
	lag: number
): TraceFinding['hidden'] {
	if (!marked && drive.phasesDeg.length === 2) return 'noMark';
	const { delivers, sound } = flowsOf(drive);
	const [healthy, leaking] = [0, WORTH_FINDING].map((leak) =>
		harmonicsOf(
			sound.map((flow, i) => flow - Math.min(leak, delivers[0][i])),
			orders.length
		)
	);
	const distance = orders.reduce((sum, { order, u }, i) => {
		const moved = (leaking[i].re - healthy[i].re) ** 2 + (leaking[i].im - healthy[i].im) ** 2;
		return sum + moved / (2 * (u ** 2 + MODEL_OFF ** 2) * (1 + (lag * order) ** 2));
	}, 0);
	return distance < LEAST_DISTANCE ? 'lag' : undefined;
}

interface Weighed {
	readonly what: Candidate['what'];
	readonly cylinder?: number;
	readonly probability: number;
}

function named(verdicts: readonly Weighed[], marked: boolean): TraceVerdict[] {
	const whole = verdicts.flatMap(({ what, probability }): TraceVerdict[] =>
		what === 'healthy' || what === 'air' ? [{ what, probability }] : []
	);
	const valves = verdicts.flatMap(({ what, cylinder, probability }): TraceVerdict[] =>
		(what === 'inlet' || what === 'discharge') && cylinder ? [{ what, cylinder, probability }] : []
	);
	if (marked) return [...whole, ...valves];
	return [
		...whole,
		{ what: 'oneValve', probability: valves.reduce((sum, traceVerdict) => sum + traceVerdict.probability, 0) }
	];
}

function spread(weights: readonly number[], flows: readonly { lost: number }[]): TraceFinding['lost'] {
	const total = weights.reduce((sum, value) => sum + value, 0);
	const share = weights.reduce((sum, value, i) => sum + value * flows[i].lost, 0) / total;
	const square = weights.reduce((sum, value, i) => sum + value * (flows[i].lost - share) ** 2, 0) / total;
	return { share, u: Math.sqrt(square) };
}

const meanOf = (flow: Float64Array): number => flow.reduce((sum, value) => sum + value, 0) / flow.length;

// Each plunger's speed over a turn, what each cylinder delivers, and what a sound pump does, whose mean is 1.
function flowsOf(drive: CrankDrive) {
	const speeds = drive.phasesDeg.map((_, c) =>
		Float64Array.from({ length: POINTS }, (_, deg) => forwardSpeed(drive, deg, c + 1))
	);
	const mean = speeds.reduce((sum, row) => sum + meanOf(row.map((speed) => Math.max(0, speed))), 0);
	const delivers = speeds.map((row) => row.map((speed) => Math.max(0, speed) / mean));
	const sound = delivers.reduce((sum, row) => sum.map((flow, i) => flow + row[i]), new Float64Array(POINTS));
	return { speeds, delivers, sound };
}

function candidatesOf(drive: CrankDrive): Candidate[] {
	const { speeds: cylinders, delivers, sound: healthy } = flowsOf(drive);
	const leaks = Array.from({ length: LEAKS }, (_, i) => LEAST_LEAK * (MOST_LEAK / LEAST_LEAK) ** (i / (LEAKS - 1)));
	const valve = { prior: 0.4 / (2 * cylinders.length) };
	return [
		{ what: 'healthy', prior: 0.5, flows: [healthy] },
		{ what: 'air', prior: 0.1, flows: AIR_DEG.map((deg) => withAir(delivers, drive, deg)) },
		...cylinders.flatMap((speeds, c): Candidate[] => [
			{
				...valve,
				what: 'inlet',
				cylinder: c + 1,
				flows: leaks.map((leak) => healthy.map((flow, i) => flow - Math.min(leak, delivers[c][i])))
			},
			{
				...valve,
				what: 'discharge',
				cylinder: c + 1,
				flows: leaks.map((leak) => healthy.map((flow, i) => flow - (speeds[i] < 0 ? leak : 0)))
			}
		])
	];
}

// Each cylinder delivers nothing for so many degrees after it has begun to go forward.
function withAir(delivers: readonly Float64Array[], { phasesDeg }: CrankDrive, airDeg: number): Float64Array {
	const sum = new Float64Array(POINTS);
	for (const [c, flow] of delivers.entries())
		for (let deg = 0; deg < POINTS; deg++) {
			const since = (((deg + phasesDeg[c] - 180) % 360) + 360) % 360;
			sum[deg] += since < airDeg ? 0 : flow[deg];
		}
	return sum;
}

interface Harmonic {
	readonly re: number;
	readonly im: number;
}

const COSINES = Array.from({ length: POINTS }, (_, deg) => Math.cos((2 * Math.PI * deg) / POINTS));

function harmonicsOf(flow: Float64Array, count: number): Harmonic[] {
	const mean = meanOf(flow);
	return Array.from({ length: count }, (_, i) => {
		let [re, im] = [0, 0];
		for (let deg = 0; deg < POINTS; deg++) {
			re += (2 * flow[deg] * COSINES[((i + 1) * deg) % POINTS]) / POINTS;
			im += (2 * flow[deg] * COSINES[((i + 1) * deg + (3 * POINTS) / 4) % POINTS]) / POINTS;
		}
		return { re: re / mean, im: im / mean };
	});
}

interface Fit {
	readonly logLikelihood: number;
	readonly lag: number;
}

function weigh(flow: Float64Array, orders: readonly ShaftOrder[], marked: boolean): Fit {
	// An empty line lets nothing back, a full one makes up for it: which of both, the trace says.
	const lines = [flow, ...(flow.some((value) => value < 0) ? [flow.map((value) => Math.max(0, value))] : [])].map(
		(row) => harmonicsOf(row, orders.length)
	);
	const at = (deg: number, lag: number) =>
		Math.max(...lines.map((harmonics) => logLikelihood(harmonics, orders, { deg, lag })));
	let best: Fit & { readonly deg: number } = { logLikelihood: -Infinity, lag: 0, deg: 0 };
	const attempt = (deg: number, lag: number) => {
		const value = at(deg, lag);
		if (value > best.logLikelihood) best = { logLikelihood: value, lag, deg };
	};
	for (const lag of LAGS) for (let deg = 0; deg < (marked ? 1 : 360); deg += 3) attempt(deg, lag);
	for (let width = 1; width > 0.005; width /= 2) {
		const { deg, lag } = best;
		for (const factor of [1 - 0.3 * width, 1 + 0.3 * width]) attempt(deg, lag * factor);
		if (!marked) for (const turned of [-1.5 * width, 1.5 * width]) attempt(best.deg + turned, best.lag);
	}
	return best;
}

// The shaft turned on by so many degrees, the pressure lagging by so much. What comes in is what leaves by the nozzle and what the
// rising pressure stores; a lag makes noise of high orders larger in it by as much, so that it weighs less. How strongly the load
// answers is fitted, and never below 0.
function logLikelihood(
	harmonics: readonly Harmonic[],
	orders: readonly ShaftOrder[],
	{ deg, lag }: { readonly deg: number; readonly lag: number }
): number {
	let [across, own, square] = [0, 0, 0];
	for (const [i, { order, cos, sin, u, pressure }] of orders.entries()) {
		const angle = (order * deg * Math.PI) / 180;
		const [c, s] = [Math.cos(angle), Math.sin(angle)];
		const { re, im } = harmonics[i];
		const [modelCos, modelSin] = [re * c - im * s, re * s + im * c];
		// A cosine rises as a minus sine: the derivative of cos(nφ) and sin(nφ), n times as large.
		const half = (lag * order) / 2;
		const [inCos, inSin] = [cos + half * pressure.sin, sin - half * pressure.cos];
		const weight = 1 / ((u ** 2 + MODEL_OFF ** 2) * (1 + (lag * order) ** 2));
		across += weight * (modelCos * inCos + modelSin * inSin);
		own += weight * (modelCos ** 2 + modelSin ** 2);
		square += weight * (inCos ** 2 + inSin ** 2);
	}
	const answer = Math.max(0, across / own);
	return -(square - 2 * answer * across + answer ** 2 * own) / 2;
}
