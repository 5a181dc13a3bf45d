import { requireThat } from '../number';

/** Temperature at which drawings and certificates hold, °C (ISO 1:2022). */
export const REFERENCE_TEMPERATURE_C = 20;

export interface ThermalConditions {
	readonly partC: number;
	readonly gaugeC: number;
	/** Linear expansion of the part and of the gauge, 1/K. */
	readonly partExpansion: number;
	readonly gaugeExpansion: number;
}

/**
 * The length that a part would show at 20 °C: L·(1 + α_gauge·(T_gauge − 20))/(1 + α_part·(T_part − 20)).
 *
 * Units: mm, °C, 1/K. Errors: PreconditionError where an argument is not finite, or an expansion would shrink a body to nothing.
 * Accuracy: rounding only, for coefficients that are means over the range.
 * Source: ISO 1:2022; methods as for comparison measurement of gauge blocks, EURAMET cg-2.
 *
 * @example lengthAt20C(100, { partC: 30, gaugeC: 20, partExpansion: 11.5e-6, gaugeExpansion: 11.5e-6 }) // 99.98850
 */
export function lengthAt20C(length: number, thermal: ThermalConditions): number {
	const { partC, gaugeC, partExpansion, gaugeExpansion } = thermal;
	for (const [name, value] of Object.entries({ length, partC, gaugeC, partExpansion, gaugeExpansion })) {
		requireThat(Number.isFinite(value), 'lengthAt20C', name, value, 'a finite number');
	}
	const part = partExpansion * (partC - REFERENCE_TEMPERATURE_C);
	const gauge = gaugeExpansion * (gaugeC - REFERENCE_TEMPERATURE_C);
	requireThat(1 + part > 0, 'lengthAt20C', 'partExpansion', partExpansion, 'small enough for this temperature');
	requireThat(1 + gauge > 0, 'lengthAt20C', 'gaugeExpansion', gaugeExpansion, 'small enough for this temperature');
	return (length * (1 + gauge)) / (1 + part);
}

/**
 * Standard uncertainty that imperfectly known temperatures leave in a length, mm.
 * The part's temperature is known within ± `halfWidthK`, the gauge's within ± `gaugeHalfWidthK`, both rectangular:
 * u = L·√((α_p·a_p)² + (α_g·a_g)²)/√3. Units: mm, K.
 */
export function thermalUncertainty(
	length: number,
	thermal: ThermalConditions,
	halfWidthK: number,
	gaugeHalfWidthK = halfWidthK
): number {
	requireThat(Number.isFinite(length), 'thermalUncertainty', 'length', length, 'a finite number');
	for (const [name, value] of Object.entries({ halfWidthK, gaugeHalfWidthK }))
		requireThat(value >= 0 && Number.isFinite(value), 'thermalUncertainty', name, value, 'at least 0');
	for (const [name, value] of Object.entries({ part: thermal.partExpansion, gauge: thermal.gaugeExpansion }))
		requireThat(Number.isFinite(value), 'thermalUncertainty', `${name}Expansion`, value, 'a finite number');
	const spread = Math.hypot(thermal.partExpansion * halfWidthK, thermal.gaugeExpansion * gaugeHalfWidthK);
	return (Math.abs(length) * spread) / Math.sqrt(3);
}
