import { LifeContext } from '../life';
import { PreconditionError } from '../number';
import type { PartRecord, SheetCharacteristic, Station } from '../record';
import {
	judgeCharacteristic,
	measureCharacteristic,
	type JudgedCharacteristic,
	type MeasuredCharacteristic,
	type ShopGauge
} from './characteristic';
import { otherOutlook, outlooksOf, type OtherOutlook, type Outlook } from './outlook';
import { PartLife, unknownLife, type LifeFacts, type PartChances } from './partLife';
import type { Policy } from './policy';
import { slipsIn, type Slip } from './slips';

/** What the future of one part rests on. */
export interface ForecastInput {
	readonly station: Station;
	readonly record: PartRecord;
	readonly asFitted: Readonly<Record<string, number>>;
	readonly gauges: readonly ShopGauge[];
	readonly policy: Policy;
	/** How long it has run, and what is on record of such parts; left out: nothing, and the priors speak alone. */
	readonly life?: LifeFacts;
	/** The model's other stations, among which look-alikes are told apart. */
	readonly stations?: readonly Station[];
	/** What is shared with the forecasts of other parts. */
	readonly context?: LifeContext;
	/** Its sizes, where they have been worked out already: they do not depend on the interval. */
	readonly sizesOf?: MeasuredPart;
}

/** What was measured of a part. */
interface MeasuredPart {
	/** Sizes whose readings look like slips. */
	readonly slips: readonly Slip[];
	readonly sizes: readonly MeasuredCharacteristic[];
	/** Those that have a limit to be judged by. */
	readonly measured: readonly JudgedCharacteristic[];
}

/** How one part will stand at the next service, as data: worked out in one place, it is used in another. */
export interface Forecast {
	/** What it was worked out from, the rest being given: of other readings or another interval it says nothing. */
	readonly of: { readonly readings: readonly string[]; readonly intervalHours: number };
	/** Outlook of each measured characteristic, by its key. */
	readonly outlook: Readonly<Record<string, Outlook>>;
	readonly other: OtherOutlook;
	/** Its chances by then if reused, and those of a new one in its place. */
	readonly reused: PartChances;
	readonly fresh: PartChances;
}

export const readingsOf = (record: PartRecord, { key }: SheetCharacteristic) =>
	record.readings.filter((reading) => reading.payload.characteristic === key);

/** Everything that was measured of a part, and of it what has a limit to be judged by. Errors: PreconditionError. */
export function measure({
	station,
	record,
	gauges,
	policy,
	asFitted,
	life,
	stations,
	sizesOf
}: ForecastInput): MeasuredPart {
	if (sizesOf) return sizesOf;
	const read = station.characteristics
		.map((sheet) => ({ sheet, readings: readingsOf(record, sheet) }))
		.filter(({ readings }) => readings.length > 0);
	const judged = read.map(({ sheet, readings }) =>
		judgeCharacteristic(station.type, sheet, readings, { gauges, policy, asFitted })
	);
	const slips = slipsIn(station, record.readings, { gauges, asFitted, life, stations });
	const asked = new Set(slips.map(({ characteristic }) => characteristic));
	return {
		slips,
		sizes: read.map(
			({ sheet, readings }, i): MeasuredCharacteristic =>
				judged[i] ?? measureCharacteristic(station.type, sheet, readings, gauges)
		),
		// What is asked about does not count until it is confirmed or read again.
		measured: judged.filter((size) => size !== undefined).filter(({ sheet }) => !asked.has(sheet.key))
	};
}

// A part's future rests on its record and on what is known of its like; neither changes with the policy.
function lifeAsMeasured(
	{ station, record, gauges, asFitted, life, context = new LifeContext() }: Omit<ForecastInput, 'policy'>,
	measured: readonly JudgedCharacteristic[]
): PartLife {
	const made = () => new PartLife(station, life ?? unknownLife(station), measured, asFitted, context);
	return life ? context.kept(record, 'life', [life, gauges], made) : made();
}

/**
 * The future of a part, whatever is on record of it: where that cannot be worked with, as of one of which nothing is known.
 * Units: hours of running. Errors: none from what is on record. Source: `PartWear`, `riskOfCompetingFailure`.
 */
export function partLifeOf(input: Omit<ForecastInput, 'policy'>, measured: readonly JudgedCharacteristic[]): PartLife {
	try {
		return lifeAsMeasured(input, measured);
	} catch (error) {
		if (!(error instanceof PreconditionError)) throw error;
		return new PartLife(input.station, unknownLife(input.station), [], {}, input.context);
	}
}

/** The forecast that was given, where it is of these readings and this interval; else it is worked out. Errors: PreconditionError. */
export function forecastFor(
	input: ForecastInput & { readonly forecast?: Forecast },
	measured: readonly JudgedCharacteristic[]
): Forecast {
	const of = { readings: input.record.readings.map(({ id }) => id), intervalHours: input.policy.intervalHours };
	const given = input.forecast;
	if (given?.of.intervalHours === of.intervalHours && given.of.readings.join() === of.readings.join()) return given;
	return { of, ...futureOf(lifeAsMeasured(input, measured), measured, input.policy) };
}

/** What a life says of the next service. */
export const futureOf = (
	life: PartLife,
	measured: readonly JudgedCharacteristic[],
	policy: Policy
): Omit<Forecast, 'of'> => ({
	outlook: outlooksOf(life, measured, policy),
	other: otherOutlook(life, policy),
	reused: life.reused(policy.intervalHours),
	fresh: life.fresh(policy.intervalHours)
});

/**
 * How a part will stand at the next service; undefined where what is on record of it cannot be worked with, as `judge` then says.
 * Units: chances 0 to 1, wear in the unit of its size, hours of running. Errors: none from what is on record.
 * Source: `PartWear`, `riskOfCompetingFailure`.
 */
export const forecastOf = (input: ForecastInput): Forecast | undefined =>
	ifItCan(() => forecastFor(input, measure(input).measured));

/** The input with its sizes worked out, where what is on record of it can be worked with. */
export const withSizes = <Input extends ForecastInput>(input: Input): Input => ({
	...input,
	sizesOf: ifItCan(() => measure(input))
});

function ifItCan<Result>(work: () => Result): Result | undefined {
	try {
		return work();
	} catch (error) {
		if (!(error instanceof PreconditionError)) throw error;
		return undefined;
	}
}
