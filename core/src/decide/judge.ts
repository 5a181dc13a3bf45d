import { partType, type PatternRule } from '../part';
import { discardLimit, isLookedAt, type Finding, type PartRecord, type Station, type Verdict } from '../record';
import { judgeCharacteristic, type JudgedCharacteristic, type ShopGauge } from './characteristic';
import { ASSUMED_RATE_SCATTER, byMeanRate, type Forecast, type Outlook } from './forecast';
import { byGammaProcess, type FittedProcess } from './gammaProcess';
import type { Policy } from './policy';
import type { Reason } from './reason';

/** Everything that a verdict on one part rests on. */
export interface JudgeInput {
	readonly station: Station;
	readonly record: PartRecord;
	/** Hours the part has run since it was fitted, or undefined where nobody knows. */
	readonly hours?: number;
	readonly asFitted: Readonly<Record<string, number>>;
	readonly gauges: readonly ShopGauge[];
	readonly policy: Policy;
	/** How parts like this one wear, by characteristic; where nothing is fitted the part's own mean rate is carried on. */
	readonly wearModels?: WearModels;
}

/** Fitted wear by characteristic key. */
export type WearModels = Readonly<Record<string, FittedProcess>>;

export interface Judgement {
	/** "open" until somebody has looked. */
	readonly verdict: Verdict | 'open';
	readonly reasons: readonly Reason[];
	readonly measured: readonly JudgedCharacteristic[];
	/** Outlook of each measured characteristic at the next service, by its key. */
	readonly outlook: Readonly<Record<string, Outlook>>;
}

// What each reason asks for; the strongest wins: replace, then look again, then reuse.
const asksFor: Readonly<Record<Reason['code'], Verdict | 'open'>> = {
	singleUse: 'replace',
	softRenewed: 'replace',
	patternOut: 'replace',
	longerThanNew: 'replace',
	beyondLimit: 'replace',
	wearsOut: 'replace',
	cleanFirst: 'lookAgain',
	tooClose: 'lookAgain',
	unmeasured: 'lookAgain',
	remark: 'reuse',
	insideLimit: 'reuse',
	lasts: 'reuse',
	nothingFound: 'reuse',
	notLooked: 'open'
};
const strength: readonly (Verdict | 'open')[] = ['replace', 'open', 'lookAgain', 'reuse'];

/**
 * Verdict on one part, with its reasons: hard rules first, then limits, then how it will stand at the next service.
 *
 * A part that is replaced anyway still wants a look before it is binned (its pattern is the best witness of the cause),
 * so single-use and soft parts carry "not looked at" beside their verdict. A part that wears measurably but was not
 * measured is to be looked at again, unless it is out already.
 * Errors: PreconditionError from the measuring functions.
 */
export function judge(input: JudgeInput): Judgement {
	const { station, record } = input;
	const measured = measuredCharacteristics(input);
	const outlook = outlooks(input, measured);
	const reasons: Reason[] = [
		...ruleReasons(input),
		...record.findings.map((finding) => patternReason(finding, rulesOf(station))),
		...measured.flatMap((one) => measureReasons(one, outlook[one.sheet.key], input)),
		...unmeasuredReasons(input, measured)
	];
	if (!isLookedAt(record)) reasons.push({ code: 'notLooked' });
	else if (record.clean) reasons.push({ code: 'nothingFound' });
	reasons.sort((a, b) => strength.indexOf(asksFor[a.code]) - strength.indexOf(asksFor[b.code]));
	const alreadyOut = asksFor[reasons[0].code] === 'replace';
	const kept = alreadyOut ? reasons.filter((reason) => reason.code !== 'unmeasured') : reasons;
	return { verdict: asksFor[kept[0].code], reasons: kept, measured, outlook };
}

const rulesOf = (station: Station): readonly PatternRule[] => partType(station.type).patterns;

