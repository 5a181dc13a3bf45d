import { finiteAnswer, requireThat } from '../number';

const MM3_PER_S_IN_L_PER_MIN = 60e-6;

interface AnnularGap {
	/** Mean diameter of the gap (midway between plunger and bore) and its mean radial width, mm. */
	readonly diameter: number;
	readonly clearance: number;
	/** Length along the flow, mm. */
	readonly length: number;
	/** 0 centred, 1 touching one side: the eccentricity as a share of the clearance. */
	readonly eccentricity: number;
	/** Pressure difference, MPa, and dynamic viscosity, mPa·s (water at 20 °C: 1.0). */
	readonly pressure: number;
	readonly viscosity: number;
}

export interface Leak {
	/** L/min. */
	readonly flow: number;
	/** Reynolds number on the gap's width (2c); above about 1000 the laminar equation says too much. */
	readonly reynolds: number;
}

/**
 * Leak through an annular gap: Q = π·D·c³·Δp·(1 + 1.5·ε²)/(12·μ·L), laminar.
 *
 * The gap counts with its third power, and a plunger that lies on one side leaks two and a half times as much.
 * Reynolds number for water's density. Errors: PreconditionError for sizes not above 0, ε outside [0, 1], pressure below 0.
 * Source: F. White, Fluid Mechanics (2011), 4.11; H. Merritt, Hydraulic Control Systems (1967), 3-4.
 */
export function annularLeak({ diameter, clearance, length, eccentricity, pressure, viscosity }: AnnularGap): Leak {
	for (const [name, value] of Object.entries({ diameter, clearance, length, viscosity }))
		requireThat(value > 0 && Number.isFinite(value), 'annularLeak', name, value, 'above 0');
	requireThat(eccentricity >= 0 && eccentricity <= 1, 'annularLeak', 'eccentricity', eccentricity, 'from 0 to 1');
	requireThat(pressure >= 0 && Number.isFinite(pressure), 'annularLeak', 'pressure', pressure, 'at least 0');
	const mu = viscosity * 1e-9; // mPa·s in N·s/mm²
	const mm3 = (Math.PI * diameter * clearance ** 3 * pressure * (1 + 1.5 * eccentricity ** 2)) / (12 * mu * length);
	const speed = mm3 / (Math.PI * diameter * clearance); // mm/s
	return {
		flow: finiteAnswer('annularLeak', mm3 * MM3_PER_S_IN_L_PER_MIN),
		reynolds: finiteAnswer('annularLeak', (WATER_DENSITY * 1e-12 * speed * 2 * clearance) / mu)
	};
}
/** kg/m³, and mPa·s at 20 °C. */
export const WATER_VISCOSITY = 1;
const WATER_DENSITY = 1000;
const DISCHARGE_COEFFICIENT = 0.61; // sharp-edged, turbulent

/**
 * Leak through a pit or a wire-drawn groove across a closed seat, as a sharp-edged orifice: Q = C_d·A·√(2Δp/ρ), L/min.
 * Units: mm², MPa, kg/m³. Errors: PreconditionError for an area or pressure below 0, a density not above 0.
 * Source: ISO 5167-2 gives C_d ≈ 0.61 for a sharp edge; F. White, Fluid Mechanics (2011), 6.12. A short groove leaks up to a third more.
 */
export function orificeLeak(area: number, pressure: number, density = WATER_DENSITY): number {
	requireThat(area >= 0 && Number.isFinite(area), 'orificeLeak', 'area', area, 'at least 0');
	requireThat(pressure >= 0 && Number.isFinite(pressure), 'orificeLeak', 'pressure', pressure, 'at least 0');
	requireThat(density > 0 && Number.isFinite(density), 'orificeLeak', 'density', density, 'above 0');
	const speed = Math.sqrt((2 * pressure * 1e6) / density) * 1000; // mm/s
	return DISCHARGE_COEFFICIENT * area * speed * MM3_PER_S_IN_L_PER_MIN;
}

/**
 * Leak rate from a hold test of a trapped volume: Q = V·(p₀ − p₁)/(K·t), from dp/dt = −K·Q/V, L/min.
 *
 * K is the effective bulk modulus: 2200 MPa for water without air in rigid steel; air or a hose makes it far smaller and the
 * leak seem smaller than it is. Units: mL, MPa, s. Errors: PreconditionError for values not above 0, or a pressure that rose.
 * Source: definition of the bulk modulus; H. Merritt, Hydraulic Control Systems (1967), 2-2.
 *
 * @example leakDown({ volume: 50, from: 10, to: 9, seconds: 30, bulkModulus: 2200 }) // 4.55e-5 L/min
 */
export function leakDown(test: {
	readonly volume: number;
	readonly from: number;
	readonly to: number;
	readonly seconds: number;
	readonly bulkModulus: number;
}): number {
	const { volume, from, to, seconds, bulkModulus } = test;
	for (const [name, value] of Object.entries({ volume, from, seconds, bulkModulus }))
		requireThat(value > 0 && Number.isFinite(value), 'leakDown', name, value, 'above 0');
	requireThat(to >= 0 && to <= from, 'leakDown', 'to', to, `from 0 to ${from}`);
	return ((volume * (from - to)) / (bulkModulus * seconds)) * (60 / 1000);
}
