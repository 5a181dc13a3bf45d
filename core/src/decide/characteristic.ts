import {
	budgetOf,
	combine,
	effectiveDof,
	worstPoint,
	conformity,
	findOutlier,
	flatness,
	lengthAt20C,
	waysToSettle,
	ASSUMED_TEMPERATURE_HALF_WIDTH_K,
	REFERENCE_TEMPERATURE_C,
	type Budget,
	type BudgetInput,
	type ContributionSource,
	type Conformity,
	type FacePoint,
	type GaugeFacts,
	type Limit,
	type RiskPolicy,
	type Settlement,
	type ThermalConditions
} from '../measure';
import { mean, normalQuantile, requireThat } from '../number';
import { partType, wearUsed, type Characteristic, type PartTypeKey, type WearUsed } from '../part';
import { characteristicOf, discardLimit, pointsToRead, type Reading, type SheetCharacteristic } from '../record';

export interface ShopGauge {
	readonly id: string;
	readonly name: string;
	/** What it measures: a GaugeKind. */
	readonly kind: string;
	readonly facts: GaugeFacts;
	/** Used no more: what it has read still counts, and no one is sent for it. */
	readonly retired?: boolean;
}

/** Repeated readings of one point on the grid, brought to 20 °C. */
export interface Point {
	readonly row: number;
	readonly column: number;
	readonly readings: readonly number[];
	readonly value: number;
	/** Of its own readings with their own gauges; what went into the last of them, for what would settle it. */
	readonly budget: Budget;
	readonly gauge?: ShopGauge;
	readonly input: BudgetInput;
	/** Position of a reading that does not fit, pointed out for a second look. */
	readonly outlier?: number;
}

/** One characteristic of one part as measured: its points, and the value that counts. */
export interface MeasuredCharacteristic {
	readonly characteristic: Characteristic;
	readonly sheet: SheetCharacteristic;
	readonly points: readonly Point[];
	/** How many points of the grid are still without a reading. */
	readonly pointsLeft: number;
	/** The point furthest towards the limit; of a form, the highest one. */
	readonly worst: Point;
	/** The worst point's value, or the form deviation; undefined while a form has too few points to be worked out. */
	readonly value?: number;
	readonly budget: Budget;
	/** The size as all points together tell it, without the bias of the worst reading: what wear and forecasts rest on. */
	readonly estimate?: { readonly value: number; readonly u: number };
	readonly gauge?: ShopGauge;
}

