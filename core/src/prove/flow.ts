import { finiteAnswer, requireThat } from '../number';
import { drawnBackMm, type CrankDrive } from '../mechanics';

const RAD = Math.PI / 180;

/** A pump as its flow is worked out: its crank, and the diameter of its plungers or pistons, mm. */
export interface FlowDrive extends CrankDrive {
	readonly boreMm: number;
}

function checked(fn: string, { boreMm, strokeMm, rodMm, phasesDeg }: FlowDrive): void {
	requireThat(boreMm > 0 && boreMm < 1e4, fn, 'boreMm', boreMm, 'above 0');
	requireThat(strokeMm > 0 && strokeMm < 1e4, fn, 'strokeMm', strokeMm, 'above 0');
	requireThat(rodMm > strokeMm / 2 && rodMm < 1e6, fn, 'rodMm', rodMm, 'above half the stroke');
	const angles = phasesDeg.length > 0 && phasesDeg.length <= 12 && phasesDeg.every((deg) => Math.abs(deg) < 1e6);
	requireThat(angles, fn, 'phasesDeg', phasesDeg, '1 to 12 finite angles');
}

/** What a pump displaces in one turn, cm³: π/4 · d² · stroke · cylinders. Errors: PreconditionError. */
export function displacementCm3(drive: FlowDrive): number {
	checked('displacementCm3', drive);
	const { boreMm, strokeMm, phasesDeg } = drive;
	return (Math.PI / 4) * boreMm ** 2 * strokeMm * phasesDeg.length * 1e-3;
}

/** Flow without any loss, L/min. Units: speed in 1/min. Errors: PreconditionError. */
export function theoreticalFlowLmin(drive: FlowDrive, speedRpm: number): number {
	requireThat(speedRpm >= 0 && speedRpm < 1e5, 'theoreticalFlowLmin', 'speedRpm', speedRpm, 'at least 0');
	return finiteAnswer('theoreticalFlowLmin', displacementCm3(drive) * speedRpm * 1e-3);
}

/**
 * How fast a plunger goes forward at an angle of the crank, in strokes per radian: above 0 it delivers, below it draws in.
 * The derivative of the exact slider–crank (`drawnBackMm`). Errors: PreconditionError.
 */
export function forwardSpeed(drive: CrankDrive, angleDeg: number, cylinder: number): number {
	drawnBackMm(drive, angleDeg, cylinder); // refuses what no crank can be
	const theta = (angleDeg + drive.phasesDeg[cylinder - 1]) * RAD;
	const r = drive.strokeMm / 2;
	const aside = r * Math.sin(theta);
	const slant = Math.sqrt(drive.rodMm ** 2 - aside ** 2);
	return finiteAnswer('forwardSpeed', -(r * Math.sin(theta) + (aside * r * Math.cos(theta)) / slant) / drive.strokeMm);
}

/** A measured value and its standard uncertainty. */
interface Measured {
	readonly value: number;
	readonly u: number;
}

/**
 * Measured flow over flow without loss, with its uncertainty: relative ones add in squares, the bore's counts twice.
 *
 * Units: flow L/min, speed 1/min, bore mm. Errors: PreconditionError for what is not above 0. Source: JCGM 100:2008, 5.1.6.
 */
export function volumetricEfficiency(
	drive: CrankDrive,
	measured: { readonly flowLmin: Measured; readonly speedRpm: Measured; readonly boreMm: Measured }
): Measured {
	const fn = 'volumetricEfficiency';
	for (const [name, { value, u }] of Object.entries(measured)) {
		requireThat(value > 1e-9 && value < 1e6, fn, name, value, 'above 0');
		requireThat(u >= 0 && u < 1e6, fn, `u of ${name}`, u, 'at least 0');
	}
	const { flowLmin, speedRpm, boreMm } = measured;
	const value = flowLmin.value / theoreticalFlowLmin({ ...drive, boreMm: boreMm.value }, speedRpm.value);
	const relative = Math.hypot(flowLmin.u / flowLmin.value, speedRpm.u / speedRpm.value, (2 * boreMm.u) / boreMm.value);
	return { value: finiteAnswer(fn, value), u: finiteAnswer(fn, value * relative) };
}

/** Water at 20 °C: density, kg/m³, and heat capacity, J/(kg·K). */
const WATER = { densityKgM3: 998, heatJKgK: 4182 };

/**
 * How much warmer water leaves a pump than it came, where all that is lost stays in it: Δp · (1/η − 1) ÷ (ρ·c).
 *
 * Units: MPa, η as a share, K. Errors: PreconditionError for a negative pressure or an efficiency outside of 0 to 1.
 */
export function temperatureRiseK(pressureMPa: number, efficiency: number): number {
	requireThat(pressureMPa >= 0 && pressureMPa < 1e4, 'temperatureRiseK', 'pressureMPa', pressureMPa, 'at least 0');
	requireThat(efficiency > 1e-3 && efficiency <= 1, 'temperatureRiseK', 'efficiency', efficiency, 'above 0, at most 1');
	return (1e6 * pressureMPa * (1 / efficiency - 1)) / (WATER.densityKgM3 * WATER.heatJKgK);
}
