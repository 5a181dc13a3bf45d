import { requireThat } from '../number';

/** A bolt with coarse pitch: its nominal diameter, and the friction in its thread and under its head. */
export interface Bolt {
	readonly diameterMm: number;
	readonly friction: number;
}

// Coarse pitches: ISO 261:1998, table 2; between them by straight line.
const COARSE: readonly (readonly [number, number])[] = [
	[3, 0.5],
	[4, 0.7],
	[5, 0.8],
	[6, 1],
	[8, 1.25],
	[10, 1.5],
	[12, 1.75],
	[16, 2],
	[20, 2.5],
	[24, 3],
	[30, 3.5],
	[36, 4]
];

function coarsePitchMm(diameterMm: number): number {
	const above = COARSE.findIndex(([d]) => d >= diameterMm);
	const [to, pitch] = COARSE[above];
	const [from, pitchBefore] = COARSE[Math.max(0, above - 1)];
	return to === from ? pitch : pitchBefore + ((diameterMm - from) / (to - from)) * (pitch - pitchBefore);
}

/**
 * What a bolt's torque and load rest on: d₂ = d − 0.6495·P, d₃ = d − 1.2269·P, the stress diameter (d₂ + d₃) ÷ 2, and the lever
 * P/2π + µ·d₂/(2 cos 30°) + µ·D/2 by which its load becomes torque, with a head that bears at D = 1.3·d in the mean.
 * Units: mm. Errors: PreconditionError for a thread or friction outside of M3 to M36 and 0 to 1.
 * Source: ISO 724:1993; VDI 2230-1:2015, 5.4.3.1.
 */
export function boltGeometry(fn: string, { diameterMm, friction }: Bolt) {
	requireThat(diameterMm >= 3 && diameterMm <= 36, fn, 'diameterMm', diameterMm, '3 to 36');
	requireThat(friction > 0 && friction <= 1, fn, 'friction', friction, 'above 0, at most 1');
	const pitchMm = coarsePitchMm(diameterMm);
	const pitchDiameterMm = diameterMm - 0.6495 * pitchMm;
	const stressDiameterMm = (pitchDiameterMm + diameterMm - 1.2269 * pitchMm) / 2;
	const inThread = (friction * pitchDiameterMm) / (2 * Math.cos(Math.PI / 6));
	const underHead = (friction * 1.3 * diameterMm) / 2;
	return { pitchMm, pitchDiameterMm, stressDiameterMm, leverMm: pitchMm / (2 * Math.PI) + inThread + underHead };
}
