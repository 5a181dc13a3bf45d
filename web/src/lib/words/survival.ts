import { isTold, recordNeeded, type RatioEstimate } from '@exetasis/core/number';
import type { NoWeibullFit, RepairTrend, WeibullComparison, WeibullFit } from '@exetasis/core/survival';
import type { Format } from '../format/numbers';

/** Why no distribution is the most likely one, and what can be said all the same. */
export const noMaximumWords: Readonly<Record<NoWeibullFit['reason'], string>> = {
	noEnds: 'No failures yet. The life is at least as long as the hours so far.',
	endedTogether: 'All failures may have happened at the same age. The history does not show their spread.',
	oneInspection: 'All parts were inspected once, at the same age. Only the share of failures at that age is known.',
	shapeRunsUp: 'The ages at failure are too similar to estimate their spread.',
	shapeRunsDown: 'No single Weibull distribution fits these lives. Read the survival curve, which assumes no shape.'
};

/** What the limits of the shape allow to say of how such parts end. */
export const phaseWords: Readonly<Record<WeibullFit['phase'], string>> = {
	early: 'early failures: check how they are fitted',
	random: 'random failures: replacing them by hours gains nothing',
	wearOut: 'wear-out: replace them by hours',
	open: 'too few failures to tell early failure from wear-out'
};

/** Whether a B10 life can be stated. One below an hour says that parts fail at once, not when to replace them. */
export const saysLife = (fit: WeibullFit): boolean => fit.b10.value >= 1;

/** The chance of so large a difference by chance alone. */
const pValue = (p: number, format: Format): string =>
	p < 0.001 ? 'p < 0.001' : `p = ${format.number(p, p < 0.1 ? 3 : 2)}`;

type Limits = { readonly value: number; readonly low?: number; readonly high?: number };
/** No machine runs longer: a limit beyond it is none that anyone can use. Hours. */
const MOST_HOURS = 1e7;
const highWords = (high: number, digits: number, format: Format): string =>
	high > MOST_HOURS ? `over ${format.number(MOST_HOURS)}` : format.number(high, digits);
export const limitsWords = ({ value, low, high }: Limits, format: Format, digits = 0): string =>
	`${format.number(value, digits)} (${low === undefined ? 'no limit' : format.number(low, digits)}–${high === undefined ? 'no limit' : highWords(high, digits, format)})`;

/** How much more has to be on record until it can be told, should it stay as it is. */
function moreNeeded(estimate: RatioEstimate, format: Format): string {
	const times = recordNeeded(estimate);
	if (times === undefined) return 'No difference is visible so far.';
	return `If the difference stays the same, about ${format.number(Math.max(1.1, times), 1)} times the present history is needed to decide.`;
}

/** Two groups of lives, as a sentence. */
export function comparisonSentence(
	compared: WeibullComparison,
	[first, second]: readonly string[],
	logRankP: number | undefined,
	format: Format
): string {
	if (compared.kind === 'noMaximum')
		return `${first} and ${second} cannot be compared. ${noMaximumWords[compared.reason]}`;
	const { ratio, pScale, pShape } = compared;
	return [
		isTold(ratio)
			? `${second} lasts ${limitsWords(ratio, format, 2)} times as long as ${first} (${pValue(pScale, format)}).`
			: `${first} and ${second} cannot be told apart yet: ratio of their lives ${limitsWords(ratio, format, 2)}, ${pValue(pScale, format)}. ${moreNeeded(ratio, format)}`,
		pShape !== undefined && pShape <= 0.05
			? 'Their failure modes also differ, so one ratio does not describe the difference fully.'
			: '',
		logRankP === undefined ? '' : `Log-rank test at the hours of discovery: ${pValue(logRankP, format)}.`
	]
		.filter(Boolean)
		.join(' ');
}

/** Whether pumps get better or worse, as a sentence. */
export function trendSentence({ events, exponent, pSteady }: RepairTrend, pumps: number, format: Format): string {
	if (!exponent || pSteady === undefined)
		return `${events} replacements on ${pumps} pumps: too few for a trend. At least three pumps with two intervals each are needed.`;
	const figures = `growth exponent ${limitsWords(exponent, format, 2)}, ${pValue(pSteady, format)}, from ${events} replacements on ${pumps} pumps.`;
	return isTold(exponent)
		? `Replacements become ${exponent.value > 1 ? 'more' : 'less'} frequent with pump age: ${figures}`
		: `It cannot be told yet whether replacements become more or less frequent with pump age: ${figures} ${moreNeeded(exponent, format)}`;
}
