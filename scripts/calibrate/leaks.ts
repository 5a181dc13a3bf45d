// Pumps on the rig whose leak is known: does what the trace is said to be of come true as often?
import { shaftOrders, whichValve, type FlowDrive } from '../../core/src/prove';
import { running, type Fault } from '../../devices/src/pump';
import { Random } from '../../demo/src';

const triplex: FlowDrive = { strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240], boreMm: 18 };
const pair: FlowDrive = { ...triplex, phasesDeg: [0, 180] };

const HZ = 2000;
const SECONDS = 2;
const RPM = 900;

/** How much was said of one possibility, and whether it was so. */
export interface SaidOfLeak {
	readonly p: number;
	readonly so: boolean;
}

// The prior of methods §14: one half healthy, a tenth air, the rest shared by the valves, each severity by its logarithm.
function drawn(random: Random, cylinders: number): { what: string; fault: Fault } {
	const kind = random.uniform();
	if (kind < 0.5) return { what: 'healthy', fault: {} };
	if (kind < 0.6) return { what: 'air', fault: { airDeg: 3 + 69 * random.uniform() } };
	const cylinder = 1 + Math.floor(cylinders * random.uniform());
	const leak = 0.01 * (0.7 / 0.01) ** random.uniform();
	const valve = random.uniform() < 0.5 ? 'inlet' : 'discharge';
	return { what: `${valve}/${cylinder}`, fault: { [valve]: [cylinder, leak] } };
}

/** What was said of every possibility of so many pumps, half of them with two plungers at 180°, noise from little to as much as a small leak. */
export function saidOfLeaks(pumps: number, seed: number): SaidOfLeak[] {
	const random = new Random(seed);
	return Array.from({ length: pumps }, (_, i) => i).flatMap((i) => {
		const drive = i % 2 === 0 ? triplex : pair;
		const { what, fault } = drawn(random, drive.phasesDeg.length);
		const noise = 0.01 * 20 ** random.uniform();
		const run = {
			sampleHz: HZ,
			rpm: RPM,
			noise,
			driftAMinute: 0,
			startDeg: 360 * random.uniform(),
			seed: seed * 100_000 + i
		};
		const source = running({ ...drive, meanMPa: 10 }, fault, run);
		const pressureMPa: number[] = [];
		const indexS: number[] = [];
		for (let sample = 0; sample < SECONDS * HZ; sample++) {
			const { pressureMPa: p, markAt } = source.next().value;
			pressureMPa.push(p);
			if (markAt !== undefined) indexS.push((sample + markAt) / HZ);
		}
		const orders = shaftOrders({ sampleHz: HZ, pressureMPa, indexS, speedRpm: RPM });
		if (orders.kind === 'problem') throw new Error(`the rig's trace was not read: ${orders.code}`);
		return whichValve(drive, orders).verdicts.map((verdict) => {
			const name = 'cylinder' in verdict ? `${verdict.what}/${verdict.cylinder}` : verdict.what;
			return { p: verdict.probability, so: name === what };
		});
	});
}
