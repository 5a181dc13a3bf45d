import { conformity } from '../measure';
import { PreconditionError } from '../number';
import { partType, type Figure, type PatternRule, type Sizes } from '../part';
import {
	brokenUp,
	foundWrong,
	isInspected,
	pointsToRead,
	standingDecision,
	type Finding,
	type PartRecord,
	type Station,
	type Verdict
} from '../record';
import { measureCharacteristic, type JudgedCharacteristic, type MeasuredCharacteristic } from './characteristic';
import { customKindOf } from './customs';
import { forecastFor, futureOf, measure, readingsOf, type Forecast, type ForecastInput } from './forecast';
import { identityReasons } from './identity';
import { otherReasons, sizeReasons } from './outlook';
import { PartLife, unknownLife } from './partLife';
import type { Policy } from './policy';
import type { Reason } from './reason';
import { wantedSizes } from './wanted';

/** Everything that a verdict on one part rests on. */
export interface JudgeInput extends ForecastInput {
	/** Its forecast, where it has been worked out already; used while it is of the same readings and interval. */
	readonly forecast?: Forecast;
	/** The parts that it runs with, as they lie on the mat. */
	readonly mates?: readonly Mate[];
	/** Its rated pressure, MPa. */
	readonly ratedPressure?: number;
}

interface Mate {
	readonly station: Station;
	readonly record: PartRecord;
}

export interface Judgement extends Omit<Forecast, 'of'> {
	/** "open" until someone has looked. */
	readonly verdict: Verdict | 'open';
	readonly reasons: readonly Reason[];
	/** Everything that was measured, also what has no limit or is not complete. */
	readonly sizes: readonly MeasuredCharacteristic[];
	/** What was measured and has a limit to be judged by. */
	readonly measured: readonly JudgedCharacteristic[];
	/** What follows from the sizes. */
	readonly figures: readonly Figure[];
}

// What each reason asks for; the strongest wins: replace, then look again, then reuse.
const asksFor: Readonly<Record<Reason['code'], Verdict | 'open'>> = {
	singleUse: 'replace',
	softRenewed: 'replace',
	newAdvised: 'replace',
	customRenewed: 'replace',
	withItsSet: 'replace',
	patternOut: 'replace',
	notThere: 'replace',
	inPieces: 'replace',
	longerThanNew: 'replace',
	beyondLimit: 'replace',
	figureBeyond: 'replace',
	mixedUp: 'replace',
	noneOfThem: 'replace',
	wearsOut: 'replace',
	likelyToFail: 'replace',
	questioned: 'lookAgain',
	cleanFirst: 'lookAgain',
	tooClose: 'lookAgain',
	figureTooClose: 'lookAgain',
	cannotTell: 'lookAgain',
	unmeasured: 'lookAgain',
	mateUnmeasured: 'lookAgain',
	mateReplaced: 'reuse',
	remark: 'reuse',
	confirmed: 'reuse',
	insideLimit: 'reuse',
	lasts: 'reuse',
	wearsFast: 'reuse',
	otherRisk: 'reuse',
	customInspected: 'reuse',
	nothingFound: 'reuse',
	foundDoubled: 'reuse',
	foundTurned: 'reuse',
	foundInLine: 'reuse',
	notLooked: 'open',
	notJudged: 'open'
};
const strength: readonly (Verdict | 'open')[] = ['replace', 'open', 'lookAgain', 'reuse'];
const byStrength = (a: Reason, b: Reason) => strength.indexOf(asksFor[a.code]) - strength.indexOf(asksFor[b.code]);
// Questions that need no answer once the part is out.
const settledByReplacing: readonly Reason['code'][] = ['unmeasured', 'mateUnmeasured', 'cannotTell', 'figureTooClose'];

/**
 * The sizes that alone keep a part from being reused because they were not measured: it can be accepted by eye. Empty if something else
 * speaks against it, or nothing does.
 */
export function sizesByEye(reasons: readonly Reason[]): string[] {
	const against = reasons.filter(({ code }) => asksFor[code] !== 'reuse');
	const sizes = against.flatMap((reason) => (reason.code === 'unmeasured' ? [reason.characteristic] : []));
	return sizes.length === against.length ? sizes : [];
}

/**
 * Verdict on one part, with its reasons: hard rules first, then limits, then how it will stand at the next service.
 *
 * A part that is replaced anyway still wants a look before it is binned (its pattern is the best witness of the cause),
 * so single-use and soft parts carry "not looked at" beside their verdict. A part that wears measurably but was not
 * measured is to be looked at again, and so is one that is kept while the part it runs with was not measured.
 * Errors: none from what is on record: a part with sizes that cannot be stays open, and the reason names them.
 */
