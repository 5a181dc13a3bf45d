import { requireThat } from '../number';

/** A pressure trace as a rig delivers it. */
export interface PressureTrace {
	readonly sampleHz: number;
	readonly pressureMPa: ArrayLike<number>;
	/** When the pulse came that marks cylinder 1 furthest forward, seconds from the first sample; empty where there is none. */
	readonly indexS: readonly number[];
	/** What the drive is said to turn with, 1/min. */
	readonly speedRpm: number;
}

/** One harmonic of the shaft's turning, of the flow as a share of its mean; phase in the cosine convention from the pulse. */
export interface ShaftOrder {
	readonly order: number;
	readonly cos: number;
	readonly sin: number;
	/** Standard uncertainty of either part. */
	readonly u: number;
	/** The same harmonic of the pressure, as a share of that at the mean flow: what its rise and fall store in the line. */
	readonly pressure: { readonly cos: number; readonly sin: number };
}

export interface ShaftOrders {
	readonly kind: 'orders';
	readonly turns: number;
	readonly speedRpm: number;
	readonly meanMPa: number;
	readonly leastMPa: number;
	readonly mostMPa: number;
	/** False: no pulse marked the shaft, and the phases count from nowhere. */
	readonly marked: boolean;
	readonly orders: readonly ShaftOrder[];
}

/** Why a trace says nothing: it is none, it holds no pressure, too few whole turns, too few samples a turn, or the speed ran away. */
export interface TraceProblem {
	readonly kind: 'problem';
	readonly code: 'notNumbers' | 'silent' | 'tooShort' | 'tooLong' | 'tooCoarse' | 'pulsesMissing' | 'speedDrifts';
	/** What was found where that helps: turns, samples a turn, or the ratio of speeds. */
	readonly found: number;
	readonly wanted: number;
}

const problem = (code: TraceProblem['code'], found: number, wanted: number): TraceProblem => ({
	kind: 'problem',
	code,
	found,
	wanted
});

const LEAST_TURNS = 10;
/** 25 minutes at 4 kHz: worked out in half a second. */
const MOST_SAMPLES = 6e6;
const POINTS = 120;
/** Highest order that is looked at. */
const ORDERS = 12;
const LEAST_SAMPLES_A_TURN = 3 * ORDERS;
const LEAST_MPA = 0.01;
/** Neighbouring turns that differ by more have lost a pulse between them. */
const JUMP = 1.4;
/** Without a pulse the turns are counted by the clock: the speed may wander by no more. */
const DRIFT = 1.002;

/**
 * What a pressure trace holds at each whole multiple of the shaft's speed. Between two pulses the samples are set against the
 * shaft's angle, so that a slowly drifting speed does no harm; over whole turns the transform is exact, and what differs from
 * turn to turn is the noise. Behind a nozzle the flow goes as the root of the pressure: the orders are the flow's.
 *
 * Without a pulse the speed is found from the trace within a tenth of what it is said to be; the phases then count from the
 * first sample. Shape: orders 1 to 12. Units: Hz, MPa, s, 1/min. Errors: PreconditionError for a rate or speed that is none;
 * what the rig may deliver is answered with data. Source: discrete Fourier transform over whole periods, amplitude 2·|X|/N;
 * Brandt, Noise and Vibration Analysis (2011), 12 (order tracking by synchronous sampling).
 */
export function shaftOrders(trace: PressureTrace): ShaftOrders | TraceProblem {
	const { sampleHz, pressureMPa, indexS, speedRpm } = trace;
	requireThat(sampleHz > 0 && sampleHz < 1e7, 'shaftOrders', 'sampleHz', sampleHz, 'above 0');
	requireThat(speedRpm > 0 && speedRpm < 1e5, 'shaftOrders', 'speedRpm', speedRpm, 'above 0');
	const n = pressureMPa.length;
	if (n > MOST_SAMPLES) return problem('tooLong', n, MOST_SAMPLES);
	let [sum, least, most] = [0, Infinity, -Infinity];
	for (let i = 0; i < n; i++) {
		const p = pressureMPa[i];
		if (!(Math.abs(p) < 1e4)) return problem('notNumbers', i, n);
		sum += p;
		if (p < least) least = p;
		if (p > most) most = p;
	}
	if (n === 0 || !(sum / n > LEAST_MPA)) return problem('silent', n === 0 ? 0 : sum / n, LEAST_MPA);
	const perTurn = (60 * sampleHz) / speedRpm;
	if (perTurn < LEAST_SAMPLES_A_TURN) return problem('tooCoarse', perTurn, LEAST_SAMPLES_A_TURN);
	const marks = indexS.length > 0 ? marked(indexS, n / sampleHz) : counted(trace);
	if (!Array.isArray(marks)) return marks;
	const turns = marks.length - 1;
	if (turns < LEAST_TURNS) return problem('tooShort', Math.max(0, turns), LEAST_TURNS);
	const durations = marks.slice(1).map((at, i) => at - marks[i]);
	return {
		kind: 'orders',
		turns,
		speedRpm: (60 * turns) / (marks[turns] - marks[0]),
		meanMPa: sum / n,
		leastMPa: least,
		mostMPa: most,
		marked: indexS.length > 0,
		orders: ordersOf(marks, durations, trace)
	};
}

