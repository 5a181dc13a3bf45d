import { finiteAnswer, normalCdf, requireThat } from '../number';

/** A hold test: the pressure at its start and end, and how long it was held. */
export interface HoldTest {
	readonly fromMPa: number;
	readonly toMPa: number;
	readonly minutes: number;
	/** Standard uncertainty of either reading, MPa. */
	readonly u: number;
}

export interface HoldFinding {
	readonly fallMPa: number;
	/** What it would have fallen over the sheet's time, at the same rate. */
	readonly fallOverSheetTimeMPa: number;
	/** How probable it is that the true fall lies within what the sheet allows. */
	readonly pWithin: number;
	/** The leak behind it, mL/min: dp/dt = −K·Q/V. Left out where the sheet says nothing of the volume. */
	readonly leakMlMin?: number;
}

/**
 * What a hold test says of the leak of a whole pump, and whether the fall lies within what the sheet allows.
 *
 * Units: MPa, minutes, mm³. A fall over another time than the sheet's is set in proportion. Errors: PreconditionError for
 * what is not above 0, an uncertainty below 0. Source: dp/dt = −K·Q/V (bulk modulus K, trapped volume V); JCGM 106:2012, 7.
 */
export function holdFinding(
	{ fromMPa, toMPa, minutes, u }: HoldTest,
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
	const scale = allowed.minutes / minutes;
	const spread = Math.SQRT2 * u * scale;
	const room = allowed.mostFallMPa - fallMPa * scale;
	return {
		fallMPa,
		fallOverSheetTimeMPa: finiteAnswer(fn, fallMPa * scale),
		pWithin: spread > 0 ? normalCdf(Math.max(-40, Math.min(40, room / spread))) : room >= 0 ? 1 : 0,
		...(trapped
			? { leakMlMin: finiteAnswer(fn, ((fallMPa / minutes) * trapped.volumeMm3 * 1e-3) / trapped.bulkModulusMPa) }
			: {})
	};
}