/** A measured characteristic against its discard limit. */
export interface JudgedCharacteristic extends MeasuredCharacteristic {
	readonly value: number;
	readonly limit: number;
	readonly conformity: Conformity;
	readonly settlement?: Settlement;
	readonly wear: WearUsed;
	/** True where the start is the nominal size because no one measured the part when it was fitted. */
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

/** Both temperatures as far as they were typed. A part without one has lain on the bench, with its gauge. */
function thermalOf(
	type: PartTypeKey,
	unit: string,
	gauge: GaugeFacts,
	{ partC, gaugeC }: Pick<Reading['payload'], 'partC' | 'gaugeC'>
): ThermalConditions | undefined {
	const partExpansion = partType(type).expansionPerKelvin;
	if (unit !== 'mm' || partExpansion === undefined) return undefined;
	return {
		partC: partC ?? gaugeC ?? REFERENCE_TEMPERATURE_C,
		gaugeC: gaugeC ?? REFERENCE_TEMPERATURE_C,
		partExpansion,
		gaugeExpansion: gauge.expansionPerKelvin
	};
}

// A gauge beside a warm part may be as warm as the part, where the bench's temperature was not noted.
const gaugeHalfWidth = ({ partC, gaugeC }: Pick<Reading['payload'], 'partC' | 'gaugeC'>): number =>
	gaugeC === undefined && partC !== undefined
		? Math.max(ASSUMED_TEMPERATURE_HALF_WIDTH_K, Math.abs(partC - REFERENCE_TEMPERATURE_C))
		: ASSUMED_TEMPERATURE_HALF_WIDTH_K;

/** What a reading would have shown at 20 °C, in the unit of its size; as read where its length does not follow temperature. */
export function readingAt20C(
	type: PartTypeKey,
	unit: string,
	gauge: GaugeFacts,
	payload: Pick<Reading['payload'], 'value' | 'partC' | 'gaugeC'>
): number {
	const thermal = thermalOf(type, unit, gauge, payload);
	return thermal ? lengthAt20C(payload.value, thermal) : payload.value;
}

function pointsOf(
	type: PartTypeKey,
	unit: string,
	readings: readonly Reading[],
	gauges: readonly ShopGauge[]
): Point[] {
	const groups = new Map<string, Reading[]>();
	for (const reading of readings) {
		const at = `${reading.payload.row}/${reading.payload.column}`;
		groups.set(at, [...(groups.get(at) ?? []), reading]);
	}
	return [...groups.values()].map((group) => pointOf(type, unit, group, gauges));
}

// Readings of one point may come from several gauges: each gauge's mean has its own budget and weighs by it. Readings of one
// gauge at several temperatures share its zero and its calibration: they are one group.
function pointOf(type: PartTypeKey, unit: string, readings: readonly Reading[], gauges: readonly ShopGauge[]): Point {
	const byGauge = new Map<string, BudgetInput & { readings: number[]; named?: ShopGauge }>();
	const values: number[] = [];
	for (const { payload } of readings) {
		const named = gauges.find((shopGauge) => shopGauge.id === payload.gauge);
		const gauge = named?.facts ?? ASSUMED_GAUGE;
		const thermal = thermalOf(type, unit, gauge, payload);
		const value = readingAt20C(type, unit, gauge, payload);
		values.push(value);
		const key = named?.id ?? '';
		const { readings, gaugeHalfWidthK = 0 } = byGauge.get(key) ?? { readings: [] };
		const group = {
			...{ readings: [...readings, value], gauge, thermal, named },
			gaugeHalfWidthK: Math.max(gaugeHalfWidthK, gaugeHalfWidth(payload))
		};
		// Deleted and set, so that the gauge that was read last comes last.
		byGauge.delete(key);
		byGauge.set(key, group);
	}
	const parts = [...byGauge.values()].map((input) => ({ value: mean(input.readings), budget: budgetOf(input), input }));
	const { row, column } = readings[0].payload;
	const { value, budget } = weighed(parts);
	const { named, ...input } = parts.at(-1)!.input;
	return { row, column, readings: values, value, budget, gauge: named, input, outlier: findOutlier(values)?.index };
}

// Mean weighted by 1/u², and the budget of it: every line of every gauge with its share.
function weighed(parts: readonly { readonly value: number; readonly budget: Budget }[]) {
	if (parts.length === 1) return parts[0];
	const weights = parts.map(({ budget }) => 1 / budget.u ** 2);
	const total = weights.reduce((a, b) => a + b, 0);
	const value = parts.reduce(
		(sum, part, i) => sum + (weights[i] / total) * (part.value - parts[0].value),
		parts[0].value
	);
	const lines = parts.flatMap(({ budget }, i) =>
		budget.contributions.map((line) => ({ ...line, u: (line.u * weights[i]) / total }))
	);
	const sources = [...new Set(lines.map(({ source }) => source))].map((source) => {
		const own = lines.filter((line) => line.source === source && line.u !== 0);
		return { source, u: Math.hypot(...own.map(({ u }) => u)), dof: effectiveDof(own) };
	});
	return { value, budget: combine(sources) };
}

// A form deviation is a difference of readings: at most √2 times the uncertainty of one of them.
const FORM_FACTOR = Math.SQRT2;
const FEWEST_ROUND = 4;

/** Range of the readings round each station; the worst station counts. Undefined below four angles everywhere. */
function runoutOf(points: readonly Point[]): number | undefined {
	const rows = [...new Set(points.map(({ row }) => row))].map((row) =>
		points.filter((point) => point.row === row).map(({ value }) => value)
	);
	const ranges = rows
		.filter((values) => values.length >= FEWEST_ROUND)
		.map((values) => Math.max(...values) - Math.min(...values));
	return ranges.length > 0 ? Math.max(...ranges) : undefined;
}

/** The heights over a face, mm, in the order of their points. */
export const facePoints = ({ face }: SheetCharacteristic, points: readonly Point[]): FacePoint[] =>
	points.map(({ row, column, value }) => ({ x: face!.columnsMm[column], y: face!.rowsMm[row], z: value }));

function flatnessOf(sheet: SheetCharacteristic, points: readonly Point[]): number | undefined {
	if (!sheet.face || points.length < FEWEST_ROUND) return undefined;
	const heights = facePoints(sheet, points);
	return areOnOneLine(heights) ? undefined : flatness(heights).minimumZone;
}

const areOnOneLine = ([a, b, ...rest]: readonly FacePoint[]): boolean =>
	rest.every(({ x, y }) => (b.x - a.x) * (y - a.y) === (b.y - a.y) * (x - a.x));

function valueOf({ form }: Characteristic, sheet: SheetCharacteristic, points: readonly Point[], worst: Point) {
	if (form === 'runout') return runoutOf(points);
	return form === 'flatness' ? flatnessOf(sheet, points) : worst.value;
}

const isLow = ({ wears }: Characteristic, sheet: SheetCharacteristic): boolean =>
	(discardLimit(sheet)?.side ?? (wears === 'down' ? 'min' : 'max')) === 'min';

// Furthest towards the limit, in units of what its readings leave open: the point that decides.
function worstOf(points: readonly Point[], low: boolean, limit: number | undefined): Point {
	const towards = ({ value, budget }: Point) => {
		const way = low ? -value : value;
		return limit === undefined ? way : (way - (low ? -limit : limit)) / budget.u;
	};
	return points.reduce((a, b) => (towards(b) > towards(a) ? b : a));
}

const OF_ITS_OWN: readonly ContributionSource[] = ['repeatability', 'resolution'];
const uOf = ({ contributions }: Budget, own: boolean) =>
	Math.hypot(...contributions.filter(({ source }) => OF_ITS_OWN.includes(source) === own).map(({ u }) => u));

function estimateOf(points: readonly Point[], low: boolean): { value: number; u: number } {
	const sign = low ? -1 : 1;
	const { value, u } = worstPoint(
		points.map((point) => ({
			value: sign * point.value,
			own: uOf(point.budget, true),
			shared: uOf(point.budget, false)
		}))
	);
	return { value: sign * value, u };
}

// Scatter alone makes a form deviation out of nothing: about the range of so many readings, which is taken off in quadrature.
function formEstimate(value: number, points: readonly Point[], u: number): { value: number; u: number } {
	const n = points.length;
	const range =
		2 * normalQuantile((n - 0.375) / (n + 0.25)) * Math.max(...points.map(({ budget }) => uOf(budget, true)));
	return { value: Math.sqrt(Math.max(0, value ** 2 - range ** 2)), u };
}

/**
 * Value and uncertainty of one characteristic of a part, from all its readings.
 *
 * The value is that of the worst point: the one furthest towards the limit; of a form, the deviation that all points make
 * together. Every reading carries its own gauge and temperature; readings without a gauge, or with one that the shop no longer
 * has, the uncertainty of `ASSUMED_GAUGE`. `estimate` draws the points towards each other, as `worstPlace` does.
 * Shape: readings of this characteristic only, at least one. Units: the characteristic's base unit.
 * Errors: PreconditionError from the measuring functions.
 */
export function measureCharacteristic(
	type: PartTypeKey,
	sheet: SheetCharacteristic,
	readings: readonly Reading[],
	gauges: readonly ShopGauge[]
): MeasuredCharacteristic {
	requireThat(readings.length > 0, 'measureCharacteristic', 'readings', 'none', 'at least one reading');
	const characteristic = characteristicOf({ type }, sheet.key);
	const points = pointsOf(type, sheet.unit, readings, gauges);
	const low = isLow(characteristic, sheet);
	const worst = worstOf(points, low, discardLimit(sheet)?.value);
	const coarsest = points.reduce((a, b) => (b.budget.u > a.budget.u ? b : a));
	const budget = characteristic.form
		? combine(coarsest.budget.contributions.map((line) => ({ ...line, u: line.u * FORM_FACTOR })))
		: worst.budget;
	const { rows, columns } = pointsToRead(sheet);
	const value = valueOf(characteristic, sheet, points, worst);
	const estimate = !characteristic.form
		? estimateOf(points, low)
		: value === undefined
			? undefined
			: formEstimate(value, points, budget.u);
	return {
		characteristic,
		sheet,
		points,
		pointsLeft: rows.length * columns.length - points.length,
		worst,
		value,
		budget,
		estimate,
		gauge: worst.gauge
	};
}

/** The verdict by point: inside only if each point alone is; beyond if one is, at a risk shared among all of them. */
function byPoint(measured: MeasuredCharacteristic, value: number, limits: Limit, policy: RiskPolicy): Conformity {
	const { characteristic, points, budget, worst } = measured;
	const k = characteristic.form ? 1 : points.length;
	const halfStep = characteristic.form ? 0 : worst.input.gauge.resolution / 2;
	return conformity({ value, u: budget.u, dof: budget.dof }, limits, sharedRisk(policy, k), halfStep);
}

const sharedRisk = (policy: RiskPolicy, points: number): RiskPolicy => ({
	acceptBad: policy.acceptBad,
	scrapGood: -Math.expm1(Math.log1p(-policy.scrapGood) / points)
});

/**
 * A measured characteristic against its discard limit: conformity, ways to settle what is too close, wear used.
 * Undefined for what has no limit, or a form with too few points. Errors: PreconditionError from the measuring functions.
 */
export function judgeCharacteristic(
	type: PartTypeKey,
	sheet: SheetCharacteristic,
	readings: readonly Reading[],
	{ gauges, policy, asFitted }: MeasureContext
): JudgedCharacteristic | undefined {
	const measured = measureCharacteristic(type, sheet, readings, gauges);
	const { characteristic, value, estimate, worst } = measured;
	const limit = discardLimit(sheet)?.value;
	if (limit === undefined || value === undefined || estimate === undefined) return undefined;
	const limits = { min: sheet.min, max: sheet.max };
	const verdict = byPoint(measured, value, limits, policy);
	const others = gauges.filter((gauge) => gauge.kind === characteristic.instrument && gauge !== worst.gauge);
	const start = characteristic.form ? undefined : asFitted[sheet.key];
	const settles = verdict.zone === 'tooClose' && !characteristic.form;
	const risks = sharedRisk(policy, measured.points.length);
	return {
		...measured,
		value,
		limit,
		conformity: verdict,
		settlement: settles ? waysToSettle(worst.input, value, limits, risks, others) : undefined,
		wear: wearUsed({ start: start ?? sheet.nominal, value: estimate.value, limit }),
		startIsNominal: start === undefined
	};
}
