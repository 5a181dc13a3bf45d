/** A pump before a nozzle, as the simulated rig runs it: written for itself, so that what analyses it shares no code with it. */
export interface SimulatedPump {
	readonly strokeMm: number;
	readonly rodMm: number;
	readonly phasesDeg: readonly number[];
	/** Pressure before the nozzle at the mean flow of a healthy pump. */
	readonly meanMPa: number;
	/** Ω·τ of the volume between pump and nozzle, τ = 2·(V/K)·p/Q; left out: none. */
	readonly lag?: number;
}

/** What is planted: a valve that leaks at a cylinder, as a share of the mean flow, or air that delays each delivery. */
export interface Fault {
	readonly inlet?: readonly [cylinder: number, leak: number];
	readonly discharge?: readonly [cylinder: number, leak: number];
	readonly airDeg?: number;
}

export interface Running {
	readonly sampleHz: number;
	readonly rpm: number;
	/** Noise of the sensor, as a share of the mean pressure. */
	readonly noise: number;
	/** Share by which the speed grows in a minute. */
	readonly driftAMinute: number;
	readonly startDeg: number;
	readonly seed: number;
}

export interface Sample {
	readonly pressureMPa: number;
	/** Where the shaft's mark passed since the last sample: the share of the step, from it. */
	readonly markAt?: number;
}

/** Noise that is the same for the same seed: a multiplicative generator (Park and Miller 1988), by Box and Muller. */
function gaussian(seed: number): () => number {
	let state = Math.max(1, seed % 2147483647);
	const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
	return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/** What the pressure sensor and the shaft's pick-up deliver, sample by sample, without end. */
export function* running(pump: SimulatedPump, fault: Fault, run: Running): Generator<Sample, never> {
	const noise = gaussian(run.seed);
	const cylinders = pump.phasesDeg.length;
	const lambda = pump.strokeMm / 2 / pump.rodMm;
	let angle = run.startDeg;
	let stored = 1; // pressure before the nozzle, where a volume holds it
	for (let i = 0; ; i++) {
		const minutes = i / run.sampleHz / 60;
		const next = angle + (6 * run.rpm * (1 + run.driftAMinute * minutes)) / run.sampleHz;
		const flowAt = (deg: number) =>
			pump.phasesDeg.reduce((sum, phase, c) => sum + delivered(c + 1, deg + phase, { lambda, cylinders, fault }), 0);
		const pressure = pump.lag ? stored : Math.max(0, flowAt(angle)) ** 2;
		const turns = Math.floor(next / 360) > Math.floor(angle / 360);
		const markAt = turns ? (360 * Math.ceil(angle / 360) - angle) / (next - angle) : undefined;
		yield {
			pressureMPa: pump.meanMPa * (pressure + run.noise * noise()),
			...(markAt === undefined ? {} : { markAt })
		};
		if (pump.lag) stored = filled(stored, flowAt, angle, next, pump.lag);
		angle = next;
	}
}

const STEPS = 8;

// The volume before the nozzle over a step of the shaft, by small steps: dp/dφ = 2·(flow in − √p)/Ωτ, midpoint rule.
function filled(pressure: number, flowAt: (deg: number) => number, from: number, to: number, lag: number): number {
	const step = (to - from) / STEPS;
	const radians = (step * Math.PI) / 180;
	const rise = (p: number, deg: number) => (2 * (flowAt(deg) - Math.sqrt(Math.max(0, p)))) / lag;
	let p = pressure;
	for (let i = 0; i < STEPS; i++) {
		const deg = from + i * step;
		const middle = p + (rise(p, deg) * radians) / 2;
		p = Math.max(0, p + rise(middle, deg + step / 2) * radians);
	}
	return p;
}

function delivered(
	cylinder: number,
	deg: number,
	{ lambda, cylinders, fault }: { lambda: number; cylinders: number; fault: Fault }
): number {
	const theta = (deg * Math.PI) / 180;
	const sine = Math.sin(theta);
	const back = sine + (lambda * sine * Math.cos(theta)) / Math.sqrt(1 - (lambda * sine) ** 2);
	const piston = (-Math.PI / cylinders) * back; // of the mean flow
	const since = (((deg - 180) % 360) + 360) % 360;
	let out = Math.max(0, piston);
	if (fault.airDeg !== undefined && since < fault.airDeg) out = 0;
	if (fault.inlet?.[0] === cylinder && piston > 0) out = Math.max(0, out - fault.inlet[1]);
	if (fault.discharge?.[0] === cylinder && piston <= 0) out -= fault.discharge[1];
	return out;
}