export function judge(input: JudgeInput): Judgement {
	try {
		return judgeByFigures(input);
	} catch (error) {
		if (!(error instanceof PreconditionError)) throw error;
		return judgeByRules(input, error);
	}
}

// Rules and findings speak on; sizes and risks do not.
function judgeByRules(
	{ station, record, policy, context }: JudgeInput,
	{ argument, value, expected }: PreconditionError
): Judgement {
	const reasons: Reason[] = [
		...ruleReasons(station, policy),
		...record.findings.map((finding) => patternReason(finding, rulesOf(station))),
		...foundReasons(record),
		{ code: 'notJudged', what: argument, value: String(value), expected }
	];
	const life = new PartLife(station, unknownLife(station), [], {}, context);
	return { ...verdictBy(reasons), sizes: [], measured: [], figures: [], ...futureOf(life, [], policy) };
}

function judgeByFigures(input: JudgeInput): Judgement {
	const { station, record } = input;
	const { sizes, measured, slips } = measure(input);
	const trusted = sizes.filter(({ sheet }) => !slips.some(({ characteristic }) => characteristic === sheet.key));
	const figures = figuresOf(input, trusted);
	const { of: _, ...future } = forecastFor(input, measured);
	const reasons: Reason[] = [
		...ruleReasons(station, input.policy),
		...record.findings.map((finding) => patternReason(finding, rulesOf(station))),
		...foundReasons(record),
		...measured.flatMap((judgedCharacteristic) =>
			sizeReasons(judgedCharacteristic, future.outlook[judgedCharacteristic.sheet.key], input)
		),
		...figures.flatMap((figure) => figureReasons(figure, input.policy)),
		...slips.map((slip): Reason => ({ code: 'questioned', slip })),
		...record.readings.flatMap(({ payload: { characteristic, value, confirmed: why } }): Reason[] =>
			why === undefined ? [] : [{ code: 'confirmed', characteristic, value, why }]
		),
		...identityReasons(station, sizesByKey(trusted), input.stations ?? []),
		...unmeasuredReasons(input, sizes),
		...mateReasons(input),
		...otherReasons(future.other, input.policy)
	];
	if (!isInspected(record)) reasons.push({ code: 'notLooked' });
	else if (record.clean) reasons.push({ code: 'nothingFound' });
	return { ...verdictBy(reasons), sizes, measured, figures, ...future };
}

function verdictBy(reasons: readonly Reason[]): Pick<Judgement, 'verdict' | 'reasons'> {
	const sorted = [...reasons].sort(byStrength);
	const alreadyOut = asksFor[sorted[0].code] === 'replace';
	const kept = alreadyOut ? sorted.filter(({ code }) => !settledByReplacing.includes(code)) : sorted;
	return { verdict: asksFor[kept[0].code], reasons: kept };
}

/** The judgement with one more reason. */
export const withReason = (judgement: Judgement, reason: Reason): Judgement => ({
	...judgement,
	...verdictBy([reason, ...judgement.reasons])
});

// How it was found speaks of the assembly before, not of the part: only what was not there, or in pieces, needs a new one.
function foundReasons(record: PartRecord): Reason[] {
	const pieces = brokenUp(record);
	return [
		...(pieces ? [{ code: 'inPieces', lost: pieces === 'oneLost' } as const] : []),
		...foundWrong(record).map((wrong) => ({ code: codeOfFound[wrong] }))
	];
}
const codeOfFound = {
	missing: 'notThere',
	doubled: 'foundDoubled',
	reversed: 'foundTurned',
	jointsInLine: 'foundInLine'
} as const;

const rulesOf = (station: Station): readonly PatternRule[] => partType(station.type).patterns;

function ruleReasons(station: Station, policy: Policy): Reason[] {
	const { singleUse, soft } = partType(station.type);
	if (singleUse) return [{ code: 'singleUse' }];
	const kind = customKindOf(station);
	const custom = kind ? policy[kind] : 'sheet';
	// What the sheet renews always no rule of a shop undoes.
	if (station.renewal === 'always') return [{ code: 'singleUse' }];
	if (station.newAdvised) return [{ code: 'newAdvised', why: station.newAdvised }];
	if (kind && custom === 'always') return [{ code: 'customRenewed', kind }];
	if (kind && custom === 'inspect') return station.renewal === 'inspect' ? [] : [{ code: 'customInspected', kind }];
	const renewSoft = policy.renewalPolicy === 'renewSoft' && soft && station.renewal !== 'inspect';
	return renewSoft ? [{ code: 'softRenewed' }] : [];
}