function ruleReasons({ station, policy }: JudgeInput): Reason[] {
	if (station.renewal === 'always') return [{ code: 'singleUse' }];
	const renewSoft = policy.school === 'renewSoft' && partType(station.type).soft && station.renewal !== 'inspect';
	return renewSoft ? [{ code: 'softRenewed' }] : [];
}

function patternReason({ payload }: Finding, rules: readonly PatternRule[]): Reason {
	const { pattern, severity, onset } = payload;
	const rule = rules.find((one) => one.pattern === pattern);
	if (rule?.cleanFirst) return { code: 'cleanFirst', pattern };
	const out = rule?.outFrom !== undefined && severity >= rule.outFrom;
	return { code: out ? 'patternOut' : 'remark', pattern, severity, onset };
}

function measuredCharacteristics({ station, record, gauges, policy, asFitted }: JudgeInput): JudgedCharacteristic[] {
	return station.characteristics.flatMap((sheet) => {
		const readings = record.readings.filter((reading) => reading.payload.characteristic === sheet.key);
		return readings.length > 0
			? [judgeCharacteristic(station.type, sheet, readings, { gauges, policy, asFitted })]
			: [];
	});
}

// The fleet's process where there is one, else the part's own rate.
function forecastOf(model: FittedProcess | undefined): Forecast {
	return model?.kind === 'fitted' ? byGammaProcess(model.process, model.parts) : byMeanRate;
}

function outlooks({ hours, policy, wearModels = {} }: JudgeInput, measured: readonly JudgedCharacteristic[]) {
	if (hours === undefined || !(hours > 0)) return {};
	return Object.fromEntries(
		measured.map(({ sheet, wear, budget }) => {
			const state = {
				worn: wear.worn,
				u: budget.u,
				allowance: wear.allowance,
				hours,
				rateScatter: ASSUMED_RATE_SCATTER
			};
			return [sheet.key, forecastOf(wearModels[sheet.key])(state, policy.intervalHours)];
		})
	);
}

function measureReasons(
	one: JudgedCharacteristic,
	outlook: Outlook | undefined,
	{ hours, policy }: JudgeInput
): Reason[] {
	const { characteristic, sheet, worst, budget, wear } = one;
	const { zone, probabilityBeyond } = one.conformity;
	const beyondNew = -wear.worn;
	if (characteristic.beyondNewIsFault && beyondNew > sheet.tolerance + budget.U) {
		return [
			{ code: 'longerThanNew', characteristic: sheet.key, value: worst.value, nominal: sheet.nominal, U: budget.U }
		];
	}
	const code = zone === 'beyond' ? 'beyondLimit' : zone === 'tooClose' ? 'tooClose' : 'insideLimit';
	const limit: Reason = {
		code,
		characteristic: sheet.key,
		value: worst.value,
		U: budget.U,
		limit: discardLimit(sheet).value,
		probability: probabilityBeyond
	};
	if (!outlook || zone === 'beyond') return [limit];
	const future: Reason = {
		code: outlook.probability > policy.acceptWearOut ? 'wearsOut' : 'lasts',
		characteristic: sheet.key,
		worn: wear.worn,
		allowance: wear.allowance,
		probability: outlook.probability,
		hours: hours!,
		interval: policy.intervalHours
	};
	return [limit, future];
}

function unmeasuredReasons({ station, record }: JudgeInput, measured: readonly JudgedCharacteristic[]): Reason[] {
	const suspicious = record.findings.length > 0;
	return station.characteristics.flatMap((sheet) => {
		if (sheet.when === 'onSuspicion' && !suspicious && !measured.some((one) => one.sheet.key === sheet.key)) return [];
		const done = measured.find((one) => one.sheet.key === sheet.key);
		const placesLeft = done
			? done.placesLeft
			: (sheet.grid?.stations.length ?? 1) * (sheet.grid?.anglesDeg.length ?? 1);
		return placesLeft > 0 ? [{ code: 'unmeasured' as const, characteristic: sheet.key, placesLeft }] : [];
	});
}
