import { requireThat, studentQuantile } from '../number';
import { COVERAGE, effectiveDof } from './budget';
import type { MeasuredValue } from './conformity';

export interface Fit {
	/** Plunger diameter − lip inside diameter: above 0 the lip presses, below 0 there is a gap. */
	readonly interference: number;
	/** Its standard uncertainty, and the expanded one at 95 %. */
	readonly u: number;
	readonly U: number;
}

/**
 * Interference of a packing, lip seal or cup on its plunger, both as measured in this rebuild.
 *
 * A new packing on a worn plunger presses less than the sheet assumes; that is why both are measured values here.
 * Units: mm. U at 95 % from both budgets (Welch–Satterthwaite). Errors: PreconditionError for values not finite, u not above 0.
 * Source: JCGM 100:2008, 5.1.2, of a difference of two uncorrelated quantities.
 *
 * @example fitOf({ value: 18, u: 0.003, dof: Infinity }, { value: 17.6, u: 0.004, dof: Infinity }) // 0.4 ± 0.0098
 */
export function fitOf(plunger: MeasuredValue, lip: MeasuredValue): Fit {
	for (const { value, u } of [plunger, lip]) {
		requireThat(Number.isFinite(value), 'fitOf', 'value', value, 'a finite number');
		requireThat(u > 0, 'fitOf', 'u', u, 'above 0');
	}
	const u = Math.hypot(plunger.u, lip.u);
	const k = studentQuantile((1 + COVERAGE) / 2, effectiveDof([plunger, lip]));
	return { interference: plunger.value - lip.value, u, U: k * u };
}
