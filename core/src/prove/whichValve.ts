import type { CrankDrive } from '../mechanics';
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
	/** One valve of one cylinder: without a mark on the shaft nobody can say which. */
	| { readonly what: 'oneValve'; readonly probability: number };

export interface TraceFinding {
	/** The most probable first; their probabilities add up to 1. */
	readonly verdicts: readonly TraceVerdict[];
	/** How much of the flow is lost where the first of them is true, as a share, with its standard uncertainty. */
	readonly lost: { readonly share: number; readonly u: number };
}

const POINTS = 360;
/** What the equations themselves may be off, as a share of the mean flow. */
const MODEL_OFF = 0.0015;
// Less than a hundredth of the flow is what sound valves lose.
const LEAST_LEAK = 0.01;
const MOST_LEAK = 0.7;
const LEAKS = 36;
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
 * How strongly the load answers to the flow is fitted along. With cylinders at 180° the inlet valve of one and the discharge
 * valve of the other lose the same flow, since one delivers exactly while the other draws in and a nozzle lets nothing back:
 * no order tells them apart, and both are named, each with half of what the trace says. Without a mark on the
 * shaft every position of it is tried, and no cylinder is named. At most one valve is taken to leak: of several, the worst shows.
 *
 * Errors: PreconditionError of `forwardSpeed`. Source: the slider–crank; Jeffreys, Theory of Probability, 5 (comparison of
 * hypotheses).
 */
export function whichValve(drive: CrankDrive, { orders, marked }: ShaftOrders): TraceFinding {
	const weighed = candidatesOf(drive).map((candidate) => {
		const flows = candidate.flows.map((flow) => ({ ...weigh(flow, orders, marked), lost: 1 - meanOf(flow) }));
		return { ...candidate, flows };
	});
	const top = Math.max(...weighed.flatMap(({ flows }) => flows.map(({ logLikelihood }) => logLikelihood)));
	const evidence = weighed.map(({ prior, flows }) => {
		const each = flows.map(({ logLikelihood }) => (prior / flows.length) * Math.exp(logLikelihood - top));
		return { each, sum: each.reduce((sum, one) => sum + one, 0) };
	});
	const total = evidence.reduce((sum, one) => sum + one.sum, 0);
	const verdicts = weighed.map(({ what, cylinder }, i) => ({ what, cylinder, probability: evidence[i].sum / total }));
	const best = evidence.reduce((first, one, i) => (one.sum > evidence[first].sum ? i : first), 0);
	const share = spread(evidence[best].each, weighed[best].flows);
	return { verdicts: named(verdicts, marked).sort((a, b) => b.probability - a.probability), lost: share };
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
	return [...whole, { what: 'oneValve', probability: valves.reduce((sum, one) => sum + one.probability, 0) }];
}

function spread(weights: readonly number[], flows: readonly { lost: number }[]): TraceFinding['lost'] {
	const total = weights.reduce((sum, one) => sum + one, 0);
	const share = weights.reduce((sum, one, i) => sum + one * flows[i].lost, 0) / total;
	const square = weights.reduce((sum, one, i) => sum + one * (flows[i].lost - share) ** 2, 0) / total;
	return { share, u: Math.sqrt(square) };
}

const meanOf = (flow: Float64Array): number => flow.reduce((sum, one) => sum + one, 0) / flow.length;

function candidatesOf(drive: CrankDrive): Candidate[] {
	const cylinders = drive.phasesDeg.map((_, c) =>
		Float64Array.from({ length: POINTS }, (_, deg) => forwardSpeed(drive, deg, c + 1))
	);
	const mean = cylinders.reduce((sum, one) => sum + meanOf(one.map((speed) => Math.max(0, speed))), 0);
	const delivers = cylinders.map((one) => one.map((speed) => Math.max(0, speed) / mean));
	const healthy = delivers.reduce((sum, one) => sum.map((flow, i) => flow + one[i]), new Float64Array(POINTS));
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
				// A nozzle lets nothing back.
				flows: leaks.map((leak) => healthy.map((flow, i) => Math.max(0, flow - (speeds[i] < 0 ? leak : 0))))
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

function weigh(flow: Float64Array, orders: readonly ShaftOrder[], marked: boolean): { logLikelihood: number } {
	const harmonics = harmonicsOf(flow, orders.length);
	if (marked) return { logLikelihood: logLikelihood(harmonics, orders, 0) };
	let [best, top] = [0, -Infinity];
	const attempt = (deg: number) => {
		const value = logLikelihood(harmonics, orders, deg);
		if (value > top) [best, top] = [deg, value];
	};
	for (let deg = 0; deg < 360; deg += 2) attempt(deg);
	for (let width = 1; width > 0.005; width /= 2) for (const deg of [best - width, best + width]) attempt(deg);
	return { logLikelihood: top };
}

// The shaft turned on by so many degrees; how strongly the load answers is fitted, and never below nought.
function logLikelihood(harmonics: readonly Harmonic[], orders: readonly ShaftOrder[], turnedDeg: number): number {
	let [across, own, square] = [0, 0, 0];
	for (const [i, { order, cos, sin, u }] of orders.entries()) {
		const angle = (order * turnedDeg * Math.PI) / 180;
		const [c, s] = [Math.cos(angle), Math.sin(angle)];
		const { re, im } = harmonics[i];
		const [modelCos, modelSin] = [re * c - im * s, re * s + im * c];
		const weight = 1 / (u ** 2 + MODEL_OFF ** 2);
		across += weight * (modelCos * cos + modelSin * sin);
		own += weight * (modelCos ** 2 + modelSin ** 2);
		square += weight * (cos ** 2 + sin ** 2);
	}
	const answer = Math.max(0, across / own);
	return -(square - 2 * answer * across + answer ** 2 * own) / 2;
}
