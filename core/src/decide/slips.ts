import { gammaUpper, requireThat } from '../number';
import { partType } from '../part';
import { wearPriorOf } from '../life';
import { characteristicOf, discardLimit, type Reading, type SheetCharacteristic, type Station } from '../record';
import { ASSUMED_GAUGE, readingAt20C, type ShopGauge } from './characteristic';
import type { LifeFacts } from './partLife';

/** What may have been meant instead of what was typed. */
export type Meant =
	/** Off by a factor that unit mistakes make. */
	| { readonly as: 'inch' | 'tenfold' }
	/** Two digits the wrong way round: the size that they would have been. */
	| { readonly as: 'digits'; readonly value: number }
	/** As large as the same size of another part of the pump. */
	| { readonly as: 'otherPart'; readonly part: string };

/** A size whose readings are asked about before they count. */
export interface Slip {
	readonly characteristic: string;
	readonly why: 'betterThanNew' | 'tooFast' | 'allAlike';
	/** The reading that is asked about, and its value; of those that are all alike the first. */
	readonly reading: string;
	readonly value: number;
	/** How far it lies beyond new on the good side, in the size's unit; for wear the chance that it is so fast. */
	readonly by: number;
	readonly meant: readonly Meant[];
}

interface SlipFacts {
	readonly gauges: readonly ShopGauge[];
	readonly asFitted: Readonly<Record<string, number>>;
	readonly life?: Pick<LifeFacts, 'age' | 'dutyHours'>;
	/** The other stations of the sheet. */
	readonly stations?: readonly Station[];
}

/** A reading is asked about if such wear comes about less often than this. */
export const TOO_FAST = 1e-4;
/** Where the sheet states no tolerance of a new part: this share of what it may wear. */
const UNSTATED_TOLERANCE = 0.25;
const COVERAGE = 3; // standard uncertainties of the gauge
const BENCH_KELVIN = 10; // how far an unheated bench may be off 20 °C
const PUMPS_DIFFER = 0.6; // sd of the logarithm of how hard pumps are on their parts, taken wide
const ALIKE_FROM = 4; // places
const SECONDS_A_READING = 1;
// Rates are added up by the trapezoid rule over the logarithm, in standard deviations.
const RATE_DEVIATIONS = 8;
const RATE_STEP = 0.05;

/**
 * Sizes of a part with a reading that is probably a slip: better than new by more than tolerance, gauge and temperature explain,
 * worn faster than one in 10,000 such parts, or all places alike within seconds. Readings that were confirmed are not asked about.
 *
 * Shape: readings as they stand in the log. Units: those of each characteristic; hours. A reading is never refused for it.
 * Source of the wear: gamma process with a log-normal rate, van Noortwijk (2009), Reliab. Eng. Syst. Saf. 94, 2–21, eq. (3).
 *
 * @example slipsIn(plunger, [read 18.90, new 18.00], facts)[0].why // 'betterThanNew'
 */
export function slipsIn(station: Station, readings: readonly Reading[], facts: SlipFacts): Slip[] {
	return station.characteristics.flatMap((sheet) => {
		const { form, beyondNewIsFault, limitless } = characteristicOf(station, sheet.key);
		const mine = readings.filter(({ payload }) => payload.characteristic === sheet.key);
		if (form || limitless || mine.length === 0) return [];
		const asked = mine.filter(({ payload }) => payload.confirmed === undefined);
		const better = beyondNewIsFault
			? undefined
			: firstOf(asked, (reading) => betterThanNew(station, sheet, reading, facts));
		const slip =
			better ?? firstOf(asked, (reading) => tooFast(station, sheet, reading, facts)) ?? allAlike(sheet, mine);
		return slip ? [slip] : [];
	});
}

function firstOf(readings: readonly Reading[], slipOf: (reading: Reading) => Slip | undefined): Slip | undefined {
	for (const reading of readings) {
		const slip = slipOf(reading);
		if (slip) return slip;
	}
	return undefined;
}

/** How far a value has gone toward the discard limit from new: negative on the good side. */
const worn = (value: number, start: number, side: 'min' | 'max'): number =>
	side === 'min' ? start - value : value - start;

function uncertaintyOf(
	{ payload }: Reading,
	station: Station,
	sheet: SheetCharacteristic,
	gauges: readonly ShopGauge[]
) {
	const { calibrationU, calibrationK, repeatability, reproducibility, resolution } =
		gauges.find(({ id }) => id === payload.gauge)?.facts ?? ASSUMED_GAUGE;
	const u = Math.hypot(calibrationU / calibrationK, repeatability, reproducibility, resolution / Math.sqrt(12));
	const expansion = sheet.unit === 'mm' ? (partType(station.type).expansionPerKelvin ?? 0) : 0;
	const warmth = payload.partC === undefined ? BENCH_KELVIN * expansion * sheet.nominal : 0;
	return COVERAGE * u + warmth;
}

function betterThanNew(
	station: Station,
	sheet: SheetCharacteristic,
	reading: Reading,
	facts: SlipFacts
): Slip | undefined {
	const limit = discardLimit(sheet);
	if (!limit) return undefined;
	const fitted = facts.asFitted[sheet.key];
	const span = Math.abs(limit.value - sheet.nominal);
	const tolerance = fitted === undefined ? sheet.tolerance || UNSTATED_TOLERANCE * span : 0;
	const gauge = facts.gauges.find(({ id }) => id === reading.payload.gauge)?.facts ?? ASSUMED_GAUGE;
	const value = readingAt20C(station.type, sheet.unit, gauge, reading.payload);
	const by = -worn(value, fitted ?? sheet.nominal, limit.side);
	if (by <= tolerance + uncertaintyOf(reading, station, sheet, facts.gauges)) return undefined;
	return { ...slipOf(sheet, reading), why: 'betterThanNew', by, meant: meantBy(station, sheet, reading, facts) };
}

