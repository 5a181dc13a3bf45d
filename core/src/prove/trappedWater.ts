import { requireThat } from '../number';

const BULK_MODULUS_MPA = 2_200; // water between 10 and 60 °C, up to some tens of MPa
const HOUSING_PER_KELVIN = 3 * 17e-6; // volume of a brass, bronze or stainless housing

// Kell's density of water, kg/m³: a polynomial in °C over 1 + 16.879850e-3·T.
const KELL = [999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12];
const KELL_BELOW = 16.87985e-3;

/**
 * By how much the pressure of trapped water changes for each kelvin, MPa/K: K·(β_water − β_housing).
 *
 * Below about 8 °C the housing shrinks by more than the water, and the sign turns. Air or a hose in the volume makes it smaller.
 * Units: °C. Errors: PreconditionError outside 0 to 100 °C. Accuracy: 10 % for water in a metal housing without air.
 * Source: G. Kell, J. Chem. Eng. Data 20 (1975) 97–105, eq. (16); dp/dT = K·β at constant volume.
 *
 * @example pressurePerKelvin(20) // 0.3427; 0.455 without the housing
 */
export function pressurePerKelvin(celsius: number): number {
	requireThat(celsius >= 0 && celsius <= 100, 'pressurePerKelvin', 'celsius', celsius, '0 to 100');
	const above = KELL.reduce((sum, c, i) => sum + c * celsius ** i, 0);
	const slope = KELL.reduce((sum, c, i) => (i === 0 ? sum : sum + i * c * celsius ** (i - 1)), 0);
	// −d ln ρ/dT
	const expansion = KELL_BELOW / (1 + KELL_BELOW * celsius) - slope / above;
	return BULK_MODULUS_MPA * (expansion - HOUSING_PER_KELVIN);
}