function marked(indexS: readonly number[], lengthS: number): number[] | TraceProblem {
	const marks = indexS.filter((at) => at >= 0 && at <= lengthS);
	const durations = marks.slice(1).map((at, i) => at - marks[i]);
	if (durations.some((duration) => !(duration > 0))) return problem('pulsesMissing', 0, JUMP);
	const jump = Math.max(
		1,
		...durations.slice(1).map((duration, i) => Math.max(duration / durations[i], durations[i] / duration))
	);
	return jump > JUMP ? problem('pulsesMissing', jump, JUMP) : marks;
}

// Turns by the clock, at the speed that the trace itself shows.
function counted(trace: PressureTrace): number[] | TraceProblem {
	const n = trace.pressureMPa.length;
	const all = thin(trace);
	const near = firstGuess(all, trace.speedRpm / 60);
	const mixed = mixedDown(all, near);
	const middle = Math.floor(mixed.re[0].length / 2);
	const [first, second] = [turningHz(mixed, near, 0, middle), turningHz(mixed, near, middle)];
	const drift = Math.max(first / second, second / first);
	if (drift > DRIFT) return problem('speedDrifts', drift, DRIFT);
	const hz = turningHz(mixed, near);
	const turns = Math.floor(((n - 1) / trace.sampleHz) * hz);
	return Array.from({ length: turns + 1 }, (_, i) => i / hz);
}

interface Thinned {
	readonly values: Float64Array;
	readonly hz: number;
}

// Means of so many neighbours that a turn keeps what the lower orders need; without its mean.
function thin({ sampleHz, pressureMPa, speedRpm }: PressureTrace): Thinned {
	const every = Math.max(1, Math.floor((60 * sampleHz) / speedRpm / LEAST_SAMPLES_A_TURN));
	const values = new Float64Array(Math.floor(pressureMPa.length / every));
	let total = 0;
	for (let i = 0, from = 0; i < values.length; i++, from += every) {
		let sum = 0;
		for (let j = 0; j < every; j++) sum += pressureMPa[from + j];
		values[i] = sum / every;
		total += values[i];
	}
	const mean = total / values.length;
	for (let i = 0; i < values.length; i++) values[i] -= mean;
	return { values, hz: sampleHz / every };
}

const FIRST_TURNS = 20;
/** Steps of the search in a line of the transform: fine enough for the sixth order. */
const STEPS_A_LINE = 12;
const LOWER_ORDERS = [1, 2, 3, 4, 6];

function strongest(powerAt: (hz: number) => number, from: number, to: number, step: number): number {
	let [best, top] = [from, -1];
	for (let hz = from; hz <= to; hz += step) {
		const power = powerAt(hz);
		if (power > top) [best, top] = [hz, power];
	}
	return best;
}

// The speed within a tenth of the one that is said at which the lower orders hold most, over few turns.
function firstGuess({ values, hz: rate }: Thinned, said: number): number {
	const length = Math.min(values.length, Math.ceil((FIRST_TURNS * rate) / said));
	const step = rate / length / STEPS_A_LINE;
	return strongest((hz) => powerAt(values, length, hz / rate), 0.9 * said, 1.1 * said, step);
}

/** The lower orders at a speed near the true one, turn by turn: what is left of them turns slowly. */
interface MixedDown {
	readonly re: readonly Float64Array[];
	readonly im: readonly Float64Array[];
	/** Blocks a second. */
	readonly hz: number;
}

function mixedDown({ values, hz: rate }: Thinned, near: number): MixedDown {
	const block = Math.max(1, Math.round(rate / near));
	const blocks = Math.floor(values.length / block);
	const re = LOWER_ORDERS.map(() => new Float64Array(blocks));
	const im = LOWER_ORDERS.map(() => new Float64Array(blocks));
	for (const [k, order] of LOWER_ORDERS.entries()) {
		const step = (2 * Math.PI * order * near) / rate;
		for (let i = 0; i < blocks; i++) {
			// Each block begins at its own angle, so that no rounding adds up over millions of samples.
			const start = (step * i * block) % (2 * Math.PI);
			[re[k][i], im[k][i]] = transformed(values, i * block, block, start, step);
		}
	}
	return { re, im, hz: rate / block };
}