function patternReason({ payload }: Finding, rules: readonly PatternRule[]): Reason {
	const { pattern, severity, onset } = payload;
	const rule = rules.find((patternRule) => patternRule.pattern === pattern);
	if (rule?.cleanFirst) return { code: 'cleanFirst', pattern };
	const out = rule?.outFrom !== undefined && severity >= rule.outFrom;
	return { code: out ? 'patternOut' : 'remark', pattern, severity, onset };
}

const sizesByKey = (sizes: readonly MeasuredCharacteristic[]): Sizes =>
	Object.fromEntries(
		sizes.flatMap(({ sheet, value, budget }) =>
			value === undefined ? [] : [[sheet.key, { value, u: budget.u, dof: budget.dof }]]
		)
	);

function figuresOf(input: JudgeInput, sizes: readonly MeasuredCharacteristic[]): readonly Figure[] {
	const { station, asFitted, mates = [], gauges, ratedPressure } = input;
	const { figures } = partType(station.type);
	if (!figures || sizes.length === 0) return [];
	return figures({
		sizes: sizesByKey(sizes),
		asNew: Object.fromEntries(station.characteristics.map(({ key, nominal }) => [key, asFitted[key] ?? nominal])),
		design: station.design,
		mates: mates.map((mate) => ({
			type: mate.station.type,
			name: mate.station.name,
			sizes: sizesByKey(
				mate.station.characteristics
					.map((sheet) => ({ sheet, readings: readingsOf(mate.record, sheet) }))
					.filter(({ readings }) => readings.length > 0)
					.map(({ sheet, readings }) => measureCharacteristic(mate.station.type, sheet, readings, gauges))
			)
		})),
		ratedPressure
	});
}

const NORMAL_K = 2; // expanded at about 95 %, for the sentence

function figureReasons({ key, value, u, limit, unit }: Figure, policy: Policy): Reason[] {
	if (!limit) return [];
	const { min = -Infinity, max = Infinity } = limit;
	const at = value - min < max - value ? min : max;
	const zone =
		u !== undefined && u > 0
			? conformity({ value, u, dof: Infinity }, limit, policy).zone
			: value < min || value > max
				? 'beyond'
				: 'inside';
	if (zone === 'inside') return [];
	const code = zone === 'beyond' ? 'figureBeyond' : 'figureTooClose';
	return [{ code, figure: key, value, limit: at, unit, ...(u === undefined ? {} : { U: NORMAL_K * u }) }];
}

function unmeasuredReasons(input: JudgeInput, sizes: readonly MeasuredCharacteristic[]): Reason[] {
	const wanted = wantedSizes(input.station, input.record, input.policy);
	return input.station.characteristics.flatMap((sheet) => {
		const done = sizes.find((size) => size.sheet.key === sheet.key);
		if (!done && !wanted.includes(sheet)) return [];
		const { rows, columns } = pointsToRead(sheet);
		const pointsLeft = done ? done.pointsLeft : rows.length * columns.length;
		return pointsLeft > 0 ? [{ code: 'unmeasured' as const, characteristic: sheet.key, pointsLeft }] : [];
	});
}

// A lip on its plunger, a valve on its seat: one alone says little, and a new one beside a worn one lives a tenth of its life.
// One that is renewed whatever it measures need not be measured for its mate's sake.
function mateReasons({ station, record, policy, mates = [] }: JudgeInput): Reason[] {
	const measurable = ({ characteristics }: Station) => characteristics.some(({ when }) => when === 'always');
	const isRenewed = (mate: Station) => ruleReasons(mate, policy).some(({ code }) => asksFor[code] === 'replace');
	return mates.flatMap((mate): Reason[] => {
		const decision = standingDecision(mate.record)?.payload.verdict;
		if (decision === 'replace') return [{ code: 'mateReplaced', mate: mate.station.name }];
		const forgotten =
			station.mates.includes(mate.station.key) &&
			record.readings.length > 0 &&
			mate.record.readings.length === 0 &&
			measurable(mate.station) &&
			!isRenewed(mate.station);
		return forgotten ? [{ code: 'mateUnmeasured', mate: mate.station.name }] : [];
	});
}