function tooFast(station: Station, sheet: SheetCharacteristic, reading: Reading, facts: SlipFacts): Slip | undefined {
	const limit = discardLimit(sheet);
	const prior = wearPriorOf(station.type, sheet);
	const { life } = facts;
	if (!limit || !prior || life?.age.kind !== 'known') return undefined;
	const span = Math.abs(limit.value - sheet.nominal);
	const start = facts.asFitted[sheet.key] ?? sheet.nominal;
	const slack = uncertaintyOf(reading, station, sheet, facts.gauges) + (sheet.tolerance || 0);
	const share = (worn(reading.payload.value, start, limit.side) - slack) / span;
	if (share <= 0) return undefined;
	const by = chanceOfWear(share, Math.max(1, life.dutyHours), prior);
	if (by >= TOO_FAST) return undefined;
	return { ...slipOf(sheet, reading), why: 'tooFast', by, meant: meantBy(station, sheet, reading, facts) };
}

/**
 * The chance that a part has worn by more than a share of its allowance in so many hours, its rate, its pump's and its jumps
 * left open. Units: hours, share of the allowance. Errors: PreconditionError for what is not above 0. Accuracy: 1 % of the chance.
 * Source: as `slipsIn`.
 */
export function chanceOfWear(
	share: number,
	hours: number,
	{
		hoursToLimit,
		between,
		within1000h
	}: { readonly hoursToLimit: number; readonly between: number; readonly within1000h: number }
): number {
	for (const [name, value] of Object.entries({ share, hours, hoursToLimit, between, within1000h }))
		requireThat(value > 0 && value < 1e9, 'chanceOfWear', name, value, 'above 0');
	const sd = Math.hypot(between, PUMPS_DIFFER);
	const shape = hours / 1000 / within1000h ** 2;
	const mean = hours / hoursToLimit;
	let sum = 0;
	for (let z = -RATE_DEVIATIONS; z <= RATE_DEVIATIONS; z += RATE_STEP)
		sum += RATE_STEP * Math.exp(-(z ** 2) / 2) * gammaUpper((shape * share) / (mean * Math.exp(sd * z)), shape);
	return Math.min(1, sum / Math.sqrt(2 * Math.PI));
}

// A reading takes more than a second a place. Numbers that come faster were typed, not read.
function allAlike(sheet: SheetCharacteristic, readings: readonly Reading[]): Slip | undefined {
	const places = new Set(readings.map(({ payload: { row, column } }) => `${row}/${column}`));
	const [first] = readings;
	const times = readings.map(({ at }) => Date.parse(at));
	const alike =
		places.size >= ALIKE_FROM &&
		readings.every(({ payload }) => payload.value === first.payload.value && payload.confirmed === undefined) &&
		Math.max(...times) - Math.min(...times) < 1000 * SECONDS_A_READING * (readings.length - 1);
	return alike ? { ...slipOf(sheet, first), why: 'allAlike', by: 0, meant: [] } : undefined;
}

const slipOf = ({ key }: SheetCharacteristic, { id, payload }: Reading) => ({
	characteristic: key,
	reading: id,
	value: payload.value
});

/** Whether a value is one that a part of this size, new or worn, has. */
function ordinary(value: number, sheet: SheetCharacteristic): boolean {
	const limit = discardLimit(sheet)!;
	const span = Math.abs(limit.value - sheet.nominal);
	const share = worn(value, sheet.nominal, limit.side) / span;
	return share >= -UNSTATED_TOLERANCE && share <= 1.5;
}

function meantBy(
	station: Station,
	sheet: SheetCharacteristic,
	{ payload: { value, typed } }: Reading,
	{ stations = [] }: SlipFacts
): Meant[] {
	const factors = [
		['inch', 25.4],
		['tenfold', 10]
	] as const;
	const byFactor = factors.flatMap(([as, factor]): Meant[] =>
		ordinary(value * factor, sheet) || ordinary(value / factor, sheet) ? [{ as }] : []
	);
	const swapped = swaps(typed.text)
		.map((text) => (value / Number(typed.text)) * Number(text))
		.find((candidate) => Number.isFinite(candidate) && ordinary(candidate, sheet));
	const other = stations.find(
		(candidate) =>
			candidate.key !== station.key &&
			candidate.characteristics.some(
				({ key, unit, nominal, tolerance }) =>
					key === sheet.key && unit === sheet.unit && Math.abs(nominal - value) <= Math.max(tolerance, 0.002 * nominal)
			)
	);
	return [
		...byFactor,
		...(swapped === undefined ? [] : [{ as: 'digits', value: swapped } as const]),
		...(other ? [{ as: 'otherPart', part: other.name } as const] : [])
	];
}

// What was typed with two neighbouring digits the other way round; a decimal point between them stays where it is.
function swaps(text: string): string[] {
	if (!/^\d+(\.\d+)?$/.test(text)) return [];
	const digits = [...text].flatMap((character, i) => (character === '.' ? [] : [i]));
	return digits.slice(1).flatMap((right, i) => {
		const left = digits[i];
		if (text[left] === text[right]) return [];
		const other = [...text];
		[other[left], other[right]] = [other[right], other[left]];
		return [other.join('')];
	});
}
