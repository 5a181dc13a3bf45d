import {
	budgetOf,
	combine,
	conformity,
	findOutlier,
	flatness,
	lengthAt20C,
	waysToSettle,
	type Budget,
	type BudgetInput,
	type Conformity,
	type FacePoint,
	type GaugeFacts,
	type RiskPolicy,
	type Settlement,
	type ThermalConditions
} from '../measure';
import { mean } from '../number';
import { partType, wearUsed, type Characteristic, type PartTypeKey, type WearUsed } from '../part';
import { characteristicOf, discardLimit, placesToRead, type Reading, type SheetCharacteristic } from '../record';

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

/** One characteristic of one part as measured: its places, and the value that counts. */
export interface MeasuredCharacteristic {
	readonly characteristic: Characteristic;
	readonly sheet: SheetCharacteristic;
	readonly places: readonly Place[];
	/** How many places of the grid are still without a reading. */
	readonly placesLeft: number;
	/** The place furthest towards the limit; of a form, the highest one. */
	readonly worst: Place;
	/** The worst place's value, or the form deviation; undefined while a form has too few places to be worked out. */
	readonly value?: number;
	readonly budget: Budget;
	readonly gauge?: ShopGauge;
}

/** A measured characteristic against its discard limit. */
export interface JudgedCharacteristic extends MeasuredCharacteristic {
	readonly value: number;
	readonly limit: number;
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

// A form deviation is a difference of readings: at most √2 times the uncertainty of one of them.
const FORM_FACTOR = Math.SQRT2;
const FEWEST_ROUND = 4;

/** Range of the readings round each station; the worst station counts. Undefined below four angles everywhere. */
function runoutOf(places: readonly Place[]): number | undefined {
	const stations = [...new Set(places.map(({ station }) => station))].map((station) =>
		places.filter((place) => place.station === station).map(({ value }) => value)
	);
	const ranges = stations
		.filter((values) => values.length >= FEWEST_ROUND)
		.map((values) => Math.max(...values) - Math.min(...values));
	return ranges.length > 0 ? Math.max(...ranges) : undefined;
}

/** The heights over a face, mm, in the order of their places. */
export const facePoints = ({ face }: SheetCharacteristic, places: readonly Place[]): FacePoint[] =>
	places.map(({ station, angle, value }) => ({ x: face!.columnsMm[angle], y: face!.rowsMm[station], z: value }));

function flatnessOf(sheet: SheetCharacteristic, places: readonly Place[]): number | undefined {
	if (!sheet.face || places.length < FEWEST_ROUND) return undefined;
	const points = facePoints(sheet, places);
	return areOnOneLine(points) ? undefined : flatness(points).minimumZone;
}

const areOnOneLine = ([a, b, ...rest]: readonly FacePoint[]): boolean =>
	rest.every(({ x, y }) => (b.x - a.x) * (y - a.y) === (b.y - a.y) * (x - a.x));

function valueOf({ form }: Characteristic, sheet: SheetCharacteristic, places: readonly Place[], worst: Place) {
	if (form === 'runout') return runoutOf(places);
	return form === 'flatness' ? flatnessOf(sheet, places) : worst.value;
}

/**
 * Value and uncertainty of one characteristic of a part, from all its readings.
 *
 * The value is that of the worst place: the one furthest towards the limit; of a form, the deviation that all places make
 * together. Readings without a gauge, or with one that the shop no longer has, carry the uncertainty of `ASSUMED_GAUGE`.
 * Shape: readings of this characteristic only, at least one. Units: the characteristic's base unit.
 * Errors: PreconditionError from the measuring functions.
 */
export function measureCharacteristic(
	type: PartTypeKey,
	sheet: SheetCharacteristic,
	readings: readonly Reading[],
	gauges: readonly ShopGauge[]
): MeasuredCharacteristic & { readonly input: BudgetInput } {
	const characteristic = characteristicOf({ type }, sheet.key);
	const gaugeId = readings.at(-1)?.payload.gauge;
	const gauge = gauges.find((one) => one.id === gaugeId);
	const facts = gauge?.facts ?? ASSUMED_GAUGE;
	const places = placesOf(type, sheet.unit, readings, facts);
	const low = (discardLimit(sheet)?.side ?? (characteristic.wears === 'down' ? 'min' : 'max')) === 'min';
	const worst = places.reduce((a, b) => ((low ? b.value < a.value : b.value > a.value) ? b : a));
	const thermal = thermalOf(type, sheet.unit, facts, readings.at(-1)?.payload.partC);
	const input: BudgetInput = { readings: worst.readings, gauge: facts, thermal };
	const single = budgetOf(input);
	const budget = characteristic.form
		? combine(single.contributions.map((line) => ({ ...line, u: line.u * FORM_FACTOR })))
		: single;
	const { rows, columns } = placesToRead(sheet);
	return {
		characteristic,
		sheet,
		places,
		placesLeft: rows.length * columns.length - places.length,
		worst,
		value: valueOf(characteristic, sheet, places, worst),
		budget,
		gauge,
		input
	};
}

/**
 * A measured characteristic against its discard limit: conformity, ways to settle what is too close, wear used.
 * Undefined for what has no limit, or a form with too few places. Errors: PreconditionError from the measuring functions.
 */
export function judgeCharacteristic(
	type: PartTypeKey,
	sheet: SheetCharacteristic,
	readings: readonly Reading[],
	{ gauges, policy, asFitted }: MeasureContext
): JudgedCharacteristic | undefined {
	const { input, ...measured } = measureCharacteristic(type, sheet, readings, gauges);
	const { characteristic, value, budget, gauge } = measured;
	const limit = discardLimit(sheet)?.value;
	if (limit === undefined || value === undefined) return undefined;
	const limits = { min: sheet.min, max: sheet.max };
	const verdict = conformity({ value, u: budget.u, dof: budget.dof }, limits, policy);
	const others = gauges.filter((one) => one.kind === characteristic.instrument && one !== gauge);
	const start = characteristic.form ? undefined : asFitted[sheet.key];
	const settles = verdict.zone === 'tooClose' && !characteristic.form;
	return {
		...measured,
		value,
		limit,
		conformity: verdict,
		settlement: settles ? waysToSettle(input, value, limits, policy, others) : undefined,
		wear: wearUsed({ start: start ?? sheet.nominal, value, limit }),
		startIsNominal: start === undefined
	};
}
