// Pumps on the rig whose leak is known: does what the trace is said to be of come true as often?
import { shaftOrders, whichValve, type FlowDrive, type TraceFinding, type TraceVerdict } from '../../core/src/prove';
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

// What the rig says of one pump: Ω·τ of its line, and noise from little to as much as a small leak.
function heardOf(drive: FlowDrive, fault: Fault, lag: number, random: Random, seed: number): TraceFinding {
	const noise = 0.01 * 20 ** random.uniform();
	const run = { sampleHz: HZ, rpm: RPM, noise, driftAMinute: 0, startDeg: 360 * random.uniform(), seed };
	const source = running({ ...drive, meanMPa: 10, lag }, fault, run);
	for (let sample = 0; sample < SECONDS * HZ; sample++) source.next(); // until the line is full
	const pressureMPa: number[] = [];
	const indexS: number[] = [];
	for (let sample = 0; sample < SECONDS * HZ; sample++) {
		const { pressureMPa: p, markAt } = source.next().value;
		pressureMPa.push(p);
		if (markAt !== undefined) indexS.push((sample + markAt) / HZ);
	}
	const orders = shaftOrders({ sampleHz: HZ, pressureMPa, indexS, speedRpm: RPM });
	if (orders.kind === 'problem') throw new Error(`the rig's trace was not read: ${orders.code}`);
	return whichValve(drive, orders);
}

const nameOf = (verdict: TraceVerdict): string =>
	'cylinder' in verdict ? `${verdict.what}/${verdict.cylinder}` : verdict.what;

/**
 * What was said of every possibility of so many pumps, half of them with two plungers at 180°, a third without any lag, the others up
 * to Ω·τ = 1. Where the rig says that it cannot tell, nothing was said.
 */
export function saidOfLeaks(pumps: number, seed: number): SaidOfLeak[] {
	const random = new Random(seed);
	return Array.from({ length: pumps }, (_, i) => i).flatMap((i) => {
		const drive = i % 2 === 0 ? triplex : pair;
		const { what, fault } = drawn(random, drive.phasesDeg.length);
		const lag = random.uniform() < 1 / 3 ? 0 : 0.01 * 100 ** random.uniform();
		const { verdicts, hidden } = heardOf(drive, fault, lag, random, seed * 100_000 + i);
		return hidden ? [] : verdicts.map((verdict) => ({ p: verdict.probability, so: nameOf(verdict) === what }));
	});
}

export interface HeardAtLag {
	/** Healthy pumps, and how many of them were called faulty. */
	readonly healthy: number;
	readonly blamed: number;
	/** Pumps whose valve leaks 3 % or more, how many were named right, and of how many it was said that it cannot be told. */
	readonly leaking: number;
	readonly named: number;
	readonly hidden: number;
}

/** Pumps of three at one lag: are healthy ones blamed, and are leaks worth finding named? */
export function heardAtLag(lag: number, pumps: number, seed: number): HeardAtLag {
	const random = new Random(seed);
	const counts = { healthy: 0, blamed: 0, leaking: 0, named: 0, hidden: 0 };
	for (let i = 0; i < pumps; i++) {
		const sound = heardOf(triplex, {}, lag, random, seed * 100_000 + 2 * i);
		counts.healthy += 1;
		if (sound.hidden) counts.hidden += 1;
		else if (sound.verdicts[0].what !== 'healthy') counts.blamed += 1;
		const cylinder = 1 + (i % 3);
		const valve = random.uniform() < 0.5 ? 'inlet' : 'discharge';
		const leak = 0.03 * (0.5 / 0.03) ** random.uniform();
		const worn = heardOf(triplex, { [valve]: [cylinder, leak] }, lag, random, seed * 100_000 + 2 * i + 1);
		if (worn.hidden) counts.hidden += 1;
		else {
			counts.leaking += 1;
			if (nameOf(worn.verdicts[0]) === `${valve}/${cylinder}`) counts.named += 1;
		}
	}
	return counts;
}