// The speed at which the lower orders hold most between two blocks: over few turns, then ever finer over more.
function turningHz({ re, im, hz: rate }: MixedDown, near: number, from = 0, to = re[0].length): number {
	const most = to - from;
	let length = Math.min(most, FIRST_TURNS);
	let step = rate / length / STEPS_A_LINE;
	const power = (hz: number): number => {
		let sum = 0;
		for (const [k, order] of LOWER_ORDERS.entries()) {
			const turn = (2 * Math.PI * order * (hz - near)) / rate;
			const [turnCos, turnSin] = [Math.cos(turn), Math.sin(turn)];
			const [real, imaginary] = [re[k], im[k]];
			let [c, s, x, y] = [1, 0, 0, 0];
			for (let i = from; i < from + length; i++) {
				// What turns on by the difference in speed is turned back.
				x += real[i] * c + imaginary[i] * s;
				y += imaginary[i] * c - real[i] * s;
				const turned = c * turnCos - s * turnSin;
				s = s * turnCos + c * turnSin;
				c = turned;
			}
			sum += x * x + y * y;
		}
		return sum;
	};
	let best = strongest(power, near - 3 * step, near + 3 * step, step);
	while (length < most) {
		length = Math.min(most, 2 * length);
		const finer = rate / length / STEPS_A_LINE;
		best = strongest(power, best - 1.5 * step, best + 1.5 * step, finer);
		step = finer;
	}
	for (let width = step; width > 1e-7 * near; width /= 3)
		best = strongest(power, best - width, best + width, width / 3);
	return best;
}

// Σ value·e^−i(start + step·k), without a table: each angle is turned on from the last.
function transformed(
	values: Float64Array,
	from: number,
	length: number,
	start: number,
	step: number
): readonly [number, number] {
	const [turnCos, turnSin] = [Math.cos(step), Math.sin(step)];
	let [c, s, re, im] = [Math.cos(start), Math.sin(start), 0, 0];
	for (let i = from; i < from + length; i++) {
		re += values[i] * c;
		im -= values[i] * s;
		const turned = c * turnCos - s * turnSin;
		s = s * turnCos + c * turnSin;
		c = turned;
	}
	return [re, im];
}

// What the lower orders of so many turns a sample hold.
function powerAt(values: Float64Array, length: number, turnsASample: number): number {
	return LOWER_ORDERS.reduce((power, order) => {
		const [re, im] = transformed(values, 0, length, 0, 2 * Math.PI * order * turnsASample);
		return power + re * re + im * im;
	}, 0);
}

// From the pressure in the mean of all turns: a root of each turn's own would make of its noise a flow that is not there,
// most of all where the flow passes through nought. What the turns differ by says how far each order is known.
function ordersOf(marks: readonly number[], durations: readonly number[], trace: PressureTrace): ShaftOrder[] {
	const { sampleHz, pressureMPa } = trace;
	const turns = durations.length;
	const of = Array.from({ length: ORDERS }, () => ({ re: new Float64Array(turns), im: new Float64Array(turns) }));
	const pressure = new Float64Array(POINTS);
	const flow = new Float64Array(POINTS);
	for (let turn = 0; turn < turns; turn++) {
		for (let i = 0; i < POINTS; i++) {
			const at = (marks[turn] + (durations[turn] * i) / POINTS) * sampleHz;
			const below = Math.min(Math.floor(at), pressureMPa.length - 2);
			const p = pressureMPa[below] + (at - below) * (pressureMPa[below + 1] - pressureMPa[below]);
			pressure[i] += p / turns;
			flow[i] = Math.sqrt(Math.max(0, p));
		}
		for (const [i, { re, im }] of of.entries()) ({ cos: re[turn], sin: im[turn] } = harmonic(flow, i + 1));
	}
	const whole = pressure.map((p) => Math.sqrt(Math.max(0, p)));
	const mean = whole.reduce((sum, value) => sum + value, 0) / POINTS;
	return of.map(({ re, im }, i) => {
		const [ownCos, ownSin] = [re, im].map((row) => row.reduce((sum, value) => sum + value, 0) / turns);
		const square = re.reduce((sum, value, turn) => sum + (value - ownCos) ** 2 + (im[turn] - ownSin) ** 2, 0);
		const u = Math.sqrt(square / (2 * (turns - 1) * turns));
		const { cos, sin } = harmonic(whole, i + 1);
		const stored = harmonic(pressure, i + 1);
		return {
			order: i + 1,
			cos: cos / mean,
			sin: sin / mean,
			u: u / mean,
			pressure: { cos: stored.cos / mean ** 2, sin: stored.sin / mean ** 2 }
		};
	});
}

// Of each order at each point of a turn.
const wave = (of: (angle: number) => number) =>
	Array.from({ length: ORDERS + 1 }, (_, order) =>
		Float64Array.from({ length: POINTS }, (_, i) => of((2 * Math.PI * ((order * i) % POINTS)) / POINTS))
	);
const COSINES = wave(Math.cos);
const SINES = wave(Math.sin);

function harmonic(flow: Float64Array, order: number): { cos: number; sin: number } {
	const [cosines, sines] = [COSINES[order], SINES[order]];
	let [cos, sin] = [0, 0];
	for (let i = 0; i < POINTS; i++) {
		cos += flow[i] * cosines[i];
		sin += flow[i] * sines[i];
	}
	return { cos: (2 * cos) / POINTS, sin: (2 * sin) / POINTS };
}
