import {
	budgetOf,
	conformity,
	findOutlier,
	lengthAt20C,
	waysToSettle,
	type Budget,
	type BudgetInput,
	type Conformity,
	type GaugeFacts,
	type RiskPolicy,
	type Settlement,
	type ThermalConditions
} from '../measure';
import { mean } from '../number';
import { partType, wearUsed, type Characteristic, type PartTypeKey, type WearUsed } from '../part';
import { discardLimit, type Reading, type SheetCharacteristic } from '../record';

export interface ShopGauge {
	readonly id: string;
	readonly name: string;
	/** What it measures: a GaugeKind. */
	readonly kind: string;
	readonly facts: GaugeFacts;
}

/** Repeated readings of one place on the grid, brought to 20 °C. */
export interface Place {
	readonly station: number;
	readonly angle: number;
	readonly readings: readonly number[];
	readonly value: number;
	/** Position of a reading that does not fit, pointed out for a second look. */
	readonly outlier?: number;
}

/** One characteristic of one part: its worst place, how sure, against the limit. */
export interface JudgedCharacteristic {
	readonly characteristic: Characteristic;
	readonly sheet: SheetCharacteristic;
	readonly places: readonly Place[];
	/** How many places of the grid are still without a reading. */
	readonly placesLeft: number;
	/** The place nearest to (or furthest beyond) the limit; the value judged. */
	readonly worst: Place;
	readonly budget: Budget;
	readonly gauge?: ShopGauge;
	readonly conformity: Conformity;
	readonly settlement?: Settlement;
	readonly wear: WearUsed;
	/** True where the start is the nominal size because nobody measured the part when it was fitted. */
	readonly startIsNominal: boolean;
}

export interface MeasureContext {
	readonly gauges: readonly ShopGauge[];
	readonly policy: RiskPolicy;
	/** Size as fitted by characteristic key, where it was measured. */
	readonly asFitted: Readonly<Record<string, number>>;
}

const ASSUMED_STEEL_GAUGE = 11.5e-6; // 1/K

/** What a reading without a named gauge is taken to be worth: a shop caliper in ordinary hands. Shown as assumed. */
export const ASSUMED_GAUGE: GaugeFacts = {
	resolution: 0.01,
	calibrationU: 0.03,
	calibrationK: 2,
	repeatability: 0.01,
	repeatabilityDof: 10,
	reproducibility: 0.01,
	expansionPerKelvin: ASSUMED_STEEL_GAUGE,
	overdue: false
};

function thermalOf(
	type: PartTypeKey,
	unit: string,
	gauge: GaugeFacts,
	partC: number | undefined
): ThermalConditions | undefined {
	const partExpansion = partType(type).expansionPerKelvin;
	if (unit !== 'mm' || partExpansion === undefined) return undefined;
	// The gauge lies on the bench with the part; its own temperature is not typed, so it is taken at 20 °C.
	return { partC: partC ?? 20, gaugeC: 20, partExpansion, gaugeExpansion: gauge.expansionPerKelvin };
}

function placesOf(type: PartTypeKey, unit: string, readings: readonly Reading[], gauge: GaugeFacts): Place[] {
	const groups = new Map<string, Reading[]>();
	for (const reading of readings) {
		const at = `${reading.payload.station}/${reading.payload.angle}`;
		groups.set(at, [...(groups.get(at) ?? []), reading]);
	}
	return [...groups.values()].map((group) => {
		const values = group.map(({ payload }) => {
			const thermal = thermalOf(type, unit, gauge, payload.partC);
			return thermal ? lengthAt20C(payload.value, thermal) : payload.value;
		});
		const { station, angle } = group[0].payload;
		return { station, angle, readings: values, value: mean(values), outlier: findOutlier(values)?.index };
	});
}

/**
 * Value, uncertainty, conformity and wear of one characteristic of a part, from all its readings.
 *
 * The value judged is that of the worst place: the one furthest towards the limit. Readings without a gauge, or with one
 * that the shop no longer has, carry the uncertainty of `ASSUMED_GAUGE`.
 * Shape: readings of this characteristic only, at least one. Units: the characteristic's base unit.
 * Errors: PreconditionError from the measuring functions.
 */
export function judgeCharacteristic(
	type: PartTypeKey,
	sheet: SheetCharacteristic,
	readings: readonly Reading[],
	{ gauges, policy, asFitted }: MeasureContext
): JudgedCharacteristic {
	const characteristic = partType(type).characteristics.find((one) => one.key === sheet.key)!;
	const gaugeId = readings.at(-1)?.payload.gauge;
	const gauge = gauges.find((one) => one.id === gaugeId);
	const facts = gauge?.facts ?? ASSUMED_GAUGE;
	const places = placesOf(type, sheet.unit, readings, facts);
	const { side, value: limit } = discardLimit(sheet);
	const worst = places.reduce((a, b) => (side === 'min' ? (b.value < a.value ? b : a) : b.value > a.value ? b : a));
	const thermal = thermalOf(type, sheet.unit, facts, readings.at(-1)?.payload.partC);
	const input: BudgetInput = { readings: worst.readings, gauge: facts, thermal };
	const budget = budgetOf(input);
	const measured = { value: worst.value, u: budget.u, dof: budget.dof };
	const limits = { min: sheet.min, max: sheet.max };
	const verdict = conformity(measured, limits, policy);
	const others = gauges.filter((one) => one.kind === characteristic.instrument && one.id !== gaugeId);
	const start = asFitted[sheet.key];
	return {
		characteristic,
		sheet,
		places,
		placesLeft: (sheet.grid ? sheet.grid.stations.length * sheet.grid.anglesDeg.length : 1) - places.length,
		worst,
		budget,
		gauge,
		conformity: verdict,
		settlement: verdict.zone === 'tooClose' ? waysToSettle(input, worst.value, limits, policy, others) : undefined,
		wear: wearUsed({ start: start ?? sheet.nominal, value: worst.value, limit }),
		startIsNominal: start === undefined
	};
}
