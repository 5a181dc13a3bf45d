import { finiteAnswer, normalCdf, requireThat } from '../number';
import { pressurePerKelvin } from './trappedWater';

/** A hold test: the pressure at its start and end, and how long it was held. */
interface HoldTest {
	readonly fromMPa: number;
	readonly toMPa: number;
	readonly minutes: number;
	/** Standard uncertainty of either reading, MPa. */
	readonly u: number;
	/** How far the water cooled during the hold, K (below 0 where it warmed), its standard uncertainty, and the temperature about which it was. */
	readonly cooled?: { readonly byK: number; readonly uK: number; readonly atC: number };
}

const COEFFICIENT_U = 0.1; // of the pressure per kelvin

export interface HoldFinding {
	readonly fallMPa: number;
	/** What of the fall cooling explains, below 0 where the water warmed, MPa. */
	readonly coolingMPa: number;
	/** What the rest of it would have fallen over the sheet's time, at the same rate. */
	readonly fallOverSheetTimeMPa: number;
	/** How probable it is that the true fall lies within what the sheet allows. */
	readonly pWithin: number;
	/** The leak behind it, mL/min: dp/dt = −K·Q/V. Left out where the sheet says nothing of the volume. */
	readonly leakMlMin?: number;
}

/**
 * What a hold test says of the leak of a whole pump, and whether the fall lies within what the sheet allows.
 *
 * What cooling explains of the fall is no leak: trapped water follows its temperature by some tenths of a MPa a kelvin.
 * Units: MPa, minutes, mm³, K, °C. A fall over another time than the sheet's is set in proportion. Errors: PreconditionError for
 * what is not above 0, an uncertainty below 0. Source: dp/dt = −K·Q/V (bulk modulus K, trapped volume V); JCGM 106:2012, 7.
 */
export function holdFinding(
	{ fromMPa, toMPa, minutes, u, cooled }: HoldTest,
	allowed: { readonly minutes: number; readonly mostFallMPa: number },
	trapped?: { readonly volumeMm3: number; readonly bulkModulusMPa: number }
): HoldFinding {
	const fn = 'holdFinding';
	requireThat(fromMPa > 0 && fromMPa < 1e4, fn, 'fromMPa', fromMPa, 'above 0');
	requireThat(toMPa >= 0 && toMPa < 1e4, fn, 'toMPa', toMPa, 'at least 0');
	requireThat(u >= 0 && u < 1e4, fn, 'u', u, 'at least 0');
	requireThat(
		allowed.mostFallMPa >= 0 && allowed.mostFallMPa < 1e4,
		fn,
		'mostFallMPa',
		allowed.mostFallMPa,
		'at least 0'
	);
	const above = { minutes, 'allowed.minutes': allowed.minutes, ...trapped };
	for (const [name, value] of Object.entries(above))
		requireThat(value > 1e-9 && value < 1e12, fn, name, value, 'above 0');
	const fallMPa = fromMPa - toMPa;
	const cooling = coolingOf(cooled);
	const leakedMPa = fallMPa - cooling.value;
	const scale = allowed.minutes / minutes;
	const spread = Math.hypot(Math.SQRT2 * u, cooling.u) * scale;
	const room = allowed.mostFallMPa - leakedMPa * scale;
	return {
		fallMPa,
		coolingMPa: cooling.value,
		fallOverSheetTimeMPa: finiteAnswer(fn, leakedMPa * scale),
		pWithin: spread > 0 ? normalCdf(Math.max(-40, Math.min(40, room / spread))) : room >= 0 ? 1 : 0,
		...(trapped
			? { leakMlMin: finiteAnswer(fn, ((leakedMPa / minutes) * trapped.volumeMm3 * 1e-3) / trapped.bulkModulusMPa) }
			: {})
	};
}

function coolingOf(cooled: HoldTest['cooled']): { readonly value: number; readonly u: number } {
	if (!cooled) return { value: 0, u: 0 };
	const { byK, uK, atC } = cooled;
	requireThat(Math.abs(byK) <= 200, 'holdFinding', 'cooled.byK', byK, 'at most 200 K');
	requireThat(uK >= 0 && uK <= 200, 'holdFinding', 'cooled.uK', uK, '0 to 200 K');
	const perKelvin = pressurePerKelvin(atC);
	const value = perKelvin * byK;
	return { value, u: Math.hypot(perKelvin * uK, COEFFICIENT_U * value) };
}
